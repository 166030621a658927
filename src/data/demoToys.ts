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
  if (!response.ok) throw new Error('The demo toys could not be opened.');
  return (await response.json()) as DemoToy[];
}

/** Her last tap on what the demo has half made: the evening before. */
const sinceLastTap = 20 * 3_600_000;

/**
 * Begins what the demo has half made, for toys that are on the shelf now. The toys themselves are there already: what can't be kept of
 * their making is only missing.
 *
 * @param ids of the toys, in their order; none where another tab has put them there
 */
export async function beginDemo(toys: readonly DemoToy[], ids: readonly string[]): Promise<void> {
  try {
    const { runs } = await import('./runs');
    for (const [i, { document, card, making }] of toys.entries()) {
      const toy = ids[i];
      if (!making || toy === undefined) continue;
      const begun = Date.now() - sinceLastTap - (making.events.at(-1)?.at ?? 0);
      const events = making.events.map((event) => ({ ...event, at: begun + event.at }));
      const { copies } = making;
      const started = new Date(begun).toISOString();
      const run = { id: `demo-${toy}`, toy, name: card.name, text: document.text, copies, started };
      await runs.restore(run, events);
    }
  } catch {
    // Tried again the toys would be there twice; without their making they are as good.
  }
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
