import { toyOfParts as toy, type Worked } from '../__tests__/toyOfParts';
import { applyEdits } from '../notation/applyEdits';
import { analyseToy } from '../toy/analyse';
import { assembled } from '../toy/assembled';
import { joinPart } from '../toy/joinAll';
import { joinDirections } from './directions';
import type { Join, PinAt } from './joined';
import { pointingWords } from './pose/pointing';
import { isMirrorImage, rewriteStance, stepStance, type StanceStep } from './stance';

const joinNamed = (text: string, name: string): Join =>
  analyseToy(text).joined.joins.find(({ unit }) => unit.name === name)!;

/** The stitch of its own edge that is pinned at a place. */
function edgeAt({ pins, path }: Join, at: PinAt): number {
  const pin = pins!.find((one) => one.at === at)!;
  return path!.find(({ row, stitch }) => row === pin.row && stitch === pin.stitch)!.edge;
}

const arms = 'Sew the arms to the sides of the body on round 8';

// Two of eight stitches are a quarter of a turn. Looked at from outside, the front of the left arm is at its right: turned clockwise it
// comes down, and what was at the back comes up.
describe.each<Worked>([{}, { hand: 'left' }, { start: 'bottom' }, { hand: 'left', start: 'bottom' }])(
  'turned a quarter clockwise, %p',
  (worked) => {
    const before = toy(`${arms}.`, worked);
    const after = toy(`${arms}, turned 2 stitches clockwise.`, worked);
    const up = worked.start === 'bottom' ? 'end' : 'start';
    const backOf = (join: Join): PinAt => {
      // Seen from the front, left-handed rounds run the other way; so do those that begin at the bottom.
      const runsRight = (worked.hand === 'left') === (worked.start === 'bottom');
      return (join.unit.side === 'left') === runsRight ? 'falling' : 'rising';
    };

    test.each(['left arm', 'right arm'])('what was at the back of the %s is at its top', (name) => {
      const was = joinNamed(before, name);
      expect(edgeAt(joinNamed(after, name), up)).toBe(edgeAt(was, backOf(was)));
    });

    test('the two are mirror images', () => {
      const joins = analyseToy(after).joined.joins;
      expect(joins.map(({ turned }) => Math.round(turned))).toEqual([90, -90]);
    });
  },
);

test.each([
  ['Sew the arms to the sides of the body on round 8.', 'left'],
  ['Sew the arms to the sides of the body on round 8, drooping 30 degrees.', 'left and down'],
  ['Sew the arms to the sides of the body on round 8, drooping 20 degrees.', 'left and a little down'],
  ['Sew the arms to the sides of the body on round 8, raised 90 degrees.', 'up'],
  ['Sew the arms to the sides of the body on round 8, tilted back 20°.', 'left and a little back'],
  [
    'Sew the arms to the body on round 8, 3 stitches from the front, leaning outward 20 degrees.',
    'left and a little forward',
  ],
])('%s points %s', (sentence, words) => {
  const unit = assembled(analyseToy(toy(sentence))).find((one) => one.unit.name === 'left arm')!;
  expect(pointingWords(unit)).toBe(words);
});

test('tilted back is not at the back, and droops are no measure', () => {
  const { joins } = analyseToy(toy('Sew the tail to the body on round 9, tilted back 20 degrees.')).joined;
  expect(joins[0]!.sentence.back).toBeUndefined();
  expect(joins[0]!.sentence.unused).toBeUndefined();
  const both = analyseToy(toy('Sew the tail to the back of the body on round 9, tilted back 20 degrees.'));
  expect(both.joined.joins[0]!.sentence.back).toBe(true);
});

test.each([
  ['Sew the arms to the body on round 9, at the sides, turned outward 15 degrees.', 'join-turn'],
  ['Sew the head to the body, drooping 20 degrees.', 'stance-unused'],
  [
    'Flatten the ears and sew them to the head on round 5, one on each side, turned 2 stitches clockwise.',
    'stance-unused',
  ],
  ['Slip the snout over the tail, tilted 20 degrees up.', 'words-unused'],
  ['Sew the arms to the sides of the body on round 9 so that they droop.', 'words-unused'],
])('%s is told: %s', (sentence, code) => {
  const { joined, problems } = analyseToy(toy(sentence));
  const codes = [...problems, ...joined.joins.flatMap((join) => join.problems)].map((one) => one.code);
  expect(codes).toContain(code);
});

/** The text after steps of a thumb on a unit. */
function stepped(text: string, name: string, steps: readonly StanceStep[]): string {
  return steps.reduce((now, step) => {
    const analysis = analyseToy(now);
    const join = joinNamed(now, name);
    const wall = joinPart(analysis.parts.find(({ source }) => source.id === join.on.part)!);
    const stance = stepStance(join, step, isMirrorImage(join, analysis.joined, wall))!;
    return applyEdits(now, [rewriteStance(join.sentence, stance)]);
  }, text);
}

const lastLine = (text: string) => text.trim().split('\n').at(-1);

describe('by thumb', () => {
  test('a step turns by a stitch, seen from outside on either side, and back leaves the text as it was', () => {
    const text = toy(`${arms}, with matching yarn.`);
    const left = stepped(text, 'left arm', ['turn-right']);
    expect(lastLine(left)).toBe(`${arms}, with matching yarn, turned 1 stitch clockwise.`);
    const right = stepped(text, 'right arm', ['turn-right']);
    expect(lastLine(right)).toBe(`${arms}, with matching yarn, turned 1 stitch anticlockwise.`);
    expect(stepped(left, 'left arm', ['turn-left'])).toBe(text);
  });

  test('its end goes lower and forward by 15°, and not beyond straight down', () => {
    const text = toy(`${arms}.`);
    expect(lastLine(stepped(text, 'left arm', ['droop', 'droop', 'forward']))).toBe(
      `${arms}, drooping 30 degrees, leaning forward 15 degrees.`,
    );
    const down = stepped(
      text,
      'left arm',
      Array.from({ length: 9 }, () => 'droop'),
    );
    expect(lastLine(down)).toBe(`${arms}, drooping 90 degrees.`);
    expect(stepped(text, 'left arm', ['droop', 'raise'])).toBe(text);
  });

  test('what she said in words of her own is said anew', () => {
    const text = toy('Sew the arms to the sides of the body on round 8, and let them droop by 20°.');
    expect(lastLine(stepped(text, 'left arm', ['droop']))).toMatch(
      /on round 8|at round 8.*drooping 30 degrees/,
    );
  });

  test('what is flat turns by 15°; what is sewn edge to edge does not turn', () => {
    const text = toy('Flatten the ears and sew them to the head on round 5, one on each side.');
    expect(lastLine(stepped(text, 'left ear', ['turn-left']))).toMatch(/turned 15 degrees anticlockwise\.$/);
    const seam = joinNamed(toy('Sew the head to the body.'), 'head');
    expect(stepStance(seam, 'turn-left', false)).toBeNull();
    expect(stepStance(seam, 'droop', false)).toBeNull();
  });
});

test('the directions say how it is turned and held', () => {
  const analysis = analyseToy(toy(`${arms}, turned 2 stitches clockwise, drooping 30 degrees.`));
  const [left] = analysis.joined.joins;
  const { lines } = joinDirections(
    left!,
    analysis.joined,
    analysis.parts.map((part) => joinPart(part)),
  );
  expect(lines).toContain(
    'Turned 90° clockwise as you look at it from outside, 2 of its 8 stitches: the pins have it so.',
  );
  expect(lines).toContain('Hold its far end 30° lower than straight off the fabric while you sew.');
});
