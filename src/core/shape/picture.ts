import { frontPoint, frontView } from './frontView';
import type { MapView } from './map';

/** One shape of a small picture, in a square of `pictureSize` a side. */
export type PictureShape =
  | { kind: 'stroke'; d: string; colour: string; width: number }
  | { kind: 'patch'; d: string; colour: string }
  | { kind: 'dot'; x: number; y: number; radius: number; colour: string; edge?: string };

/** A small picture of a part, small enough to be kept: strokes of the fabric by colour, and what lies on it. */
export interface Picture {
  /** the ground under the stitches, one path a yarn: between stitches that part one sees the fabric, not through it */
  ground: { d: string; colour: string }[];
  /** the stitches, one path a yarn */
  fabric: { d: string; colour: string }[];
  /** width of a stitch's stroke */
  stroke: number;
  /** what is on the fabric, from below up */
  on: PictureShape[];
}

/** A pressed eye: a dot with its rim, and the shine on it. */
export function shinyDot(
  { x, y }: { x: number; y: number },
  radius: number,
  { black, edge, glint }: Readonly<Record<'black' | 'edge' | 'glint', string>>,
): PictureShape[] {
  const tenths = (value: number) => Math.round(value * 10) / 10;
  return [
    { kind: 'dot', x, y, radius, colour: black, edge },
    {
      kind: 'dot',
      x: tenths(x - radius * 0.3),
      y: tenths(y - radius * 0.35),
      radius: tenths(radius * 0.25),
      colour: glint,
    },
  ];
}

/** Side of the square a picture is drawn in. */
export const pictureSize = 200;

/** From mm on the part seen from the front to the square of the picture. */
export interface PictureScale {
  perMm: number;
  /** the place of a line of holes at an azimuth; null where it is turned away */
  at: (line: number, azimuth: number) => { x: number; y: number } | null;
}

/**
 * Draws the fabric of a part from the front, to whole units: small pictures are kept with each toy, and tenths could not be seen.
 *
 * @param view the part as it stands, stuffed or flat
 * @param colours screen colour of each yarn of its palette
 */
export function pictureOf(
  view: MapView,
  colours: readonly string[],
): { picture: Picture; scale: PictureScale } {
  const { strokes, colour, bands, width, height } = frontView(view);
  const { widthMm } = view.gauge;
  const extent = Math.max(width, height) * 1.1 + widthMm * 2.5;
  const perMm = pictureSize / extent;
  const x = (mm: number) => Math.round((mm + extent / 2) * perMm);
  const y = (mm: number) => Math.round((mm - height / 2 + extent / 2) * perMm);
  const tintOf = (yarn: number | undefined) => colours[yarn ?? 0] ?? colours[0] ?? '';
  const ground = new Map<string, string>();
  for (const band of bands) {
    const corners = band.corners.flatMap((mm, i) =>
      i % 2 === 0 ? `${x(mm)} ${y(band.corners[i + 1] ?? 0)}` : [],
    );
    ground.set(tintOf(band.colour), `${ground.get(tintOf(band.colour)) ?? ''}M${corners.join('L')}Z`);
  }
  const paths = new Map<string, string>();
  for (let i = 0; i < colour.length; i += 1) {
    const tint = tintOf(colour[i]);
    const [x1 = 0, y1 = 0, x2 = 0, y2 = 0] = strokes.subarray(i * 4, i * 4 + 4);
    paths.set(tint, `${paths.get(tint) ?? ''}M${x(x1)} ${y(y1)}L${x(x2)} ${y(y2)}`);
  }
  const listed = (by: ReadonlyMap<string, string>) => [...by].map(([tint, d]) => ({ d, colour: tint }));
  const picture: Picture = {
    ground: listed(ground),
    fabric: listed(paths),
    stroke: Math.round(widthMm * 0.98 * perMm * 10) / 10,
    on: [],
  };
  const at = (line: number, azimuth: number) => {
    const point = frontPoint(view, line, azimuth);
    return point.near ? { x: x(point.x), y: y(point.y) } : null;
  };
  return { picture, scale: { perMm, at } };
}
