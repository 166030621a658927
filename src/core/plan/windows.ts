import { t } from '../words/language';
import { chambersOf, type Chamber } from './chambers';
import type { ActKind, Window } from './acts';
import type { Closing } from './closing';
import type { Hands } from './hands';
import { byFingers, byTool, firstWide, lastReached, openingAfter, type Passage } from './reach';
import { volumeBetween, type Profile } from '../shape/profile';
import { saying, type Said } from '../words/problems/problems';
import { cutWords, sizeWords, weightWords } from '../words/measures';

/** Something that is put on a part while the hand can still get behind it. */
export interface Inside {
  act: 'seat-eyes' | 'seat-nose' | 'embroider' | 'key-ring';
  /** its name in the part */
  feature: string;
  /** index of the round below its line of holes, 0 for the start; of what lies over several the last */
  line: number;
  /** index of the round after which the text puts it on; null where it does not say */
  after: number | null;
  /** across the disc of felt that lies behind its washer, in mm; null without one */
  discMm: number | null;
  /** across the washer that is pressed on inside, in mm; null where there is none */
  washerMm: number | null;
}

/** Something that lies inside a part, in its stuffing. */
export interface Enclosed {
  /** what it is, as the maker calls it */
  thing: string;
  /** across it, in mm; null where the text does not say */
  sizeMm: number | null;
  /** index of the round after which the text puts it in; null where it does not say */
  after: number | null;
}

/** How a part is filled. */
export interface Filling {
  /** first and last round that is filled, by index from 1 */
  from: number;
  to: number;
  /** index of the round after which the text fills it; null where it does not say */
  after: number | null;
  gramsPerLitre: number;
  /** the form it takes, for how much goes in */
  stuffed: Profile;
}

/** A round into which finished parts are worked, or that they are pulled through. */
export interface WorkIn {
  /** index of the round, from 1 */
  round: number;
  /** what is worked in, in the order of the round */
  names: readonly string[];
  /** it is not worked in but pulled through from side to side there */
  isThrough: boolean;
}

/** What the windows of a part follow from. */
export interface WindowInput extends Passage {
  inside: readonly Inside[];
  /** null for a part that stays empty */
  filling: Filling | null;
  workIns: readonly WorkIn[];
  enclosed: readonly Enclosed[];
  closing: Closing;
  hands: Hands;
}

/** An act that no round allows, and what is told of it. */
export interface Impossible extends Said {
  act: ActKind;
}

export interface Windows {
  windows: Window[];
  impossible: Impossible[];
}

/** A core pays where a neck is this much narrower than what stands on both sides of it: our own figure. */
const floppyNeck = 0.42;
/** From so many grams on an amount is worth saying when a piece is topped up. */
const worthWeighing = 1;
/** A handful of teased fibre, in grams: our own figure. */
const handfulGrams = 3;

const labelOf = ({ fabric }: Passage, round: number) => fabric.label[round - 1] ?? round;

const plainWindow = { feature: null, part: null, fills: null } as const;

/** A washer is about so thick: our own figure, in mm. */
const washerThick = 2;
/** Through an opening that is drawn to a slit a washer passes edge first: the way round is twice its width and its thickness. */
const edgeFirst = (washerMm: number): number => (2 * (washerMm + washerThick)) / Math.PI;

/** Openings through which a washer can still be pressed, and in comfort: by the hand, and by how large the washer is. */
function washerOpenings({ washersTight, washersEasy }: Hands, washerMm: number | null) {
  const across = washerMm ?? 0;
  return { tight: Math.max(washersTight, edgeFirst(across)), easy: Math.max(washersEasy, across) };
}

