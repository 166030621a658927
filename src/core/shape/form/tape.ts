import { straightMm, surfaceMm } from './distances';
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
  const far = surfaceMm(form, from);
  const { prev, next, up, down } = form.nodes;
  const step = (side: Int32Array, node: number) => (node < 0 ? -1 : (side[node] ?? -1));
  const way = [to];
  // Back down the slope of distances, each time to the neighbour that lies on a shortest way.
  for (let at = to, left = form.nodes.count; at !== from && left > 0; left -= 1) {
    const [n, p, u, d] = [step(next, at), step(prev, at), step(up, at), step(down, at)];
    let best = -1;
    for (const other of [n, p, u, d, step(next, u), step(prev, u), step(next, d), step(prev, d), step(next, step(next, u)), step(prev, step(prev, u)), step(next, step(next, d)), step(prev, step(prev, d)), step(up, step(next, u)), step(up, step(prev, u)), step(down, step(next, d)), step(down, step(prev, d))]) {
      if (other < 0 || far[other]! >= far[at]! - 1e-9) continue;
      const detour = (node: number) => far[node]! + straightMm(form, node, at);
      if (best < 0 || detour(other) < detour(best)) best = other;
    }
    if (best < 0) break;
    way.push(best);
    at = best;
  }
  return { surfaceMm: far[to] ?? 0, straightMm: straightMm(form, from, to), nodes: way.reverse() };
}
