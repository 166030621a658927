import { t } from '../language';
import { sayTerm } from '../said';
import { agree, between, mm, plural } from '../counted';
import type { Words } from './words';

type Gap = readonly [number, number];
type SideSaid = 'left' | 'right';

/** A feature by its name in its part: `mouth`, `eyes`. */
interface OfFeature {
  name: string;
}

/** A height or a line that the part has not; what is taken instead. Counts from above are positive. */
type GapMissing =
  | (OfFeature & { why: 'beyond-face'; stitches: number })
  | (OfFeature & { why: 'beyond-part'; said: string; last: number; taken: Gap })
  | (OfFeature & { why: 'no-line'; round: number; last: number; taken: Gap })
  | { why: 'no-line-after'; round: number; taken: Gap };

/**
 * What the messages about features are made of. Rounds by their numbers in the text, lengths in mm, distances in whole stitches or rounds;
 * `lies` is of a part worked from one side of the toy to the other.
 */
export interface PlacingFacts {
  'no-line-of-holes': { part: string; feature: string };
  'too-many-features': { part: string; most: number };
  /** of a place, of a join, or of stuffing with what it leaves open */
  'words-unused': { words: string } & (
    | (OfFeature & { of: 'place' })
    | (OfFeature & { of: 'count'; planned: number })
    | { of: 'join'; piece: string }
    | { of: 'stuffing'; piece: string; open: 'extent' | 'weight' | 'firmnesses' | 'optional' | 'left' }
  );
  'how-far': OfFeature & { words: string; unit: string; direction: string; to: string };
  /** what is left open, and how it is filled, in the words of the rule */
  'as-usual': OfFeature & {
    open: 'where' | 'how high' | 'between which rounds' | 'how far out';
    filled: readonly string[];
  };
  'eyes-where': OfFeature & { taken: Gap };
  'feature-where': OfFeature & { taken: Gap };
  /** `mayBeMoment`: `after round 9` may say when */
  'eyes-on-round': OfFeature & { round: number; from: string; taken: Gap; mayBeMoment: boolean };
  'feature-on-round': OfFeature & { round: number; from: string; taken: Gap; mayBeMoment: boolean };
  /** one stitch named for two eyes, or no distance */
  'eyes-spacing': { apart: number | null; lies: boolean; isOneStitch: boolean };
  'feature-spacing': OfFeature & { apart: number; lies: boolean };
  'eyes-size': { sizeMm: number | null; from: 'materials' | 'usual' };
  'eyes-size-odd': { sizeMm: number; least: number; most: number };
  'eyes-two-lines': { taken: Gap };
  'eyes-one-line': { apart: number; taken: Gap };
  'eyes-other-side': { taken: Gap };
  'feature-two-places': OfFeature;
  'apart-showing-differ': { apart: number; shows: number; showing: number; seat: 'foot' | 'split' };
  'stitch-of-round': { round: number };
  'across-in-rounds': OfFeature;
  'across-in-stitches': OfFeature;
  /** `anchored`: it is counted from something that is placed */
  'up-in-rounds': OfFeature & { rounds: number; anchored: boolean };
  'rounds-not-below': { stitches: number };
  'anchor-missing': OfFeature & { to: string; how: 'on' | 'beside'; lies: boolean };
  'anchor-circle': OfFeature & { lies: boolean };
  'landmark-missing': OfFeature & { landmark: string };
  'landmark-ambiguous': OfFeature & { landmark: string; places: number };
  'gap-missing': GapMissing;
  'gap-not-adjacent': { gap: Gap };
  'range-beyond': OfFeature & { from: number; to: number; first: number; last: number };
  'stitch-missing': OfFeature & { round: number; stitches: number; stitch: number };
  /** `room`: lines or holes there are */
  'apart-impossible': OfFeature & { apart: number; room: number; lies: boolean };
  'front-by-eyes': { stitches: readonly number[]; off: number };
  /** `missed`: stitches or rounds; `pair`: the middle between two */
  'not-centred': OfFeature & {
    pair: boolean;
    isHalf: boolean;
    missed: number;
    unit: string;
    side: SideSaid | null;
    of: 'face' | 'front' | 'line';
    missMm: number;
  };
  'not-level': { lower: SideSaid | null; lowerMm: number };
  'off-the-eyes': OfFeature & { offMm: number };
  'straddles-start': Readonly<Record<string, never>>;
  /** two eyes in one hole, at one named stitch, or on one line of a part that lies */
  'same-hole': { why: 'increase' } | (OfFeature & { why: 'stitch' }) | { why: 'line' };
  'on-decrease': { side: string; stitch: number; round: number };
  'eye-large': { sizeMm: number; stitches: number };
  'eyes-overlap': { sizeMm: number; apartMm: number };
  /** the two of a pair, or those of two features */
  'washers-overlap': { apartMm: number; neededMm: number } & (
    { posts: null } | { posts: readonly [string, string] }
  );
  'rings-overlap': { ringMm: number; apartMm: number };
  'features-overlap': OfFeature & { other: string };
  'washer-on-decrease': { post: string; washerMm: number; round: number; stitch: number };
  'washer-on-ridge': { post: string; washerMm: number; rounds: Gap };
  /** `post` is null where it is said of the whole line */
  'ring-too-small': { acrossMm: number; post: string | null; washerMm: number };
  /** something lying there, a washer beside an eye, or washers so many rounds before */
  'near-closing':
    | (OfFeature & { why: 'lies' })
    | { why: 'beside'; round: number; side: string }
    | { why: 'past'; round: number; rounds: number };
}

