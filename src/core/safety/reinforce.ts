import { t } from '../words/language';
import type { Audience } from './audience';
import { kilograms } from './trials';
import type { RuleBook } from './ruleBook';

/** One way to make something hold. Ways are compared by what can be counted, not by invented forces. */
export interface HoldingWay {
  key: 'once' | 'twice' | 'worked-in' | 'washer' | 'disc' | 'stitched';
  /** a few words for a choice */
  name: string;
  /** passes, stitches, thread: what to do */
  how: string;
  /** what carries the pull, counted */
  carries: string;
}

/** What holds a join or a feature: the ways there are, the one the text takes, the one to prefer, and how to try it. */
export interface Reinforcement {
  ways: readonly HoldingWay[];
  taken: HoldingWay;
  /** the way for those it is made for; the one taken where that does */
  advised: HoldingWay;
  test: string;
}

/** What the comparison rests on. */
export const basisOfHolding = t`Compared by counting the threads and the width that carry a pull. Nobody measured it on your toy: try it.`;

const fastened = t`three times through the first and last stitch and at each pin. Bury the tail in three directions.`;

const once: HoldingWay = {
  key: 'once',
  name: t`Once round`,
  how: t`Sew once round, close, with the long tail in ladder or whip stitch through both loops; ${fastened}`,
  carries: t`One thread crosses each stitch of the seam.`,
};

const twice: HoldingWay = {
  key: 'twice',
  name: t`Twice round`,
  how: t`Sew twice round in opposite directions, the second time with strong sewing thread or the rest of the tail; ${fastened}`,
  carries: t`Two threads cross each stitch: one may break and the seam still holds.`,
};

const workedIn: HoldingWay = {
  key: 'worked-in',
  name: t`Worked in`,
  how: t`Worked in: every stitch goes through both layers. Draw the tail back through three of them and bury it.`,
  carries: t`Each stitch itself goes through both pieces: there is no seam to break.`,
};

/** Sewn or worked in at home, the pull is the maker's own hands or a luggage scale. */
const tried = ({ figures }: RuleBook, newton: number, fault: string): string =>
  t`Pull it straight out for ${figures.pullSeconds} seconds with about ${kilograms(newton)} kg on a luggage scale, then from each side. ${fault} This is a try at home, no test by a laboratory.`;

const isCareful = (audience: Audience | null): boolean => audience === 'under-3' || audience === 'pet';

/**
 * What holds a join.
 *
 * @param stitches of its seam; 0 where that is not known
 */
export function holdingOfJoin(
  { stitches, noSew, isTwice }: { stitches: number; noSew: boolean; isTwice: boolean },
  audience: Audience | null,
  book: RuleBook,
): Reinforcement {
  const test = tried(book, book.figures.seamN, t`No stitch may open.`);
  if (noSew) return { ways: [workedIn], taken: workedIn, advised: workedIn, test };
  const isThin = stitches > 0 && stitches < book.figures.fewStitches;
  const taken = isTwice ? twice : once;
  return { ways: [once, twice], taken, advised: isCareful(audience) || isThin ? twice : taken, test };
}

const throughStitch = t`Push the post between two stitches or through a hole, never through a split strand`;

/**
 * What holds an eye or a nose with a post.
 *
 * @param washer across, in mm
 * @param disc across, in mm
 */
export function holdingOfPost(
  { washer, disc, isBacked }: { washer: number; disc: number; isBacked: boolean },
  audience: Audience | null,
  book: RuleBook,
): Reinforcement {
  const plain: HoldingWay = {
    key: 'washer',
    name: t`Washer alone`,
    how: t`${throughStitch}; press the washer to the last click.`,
    carries: t`The pull rests on the stitches under ${washer} mm of washer.`,
  };
  const backed: HoldingWay = {
    key: 'disc',
    name: t`With a disc`,
    how: t`${throughStitch}. Lay a disc of felt or woven cloth of ${disc} mm over it, then press the washer to the last click.`,
    carries: t`The pull is spread over ${disc} mm, ${Math.round((disc / washer) ** 2 * 10) / 10} times the area of the washer, and cloth does not open like stitches.`,
  };
  const taken = isBacked ? backed : plain;
  return {
    ways: [plain, backed],
    taken,
    advised: audience === 'keepsake' ? taken : backed,
    test: tried(book, book.figures.pullN, t`It may not tilt, and no stitch around it may open.`),
  };
}

/** What holds something flat that is sewn on by its edge. */
export function holdingOfPatch(
  { isTwice }: { isTwice: boolean },
  audience: Audience | null,
  book: RuleBook,
): Reinforcement {
  const edge = t`small stitches all round its edge, the knots on the inside`;
  const single: HoldingWay = {
    key: 'once',
    name: t`Once round`,
    how: t`Sew it with ${edge}.`,
    carries: t`One thread holds each part of the edge.`,
  };
  const double: HoldingWay = {
    key: 'twice',
    name: t`Twice round`,
    how: t`Sew it twice round with ${edge}, the second time between the first stitches.`,
    carries: t`Two threads hold each part of the edge: it can’t be lifted with a nail.`,
  };
  const taken = isTwice ? double : single;
  return {
    ways: [single, double],
    taken,
    advised: isCareful(audience) ? double : taken,
    test: tried(book, book.figures.pullN, t`No edge may lift.`),
  };
}

/** What is stitched with thread alone. */
export function holdingOfStitching(strands: string, book: RuleBook): Reinforcement {
  const stitched: HoldingWay = {
    key: 'stitched',
    name: t`Stitched`,
    how: t`${strands.charAt(0).toUpperCase()}${strands.slice(1)}. Knot both ends inside and run each through the stuffing in three directions.`,
    carries: t`There is no hard piece: a thread may be pulled, nothing comes off.`,
  };
  const test = t`Pull at each thread with the point of a needle: no loop may stand up. ${book.figures.pullSeconds} seconds each. This is a try at home, no test by a laboratory.`;
  return { ways: [stitched], taken: stitched, advised: stitched, test };
}
