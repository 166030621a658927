export { NewShapeScreen as default } from '../src/features/shape/NewShapeScreen';
