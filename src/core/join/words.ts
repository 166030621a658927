import pluralize from 'pluralize';
import type { ProblemCode } from '../notation/problemCodes';

type Facts = Readonly<Record<string, unknown>>;

const low = (name: unknown): string => String(name).toLowerCase();
/** A part by its name, as many as there are of it. */
const some = (name: unknown, count: unknown): string =>
  count === 1 ? pluralize.singular(low(name)) : pluralize.plural(low(name));
const are = (name: unknown): string => (pluralize.isPlural(low(name)) ? 'are' : 'is');
const stitches = (n: unknown): string => `${String(n)} ${n === 1 ? 'stitch' : 'stitches'}`;

const places: Record<string, string> = {
  front: 'in the middle of the front',
  back: 'in the middle of the back',
  sides: 'on both sides, a quarter of a round from the front',
  top: 'on top',
};

/** What would let parts into a round that has no room for them; each was tried. */
function waysSaid({ nearest, narrower }: Facts): string {
  const byRound = typeof nearest === 'number' ? `Round ${nearest} is the nearest that holds them. ` : '';
  const { name, count } = (narrower ?? {}) as { name?: string; count?: number };
  const isOne = count === 1;
  const byWidth = name
    ? `With two stitches less at ${isOne ? 'its edge' : 'each edge'} the ${some(name, count)} ${isOne ? 'goes' : 'go'} in here.`
    : '';
  const none = 'No round within reach holds them: make the parts narrower, or sew one of them on.';
  return byRound || byWidth ? (byRound + byWidth).trim() : none;
}

