import { takeUpLanguage } from '../data/language';
import { takeUpMeasures } from '../data/measures';
import { loadedPage } from '../ui/loadedPage';

/** Loads what toys are read, shown and changed with, once; whatever that says goes by her language and by how she measures. */
export const workbench = async () => {
  // Many words are said while it loads.
  await takeUpLanguage();
  const [loaded] = await Promise.all([import('./workbench'), takeUpMeasures()]);
  return loaded;
};

const page = loadedPage(workbench);

export const BoxPage = page(({ BoxScreen }) => BoxScreen);
export const BrokenToyPage = page(({ BrokenToyPage }) => BrokenToyPage);
export const BuyPage = page(({ BuyScreen }) => BuyScreen);
export const FairPage = page(({ FairScreen }) => FairScreen);
export const ForOthersPage = page(({ ForOthersScreen }) => ForOthersScreen);
export const HandOnPage = page(({ HandOnScreen }) => HandOnScreen);
export const HandsPage = page(({ HandsScreen }) => HandsScreen);
export const InventPage = page(({ InventScreen }) => InventScreen);
export const LogbookPage = page(({ LogbookScreen }) => LogbookScreen);
export const MakePage = page(({ MakeScreen }) => MakeScreen);
export const NewShapePage = page(({ NewShapeScreen }) => NewShapeScreen);
export const NewToyPage = page(({ NewToyScreen }) => NewToyScreen);
export const NotationPage = page(({ NotationScreen }) => NotationScreen);
export const OpenToy = page(({ OpenToy }) => OpenToy);
export const PartPage = page(({ PartScreen }) => PartScreen);
export const PartShapePage = page(({ PartShapeScreen }) => PartShapeScreen);
export const ReceivePage = page(({ ReceiveScreen }) => ReceiveScreen);
export const RecordPage = page(({ RecordScreen }) => RecordScreen);
export const RecordPaperPage = page(({ RecordPaper }) => RecordPaper);
export const SafetyPage = page(({ SafetyScreen }) => SafetyScreen);
export const SheetPage = page(({ SheetScreen }) => SheetScreen);
export const StretchPage = page(({ StretchScreen }) => StretchScreen);
export const TemplatesPage = page(({ TemplatesScreen }) => TemplatesScreen);
export const TogetherPage = page(({ TogetherScreen }) => TogetherScreen);
export const ToyPage = page(({ ToyScreen }) => ToyScreen);
export const ToyYarnPage = page(({ ToyYarnScreen }) => ToyYarnScreen);
export const VersionsPage = page(({ VersionsScreen }) => VersionsScreen);
export const YarnPage = page(({ YarnScreen }) => YarnScreen);
export const YarnsPage = page(({ YarnsScreen }) => YarnsScreen);
