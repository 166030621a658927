export { TogetherScreen as default } from '../../../src/features/together/TogetherScreen';
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/toy/BrokenToyPage';
