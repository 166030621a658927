import type { Fabric } from '../../fabric/fabric';
import { stitchKinds, type StitchKind } from '../../notation/stitchKinds';
import { weightInWords, yarnWeight, type YarnWeight } from '../../shape/yarnWeights';
import { stitchYarnMm } from '../../supplies/stitchYarn';
import type { PartAnalysis, ToyAnalysis } from '../analysis';
import { thicknessOf } from '../yarnOf';
import { strandsFor, strandsOf, withoutStrands } from './strands';

const mainYarn = 'main yarn';
/** Where a piece or a colour begins, so much hangs inside; a colour that is cut off leaves as much. Our own figure. */
export const endMm = 120;
/** A colour that is back after so many rounds goes up with the work and is not cut. */
export const carriedRounds = 3;

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

/** A yarn of the text, with what it is taken to be. */
export interface KnownYarn {
  name: string;
  kind: string | null;
  weight: YarnWeight;
  metresPerGram: number;
}

/** As it is bought; what speaks of strands alone stays as it stands. */
const kindOf = (value: string): string => withoutStrands(value) || value;

/** The yarn a colour of a part is worked in. */
export function yarnOfColour(colour: string, { pattern }: ToyAnalysis): KnownYarn {
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
    kind: said ? kindOf(said.value) : null,
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

/** A round in which so many ends of a colour hang inside. */
interface ColourEnds {
  colour: number;
  round: number;
  ends: number;
}

/** The first colour of a palette for every colour that is the same yarn. */
type SameYarn = readonly number[];

const sameYarn = (yarns: readonly KnownYarn[]): SameYarn =>
  yarns.map(({ name }) => yarns.findIndex((other) => other.name === name));

/** The rounds in which each yarn is used, from 1. */
function roundsByYarn({ colour, offset, rounds }: Fabric, same: SameYarn): Map<number, number[]> {
  const used = new Map<number, number[]>();
  for (let round = 1; round <= rounds; round += 1) {
    const inRound = colour.subarray(offset[round - 1] ?? 0, offset[round] ?? colour.length);
    for (const one of new Set([...new Set(inRound)].map((own) => same[own] ?? own))) {
      const known = used.get(one) ?? [];
      known.push(round);
      used.set(one, known);
    }
  }
  return used;
}

/**
 * The ends of yarns within a unit: where one is joined in, where it is cut off. The first begins with the piece, and the last goes on
 * into its tail.
 */
function colourEnds(fabric: Fabric, same: SameYarn): ColourEnds[] {
  const { colour } = fabric;
  const [first, last] = [colour[0] ?? 0, colour[colour.length - 1] ?? 0].map((one) => same[one] ?? one);
  return [...roundsByYarn(fabric, same)].flatMap(([own, used]): ColourEnds[] => {
    const cut = used.flatMap((round, i): ColourEnds[] => {
      const before = used[i - 1];
      const isCarried = before === undefined || round - before - 1 <= carriedRounds;
      return isCarried ? [] : [{ colour: own, round, ends: 2 }];
    });
    const [begun, ended] = [used[0] ?? 1, used.at(-1) ?? 1];
    return [
      ...(own === first ? [] : [{ colour: own, round: begun, ends: 1 }]),
      ...cut,
      ...(own === last ? [] : [{ colour: own, round: ended, ends: 1 }]),
    ];
  });
}

/** Yarn of one colour in one unit of a part. */
export interface PartYarn extends KnownYarn {
  /** so many are held together: all of them are in the lengths */
  strands: number;
  /** mm by round, from 1; at 0 what stands before the first, behind the last what is left to close or sew with */
  byRound: Float64Array;
}

/** The yarn of one unit of a part, by the colours of its palette, stitch by stitch. */
export function yarnOfPart(part: PartAnalysis, toy: ToyAnalysis): PartYarn[] {
  const { fabric, form, stops } = part;
  const said = strandsOf(toy);
  const lines = toy.parts.map(({ source }) => source.line);
  const yarns = fabric.palette.map((colour): PartYarn => {
    const yarn = yarnOfColour(colour, toy);
    const strands = strandsFor(said, yarn.name, { partLine: part.source.line, lines });
    return { ...yarn, strands, byRound: new Float64Array(fabric.rounds + 2) };
  });
  const use = toy.yarnUse ?? 1;
  const add = (colour: number, round: number, mm: number) => {
    const yarn = yarns[colour];
    if (yarn) yarn.byRound[round] = (yarn.byRound[round] ?? 0) + mm * yarn.strands;
  };
  const worked = (colour: number, code: number, together = 1) => {
    const { weight, strands } = yarns[colour] ?? { weight: yarnWeight('medium'), strands: 1 };
    return use * stitchYarnMm(code, together, form.gauge, thicknessOf(weight, strands));
  };
  for (let round = 1; round <= fabric.rounds; round += 1) {
    const [begun, end] = [fabric.offset[round - 1] ?? 0, fabric.offset[round] ?? fabric.kind.length];
    for (let stitch = begun; stitch < end; stitch += 1) {
      const colour = fabric.colour[stitch] ?? 0;
      add(
        colour,
        round,
        worked(colour, fabric.kind[stitch] ?? 0, Math.max(1, fabric.parentCount[stitch] ?? 1)),
      );
    }
    for (const { after, kinds } of fabric.outgrowths) {
      const standsOn = Math.max(0, after);
      if (standsOn < begun || standsOn >= end) continue;
      const colour = fabric.colour[standsOn] ?? 0;
      for (const kind of kinds) add(colour, round, worked(colour, stitchKinds.indexOf(kind)));
    }
    const colour = fabric.colour[begun] ?? 0;
    const { chains, slips } = risingOf(fabric, round);
    add(colour, round, chains * worked(colour, chainCode) + slips * worked(colour, slipCode));
  }
  const first = fabric.colour[0] ?? 0;
  add(first, 0, chainsAtStart(fabric) * worked(first, chainCode) + endMm);
  for (const { colour, round, ends } of colourEnds(fabric, sameYarn(yarns))) add(colour, round, ends * endMm);
  add(fabric.colour[fabric.kind.length - 1] ?? 0, fabric.rounds + 1, stops.closing?.tailMm ?? 0);
  return yarns;
}

/** Millimetres in all of it. */
export const lengthMm = ({ byRound }: PartYarn): number => byRound.reduce((sum, mm) => sum + mm, 0);

/** What one unit of a part takes: its stitches by the formula, whatever the maker's own use is, and the tails that hang from it. */
function takenBy(part: PartAnalysis, toy: ToyAnalysis, amount: (metres: number, yarn: PartYarn) => number) {
  const { fabric, stops } = part;
  const yarns = yarnOfPart(part, { ...toy, yarnUse: 1 });
  const of = (mm: number, colour: number) => {
    const yarn = yarns[colour];
    return yarn ? amount(mm / 1000, yarn) : 0;
  };
  const tail = (mm: number, colour: number) => of(mm * (yarns[colour]?.strands ?? 1), colour);
  const [first, last] = [fabric.colour[0] ?? 0, fabric.colour[fabric.kind.length - 1] ?? 0];
  const inside = colourEnds(fabric, sameYarn(yarns)).reduce(
    (sum, { colour, ends }) => sum + tail(ends * endMm, colour),
    0,
  );
  const tails = tail(endMm, first) + inside + tail(stops.closing?.tailMm ?? 0, last);
  const all = yarns.reduce((sum, yarn, colour) => sum + of(lengthMm(yarn), colour), 0);
  return { stitches: all - tails, tails };
}

/**
 * What one unit of a part weighs before it is stuffed: its stitches in anyone's hands, and the tails that hang from it.
 *
 * @returns both in grams; the stitches by the formula, whatever the maker's own use is
 */
export function gramsOfPart(part: PartAnalysis, toy: ToyAnalysis): { stitchesG: number; tailsG: number } {
  const { stitches, tails } = takenBy(part, toy, (metres, { metresPerGram }) => metres / metresPerGram);
  return { stitchesG: stitches, tailsG: tails };
}

/**
 * How long the yarn of one unit of a part is when it is unravelled, in metres.
 *
 * @returns its stitches by the formula, whatever the maker's own use is, and its tails
 */
export function metresOfPart(part: PartAnalysis, toy: ToyAnalysis): { stitchesM: number; tailsM: number } {
  const { stitches, tails } = takenBy(part, toy, (metres) => metres);
  return { stitchesM: stitches, tailsM: tails };
}
