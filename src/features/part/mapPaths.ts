import { fabricMap, type FabricMap, type MapView } from '../../core/shape/map';

/** Stitches that turn away from the front are drawn fainter and thinner, in three steps. */
export const shades = [
  { opacity: 1, width: 1 },
  { opacity: 0.72, width: 0.85 },
  { opacity: 0.42, width: 0.7 },
] as const;

export interface MapPaths {
  map: FabricMap;
  /** path data by colour index and shade */
  paths: { colour: number; shade: number; d: string }[];
}

/** Gathers the stitches into a few paths, so that the browser draws thousands of them at once. */
export function mapPaths(view: MapView): MapPaths {
  const map = fabricMap(view);
  const { points, round, colour, half } = map;
  const gathered = new Map<number, string[]>();
  for (let i = 0; i < round.length; i += 1) {
    const p = i * 6;
    const around = view.lying ? (points[p + 3] ?? 0) - map.height / 2 : (points[p + 2] ?? 0);
    const reach = Math.abs(around) / Math.max(1, half[(round[i] ?? 1) - 1] ?? 1);
    const key = (colour[i] ?? 0) * shades.length + (reach < 0.5 ? 0 : reach < 0.75 ? 1 : 2);
    const list = gathered.get(key) ?? [];
    if (list.length === 0) gathered.set(key, list);
    list.push(
      `M${(points[p] ?? 0).toFixed(1)} ${(points[p + 1] ?? 0).toFixed(1)}L${(points[p + 2] ?? 0).toFixed(1)} ${(points[p + 3] ?? 0).toFixed(1)}L${(points[p + 4] ?? 0).toFixed(1)} ${(points[p + 5] ?? 0).toFixed(1)}`,
    );
  }
  return {
    map,
    paths: [...gathered].map(([key, list]) => ({
      colour: Math.floor(key / shades.length),
      shade: key % shades.length,
      d: list.join(''),
    })),
  };
}

/** Middle of a stitch on the map, by its index. */
export function stitchMiddle(points: Float32Array, stitch: number): { x: number; y: number } {
  const p = stitch * 6;
  return {
    x: ((points[p] ?? 0) + 2 * (points[p + 2] ?? 0) + (points[p + 4] ?? 0)) / 4,
    y: ((points[p + 1] ?? 0) + (points[p + 3] ?? 0)) / 2,
  };
}
