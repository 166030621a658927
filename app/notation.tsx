export { NotationScreen as default } from '../src/features/notation/NotationScreen';
export { BrokenPage as ErrorBoundary } from '../src/features/BrokenPage';
