import type { Fabric } from '../../fabric/fabric';
import { lastEdgeOf } from '../../fabric/lastEdge';
import type { PartSource } from '../../notation/pattern';
import type { Profile } from '../profile';
import { formNodes } from './nodes';
import type { Firmness } from '../stuffed';
import type { Finish } from './relaxation';

/** More stitches than this are never drawn in to a point. */
const mostDrawnIn = 12;

/** Rounds that make a flat sole: a start that lies flat up to a round worked into one loop, which folds it off from the wall. */
function soleRounds(fabric: Fabric, profile: Profile): number {
  if (fabric.start === 'row' || fabric.start === 'tube') return 0;
  const { ridge } = formNodes(fabric, false);
  const fold = ridge.indexOf(1);
  if (fold < 2) return 0;
  const rise = profile.z[fold - 1] ?? 0;
  // Within 20 degrees of level in the mean is flat enough to stand on.
  return rise < Math.tan((20 * Math.PI) / 180) * (profile.radius[fold - 1] ?? 0) ? fold : 0;
}

/** A part as worked, with where its front is. */
export interface Finished {
  part: PartSource;
  fabric: Fabric;
  profile: Profile;
  /** azimuth */
  front: number;
}

/** How the text finishes a part, as far as its form depends on it. Stuffing nobody speaks of is taken as medium. */
export function finishOf({ part, fabric, profile, front }: Finished, firmness?: Firmness): Finish {
  const said = (kind: string) => part.steps.some((step) => step.kind === kind);
  const stuffing = part.steps.flatMap((step) => (step.kind === 'stuff' ? (step.firmness ?? []) : [])).at(-1);
  const flat = fabric.row[0] === 1;
  const last = (fabric.offset[fabric.rounds] ?? 0) - (fabric.offset[fabric.rounds - 1] ?? 0);
  return {
    firmness: flat ? 'none' : (firmness ?? stuffing ?? 'medium'),
    // A live edge in the middle of the work is no gathered end: only a round that has been drawn in is.
    gathered: !flat && fabric.rounds > 3 && last <= mostDrawnIn && lastEdgeOf(part, fabric) === 'gathered',
    pressedAt: said('fold') && !flat ? front : null,
    sole: soleRounds(fabric, profile),
  };
}
