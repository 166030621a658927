import { hasPost } from '../../place/rule/rule';
import { markerPlan, type Mark } from '../../place/words/markerPlan';
import { withoutRemarks } from '../../notation/remarks';
import { unitKey, type Step, type UnitKey } from '../../plan/order';
import { plural } from '../../words/counted';
import { t } from '../../words/language';
import { number, sizeWords } from '../../words/measures';
import type { PartAnalysis, ToyAnalysis } from '../analysis';
import { drawnThrough, needleLengthMm } from '../needleReach';
import { unitName } from '../orderWords';

/** What is at hand while a toy is made, and is there again afterwards. */
export const toolKinds = [
  'crochet hook',
  'darning needle',
  'sewing needle',
  'long needle',
  'stitch marker',
  'pin',
] as const;
export type ToolKind = (typeof toolKinds)[number];

/** A tool, as many as are in use at once. */
export interface ToolNeed {
  kind: ToolKind;
  /** across of a hook, the least length of a long needle; null where the text names none, or where it is all one */
  sizeMm: number | null;
  count: number;
  /** what so many of them are for; null where that goes without saying */
  use: ToolUse | null;
}

/** What tools are for. */
export type ToolUse =
  /** a hook, as the text names it; null where it names none */
  | { of: 'hook'; said: string | null }
  | { of: 'markers'; in: Markers }
  /** pins of the piece that takes most; null where several take as many */
  | { of: 'pins'; piece: string | null }
  /** a needle that is drawn through a part */
  | { of: 'through'; part: string };

/** Markers in use at one time. */
export interface Markers {
  /** where a spiral round begins */
  rounds: number;
  /** on the live loop of a piece that is laid aside */
  loops: number;
  /** in stitches where something is put on later */
  places: number;
}

const noMarkers: Markers = { rounds: 0, loops: 0, places: 0 };
const sum = ({ rounds, loops, places }: Markers): number => rounds + loops + places;

/** A piece in the making. */
interface InHand {
  part: PartAnalysis;
  /** its last round that is worked, by index */
  worked: number;
  /** what is marked on it, with the features it waits for */
  waiting: { mark: Mark; for: Set<string> }[];
}

/** Whether rounds of a piece run on without a seam, so that only a marker tells where one begins. */
const isSpiral = ({ fabric }: PartAnalysis, round: number): boolean =>
  fabric.joined[round - 1] === 0 && fabric.row[round - 1] === 0;

const isLive = ({ part, worked }: InHand): boolean => worked < part.fabric.rounds;

/** Works a stretch of a piece and puts its markers in. */
function workOn(piece: InHand, { indexes }: Step): void {
  const [from, to] = indexes ?? [1, 0];
  piece.worked = Math.max(piece.worked, to);
  for (const { round, marks } of markerPlan(piece.part.fabric, piece.part.features))
    if (round >= from && round <= to)
      piece.waiting.push(...marks.map((mark) => ({ mark, for: new Set(mark.features) })));
}

/** Takes out what waited for nothing but this feature. */
function putOn(piece: InHand, feature: string): void {
  for (const waiting of piece.waiting) waiting.for.delete(feature);
  piece.waiting = piece.waiting.filter((waiting) => waiting.for.size > 0);
}

/** The markers in use while one piece is worked and others lie aside. */
function inUse(pieces: ReadonlyMap<UnitKey, InHand>, at: UnitKey, { indexes }: Step): Markers {
  const [from, to] = indexes ?? [1, 0];
  const now = { ...noMarkers };
  for (const [key, piece] of pieces) {
    now.places += piece.waiting.length;
    const isHere = key === at;
    const rounds = Array.from({ length: to - from + 1 }, (_, i) => from + i);
    if (isHere && rounds.some((round) => isSpiral(piece.part, round))) now.rounds += 1;
    if (isHere || !isLive(piece)) continue;
    now.loops += 1;
    if (isSpiral(piece.part, piece.worked)) now.rounds += 1;
  }
  return now;
}