/** What is pressed on is said with its size; what is stitched may also be done later. */
function insideWindow(
  input: WindowInput,
  { act, feature, line, after: said, discMm, washerMm }: Inside,
): Window | Impossible {
  const { hands, fabric } = input;
  const washers = washerOpenings(hands, washerMm);
  const there = Math.min(fabric.rounds, line + 1);
  const isPressed = act === 'seat-eyes' || act === 'seat-nose';
  const earliest = firstWide(input, there, isPressed ? washers.tight : hands.stuffFingers);
  const opening = (round: number) => sizeWords(openingAfter(input, round));
  if (act === 'embroider' || act === 'key-ring') {
    const reached = lastReached(input, earliest, byFingers(hands.stuffFingers, hands), there);
    const isRing = act === 'key-ring';
    const latest = isRing ? reached || earliest : fabric.rounds;
    return {
      ...plainWindow,
      act,
      feature,
      earliest: reached > 0 ? earliest : latest,
      easy: reached || latest,
      latest,
      why: (after) =>
        isRing
          ? t`Put the ring through the start from the inside now, and sew it down: the opening is ${opening(after)}.`
          : reached > 0
            ? t`The hand still reaches the inside: the opening is ${opening(after)}. The knot stays in there.`
            : t`No hand gets inside here. Stitch it from outside, draw both ends in and bury them.`,
    };
  }
  const isPair = act === 'seat-eyes';
  const latest = lastReached(input, earliest, byFingers(washers.tight, hands), there);
  const wide = firstWide(input, earliest, washers.easy);
  const easy = lastReached(input, wide, byFingers(washers.easy, hands), there) || latest;
  if (latest === 0)
    return {
      act,
      ...saying('eyes-no-opening', {
        isPair,
        round: labelOf(input, earliest),
        openingMm: openingAfter(input, earliest),
        neededMm: washers.tight,
      }),
    };
  const seated = discMm === null ? '' : backedByDisc(isPair, discMm);
  const isAsSaid = said !== null && said >= earliest && said <= latest;
  const why = { early: t`by then the place for it is not worked`, late: t`by then no washer goes on` };
  return {
    ...plainWindow,
    act,
    feature,
    earliest,
    easy: isAsSaid ? said : easy,
    latest,
    why: (after) =>
      t`${notThen(input, { said, after, earliest, latest }, why)}The opening is ${opening(after)} now. Seat ${isPair ? t`both eyes` : t`the nose`} loosely, look from the front and both sides,${seated} then press ${isPair ? t`the washers to the last click: they do not come off whole` : t`its washer to the last click: it does not come off whole`}.`,
  };
}

/** Why a stop is not where the text has it, in a sentence; nothing where it is. Rounds by index. */
function notThen(
  passage: Passage,
  { said, after, earliest, latest }: { said: number | null; after: number; earliest: number; latest: number },
  why: { early: string; late: string },
): string {
  if (said === null || said === after) return '';
  const reason =
    said < earliest ? why.early : said > latest ? why.late : t`it is done with the rest of this stop`;
  return t`Your pattern says after round ${labelOf(passage, said)}: ${reason}. `;
}

/** What comes between the look from all sides and the washer: once that is pressed, no disc gets under it. */
function backedByDisc(isPair: boolean, discMm: number): string {
  const post = isPair ? t`each post goes between two stitches` : t`the post goes between two stitches`;
  const over = isPair
    ? t`a disc of felt of ${discMm} mm over each`
    : t`a disc of felt of ${discMm} mm over it`;
  return t` see that ${post}, never through a split strand, put ${over},`;
}

/** How much goes in, in grams and handfuls. */
function amountWords(grams: number): string {
  if (grams < 0.5) return t`A pinch.`;
  const handfuls = Math.max(1, Math.round(grams / handfulGrams));
  return handfuls === 1
    ? t`About ${weightWords(grams, grams < 3 ? 1 : 0)}: a handful.`
    : t`About ${weightWords(grams, grams < 3 ? 1 : 0)}: ${handfuls} handfuls.`;
}

/** When one chamber can be filled. Rounds by index. */
interface FillingMoments {
  from: number;
  to: number;
  widest: number;
  earliest: number;
  /** after which round the bulk goes in; 0 where nothing ever does */
  bulk: number;
  /** last round at which a stick gets in, before the neck is passed and at all */
  tool: number;
  lastTool: number;
  fingersFit: boolean;
  /** washers are behind which it is tucked */
  hasWashers: boolean;
  /** after which of its rounds the text fills it; null where it does not say */
  said: number | null;
}

function fillingMoments(
  input: WindowInput,
  filling: Filling,
  chamber: Chamber,
  ready: readonly Window[],
): FillingMoments {
  const { hands, fabric } = input;
  const opening = (round: number) => openingAfter(input, round);
  const [from, to] = [Math.max(chamber.from, filling.from), Math.min(chamber.to, filling.to)];
  const before = ready.filter(({ earliest }) => earliest > chamber.from && earliest <= chamber.to + 1);
  const pressed = before.filter(({ act }) => act === 'seat-eyes' || act === 'seat-nose');
  const pressedDone = Math.max(0, ...pressed.map(({ easy }) => easy));
  // With eyes, the bulk waits until they are in: what was wider before them is filled through the same opening.
  const first = Math.min(fabric.rounds, Math.max(from, ...before.map(({ earliest }) => earliest)));
  let widest = first;
  for (let round = first; round <= to; round += 1) if (opening(round) > opening(widest)) widest = round;
  // No neck is passed before what lies behind it is filled.
  const passed = chamber.neck === null ? fabric.rounds : Math.max(chamber.neck, first, pressedDone);
  const lastTool = lastReached(input, widest, byTool(hands));
  const tool = Math.min(passed, lastTool);
  const easy = Math.min(passed, lastReached(input, widest, byFingers(hands.stuffFingers, hands)));
  const usual = Math.min(tool, Math.max(easy || tool, pressedDone));
  const said = filling.after;
  // Eyes that the text puts in early don't draw the stuffing along: it waits until the piece is no longer as wide as it gets.
  const isPressedAsSaid =
    said === null &&
    pressed.some(({ feature }) => input.inside.some((one) => one.feature === feature && one.after !== null));
  let lastWidest = widest;
  while (lastWidest < to && opening(lastWidest + 1) >= opening(widest) - 1e-9) lastWidest += 1;
  const earliest = Math.min(usual, isPressedAsSaid ? lastWidest : widest);
  return {
    from,
    to,
    widest,
    earliest,
    bulk: said !== null && said >= earliest && said <= tool ? said : usual,
    tool,
    lastTool,
    fingersFit: easy > 0 && pressedDone <= easy,
    hasWashers: pressed.length > 0,
    said: said !== null && said >= chamber.from && said <= chamber.to ? said : null,
  };
}

