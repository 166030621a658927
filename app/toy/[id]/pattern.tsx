export { ForOthersScreen as default } from '../../../src/features/sheet/ForOthersScreen';
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/toy/BrokenToyPage';
