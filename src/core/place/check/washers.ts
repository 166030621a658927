import { saying, type Said } from '../../words/problems/problems';
import { turn, wrapAngle } from '../../shape/azimuth';
import { landmarkLines } from '../frame/landmarks';
import type { Place } from '../frame/faceFrame';
import { holeAzimuth } from '../frame/holes';
import { seatHoles, type PartForm } from '../frame/partForm';

/** What a washer would lie over, beside the hole of its own post. */
export interface UnderWasher {
  /** decreases, by the round as the maker numbers it and the stitch */
  decreases: { round: number; stitch: number }[];
  /** the line of holes a ridge lies on, by index; null where none is near */
  ridge: number | null;
}

/**
 * Looks under the washer of a post. A decrease leaves a larger hole off to one side, a ridge stands up: on neither does a washer sit flat.
 *
 * @param place of the post
 * @param washerMm across
 */
export function underWasher(form: PartForm, { line, azimuth }: Place, washerMm: number): UnderWasher {
  const { fabric, gauge, profile } = form;
  const reach = washerMm / 2;
  const lines = Math.floor(reach / gauge.heightMm);
  const decreases: UnderWasher['decreases'] = [];
  for (let at = Math.max(1, line - lines); at <= Math.min(fabric.rounds - 1, line + lines); at += 1) {
    const away = (at - line) * gauge.heightMm;
    const holes = seatHoles(form, at, 'foot');
    const radius = profile.radius[at - 1] ?? 0;
    for (let stitch = 1; stitch <= holes.count; stitch += 1) {
      if ((fabric.parentCount[(fabric.offset[at] ?? 0) + stitch - 1] ?? 1) < 2) continue;
      const across = wrapAngle(holeAzimuth(holes, stitch) - azimuth) * radius;
      const own = at === line && Math.abs(across) < (turn * radius) / holes.count / 4;
      if (!own && Math.hypot(across, away) < reach)
        decreases.push({ round: fabric.label[at] ?? at + 1, stitch });
    }
  }
  const ridge =
    landmarkLines(fabric, 'ridge').find((at) => Math.abs(at - line) * gauge.heightMm < reach) ?? null;
  return { decreases, ridge };
}

/** What is told of a washer that does not sit flat; null where it lies on plain fabric. */
export function tellUnder(
  { decreases, ridge }: UnderWasher,
  labels: ArrayLike<number>,
  { post, washerMm }: { post: string; washerMm: number },
): Said | null {
  const [first] = decreases;
  if (first) return saying('washer-on-decrease', { post, washerMm, ...first });
  if (ridge === null) return null;
  const rounds = [labels[ridge - 1] ?? ridge, labels[ridge] ?? ridge + 1] as const;
  return saying('washer-on-ridge', { post, washerMm, rounds });
}

/** Whether a washer lies on plain fabric. */
export const sitsFlat = ({ decreases, ridge }: UnderWasher): boolean =>
  decreases.length === 0 && ridge === null;
