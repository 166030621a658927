import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import { roundCount, type Fabric } from '../../fabric/fabric';
import { turn, wrapAngle } from '../../shape/azimuth';
import { radiusAt, upOf, type FaceFrame } from '../frame/faceFrame';
import { landmarkLines } from '../frame/landmarks';
import type { PartForm } from '../frame/partForm';
import { middleOf, rightOf } from '../frame/sidewaysFrame';
import type { FeaturePlacement } from '../resolve/placement';
import { endOf, startOf, type FeatureUnit } from '../resolve/unit';
import { isAtBack } from '../rule/rule';
import { plural } from '../../words/counted';

const rounds = (n: number) => plural(n, 'round');

/** Half stitches are seen; smaller ones are not. */
function stitchWords(stitches: number): string {
  const halves = Math.round(Math.abs(stitches) * 2);
  const whole = Math.floor(halves / 2);
  const number = halves % 2 === 0 ? String(whole) : `${whole === 0 ? '' : whole}½`;
  return halves === 1 ? t`half a stitch` : `${number} ${halves === 2 ? t`stitch` : t`stitches`}`;
}

/** From this share of a stitch on a way to the side is worth saying. */
const seenFrom = 0.25;

/** The colour that comes in over a line of holes, as the maker calls it. */
function newColour({ offset, colour, palette }: Fabric, line: number): string {
  const before = new Set(colour.slice(offset[line - 1] ?? 0, offset[line] ?? 0));
  const found = colour.slice(offset[line] ?? 0, offset[line + 1] ?? 0).find((one) => !before.has(one));
  return palette[found ?? 0] || t`another colour`;
}

/**
 * What can be seen on the piece near a line of holes, to count rounds from without going back to the start: `2 rounds above the ridge`.
 *
 * @param line line of holes by index from 1
 */
export function landmarkWords(form: PartForm, line: number): string[] {
  const { fabric } = form;
  const up = upOf(form);
  // The rounds of a part that lies run across the face; those towards its start lie at the side of the start.
  const [over, under] = form.orientation.lying
    ? [t`to the left of`, t`to the right of`]
    : [t`above`, t`below`];
  const seen = (['ridge', 'colour change', 'neck'] as const).flatMap((landmark) => {
    const found = landmarkLines(fabric, landmark);
    const named = (at: number) =>
      landmark === 'colour change' && found.length > 1
        ? t`the change to ${newColour(fabric, at)}`
        : t`the ${sayTerm(landmark)}`;
    return found.map((at) => ({ at, name: named(at) }));
  });
  const nearest = seen.sort((a, b) => Math.abs(a.at - line) - Math.abs(b.at - line)).slice(0, 2);
  const words = nearest.map(({ at, name }) => {
    if (at === line) return t`on the same line as ${name}`;
    return `${rounds(Math.abs(at - line))} ${(line - at) * up > 0 ? over : under} ${name}`;
  });
  return [...words, t`${rounds(fabric.rounds - line)} from the last round`];
}

/** The same for a placed pair, as sentences: one of each line of holes it is on. */
export function landmarkSentences({ fabric, ...form }: PartForm, { units }: FeaturePlacement): string[] {
  const lines = [...new Set(units.map((unit) => unit.fromLine))].sort((a, b) => a - b);
  return lines.map((line) => {
    const which = lines.length === 1 ? '' : t` between ${fabric.label[line - 1]} and ${fabric.label[line]}`;
    return t`The line of holes${which} is ${landmarkWords({ ...form, fabric }, line).join(', ')}.`;
  });
}

/**
 * How to find a feature from the eyes that are already seated. On a part that stands up or down in rounds, then sideways in stitches of its
 * own line: straight up and down is not along the stitches, which lean. On one that lies across in rounds, then straight up or down in
 * stitches of the round that is come to.
 *
 * @returns null where there are no eyes, or the feature is at the back
 */
export function fromTheEyes(
  frame: FaceFrame,
  feature: FeaturePlacement,
  eyes: FeaturePlacement | null,
): string | null {
  if (!eyes || feature === eyes || feature.units.length === 0 || isAtBack(feature.rule.sideways)) return null;
  const told = frame.lies ? acrossFromEyes(frame, feature, eyes) : downFromEyes(frame, feature, eyes);
  return told.length === 0 ? null : `${told.join('; ').replace(/^f/, 'F')}.`;
}

/** One end of a feature, and the eye it is told from. */
interface Told {
  post: FeatureUnit;
  azimuth: number;
  what: string;
}