/** The bulk and what is topped up, of one chamber. */
function fillingWindows(
  input: WindowInput,
  filling: Filling,
  chamber: Chamber,
  ready: readonly Window[],
): Windows {
  const moments = fillingMoments(input, filling, chamber, ready);
  const { from, to, earliest, bulk, tool, lastTool } = moments;
  const opening = (round: number) => sizeWords(openingAfter(input, round));
  if (from > to) return { windows: [], impossible: [] };
  if (bulk === 0) {
    const told = saying('stuffing-no-opening', { widestMm: openingAfter(input, moments.widest) });
    return { windows: [], impossible: [{ act: 'stuff', ...told }] };
  }
  const fillsOf = (first: number, last: number) => ({
    from: labelOf(input, first),
    to: labelOf(input, last),
    grams: (volumeBetween(filling.stuffed, first, last) * filling.gramsPerLitre) / 1000,
  });
  const filled = Math.max(from, Math.min(to, bulk));
  const fills = fillsOf(from, filled);
  const windows: Window[] = [
    {
      ...plainWindow,
      act: 'stuff',
      fills,
      earliest,
      easy: bulk,
      latest: lastTool,
      why: (after) =>
        t`${notThen(input, { said: moments.said, after, earliest, latest: tool }, { early: t`that is too early for all of it`, late: t`by then nothing gets in` })}${moments.fingersFit ? t`Fingers still fit` : t`Only a tool fits`}: the opening is ${opening(after)}. ${amountWords(fills.grams)} Push it to the walls${moments.hasWashers ? t` and tuck it behind the washers` : ''}.`,
    },
  ];
  const reachesEnd = chamber.neck !== null || filling.to >= chamber.to;
  if (tool > bulk && reachesEnd) {
    const rest = fillsOf(Math.min(to, filled + 1), to);
    const how =
      rest.grams >= worthWeighing
        ? t`${amountWords(rest.grams)} With a tool, in small amounts`
        : t`Tiny amounts with a tool`;
    windows.push({
      ...plainWindow,
      act: 'top-up',
      fills: rest,
      earliest: Math.min(tool, bulk + 1),
      easy: tool,
      latest: chamber.neck === null ? tool : lastTool,
      why: (after) =>
        t`${how}; the opening is ${opening(after)} and will be smaller. Stuffing settles: over-fill a little.`,
    });
  }
  return { windows, impossible: [] };
}

/** A neck so thin that what stands on it will nod. */
function coreWindow(input: WindowInput, chamber: Chamber, next: Chamber): Window[] {
  const { neck } = chamber;
  if (neck === null) return [];
  const opening = (round: number) => openingAfter(input, round);
  const isThin = opening(neck) <= floppyNeck * Math.min(opening(chamber.widest), opening(next.widest));
  const latest = lastReached(input, neck, byTool(input.hands));
  if (!isThin || latest === 0) return [];
  const earliest = Math.min(latest, neck + 1);
  return [
    {
      ...plainWindow,
      act: 'core',
      earliest,
      easy: Math.max(earliest, Math.min(latest, next.to)),
      latest,
      why: () =>
        t`The neck is only ${opening(neck)} across: without a core the head nods. A tight roll of felt or fabric as long as the neck and half of each side is what makers take for children; more stuffing packed into the neck does for a short one. No wire in a toy for a child.`,
    },
  ];
}

/** A thing of no said size is taken to be so wide: our own figure. */
const usualThingMm = 25;

