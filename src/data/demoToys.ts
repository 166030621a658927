import { t } from '../core/words/language';
import type { RunEvent } from '../core/make/run';
import type { ReadyToy } from './keptToy';

/** A demo toy, and how far one or several of it are made. */
export interface DemoToy extends ReadyToy {
  /** times of its events in milliseconds from its beginning */
  making?: { copies: number; events: RunEvent[] };
}

/** The demo toys, the first on top. They ship with the app as they are kept, so that a new shelf reads no pattern. */
export async function demoToys(): Promise<DemoToy[]> {
  const response = await fetch('/demo.json');
  if (!response.ok) throw new Error(t`The demo toys could not be opened.`);
  return (await response.json()) as DemoToy[];
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
