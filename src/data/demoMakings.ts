import type { DemoToy } from './demoToys';
import { runs } from './runs';

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
