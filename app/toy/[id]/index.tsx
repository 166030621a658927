export { ToyPage as default, BrokenToyPage as ErrorBoundary } from '../../../src/features/pages';
