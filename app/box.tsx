export { BoxPage as default } from '../src/features/pages';
export { BrokenPage as ErrorBoundary } from '../src/features/BrokenPage';
