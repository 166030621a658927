export { YarnScreen as default } from '../../src/features/yarns/YarnScreen';
export { BrokenPage as ErrorBoundary } from '../../src/features/BrokenPage';
