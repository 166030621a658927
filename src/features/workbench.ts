/**
 * All that is about a toy that is read, as one file to load: everything in it stands on the same core, and files that
 * share it would put it into what the shelf has to wait for.
 */
export { readDocument } from '../core/keep/document';
export { setToyHeader } from '../core/notation/editText';
export * from '../data/demoMakings';
export * from '../data/keptToy';
export * from '../data/shelfFile';
export { BoxScreen } from './buy/BoxScreen';
export { BuyScreen } from './buy/BuyScreen';
export { FairScreen } from './buy/FairScreen';
export { InventScreen } from './invent/InventScreen';
export { HandOnScreen } from './handOn/HandOnScreen';
export { ReceiveScreen } from './handOn/ReceiveScreen';
export { HandsScreen } from './hands/HandsScreen';
export { LogbookScreen } from './make/LogbookScreen';
export { MakeScreen } from './make/MakeScreen';
export { NewToyScreen } from './newToy/NewToyScreen';
export { NotationScreen } from './notation/NotationScreen';
export { PartScreen } from './part/PartScreen';
export { RecordPaper } from './safety/RecordPaper';
export { RecordScreen } from './safety/RecordScreen';
export { SafetyScreen } from './safety/SafetyScreen';
export { NewShapeScreen } from './shape/NewShapeScreen';
export { PartShapeScreen } from './shape/PartShapeScreen';
export { StretchScreen } from './shape/StretchScreen';
export { ForOthersScreen } from './sheet/ForOthersScreen';
export { SheetScreen } from './sheet/SheetScreen';
export { TemplatesScreen } from './sheet/TemplatesScreen';
export { TogetherScreen } from './together/TogetherScreen';
export { BrokenToyPage } from './toy/BrokenToyPage';
export { OpenToy } from './toy/OpenToy';
export { ToyScreen } from './toy/ToyScreen';
export { VersionsScreen } from './versions/VersionsScreen';
export { ToyYarnScreen } from './yarns/ToyYarnScreen';
export { YarnScreen } from './yarns/YarnScreen';
export { YarnsScreen } from './yarns/YarnsScreen';
