import { analyseToy } from './analyse';

const head =
  'Head\nR1: 6 sc in magic ring [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: (sc 2, inc) x 6 [24]\n';

/** What comes of a line over a round of 24, and whether it is asked about. */
function worked(line: string): { counts: number[]; asked: string[] } {
  const [part] = analyseToy(`${head}R5: ${line}\n`).parts;
  return {
    counts: part!.checks.slice(4).map((check) => check.worked),
    asked: part!.problems.map(({ code }) => code),
  };
}

test.each([
  ['sc twice around', [24, 24]],
  ['sc two times around', [24, 24]],
  ['sc around twice', [24, 24]],
  ['sc thrice around (24)', [24, 24, 24]],
  ['sc twice in each st around', [48]],
  ['single crochet twice in each stitch', [48]],
  ['sc in next st, sc twice in next st, repeat around', [36]],
  ['(sc, sc two times in next st) x 12', [36]],
  ['sc thrice in next st, sc 23', [26]],
  ['(sc 2, inc) 8 times around', [32]],
  ['*3 sc, inc; repeat from * 6 times around', [30]],
  ['inc 24 times around', [48]],
  ['dec 12 times around', [12]],
])('%s is %j', (line, counts) => {
  expect(worked(line)).toEqual({ counts, asked: [] });
});

test.each([
  'hdc twice around',
  'dc around twice (24)',
  'inc twice around',
  'inc 6 times around',
  'sc in each st twice',
  'sc in every stitch, two times',
])('%s is asked: rounds, or stitches in one, no word says which', (line) => {
  expect(worked(line).asked).toContain('unknown-stitch');
});

const whole = `${head}R5-R12: sc around [24]\nR13: (sc 2, dec) x 6 [18]\nR14: (sc, dec) x 6 [12]\n`;

test.each([
  '8 mm eyes between R8 and R9, 8 apart counted along the back',
  '8 mm eyes between R8 and R9, 16 apart around the back',
  '8 mm eyes between R8 and R9, 8 stitches apart, measured over the back',
])('%s: a distance along the back is told', (sentence) => {
  const { problems } = analyseToy(`${whole}${sentence}\n`);
  expect(problems.map(({ code }) => code)).toContain('words-unused');
});

test('what is put at the back goes by its distance there', () => {
  const { problems } = analyseToy(`${whole}Two felt spots, 8 mm, at the back, between R8 and R9, 6 apart\n`);
  expect(problems.map(({ code }) => code)).not.toContain('words-unused');
});
