import { t } from '../core/words/language';
import notation from '../../docs/notation.md';
import { Asset } from 'expo-asset';

/** What follows is for the terminal. */
const codes = `
## Codes of what is told`;

/** The page of the docs about notation, as far as a maker reads it; it ships with the app as a file. */
export async function notationText(): Promise<string> {
  const response = await fetch(Asset.fromModule(notation).uri);
  if (!response.ok) throw new Error(t`The page could not be opened.`);
  const [page = ''] = (await response.text()).split(codes);
  return page;
}
