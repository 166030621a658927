import notation from '../../docs/notation.md';
import { Asset } from 'expo-asset';

/** The page of the docs about notation; it ships with the app as a file. */
export async function notationText(): Promise<string> {
  const response = await fetch(Asset.fromModule(notation).uri);
  if (!response.ok) throw new Error('The page could not be opened.');
  return response.text();
}
