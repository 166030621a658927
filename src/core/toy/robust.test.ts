import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { brokenCorpus } from '../__tests__/brokenCorpus';
import { featureHead, fullHead } from '../__tests__/featureCorpus';
import { chance, mutated, retypings } from '../__tests__/mutate';
import { unsound } from '../__tests__/unsound';
import { buildFabric } from '../fabric/buildFabric';
import { checkRounds } from '../fabric/checkRounds';
import { stitchCount } from '../fabric/fabric';
import { suggest } from '../fabric/suggest';
import { limits } from '../notation/limits';
import { readPattern } from '../notation/readPattern';
import { analyseToy } from './analyse';

const demo = readdirSync(join(__dirname, '../../../demo'))
  .filter((name) => name.endsWith('.txt'))
  .map((name) => readFileSync(join(__dirname, '../../../demo', name), 'utf8'));
const codes = (text: string) => analyseToy(text).problems.map(({ code }) => code);
const repeated = (text: string, times: number) => Array.from({ length: times }, () => text).join('');

describe('texts that once took the page, the memory or the minute', () => {
  const start = 'Head\nR1: 6 sc in ring\n';
  const face = '10 mm eyes\nFelt cheeks, 8 mm\n';

  test('a round with nothing in it is taken as plain, and says so; the face stays on the piece', () => {
    const text = `${start}R2:\n${face}`;
    expect(unsound(text)).toBeNull();
    expect(codes(text)).toContain('round-empty');
    expect(analyseToy(text).parts[0]!.eyes?.units.map(({ of }) => of)).toEqual([6, 6]);
  });

  // Each of these took minutes: the work of an expression grew with the third power of the line.
  test.each([
    ['one word', `R2: ${'a'.repeat(limits.lineSigns - 12)}. 12`],
    ['the same word again and again', `R2: ${repeated('sc ', 650)}. 12`],
    ['brackets and commas', `R2: ${repeated('(sc), ', 320)} 12`],
    ['spaces', `R2: sc${' '.repeat(limits.lineSigns - 20)}inc`],
    ['spaces in a heading', `Ear${' '.repeat(limits.lineSigns - 20)}make 2`],
    ['sentences', repeated('Close. ', 280)],
    ['numbers', `R2: ${repeated('3 ', 190)}- 12 x`],
  ])('as long a line as is read, of %s', (_, line) => {
    expect(() => analyseToy(start + line)).not.toThrow();
  });

  test.each([
    ['a round number beyond counting', 'R9007199254740993: sc', 'round-number'],
    ['a million skips', `${start}R3: (skip 1) x 1000000`, 'too-large'],
    [
      'a hundred million chains',
      `${start}R2: sc, ch 100000000, sl st in 2nd ch from hook, sc 100000000`,
      'too-large',
    ],
    [
      'rounds repeated by the thousand, twice',
      `${start}R2: inc x 6\nRepeat rounds 1 to 99999 200 times\nRepeat rounds 1 to 99999 200 times`,
      'too-much',
    ],
    [
      'five hundred brackets in one another',
      `${start}R2: ${repeated('( ', 500)}sc${repeated(') x 2', 500)}`,
      'line-too-long',
    ],
    ['brackets that never close', `${start}R2: ${repeated('(', 1990)}`, 'bracket-unpaired'],
    ['angle brackets that never close', `${start}R2: ${repeated('<a', 900)}`, 'bracket-unpaired'],
    ['a text longer than a toy', repeated('sc ', 68_172), 'too-long'],
    [
      'a line of hair longer than the head',
      `${start}R2: inc x 6\nR3-R9: sc around\nHair line from R1 to R99999`,
      'gap-missing',
    ],
    [
      'numbers of four hundred digits',
      `${start}R2: sc ${repeated('9', 400)}\nEyes: ${repeated('9', 400)} mm between R1 and R2, ${repeated('9', 300)} apart`,
      'too-large',
    ],
    ['a stitch on no stitch', `${start}R2: skip 6\nR3: sc around\n${face}`, 'round-no-stitch'],
    [
      'a bracket with one stitch of eighteen, while it is typed',
      fullHead.replace('(sc 2, inc) x 6', '(sc'),
      'stitches-left',
    ],
    [
      'a round that comes again far below',
      fullHead
        .replace('Stuff', 'R6: sc around\nStuff')
        .replace('R5-R9: sc around [24]', 'R5: sc around\nR7-R9: sc around'),
      'gap-missing',
    ],
  ])('%s', (_, text, code) => {
    expect(unsound(text)).toBeNull();
    expect(codes(text)).toContain(code);
  });

  test.each([
    ['constructor: 5'],
    ['Hand: constructor'],
    ['Start: __proto__'],
    ['Yarn constructor: constructor'],
    ['Gauge: 0.00001 mm x 5 mm'],
    [`Front: stitch ${repeated('9', 400)} of round 2`],
  ])('%s is a header like any other', (line) => {
    expect(unsound(`${line}\n${fullHead}`)).toBeNull();
    expect(['left', 'right']).toContain(analyseToy(line).pattern.header.hand);
  });

  test('a part of 40,000 stitches is whole; one of a million ends where no toy goes on, and says so', () => {
    const long = analyseToy('Part\nR1: 200 sc in ring\nR2-R200: sc around').parts[0]!;
    expect([stitchCount(long.fabric), long.problems]).toEqual([40_000, []]);
    const text = 'Part\nR1: 3000 sc in ring\nR2-R400: sc around';
    expect(codes(text)).toContain('part-too-large');
    expect(stitchCount(analyseToy(text).parts[0]!.fabric)).toBe(limits.toyStitches);
    expect(unsound(text)).toBeNull();
  });

  test('one round is no line of holes, and that is said', () => {
    expect(codes(`${start}${face}`)).toContain('no-line-of-holes');
  });
});

