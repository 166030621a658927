import { t } from '../language';
import { sayTerm } from '../said';
import { agree, low, plural, some } from '../counted';
import type { NoFacts, Words } from './words';
import { cutWords, sizeWords } from '../measures';

/** A piece and what it goes to, by the names of their parts. */
interface Pieces {
  piece: string;
  wall: string;
}

/** Those, of so many units. */
interface Units extends Pieces {
  count: number;
}

/** What would let parts into a round that has no room for them; each was tried. */
export interface WaysIn {
  /** the nearest round that holds them */
  nearest: number | null;
  /** a piece whose edge may have two stitches less */
  narrower: { name: string; count: number } | null;
}

/** A no-sew round that can't be worked. */
interface NoRound extends WaysIn {
  wall: string;
  round: number;
  /** stitches of the round */
  count: number;
  /** stitches that are wanting */
  missing: number;
}

/** A written round that works something in. */
interface WrittenIn {
  words: string;
  wall: string;
  round: number;
}

/** Parts in a written round, as they lie about its middle; in stitches. */
interface Uneven extends Units {
  round: number;
  off: number;
  /** behind the middle */
  isLater: boolean;
  before: number;
  after: number;
  /** stitch that would be the front */
  front: number;
}

/**
 * What the messages about joins are made of. Pieces by the names of their parts, rounds by their numbers in the text, lengths in mm.
 */
export interface JoiningFacts {
  'join-where': Pieces;
  'join-wall': Pieces;
  'join-what': NoFacts;
  'join-no-rounds': { piece: string };
  'join-two-rounds': { rounds: readonly number[] };
  'join-row-missing': Pieces & { what: string };
  'join-waits': Pieces & { what: string };
  /** the wall is flat */
  'join-around': Units & { isFlat?: boolean };
  'join-turn': Pieces;
  'stance-unused': { piece: string; words: string };
  /** `where`: each stitch that stands out, or behind which something grows, and where that is on the mirror image */
  'units-mirrored': {
    piece: string;
    where: readonly { round: number; grows: boolean; stitch: number; mirrored: number }[];
  };
  'join-assumed': Units & { where: keyof typeof usual };
  'join-apart': Units & { between: number };
  'join-side': { piece: string; said: string };
  'join-unworked': Pieces & { what: string };
  'join-no-wall': { piece: string };
  /** `sewn`: what of it, by how many stitches, and the number of its row that is up; null where its outline is not known */
  'join-flat': Pieces & { sewn: FlatSewn | null };
  'join-flat-how': Pieces;
  /** `what`: whether it is not known where its point lies, or there is none */
  'join-point': Pieces & { what: string };
  'join-strand': Pieces;
  /** `through`: the round it is sewn through */
  'join-closed': Units & { through: number };
  'limb-wider-than-wall': Units;
  'join-over-edge': Pieces;
  /** an edge of `m` stitches and one of `n`; `round`: the one of the larger that has as many */
  'edges-ratio': { smaller: string; larger: string; m: number; n: number; round: number | null };
  'edges-same-end': Pieces;
  'joins-overlap': { piece: string; other: string };
  'join-on-feature': { piece: string; feature: string };
  'join-hung': Pieces & { threadMm: number | undefined };
  /** `lengthMm` from end to end, and the thread that takes */
  'join-strung': { count: number; lengthMm: number; threadMm: number };
  'join-through': Pieces & { insideMm: number; outMm: number };
  'through-short': Pieces & { insideMm: number };
  'fit-depth': Pieces;
  /** `better`: the nearest round that has as many stitches as the edge */
  'fit-width': Pieces & {
    edge: number;
    round: number;
    count: number;
    isNarrow: boolean;
    better: number | null;
  };
  'nosew-room': NoRound;
  'nosew-half': NoRound;
  'nosew-parity': NoRound;
  /** `half`: what the edge is as it lies flat; `taken`: what the round works through it */
  'nosew-width': Pieces & { round: number; edge: number; half: number; taken: number };
  'nosew-uneven': Uneven;
  'nosew-leans': Uneven;
  'nosew-units': WrittenIn & { piece: string; make: number };
  'nosew-piece': WrittenIn;
  'nosew-unread': Pieces & { round: number };
}

interface FlatSewn {
  by: 'outline' | 'first row' | 'last row';
  count: number;
  upper: number;
}