function downFromEyes(frame: FaceFrame, feature: FeaturePlacement, eyes: FeaturePlacement): string[] {
  const left = eyes.units.find((post) => post.side === 'left');
  const right = eyes.units.find((post) => post.side === 'right');
  if (!left || !right) return [];
  const { units } = feature;
  const by = frame.stepsUp(eyes.level, feature.level);
  const vertical =
    by === 0
      ? t`on the line of the eyes`
      : by > 0
        ? t`${rounds(Math.abs(by))} straight up`
        : t`${rounds(Math.abs(by))} straight down`;
  const inward = Math.sign(wrapAngle(right.azimuth - left.azimuth)) || 1;
  const sideways = ({ post, azimuth }: Told) => {
    const way = post.side === 'left' ? inward : -inward;
    const stitches = (wrapAngle(azimuth - post.azimuth) / turn) * (units[0]?.of ?? 1) * way;
    if (Math.abs(stitches) < seenFrom) return '';
    return stitches > 0
      ? t`, then ${stitchWords(stitches)} towards the middle`
      : t`, then ${stitchWords(stitches)} outwards`;
  };
  const ends = units.length > 1 ? innerEnds(units, left, right) : endsOf(units[0], left, right);
  return ends.map(
    (end) => t`from the ${sayTerm(end.post.side)} eye’s hole ${vertical}${sideways(end)}: ${end.what}`,
  );
}

const nearer = (a: number, b: number, to: number) =>
  Math.abs(wrapAngle(a - to)) <= Math.abs(wrapAngle(b - to)) ? a : b;

/** The inner ends of a pair, each from the eye on its side. */
function innerEnds(units: readonly FeatureUnit[], left: FeatureUnit, right: FeatureUnit): Told[] {
  return units.map(({ side, from, to, fromAzimuth, toAzimuth }) => ({
    post: side === 'left' ? left : right,
    azimuth: nearer(fromAzimuth, toAzimuth, side === 'left' ? right.azimuth : left.azimuth),
    what: from === to ? t`the ${sayTerm(side)} one` : t`the inner end of the ${sayTerm(side)} one`,
  }));
}

/** The ends of a single feature, each from the eye on its side; of one that has no width its middle, from the nearer eye. */
function endsOf(unit: FeatureUnit | undefined, left: FeatureUnit, right: FeatureUnit): Told[] {
  if (!unit) return [];
  const { azimuth, fromAzimuth, toAzimuth } = unit;
  if (unit.from === unit.to) {
    const nearLeft = nearer(left.azimuth, right.azimuth, azimuth) === left.azimuth;
    return [{ post: nearLeft ? left : right, azimuth, what: t`its middle` }];
  }
  const leftEnd = nearer(fromAzimuth, toAzimuth, left.azimuth);
  const rightEnd = leftEnd === fromAzimuth ? toAzimuth : fromAzimuth;
  return [
    { post: left, azimuth: leftEnd, what: t`its left end` },
    { post: right, azimuth: rightEnd, what: t`its right end` },
  ];
}

function acrossFromEyes(frame: FaceFrame, { units }: FeaturePlacement, eyes: FeaturePlacement): string[] {
  const { form } = frame;
  const toRight = (line: number) => (line - middleOf(form)) * rightOf(form);
  const ends = units.flatMap((unit) => {
    const [from, to] = [startOf(unit), endOf(unit)];
    return (from.line === to.line ? [from] : [from, to]).map((spot) => ({ ...spot, side: unit.side }));
  });
  ends.sort((a, b) => toRight(a.line) - toRight(b.line));
  return ends.flatMap((end) => {
    const side = end.side === 'middle' ? (toRight(end.line) > 0 ? 'right' : 'left') : end.side;
    const post = eyes.units.find((one) => one.side === side) ?? eyes.units[0];
    if (!post) return [];
    const across = Math.abs(end.line - post.fromLine);
    const inward = Math.abs(toRight(end.line)) < Math.abs(toRight(post.fromLine));
    const stepMm = (turn * radiusAt(form, end.line)) / Math.max(1, roundCount(form.fabric, end.line + 1));
    const rise = frame.higherMm(startOf(post), end) / Math.max(0.001, stepMm);
    const way = [
      across > 0 ? `${rounds(across)} ${inward ? t`towards the middle` : t`outwards`}` : '',
      Math.abs(rise) >= seenFrom ? `${stitchWords(rise)} ${rise > 0 ? t`up` : t`down`}` : '',
    ].filter(Boolean);
    const told = way.length > 0 ? way.join(t`, then `) : t`nowhere: it shares that hole`;
    return [t`from the ${sayTerm(post.side)} eye’s hole ${told}`];
  });
}
