import { analyseToy } from '../../toy/analyse';
import { saying } from './problems';

describe('what is said of a problem', () => {
  test('goes by its facts, and carries them', () => {
    const facts = {
      round: 4,
      isRow: false,
      stated: 24,
      made: 22,
      under: { round: 3, isRow: false },
      unworked: 1,
    };
    expect(saying('count-mismatch', facts)).toEqual({
      code: 'count-mismatch',
      facts,
      message: 'Round 4 says 24, but makes 22. 1 stitch of round 3 stays unworked.',
    });
  });

  test.each([
    [
      'a row, over the start',
      saying('stitches-left', { round: 2, isRow: true, under: 'start', below: 6, used: 4, left: 2 }),
      'Row 2 works 4 of the 6 stitches of the start: 2 left over.',
    ],
    [
      'one round missing',
      saying('round-missing', { why: 'numbers', round: 6, isRow: false, before: 4 }),
      'Round 5 is missing: 4 is followed by 6.',
    ],
    [
      'the first rounds missing',
      saying('round-missing', { why: 'numbers', round: 3, isRow: false, before: 0 }),
      'Rounds 1 and 2 are missing: the part begins with 3.',
    ],
    [
      'one thing that goes, and several',
      saying('landmark-missing', { name: 'nose', landmark: 'ridge' }),
      'This part has no ridge. Say between which rounds the nose goes.',
    ],
    [
      'several',
      saying('landmark-missing', { name: 'cheeks', landmark: 'neck' }),
      'This part has no narrow place between two wider ones. Say between which rounds the cheeks go.',
    ],
    [
      'parts that wait for each other',
      saying('order-cycle', { pieces: ['arm', 'body', 'head'] }),
      'The arm waits for the body, the body waits for the head, the head waits for the arm: none of them can be finished first. Sew one of them on instead of working it in.',
    ],
    [
      'a round that has no room',
      saying('nosew-room', {
        wall: 'Body',
        round: 12,
        count: 10,
        missing: 2,
        nearest: null,
        narrower: { name: 'Leg', count: 2 },
      }),
      'Round 12 of the body has 10 stitches, and what is worked into it needs 2 more. With two stitches less at each edge the legs go in here.',
    ],
  ])('%s', (_, { message }, words) => {
    expect(message).toBe(words);
  });
});

test('facts are plain data: they come back from JSON as they were', () => {
  const text = `Head
R1: 6 sc in ring
R2: inc around [14]
R3: foo, sc around
R5: sc around
8 mm eyes, 3 rounds above the ridge, 8 apart
Ear (make 2)
R1: 6 sc in ring
Sew the ears to the head.`;
  const { problems } = analyseToy(text);
  expect(problems.length).toBeGreaterThan(4);
  for (const { facts } of problems) expect(JSON.parse(JSON.stringify(facts))).toEqual(facts);
});
