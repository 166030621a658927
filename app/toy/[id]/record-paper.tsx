export { RecordPaper as default } from '../../../src/features/safety/RecordPaper';
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/toy/BrokenToyPage';
