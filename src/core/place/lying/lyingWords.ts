import { turn } from '../../shape/azimuth';
import { roundCount } from '../../fabric/fabric';
import type { EyePlacement, Post } from '../eyes';
import { isAtBack } from '../features/featureRule';
import type { FeaturePlacement, FeatureUnit } from '../features/featurePlacement';
import type { PartForm } from '../partForm';
import { heightAt, lyingFrame } from './frame';
import { gapOf } from './lyingEyesRule';

const plural = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;
const listed = (words: readonly string[]) =>
  words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1)}` : (words[0] ?? '');

/** One hole with the rounds it lies between. */
export interface HolePlace {
  gap: [number, number];
  stitch: number;
  of: number;
}

/** The holes of a feature on a part that lies, in the order of work, each once. */
export function holePlaces(form: PartForm, units: readonly FeatureUnit[]): HolePlace[] {
  const ends = units.flatMap(({ from, to, of, toOf, fromLine, toLine }) => [
    { line: fromLine, stitch: from, of },
    { line: toLine, stitch: to, of: toOf },
  ]);
  ends.sort((a, b) => a.line - b.line || a.stitch - b.stitch);
  return ends
    .filter((end, i) => i === 0 || end.line !== ends[i - 1]?.line || end.stitch !== ends[i - 1]?.stitch)
    .map(({ line, stitch, of }) => ({ gap: gapOf(form, line), stitch, of }));
}

/** Counting, marking and checking a few holes, each in a round of its own. `seat` says where in the stitch. */
export function roundByRound(
  places: readonly HolePlace[],
  seat: 'foot' | 'split',
): { count: string; markers: string } {
  const at = seat === 'foot' ? 'the foot of stitch' : 'just after stitch';
  return {
    count: `Count from the first stitch of the round: ${listed(places.map(({ gap, stitch, of }) => `along round ${gap[1]} to ${at} ${stitch} of ${of}`))}.`,
    markers: `While working, put a marker into ${listed(places.map(({ gap, stitch }) => `stitch ${stitch} of round ${gap[1]}`))} as you pass.`,
  };
}

/** How to find the eyes of a part that lies on its side, each on its own line of holes. */
export function lyingEyeDirections({ posts, rule, showing }: EyePlacement): {
  count: string;
  markers: string;
  check: string;
  sides: string;
} {
  const [left, right] = posts;
  const order = [...posts].sort((a, b) => a.line - b.line) as [Post, Post];
  const gaps = [rule.gap, rule.other ?? rule.gap] as const;
  const places = order.map(({ stitch, of }, i) => ({ gap: gaps[i]!, stitch, of }));
  const word = rule.seat === 'foot' ? 'hole' : 'split after stitch';
  const gapOfPost = (post: Post) => gaps[order.indexOf(post)]!.join(' and ');
  const differ = order[0].stitch !== order[1].stitch;
  return {
    sides: `Left eye ${word} ${left.stitch} between rounds ${gapOfPost(left)}, right eye ${word} ${right.stitch} between rounds ${gapOfPost(right)}, as you look at the face.`,
    ...roundByRound(places, rule.seat),
    check: `Check: ${plural(showing, 'round lies', 'rounds lie')} between the two lines of holes.${differ ? ` The number is not the same in both: a round begins a little further round than the one before it, so level with ${word} ${order[0].stitch} is ${word} ${order[1].stitch}.` : ''}`,
  };
}

/** Half stitches are seen; smaller ones are not. */
function stitchWords(stitches: number): string {
  const halves = Math.round(Math.abs(stitches) * 2);
  return halves === 1
    ? 'half a stitch'
    : `${Math.floor(halves / 2)}${halves % 2 === 0 ? '' : '½'} ${halves === 2 ? 'stitch' : 'stitches'}`;
}

/**
 * How to find a feature from the eyes that are seated, on a part that lies: across in rounds, then straight up or down in stitches of the
 * round that is come to.
 *
 * @returns null where there are no eyes, or the feature is at the back
 */
export function fromLyingEyes(
  form: PartForm,
  { units, rule }: FeaturePlacement,
  eyes: EyePlacement | null,
): string | null {
  if (!eyes || units.length === 0 || isAtBack(rule.sideways)) return null;
  const frame = lyingFrame(form, eyes.frontAzimuth);
  const ends = units.flatMap((unit) => [
    { line: unit.fromLine, azimuth: unit.fromAzimuth, side: unit.side },
    ...(unit.toLine === unit.fromLine
      ? []
      : [{ line: unit.toLine, azimuth: unit.toAzimuth, side: unit.side }]),
  ]);
  const rightOf = (line: number) => (line - frame.middle) * frame.right;
  const told = ends
    .sort((a, b) => rightOf(a.line) - rightOf(b.line))
    .map((end) => {
      const post =
        eyes.posts.find(
          ({ side }) =>
            side === (end.side === 'middle' ? (rightOf(end.line) > 0 ? 'right' : 'left') : end.side),
        ) ?? eyes.posts[0];
      const across = Math.abs(end.line - post.line);
      const inward = Math.abs(rightOf(end.line)) < Math.abs(rightOf(post.line));
      const step =
        (turn * (form.profile.radius[end.line - 1] ?? 0)) /
        Math.max(1, roundCount(form.fabric, end.line + 1));
      const rise =
        (heightAt(form, frame, end.line, end.azimuth) - heightAt(form, frame, post.line, post.azimuth)) /
        Math.max(0.001, step);
      const way = [
        across > 0
          ? `${plural(across, 'round', 'rounds')} ${inward ? 'towards the middle' : 'outwards'}`
          : '',
        Math.abs(rise) >= 0.25 ? `${stitchWords(rise)} ${rise > 0 ? 'up' : 'down'}` : '',
      ].filter(Boolean);
      return `from the ${post.side} eye’s hole ${way.length > 0 ? way.join(', then ') : 'nowhere: it shares that hole'}`;
    });
  return `${told.join('; ').replace(/^f/, 'F')}.`;
}
