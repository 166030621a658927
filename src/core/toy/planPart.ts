import { roundCount, type Fabric } from '../fabric/fabric';
import { lastEdgeOf, saysOpen } from '../fabric/lastEdge';
import type { PartSource } from '../notation/pattern';
import type { FeatureKind } from '../notation/sentence/said';
import { reinforcedIn } from '../notation/sentence/reinforced';
import type { Portion, StuffSentence } from '../notation/sentence/stuff';
import type { FeaturePlacement } from '../place/resolve/placement';
import { discMm } from '../place/rule/hardware';
import { hasPost } from '../place/rule/rule';
import { usualHands, type Hands } from '../plan/hands';
import { planStops, type StopPlan } from '../plan/stops';
import type { Enclosed, Filling, Inside, WorkIn } from '../plan/windows';
import { finishOf } from '../shape/form/finish';
import type { Gauge } from '../shape/gauge';
import { middleLine, type Profile } from '../shape/profile';
import { stuffedProfile } from '../shape/stuffed';
import { usualDensities } from '../supplies/stuffing';
import { roundNumbered } from '../fabric/rounds';
import type { ClosingSchool } from '../notation/sentence/close';

/** A part as far as its stops follow from it. */
export interface PlannedPart {
  source: PartSource;
  fabric: Fabric;
  profile: Profile;
  gauge: Gauge;
  front: number;
  features: readonly FeaturePlacement[];
}

/** Surface work and what draws the stuffed piece in: done on the finished part. */
const onFinished = new Set(['sculpting', 'hair']);

/** Place of a round that a sentence may name, from 1; null where it names none, or none that is there. */
const placeOfRound = (fabric: Fabric, number: number | undefined): number | null =>
  number === undefined ? null : roundNumbered(fabric, number) || null;

/** The round after which the text puts on what is of a kind; null where it does not say. */
const momentOf = (kind: FeatureKind, { steps }: PartSource, fabric: Fabric): number | null =>
  placeOfRound(
    fabric,
    steps.flatMap((step) =>
      step.kind === 'feature' && step.feature === kind && step.after !== undefined ? [step.after] : [],
    )[0],
  );

/** What is put on a part while the inside is within reach. */
function insideOf({ fabric, features, source }: PlannedPart): Inside[] {
  if (fabric.row[0] === 1) return [];
  return features.flatMap(({ id, kind, rule, units, needle, line, washerMm }): Inside[] => {
    const pressed = hasPost(rule);
    const last = units.length > 0 ? Math.max(...units.flatMap((unit) => [unit.fromLine, unit.toLine])) : line;
    const after = momentOf(kind, source, fabric);
    const plain = { feature: id, line: last, after, discMm: null, washerMm };
    if (pressed) {
      const disc = discBehind(source, kind, rule.sizeMm ?? 0);
      return [{ ...plain, act: kind === 'eyes' ? 'seat-eyes' : 'seat-nose', discMm: disc }];
    }
    if (kind === 'key ring') return [{ ...plain, act: 'key-ring', line: Math.max(1, last) }];
    return needle && !onFinished.has(kind) ? [{ ...plain, act: 'embroider' }] : [];
  });
}

/** Across the disc the text lays behind the washers of a feature, in mm; null where it lays none. */
export function discBehind({ steps }: PartSource, feature: FeatureKind, sizeMm: number): number | null {
  const said = reinforcedIn(steps, 'backing', feature).at(-1);
  return said ? (said.discMm ?? discMm(sizeMm)) : null;
}

const isAboutStuffing = (step: PartSource['steps'][number]): step is StuffSentence => step.kind === 'stuff';

/** First and last round of a portion, by index. */
function roundsOf(portion: Portion, { source, fabric, profile }: PlannedPart): [number, number] {
  const last = fabric.rounds;
  if (portion.by === 'rounds')
    return portion.at === 'first'
      ? [1, Math.min(last, portion.rounds)]
      : [Math.max(1, last - portion.rounds + 1), last];
  const half = Math.max(1, Math.min(last, Math.round(middleLine(profile))));
  const isFirst = (portion.end === 'upper') === (source.start === 'top');
  return isFirst ? [1, half] : [Math.min(last, half + 1), last];
}

/** Place of the last round that leaves so many stitches, from 1; null where none does. */
function roundLeft(fabric: Fabric, stitches: number | undefined): number | null {
  for (let round = fabric.rounds; round >= 1; round -= 1)
    if (roundCount(fabric, round) === stitches) return round;
  return null;
}

