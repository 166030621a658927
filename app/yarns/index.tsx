export { YarnsScreen as default } from '../../src/features/yarns/YarnsScreen';
export { BrokenPage as ErrorBoundary } from '../../src/features/BrokenPage';
