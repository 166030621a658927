export { NotationScreen as default } from '../src/features/notation/NotationScreen';
