import { analyseToy } from '../toy/analyse';

// A straight tube of 30 from round 5 on, lean 0: the front line is at 15.5, the back at 0.5, left has the smaller numbers.
const body =
  'Terms: US\nLean: 0\nGauge: 5 mm x 5 mm\n\nBody\nStart: top\nR1: 6 sc in mr\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5: (3 sc, inc) x 6\nR6-R20: sc around\n';
const wings = '\nWing (make 2)\nR1: 8 sc in mr\nR2-R8: sc around\n';
// 12 stitches round are 3.8 across: nearly two rounds on either side of the middle.
const tail = '\nTail\nR1: 6 sc in mr\nR2: inc x 6\nR3-R8: sc around\n';

const placed = (parts: string, sentence: string) => {
  const toy = analyseToy(`${body}${parts}\nAssembly\n${sentence}\n`);
  return {
    at: toy.joined.joins.map(({ unit, round, stitch }) => `${unit.name} ${round} ${stitch}`),
    untold: toy.problems.every(({ code }) => code !== 'words-unused'),
  };
};

test.each([
  'Sew the wings to the body on each side of the back at R8, 3 stitches from the centre.',
  'Sew the wings to the back at R8 of the body, 3 stitches from the centre of the back.',
  'Sew the wings at R8 of the body, 3 stitches from the middle of the back.',
  'Sew the wings at R8 of the body, 3 stitches either side of the middle back.',
  'Sew the wings to the back of the body at R8, 3 stitches either side of the middle.',
  'Sew the wings to the back of the body at R8, each 3 stitches from the centre line.',
  'Sew the wings to the body at R8, 3 stitches from the centre line of the back.',
  'Sew the wings to the body at R8, 3 stitches from the back.',
])('counted from the middle of the back: %s', (sentence) => {
  expect(placed(wings, sentence)).toEqual({ at: ['left wing 8 3.5', 'right wing 8 27.5'], untold: true });
});

test.each([
  'Sew the wings to the front of the body on R8, each 3 stitches from the centre.',
  'Sew the wings on R8 of the body, 3 stitches from the middle.',
  'Sew the wings on R8 of the body, 3 stitches from the centre of the front.',
  'Sew the wings on R8 of the body, through the back loops only, 3 stitches from the centre.',
])('counted from the middle of the front: %s', (sentence) => {
  expect(placed(wings, sentence)).toEqual({ at: ['left wing 8 12.5', 'right wing 8 18.5'], untold: true });
});

test('the middle of the front or of the back, where both are spoken of, is asked', () => {
  const { at, untold } = placed(
    wings,
    'Sew the wings to the body between back and front at R8, 3 stitches from the centre.',
  );
  expect([at, untold]).not.toEqual([['left wing 8 12.5', 'right wing 8 18.5'], true]);
  expect(untold).toBe(false);
});

test.each([
  'Sew the tail to the back of the body so the bottom of it sits at round 18.',
  'Sew the tail to the back of the body with the bottom of the tail at round 18.',
  'Sew the tail to the back of the body with its bottom at round 18.',
  'Sew the tail to the back of the body, its lower edge on round 18.',
])('by its lower edge: %s', (sentence) => {
  expect(placed(tail, sentence)).toEqual({ at: ['tail 16 0.5'], untold: true });
});

test.each([
  'Sew the tail to the back of the body with the top of it on round 14.',
  'Sew the tail to the back of the body so the top of the tail is at round 14.',
])('by its upper edge: %s', (sentence) => {
  expect(placed(tail, sentence)).toEqual({ at: ['tail 16 0.5'], untold: true });
});

test.each([
  'Sew the tail to the back of the body so that it ends at round 18.',
  'Sew the tail to the back of the body so it starts at round 14.',
])('where it starts or ends depends on which way one looks, and is told: %s', (sentence) => {
  expect(placed(tail, sentence).untold).toBe(false);
});