const goes = (name: string): string => agreeing(name, t`goes`, t`go`);
const are = (name: string): string => agreeing(name, t`is`, t`are`);
const theyAre = (name: string): string => agreeing(name, t`It is`, t`They are`);
const unsure = t`until you say`;

/** `eyes`, `spots`: by the ending, for a name with its place behind it has no plural. */
const agreeing = (name: string, one: string, several: string): string =>
  name.endsWith('s') ? several : agree(name, one, several);

const whereWords = ({ name, taken }: PlacingFacts['eyes-where']): string =>
  t`The sentence does not say between which rounds the ${name} ${goes(name)}. ${theyAre(name)} put ${between(taken)} ${unsure}.`;

function onRoundWords(
  { name, round, from, taken, mayBeMoment }: PlacingFacts['eyes-on-round'],
  onRound: string,
): string {
  const words = mayBeMoment
    ? t`After round ${round}`
    : `${onRound} ${round}${from === 'start' ? '' : t` from the ${from}`}`;
  const how = mayBeMoment
    ? t`If it only says when, say where the ${name} ${goes(name)}.`
    : t`Say “between” to settle it.`;
  return t`“${words}” is read as the line of holes between rounds ${taken.join(t` and `)}. ${how}`;
}

const counted = (apart: number | null, lies: boolean): string => (lies ? t`${apart} rounds` : String(apart));

function gapMissingWords(facts: GapMissing): string {
  switch (facts.why) {
    case 'beyond-face':
      return t`${Math.abs(facts.stitches)} stitches ${facts.stitches > 0 ? t`above` : t`below`} lies beyond the edge of the face. The ${facts.name} ${goes(facts.name)} level with what it is counted from ${unsure}.`;
    case 'beyond-part':
      return t`${facts.said} lies beyond this part, which ends with round ${facts.last}. The ${facts.name} ${are(facts.name)} put ${between(facts.taken)} ${unsure}.`;
    case 'no-line':
      return t`There is no line of holes between rounds ${facts.round} and ${facts.round + 1} on this part, which ends with round ${facts.last}. The ${facts.name} ${are(facts.name)} put ${between(facts.taken)}, the nearest, ${unsure}.`;
    case 'no-line-after':
      return t`There is no line of holes after round ${facts.round} on this part. The nearest is ${between(facts.taken)}.`;
  }
}

function landmarkName(landmark: string): string {
  // A bow around the neck may well go where two parts are joined.
  return landmark === 'neck' ? t`narrow place between two wider ones` : landmark;
}

