export { SheetScreen as default } from '../../../src/features/sheet/SheetScreen';
