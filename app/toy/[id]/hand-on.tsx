export { HandOnPage as default, BrokenToyPage as ErrorBoundary } from '../../../src/features/pages';
