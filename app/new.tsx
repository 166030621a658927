export { NewToyScreen as default } from '../src/features/newToy/NewToyScreen';
