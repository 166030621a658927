export { SheetScreen as default } from '../../../src/features/sheet/SheetScreen';
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/toy/BrokenToyPage';
