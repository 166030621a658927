import type { Fabric } from '../fabric/fabric';
import { stitchKinds, type StitchKind } from '../notation/terms';
import { washerMm } from '../place/rule/hardware';
import { hasPost } from '../place/rule/rule';
import { weightInWords, yarnWeight, type YarnWeight } from '../shape/yarnWeights';
import { stitchYarnMm } from '../supplies/stitchYarn';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { unitName } from './orderWords';
import { discBehind } from './planPart';

/** Yarn of one colour. */
export interface YarnNeed {
  /** as the text calls it; the main yarn where it names none */
  name: string;
  /** what the text says it is */
  kind: string | null;
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
  /** thread for what is stitched, in metres */
  threadM: number;
  tails: TailNeed[];
}

const mainYarn = 'main yarn';
/** Where a piece begins, so much hangs inside. */
const startTailMm = 120;

/** What stands of a ball in the text: `50 g, 85 m`; metres for a gram, or null. */
export function metresPerGramIn(words: string): number | null {
  const grams = /(\d+(?:\.\d+)?)\s*g\b/i.exec(words);
  const metres = /(\d+(?:\.\d+)?)\s*(?:m|metres?|meters?)\b/i.exec(words);
  const yards = /(\d+(?:\.\d+)?)\s*(?:yd|yds|yards?)\b/i.exec(words);
  if (!grams || !(metres ?? yards)) return null;
  const length = metres ? Number(metres[1]) : Number(yards?.[1]) * 0.9144;
  const weight = Number(grams[1]);
  return weight > 0 && length > 0 ? length / weight : null;
}

interface KnownYarn {
  name: string;
  kind: string | null;
  weight: YarnWeight;
  metresPerGram: number;
}

/** The yarn a colour of a part is worked in. */
function yarnOfColour(colour: string, { pattern }: ToyAnalysis): KnownYarn {
  const { yarns } = pattern.header;
  const same = (name: string) => name.toLowerCase() === colour.toLowerCase();
  const said =
    yarns.find(({ name }) => same(name)) ?? (colour === '' && yarns.length === 1 ? yarns[0] : undefined);
  const known = [said?.value, ...yarns.map(({ value }) => value)].flatMap(
    (value) => weightInWords(value ?? '') ?? [],
  )[0];
  const weight = known ?? yarnWeight('medium');
  return {
    name: said?.name ?? (colour || mainYarn),
    kind: said?.value ?? null,
    weight,
    metresPerGram: metresPerGramIn(said?.value ?? '') ?? weight.metresPer100g / 100,
  };
}

const chainCode = stitchKinds.indexOf('ch');
const slipCode = stitchKinds.indexOf('sl');

/** Chains of the foundation and of bridges between pieces. An oval counts its chain from both sides, but for the end it turns around. */
function chainsAtStart({ start, places, ground }: Fabric): number {
  const bridges = ground.reduce((sum, run) => sum + ('chains' in run ? run.chains : 0), 0);
  if (start === 'ring' || start === 'edge') return bridges;
  return bridges + (start === 'oval' ? (places + 1) / 2 : places);
}

/**
 * What lifts the yarn to a new round or row and is no stitch of it: chains as many as its first stitch is high (one for a single crochet,
 * two, three, four for taller ones, as is usual), and in a joined round the slip stitch that closes it.
 */
function risingOf(fabric: Fabric, round: number): { chains: number; slips: number } {
  const isJoined = fabric.joined[round - 1] === 1;
  const isRow = fabric.row[round - 1] === 1;
  if (!isJoined && !isRow) return { chains: 0, slips: 0 };
  const kind = stitchKinds[fabric.kind[fabric.offset[round - 1] ?? 0] ?? 0] ?? 'sc';
  return { chains: risingChains[kind], slips: isJoined ? 1 : 0 };
}

const risingChains: Readonly<Record<StitchKind, number>> = {
  sl: 0,
  ch: 0,
  sc: 1,
  hdc: 2,
  dc: 3,
  tr: 4,
  dtr: 5,
};

