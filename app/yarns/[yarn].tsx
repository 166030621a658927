export { YarnScreen as default } from '../../src/features/yarns/YarnScreen';
