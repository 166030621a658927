import { stitchKinds, type StitchKind } from '../../notation/stitchKinds';
import type { SurfaceLine } from '../../place/resolve/surfaceLine';
import { stitchYarnMm } from '../../supplies/stitchYarn';
import { t } from '../../words/language';
import { yarnWords } from '../../words/measures';
import type { PartAnalysis, ToyAnalysis } from '../analysis';
import { thicknessOf } from '../yarnOf';
import { namesYarn, strandsFor, strandsOf } from './strands';
import { endMm, yarnOfColour, yarnOfPart, type KnownYarn } from './yarnOfPart';

/** Yarn that is worked or knotted onto one unit of a part. */
interface OnSurface {
  yarn: KnownYarn;
  mm: number;
}

/** What takes yarn and is in no amount. */
export interface Uncounted {
  /** `crest on the head` */
  what: string;
  /** what it depends on: how tall it grows, how long it hangs, of which yarn it is, what its rounds are */
  by: 'height' | 'length' | 'yarn' | 'rounds';
  /** where only its yarn is not known, what all units take */
  metres: number | null;
}

/** Stitches that lie flat on the fabric, so that the words say how much yarn they take. */
const flatStitches: readonly (readonly [RegExp, StitchKind])[] = [
  [/\b(?:slip\s+st|sl\s*st)|\bsurface\s+chains?\b/i, 'sl'],
  [/\bsurface\s+sc\b/i, 'sc'],
];

const flatStitch = (thing: string): StitchKind | null =>
  flatStitches.find(([words]) => words.test(thing))?.[1] ?? null;

/** The yarns the rounds of a toy are worked in, by name. */
const usedYarns = (toy: ToyAnalysis): string[] => [
  ...new Set(toy.parts.flatMap((part) => yarnOfPart(part, toy).map(({ name }) => name))),
];

/** The yarn a sentence speaks of: the one it names, or the only one there is; null where that is left open. */
function yarnSaid(words: string, toy: ToyAnalysis): KnownYarn | null {
  const declared = toy.pattern.header.yarns.map(({ name }) => name);
  const names = [...new Set([...declared, ...usedYarns(toy)])];
  const said = names.filter((name) => namesYarn(words, '(?:in|of|with|using)', name));
  const [only, ...others] = said.length > 0 ? said : names;
  return only !== undefined && others.length === 0 ? yarnOfColour(only, toy) : null;
}

/** Yarn along a line of stitches that lie on the fabric, in mm: each as long as a round is high, with the yarn beneath it and both ends. */
function flatMm(line: SurfaceLine, kind: StitchKind, yarn: KnownYarn, ground: Ground): number {
  const { part, toy, strands } = ground;
  const { heightMm } = part.form.gauge;
  const along = { widthMm: heightMm, heightMm };
  const each =
    stitchYarnMm(stitchKinds.indexOf(kind), 1, along, thicknessOf(yarn.weight, strands)) + heightMm;
  const stitches = Math.max(0, line.holes.length - 1);
  return ((toy.yarnUse ?? 1) * stitches * each + 2 * endMm) * strands;
}

/** What a line is worked on. */
interface Ground {
  part: PartAnalysis;
  toy: ToyAnalysis;
  strands: number;
}

/** What one line takes, in mm; null where its words do not say it. */
function lineMm(line: SurfaceLine, yarn: KnownYarn, ground: Ground): number | null {
  if (line.around) {
    const { strandMm } = line.sentence;
    return strandMm === null ? null : line.holes.length * strandMm;
  }
  const kind = flatStitch(line.thing);
  return kind === null ? null : flatMm(line, kind, yarn, ground);
}

/** What is crocheted by itself and has no rounds in the text: cheeks, eyes, rings behind them. */
function crocheted({ features, source }: PartAnalysis): Uncounted[] {
  const on = ` on the ${source.name.toLowerCase()}`;
  return features.flatMap(({ id, rule }): Uncounted[] => {
    const isMade = rule.style === 'crochet' && !rule.embroidered;
    const rings = rule.ring?.of === 'crochet' ? [`rings behind the ${id}${on}`] : [];
    const all = [...(isMade ? [`crocheted ${id}${on}`] : []), ...rings];
    return all.map((what) => ({ what, by: 'rounds', metres: null }));
  });
}

/** What is worked along lines of one unit of a part: the yarn it takes, by yarn, and what the words leave open. */
export function onSurface(
  part: PartAnalysis,
  toy: ToyAnalysis,
): { counted: OnSurface[]; uncounted: Uncounted[] } {
  const counted: OnSurface[] = [];
  const open = new Map<string, Uncounted>();
  const said = strandsOf(toy);
  const lines = toy.parts.map(({ source }) => source.line);
  const { name, make, line: partLine } = part.source;
  for (const line of part.lines) {
    const yarn = yarnSaid(line.sentence.text, toy);
    const supposed = yarn ?? yarnOfColour(part.fabric.palette[0] ?? '', toy);
    const strands = strandsFor(said, supposed.name, { partLine, lines });
    const mm = lineMm(line, supposed, { part, toy, strands });
    if (mm !== null && yarn) {
      counted.push({ yarn, mm });
      continue;
    }
    const what = `${line.thing} on the ${name.toLowerCase()}`;
    const before = open.get(what)?.metres ?? 0;
    const isLength = line.around !== null;
    open.set(
      what,
      mm === null
        ? { what, by: isLength ? 'length' : 'height', metres: null }
        : { what, by: 'yarn', metres: before + (mm * make) / 1000 },
    );
  }
  return { counted, uncounted: [...open.values(), ...crocheted(part)] };
}

/** Why something is in no amount. */
export function uncountedWords({ what, by, metres }: Uncounted): string {
  if (by === 'yarn' && metres !== null)
    return t`Not counted: the ${what}, ${yarnWords(metres, 1)} of a yarn that is not said`;
  if (by === 'rounds') return t`Not counted: the yarn of the ${what}, whose rounds are in no text`;
  return by === 'length'
    ? t`Not counted: the yarn of the ${what}, which depends on how long it hangs`
    : t`Not counted: the yarn of the ${what}, which depends on how tall it grows`;
}
