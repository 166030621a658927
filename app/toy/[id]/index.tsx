export { ToyScreen as default } from '../../../src/features/toy/ToyScreen';
