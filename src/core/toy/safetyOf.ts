import type { Join } from '../join/joined';
import { isJoin } from '../notation/sentence/join';
import type { Reinforcing } from '../notation/sentence/reinforce';
import { reinforcedIn } from '../notation/sentence/reinforced';
import type { FeatureKind } from '../notation/sentence/said';
import { stitchKinds, type StitchKind } from '../notation/stitchKinds';
import type { FeaturePlacement } from '../place/resolve/placement';
import { hasPost } from '../place/rule/rule';
import { readAudience, type Audience } from '../safety/audience';
import {
  screenToy,
  type Extent,
  type Finding,
  type SafetyFeature,
  type SafetyJoin,
  type SafetyPart,
} from '../safety/findings';
import { shippedRules, type RuleBook } from '../safety/ruleBook';
import { weightInWords } from '../shape/yarnWeights';
import { coverOfStrand } from '../shape/form/showThrough';
import { sizeOfToy } from '../join/pose/posed';
import type { PartAnalysis, ToyAnalysis } from './analysis';
import { assembled } from './assembled';
import { hasSeam, isJoinedTwice, isPartSewnTwice } from './seams';
import { hazardsIn } from './hazards';
import { mendsOfFeature, mendsOfPart } from './mends';
import { stuffedPart, sizeOfPart } from './stuffedPart';
import { yarnOf } from './yarnOf';

export interface ToySafety {
  audience: Audience | null;
  findings: Finding[];
}

/** Sewn on, as small as it may be. */
const sewnOn = new Set<FeaturePlacement['kind']>(['patch', 'bow', 'spots', 'cheeks', 'nose', 'eyes']);

const behindWasher = 'backed with a disc behind each washer';
const aroundEdge = 'sewn twice round its edge';

/** How wide stuffing stretches a stitch of a round, in mm; null where the yarn covers it, or where gauge or yarn are not known. */
type Stretched = (round: number) => number | null;

function featuresOf(part: PartAnalysis, stretched: Stretched): SafetyFeature[] {
  const isReinforced = (how: Reinforcing, kind: FeatureKind) =>
    reinforcedIn(part.source.steps, how, kind).length > 0;
  return part.features.flatMap((feature): SafetyFeature[] => {
    const { id, kind, rule, needle, units } = feature;
    const sizeMm = rule.sizeMm ?? 2 * Math.max(0, ...units.map(({ halfMm }) => halfMm));
    const isPressed = hasPost(rule);
    const round = Math.round(Math.max(1, ...units.map(({ fromLine }) => fromLine)));
    const stitchMm = stretched(round);
    const label = part.fabric.label[round - 1] ?? round;
    const plain = {
      id,
      sizeMm,
      stretched: stitchMm === null ? null : { round: label, stitchMm },
      held: null,
      mends: mendsOfFeature(part, feature),
    };
    if (isPressed)
      return [{ ...plain, kind: 'pressed', held: isReinforced('backing', kind) ? behindWasher : null }];
    if (kind === 'button' || rule.style === 'button') return [{ ...plain, kind: 'button' }];
    if (kind === 'key ring') return [{ ...plain, kind: 'key-ring' }];
    if (kind === 'hair' || kind === 'whiskers') return [{ ...plain, kind: 'strands' }];
    if (!sewnOn.has(kind) || needle) return [];
    return [{ ...plain, kind: 'sewn-on', held: isReinforced('twice', kind) ? aroundEdge : null }];
  });
}

