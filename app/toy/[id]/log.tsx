export { LogbookPage as default, BrokenToyPage as ErrorBoundary } from '../../../src/features/pages';
