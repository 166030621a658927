import type { RelaxedForm } from './relaxForm';

/** Straight distance between two nodes in mm: what callipers would find. */
export function straightMm({ places }: RelaxedForm, a: number, b: number): number {
  return Math.hypot(
    places[a * 3]! - places[b * 3]!,
    places[a * 3 + 1]! - places[b * 3 + 1]!,
    places[a * 3 + 2]! - places[b * 3 + 2]!,
  );
}

/** Ways over the surface from one stitch: how far every node is in mm, and the node before it on its way; -1 at the stitch itself. */
export interface SurfaceWays {
  far: Float64Array;
  before: Int32Array;
}

/** Distance along the surface from one stitch to every node in mm. */
export function surfaceMm(form: RelaxedForm, from: number): Float64Array {
  return surfaceWays(form, from).far;
}

/**
 * Distance along the surface from one stitch to every node in mm: what a tape laid on the fabric would find.
 *
 * Shortest ways over neighbours up to a knight's move away, found by sweeping over the stitches in the order of working and back until
 * nothing gets shorter. Ways in between two of the sixteen directions come out at most 3 % long.
 */
export function surfaceWays(form: RelaxedForm, from: number): SurfaceWays {
  const { nodes } = form;
  const { prev, next, up, down, count } = nodes;
  const step = (side: Int32Array, node: number) => (node < 0 ? -1 : (side[node] ?? -1));
  const neighbours = new Int32Array(count * 16);
  for (let node = 0; node < count; node += 1) {
    const [n, p, u, d] = [step(next, node), step(prev, node), step(up, node), step(down, node)];
    const [nu, pu, nd, pd] = [step(next, u), step(prev, u), step(next, d), step(prev, d)];
    neighbours.set(
      [
        n,
        p,
        u,
        d,
        nu,
        pu,
        nd,
        pd,
        step(next, nu),
        step(prev, pu),
        step(next, nd),
        step(prev, pd),
        step(up, nu),
        step(up, pu),
        step(down, nd),
        step(down, pd),
      ],
      node * 16,
    );
  }
  const far = new Float64Array(count).fill(Number.POSITIVE_INFINITY);
  const before = new Int32Array(count).fill(-1);
  far[from] = 0;
  const visit = (node: number): boolean => {
    let shorter = false;
    for (let i = node * 16; i < node * 16 + 16; i += 1) {
      const other = neighbours[i]!;
      if (other < 0) continue;
      const way = straightMm(form, node, other);
      // Neighbourhood is not always mutual: an increase has one foot but a foot names one stitch over it. So look both ways.
      if (far[other]! + way < far[node]! - 1e-9) {
        far[node] = far[other]! + way;
        before[node] = other;
        shorter = true;
      }
      if (far[node]! + way < far[other]! - 1e-9) {
        far[other] = far[node]! + way;
        before[other] = node;
        shorter = true;
      }
    }
    return shorter;
  };
  for (let changed = true; changed;) {
    changed = false;
    for (let node = 0; node < count; node += 1) changed = visit(node) || changed;
    for (let node = count - 1; node >= 0; node -= 1) changed = visit(node) || changed;
  }
  return { far, before };
}
