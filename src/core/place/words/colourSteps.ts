import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import { roundCount, type Fabric } from '../../fabric/fabric';
import { directionAt } from '../frame/direction';
import type { PartForm } from '../frame/partForm';
import type { FeaturePlacement } from '../resolve/placement';
import type { FeatureUnit } from '../resolve/unit';
import { plural } from '../../words/counted';

/** Whole stitches from a hole to where the colour of the round above it changes, one way and the other. */
export interface ColourSteps {
  /** against the direction of work, and along it; null where the colour does not change that way */
  back: number | null;
  on: number | null;
}

/**
 * Counts along the round above a line of holes from a hole to the colour changes beside it.
 *
 * @param line line of holes by index from 1
 * @param hole of that line, from 1; of a split the stitch before it
 */
export function colourSteps(fabric: Fabric, line: number, hole: number, seat: 'foot' | 'split'): ColourSteps {
  const from = fabric.offset[line] ?? 0;
  const count = roundCount(fabric, line + 1);
  const flat = fabric.row[line] === 1;
  const at = (stitch: number) => ((stitch % count) + count) % count;
  const colour = (stitch: number) => fabric.colour[from + at(stitch)];
  const steps = (first: number, way: 1 | -1, own: number): number | null => {
    for (let n = 0; n < count; n += 1) {
      const stitch = first + way * n;
      if (flat && (stitch < 0 || stitch >= count)) return null;
      if (colour(stitch) !== colour(own)) return n;
    }
    return null;
  };
  const own = hole - 1;
  // From a foot hole the stitch over it is passed half, and does not count; from a split it is the first one back.
  return seat === 'foot'
    ? { back: steps(own - 1, -1, own), on: steps(own + 1, 1, own) }
    : { back: steps(own, -1, own), on: steps(own + 1, 1, own) };
}

/** `From the left eye’s hole it is 2 stitches to the colour change on its left`; null where the round is of one colour. */
export function eyeColourCheck(form: PartForm, { units, seat }: FeaturePlacement): string | null {
  const told = units.flatMap((post) => {
    const { back, on } = colourSteps(form.fabric, post.fromLine, post.from, seat);
    const [left, right] =
      directionAt(form.fabric, form.orientation, post.fromLine) === 1 ? [back, on] : [on, back];
    const near = Math.min(left ?? Infinity, right ?? Infinity);
    if (near === Infinity) return [];
    return [wordsOf(post, near, near === left ? 'left' : 'right', form.orientation.lying === true)];
  });
  return told.length === 0 ? null : t`Check: ${told.join('; ')}.`;
}

function wordsOf({ side }: FeatureUnit, stitches: number, way: 'left' | 'right', lying: boolean): string {
  const where = lying ? t`along its round` : t`on its ${sayTerm(way)}`;
  return t`from the ${sayTerm(side)} eye’s hole ${stitches === 0 ? t`no whole stitch to the colour change ${where}` : t`${plural(stitches, 'stitch')} to the colour change ${where}`}`;
}
