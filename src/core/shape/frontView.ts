import { stitchAzimuth, wrapAngle } from './azimuth';
import type { MapView } from './map';

/** The part seen from the front, by its profile: one short stroke a stitch on the near side, in mm. */
export interface FrontView {
  /** x, y of the foot and of the top of each stitch seen */
  strokes: Float32Array;
  colour: Uint8Array;
  /** x, y of the four corners of each round as far as it is seen, and the yarn most of that is in: what lies under the stitches */
  bands: { corners: number[]; colour: number }[];
  width: number;
  height: number;
}

/** A point at an azimuth on the line of holes above a round, seen from the front; x from the middle, y from the top. */
export function frontPoint(
  view: MapView,
  round: number,
  azimuth: number,
): { x: number; y: number; near: boolean } {
  const angle = wrapAngle(azimuth - view.front);
  const height = Math.max(0, ...view.profile.z);
  const open = view.fabric.start !== 'ring';
  const z = round > 0 ? (view.profile.z[round - 1] ?? 0) : 0;
  const radius = round > 0 || open ? (view.profile.radius[Math.max(0, round - 1)] ?? 0) : 0;
  const [x, y] = [view.dir * Math.sin(angle) * radius, view.start === 'top' ? z : height - z];
  return { ...(view.lying ? turned(view, x, y) : { x, y }), near: Math.abs(angle) <= Math.PI / 2 };
}

const widthOf = ({ profile }: MapView) =>
  2 * profile.radius.reduce((most, radius) => Math.max(most, radius), 0);

/** Turned a quarter to the left about the part's middle, the upper edge at 0. */
function turned(view: MapView, x: number, y: number): { x: number; y: number } {
  return { x: y - Math.max(0, ...view.profile.z) / 2, y: widthOf(view) / 2 - x };
}

/** Draws the near half of a part from its profile, for a small picture. */
export function frontView(view: MapView): FrontView {
  const { fabric, starts, profile } = view;
  if (fabric.row[0] === 1) return flatView(view);
  const strokes: number[] = [];
  const colour: number[] = [];
  const bands: FrontView['bands'] = [];
  for (let round = 1; round <= fabric.rounds; round += 1) {
    const seen = colour.length;
    const from = fabric.offset[round - 1] ?? 0;
    const count = (fabric.offset[round] ?? 0) - from;
    for (let i = 0; i < count; i += 1) {
      const azimuth = stitchAzimuth(fabric, starts, round, i + 1);
      const top = frontPoint(view, round, azimuth);
      if (!top.near) continue;
      const foot = frontPoint(view, round - 1, azimuth);
      strokes.push(foot.x, foot.y, top.x, top.y);
      colour.push(fabric.colour[from + i] ?? 0);
    }
    const edges = [
      frontPoint(view, round - 1, view.front - Math.PI / 2),
      frontPoint(view, round - 1, view.front + Math.PI / 2),
      frontPoint(view, round, view.front + Math.PI / 2),
      frontPoint(view, round, view.front - Math.PI / 2),
    ];
    bands.push({ corners: edges.flatMap(({ x, y }) => [x, y]), colour: mostOften(colour.slice(seen)) });
  }
  const [around, along] = [widthOf(view), Math.max(1, ...profile.z)];
  return {
    strokes: Float32Array.from(strokes),
    colour: Uint8Array.from(colour),
    bands,
    width: view.lying ? along : around,
    height: view.lying ? around : along,
  };
}

/** The number that comes most often; 0 where there is none. */
function mostOften(numbers: readonly number[]): number {
  const times = new Map<number, number>();
  for (const number of numbers) times.set(number, (times.get(number) ?? 0) + 1);
  return [...times].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 0;
}

/** A part in rows, laid out. */
function flatView({ fabric, gauge, profile, start, lying }: MapView): FrontView {
  const strokes: number[] = [];
  const height = Math.max(1, ...profile.along);
  let width = 0;
  for (let row = 0; row < fabric.rounds; row += 1) {
    const count = (fabric.offset[row + 1] ?? 0) - (fabric.offset[row] ?? 0);
    width = Math.max(width, count * gauge.widthMm);
    const [foot, top] = [row > 0 ? (profile.along[row - 1] ?? 0) : 0, profile.along[row] ?? 0].map((y) =>
      start === 'top' ? y : height - y,
    );
    for (let i = 0; i < count; i += 1) {
      const x = (i + 0.5 - count / 2) * gauge.widthMm;
      strokes.push(x, foot ?? 0, x, top ?? 0);
    }
  }
  if (lying) {
    const turnedStrokes = strokes.map((value, i) =>
      i % 2 === 0 ? (strokes[i + 1] ?? 0) - height / 2 : width / 2 - (strokes[i - 1] ?? 0),
    );
    return {
      strokes: Float32Array.from(turnedStrokes),
      colour: fabric.colour,
      bands: [],
      width: height,
      height: width,
    };
  }
  return { strokes: Float32Array.from(strokes), colour: fabric.colour, bands: [], width, height };
}
