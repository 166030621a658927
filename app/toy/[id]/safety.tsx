export { SafetyScreen as default } from '../../../src/features/safety/SafetyScreen';
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/toy/BrokenToyPage';