/** What is planned instead of words about stuffing, and how to say what is meant. */
function stuffingWords(
  piece: string,
): Readonly<Record<'extent' | 'weight' | 'firmnesses' | 'optional' | 'left', string>> {
  return {
    extent: t`does not say which part of the ${piece} is filled: it is planned full. Write “Stuff the lower half only”, “Don’t stuff the last 4 rounds”, or “Stuff lightly”.`,
    weight: t`is not taken over: the stuffing of the ${piece} is worked out from its size. Say how firm, “Stuff lightly”, “Stuff firmly”, or weigh what went into a finished one, on its form’s page.`,
    firmnesses: t`names two firmnesses, and the ${piece} is planned with one. Write the one most of it has.`,
    optional: t`leaves it to you: the ${piece} is planned stuffed. Write “Do not stuff.” if you leave it empty.`,
    left: t`is never so: no round of the ${piece} has so many stitches. It is planned as usual. Count that round again, or write “Stuff after round 12”.`,
  };
}

/** Words of how something stands, and not where. */
const aboutStance = /\b(?:droop|sag|point|lean|tilt|angle|slant|rotat|raise)/i;

function unusedWords(facts: PlacingFacts['words-unused']): string {
  const words = `“${facts.words}”`;
  switch (facts.of) {
    case 'place':
      return t`${words} could not be read and is left out for the ${facts.name}. Say it by rounds and stitches, or keep it as placed.`;
    case 'count':
      return t`${words}: ${facts.planned === 1 ? t`only one of them is` : t`${facts.planned} of them are`} planned. Write a sentence for each of the others, with its place.`;
    case 'join':
      return t`${words} could not be read and is left out for the ${facts.piece.toLowerCase()}. ${aboutStance.test(facts.words) ? t`Say it by degrees or stitches: “drooping 30 degrees”, “leaning forward 20 degrees”, “turned 2 stitches clockwise”.` : t`Say it by rounds and stitches: “3 stitches between them”, “4 stitches from the front”.`}`;
    case 'stuffing':
      return `${words} ${stuffingWords(facts.piece.toLowerCase())[facts.open]}`;
  }
}

function missingAnchorWords({ name, to, how, lies }: PlacingFacts['anchor-missing']): string {
  const standing = lies ? t`by the front line` : t`on the middle of it`;
  return t`The ${name} should go by the ${to}, and no ${to} are placed on this part. They are put ${how === 'beside' ? t`about the middle of it` : standing} ${unsure}.`;
}

function notCentredWords({
  name,
  pair,
  isHalf,
  missed,
  unit,
  side,
  of,
  missMm,
}: PlacingFacts['not-centred']): string {
  const middles = { face: t`the middle of the face`, front: t`the front`, line: t`the middle line` };
  const amount = isHalf ? t`half a` : t`${Math.round(missed * 100) / 100} of a`;
  return t`The middle ${pair ? t`between` : t`of`} the ${name} falls ${amount} ${unit} ${sayTerm(side)} of ${middles[of]}, ${mm(missMm)}.`;
}

function sameHoleWords(facts: PlacingFacts['same-hole']): string {
  switch (facts.why) {
    case 'increase':
      return t`Both eyes fall into the same hole: the two stitches of an increase share it.`;
    case 'stitch':
      return t`Both ${facts.name} are said to be at the same stitch. The ${facts.name} ${are(facts.name)} put by the middle ${unsure}.`;
    case 'line':
      return t`Both eyes are said to be on the same line of holes. On a part that lies on its side each has its own.`;
  }
}

function nearClosingWords(facts: PlacingFacts['near-closing']): string {
  switch (facts.why) {
    case 'lies':
      return t`The ${facts.name} ${agreeing(facts.name, 'lies', 'lie')} on the rounds that close the piece, where the fabric is drawn together.`;
    case 'beside':
      return t`Round ${facts.round} closes the piece beside the ${facts.side} eye: its washer has no room and the opening is too small to press it.`;
    case 'past':
      return t`Round ${facts.round} closes the piece, ${plural(facts.rounds, 'round')} past the eyes: the washers have no room and the opening is too small to press them.`;
  }
}

const washerWords = (post: string, washerMm: number, over: string): string =>
  t`The washer of the ${post}, about ${mm(washerMm)} across, lies over ${over}: it will not sit flat.`;

const lyingEyes = t`The part lies on its side, so each eye has a line of holes of its own.`;

