import type { Audience } from './audience';
import type { RuleBook } from './ruleBook';

/** How a join is made to hold, and how a maker tries it. */
export interface Reinforcement {
  how: string;
  test: string;
}

/** What makes a seam hold, for whom. Choices are compared by how many threads cross each stitch, not by invented forces. */
export function reinforceJoin(
  { stitches, noSew }: { stitches: number; noSew: boolean },
  audience: Audience | null,
  { figures }: RuleBook,
): Reinforcement {
  const isCareful = audience === 'under-3' || audience === 'pet';
  const isThin = stitches > 0 && stitches < figures.fewStitches;
  const how = noSew
    ? 'Worked in: every stitch goes through both layers. Draw the tail back through three of them and bury it.'
    : isCareful || isThin
      ? 'Sew twice round in opposite directions: two threads cross each stitch instead of one. Three times through the first and last stitch and at each pin.'
      : 'Sew once round, close; three times through the first and last stitch. Bury the tail in three directions.';
  return {
    how,
    test: `Pull it straight out for ${figures.pullSeconds} seconds with about ${Math.round(figures.pullN / 10)} kg on a luggage scale, then from each side. No stitch may open. This is a try at home, no test by a laboratory.`,
  };
}
