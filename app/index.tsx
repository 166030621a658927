export { ShelfScreen as default } from '../src/features/shelf/ShelfScreen';
