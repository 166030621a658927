export { TemplatesPage as default, BrokenToyPage as ErrorBoundary } from '../../../src/features/pages';
