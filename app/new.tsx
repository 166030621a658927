export { NewToyScreen as default } from '../src/features/newToy/NewToyScreen';
export { BrokenPage as ErrorBoundary } from '../src/features/BrokenPage';
