export { ToyPages as default } from '../../../src/features/toy/ToyPages';
export { BrokenPage as ErrorBoundary } from '../../../src/features/BrokenPage';
