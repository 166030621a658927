import { t } from '../core/words/language';
import { getDocumentAsync } from 'expo-document-picker';

/** Hands the maker a file to keep. */
export function saveFile(name: string, contents: string, type: string): void {
  saveBlob(name, new Blob([contents], { type }));
}

/** The same for what is no text: a picture, a form. */
export function saveBlob(name: string, contents: Blob): void {
  const url = URL.createObjectURL(contents);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  document.body.append(link);
  link.click();
  link.remove();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

/** A file as text, or the bytes of a packed one. */
export type OpenedFile = { name: string; text: string } | { name: string; packed: Uint8Array };

/** Files larger than this are not opened at all. */
const largestText = 3_000_000;
const largestPacked = 40_000_000;

const notText = () => t`This file is not text. Open a .hoppla.json file, or a pattern saved as plain text.`;

/** What every packed file begins with. */
const isPacked = ([p, k]: Uint8Array): boolean => p === 0x50 && k === 0x4b;

/** Lets the maker choose a file of text; null where she chose none. */
export async function openText(): Promise<{ name: string; text: string } | null> {
  const file = await openFile();
  if (file && 'packed' in file) throw new Error(notText());
  return file;
}

/** Lets the maker choose a file and reads it; null where she chose none. */
export async function openFile(): Promise<OpenedFile | null> {
  const picked = await getDocumentAsync({
    type: [
      'application/json',
      'text/plain',
      'text/markdown',
      'application/zip',
      '.hoppla.json',
      '.txt',
      '.md',
      '.zip',
    ],
  });
  const asset = picked.canceled ? undefined : picked.assets[0];
  if (!asset?.file) return null;
  if (asset.file.size > largestPacked) throw new Error(t`This file is too large for a shelf of toys.`);
  const bytes = await asset.file.arrayBuffer();
  const packed = new Uint8Array(bytes);
  if (isPacked(packed)) return { name: asset.name, packed };
  if (asset.file.size > largestText) throw new Error(t`This file is too large for a pattern or a toy.`);
  try {
    return { name: asset.name, text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    throw new Error(notText());
  }
}
