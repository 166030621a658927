import * as fc from 'fast-check';
import { clearLines } from './clearLines';

test.each([
  ['both ways, the nearest', 10, 20, (at: number) => at % 4 === 0, [12, 8]],
  ['where it is does not count', 10, 20, () => true, [11, 9]],
  ['nothing past the last line', 19, 20, (at: number) => at > 20 || at === 15, [15]],
  ['nothing before the first', 2, 20, (at: number) => at === 0 || at === 4, [4]],
  ['not further than eight', 10, 40, (at: number) => at === 19 || at === 1, []],
  ['nowhere', 10, 20, () => false, []],
] as const)('%s', (_, line, lines, isClear, wanted) => {
  expect(clearLines(line, lines, isClear)).toEqual(wanted);
});

test('what is named is on the part, clear, and nothing nearer on that side is', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 30 }),
      fc.array(fc.boolean(), { minLength: 31, maxLength: 31 }),
      (line, clear) => {
        for (const at of clearLines(line, 30, (one) => clear[one]!)) {
          expect(at).toBeGreaterThanOrEqual(1);
          expect(at).toBeLessThanOrEqual(30);
          const way = Math.sign(at - line);
          for (let one = line + way; one !== at; one += way) expect(clear[one]).toBe(false);
          expect(clear[at]).toBe(true);
        }
      },
    ),
  );
});