/** Where something goes that the text does not say. */
const usual = {
  front: t`in the middle of the front`,
  back: t`in the middle of the back`,
  sides: t`on both sides, a quarter of a round from the front`,
  top: t`on top`,
};

function flatWords(sewn: FlatSewn | null): string {
  if (!sewn)
    return t`its middle is placed, and its outline is not known. Pin it all round, then sew it down.`;
  const { by, count, upper } = sewn;
  if (by !== 'outline')
    return t`it is sewn by its ${sayTerm(by)}, ${plural(count, 'stitch')}, and free otherwise.`;
  return t`it is sewn down around its outline, ${plural(count, 'stitch')}, its row ${upper} up. Where it should be otherwise, write “by its last row”, or say whether it starts at the top or the bottom.`;
}

function waysSaid({ nearest, narrower }: WaysIn): string {
  const byRound = nearest === null ? '' : t`Round ${nearest} is the nearest that holds them. `;
  const isOne = narrower?.count === 1;
  const byWidth = narrower
    ? t`With two stitches less at ${isOne ? t`its edge` : t`each edge`} the ${some(narrower.name, narrower.count)} ${isOne ? t`goes` : t`go`} in here.`
    : '';
  const none = t`No round within reach holds them: make the parts narrower, or sew one of them on.`;
  return byRound || byWidth ? (byRound + byWidth).trim() : none;
}

