import type { ReadyToy } from './keptToy';

/** The demo toys, the first on top. They ship with the app as they are kept, so that a new shelf reads no pattern. */
export async function demoToys(): Promise<ReadyToy[]> {
  const response = await fetch('/demo.json');
  if (!response.ok) throw new Error('The demo toys could not be opened.');
  return (await response.json()) as ReadyToy[];
}

/** Does this server put the demo toys on a new shelf? */
export async function wantsDemo(): Promise<boolean> {
  try {
    const response = await fetch('/boot.json');
    if (!response.ok || !response.headers.get('content-type')?.includes('json')) return false;
    return ((await response.json()) as { demo?: boolean }).demo === true;
  } catch {
    return false;
  }
}
