import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import { gapOf, type FaceFrame } from '../frame/faceFrame';
import type { Seat } from '../frame/pair';
import type { PartForm } from '../frame/partForm';
import type { FeaturePlacement } from '../resolve/placement';
import { endOf, startOf, type FeatureUnit } from '../resolve/unit';
import type { NeedlePath } from '../resolve/needlePath';
import { featureName } from '../rule/ruleSteps';
import { hasPost, isAtBack } from '../rule/rule';
import { fromTheEyes, landmarkWords } from './fromThere';
import { plural } from '../../words/counted';
import { threadWords } from '../../words/measures';

const listed = (words: readonly (string | number)[]) =>
  words.length > 1 ? t`${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : String(words[0] ?? '');

/** The words for one seat: holes are counted as holes, splits as the stitch before them. */
export function seatWord(seat: Seat, many = true): string {
  if (seat === 'foot') return many ? t`holes` : t`hole`;
  return many ? t`splits after stitches` : t`split after stitch`;
}

/** `hole 19`, `holes 17 to 20`, `just after stitch 18` */
export function unitWords({ from, to }: FeatureUnit, seat: Seat): string {
  const single = from === to;
  const numbers = single ? String(from) : t`${from} to ${to}`;
  if (seat === 'split') return single ? t`just after stitch ${numbers}` : t`just after stitches ${numbers}`;
  return `${single ? t`hole` : t`holes`} ${numbers}`;
}

/** One hole with the rounds it lies between. */
export interface HolePlace {
  gap: [number, number];
  stitch: number;
  of: number;
}

/** The holes of a feature, in the order of work, each once. */
export function holePlaces(form: PartForm, units: readonly FeatureUnit[]): HolePlace[] {
  const ends = units.flatMap((unit) => [startOf(unit), endOf(unit)]);
  ends.sort((a, b) => a.line - b.line || a.hole - b.hole);
  const each = ends.filter(
    (end, i) => i === 0 || end.line !== ends[i - 1]?.line || end.hole !== ends[i - 1]?.hole,
  );
  return each.map(({ line, hole, of }) => ({ gap: gapOf(form, line), stitch: hole, of }));
}

/** The lines of holes of a pair of eyes with what is on each, in the order of work: two lines on a part that lies on its side. */
export function eyePlaces(form: PartForm, { seat, units, rule }: FeaturePlacement): EyePlace[] {
  const places = holePlaces(form, units);
  const [one, other] = places;
  if (rule.lying || !one || !other)
    return places.map(({ gap, stitch }) => ({ gap, holes: `${seatWord(seat, false)} ${stitch}` }));
  return [{ gap: one.gap, holes: t`${seatWord(seat)} ${one.stitch} and ${other.stitch}` }];
}

export interface EyePlace {
  gap: [number, number];
  holes: string;
}

/** `between round 12 and 13`, `holes 15 and 22`, `6 show`. */
export function eyeAddress(
  form: PartForm,
  eyes: FeaturePlacement,
): { gap: string; holes: string; showing: string } {
  const places = eyePlaces(form, eyes);
  const showing = eyes.showing ?? 0;
  if (places.length > 1) {
    return {
      gap: t`between rounds ${places.map(({ gap }) => gap.join(t` and `)).join(t` and between rounds `)}`,
      holes: places.map(({ holes }) => holes).join(t` and `),
      showing: t`${plural(showing, 'round', 'rounds')} apart`,
    };
  }
  return {
    gap: t`between round ${eyes.gap[0]} and ${eyes.gap[1]}`,
    holes: places[0]?.holes ?? '',
    showing: showing === 1 ? t`${showing} shows` : t`${showing} show`,
  };
}

/** How to find a pair of eyes three ways: counting from the start of the round, by markers put in while working, and as a check. */
export interface EyeDirections {
  count: string;
  markers: string;
  check: string;
  sides: string;
}

export function eyeDirections(form: PartForm, eyes: FeaturePlacement): EyeDirections {
  return eyes.rule.lying ? sidewaysEyes(form, eyes) : uprightEyes(eyes);
}

const sideOf = ({ units }: FeaturePlacement, side: 'left' | 'right') =>
  units.find((unit) => unit.side === side)?.from ?? 0;

function uprightEyes(eyes: FeaturePlacement): EyeDirections {
  const { seat, units, gap } = eyes;
  const [first = 0, second = 0] = units.map(({ from }) => from).sort((a, b) => a - b);
  const of = units[0]?.of ?? 0;
  const showing = eyes.showing ?? 0;
  const hole = seat === 'foot';
  const word = hole ? 'hole' : 'split';
  const through = hole ? t`through the feet of` : t`just after`;
  const around = of - (second - first) - (hole ? 1 : 0);
  return {
    sides: t`Left eye ${sayTerm(word)} ${sideOf(eyes, 'left')}, right eye ${sayTerm(word)} ${sideOf(eyes, 'right')}, as you look at the face.`,
    count: hasPost(eyes.rule)
      ? t`Count along round ${gap[1]} from its first stitch: the posts go ${through} stitches ${first} and ${second} of ${of}.`
      : t`Count along round ${gap[1]} from its first stitch: the middles of the eyes go ${through} stitches ${first} and ${second} of ${of}.`,
    markers: t`While working round ${gap[1]}, put a marker into stitches ${first} and ${second} as you pass them, and no counting is needed later.`,
    check: t`Check: ${showing} whole ${showing === 1 ? t`stitch shows` : t`stitches show`} between the eyes across the face, ${around} around the back.`,
  };
}

/** Each eye on its own line of holes. */
function sidewaysEyes(form: PartForm, { units, seat, showing }: FeaturePlacement): EyeDirections {
  const order = [...units].sort((a, b) => a.fromLine - b.fromLine);
  const places = order.map(({ from, of, fromLine }) => ({ gap: gapOf(form, fromLine), stitch: from, of }));
  const word = seat === 'foot' ? 'hole' : t`split after stitch`;
  const where = (side: 'left' | 'right') => {
    const unit = units.find((one) => one.side === side);
    return t`${word} ${unit?.from} between rounds ${gapOf(form, unit?.fromLine ?? 1).join(t` and `)}`;
  };
  const [one, other] = places;
  const differ = one && other && one.stitch !== other.stitch;
  const why = differ
    ? t` The number is not the same in both: a round begins a little further round than the one before it, so level with ${word} ${one.stitch} is ${word} ${other.stitch}.`
    : '';
  return {
    sides: t`Left eye ${where('left')}, right eye ${where('right')}, as you look at the face.`,
    ...roundByRound(places, seat),
    check: t`Check: ${plural(showing ?? 0, 'round lies', 'rounds lie')} between the two lines of holes.${why}`,
  };
}

/** Counting and marking a few holes, each in a round of its own. */
function roundByRound(places: readonly HolePlace[], seat: Seat): Pick<FeatureWords, 'count' | 'markers'> {
  const at = seat === 'foot' ? t`the foot of stitch` : t`just after stitch`;
  const counted = places.map(({ gap, stitch, of }) => t`along round ${gap[1]} to ${at} ${stitch} of ${of}`);
  const marked = places.map(({ gap, stitch }) => t`stitch ${stitch} of round ${gap[1]}`);
  return {
    count: t`Count from the first stitch of the round: ${listed(counted)}.`,
    markers: t`While working, put a marker into ${listed(marked)} as you pass.`,
  };
}

/** Where a feature goes, in a maker's words. */
export interface FeatureWords {
  address: string;
  /** counted from the start of the round */
  count: string;
  /** counted from what is already on the piece */
  there: string;
  markers: string;
  /** from the other side */
  check: string;
  /** the needle's way in numbered steps */
  needle: string[];
}

export function featureWords(
  feature: FeaturePlacement,
  frame: FaceFrame,
  eyes: FeaturePlacement | null,
): FeatureWords {
  if (feature.rule.vertical?.by === 'start') return startWords(frame.form, feature);
  return frame.lies ? sidewaysWords(feature, frame, eyes) : uprightWords(feature, frame, eyes);
}

/** Stitches from a unit's first hole on to its last. */
const spanOf = ({ from, to, of }: FeatureUnit) => (((to - from) % of) + of) % of;

function uprightWords(
  feature: FeaturePlacement,
  frame: FaceFrame,
  eyes: FeaturePlacement | null,
): FeatureWords {
  const { id, kind, gap, units, needle, seat, line } = feature;
  const where = units.map((unit) => (unit.side === 'middle' ? '' : `${unit.side} `) + unitWords(unit, seat));
  const holes = [...new Set(units.flatMap(({ from, to }) => [from, to]))].sort((a, b) => a - b);
  const stitch = holes.length > 1 ? 'stitches' : 'stitch';
  const landmarks = t`The line of holes is ${landmarkWords(frame.form, line).join(', ')}.`;
  return {
    address: t`${featureName(id, kind)} between round ${gap[0]} and ${gap[1]}, ${where.join(', ')} of ${units[0]?.of ?? 0}`,
    count: t`Count along round ${gap[1]} from its first stitch: ${countedTo(feature, holes)}.`,
    there: `${fromTheEyes(frame, feature, eyes) ?? ''} ${landmarks}`.trim(),
    markers: t`While working round ${gap[1]}, put a marker into ${sayTerm(stitch)} ${listed(holes)} as you pass.`,
    check: uprightCheck(feature),
    needle: needle ? needleWords(needle) : [],
  };
}

/** `it reaches over the feet of stitches 17 and 20 of 42` */
function countedTo({ units, seat }: FeaturePlacement, holes: readonly number[]): string {
  const [first] = units;
  const many = units.length > 1;
  const wide = first !== undefined && first.from !== first.to;
  const reach = many ? t`they reach over` : t`it reaches over`;
  const middle = many ? t`their middles go` : t`its middle goes`;
  const stitches = `${holes.length > 1 ? t`stitches` : t`stitch`} ${listed(holes)}`;
  const feet = holes.length > 1 ? t`the feet of ${stitches}` : t`the foot of ${stitches}`;
  const through = seat === 'split' ? t`just after ${stitches}` : feet;
  const into = wide || seat === 'split' ? '' : 'into ';
  return t`${wide ? reach : middle} ${sayTerm(into)}${through} of ${first?.of ?? 0}`;
}

function uprightCheck({ units, apart, rule, ...feature }: FeaturePlacement): string {
  const of = units[0]?.of ?? 0;
  // The rest of the round lies on the other side of the piece.
  const around = isAtBack(rule.sideways) ? 'front' : 'back';
  if (units.length > 1) {
    const showing = feature.showing ?? 0;
    const widths = units.reduce((sum, unit) => sum + spanOf(unit), 0);
    const rest = Math.max(0, of - showing - widths - 2);
    const behind =
      apart === null ? '' : t`, ${plural(rest, 'stitch', 'stitches')} around the ${sayTerm(around)}`;
    return t`Check: ${plural(showing, 'whole stitch shows', 'whole stitches show')} between the two${behind}.`;
  }
  const wide = units[0] ? spanOf(units[0]) : 0;
  if (wide === 0)
    return t`Check: from there ${plural(of, 'stitch', 'stitches')} lead all the way round to it again.`;
  return t`Check: it is ${plural(wide, 'stitch', 'stitches')} wide, with ${plural(Math.max(0, of - wide), 'stitch', 'stitches')} around the ${sayTerm(around)}.`;
}

/** What goes through the start needs no counting. */
function startWords({ fabric }: PartForm, { id, kind }: FeaturePlacement): FeatureWords {
  return {
    address: t`${featureName(id, kind)} through the start of the part`,
    count: t`Nothing to count: it goes through the middle of round ${fabric.label[0] ?? 1}, and lies round its stitches. Put it in before you stuff.`,
    there: '',
    markers: '',
    check: t`Check: pull at it. The start must stay closed, and the stitches round it tight.`,
    needle: [],
  };
}

/** On a part that lies on its side: what is wide reaches from round to round. */
function sidewaysWords(
  feature: FeaturePlacement,
  frame: FaceFrame,
  eyes: FeaturePlacement | null,
): FeatureWords {
  const { id, kind, units, seat, needle, showing, line } = feature;
  const places = holePlaces(frame.form, units);
  const across = Math.abs((units[0]?.toLine ?? 0) - (units[0]?.fromLine ?? 0));
  const single =
    across > 0
      ? t`Check: it is ${plural(across, 'round', 'rounds')} wide.`
      : t`Check: ${plural(line, 'round lies', 'rounds lie')} between it and the start.`;
  const pair = t`Check: ${plural(showing ?? 0, 'round lies', 'rounds lie')} between the two.`;
  const word = seat === 'foot' ? 'hole' : t`just after stitch`;
  const holes = places.map(
    ({ gap, stitch, of }) => t`between rounds ${gap[0]} and ${gap[1]} ${word} ${stitch} of ${of}`,
  );
  const landmarks = t`The line of holes is ${landmarkWords(frame.form, line).join(', ')}.`;
  return {
    address: `${featureName(id, kind)} ${holes.join(', ')}`,
    ...roundByRound(places, seat),
    there: fromTheEyes(frame, feature, eyes) ?? landmarks,
    check: units.length > 1 ? pair : single,
    needle: needle ? needleWords(needle) : [],
  };
}

/** The needle's way in numbered steps; what is gone twice is said once. */
function needleWords({ points, turns, threadMm, strands, knot }: NeedlePath): string[] {
  const once = turns ? points.slice(0, turns.points) : points;
  const steps = once.map(
    ({ act, gap, hole }, i) => t`${i + 1}. ${sayTerm(act)} at hole ${hole} between ${gap[0]} and ${gap[1]}`,
  );
  const more = turns?.times === 2 ? t`once` : t`${(turns?.times ?? 1) - 1} times`;
  const again = turns ? [t`${once.length + 1}. Go the same way ${more} more: ${turns.loop}.`] : [];
  return [...steps, ...again, t`Cut ${threadWords(threadMm)}, ${strands}; ${knot}.`];
}