/** Chains that hang from the fabric, and a part that is nothing but a chain, by their length in mm. */
function cordsOf({ fabric, form, source }: PartAnalysis): SafetyPart['cords'] {
  const { widthMm } = form.gauge;
  const { chain } = source;
  if (chain) return chain.isRing ? [] : [{ lengthMm: chain.stitches * widthMm, round: 0 }];
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

/** Chains that leave the fabric and come back to it with nothing worked into them, and a chain joined to a ring, all round. */
function loopsOf({ fabric, form, source }: PartAnalysis): SafetyPart['loops'] {
  const { widthMm } = form.gauge;
  const { chain } = source;
  if (chain?.isRing) return [{ aroundMm: chain.stitches * widthMm, round: 0 }];
  const loops: { aroundMm: number; round: number }[] = [];
  for (let round = 1; round <= fabric.rounds; round += 1) {
    const last = fabric.offset[round] ?? 0;
    let run = 0;
    for (let stitch = fabric.offset[round - 1] ?? 0; stitch <= last; stitch += 1) {
      const isFree = stitch < last && fabric.kind[stitch] === chainCode && fabric.used[stitch] === 0;
      if (isFree) run += 1;
      else if (run > 0) {
        loops.push({ aroundMm: run * widthMm, round: fabric.label[round - 1] ?? round });
        run = 0;
      }
    }
  }
  // A band: a ring of chains with a round or two on it.
  const isBand = fabric.start === 'tube' && fabric.rounds <= mostBandRounds && fabric.row[0] !== 1;
  return isBand ? [...loops, { aroundMm: fabric.places * widthMm, round: 1 }] : loops;
}

const counts = (offset: Uint32Array, rounds: number): number[] =>
  Array.from({ length: rounds }, (_, i) => (offset[i + 1] ?? 0) - (offset[i] ?? 0));

const extent = (...sizes: [number, number, number]): Extent =>
  [...sizes].sort((a, b) => b - a) as [number, number, number];

/** With more rounds on it, a ring of chains is a tube. */
const mostBandRounds = 2;
const chainCode = stitchKinds.indexOf('ch');

/** One layer of fabric, and two with air between. */
const layerMm = 3;
const layersMm = 8;

/** An empty piece lies flat: half as wide as it is around, as long as its wall. */
function emptyExtent({ fabric, profile, form }: PartAnalysis): Extent {
  const widest = Math.max(0, ...counts(fabric.offset, fabric.rounds));
  return extent((widest * form.gauge.widthMm) / 2, Math.max(0, ...profile.along), layersMm);
}

/** Length, width and thickness of a part as it is when it is done. */
function extentOf(part: PartAnalysis, isStuffed: boolean): Extent {
  const { source, fabric, form } = part;
  if (source.chain) return extent(source.chain.stitches * form.gauge.widthMm, form.gauge.widthMm, layerMm);
  const { widthMm, heightMm } = sizeOfPart(part);
  if (fabric.row[0] === 1) return extent(widthMm, heightMm, layerMm);
  return isStuffed ? extent(widthMm, heightMm, widthMm) : emptyExtent(part);
}

/** How many times as wide as it was worked stuffing makes each round, by index from 0. */
function stretchOf(part: PartAnalysis): number[] {
  const { radius } = stuffedPart(part);
  return Array.from(radius, (value, round) => value / (part.profile.radius[round] || 1));
}

/** What is known of the parts together. */
interface Knowing {
  toy: ToyAnalysis;
  book: RuleBook;
  /** of the strand; null where no yarn, or no gauge, is known */
  thicknessMm: number | null;
}

function safetyPart(part: PartAnalysis, { toy, book, thicknessMm }: Knowing): SafetyPart {
  const { joined, parts } = toy;
  const { source, stops, fabric, form } = part;
  const isStuffed = stops.stops.some(({ acts }) => acts.some(({ act }) => act === 'stuff'));
  const isBegun = parts.some(({ source: other }) => other.onto?.part === source.id);
  const touches = joined.joins.some(
    ({ unit, on, kind }) => unit.part === source.id || (on.part === source.id && kind === 'edge-to-edge'),
  );
  const own = joined.joins.filter(({ unit }) => unit.part === source.id);
  // The text joins it, though it is still asked where: its end will be sewn shut.
  const isToBeJoined = source.steps.some(isJoin);
  const isWorkedOn = source.onto !== undefined || source.carries !== undefined || source.grown !== undefined;
  const stretch = isStuffed && thicknessMm !== null ? stretchOf(part) : [];
  const stretched: Stretched = (round) => {
    const stitchMm = form.gauge.widthMm * (stretch[round - 1] ?? 0);
    return thicknessMm !== null && stitchMm > coverOfStrand * thicknessMm ? stitchMm : null;
  };
  const { radius } = stuffedPart(part);
  const widest = radius.reduce((best, value, round) => (value > (radius[best] ?? 0) ? round : best), 0);
  return {
    id: source.id,
    name: source.name,
    extent: extentOf(part, isStuffed),
    isStuffed,
    isJoined: touches || isToBeJoined || isBegun || isWorkedOn,
    isSewn: own.length === 0 || own.some(hasSeam),
    isSewnTwice: isPartSewnTwice(part, toy),
    isSewnDown: reinforcedIn(source.steps, 'sewn-down', null).length > 0,
    end: { stitches: stops.closing?.stitches ?? 0, how: stops.closing?.how ?? 'gather' },
    features: featuresOf(part, stretched),
    cords: cordsOf(part),
    loops: loopsOf(part),
    gapes: stretched(widest + 1) === null ? null : (fabric.label[widest] ?? widest + 1),
    mends: mendsOfPart(part, toy, book, Math.max(1, ...stretch)),
  };
}

/**
 * Screens a toy for whom its text says it is.
 *
 * @param book the rule book of the maker
 */
export function safetyOf(toy: ToyAnalysis, book: RuleBook = shippedRules): ToySafety {
  const audience = readAudience(toy.pattern.header.audience);
  // Of a yarn nobody named nothing is known, and of a gauge nobody gave.
  const isYarnKnown = toy.pattern.header.yarns.some(({ value }) => weightInWords(value) !== null);
  const isKnown = isYarnKnown && toy.pattern.header.gauge !== null;
  const knowing: Knowing = { toy, book, thicknessMm: isKnown ? yarnOf(toy).thicknessMm : null };
  const worked = toy.parts.filter(({ fabric, source }) => fabric.rounds > 0 || source.chain);
  const posed = assembled(toy).filter(({ loose }) => !loose);
  const isOnePiece = worked.length === 1;
  const parts = worked.map((part) => safetyPart(part, knowing));
  const size = posed.length > 1 ? sizeOfToy(posed) : null;
  const whole = size
    ? extent(size.widthMm, size.heightMm, size.depthMm)
    : isOnePiece
      ? (parts[0]?.extent ?? null)
      : null;
  const joins = toy.joined.joins
    .filter(({ kind }) => kind !== 'worked-on')
    .map((join) => safetyJoin(join, toy, parts));
  return {
    audience,
    findings: screenToy({ audience, parts, joins, hazards: hazardsIn(toy), whole, book }),
  };
}

/** A join as far as it can come apart: the stitches of its seam, or those it is worked in by. */
function safetyJoin(join: Join, toy: ToyAnalysis, parts: readonly SafetyPart[]): SafetyJoin {
  const { unit, path, ledger } = join;
  const workedIn = (ledger ?? []).flatMap((line) =>
    'part' in line && line.part === unit.part && line.unit === unit.unit ? [line.stitches] : [],
  );
  const part = parts.find(({ id }) => id === unit.part);
  return {
    partId: unit.part,
    name: unit.name,
    stitches: path?.length ?? workedIn.reduce((sum, one) => sum + one, 0),
    isSewn: path !== null && hasSeam(join),
    isSewnTwice: isJoinedTwice(join, toy),
    mends: part?.mends ?? {},
  };
}