/** What the text puts inside. */
const enclosedOf = ({ source, fabric }: PlannedPart): Enclosed[] =>
  source.steps.flatMap((step) =>
    step.kind === 'enclose'
      ? [
          {
            thing: step.thing,
            sizeMm: step.sizeMm,
            after: placeOfRound(fabric, step.after),
          },
        ]
      : [],
  );

/** A dish rises less than that share of how wide it is to either side. */
const flatShare = 0.45;
/** Fewer rounds may be the beginning of anything. */
const fewestOfDisc = 3;

/** Whether a part only grows, round for round, and lies flat: a patch, a cheek, the lining of an ear. Nothing goes into it. */
function isDisc({ fabric, profile }: PlannedPart): boolean {
  const { radius, z } = profile;
  const grows = radius.every((one, i) => i === 0 || one > (radius[i - 1] ?? 0));
  const last = fabric.rounds - 1;
  return fabric.rounds >= fewestOfDisc && grows && (z[last] ?? 0) <= flatShare * (radius[last] ?? 0);
}

function fillingOf(part: PlannedPart, { stuffingShare = 1 }: Hands): Filling | null {
  const { source, fabric, profile, front } = part;
  const said = source.steps.filter(isAboutStuffing);
  const staysEmpty = said.some(({ firmness, portion }) => firmness === 'none' && !portion);
  const nothingSaid = said.length === 0 && isDisc(part);
  if (staysEmpty || nothingSaid || fabric.row[0] === 1 || fabric.rounds === 0) return null;
  const finish = finishOf({ part: source, fabric, profile, front });
  const firmness = finish.firmness === 'none' ? 'medium' : finish.firmness;
  const portion = said.findLast((step) => step.portion)?.portion ?? null;
  const empty = said.findLast((step) => step.empty)?.empty ?? null;
  let [from, to] = portion ? roundsOf(portion, part) : [1, fabric.rounds];
  if (empty) {
    const [first, last] = roundsOf(empty, part);
    if (first <= 1) from = Math.min(to, last + 1);
    else to = Math.max(from, first - 1);
  }
  const moment = said.findLast((step) => step.after !== undefined)?.after;
  return {
    from,
    to,
    after: placeOfRound(fabric, moment) ?? roundLeft(fabric, said.findLast((step) => step.left)?.left),
    gramsPerLitre: usualDensities[firmness] * stuffingShare,
    stuffed: stuffedProfile(fabric, profile, { ...finish, firmness }),
  };
}

/** Which way the text draws the end together; null where it does not say. */
export const schoolSaid = ({ steps }: PartSource): ClosingSchool | null =>
  steps.flatMap((step) => (step.kind === 'close' && step.school ? [step.school] : [])).at(-1) ?? null;

/** Whether the text has a last slip stitch before the end is drawn together. */
export const slipsSaid = ({ steps }: PartSource): boolean =>
  steps.some((step) => step.kind === 'close' && step.slips === true);

/** The longest tail the text asks for by its length; 0 where it names none. */
const tailSaid = ({ steps }: PartSource): number =>
  Math.max(0, ...steps.map((step) => (step.kind === 'cut' ? (step.tailMm ?? 0) : 0)));

/** What is known of a part beside its own lines. */
interface Knowing {
  /** the rounds of it into which other parts are worked */
  workIns?: readonly WorkIn[];
  /** a sentence beside those of the part sews it on by its edge */
  isSewnOn?: boolean;
  /** what the maker's hands and tools get through */
  hands?: Hands;
}

/** When a part is paused, and for what. */
export function planPart(
  part: PlannedPart,
  { workIns = [], isSewnOn = false, hands = usualHands }: Knowing = {},
): StopPlan {
  const { source, fabric, profile, gauge } = part;
  const said = (kind: string) => source.steps.some((step) => step.kind === kind);
  const edge = lastEdgeOf(source, fabric);
  const isSewn = isSewnOn || said('sew') || said('pin') || said('cut') || said('nosew');
  const stays = saysOpen(source) ? 'open' : isSewn && edge === 'open' ? 'sewn' : null;
  return planStops({
    part: source.name,
    fabric,
    gauge,
    profile,
    inside: insideOf(part),
    filling: fillingOf(part, hands),
    workIns,
    enclosed: enclosedOf(part),
    stays: edge === 'shut flat' ? 'flat' : stays,
    school: schoolSaid(source),
    slips: slipsSaid(source),
    carries: source.carries ?? null,
    tailMm: tailSaid(source),
    hands,
  });
}
