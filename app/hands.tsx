export { HandsScreen as default } from '../src/features/hands/HandsScreen';
export { BrokenPage as ErrorBoundary } from '../src/features/BrokenPage';
