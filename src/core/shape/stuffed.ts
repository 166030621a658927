import type { Fabric } from '../fabric/fabric';
import { wallRounds } from './form/nodes';
import { minimise } from './minimise';
import type { Profile } from './profile';

export type Firmness = 'none' | 'light' | 'medium' | 'firm';

/**
 * How hard stuffing presses, as the weight of the volume against the fabric's resistance. Our own figures: `firm` is fitted to three
 * measured, firmly stuffed pieces (a head, a tall head, a tiny one), which come out within a tenth of their width by height.
 */
const pressureOf: Record<Firmness, number> = { none: 0, light: 0.06, medium: 0.12, firm: 0.47 };

/** A round stretched wide resists so many times harder than one drawn narrow: its yarn pulls taut, while narrow stitches only crowd. */
const tautness = 8;

/** Share of its stitches' width that a gathered round keeps: the front loops meet in the middle. */
export const gatheredShare = 0.75;

/** How a part is stuffed, as far as its profile depends on it. */
export interface Stuffing {
  firmness: Firmness;
  /** the last round is drawn together */
  gathered: boolean;
  /** rounds from the start that make a flat sole and carry no stuffing; 0 for none */
  sole: number;
}

/** Rings of the wall from the start to the end, and the band of fabric below each; the first ring has none. Areas are over π, in mm². */
interface Wall {
  /** round of each ring, from 0; -1 for the start itself and for the middle of a gathered end */
  rounds: number[];
  radius: Float64Array;
  area: Float64Array;
  /** 1 where the ring keeps its radius: a ring's start, a gathered end, the edge of a sole */
  fixed: Uint8Array;
  /** height and way along the wall of the first ring */
  z: number;
  along: number;
}

/** The wall over a sole: its edge is the first ring. */
function overSole(wall: Wall, { z, along }: Profile, sole: number): Wall {
  const from = wall.rounds.indexOf(sole - 1);
  if (from < 1) return wall;
  const fixed = wall.fixed.slice(from);
  fixed[0] = 1;
  const area = wall.area.slice(from);
  area[0] = 0;
  return {
    rounds: wall.rounds.slice(from),
    radius: wall.radius.slice(from),
    area,
    fixed,
    z: z[sole - 1] ?? 0,
    along: along[sole - 1] ?? 0,
  };
}

function wallOf(fabric: Fabric, profile: Profile, { gathered, sole }: Stuffing): Wall {
  const { radius, along } = profile;
  const wall = wallRounds(fabric);
  const rounds = Array.from({ length: fabric.rounds }, (_, round) => round).filter(
    (round) => wall[round] === 1,
  );
  const first = rounds[0] ?? 0;
  const firstHeight = along[first] ?? 0;
  const isRing = fabric.start === 'ring';
  const startRadius = isRing
    ? 0
    : fabric.start === 'oval'
      ? Math.max(0, (radius[first] ?? 0) - firstHeight)
      : (radius[first] ?? 0);
  const radii = [startRadius, ...rounds.map((round) => radius[round] ?? 0)];
  const area = [0];
  rounds.forEach((round, i) => {
    const base = (fabric.base[round] ?? 0) - 1;
    const height = (along[round] ?? 0) - (base >= 0 ? (along[base] ?? 0) : 0);
    area.push(height * ((radii[i] ?? 0) + (radii[i + 1] ?? 0)));
  });
  const isDrawn = gathered && fabric.rounds > 1;
  if (isDrawn) {
    area.push(((radii.at(-1) ?? 0) * gatheredShare) ** 2);
    radii.push(0);
  }
  const whole: Wall = {
    rounds: [-1, ...rounds, ...(isDrawn ? [-1] : [])],
    radius: Float64Array.from(radii),
    area: Float64Array.from(area),
    fixed: Uint8Array.from(radii, (value) => (value === 0 ? 1 : 0)),
    z: 0,
    along: 0,
  };
  return sole > 0 ? overSole(whole, profile, sole) : whole;
}

/** Squares of radii near the stitches' own that the bands' areas allow. */
function feasible({ radius, area, fixed }: Wall): Float64Array {
  const most = 0.95;
  const square = radius.map((value, i) =>
    fixed[i] === 1 ? value * value : Math.max(1e-6, 0.9 * value * value),
  );
  for (let pass = 0; pass < 2; pass += 1) {
    for (let i = 1; i < square.length; i += 1)
      square[i] = Math.min(square[i] ?? 0, (square[i - 1] ?? 0) + most * (area[i] ?? 0));
    for (let i = square.length - 1; i > 0; i -= 1)
      square[i - 1] = Math.min(square[i - 1] ?? 0, (square[i] ?? 0) + most * (area[i] ?? 0));
  }
  return square;
}

/**
 * What the stuffed wall settles for, by the squares q of its radii, and how it changes with each.
 *
 * A band of area πa between rings q₀ and q₁ runs l = a/(r₀ + r₁) along the wall and rises l·√(1 − t²), t = (q₁ − q₀)/a.
 *
 * @returns the energy; not finite where a band would have to be longer than its fabric
 */
