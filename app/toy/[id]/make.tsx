export { MakeScreen as default } from '../../../src/features/make/MakeScreen';
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/toy/BrokenToyPage';
