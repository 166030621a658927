export { YarnsScreen as default } from '../../src/features/yarns/YarnsScreen';