/** Where most markers are in use at once, worked in the order of the plan. */
function mostMarkers({ parts, order }: ToyAnalysis): Markers {
  const pieces = new Map<UnitKey, InHand>();
  let most = noMarkers;
  for (const step of order.steps) {
    const key = unitKey(step.part, step.unit);
    const part = parts.find(({ source }) => source.id === step.part);
    if (!part) continue;
    const piece = pieces.get(key) ?? { part, worked: 0, waiting: [] };
    pieces.set(key, piece);
    if (step.do !== 'work') {
      if (step.about !== null) putOn(piece, step.about);
      continue;
    }
    workOn(piece, step);
    const now = inUse(pieces, key, step);
    if (sum(now) > sum(most)) most = now;
  }
  return most;
}

/** `1 where the round begins, 2 where something goes on later` */
function markersWhy({ rounds, loops, places }: Markers): string {
  const each = [
    ...(rounds > 0 ? [t`${rounds} where a round begins`] : []),
    ...(loops > 0 ? [t`${loops} to hold a loop that is laid aside`] : []),
    ...(places > 0 ? [t`${places} where something is put on later`] : []),
  ];
  return each.join(', ');
}

/** What tools are for, in words. */
export function toolUseWords(use: ToolUse): string {
  switch (use.of) {
    case 'hook':
      return use.said ?? t`the pattern names no size`;
    case 'markers':
      return markersWhy(use.in);
    case 'pins':
      return use.piece === null ? t`for one piece at a time` : t`for the ${use.piece}`;
    case 'through':
      return t`drawn through the ${use.part}`;
  }
}

function markersOf(toy: ToyAnalysis): ToolNeed[] {
  const most = mostMarkers(toy);
  if (sum(most) === 0) return [];
  return [{ kind: 'stitch marker', sizeMm: null, count: sum(most), use: { of: 'markers', in: most } }];
}

/** A piece that no sentence places is tried with as many pins as one with an open edge. */
const pinsToTry = 4;

/** Pins by what is pinned: a piece is taken off them before the next is pinned. */
function pinsOf(toy: ToyAnalysis): ToolNeed[] {
  const { order, joined } = toy;
  const pinned = order.steps.flatMap((step): { count: number; name: string }[] => {
    const { do: doing, part, unit } = step;
    const name = unitName(toy, part, unit).toLowerCase();
    if (doing === 'place') return [{ count: pinsToTry, name }];
    const join = joined.joins.find((one) => one.unit.part === part && one.unit.unit === unit);
    const count = doing === 'sew' ? (join?.pins?.length ?? 0) : 0;
    return count > 0 ? [{ count, name }] : [];
  });
  const count = Math.max(0, ...pinned.map((one) => one.count));
  if (count === 0) return [];
  const alike = pinned.filter((one) => one.count === count);
  const piece = alike.length === 1 ? (alike[0]?.name ?? null) : null;
  return [{ kind: 'pin', sizeMm: null, count, use: { of: 'pins', piece } }];
}

const size = String.raw`\d+(?:[.,]\d+)?`;
/** `3.5 mm`, `3.5–4 mm` */
const figure = String.raw`(?<![\d.,])(${size})(?: *(?:mm)? *(?:-|–|to|or) *(${size}))? *mm\b`;
/** A letter or number of another system before it: `hook 7 (4.5 mm)`, `hook size E/4 (3.5 mm)` */
const otherSystem = String.raw`(?:[a-z]?[-/]?\d{0,2} *[(/] *)?`;
const namedHooks: readonly RegExp[] = [
  new RegExp(String.raw`${figure}[ -]+(?:crochet +)?hook`, 'gi'),
  new RegExp(String.raw`\bhook *(?:size|no\.?|of|us|uk)?[ :]*${otherSystem}${figure}`, 'gi'),
];

/** A size as it is named: in mm, or from one to another. */
type HookSize = number | string;

const inMm = (figureSaid: string): number => Number(figureSaid.replace(',', '.'));

const sizesIn = (words: string, patterns: readonly RegExp[]): HookSize[] =>
  patterns.flatMap((pattern) =>
    [...words.matchAll(pattern)].map(([, one = '', other]) =>
      other === undefined ? inMm(one) : `${one}–${other} mm`,
    ),
  );

