import { t } from '../language';
import { plural } from '../counted';
import { roundName, type NoFacts, type RoundSaid, type Words } from './words';
import { sizeWords } from '../measures';

/** What the messages about a toy as a whole are made of, and about the openings of its parts. Lengths in mm. */
export interface ToyFacts {
  /** parts that wait for each other, each for the next and the last for the first */
  'order-cycle': { pieces: readonly string[] };
  'colour-undefined': { round: number; yarn: string };
  /** `more`: other rounds of the part that do */
  'colour-unread': RoundSaid & { words: string; more: number };
  'part-unused': { part: string };
  'part-count': { part: string; make: number; placed: number };
  'apart-reading': { apart: number };
  'not-closed': { stitches: number };
  'eyes-no-opening': { isPair: boolean; round: number; openingMm: number; neededMm: number };
  'stuffing-no-opening': { widestMm: number };
  /** what is drawn through the part, how far that is, the needle there is and the one it takes; in mm */
  'needle-short': { part: string; what: string; mm: number; needleMm: number; wantedMm: number };
  'enclosed-no-opening': { thing: string; widestMm: number; sizeMm: number; isAssumed: boolean };
  'eyes-under-three': NoFacts;
  'line-where':
    | { thing: string; open: 'lying' | 'along' | 'rounds' }
    | { thing: string; open: 'no-rounds'; part: string; rounds: readonly number[] };
}

function cycleWords(pieces: readonly string[]): string {
  const waits = pieces.map((piece, i) =>
    i === 0
      ? t`The ${piece} waits for the ${pieces[(i + 1) % pieces.length]}`
      : t`the ${piece} waits for the ${pieces[(i + 1) % pieces.length]}`,
  );
  return t`${waits.join(', ')}: none of them can be finished first. Sew one of them on instead of working it in.`;
}

function lineWords(facts: ToyFacts['line-where']): string {
  const what = t`The ${facts.thing}: `;
  switch (facts.open) {
    case 'lying':
      return t`${what}lines are followed on parts worked in rounds that stand upright; on this one count the holes on the piece.`;
    case 'along':
      return t`${what}say along what, “along the back”, “along the front”, “along both sides”.`;
    case 'rounds':
      return t`${what}say from which round to which, “from R4 to R14”.`;
    case 'no-rounds':
      return facts.rounds.length === 1
        ? t`${what}${facts.part} has no such round to knot it into, ${facts.rounds.join()}.`
        : t`${what}${facts.part} has no rounds ${facts.rounds.join(t` and `)} to run between.`;
  }
}

export const toyWords: Words<ToyFacts> = {
  'order-cycle': ({ pieces }) => cycleWords(pieces),
  'colour-undefined': ({ round, yarn }) =>
    t`Round ${round} uses “${yarn}”, but no line says which yarn that is.`,
  'colour-unread': ({ words, more, ...round }) =>
    t`${roundName(round)} says “${words}”, and which stitches that is for is not read: they stay in the yarn before.${more > 0 ? t` So do ${more} more of its rounds.` : ''} Write it as “12 sc in brown, 12 sc in white”, or “change to white”.`,
  'part-unused': ({ part }) => t`${part} is made, but no sentence says where it goes.`,
  'part-count': ({ part, make, placed }) =>
    placed === 1
      ? t`${part} is made ${make} times, but only one is put in place.`
      : t`${part} is made ${make} times, but only ${placed} are put in place.`,
  'apart-reading': ({ apart }) =>
    t`“${apart} apart” is taken from post to post, so ${apart - 1} show between. Do you mean that, or ${apart} showing?`,
  'not-closed': ({ stitches }) =>
    t`The text closes this part with ${plural(stitches, 'stitch')} left. More than 12 stays an open hole: little fingers get in and stuffing comes out. Work more rounds of decreases first.`,
  'eyes-no-opening': ({ isPair, round, openingMm, neededMm }) =>
    t`After round ${round} the opening is only ${sizeWords(openingMm)}: washers can't be pressed there. They need ${sizeWords(neededMm)}. Move the ${isPair ? t`eyes` : t`nose`}, or embroider ${isPair ? t`them` : t`it`}.`,
  'stuffing-no-opening': ({ widestMm }) =>
    t`The opening never lets stuffing in: it is ${sizeWords(widestMm)} at the widest.`,
  'needle-short': ({ part, what, mm, needleMm, wantedMm }) =>
    t`${part}: for the ${what} the needle goes about ${sizeWords(mm)} straight through, and yours is ${sizeWords(needleMm)} long (My hands and tools). Take one of at least ${sizeWords(wantedMm)}, or go in two steps: out halfway between two stitches, and back in through the same hole.`,
  'enclosed-no-opening': ({ thing, widestMm, sizeMm, isAssumed }) =>
    t`The opening never lets the ${thing} in: it is ${sizeWords(widestMm)} at the widest, and the ${thing} ${isAssumed ? t`is taken to be` : t`is`} ${sizeMm} mm. ${isAssumed ? t`Write how wide it is: “a 15 mm …”.` : t`Take a smaller one.`}`,
  'eyes-under-three': () =>
    t`This toy is for children under three. Eyes with washers can come off and be swallowed: take them off and embroider the eyes instead.`,
  'line-where': lineWords,
};
