import { analyseFaces as analyseToy } from '../__tests__/faces';
import { formInputOf, standOf } from '../toy/formOfPart';
import { holePoint } from '../shape/form/holePoint';
import { relaxForm } from '../shape/form/relaxForm';
import { standing } from '../shape/form/stand';

/** Seven to the round, so that nothing divides evenly; joined or spiral; in every way it can be held and worn. */
const body = (start: string, hand: string, side: string, rounds: string) =>
  [
    `Hand: ${hand}`,
    'Gauge: 4.6 mm x 4.4 mm',
    'Lean: 0.3',
    '',
    'Body',
    `Start: ${start}`,
    `Side: ${side}`,
    `Rounds: ${rounds}`,
    'R1: 7 sc in magic ring',
    'R2: inc x 7',
    'R3: (sc, inc) x 7',
    'R4: (2 sc, inc) x 7',
    'R5: (3 sc, inc) x 7',
    'R6-R11: sc around',
    'R12: (3 sc, dec) x 7',
    'R13: (2 sc, dec) x 7',
    'R14: (sc, dec) x 7',
    'R15: dec x 7',
    'Eyes: 7 mm, 4 rounds apart, 2 stitches above the front line. Mouth: 5 stitches below the eyes, 4 rounds wide. Cheeks: felt, 6 mm, 3 stitches below the eyes, 1 round outside the eyes.',
    'Stuff firmly. Close the hole.',
    '',
  ].join('\n');

const ways = ['left', 'right'].flatMap((start) =>
  ['left', 'right'].flatMap((hand) =>
    ['out', 'in'].flatMap((side) =>
      ['spiral', 'joined'].map((rounds) => [start, hand, side, rounds] as const),
    ),
  ),
);

test.each(ways)(
  'start %s, %s-handed, side %s, %s: the stuffed form shows the face the words describe',
  (start, hand, side, rounds) => {
    const part = analyseToy(body(start, hand, side, rounds)).parts[0]!;
    const form = relaxForm(formInputOf(part));
    const stand = standOf(part);
    const placed = standing(form, stand, false);
    const at = (line: number, hole: number) =>
      holePoint(part.fabric, { nodes: form.nodes, placed, stand }, line, hole)!.at;
    const [left, right] = part.eyes!.units.map((post) => at(post.fromLine, post.from));
    const [mouth, cheeks] = part.features;
    const [corner, other] = [
      at(mouth!.units[0]!.fromLine, mouth!.units[0]!.from),
      at(mouth!.units[0]!.toLine, mouth!.units[0]!.to),
    ];
    const [leftCheek, rightCheek] = cheeks!.units.map((unit) => at(unit.fromLine, unit.from));

    // Left is left and right is right, all of it looks forward.
    expect(left![0]).toBeLessThan(right![0]);
    expect(leftCheek![0]).toBeLessThan(left![0]);
    expect(rightCheek![0]).toBeGreaterThan(right![0]);
    for (const point of [left, right, corner, other, leftCheek, rightCheek])
      expect(point![2]).toBeGreaterThan(0);
    // The eyes above the middle, the cheeks under them, the mouth lowest.
    const high = (one: readonly number[], two: readonly number[]) => (one[1]! + two[1]!) / 2;
    expect(high(left!, right!)).toBeGreaterThan(3);
    expect(high(leftCheek!, rightCheek!)).toBeLessThan(high(left!, right!) - 6);
    expect(high(corner, other)).toBeLessThan(high(leftCheek!, rightCheek!));
    // Level, within the half stitch that whole holes cost, and a little for the stuffing.
    expect(Math.abs(left![1]! - right![1]!)).toBeLessThan(3.5);
    expect(Math.abs(corner[1] - other[1])).toBeLessThan(3.5);
    // Mirror-true about the middle, within half a round.
    expect(Math.abs(left![0]! + right![0]!) / 2).toBeLessThan(2.6);
  },
);