function energyOf(wall: Wall, pressure: number, square: Float64Array, slope: Float64Array): number {
  const { radius, area, fixed } = wall;
  const volumeSlope = new Float64Array(square.length);
  const whole = area.reduce((sum, value) => sum + value, 0);
  let volume = 0;
  let strain = 0;
  slope.fill(0);
  // Indexes are those of the rings: nothing is missing between them.
  for (let i = 1; i < square.length; i += 1) {
    const a = area[i]!;
    const q0 = square[i - 1]!;
    const q1 = square[i]!;
    const t = (q1 - q0) / a;
    if (!(Math.abs(t) < 1)) return Infinity;
    const r0 = Math.sqrt(q0);
    const r1 = Math.sqrt(q1);
    const rise = Math.sqrt(1 - t * t);
    const sum = r0 + r1;
    const mean = (q0 + q1 + r0 * r1) / sum;
    volume += a * rise * mean;
    const byTilt = (t * mean) / rise;
    const byMean = (a * rise) / (2 * sum * sum);
    const stretched = Math.log(sum / (radius[i - 1]! + radius[i]!));
    const resists = (a / whole) * (stretched > 0 ? tautness : 1);
    strain += resists * stretched * stretched;
    const pull = (resists * stretched) / sum;
    if (fixed[i - 1] === 0) {
      volumeSlope[i - 1] = volumeSlope[i - 1]! + byMean * (r0 + 2 * r1) + byTilt;
      slope[i - 1] = slope[i - 1]! + pull / r0;
    }
    if (fixed[i] === 0) {
      volumeSlope[i] = volumeSlope[i]! + byMean * (r1 + 2 * r0) - byTilt;
      slope[i] = slope[i]! + pull / r1;
    }
  }
  for (let i = 0; i < slope.length; i += 1) slope[i] = slope[i]! - (pressure * volumeSlope[i]!) / volume;
  return strain - pressure * Math.log(volume);
}

/**
 * A part as stuffing rounds it: one unknown a round, solved at once. Fabric gives its height for its width easily, its area hardly: each
 * round keeps its area, is drawn narrower or wider against a resistance, and the stuffing takes all the room it can. Flat starts dome and
 * corners round off by themselves. A piece of revolution only; frills hang from their round as they did. Lengths in mm.
 *
 * @param profile the form by the stitches alone
 * @returns the same profile where nothing presses, or where the part has no wall to press on
 */
export function stuffedProfile(fabric: Fabric, profile: Profile, stuffing: Stuffing): Profile {
  const pressure = pressureOf[stuffing.firmness];
  const wall = wallOf(fabric, profile, stuffing);
  const isFlat = fabric.row[0] === 1;
  const isWhole = wall.area.every((area, i) => i === 0 || area > 0);
  if (pressure === 0 || isFlat || wall.rounds.length < 3 || !isWhole) return profile;
  const slope = new Float64Array(wall.radius.length);
  const squares = feasible(wall);
  // Logarithms of the squares: a radius is never negative, and small ones move in small steps.
  const logs = squares.map((square) => Math.log(Math.max(1e-12, square)));
  const toSquares = (at: Float64Array) => {
    for (let i = 0; i < at.length; i += 1) if (wall.fixed[i] === 0) squares[i] = Math.exp(at[i] ?? 0);
  };
  minimise(logs, (at, out) => {
    toSquares(at);
    const energy = energyOf(wall, pressure, squares, slope);
    for (let i = 0; i < at.length; i += 1) out[i] = (slope[i] ?? 0) * (squares[i] ?? 0);
    return energy;
  });
  toSquares(logs);
  return withWall(fabric, profile, wall, squares);
}

/** The profile with its wall as found, what hangs from the wall where it hung. */
function withWall(fabric: Fabric, profile: Profile, wall: Wall, squares: Float64Array): Profile {
  const { rounds } = fabric;
  const out: Profile = {
    radius: profile.radius.slice(),
    z: profile.z.slice(),
    along: profile.along.slice(),
    flat: new Uint8Array(rounds),
  };
  let { z, along } = wall;
  for (let i = 1; i < squares.length; i += 1) {
    const [q0, q1, area] = [squares[i - 1] ?? 0, squares[i] ?? 0, wall.area[i] ?? 0];
    const length = area / (Math.sqrt(q0) + Math.sqrt(q1));
    const tilt = (q1 - q0) / area;
    z += length * Math.sqrt(Math.max(0, 1 - tilt * tilt));
    along += length;
    const round = wall.rounds[i] ?? -1;
    if (round < 0) continue;
    out.radius[round] = Math.sqrt(q1);
    out.z[round] = z;
    out.along[round] = along;
  }
  const onWall = wallRounds(fabric);
  for (let round = 0; round < rounds; round += 1) {
    if (onWall[round] === 1) continue;
    const base = (fabric.base[round] ?? 0) - 1;
    out.flat[round] = profile.flat[round] ?? 0;
    if (base < 0) continue;
    for (const key of ['radius', 'z', 'along'] as const)
      out[key][round] = (profile[key][round] ?? 0) - (profile[key][base] ?? 0) + (out[key][base] ?? 0);
  }
  return out;
}
