/** What is handed to another app or another person: a file, and the words it stands for. */
export interface Shared {
  title: string;
  fileName: string;
  text: string;
}

/** Some systems hand on no file of another kind than plain text. */
const fileOf = ({ fileName, text }: Shared, isPlain: boolean): File =>
  isPlain
    ? new File([text], `${fileName}.txt`, { type: 'text/plain' })
    : new File([text], fileName, { type: 'application/json' });

function shareable(shared: Shared): ShareData | null {
  if (typeof navigator === 'undefined' || !('canShare' in navigator)) return null;
  const { title } = shared;
  const asFiles = [false, true].map((isPlain): ShareData => ({ title, files: [fileOf(shared, isPlain)] }));
  return asFiles.find((data) => navigator.canShare(data)) ?? null;
}

/** Whether this browser can hand something to another app. */
export const canShare = (shared: Shared): boolean => shareable(shared) !== null;

/** Hands it on; false where she chose nobody. */
export async function share(shared: Shared): Promise<boolean> {
  const data = shareable(shared);
  if (!data) return false;
  try {
    await navigator.share(data);
    return true;
  } catch (reason) {
    if (reason instanceof DOMException && reason.name === 'AbortError') return false;
    throw reason;
  }
}

/** Puts words where they can be pasted from; throws where the browser does not let it. */
export async function copy(text: string): Promise<void> {
  await navigator.clipboard.writeText(text);
}
