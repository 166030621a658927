export { NewShapeScreen as default } from '../src/features/shape/NewShapeScreen';
export { BrokenPage as ErrorBoundary } from '../src/features/BrokenPage';
