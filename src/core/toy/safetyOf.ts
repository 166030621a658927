import { withoutRemarks } from '../notation/remarks';
import type { StitchKind } from '../notation/terms';
import type { FeaturePlacement } from '../place/resolve/placement';
import { writeRule } from '../place/rule/writeRule';
import { readAudience, type Audience } from '../safety/audience';
import {
  screenToy,
  type Extent,
  type Finding,
  type Hazard,
  type SafetyFeature,
  type SafetyPart,
} from '../safety/findings';
import { shippedRules, type RuleBook } from '../safety/ruleBook';
import { weightInWords } from '../shape/yarnWeights';
import { coverOfStrand } from '../shape/form/showThrough';
import { sizeOfToy } from '../join/pose';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { assembled } from './assembled';
import { stuffedPart, sizeOfPart } from './stuffedPart';
import { yarnOf } from './yarnOf';

export interface ToySafety {
  audience: Audience | null;
  findings: Finding[];
}

/** Sewn on, as small as it may be. */
const sewnOn = new Set<FeaturePlacement['kind']>(['patch', 'bow', 'spots', 'cheeks']);

/** The same feature in thread: as large, in the same place. */
function embroideredEdits(
  { source }: PartAnalysis,
  { id, rule }: FeaturePlacement,
): SafetyFeature['embroidered'] {
  const { ring, ...bare } = rule;
  return [
    writeRule(source, id, {
      ...(ring ? bare : rule),
      embroidered: true,
      style: rule.kind === 'nose' ? 'satin' : null,
    }),
  ];
}

function featuresOf(part: PartAnalysis): SafetyFeature[] {
  return part.features.flatMap((feature): SafetyFeature[] => {
    const { id, kind, rule, needle, units } = feature;
    const sizeMm = rule.sizeMm ?? 2 * Math.max(0, ...units.map(({ halfMm }) => halfMm));
    const isPressed = (kind === 'eyes' || kind === 'nose') && !rule.embroidered;
    const plain = { id, sizeMm, embroidered: null };
    if (isPressed) return [{ id, sizeMm, kind: 'pressed', embroidered: embroideredEdits(part, feature) }];
    if (kind === 'button') return [{ ...plain, kind: 'button' }];
    if (kind === 'key ring') return [{ ...plain, kind: 'key-ring' }];
    if (kind === 'hair' || kind === 'whiskers') return [{ ...plain, kind: 'strands' }];
    return sewnOn.has(kind) && !needle ? [{ ...plain, kind: 'sewn-on' }] : [];
  });
}

/** Chains that hang from the fabric, and a part that is nothing but a chain, by their length in mm. */
function cordsOf({ fabric, form, source }: PartAnalysis): SafetyPart['cords'] {
  const { widthMm } = form.gauge;
  const isChain = (kind: StitchKind) => kind === 'ch';
  const grown = fabric.outgrowths.flatMap(({ kinds, round }) => {
    const chains = kinds.filter(isChain).length;
    return chains > 0 ? [{ lengthMm: chains * widthMm, round: fabric.label[round - 1] ?? round }] : [];
  });
  // A chain with a row or two along it is a cord.
  const isCord = fabric.row[0] === 1 && fabric.rounds <= 2 && fabric.places > 8;
  const narrow =
    fabric.rounds > 20 && fabric.row[0] !== 1 && Math.max(...counts(fabric.offset, fabric.rounds)) <= 6;
  const rounds = source.rounds[0]?.number ?? 1;
  if (isCord) return [...grown, { lengthMm: fabric.places * widthMm, round: rounds }];
  return narrow ? [...grown, { lengthMm: fabric.rounds * form.gauge.heightMm, round: rounds }] : grown;
}

const counts = (offset: Uint32Array, rounds: number): number[] =>
  Array.from({ length: rounds }, (_, i) => (offset[i + 1] ?? 0) - (offset[i] ?? 0));

const extent = (...sizes: [number, number, number]): Extent =>
  [...sizes].sort((a, b) => b - a) as [number, number, number];

/** Two layers of fabric. */
const layersMm = 8;

/** An empty piece lies flat: half as wide as it is around, as long as its wall. */
function emptyExtent({ fabric, profile, form }: PartAnalysis): Extent {
  const widest = Math.max(0, ...counts(fabric.offset, fabric.rounds));
  return extent((widest * form.gauge.widthMm) / 2, Math.max(0, ...profile.along), layersMm);
}

/** The widest round, by its number, where stuffing stretches it over what the yarn covers; null where it does not. */
function gapingRound(part: PartAnalysis, thicknessMm: number): number | null {
  const { fabric, profile, form } = part;
  const { radius } = stuffedPart(part);
  const widest = radius.reduce((best, value, round) => (value > (radius[best] ?? 0) ? round : best), 0);
  const share = (radius[widest] ?? 0) / (profile.radius[widest] || 1);
  const isCovered = form.gauge.widthMm * share <= coverOfStrand * thicknessMm;
  return isCovered ? null : (fabric.label[widest] ?? widest + 1);
}

