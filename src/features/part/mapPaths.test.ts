import { analyseToy } from '../../core/toy/analyse';
import { mapPaths, shades } from './mapPaths';

const part = (header: string) =>
  analyseToy(
    [
      'Head',
      header,
      'in moss',
      'R1: 6 sc in ring',
      'R2: inc x 6',
      'R3: (sc, inc) x 6',
      'R4: sc around',
      'R5: change to cream, sc around',
      'R6: sc around',
      '',
    ].join('\n'),
  ).parts[0]!;

test.each(['Start: top', 'Start: bottom', 'Start: left', 'Start: right'])(
  '%s: every stitch is in one path, by its colour and how far it turns away',
  (header) => {
    const { map, fabric } = part(header);
    const { paths, map: drawn } = mapPaths(map);
    const strokes = paths.reduce((sum, { d }) => sum + (d.match(/M/g) ?? []).length, 0);
    expect(strokes).toBe(fabric.offset[fabric.rounds]);
    expect(new Set(paths.map(({ colour }) => drawn.palette[colour]))).toEqual(new Set(['moss', 'cream']));
    expect(paths.every(({ shade }) => shade < shades.length)).toBe(true);
    for (const { d } of paths) expect(d).not.toMatch(/NaN|undefined|Infinity/);
  },
);

test('the front is drawn full, the back faint, also where the rounds run upright', () => {
  for (const header of ['Start: top', 'Start: left']) {
    const { map } = part(header);
    const { paths, map: drawn } = mapPaths(map);
    const reach = (shade: number) => {
      const along = paths
        .filter((path) => path.shade === shade)
        .flatMap(({ d }) =>
          [...d.matchAll(/L(-?[\d.]+) (-?[\d.]+)L/g)].map(([, x, y]) =>
            Math.abs(header === 'Start: top' ? Number(x) : Number(y) - drawn.height / 2),
          ),
        );
      return along.reduce((sum, value) => sum + value, 0) / along.length;
    };
    expect(reach(0)).toBeLessThan(reach(1));
    expect(reach(1)).toBeLessThan(reach(2));
  }
});
