import { turn } from '../../shape/azimuth';
import { roundCount } from '../../fabric/fabric';
import type { EyePlacement } from '../eyes';
import type { EyeRule } from '../eyeSentence';
import { nearest } from '../nearest';
import type { PartForm } from '../partForm';
import type { Proportion } from '../proportion';
import { heightAt, heightUp, lyingFrame, type LyingFrame } from './frame';
import { linesApart, withLines } from './lyingEyesRule';

const widestOf = ({ profile }: PartForm) =>
  profile.radius.reduce((most, radius) => Math.max(most, radius), 0.001);
const downOf = (form: PartForm, heightMm: number) => (widestOf(form) - heightMm) / (2 * widestOf(form));

/** Heights and distances do not depend on which azimuth the front has. */
const frameOf = (form: PartForm) => lyingFrame(form, 0);

function apartOf(form: PartForm, frame: LyingFrame, apart: number): number {
  const { z } = form.profile;
  const [a, b] = linesApart(form, frame, apart);
  return Math.abs((z[b - 1] ?? 0) - (z[a - 1] ?? 0)) / Math.max(0.001, ...z);
}

/** Stitches up and down from the front line that lie on the face. */
function risesOf(form: PartForm): number[] {
  const count = roundCount(form.fabric, Math.max(1, Math.round(frameOf(form).middle)) + 1);
  const most = Math.floor(count / 4);
  return Array.from({ length: 2 * most + 1 }, (_, i) => most - i);
}

/** The proportion of eyes on a part that lies: how far down by their height, how far apart by their rounds. */
export function lyingProportionOf(form: PartForm, { posts, frontAzimuth }: EyePlacement): Proportion {
  const { z } = form.profile;
  const height =
    posts.reduce(
      (sum, { line, azimuth }) => sum + heightAt(form, lyingFrame(form, frontAzimuth), line, azimuth),
      0,
    ) / 2;
  return {
    down: downOf(form, height),
    apart: Math.abs((z[posts[0].line - 1] ?? 0) - (z[posts[1].line - 1] ?? 0)) / Math.max(0.001, ...z),
  };
}

/** The whole stitches up and rounds apart nearest to a proportion. */
export function lyingEyesForProportion(
  form: PartForm,
  wanted: Proportion,
  rule: EyeRule,
): { rule: EyeRule; real: Proportion } {
  const frame = frameOf(form);
  const rises = risesOf(form);
  const downAt = (rise: number) => downOf(form, heightUp(form, frame, 0, rise) ?? Math.sign(rise) * turn);
  const rise = rises[nearest(0, rises.length - 1, (i) => Math.abs(downAt(rises[i] ?? 0) - wanted.down))] ?? 0;
  const apart = nearest(1, Math.max(1, form.fabric.rounds - 2), (one) =>
    Math.abs(apartOf(form, frame, one) - wanted.apart),
  );
  return {
    rule: { ...withLines(form, rule, linesApart(form, frame, apart)), rise },
    real: { down: downAt(rise), apart: apartOf(form, frame, apart) },
  };
}

/** Every share there really is. */
export function lyingProportionSteps(form: PartForm): { down: number[]; apart: number[] } {
  const frame = frameOf(form);
  return {
    down: risesOf(form).flatMap((rise) => {
      const height = heightUp(form, frame, 0, rise);
      return height === null ? [] : [downOf(form, height)];
    }),
    apart: Array.from({ length: Math.max(1, form.fabric.rounds - 2) }, (_, i) => apartOf(form, frame, i + 1)),
  };
}
