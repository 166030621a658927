import type { Fabric } from '../fabric/fabric';
import { turn, wrapAngle } from '../shape/azimuth';
import type { EyePlacement } from './eyes';
import { landmarkLines } from './features/landmarks';
import type { FeaturePlacement } from './features/featurePlacement';
import { upOf } from './features/verticalLine';
import { fromLyingEyes } from './lying/lyingWords';
import type { PartForm } from './partForm';

const rounds = (n: number) => `${n} ${n === 1 ? 'round' : 'rounds'}`;

/** Half stitches are seen; smaller ones are not. */
function stitchWords(stitches: number): string {
  const halves = Math.round(stitches * 2);
  const whole = Math.floor(halves / 2);
  const number = halves % 2 === 0 ? String(whole) : `${whole === 0 ? '' : whole}½`;
  return halves === 1 ? 'half a stitch' : `${number} ${halves === 2 ? 'stitch' : 'stitches'}`;
}

/** The colour that comes in over a line of holes, as the maker calls it. */
function newColour({ offset, colour, palette }: Fabric, line: number): string {
  const before = new Set(colour.slice(offset[line - 1] ?? 0, offset[line] ?? 0));
  const found = colour.slice(offset[line] ?? 0, offset[line + 1] ?? 0).find((one) => !before.has(one));
  return palette[found ?? 0] || 'another colour';
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
  const [over, under] = form.orientation.lying ? ['to the left of', 'to the right of'] : ['above', 'below'];
  const seen = (['ridge', 'colour change', 'neck'] as const).flatMap((landmark) => {
    const found = landmarkLines(fabric, landmark);
    return found.map((at) => ({
      at,
      name:
        landmark === 'colour change' && found.length > 1
          ? `the change to ${newColour(fabric, at)}`
          : `the ${landmark}`,
    }));
  });
  const words = seen
    .sort((a, b) => Math.abs(a.at - line) - Math.abs(b.at - line))
    .slice(0, 2)
    .map(({ at, name }) => {
      if (at === line) return `on the same line as ${name}`;
      return `${rounds(Math.abs(at - line))} ${(line - at) * up > 0 ? over : under} ${name}`;
    });
  return [...words, `${rounds(fabric.rounds - line)} from the last round`];
}

/** The same for the eyes, as sentences: one of each line of holes they are on. */
export function eyeLandmarks(form: PartForm, { posts }: EyePlacement): string[] {
  const lines = [...new Set(posts.map((post) => post.line))].sort((a, b) => a - b);
  if (lines.length === 1) return [`The line of holes is ${landmarkWords(form, lines[0] ?? 1).join(', ')}.`];
  return lines.map(
    (line) =>
      `The line of holes between ${form.fabric.label[line - 1]} and ${form.fabric.label[line]} is ${landmarkWords(form, line).join(', ')}.`,
  );
}

/**
 * How to find a feature from the eyes that are already seated: up or down in rounds, then sideways in stitches of its own line. Straight
 * up and down is not along the stitches, which lean.
 *
 * @returns null where there are no eyes, or the feature is at the back
 */
export function fromTheEyes(
  form: PartForm,
  feature: FeaturePlacement,
  eyes: EyePlacement | null,
): string | null {
  if (form.orientation.lying) return fromLyingEyes(form, feature, eyes);
  const [left, right] = [
    eyes?.posts.find((post) => post.side === 'left'),
    eyes?.posts.find((post) => post.side === 'right'),
  ];
  const { units, line, rule } = feature;
  if (!eyes || !left || !right || units.length === 0 || rule.sideways.by === 'back') return null;
  const by = (line - eyes.round) * upOf(form);
  const vertical =
    by === 0 ? 'on the line of the eyes' : `${rounds(Math.abs(by))} straight ${by > 0 ? 'up' : 'down'}`;
  const inward = Math.sign(wrapAngle(right.azimuth - left.azimuth)) || 1;
  const sideways = (post: typeof left, azimuth: number) => {
    const stitches =
      (wrapAngle(azimuth - post.azimuth) / turn) *
      (units[0]?.of ?? 1) *
      (post.side === 'left' ? inward : -inward);
    if (Math.abs(stitches) < 0.25) return '';
    return `, then ${stitchWords(Math.abs(stitches))} ${stitches > 0 ? 'towards the middle' : 'outwards'}`;
  };
  const ends =
    units.length > 1
      ? units.map((unit) => ({
          post: unit.side === 'left' ? left : right,
          azimuth: nearer(
            unit.fromAzimuth,
            unit.toAzimuth,
            unit.side === 'left' ? right.azimuth : left.azimuth,
          ),
          what: unit.from === unit.to ? `the ${unit.side} one` : `the inner end of the ${unit.side} one`,
        }))
      : endsOf(units[0], left, right);
  const told = ends.map(
    ({ post, azimuth, what }) =>
      `from the ${post.side} eye’s hole ${vertical}${sideways(post, azimuth)}: ${what}`,
  );
  return `${told.join('; ').replace(/^f/, 'F')}.`;
}

const nearer = (a: number, b: number, to: number) =>
  Math.abs(wrapAngle(a - to)) <= Math.abs(wrapAngle(b - to)) ? a : b;

/** The ends of a single feature, each from the eye on its side; of one that has no width its middle, from the nearer eye. */
function endsOf(
  unit: FeaturePlacement['units'][number] | undefined,
  left: EyePlacement['posts'][number],
  right: EyePlacement['posts'][number],
) {
  if (!unit) return [];
  if (unit.from === unit.to) {
    const post =
      Math.abs(wrapAngle(unit.azimuth - left.azimuth)) <= Math.abs(wrapAngle(unit.azimuth - right.azimuth))
        ? left
        : right;
    return [{ post, azimuth: unit.azimuth, what: 'its middle' }];
  }
  const leftEnd = nearer(unit.fromAzimuth, unit.toAzimuth, left.azimuth);
  return [
    { post: left, azimuth: leftEnd, what: 'its left end' },
    {
      post: right,
      azimuth: leftEnd === unit.fromAzimuth ? unit.toAzimuth : unit.fromAzimuth,
      what: 'its right end',
    },
  ];
}