/** What is said of a join, by its code, from the facts it carries. */
const says: Partial<Record<ProblemCode, (facts: Facts) => string>> = {
  'join-where': ({ piece, wall }) =>
    `The text joins the ${low(piece)} to the ${low(wall)} and does not say on which round. Write it: “on round 20”.`,
  'join-wall': ({ piece, wall }) =>
    `Nothing says what the ${low(piece)} ${are(piece)} sewn to: the ${low(wall)} is taken. Write “to the ${low(wall)}” to settle it.`,
  'join-what': () =>
    'This sentence names what something is joined to, and not what. Name the part that goes there.',
  'join-no-rounds': ({ piece }) =>
    `The ${low(piece)} ${are(piece)} joined, and the text has no round of ${are(piece) === 'are' ? 'them' : 'it'}: where ${are(piece) === 'are' ? 'they go' : 'it goes'} is not worked out. Write how ${are(piece) === 'are' ? 'they are' : 'it is'} worked.`,
  'join-two-rounds': ({ rounds }) =>
    `This sentence names more than one place: it is not clear what round ${String(rounds)} is for. Write one sentence for each part.`,
  'join-row-missing': ({ piece, wall, what }) =>
    `The ${low(piece)} should go by ${String(what)}, and the ${low(wall)} has no such place.`,
  'join-waits': ({ piece, what }) =>
    `The ${low(piece)} ${are(piece)} placed by the ${low(what)}, and where that goes is not known.`,
  'join-around': ({ piece, wall, count }) =>
    `Nothing says where around the ${low(wall)} the ${count === 1 ? '' : `${String(count)} `}${some(piece, count)} ${count === 1 ? 'goes' : 'go'}. Write it: “on both sides”, “at the back”, “4 stitches from the front”, “evenly around”.`,
  'join-assumed': ({ piece, count, where }) =>
    `Nothing says where: the ${some(piece, count)} ${count === 1 ? 'is' : 'are'} taken to go ${places[String(where)] ?? ''}. Write it to settle it.`,
  'words-unused': ({ words, piece }) =>
    `“${String(words)}” could not be read and is left out for the ${low(piece)}. Say it by rounds and stitches: “3 stitches between them”, “4 stitches from the front”.`,
  'join-apart': ({ between, piece, count }) =>
    `“${String(between)} stitches apart” is taken from edge to edge of the ${some(piece, count)}. Write “${String(between)} stitches between them”, or “so many stitches from the front”, to settle it.`,
  'join-side': ({ piece, said }) =>
    `The text calls it the ${String(said)} one, and as one looks at the toy’s front the ${low(piece)} is on the other side. Say where round 1 is (Start: top or bottom), or change the side or the stitch.`,
  'join-unworked': ({ piece, what }) =>
    `Where the ${low(piece)} ${are(piece)} joined is not worked out: the ${low(what)} lies on its side or is flat. Pin it, look from every side, then sew.`,
  'join-no-wall': ({ piece }) => `Nothing says what the ${low(piece)} ${are(piece)} joined to.`,
  'join-flat': ({ piece }) =>
    `The ${low(piece)} is a flat piece: its middle is placed, and it is sewn down around its outline.`,
  'join-strand': ({ piece }) =>
    `The ${low(piece)} is a strand: it is fastened by one end, at the place that is given, and hangs free.`,
  'join-closed': ({ piece, wall, count, through }) =>
    `The ${low(piece)} ends closed: it is sewn onto the ${low(wall)} through its round ${String(through)}, ${stitches(count)} around that end.`,
  'limb-wider-than-wall': ({ piece, wall, count }) =>
    `The edge of the ${low(piece)} has ${stitches(count)}: more than the ${low(wall)} is wide there. Flatten it, or join it where the ${low(wall)} is wider.`,
  'join-over-edge': ({ piece, wall }) =>
    `The ${low(piece)} would reach over the open edge of the ${low(wall)}. Move it further from that edge.`,
  'edges-ratio': ({ smaller, larger, m, n, round }) =>
    `The edge of the ${low(larger)} has ${stitches(n)} and that of the ${low(smaller)} ${stitches(m)}: sewn together the larger gathers.${round === null ? '' : ` Round ${String(round)} of the ${low(larger)} has ${stitches(m)}: end it there.`}`,
  'edges-same-end': ({ piece, wall }) =>
    `The ${low(piece)} and the ${low(wall)} are sewn together by their last rounds, and both are taken to begin at the top: one of them stands the other way up. Say where round 1 of the ${low(wall)} is: left and right of it follow from that.`,
  'joins-overlap': ({ piece, other }) =>
    `The ${low(piece)} and the ${low(other)} come to the same stitches. Move one of them.`,
  'join-on-feature': ({ piece, feature }) => `The ${low(piece)} lies over the ${low(feature)}.`,
  'join-hung': ({ piece, wall, threadMm }) =>
    `The ${low(piece)} hangs from the ${low(wall)}${threadMm === undefined ? '' : ` by ${Math.round(Number(threadMm))} mm`}: draw the thread through a stitch of each twice and bury its ends. A thread is a cord: keep it short, and not on a toy for small children.`,
  'join-through': ({ piece, wall, insideMm, outMm }) =>
    `The ${low(piece)} ${are(piece) === 'are' ? 'pass' : 'passes'} through the ${low(wall)}: about ${String(insideMm)} mm are inside, ${String(outMm)} mm hang out on each side. Pull it through before stuffing, and catch it with a stitch on each side.`,
  'through-short': ({ piece, wall, insideMm }) =>
    `The ${low(piece)} ${are(piece)} too short: the ${low(wall)} is about ${String(insideMm)} mm across there. Make it longer, or pull it through where the ${low(wall)} is narrower.`,
  'fit-depth': ({ piece, wall }) =>
    `Nothing says how far the ${low(wall)} goes into the ${low(piece)}. Write it: “2 rounds deep”, or the round an edge is sewn to and of what: “at round 8 of the ${low(wall)}”.`,
  'fit-width': ({ piece, wall, edge, round, count, isNarrow, better }) =>
    `The edge of the ${low(piece)} has ${stitches(edge)}, and round ${String(round)} of the ${low(wall)} ${stitches(count)}: it ${isNarrow === true ? 'pulls' : 'gapes'} there.${better === null ? '' : ` Round ${String(better)} has as many.`}`,
  'nosew-room': ({ wall, round, count, missing, ...ways }) =>
    `Round ${String(round)} of the ${low(wall)} has ${stitches(count)}, and what is worked into it needs ${String(missing)} more. ${waysSaid(ways)}`,
  'nosew-half': ({ wall, round, ...ways }) =>
    `On round ${String(round)} of the ${low(wall)} one half has too few stitches for the parts of that side to lie mirror-equal. ${waysSaid(ways)}`,
  'nosew-parity': ({ wall, round, count, ...ways }) =>
    `On round ${String(round)} of the ${low(wall)} (${stitches(count)}) the part in front and the one at the back can't both lie in the middle: one has an odd and one an even width. ${waysSaid(ways)}`,
  'nosew-width': ({ piece, wall, round, edge, half, taken }) =>
    `Round ${String(round)} of the ${low(wall)} works ${stitches(taken)} through the ${low(piece)}. Its edge of ${stitches(edge)} lies flat as ${String(half)}: work ${String(half)} through it.`,
  'nosew-uneven': ({ piece, count, wall, round, off, isLater, before, after }) =>
    `Round ${String(round)} of the ${low(wall)} works the ${some(piece, count)} in ${count === 1 ? 'beside the middle' : 'unevenly'}: ${count === 1 ? 'it lies' : 'their middle lies'} ${stitches(off)} ${isLater ? 'after' : 'before'} the front line or the back. ${count === 1 ? '' : `There are ${stitches(before)} before the first and ${String(after)} after the last. `}Count that round again, or say where the front is.`,
  'nosew-leans': ({ piece, count, wall, round, off, front }) =>
    `Round ${String(round)} of the ${low(wall)} has the ${some(piece, count)} even in itself. But rounds lean: seen from the face on its own rounds ${count === 1 ? 'it is' : 'they are'} about ${stitches(off)} to one side. To have the face in line with ${count === 1 ? 'it' : 'them'}, write “Front: stitch ${String(front)} of round ${String(round)}” under the heading of the ${low(wall)}.`,
  'nosew-units': ({ words, wall, round, piece, make }) =>
    `Round ${String(round)} of the ${low(wall)} works in “${String(words)}”, and all ${some(piece, make)} that are made are in place already (${String(make)}). Make one more, or take it out of the round.`,
  'nosew-piece': ({ words, wall, round }) =>
    `Round ${String(round)} of the ${low(wall)} works in “${String(words)}”, and no part is called so. Head the part with that name, or name it here as its heading does.`,
};

/** The message of a problem with a join. */
export const joinWords = (code: ProblemCode, facts: Facts): string => says[code]?.(facts) ?? '';