/** Millimetres of yarn in one unit of a part, by the colours of its palette. */
function yarnOfPart(part: PartAnalysis, toy: ToyAnalysis): { colour: string; mm: number }[] {
  const { fabric, form, stops } = part;
  const sums = fabric.palette.map(() => 0);
  const yarns = fabric.palette.map((colour) => yarnOfColour(colour, toy));
  const add = (colour: number, mm: number) => {
    sums[colour] = (sums[colour] ?? 0) + mm;
  };
  const thickness = (colour: number) => yarns[colour]?.weight.thicknessMm ?? yarnWeight('medium').thicknessMm;
  for (let stitch = 0; stitch < fabric.kind.length; stitch += 1) {
    const colour = fabric.colour[stitch] ?? 0;
    const together = Math.max(1, fabric.parentCount[stitch] ?? 1);
    add(colour, stitchYarnMm(fabric.kind[stitch] ?? 0, together, form.gauge, thickness(colour)));
  }
  for (const { after, kinds } of fabric.outgrowths) {
    const colour = fabric.colour[Math.max(0, after)] ?? 0;
    for (const kind of kinds)
      add(colour, stitchYarnMm(stitchKinds.indexOf(kind), 1, form.gauge, thickness(colour)));
  }
  for (let round = 1; round <= fabric.rounds; round += 1) {
    const begun = fabric.offset[round - 1] ?? 0;
    const colour = fabric.colour[begun] ?? 0;
    const { chains, slips } = risingOf(fabric, round);
    add(colour, chains * stitchYarnMm(chainCode, 1, form.gauge, thickness(colour)));
    add(colour, slips * stitchYarnMm(slipCode, 1, form.gauge, thickness(colour)));
  }
  const first = fabric.colour[0] ?? 0;
  add(first, chainsAtStart(fabric) * stitchYarnMm(chainCode, 1, form.gauge, thickness(first)) + startTailMm);
  add(fabric.colour[fabric.kind.length - 1] ?? 0, stops.closing?.tailMm ?? 0);
  return sums.map((mm, colour) => ({ colour: fabric.palette[colour] ?? '', mm }));
}

function hardwareOf({ parts }: ToyAnalysis): HardwareNeed[] {
  const needs = new Map<string, HardwareNeed>();
  const put = (kind: string, sizeMm: number, count: number) => {
    const key = `${kind} ${sizeMm}`;
    const known = needs.get(key);
    needs.set(key, { kind, sizeMm, count: (known?.count ?? 0) + count });
  };
  for (const { features, source } of parts) {
    for (const { kind, rule, units, needle } of features) {
      const count = units.length * source.make;
      const sizeMm = rule.sizeMm ?? Math.round(2 * Math.max(0, ...units.map(({ halfMm }) => halfMm)));
      const isPressed = hasPost(rule);
      if (isPressed) {
        put(kind === 'eyes' ? 'safety eye' : 'safety nose', sizeMm, count);
        put('washer', washerMm(sizeMm), count);
        const disc = discBehind(source, kind, sizeMm);
        if (disc !== null) put('disc of felt', disc, count);
      } else if (kind === 'button') put('button', sizeMm, count);
      else if (kind === 'key ring') put('key ring', sizeMm, count);
      else if (!needle && kind !== 'sculpting' && kind !== 'hair')
        put(`${rule.style ?? 'felt'} for ${kind}`, sizeMm, count);
    }
  }
  return [...needs.values()];
}

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
    for (const { colour, mm } of yarnOfPart(part, toy)) {
      if (mm <= 0) continue;
      const { name, kind, metresPerGram } = yarnOfColour(colour, toy);
      const metres = (mm * part.source.make * copies) / 1000;
      const known = yarns.get(name) ?? { name, kind, metres: 0, grams: 0 };
      yarns.set(name, {
        ...known,
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
    threadM: total(threads) / 1000,
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

/** The list for the shop or the basket, a line each. */
export function supplyLines(
  { yarns, stuffingG, hardware, threadM }: Supplies,
  margin = usualMargin,
): string[] {
  const more = 1 + margin;
  return [
    ...yarns.map(
      ({ name, kind, metres, grams }) =>
        `${name}${kind ? ` (${kind})` : ''}: ${Math.ceil(metres * more)} m, about ${Math.ceil(grams * more)} g`,
    ),
    ...(stuffingG > 0 ? [`Stuffing: about ${Math.ceil(stuffingG * more)} g`] : []),
    ...hardware.map(
      ({ kind, sizeMm, count }) => `${count} × ${kind}${sizeMm > 0 ? `, ${tenth(sizeMm)} mm` : ''}`,
    ),
    ...(threadM > 0 ? [`Thread for stitching: ${Math.ceil(threadM * more * 10) / 10} m`] : []),
  ];
}
