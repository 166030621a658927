export { PartShapeScreen as default } from '../../../src/features/shape/PartShapeScreen';
export { BrokenToyPage as ErrorBoundary } from '../../../src/features/toy/BrokenToyPage';
