import { straightMm, surfaceWays } from './distances';
import type { RelaxedForm } from './relaxForm';

/** A tape laid over the fabric between two stitches. */
export interface Tape {
  surfaceMm: number;
  straightMm: number;
  /** nodes the tape passes, from one end to the other */
  nodes: number[];
}

/** Lays a tape over the surface between two stitches. */
export function layTape(form: RelaxedForm, from: number, to: number): Tape {
  const { far, before } = surfaceWays(form, from);
  const way = [to];
  for (let at = before[to] ?? -1; at >= 0; at = before[at] ?? -1) way.push(at);
  return { surfaceMm: far[to] ?? 0, straightMm: straightMm(form, from, to), nodes: way.reverse() };
}
