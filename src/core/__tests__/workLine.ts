import { startOf } from '../fabric/startOf';
import { roundItems } from '../fabric/roundItems';
import { workRound, type RoundWork } from '../fabric/workRound';
import { readWorkLine } from '../notation/grammar';
import { readPattern } from '../notation/readPattern';

/** Works one line over `below` stitches, or as a start where there are none. */
export function workLine(line: string, below: number | null): RoundWork {
  const [source] = readPattern(line).parts[0]?.rounds ?? [];
  const work = source?.work ?? readWorkLine(line);
  const options = { terms: 'us' as const, colour: null, sink: { stitch: () => undefined } };
  if (below !== null) return workRound(source ? roundItems(source, false) : work.items, below, options);
  const start = startOf([...(source?.foundation ?? []), ...work.items], source?.row ?? false);
  return workRound(start.items, start.places, options);
}
