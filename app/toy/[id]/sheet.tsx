export { SheetPage as default, BrokenToyPage as ErrorBoundary } from '../../../src/features/pages';
