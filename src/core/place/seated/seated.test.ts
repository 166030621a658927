import * as fc from 'fast-check';
import { featureHead } from '../../__tests__/featureCorpus';
import { analyseToy, frameOfPart } from '../../toy/analyse';
import { applyEdits } from '../../notation/applyEdits';
import { writeRule } from '../rule/writeRule';
import { pairForProportion, proportionOf } from '../move/proportion';
import { checkSeated, plannedAfter, plannedCount } from '../seated/uprightCount';

const part = (header = '') => analyseToy(`${header}${featureHead}`).parts[0]!;

describe('after seating', () => {
  test('counted as planned: level, centred, nothing to move', () => {
    const { form, eyes, fabric } = part();
    const count = plannedCount(eyes!, fabric.label);
    expect(count).toEqual({ before: 14, between: 6, after: null, firstRound: 15, secondRound: 15 });
    expect(checkSeated(form, eyes!, count)).toMatchObject({ centred: true, level: true, moves: [] });
  });

  test('both a stitch too far on: says by how much and which way', () => {
    const { form, eyes, fabric } = part();
    const check = checkSeated(form, eyes!, { ...plannedCount(eyes!, fabric.label), before: 15 });
    expect(check).toMatchObject({
      centred: false,
      level: true,
      missSide: 'right',
      moves: ['Move the left eye 1 stitch to the left.', 'Move the right eye 1 stitch to the left.'],
    });
    expect(check.missMm).toBeCloseTo(5, 0);
  });

  test('one eye too far out, one round too low', () => {
    const { form, eyes, fabric } = part();
    const check = checkSeated(form, eyes!, {
      ...plannedCount(eyes!, fabric.label),
      between: 7,
      secondRound: 16,
    });
    expect(check.level).toBe(false);
    expect(check.moves).toEqual([
      'Move the right eye 1 stitch to the left.',
      'Move the right eye 1 round up.',
    ]);
  });

  test('counted all the way round, a miscount is found before anything is moved', () => {
    // Holes 15 and 22 of 36: 14 before, 6 between, 14 after, and the two over the holes.
    const { form, eyes, fabric } = part();
    expect(plannedAfter(eyes!)).toBe(14);
    const count = { ...plannedCount(eyes!, fabric.label), after: 14 };
    expect(checkSeated(form, eyes!, count)).toMatchObject({ uncounted: 0, moves: [] });
    expect(checkSeated(form, eyes!, { ...count, before: 16 })).toMatchObject({ uncounted: -2, moves: [] });
    // One too far on, all of it: that is how the eyes are, and they are to be moved.
    expect(checkSeated(form, eyes!, { ...count, before: 15, after: 13 }).moves).toHaveLength(2);
    const split = analyseToy(
      featureHead.replace('7 apart (6 showing), in the holes', '7 apart, in the splits'),
    ).parts[0]!;
    expect(
      checkSeated(split.form, split.eyes!, {
        ...plannedCount(split.eyes!, split.fabric.label),
        after: plannedAfter(split.eyes!),
      }).uncounted,
    ).toBe(0);
  });

  test('left-handed, the sides change; from the chin up, so does up', () => {
    const left = part('Hand: left\n');
    expect(
      checkSeated(left.form, left.eyes!, { ...plannedCount(left.eyes!, left.fabric.label), before: 15 })
        .missSide,
    ).toBe('left');
    const bottom = analyseToy(featureHead.replace('Head\n', 'Head\nStart: bottom\n')).parts[0]!;
    expect(
      checkSeated(bottom.form, bottom.eyes!, {
        ...plannedCount(bottom.eyes!, bottom.fabric.label),
        firstRound: 16,
        secondRound: 16,
      }).moves,
    ).toEqual(['Move the right eye 1 round down.', 'Move the left eye 1 round down.']);
  });

  test('following the moves leads to a count with nothing left to move', () => {
    fc.assert(
      fc.property(fc.integer({ min: 9, max: 20 }), fc.integer({ min: 2, max: 10 }), (before, between) => {
        const { form, eyes, fabric } = part();
        const planned = plannedCount(eyes!, fabric.label);
        const { moves } = checkSeated(form, eyes!, { ...planned, before, between });
        const by = (side: string) => {
          const move = moves.find((one) => one.includes(`${side} eye`));
          return move ? Number(/(\d+)/.exec(move)![1]) * (move.endsWith('right.') ? 1 : -1) : 0;
        };
        const after = {
          ...planned,
          before: before + by('left'),
          between: between + by('right') - by('left'),
        };
        expect(checkSeated(form, eyes!, after).moves).toEqual([]);
      }),
    );
  });
});

describe('proportion', () => {
  test('what is there comes back as it is', () => {
    const { eyes, ...rest } = part();
    const frame = frameOfPart({ eyes, ...rest });
    const is = proportionOf(frame, eyes!);
    expect(is.apart).toBeCloseTo(Math.sin((Math.PI * 7) / 36), 6);
    expect(pairForProportion(frame, is, eyes!)).toEqual({ rule: eyes!.rule, real: is });
  });

  test('a wish snaps to real rounds and stitches, and no nearer ones exist', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.15, max: 0.85, noNaN: true }),
        fc.double({ min: 0.1, max: 0.9, noNaN: true }),
        (down, apart) => {
          const now = part();
          const { source } = now;
          const { rule, real } = pairForProportion(frameOfPart(now), { down, apart }, now.eyes!);
          const text = applyEdits(featureHead, [writeRule(source, 'eyes', rule)]);
          const set = analyseToy(text).parts[0]!;
          expect(proportionOf(frameOfPart(set), set.eyes!)).toEqual(real);
          const is = set.eyes!.apart!;
          for (const other of [-1, 1]) {
            const nearby = proportionOf(frameOfPart(set), { ...set.eyes!, apart: is + other });
            if (is + other >= 1 && is + other <= 18)
              expect(Math.abs(nearby.apart - apart)).toBeGreaterThanOrEqual(
                Math.abs(real.apart - apart) - 1e-9,
              );
          }
        },
      ),
      { numRuns: 40 },
    );
  });
});
