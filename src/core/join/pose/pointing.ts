import { t } from '../../words/language';
import * as vec3 from 'gl-matrix/vec3';
import type { PosedUnit } from './posed';

/** A share of the way that is named first, second, or not at all. */
const slight = 0.45;
const least = 0.2;

/** Where the far end of a unit points, as one looks at the toy's front: `left and a little down`. */
export function pointingWords({ frame, outward }: PosedUnit): string {
  const isByStart = vec3.dot(frame.away, outward) > 0;
  const [x = 0, y = 0, z = 0] = isByStart ? frame.away : vec3.negate(vec3.create(), frame.away);
  const ways: [share: number, word: string][] = [
    [Math.abs(x), x < 0 ? 'left' : 'right'],
    [Math.abs(y), y < 0 ? 'down' : 'up'],
    [Math.abs(z), z < 0 ? 'back' : 'forward'],
  ];
  const [first, ...others] = ways.sort((a, b) => b[0] - a[0]);
  if (!first) return '';
  const more = others.filter(([share]) => share > least);
  const words = more.map(([share, word]) => (share < slight ? t`a little ${word}` : word));
  return [first[1], ...words].join(t` and `);
}
