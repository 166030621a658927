export { ForOthersPage as default, BrokenToyPage as ErrorBoundary } from '../../../src/features/pages';
