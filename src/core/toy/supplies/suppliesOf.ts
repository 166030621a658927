import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import { washerMm } from '../../place/rule/hardware';
import { hasPost, type FeatureRule } from '../../place/rule/rule';
import type { PartAnalysis, ToyAnalysis } from '../analysis';
import { unitName } from '../orderWords';
import { discBehind } from '../planPart';
import { feltLine, feltOf, type FeltNeed } from './felt';
import { strandsOf } from './strands';
import { onSurface, uncountedWords, type Uncounted } from './surfaceYarn';
import { toolLines, toolsOf, type ToolNeed } from './tools';
import { lengthMm, yarnOfPart, type KnownYarn } from './yarnOfPart';
import { weightWords, yarnWords } from '../../words/measures';

/** Yarn of one colour. */
export interface YarnNeed {
  /** as the text calls it; the main yarn where it names none */
  name: string;
  /** what the text says it is */
  kind: string | null;
  /** most strands that are held together; all of them are in the metres */
  strands: number;
  metres: number;
  grams: number;
}

/** Something bought by the piece. */
export interface HardwareNeed {
  kind: string;
  sizeMm: number;
  count: number;
}

/** A tail to leave when the yarn is cut. */
export interface TailNeed {
  part: string;
  unit: number;
  name: string;
  mm: number;
  for: 'closing' | 'sewing';
}

export interface Supplies {
  yarns: YarnNeed[];
  /** metres of each part, all its units together, by yarn */
  byPart: { part: string; yarn: string; metres: number }[];
  stuffingG: number;
  hardware: HardwareNeed[];
  /** what the pieces of felt among them are cut from */
  felt: FeltNeed[];
  /** what it is made with, as many as are in use at once, however many toys */
  tools: ToolNeed[];
  /** thread for what is stitched, in metres */
  threadM: number;
  /** what takes yarn that is not in here: how tall a crest or a mane grows is in no text */
  uncounted: Uncounted[];
  /** what the text says of strands of several yarns: how much of each is not worked out */
  mixedStrands: readonly string[];
  tails: TailNeed[];
}

/** What comes by the piece as it is said to the maker: `safety eye`, `felt for cheeks`. */
export const pieceName = (kind: string): string => {
  const [what, forWhat] = kind.split(' for ').map(sayTerm);
  return forWhat ? t`${what} for ${forWhat}` : (what ?? kind);
};

/** Whether it is crocheted, so that nothing is bought for it but yarn. */
export const isCrocheted = ({ kind }: Pick<HardwareNeed, 'kind'>): boolean => kind.startsWith('crochet');

/** Whether it is cut, so that felt is bought for it and not itself. */
export const isOfFelt = ({ kind }: Pick<HardwareNeed, 'kind'>): boolean => /\bfelt\b/.test(kind);

/** What is pressed in, as it is asked for in a shop: oval eyes are not round ones. */
function pressedKind({ kind, style }: FeatureRule): string {
  if (kind !== 'eyes') return 'safety nose';
  return style === 'oval' ? 'oval safety eye' : 'safety eye';
}

function hardwareOf({ parts }: ToyAnalysis): HardwareNeed[] {
  const needs = new Map<string, HardwareNeed>();
  const put = (kind: string, sizeMm: number, count: number) => {
    const key = `${kind} ${sizeMm}`;
    const known = needs.get(key);
    needs.set(key, { kind, sizeMm, count: (known?.count ?? 0) + count });
  };
  for (const { features, source } of parts) {
    for (const step of source.steps)
      if (step.kind === 'enclose') put(step.thing, step.sizeMm ?? 0, source.make);
    for (const { kind, rule, units, needle } of features) {
      const count = units.length * source.make;
      const sizeMm = rule.sizeMm ?? Math.round(2 * Math.max(0, ...units.map(({ halfMm }) => halfMm)));
      if (rule.ring)
        put(rule.ring.of === 'felt' ? 'ring of felt' : 'crocheted ring', rule.ring.sizeMm, count);
      const isPressed = hasPost(rule);
      if (isPressed) {
        put(pressedKind(rule), sizeMm, count);
        put('washer', washerMm(sizeMm), count);
        const disc = discBehind(source, kind, sizeMm);
        if (disc !== null) put('disc of felt', disc, count);
      } else if (kind === 'button' || rule.style === 'button') put('button', sizeMm, count);
      else if (kind === 'key ring') put('key ring', sizeMm, count);
      else if (!needle && kind !== 'sculpting' && kind !== 'hair')
        put(`${rule.style ?? 'felt'} for ${kind}`, sizeMm, count);
    }
  }
  return [...needs.values()];
}