describe('what there is no room for is kept as notes, not counted into what comes before', () => {
  const part = (n: number) => `Part ${n}:\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]\n`;

  test('parts', () => {
    const toy = analyseToy(Array.from({ length: limits.parts + 3 }, (_, n) => part(n)).join(''));
    expect(toy.parts).toHaveLength(limits.parts);
    expect(toy.parts.at(-1)!.checks).toHaveLength(2);
    expect(toy.pattern.notes).toHaveLength(9);
  });

  test('signs', () => {
    const line = 'Remember to look at it from the front, with the toy of last year beside it.';
    const lines = Math.ceil(limits.readSigns / line.length);
    const toy = analyseToy(`${part(1)}${repeated(`${line}\n`, lines)}${part(2)}`);
    expect(toy.parts.map(({ checks }) => checks.length)).toEqual([2]);
    expect(toy.problems.filter(({ code }) => code === 'too-much')).toHaveLength(1);
    expect(toy.pattern.notes.at(-1)!.text).toBe('R2: inc x 6 [12]');
  });

  test('features of one part, and stitches of a whole toy', () => {
    const buttons = repeated('Sew a 10 mm button between R5 and R6.\n', limits.features + 5);
    const toy = analyseToy(fullHead + buttons);
    expect(toy.parts[0]!.features.length).toBeLessThanOrEqual(limits.features);
    expect(codes(fullHead + buttons)).toContain('too-many-features');
    const large = (n: number) => `Part ${n}:\nR1: 3000 sc in ring\nR2-R11: sc around\n`;
    expect(codes([1, 2, 3].map(large).join(''))).toContain('toy-too-large');
  });
});

describe('work is counted, not timed', () => {
  const worst = [
    `R1: 6 sc in ring\nR2: ${repeated('(', 15)}skip 1${repeated(') x 9', 15)}`,
    `R1: 3000 sc in ring\nR2: ${repeated('(skip 1) x 9999, ', 60)}`,
    'R1: 6 sc in ring\nR2: (ch 1) x 99999',
    'R1: 6 sc in ring\nR2: ((sc, ch 3) in each st around) x 9999',
  ];
  test.each(worst)('%s', (text) => {
    const [part] = readPattern(text).parts;
    const { steps, checks } = checkRounds(part!, 'us');
    expect(checks).toHaveLength(2);
    // A plain round in its stead may come to what is given up.
    expect(steps).toBeLessThanOrEqual(2 * (limits.roundSteps + 2 * limits.roundStitches));
    expect(stitchCount(buildFabric(part!, 'us').fabric)).toBeLessThanOrEqual(2 * limits.roundStitches);
  });

  test.each([
    ['ten rounds on a line', repeated('R1: sc (6) ', 10)],
    ['thirty brackets on a line', `R1: 6 sc in ring\nR2: ${repeated('(sc 2, inc) x 3, ', 30)}[17]`],
  ])('the search for what mends %s ends', (_, text) => {
    const [part] = readPattern(text).parts;
    const { checks, problems } = checkRounds(part!, 'us');
    const budget = 20_000;
    const once = suggest(part!, 'us', { checks, problems }, { budget });
    // The last candidate is looked at whole.
    expect(once.spent).toBeLessThanOrEqual(budget + 100 * text.length + limits.roundSteps);
    expect(suggest(part!, 'us', { checks, problems }, { budget: 0 }).problems).toEqual(problems);
  });

  test('slips in many parts share one search', () => {
    const slip = (n: number) =>
      `Part ${n}:\nR1: 6 sc in ring [7]\nR2: (sc 2, inc) x 5 [17]\nR3: (sc 4, inc) x 3, sc 5, dec [19]\nR4-R60: sc around [18]\n`;
    const toy = analyseToy(Array.from({ length: 100 }, (_, n) => slip(n)).join(''));
    const helped = toy.parts.filter(({ problems }) =>
      problems.some(({ suggestions }) => suggestions.length > 0),
    ).length;
    expect(helped).toBeGreaterThan(0);
    expect(helped).toBeLessThan(100);
  });
});

describe('no text stops it', () => {
  test('demo toys and a full head, spoilt in 150 ways', () => {
    const wrong = Array.from({ length: 150 }, (_, seed) => {
      const luck = chance(seed);
      const text = mutated(luck.pick([...demo, fullHead]), luck);
      const bad = unsound(text);
      return bad ? { bad, text } : null;
    }).filter((found) => found !== null);
    expect(wrong).toEqual([]);
  });

  test('every seventh state of retyping a full head, and the prefixes of the demo toys', () => {
    const typed = [
      ...retypings(fullHead),
      ...retypings(fullHead.replace('Head\n', 'Head\nStart: left\n')),
    ].filter((_, index) => index % 7 === 0);
    const prefixes = demo.flatMap((text) =>
      Array.from({ length: 30 }, (_, i) => text.slice(0, Math.floor((text.length * i) / 30))),
    );
    expect([...typed, ...prefixes].flatMap((text) => unsound(text) ?? [])).toEqual([]);
  });

  test('every line of the corpora of broken patterns and of features, with one sign struck out', () => {
    const texts = [...brokenCorpus.map(([, text]) => text), featureHead];
    const struck = texts.flatMap((text, seed) => {
      const at = chance(seed).below(text.length);
      return [text, text.slice(0, at) + text.slice(at + 1)];
    });
    expect(struck.flatMap((text) => unsound(text) ?? [])).toEqual([]);
  });
});
