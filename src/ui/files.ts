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

export interface OpenedFile {
  name: string;
  text: string;
}

/** A file larger than this is not opened at all. */
const largestFile = 3_000_000;

/** Lets the maker choose a file and reads it as text; null where she chose none. */
export async function openFile(): Promise<OpenedFile | null> {
  const picked = await getDocumentAsync({
    type: ['application/json', 'text/plain', 'text/markdown', '.hoppla.json', '.txt', '.md'],
  });
  const asset = picked.canceled ? undefined : picked.assets[0];
  if (!asset?.file) return null;
  if (asset.file.size > largestFile) throw new Error('This file is too large for a pattern or a toy.');
  const bytes = await asset.file.arrayBuffer();
  try {
    return { name: asset.name, text: new TextDecoder('utf-8', { fatal: true }).decode(bytes) };
  } catch {
    throw new Error('This file is not text. Open a .hoppla.json file, or a pattern saved as plain text.');
  }
}

/** A name fit for a file: `pondside-otter`. */
export function fileName(name: string): string {
  return (
    name
      .toLowerCase()
      .normalize('NFKD')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '') || 'toy'
  );
}