/** The yarn of one unit of a part: of its rounds with their tails, then of what is worked onto it. */
function yarnIn(part: PartAnalysis, toy: ToyAnalysis): { yarn: KnownYarn; strands: number; mm: number }[] {
  const inRounds = yarnOfPart(part, toy).map((yarn) => ({
    yarn,
    strands: yarn.strands,
    mm: lengthMm(yarn),
  }));
  const onto = onSurface(part, toy).counted.map(({ yarn, mm }) => ({ yarn, strands: 1, mm }));
  return [...inRounds, ...onto];
}

const timesMore = (uncounted: readonly Uncounted[], copies: number): Uncounted[] =>
  uncounted.map((one) => ({ ...one, metres: one.metres === null ? null : one.metres * copies }));

/**
 * What a toy takes: yarn by colour stitch for stitch, with its tails; stuffing; what is bought by the piece; thread.
 *
 * @param copies so many toys
 */
export function suppliesOf(toy: ToyAnalysis, copies = 1): Supplies {
  const worked = toy.parts.filter(({ fabric }) => fabric.rounds > 0);
  const yarns = new Map<string, YarnNeed>();
  const byPart: Supplies['byPart'] = [];
  for (const part of worked) {
    for (const { yarn, strands, mm } of yarnIn(part, toy)) {
      const { name, kind, metresPerGram } = yarn;
      const metres = (mm * part.source.make * copies) / 1000;
      if (metres <= 0) continue;
      const known = yarns.get(name) ?? { name, kind, strands, metres: 0, grams: 0 };
      yarns.set(name, {
        ...known,
        strands: Math.max(known.strands, strands),
        metres: known.metres + metres,
        grams: known.grams + metres / metresPerGram,
      });
      byPart.push({ part: part.source.name, yarn: name, metres });
    }
  }
  const fills = worked.flatMap(({ stops, source }) =>
    stops.stops.flatMap(({ acts }) => acts.map((act) => (act.fills?.grams ?? 0) * source.make)),
  );
  const threads = worked.flatMap(({ features, source }) =>
    features.map(({ needle }) => (needle?.threadMm ?? 0) * source.make),
  );
  const total = (values: number[]) => values.reduce((sum, value) => sum + value, 0) * copies;
  return {
    yarns: [...yarns.values()],
    byPart,
    stuffingG: total(fills),
    hardware: hardwareOf(toy).map((need) => ({ ...need, count: need.count * copies })),
    felt: feltOf(toy, copies),
    tools: toolsOf(toy),
    threadM: total(threads) / 1000,
    uncounted: worked.flatMap((part) => timesMore(onSurface(part, toy).uncounted, copies)),
    mixedStrands: strandsOf(toy).mixed,
    tails: worked.flatMap(({ source, stops }) =>
      Array.from({ length: stops.closing ? source.make : 0 }, (_, i): TailNeed => ({
        part: source.name,
        unit: i + 1,
        name: unitName(toy, source.id, i + 1),
        mm: Math.ceil((stops.closing?.tailMm ?? 0) / 10) * 10,
        for: stops.closing?.how === 'open' ? 'sewing' : 'closing',
      })),
    ),
  };
}

/** Bought with so much to spare. */
export const usualMargin = 0.1;

const tenth = (value: number) => Math.round(value * 10) / 10;

/** What takes yarn that is not in the list, a line each. */
export const leftOut = ({
  uncounted,
  mixedStrands,
}: Pick<Supplies, 'uncounted' | 'mixedStrands'>): string[] => [
  ...mixedStrands.map((words) => t`Not worked out: “${words}”. See by hand what it takes of each yarn.`),
  ...uncounted.map(uncountedWords),
];

/** The list for the shop or the basket, a line each. */
export function supplyLines(
  { yarns, stuffingG, hardware, felt, threadM, uncounted, mixedStrands }: Supplies,
  margin = usualMargin,
): string[] {
  const more = 1 + margin;
  return [
    ...yarns.map(
      ({ name, kind, strands, metres, grams }) =>
        t`${name}${kind ? ` (${kind})` : ''}: ${yarnWords(metres * more)}, about ${weightWords(grams * more, 0, Math.ceil)}${strands > 1 ? t`, ${strands} strands held together` : ''}`,
    ),
    ...(stuffingG > 0 ? [t`Stuffing: about ${weightWords(stuffingG * more, 0, Math.ceil)}`] : []),
    ...hardware.map(
      ({ kind, sizeMm, count }) =>
        `${count} × ${pieceName(kind)}${sizeMm > 0 ? t`, ${tenth(sizeMm)} mm` : ''}`,
    ),
    ...felt.map(feltLine),
    ...(threadM > 0 ? [t`Thread for stitching: ${yarnWords(threadM * more, 1)}`] : []),
    ...leftOut({ uncounted, mixedStrands }),
  ];
}

/** All that lies on the table before a toy is begun: what it takes, then what it is made with. */
export const needLines = (supplies: Supplies): string[] => [
  ...supplyLines(supplies),
  ...toolLines(supplies.tools),
];