export const placingWords: Words<PlacingFacts> = {
  'no-line-of-holes': ({ part, feature }) =>
    t`${part} has only one round, so there is no line of holes yet to put the ${feature} in. Write the rounds around it.`,
  'too-many-features': ({ part, most }) =>
    t`${part} has more than ${most} sentences that put something on it. From this one on they are not placed.`,
  'words-unused': unusedWords,
  'how-far': ({ name, words, unit, direction, to }) =>
    t`“${words}” does not say how far: 1 ${unit} ${direction} the ${to} is taken for the ${name} ${unsure}.`,
  'as-usual': ({ name, open, filled }) =>
    t`The sentence does not say ${sayTerm(open)} the ${name} ${goes(name)}. As is usual: ${filled.join(', ')}.`,
  'eyes-where': whereWords,
  'feature-where': whereWords,
  'eyes-on-round': (facts) => onRoundWords(facts, t`On round`),
  'feature-on-round': (facts) => onRoundWords(facts, t`Round`),
  'eyes-spacing': ({ apart, lies, isOneStitch }) =>
    isOneStitch
      ? t`Two stitches are needed for two eyes. They are put ${apart} apart ${unsure}.`
      : t`The sentence does not say how far apart the eyes are. They are put ${counted(apart, lies)} apart ${unsure}.`,
  'feature-spacing': ({ name, apart, lies }) =>
    t`The sentence does not say how far from the middle the ${name} ${goes(name)}. ${theyAre(name)} put ${counted(apart, lies)} apart, side to side, ${unsure}.`,
  'eyes-size': ({ sizeMm, from }) =>
    from === 'materials'
      ? t`The sentence gives no size. ${sizeMm} mm is taken, as the list of materials says.`
      : t`The sentence does not give a size. ${sizeMm} mm is taken, nearly two stitches wide.`,
  'eyes-size-odd': ({ sizeMm, least, most }) =>
    t`Eyes of ${sizeMm} mm are outside ${least} to ${most} mm. Check the size.`,
  'eyes-two-lines': ({ taken }) =>
    t`The sentence names two lines of holes. Rounds run level on this part, so both eyes go ${between(taken)}.`,
  'eyes-one-line': ({ apart, taken }) =>
    t`${lyingEyes} “${apart} apart” is taken as ${Math.round(apart)} rounds, the other eye put ${between(taken)}.`,
  'eyes-other-side': ({ taken }) =>
    t`${lyingEyes} The other one is put ${between(taken)}, as far from the middle.`,
  'feature-two-places': ({ name }) =>
    t`One sentence names two lines of holes; the first is taken for the ${name}. Give each its own sentence.`,
  'apart-showing-differ': ({ apart, shows, showing, seat }) =>
    t`${apart} apart in the ${seat === 'foot' ? t`holes` : t`splits`} leaves ${shows} showing, not ${showing}. Post to post is taken; change one of the two.`,
  'stitch-of-round': ({ round }) =>
    t`A stitch of round ${round} is read as the hole at its foot, between rounds ${round - 1} and ${round}. Say “between” to settle it.`,
  'across-in-rounds': ({ name }) =>
    t`Rounds run level on this part, so across is counted in stitches, and that many stitches are taken for the ${name}. If it is worked from the toy's side, say so in a line “Start: left” or “Start: right”.`,
  'across-in-stitches': ({ name }) =>
    t`On a part that lies on its side across is counted in rounds, and that many rounds are taken for the ${name}.`,
  'up-in-rounds': ({ name, rounds, anchored }) =>
    t`On this part up and down is counted in rounds, not in stitches. ${anchored ? (rounds === 1 ? t`${plural(rounds, 'round')} is taken.` : t`${plural(rounds, 'round')} are taken.`) : t`The ${name} ${are(name)} put on the middle of it ${unsure}.`}`,
  'rounds-not-below': ({ stitches }) =>
    t`On a part that lies on its side, up and down is counted in stitches: ${plural(stitches, 'stitch')} ${stitches === 1 ? t`is` : t`are`} taken.`,
  'anchor-missing': missingAnchorWords,
  'anchor-circle': ({ name, lies }) =>
    t`The ${name} and what they hang on each wait for the other. Say ${lies ? t`how many stitches above or below the front line` : t`between which rounds`} one of them goes.`,
  'landmark-missing': ({ name, landmark }) =>
    t`This part has no ${landmarkName(landmark)}. Say between which rounds the ${name} ${goes(name)}.`,
  'landmark-ambiguous': ({ name, landmark, places }) =>
    t`This part has ${places} places with ${landmark === 'plain rounds' ? '' : t`a `}${landmark}; the first is taken. Say between which rounds the ${name} ${goes(name)} to settle it.`,
  'gap-missing': gapMissingWords,
  'gap-not-adjacent': ({ gap }) =>
    t`Rounds ${gap.join(t` and `)} are not neighbours, so there is no one line of holes between them. The first of them is taken.`,
  'range-beyond': ({ name, from, to, first, last }) =>
    t`Rounds ${from} to ${to} reach beyond this part, which has rounds ${first} to ${last}. The ${name} ${goes(name)} as far as there are rounds ${unsure}.`,
  'stitch-missing': ({ name, round, stitches, stitch }) =>
    t`Round ${round} has ${stitches} stitches; there is no stitch ${stitch} in it. The ${name} ${are(name)} put by the middle ${unsure}.`,
  'apart-impossible': ({ name, apart, room, lies }) =>
    lies
      ? t`This part has ${room} lines of holes; the ${name} can't be ${counted(apart, lies)} apart on it.`
      : t`The line of holes has ${room}; the ${name} can't be ${apart} apart in it.`,
  'front-by-eyes': ({ stitches, off }) =>
    t`Stitches ${stitches.join(t` and `)} put the front ${off} stitches beside the place opposite the round start. Everything else on this part goes by the eyes.`,
  'not-centred': notCentredWords,
  'not-level': ({ lower, lowerMm }) =>
    t`The ${sayTerm(lower)} eye's hole lies ${mm(lowerMm)} lower than the other: no two holes of these lines are nearer to level.`,
  'off-the-eyes': ({ name, offMm }) =>
    t`The ${name} and the eyes do not share a middle: they are ${mm(offMm)} off each other.`,
  'straddles-start': () =>
    t`The round begins between the two eyes: there the line of holes jumps up by one round, so the eyes are not level. Turn the piece so that its back carries the round start.`,
  'same-hole': sameHoleWords,
  'on-decrease': ({ side, stitch, round }) =>
    t`The ${side} eye falls on a decrease (stitch ${stitch} of round ${round}): its hole is tight and off to one side.`,
  'eye-large': ({ sizeMm, stitches }) =>
    t`A ${sizeMm} mm eye is more than ${stitches} stitches wide at this gauge and pulls the fabric open around its post.`,
  'eyes-overlap': ({ sizeMm, apartMm }) =>
    t`The eyes are ${mm(sizeMm)} wide but only ${mm(apartMm)} apart: they overlap.`,
  'washers-overlap': ({ posts, apartMm, neededMm }) =>
    posts
      ? t`The washers of the ${posts[0]} and the ${posts[1]} need ${mm(neededMm)} from post to post, and have ${mm(apartMm)}: they overlap inside.`
      : t`The washers inside are about ${mm(neededMm)} wide, the posts ${mm(apartMm)} apart: the washers overlap.`,
  'rings-overlap': ({ ringMm, apartMm }) =>
    t`The rings behind the eyes are ${mm(ringMm)} wide, the posts ${mm(apartMm)} apart: the rings overlap.`,
  'features-overlap': ({ name, other }) => t`The ${name} and the ${other} lie over each other.`,
  'washer-on-decrease': ({ post, washerMm, round, stitch }) =>
    washerWords(
      post,
      washerMm,
      t`a decrease (round ${round}, stitch ${stitch}), where the fabric is thick on one side`,
    ),
  'washer-on-ridge': ({ post, washerMm, rounds }) =>
    washerWords(post, washerMm, t`the ridge between rounds ${rounds.join(t` and `)}`),
  'ring-too-small': ({ acrossMm, post, washerMm }) =>
    t`The piece is only ${mm(acrossMm)} across at ${post ? t`the ${post}` : t`this line of holes`}; a washer is about ${mm(washerMm)}.`,
  'near-closing': nearClosingWords,
};
