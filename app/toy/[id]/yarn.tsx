export { ToyYarnScreen as default } from '../../../src/features/yarns/ToyYarnScreen';
