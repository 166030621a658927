const remembered = 8;
const mostSteps = 400;
/** Done where a step gains no more than this. */
const leastGain = 1e-8;

const dot = (a: Float64Array, b: Float64Array): number => {
  let sum = 0;
  for (let i = 0; i < a.length; i += 1) sum += a[i]! * b[i]!;
  return sum;
};
/** a + share · b, into a. */
const add = (a: Float64Array, b: Float64Array, share: number): void => {
  for (let i = 0; i < a.length; i += 1) a[i] = a[i]! + share * b[i]!;
};

interface Step {
  moved: Float64Array;
  turned: Float64Array;
  inverse: number;
}

/** The way down: the slope, corrected by what the last steps taught about the curvature. */
function wayDown(slope: Float64Array, steps: readonly Step[]): Float64Array {
  const way = slope.map((value) => -value);
  const shares: number[] = [];
  for (const { moved, turned, inverse } of [...steps].reverse()) {
    const share = inverse * dot(moved, way);
    shares.unshift(share);
    add(way, turned, -share);
  }
  const last = steps.at(-1);
  const scale = last ? 1 / (last.inverse * dot(last.turned, last.turned)) : 1;
  for (let i = 0; i < way.length; i += 1) way[i] = (way[i] ?? 0) * scale;
  steps.forEach(({ moved, turned, inverse }, i) =>
    add(way, moved, (shares[i] ?? 0) - inverse * dot(turned, way)),
  );
  return way;
}

/**
 * Moves a point to the nearest minimum of a smooth function, by limited-memory BFGS with halved and doubled steps (Nocedal and Wright, *Numerical
 * Optimization*, algorithms 7.4 and 3.1).
 *
 * @param at where to begin; holds the minimum afterwards
 * @param valueAt gives the value, not finite where the point is not allowed, and writes the slope into its second argument
 */
export function minimise(
  at: Float64Array,
  valueAt: (point: Float64Array, slope: Float64Array) => number,
): void {
  let slope = new Float64Array(at.length);
  let value = valueAt(at, slope);
  const steps: Step[] = [];
  for (let count = 0; count < mostSteps; count += 1) {
    let way = wayDown(slope, steps);
    if (!(dot(way, slope) < 0)) {
      steps.length = 0;
      way = slope.map((one) => -one);
    }
    const fall = dot(way, slope);
    const next = new Float64Array(at.length);
    const nextSlope = new Float64Array(at.length);
    const tryStep = (share: number): number => {
      next.set(at);
      add(next, way, share);
      return valueAt(next, nextSlope);
    };
    let share = 1;
    let reached = tryStep(share);
    for (let halvings = 0; halvings < 40 && !(reached <= value + 1e-4 * share * fall); halvings += 1) {
      share /= 2;
      reached = tryStep(share);
    }
    // Where it still falls nearly as steeply, the step taught nothing about the curvature yet: go on.
    while (reached < value && dot(nextSlope, way) < 0.9 * fall) {
      const further = tryStep(2 * share);
      if (!(further < reached)) {
        reached = tryStep(share);
        break;
      }
      share *= 2;
      reached = further;
    }
    if (!(reached < value)) return;
    const moved = next.slice();
    add(moved, at, -1);
    const turned = nextSlope.slice();
    add(turned, slope, -1);
    const gain = value - reached;
    at.set(next);
    slope = nextSlope;
    value = reached;
    const curvature = dot(moved, turned);
    if (curvature > 1e-12) steps.push({ moved, turned, inverse: 1 / curvature });
    if (steps.length > remembered) steps.shift();
    if (gain < leastGain) return;
  }
}
