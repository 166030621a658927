import { dome, formOf } from '../../__tests__/formOf';
import { standing, type Stand } from './stand';
import { stitchFrames } from './stitchFrames';

describe('stitches as they are drawn', () => {
  const framesOf = (text: string, stand: Stand) => {
    const { fabric, form } = formOf(text);
    const placed = standing(form, stand, false);
    return { fabric, form, placed, frames: stitchFrames(fabric, { nodes: form.nodes, placed, stand }) };
  };
  const det = (m: Float32Array, at: number) => {
    const [a, b, c] = [0, 4, 8].map((k) => [m[at + k]!, m[at + k + 1]!, m[at + k + 2]!]) as [
      number[],
      number[],
      number[],
    ];
    return (
      a[0]! * (b[1]! * c[2]! - b[2]! * c[1]!) +
      a[1]! * (b[2]! * c[0]! - b[0]! * c[2]!) +
      a[2]! * (b[0]! * c[1]! - b[1]! * c[0]!)
    );
  };

  test.each([
    ['right, from the top', 1, 'top'],
    ['left', -1, 'top'],
    ['from the bottom', -1, 'bottom'],
  ] as const)('%s: one shape a stitch, outside out', (_, dir, start) => {
    const { fabric, form, frames } = framesOf(`${dome}\nR5-R7: sc around\nR8: (2 sc, dec) x 6`, {
      front: 0,
      dir,
      start,
      lying: false,
    });
    expect(frames.reduce((sum, { stitch }) => sum + stitch.length, 0)).toBe(form.nodes.stitches);
    expect(frames.find(({ look }) => look === 'decrease')!.stitch).toHaveLength(6);
    for (const { matrices, stitch } of frames)
      for (let i = 0; i < stitch.length; i += 1) expect(det(matrices, i * 16)).toBeGreaterThan(0);
    expect(fabric.rounds).toBe(8);
  });

  test('a ridge shows its free loops, tall stitches stand on posts', () => {
    const { frames } = framesOf(`${dome}\nR5: BLO sc around\nR6: dc around`, {
      front: 0,
      dir: 1,
      start: 'top',
      lying: false,
    });
    expect(frames.find(({ look }) => look === 'loop')!.stitch).toHaveLength(24);
    expect(frames.find(({ look }) => look === 'tall')!.stitch).toHaveLength(24);
  });

  test('an outgrowth hangs outside the fabric', () => {
    const plain = framesOf(`${dome}\nR5-R7: sc around`, { front: 0, dir: 1, start: 'top', lying: false });
    const grown = framesOf(
      `${dome}\nR5: sc around\nR6: sc 6, ch 8, sc in 2nd ch from hook, sc 6, sc 18\nR7: sc around`,
      { front: 0, dir: 1, start: 'top', lying: false },
    );
    expect(grown.fabric.outgrowths).toHaveLength(1);
    const count = ({ frames }: typeof plain) => frames.reduce((sum, { stitch }) => sum + stitch.length, 0);
    expect(count(grown) - count(plain)).toBeGreaterThanOrEqual(8);
    const reach = ({ frames }: typeof plain) =>
      Math.max(
        ...frames.flatMap(({ matrices, stitch }) =>
          Array.from(stitch, (_, i) => Math.hypot(matrices[i * 16 + 12]!, matrices[i * 16 + 14]!)),
        ),
      );
    expect(reach(grown)).toBeGreaterThan(reach(plain) + 10);
  });
});
