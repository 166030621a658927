export { PartShapeScreen as default } from '../../../src/features/shape/PartShapeScreen';