/** What lies inside goes in with the stuffing, while the opening is wider than it is. */
function enclosedWindow(
  input: WindowInput,
  { thing, sizeMm, after }: Enclosed,
  ready: readonly Window[],
): Window | Impossible {
  const { fabric } = input;
  const mm = sizeMm ?? usualThingMm;
  const opening = (round: number) => openingAfter(input, round);
  const rounds = Array.from({ length: fabric.rounds }, (_, i) => i + 1);
  const admits = rounds.filter((round) => opening(round) >= mm);
  const latest = admits.at(-1);
  if (latest === undefined)
    return {
      act: 'put-in',
      ...saying('enclosed-no-opening', {
        thing,
        widestMm: Math.max(...rounds.map(opening)),
        sizeMm: mm,
        isAssumed: sizeMm === null,
      }),
    };
  const bulk = ready.findLast(({ act, earliest }) => act === 'stuff' && earliest <= latest);
  const wanted = after !== null && admits.includes(after) ? after : Math.min(latest, bulk?.easy ?? latest);
  const easy = admits.findLast((round) => round <= wanted) ?? latest;
  const taken = sizeMm === null ? t`It is taken to be ${mm} mm across: write its size if it is another.` : '';
  return {
    ...plainWindow,
    act: 'put-in',
    feature: thing,
    earliest: Math.min(easy, bulk?.earliest ?? admits[0] ?? easy),
    easy,
    latest,
    why: (round) =>
      t`${bulk ? t`Half of the stuffing first, then this in the middle of it, with stuffing on all sides.` : t`It goes in now.`} The opening is ${opening(round)}. ${taken}`.trim(),
  };
}

function workInWindow({ round, names }: WorkIn): Window[] {
  const after = Math.max(1, round - 1);
  return names.map((part) => ({
    ...plainWindow,
    act: 'work-in' as const,
    part,
    earliest: after,
    easy: after,
    latest: after,
    why: () => t`Have it finished and at hand: the next round works it in. Its tail goes to the inside.`,
  }));
}

/** What passes from side to side goes in while nothing is in its way; a long needle still does it later. */
function passingWindow(
  { fabric }: WindowInput,
  { round, names }: WorkIn,
  ready: readonly Window[],
): Window[] {
  const last = fabric.rounds;
  const earliest = Math.min(last, round + 1);
  const bulk = ready.find(({ act, easy }) => act === 'stuff' && easy >= earliest);
  return names.map((part) => ({
    ...plainWindow,
    act: 'pull-through' as const,
    part,
    earliest,
    easy: bulk?.easy ?? last,
    latest: last,
    why: () =>
      t`Pull it straight through before the stuffing is in its way, even out both ends and catch it on both sides.`,
  }));
}

/** When each act of a part can be done, and what no round allows. */
export function windowsOf(input: WindowInput): Windows {
  const { fabric, filling, closing } = input;
  const last = fabric.rounds;
  const windows: Window[] = [];
  const impossible: Impossible[] = [];
  for (const inside of input.inside) {
    const found = insideWindow(input, inside);
    if ('message' in found) impossible.push(found);
    else windows.push(found);
  }
  const chambers = chambersOf(input);
  // Stitches that no hand reaches from inside wait for nothing, and nothing waits for them.
  const ready = windows.filter(({ act, earliest }) => act !== 'embroider' || earliest < last);
  if (filling) {
    chambers.forEach((chamber, i) => {
      const filled = fillingWindows(input, filling, chamber, ready);
      const next = chambers[i + 1];
      if (next && filled.windows.length > 0) windows.push(...coreWindow(input, chamber, next));
      windows.push(...filled.windows);
      impossible.push(...filled.impossible);
    });
  }
  for (const one of input.enclosed) {
    const found = enclosedWindow(input, one, windows);
    if ('message' in found) impossible.push(found);
    else windows.push(found);
  }
  // Where stitches have their knots inside, that comes before the stuffing of their chamber.
  for (const [i, window] of windows.entries()) {
    if (window.act !== 'embroider') continue;
    const chamber = chambers.find(({ from, to }) => window.earliest >= from && window.earliest <= to + 1);
    const bulk = windows.find(
      ({ act, earliest }) => act === 'stuff' && chamber && earliest >= chamber.from && earliest <= chamber.to,
    );
    if (bulk && bulk.easy >= window.earliest)
      windows[i] = { ...window, easy: Math.min(window.easy, bulk.easy) };
  }
  windows.push(
    ...input.workIns.flatMap((one) =>
      one.isThrough ? passingWindow(input, one, windows) : workInWindow(one),
    ),
  );
  const isDrawnTogether = closing.how !== 'open' && closing.how !== 'flat';
  windows.push({
    ...plainWindow,
    act: isDrawnTogether ? 'close' : 'cut',
    earliest: last,
    easy: last,
    latest: last,
    why: () =>
      isDrawnTogether
        ? closing.words
        : t`${closing.words} Cut the yarn ${cutWords(closing.tailMm)} from the last stitch.`,
  });
  return { windows, impossible };
}
