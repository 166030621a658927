import * as fc from 'fast-check';
import type { Stop } from './acts';
import { orderOf, unitKey, type Need, type OrderUnit, type Step } from './order';

const stopAfter = (after: number): Stop => ({
  row: after,
  part: '',
  after,
  earliest: after,
  latest: after,
  openingMm: 20,
  latestOpeningMm: 20,
  acts: [
    {
      act: 'stuff',
      feature: null,
      part: null,
      fills: null,
      why: '',
      window: { earliest: after, easy: after, latest: after },
    },
  ],
});

const unit = (part: string, rounds: number, needs: Need[] = [], stops: number[] = []): OrderUnit => ({
  part,
  unit: 1,
  name: part,
  labels: Array.from({ length: rounds }, (_, i) => i + 1),
  counts: Array.from({ length: rounds }, () => 6),
  stops: stops.map(stopAfter),
  needs,
  finishing: [],
});

const told = ({ do: doing, part, from, to }: Step) =>
  doing === 'work' ? `${part} ${from}-${to}` : `${part} ${doing}`;

test('parts in the order of the text, parted at their stops; sewing when both are there, the check last', () => {
  const { steps, cycles } = orderOf(
    [unit('head', 8, [], [6]), unit('arm', 4)],
    [{ unit: unitKey('arm', 1), onto: 'head', stitches: 8 }],
  );
  expect(steps.map(told)).toEqual(['head 1-6', 'head stuff', 'head 7-8', 'arm 1-4', 'arm sew', 'head check']);
  expect(cycles).toEqual([]);
});

test('what is worked into a part is made before that part is begun', () => {
  const { steps } = orderOf(
    [unit('body', 9, [{ round: 6, unit: 'leg#1', upTo: 'all' }], [5]), unit('leg', 3)],
    [],
  );
  expect(steps.map(told)).toEqual(['leg 1-3', 'body 1-5', 'body stuff', 'body 6-9', 'body check']);
});

test('a frill that begins in a round of the body, and is worked into it again, waits for that round only', () => {
  const { steps, cycles } = orderOf(
    [
      unit('body', 9, [{ round: 8, unit: 'frill#1', upTo: 'all' }], [7]),
      unit('frill', 2, [{ round: 1, unit: 'body#1', upTo: 7 }]),
    ],
    [],
  );
  expect(cycles).toEqual([]);
  expect(steps.map(told)).toEqual(['body 1-7', 'body stuff', 'frill 1-2', 'body 8-9', 'body check']);
});

test('two parts that are worked into each other are a circle, and are named', () => {
  const { cycles } = orderOf(
    [
      unit('body', 9, [{ round: 6, unit: 'arm#1', upTo: 'all' }]),
      unit('arm', 3, [{ round: 2, unit: 'body#1', upTo: 'all' }]),
    ],
    [],
  );
  expect(cycles).toEqual([['body', 'arm']]);
});

/** Whether any unit waits for itself, by trying all ways. */
function waitsForItself(units: readonly OrderUnit[]): boolean {
  const reach = (from: string, seen: Set<string>): boolean =>
    (units.find(({ part }) => unitKey(part, 1) === from)?.needs ?? []).some(
      (need) => seen.has(need.unit) || reach(need.unit, new Set([...seen, need.unit])),
    );
  return units.some(({ part }) => reach(unitKey(part, 1), new Set([unitKey(part, 1)])));
}

test('every step comes after what it needs; there is a circle told exactly where there is one', () => {
  const names = ['a', 'b', 'c', 'd', 'e'];
  const need = fc.record({ of: fc.nat(4), on: fc.nat(4), round: fc.integer({ min: 1, max: 5 }) });
  fc.assert(
    fc.property(
      fc.array(need, { maxLength: 6 }),
      fc.array(fc.integer({ min: 1, max: 5 }), { maxLength: 3 }),
      (needs, stops) => {
        const units = names.map((name, i) =>
          unit(
            name,
            5,
            needs
              .filter(({ of, on }) => of === i && on !== i)
              .map(({ on, round }): Need => ({ round, unit: unitKey(names[on]!, 1), upTo: 'all' })),
            [...new Set(stops)],
          ),
        );
        const { steps, cycles } = orderOf(units, []);
        expect(cycles.length > 0).toBe(waitsForItself(units));
        const work = steps.filter(({ do: doing }) => doing === 'work');
        for (const { part } of units)
          expect(
            work
              .filter((step) => step.part === part)
              .flatMap(({ from, to }) => Array.from({ length: to! - from! + 1 }, (_, i) => from! + i)),
          ).toEqual([1, 2, 3, 4, 5]);
        if (cycles.length > 0) return;
        for (const { part, needs: waits } of units) {
          for (const { round, unit: key } of waits) {
            const begun = work.findIndex(
              (step) => step.part === part && step.from! <= round && step.to! >= round,
            );
            const ended = work.findLastIndex((step) => unitKey(step.part, 1) === key);
            expect(ended).toBeLessThan(begun);
          }
        }
      },
    ),
    { numRuns: 300 },
  );
});