/** A hook for each size the text names; where it names none in mm, one as it says. */
function hooksOf({ text, pattern }: ToyAnalysis): ToolNeed[] {
  const said = pattern.header.hook;
  const sizes = [
    ...sizesIn(said ?? '', [new RegExp(figure, 'gi')]),
    ...sizesIn(withoutRemarks(text.split(/\r\n|\n|\r/)).join('\n'), namedHooks),
  ];
  const exact = sizes.filter((one) => typeof one === 'number' && one > 0) as number[];
  const ranges = sizes.filter((one) => typeof one === 'string');
  const each = [...new Set(exact)].sort((a, b) => a - b);
  const one = { kind: 'crochet hook', count: 1 } as const;
  if (each.length > 0 || ranges.length > 0)
    return [
      ...each.map((sizeMm): ToolNeed => ({ ...one, sizeMm, use: null })),
      ...[...new Set(ranges)].map((range): ToolNeed => ({
        ...one,
        sizeMm: null,
        use: { of: 'hook', said: range },
      })),
    ];
  return [{ ...one, sizeMm: null, use: { of: 'hook', said } }];
}

/** Whether something is stitched with thread, or sewn on by itself. */
const hasThreadWork = (parts: readonly PartAnalysis[]): boolean =>
  parts.some(({ features }) =>
    features.some(({ kind, rule }) => {
      const isDrawn = kind === 'sculpting' || kind === 'hair' || kind === 'key ring';
      return !isDrawn && !hasPost(rule) && rule.style !== 'crochet';
    }),
  );

function needlesOf(toy: ToyAnalysis): ToolNeed[] {
  const { parts, joined } = toy;
  const one = { sizeMm: null, count: 1, use: null };
  const through = drawnThrough(parts, joined.joins);
  const longest = through.reduce((best, { mm }) => Math.max(best, mm), 0);
  const deepest = through.find(({ mm }) => mm === longest);
  return [
    { kind: 'darning needle', ...one },
    ...(hasThreadWork(parts) ? [{ kind: 'sewing needle', ...one } as const] : []),
    ...(deepest
      ? [
          {
            kind: 'long needle',
            sizeMm: longest > 0 ? needleLengthMm(longest) : null,
            count: 1,
            use: { of: 'through', part: deepest.part.source.name.toLowerCase() },
          } as const,
        ]
      : []),
  ];
}

/** What a toy is made with, as many of each as are in use at once; as many for several toys made one after the other. */
export function toolsOf(toy: ToyAnalysis): ToolNeed[] {
  const isWorked = toy.parts.some(({ fabric }) => fabric.rounds > 0);
  return isWorked ? [...hooksOf(toy), ...needlesOf(toy), ...markersOf(toy), ...pinsOf(toy)] : [];
}

/** What a tool is called. */
export function toolName({ kind, sizeMm }: Pick<ToolNeed, 'kind' | 'sizeMm'>): string {
  switch (kind) {
    case 'crochet hook':
      return sizeMm === null ? t`Crochet hook` : t`Crochet hook, ${number(sizeMm, 2)} mm`;
    case 'darning needle':
      return t`Darning needle, blunt`;
    case 'sewing needle':
      return t`Sewing needle`;
    case 'long needle':
      return sizeMm === null ? t`Long needle` : t`Long needle, at least ${sizeWords(sizeMm)}`;
    case 'stitch marker':
      return t`Stitch markers`;
    case 'pin':
      return t`Pins`;
  }
}

/** Of what there are several, so many; null of what there is one of. */
function countedTool(kind: ToolKind, count: number): string | null {
  if (kind === 'pin') return plural(count, 'pin');
  return kind === 'stitch marker' ? plural(count, 'stitch marker') : null;
}

/** A tool as it stands on a list: `Long needle, at least 90 mm: drawn through the body`, `3 pins: for one piece at a time`. */
function toolLine(tool: ToolNeed): string {
  const { kind, count, use } = tool;
  const called = countedTool(kind, count) ?? toolName(tool);
  return use === null ? called : `${called}: ${toolUseWords(use)}`;
}

/** What a toy is made with, a line each. */
export const toolLines = (tools: readonly ToolNeed[]): string[] => tools.map(toolLine);
