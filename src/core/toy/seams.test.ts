import { analyseToy } from './analyse';
import { schoolOf, schoolWords } from './seams';
import { tasksOf } from './tasksOf';

const toy = (sentence: string, header = 'Terms: US') =>
  analyseToy(
    [
      header,
      '',
      'Body',
      'R1: 6 sc in ring',
      'R2: inc x 6',
      'R3: (sc, inc) x 6',
      'R4: (2 sc, inc) x 6',
      'R5-R14: sc around',
      '',
      'Arm (make 2)',
      'R1: 6 sc in ring',
      'R2-R6: sc around',
      '',
      'Assembly',
      sentence,
    ].join('\n'),
  );
const placed = ({ joined }: ReturnType<typeof toy>) =>
  joined.joins.map(({ unit, round, stitch }) => [unit.name, round, stitch]);
const there = [
  ['left arm', 9, 6.5],
  ['right arm', 9, 18.5],
];

test.each([
  ['Whip stitch the arms to the body on round 9, one on each side.', 'whip'],
  ['Sew the arms to the body on round 9, one on each side, using a whipstitch.', 'whip'],
  ['Sew the arms to the body on round 9 at the sides with ladder stitch.', 'ladder'],
  ['Attach the arms to the body at round 9 using mattress stitch, one on each side.', 'ladder'],
  ['Backstitch the arms to the body on round 9, one on each side.', 'back'],
  ['Sew the arms to the body on round 9, one on each side, through the front loops only.', 'top-loop'],
  ['Sew the arms to the body on round 9, one on each side.', null],
] as const)('%s: %s', (sentence, school) => {
  const read = toy(sentence);
  expect(placed(read)).toEqual(there);
  expect(schoolOf(read.joined.joins[0]!, read)).toBe(school);
});

test.each([
  ['ladder', 'ladder'],
  ['whip stitch', 'whip'],
  ['Backstitch', 'back'],
  ['top loop', 'top-loop'],
])('Seam: %s holds where the sentence says nothing, and the sentence where it does', (said, school) => {
  const plain = toy('Sew the arms to the body on round 9, one on each side.', `Seam: ${said}`);
  expect(schoolOf(plain.joined.joins[0]!, plain)).toBe(school);
  const own = toy(
    'Sew the arms to the body on round 9, one on each side, with whip stitch.',
    `Seam: ${said}`,
  );
  expect(schoolOf(own.joined.joins[0]!, own)).toBe('whip');
});

test('a seam nobody knows is asked about, and the usual one is told where nothing is said', () => {
  expect(
    toy('Sew the arms to the body on round 9.', 'Seam: glue').problems.map(({ code }) => code),
  ).toContain('header-unclear');
  const read = toy('Sew the arms to the body on round 9, one on each side.');
  expect(schoolWords(read.joined.joins[0]!, read)).toMatch(/^Ladder stitch: .* Or the way you are used to\./);
  const sewing = tasksOf(read).find((task) => task.kind === 'finish' && task.do === 'sew');
  expect(sewing?.kind === 'finish' && sewing.aside).toMatch(/^Ladder stitch/);
});

test('what is worked in without sewing has no seam', () => {
  const read = toy('Crochet the arms into the body on round 9, one on each side.', 'Seam: whip');
  expect(read.joined.joins.map((join) => schoolWords(join, read))).toEqual([null, null]);
});
