import * as fc from 'fast-check';
import { readStance, writeStance, type StanceSaid } from './stance';

const turned = (by: number, way: string, unit = 'degrees') => ({ turned: { by, unit, way } });

test.each<[string, object | null]>([
  ['turned 30 degrees clockwise', turned(30, 'clockwise')],
  ['rotate them by 2 stitches outwards', turned(2, 'outward', 'stitches')],
  ['rolled one stitch counter-clockwise', turned(1, 'anticlockwise', 'stitches')],
  ['turned upwards by 20°', turned(20, 'up')],
  ['turned a quarter turn anticlockwise', turned(90, 'anticlockwise')],
  ['turned inward by an eighth of a turn', turned(45, 'inward')],
  ['turned upside down', turned(180, 'clockwise')],
  ['drooping 30 degrees', { droop: 30 }],
  ['let them droop by about 20°', { droop: 20 }],
  ['raised 45 degrees', { droop: -45 }],
  ['tilted forward by 15 degrees', { lean: 15 }],
  ['leaning to the back at an angle of 10 degrees', { lean: -10 }],
  ['at an angle of 30 degrees downwards', { droop: 30 }],
  ['angled 30 deg up', { droop: -30 }],
  ['each tilted outward 15 degrees', { spread: 15 }],
  ['leaning inwards by 10°', { spread: -10 }],
  ['drooping 20 degrees, tilted back 10 degrees', { droop: 20, lean: -10 }],
  // How far, or which way, is not said.
  ['turned 3 stitches', null],
  ['so that they droop', null],
  ['tilted forward', null],
  ['turned 30 degrees', null],
  // More than there is.
  ['drooping 120 degrees', null],
  ['turned 270 degrees clockwise', null],
  ['on round 30, 4 stitches up from the back', null],
])('%s', (words, stance) => {
  expect(readStance(words).stance).toEqual(stance);
});

test('what is read is taken out of the words, and the rest stays', () => {
  expect(readStance('sew it to the side, tilted back 20 degrees, on round 8').rest).toBe(
    'sew it to the side, ·, on round 8',
  );
});

test('what is written is read back to the same', () => {
  const degrees = fc.integer({ min: 1, max: 90 });
  const stance = fc.record<StanceSaid>(
    {
      turned: fc.record({
        by: degrees,
        unit: fc.constantFrom('degrees', 'stitches'),
        way: fc.constantFrom('clockwise', 'anticlockwise', 'up', 'down', 'outward', 'inward'),
      }),
      droop: fc.oneof(
        degrees,
        degrees.map((by) => -by),
      ),
      lean: fc.oneof(
        degrees,
        degrees.map((by) => -by),
      ),
      spread: fc.oneof(
        degrees,
        degrees.map((by) => -by),
      ),
    },
    { requiredKeys: [] },
  );
  fc.assert(
    fc.property(stance, (said) => {
      const read = readStance(`sew it on, ${writeStance(said).join(', ')}.`).stance;
      expect(read ?? {}).toEqual(said);
    }),
  );
});
