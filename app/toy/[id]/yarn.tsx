export { ToyYarnScreen as default } from '../../../src/features/yarns/ToyYarnScreen';
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/toy/BrokenToyPage';
