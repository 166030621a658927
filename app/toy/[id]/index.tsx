export { ToyScreen as default } from '../../../src/features/toy/ToyScreen';
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/toy/BrokenToyPage';
