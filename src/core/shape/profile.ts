import { roundCount, type Fabric } from '../fabric/fabric';
import { heightOfCode, type Gauge } from './gauge';

/** The form at first sight: every round a circle of its stitches, the wall advancing one round height a round. Lengths in mm. */
export interface Profile {
  /** radius of the circle at the top edge of each round */
  radius: Float64Array;
  /** height of that edge over the start, along the axis */
  z: Float64Array;
  /** way along the wall from the start to that edge */
  along: Float64Array;
  /** 1 where the round grows or shrinks more than a round height allows, so that it lies flat or ruffles */
  flat: Uint8Array;
}

/**
 * Computes the profile: radius n·w/2π, Δz = √(h² − Δr²), flat where |Δr| ≥ h.
 *
 * @param fabric the stitch graph
 * @param gauge stitch width and round height in mm; taller stitches count by their height class
 */
export function profileOf(fabric: Fabric, gauge: Gauge): Profile {
  const { rounds } = fabric;
  const profile: Profile = {
    radius: new Float64Array(rounds),
    z: new Float64Array(rounds),
    along: new Float64Array(rounds),
    flat: new Uint8Array(rounds),
  };
  for (let round = 0; round < rounds; round += 1) {
    const count = roundCount(fabric, round + 1);
    const base = (fabric.base[round] ?? 0) - 1;
    let sum = 0;
    for (let i = fabric.offset[round] ?? 0; i < (fabric.offset[round + 1] ?? 0); i += 1)
      sum += heightOfCode[fabric.kind[i] ?? 0] ?? 1;
    const height = gauge.heightMm * (count > 0 ? sum / count : 1);
    const radius = (count * gauge.widthMm) / (2 * Math.PI);
    // A tube or an edge begins open; a ring begins at a point.
    const open = fabric.start === 'tube' || fabric.start === 'edge' || fabric.start === 'row';
    const before =
      base >= 0
        ? (profile.radius[base] ?? 0)
        : open
          ? radius
          : fabric.start === 'oval'
            ? Math.max(0, radius - height)
            : 0;
    const step = Math.abs(radius - before);
    profile.radius[round] = radius;
    profile.flat[round] = step >= height * 1.0001 ? 1 : 0;
    profile.z[round] =
      (base >= 0 ? (profile.z[base] ?? 0) : 0) + Math.sqrt(Math.max(0, height * height - step * step));
    profile.along[round] = (base >= 0 ? (profile.along[base] ?? 0) : 0) + height;
  }
  return profile;
}

/** The opening while a round is being worked, as a diameter in mm: a round of n stitches lets n·w/π through. */
export function openingMm(fabric: Fabric, gauge: Gauge, round: number): number {
  return (roundCount(fabric, round) * gauge.widthMm) / Math.PI;
}

/** The line of holes halfway between the two ends of a part, by its profile; most often between two of them. */
export function middleLine({ z }: Profile): number {
  const half = Math.max(0, ...z) / 2;
  const over = z.findIndex((value) => value >= half);
  if (over < 0) return 1;
  const [below, above] = [over > 0 ? (z[over - 1] ?? 0) : 0, z[over] ?? 0];
  return over + (above > below ? (half - below) / (above - below) : 1);
}

/** Width and height of the whole part by its profile, in mm; with its fabric, parts in rows are measured flat. */
export function sizeOf(profile: Profile, fabric?: Fabric): { widthMm: number; heightMm: number } {
  // A part in rows lies flat: as wide as its longest row.
  const flat = fabric?.row[0] === 1;
  let width = 0;
  let low = 0;
  let high = 0;
  for (let i = 0; i < profile.radius.length; i += 1) {
    width = Math.max(width, (flat ? 2 * Math.PI : 2) * (profile.radius[i] ?? 0));
    low = Math.min(low, profile.z[i] ?? 0);
    high = Math.max(high, profile.z[i] ?? 0);
  }
  return { widthMm: width, heightMm: high - low };
}

/** Volume within the rounds from one to another, numbered from 1, in ml: circles joined by cones. */
export function volumeBetween({ radius, z }: Profile, from: number, to: number): number {
  let sum = 0;
  for (let round = from; round <= to; round += 1) {
    const [r0, r1] = [round > 1 ? (radius[round - 2] ?? 0) : 0, radius[round - 1] ?? 0];
    const rise = (z[round - 1] ?? 0) - (round > 1 ? (z[round - 2] ?? 0) : 0);
    sum += (Math.PI / 3) * (r0 * r0 + r0 * r1 + r1 * r1) * rise;
  }
  return Math.abs(sum) / 1000;
}
