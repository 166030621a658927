export { ShelfScreen as default } from '../src/features/shelf/ShelfScreen';
export { BrokenPage as ErrorBoundary } from '../src/features/BrokenPage';
