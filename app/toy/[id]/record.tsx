export { RecordScreen as default } from '../../../src/features/safety/RecordScreen';
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/toy/BrokenToyPage';