function safetyPart(
  part: PartAnalysis,
  { joined, parts }: ToyAnalysis,
  thicknessMm: number | null,
): SafetyPart {
  const { source, stops, fabric } = part;
  const { widthMm, heightMm } = sizeOfPart(part);
  const isFlat = fabric.row[0] === 1;
  const isStuffed = stops.stops.some(({ acts }) => acts.some(({ act }) => act === 'stuff'));
  const isBegun = parts.some(({ source: other }) => other.onto?.part === source.id);
  const touches = joined.joins.some(
    ({ unit, on, kind }) => unit.part === source.id || (on.part === source.id && kind === 'edge-to-edge'),
  );
  // The text joins it, though it is still asked where: its end will be sewn shut.
  const isToBeJoined = source.steps.some(({ kind }) => kind === 'sew' || kind === 'pin' || kind === 'nosew');
  const isWorkedOn = source.onto !== undefined || source.carries !== undefined || source.grown !== undefined;
  return {
    id: source.id,
    name: source.name,
    extent: isFlat || isStuffed ? extent(widthMm, heightMm, isFlat ? 3 : widthMm) : emptyExtent(part),
    isStuffed,
    isJoined: touches || isToBeJoined || isBegun || isWorkedOn,
    end: { stitches: stops.closing?.stitches ?? 0, how: stops.closing?.how ?? 'gather' },
    features: featuresOf(part),
    cords: cordsOf(part),
    gapes: isStuffed && thicknessMm !== null ? gapingRound(part, thicknessMm) : null,
  };
}

const hazards: readonly [Hazard['code'], RegExp][] = [
  ['glue', /\b(?:hot[- ]?)?glued?\b|\bgluing\b/i],
  ['wire', /\b(?:wire|wires|wired|pipe ?cleaners?|chenille stems?|armature)\b/i],
  ['magnet', /\bmagnet(?:s|ic)?\b/i],
  [
    'rattle',
    /\b(?:rattles?|squeakers?|jingle bells?|bells?|(?:music|sound) box(?:es)?|crinkle (?:paper|foil|film))\b/i,
  ],
  ['long-pile', /\b(?:faux fur|fur yarn|eyelash yarn|long pile|mohair|brushed alpaca)\b/i],
  ['button', /\b(?:beads?|sequins?|rhinestones?|(?:googly|wiggly?) eyes?)\b/i],
  [
    'loose-filling',
    /\b(?:pellets?|(?:weight(?:ing)?|filling) beads?|(?:dried|dry) (?:beans?|peas?|lentils?|lavender|corn)|cherry stones?|(?:fill|stuff)(?:ed)?(?: (?:it|them|the \w+))? with (?:rice|sand|beans?|lavender|gravel|glass beads)|weight bags?)\b/i,
  ],
  [
    'cord-length',
    /\b(?:ribbons?(?! yarn)|strings? (?:around|round|about)|elastic cord|shoelaces?|(?<!-)cords?|drawstrings?)\b/i,
  ],
  ['loop-size', /\b(?:hanging loop|loop (?:for|to) hang(?:ing)?)\b/i],
];

/** What forbids or leaves something out is no use of it: `no wire`, `do not glue`. */
const forbidden = /\b(?:no|not|never|without|instead of|don['’]?t|avoid)\b[^.;,]*$/i;

function hazardsIn({ text, pattern, parts }: ToyAnalysis): Hazard[] {
  const lines = withoutRemarks(text.split(/\r\n|\n|\r/));
  // A part that is called Bell is no bell: its name says nothing of what is in it.
  const names = parts.flatMap(({ source }) => source.name.toLowerCase().split(/\s+/));
  const isName = (word: string) => names.some((name) => name === word || `${name}s` === word);
  return hazards.flatMap(([code, expression]) => {
    for (const [i, line] of lines.entries()) {
      const found = expression.exec(line);
      const isRound = pattern.lineKinds[i] === 'round' || pattern.lineKinds[i] === 'heading';
      if (!found || isRound || forbidden.test(line.slice(0, found.index))) continue;
      if (isName(found[0].toLowerCase())) continue;
      const part = parts.find(({ source }) => i + 1 >= source.firstLine && i + 1 <= source.lastLine);
      return [{ code, word: found[0].toLowerCase(), part: part?.source.name ?? null }];
    }
    return [];
  });
}

/**
 * Screens a toy for whom its text says it is.
 *
 * @param book the rule book of the maker
 */
export function safetyOf(toy: ToyAnalysis, book: RuleBook = shippedRules): ToySafety {
  const audience = readAudience(toy.pattern.header.audience);
  // Of a yarn nobody named nothing is known.
  const isYarnKnown = toy.pattern.header.yarns.some(({ value }) => weightInWords(value) !== null);
  const thicknessMm = isYarnKnown ? yarnOf(toy).thicknessMm : null;
  const worked = toy.parts.filter(({ fabric }) => fabric.rounds > 0);
  const posed = assembled(toy).filter(({ loose }) => !loose);
  const isOnePiece = worked.length === 1;
  const parts = worked.map((part) => safetyPart(part, toy, thicknessMm));
  const size = posed.length > 1 ? sizeOfToy(posed) : null;
  const whole = size
    ? extent(size.widthMm, size.heightMm, size.depthMm)
    : isOnePiece
      ? (parts[0]?.extent ?? null)
      : null;
  return {
    audience,
    findings: screenToy({
      audience,
      parts,
      joins: toy.joined.joins
        .filter(({ kind }) => kind !== 'worked-on')
        .map(({ unit, path, ledger }) => ({
          part: unit.part,
          name: unit.name,
          stitches:
            path?.length ??
            ledger
              ?.flatMap((line) =>
                'part' in line && line.part === unit.part && line.unit === unit.unit ? line.stitches : [],
              )
              .reduce((sum, one) => sum + one, 0) ??
            0,
        })),
      hazards: hazardsIn(toy),
      whole,
      book,
    }),
  };
}