export const joiningWords: Words<JoiningFacts> = {
  'join-where': ({ piece, wall }) =>
    t`The text joins the ${low(piece)} to the ${low(wall)} and does not say on which round. Write it: “on round 20”.`,
  'join-wall': ({ piece, wall }) =>
    t`Nothing says what the ${low(piece)} ${agree(piece, t`is`, t`are`)} sewn to: the ${low(wall)} is taken. Write “to the ${low(wall)}” to settle it.`,
  'join-what': () =>
    t`This sentence names what something is joined to, and not what. Name the part that goes there.`,
  'join-no-rounds': ({ piece }) =>
    t`The ${low(piece)} ${agree(piece, t`is`, t`are`)} joined, and the text has no round of ${agree(piece, t`it`, t`them`)}: where ${agree(piece, t`it goes`, t`they go`)} is not worked out. Write how ${agree(piece, t`it is`, t`they are`)} worked.`,
  'join-two-rounds': ({ rounds }) =>
    t`This sentence names more than one place: it is not clear what round ${rounds.join(t` and `)} is for. Write one sentence for each part.`,
  'join-row-missing': ({ piece, wall, what }) =>
    t`The ${low(piece)} should go by ${what}, and the ${low(wall)} has no such place.`,
  'join-waits': ({ piece, what }) =>
    t`The ${low(piece)} ${agree(piece, t`is`, t`are`)} placed by the ${low(what)}, and where that goes is not known.`,
  'join-around': ({ piece, wall, count, isFlat }) =>
    isFlat
      ? t`Nothing says where across the ${low(wall)} the ${count === 1 ? '' : `${count} `}${some(piece, count)} ${count === 1 ? t`goes` : t`go`}. Write it: “in the middle”, “5 stitches from the middle”, or the stitch of each.`
      : t`Nothing says where around the ${low(wall)} the ${count === 1 ? '' : `${count} `}${some(piece, count)} ${count === 1 ? t`goes` : t`go`}. Write it: “on both sides”, “at the back”, “4 stitches from the front”, “evenly around”.`,
  'join-turn': ({ piece }) =>
    t`Which way round the ${low(piece)} ${agree(piece, t`is`, t`are`)} turned is not clear there: ${agree(piece, t`its front looks`, t`their fronts look`)} that way already, or straight away from it. Write “clockwise” or “anticlockwise”, as you look at ${agree(piece, t`it`, t`them`)} from outside.`,
  'stance-unused': ({ piece, words }) =>
    t`“${words}” is not followed for the ${low(piece)}: joined in this way ${agree(piece, t`it stands`, t`they stand`)} as the round or the edge does; what is flat turns by degrees, not by stitches. Pin ${agree(piece, t`it`, t`them`)}, look from every side, then sew.`,
  'units-mirrored': ({ piece, where }) => {
    const says = where.map(({ round, grows, stitch, mirrored }) =>
      grows
        ? t`in round ${round} behind stitch ${mirrored} instead of ${stitch === 0 ? t`before stitch 1` : stitch}`
        : t`in round ${round} at stitch ${mirrored} instead of ${stitch}`,
    );
    return t`The ${low(piece)} are a pair and worked alike, but something stands out on one side of them. On one of the two work it ${says.join(', ')}; or turn them so that it looks to the front.`;
  },
  'join-assumed': ({ piece, count, where }) =>
    t`Nothing says where: the ${some(piece, count)} ${count === 1 ? t`is` : t`are`} taken to go ${usual[where]}. Write it to settle it.`,
  'join-apart': ({ between, piece, count }) =>
    t`“${between} stitches apart” is taken from edge to edge of the ${some(piece, count)}. Write “${between} stitches between them”, or “so many stitches from the front”, to settle it.`,
  'join-side': ({ piece, said }) =>
    t`The text calls it the ${said} one, and as one looks at the toy’s front the ${low(piece)} is on the other side. Say where round 1 is (Start: top or bottom), or change the side or the stitch.`,
  'join-unworked': ({ piece, what }) =>
    t`Where the ${low(piece)} ${agree(piece, t`is`, t`are`)} joined is not worked out: the ${low(what)} lies on its side or is flat. On one that lies, say the round, and the stitch of each, “evenly”, “at the front”, “at the back”, “on the top” or “on the bottom”; on a flat one the row, and “in the middle” or the stitch. Or pin it, look from every side, then sew.`,
  'join-no-wall': ({ piece }) =>
    t`Nothing says what the ${low(piece)} ${agree(piece, t`is`, t`are`)} joined to.`,
  'join-flat': ({ piece, sewn }) => t`The ${low(piece)} is a flat piece: ${flatWords(sewn)}`,
  'join-flat-how': ({ piece }) =>
    t`The ${low(piece)} is a flat piece, and nothing says how it is sewn on. Write “all round its edge”, “by its last row” or “by its first row”.`,
  'join-point': ({ piece, wall, what }) =>
    what === 'none'
      ? t`The ${low(piece)} ${agree(piece, t`comes`, t`come`)} to no point: neither end of it is narrow or drawn together. Say on which round ${agree(piece, t`it goes`, t`they go`)}, and which edge is sewn.`
      : t`The point of the ${low(piece)} should lie at the middle, and it is not said of what. Write “at the middle of the crown”, “of the start” or “of the end” of the ${low(wall)}.`,
  'join-strand': ({ piece }) =>
    t`The ${low(piece)} is a strand: it is fastened by one end, at the place that is given, and hangs free.`,
  'join-closed': ({ piece, wall, count, through }) =>
    t`The ${low(piece)} ends closed: it is sewn onto the ${low(wall)} through its round ${through}, ${plural(count, 'stitch')} around that end.`,
  'limb-wider-than-wall': ({ piece, wall, count }) =>
    t`The edge of the ${low(piece)} has ${plural(count, 'stitch')}: more than the ${low(wall)} is wide there. Flatten it, or join it where the ${low(wall)} is wider.`,
  'join-over-edge': ({ piece, wall }) =>
    t`The ${low(piece)} would reach over the open edge of the ${low(wall)}. Move it further from that edge.`,
  'edges-ratio': ({ smaller, larger, m, n, round }) =>
    t`The edge of the ${low(larger)} has ${plural(n, 'stitch')} and that of the ${low(smaller)} ${plural(m, 'stitch')}: sewn together the larger gathers.${round === null ? '' : t` Round ${round} of the ${low(larger)} has ${plural(m, 'stitch')}: end it there.`}`,
  'edges-same-end': ({ piece, wall }) =>
    t`The ${low(piece)} and the ${low(wall)} are sewn together by their last rounds, and both are taken to begin at the top: one of them stands the other way up. Say where round 1 of the ${low(wall)} is: left and right of it follow from that.`,
  'joins-overlap': ({ piece, other }) =>
    t`The ${low(piece)} and the ${low(other)} come to the same stitches. Move one of them.`,
  'join-on-feature': ({ piece, feature }) => t`The ${low(piece)} lies over the ${low(feature)}.`,
  'join-hung': ({ piece, wall, threadMm }) =>
    t`The ${low(piece)} hangs from the ${low(wall)}${threadMm === undefined ? '' : t` by ${sizeWords(threadMm)}`}: draw the thread through a stitch of each twice and bury its ends. A thread is a cord: keep it short, and not on a toy for small children.`,
  'join-strung': ({ count, lengthMm, threadMm }) =>
    t`${plural(count, 'piece')} on one thread, about ${sizeWords(lengthMm)} from end to end: take ${cutWords(threadMm)} of strong thread, doubled. Knot it before the first and behind the last, and beside each that should stay in its place. A thread is a cord: keep it short, and not on a toy for small children.`,
  'join-through': ({ piece, wall, insideMm, outMm }) =>
    t`The ${low(piece)} ${agree(piece, t`passes`, t`pass`)} through the ${low(wall)}: about ${sizeWords(insideMm)} are inside, ${sizeWords(outMm)} hang out on each side. Pull it through before stuffing, and catch it with a stitch on each side.`,
  'through-short': ({ piece, wall, insideMm }) =>
    t`The ${low(piece)} ${agree(piece, t`is`, t`are`)} too short: the ${low(wall)} is about ${sizeWords(insideMm)} across there. Make it longer, or pull it through where the ${low(wall)} is narrower.`,
  'fit-depth': ({ piece, wall }) =>
    t`Nothing says how far the ${low(wall)} goes into the ${low(piece)}. Write it: “2 rounds deep”, or the round an edge is sewn to and of what: “at round 8 of the ${low(wall)}”.`,
  'fit-width': ({ piece, wall, edge, round, count, isNarrow, better }) =>
    t`The edge of the ${low(piece)} has ${plural(edge, 'stitch')}, and round ${round} of the ${low(wall)} ${plural(count, 'stitch')}: it ${isNarrow ? t`pulls` : t`gapes`} there.${better === null ? '' : t` Round ${better} has as many.`}`,
  'nosew-room': ({ wall, round, count, missing, ...ways }) =>
    t`Round ${round} of the ${low(wall)} has ${plural(count, 'stitch')}, and what is worked into it needs ${missing} more. ${waysSaid(ways)}`,
  'nosew-half': ({ wall, round, ...ways }) =>
    t`On round ${round} of the ${low(wall)} one half has too few stitches for the parts of that side to lie mirror-equal. ${waysSaid(ways)}`,
  'nosew-parity': ({ wall, round, count, ...ways }) =>
    t`On round ${round} of the ${low(wall)} (${plural(count, 'stitch')}) the part in front and the one at the back can't both lie in the middle: one has an odd and one an even width. ${waysSaid(ways)}`,
  'nosew-width': ({ piece, wall, round, edge, half, taken }) =>
    t`Round ${round} of the ${low(wall)} works ${plural(taken, 'stitch')} through the ${low(piece)}. Its edge of ${plural(edge, 'stitch')} lies flat as ${half}: work ${half} through it.`,
  'nosew-uneven': ({ piece, count, wall, round, off, isLater, before, after }) =>
    t`Round ${round} of the ${low(wall)} works the ${some(piece, count)} in ${count === 1 ? t`beside the middle` : t`unevenly`}: ${count === 1 ? t`it lies` : t`their middle lies`} ${plural(off, 'stitch')} ${isLater ? t`after` : t`before`} the front line or the back. ${count === 1 ? '' : t`There are ${plural(before, 'stitch')} before the first and ${after} after the last. `}Count that round again, or say where the front is.`,
  'nosew-leans': ({ piece, count, wall, round, off, front }) =>
    t`Round ${round} of the ${low(wall)} has the ${some(piece, count)} even in itself. But rounds lean: seen from the face on its own rounds ${count === 1 ? t`it is` : t`they are`} about ${plural(off, 'stitch')} to one side. To have the face in line with ${count === 1 ? t`it` : t`them`}, write “Front: stitch ${front} of round ${round}” under the heading of the ${low(wall)}.`,
  'nosew-units': ({ words, wall, round, piece, make }) =>
    t`Round ${round} of the ${low(wall)} works in “${words}”, and all ${some(piece, make)} that are made are in place already (${make}). Make one more, or take it out of the round.`,
  'nosew-piece': ({ words, wall, round }) =>
    t`Round ${round} of the ${low(wall)} works in “${words}”, and no part is called so. Head the part with that name, or name it here as its heading does.`,
  'nosew-unread': ({ piece, wall, round }) =>
    t`Round ${round} of the ${low(wall)} names the ${low(piece)}, and how it is worked in there could not be read. Write it so: “6 sc through the ${low(piece)} and the ${low(wall)}”.`,
};
