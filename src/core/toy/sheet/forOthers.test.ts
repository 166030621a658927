import * as fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { arbitraryPart, textOf } from '../../__tests__/arbitraryPart';
import { analyseToy, type ToyAnalysis } from '../analyse';
import { patternForOthers, sameToy, type Reader } from './forOthers';
import { patternBody, patternMarkdown } from './forOthersMarkup';

const demo = (name: string) => analyseToy(readFileSync(resolve(__dirname, '../../../../demo', name), 'utf8'));
const demos = ['otter.txt', 'hedgehog.txt', 'owl.txt', 'frog.txt', 'toadstool.txt'];
const readers: readonly Reader[] = [
  { terms: 'us', hand: 'right' },
  { terms: 'uk', hand: 'right' },
  { terms: 'us', hand: 'left' },
  { terms: 'uk', hand: 'left' },
];
/** By the names of parts: their order in the text is that of their making. */
const countsOf = ({ parts }: ToyAnalysis) =>
  new Map(parts.map(({ source, checks }) => [source.name, checks.map(({ worked }) => worked)]));
const joinsOf = ({ joined }: ToyAnalysis) =>
  joined.joins.map(({ unit, round, stitch }) => `${unit.name} ${round} ${stitch}`).sort();
const errors = ({ problems }: ToyAnalysis) => problems.filter(({ severity }) => severity === 'error').length;

describe.each(demos)('%s', (name) => {
  const toy = demo(name);

  test.each(readers)('written out for $terms terms and the $hand hand is read back', (reader) => {
    const { text, kept } = patternForOthers(toy, reader);
    const again = analyseToy(text);
    expect(countsOf(again)).toEqual(countsOf(toy));
    expect(errors(again)).toBeLessThanOrEqual(errors(toy));
    if (kept === null) {
      expect(again.pattern.terms.value).toBe(reader.terms);
      expect(again.pattern.header.hand).toBe(reader.hand);
    }
    if (reader.hand === toy.pattern.header.hand) {
      expect(sameToy(again)).toBe(sameToy(toy));
      expect(joinsOf(again)).toEqual(joinsOf(toy));
    }
  });

  test('written out twice it is the same as once', () => {
    const once = patternForOthers(toy, readers[0]!).text;
    const twice = patternForOthers(analyseToy(once), readers[0]!);
    expect(sameToy(analyseToy(twice.text))).toBe(sameToy(toy));
  });

  test('every stop stands behind its round', () => {
    const { lines } = patternForOthers(toy, readers[0]!);
    for (const { stops } of toy.parts)
      for (const { after } of stops.stops) {
        const at = lines.findIndex(({ text }) => text.startsWith(`STOP after round ${after}:`));
        expect(at).toBeGreaterThan(0);
      }
  });
});

const bear = `Toy: Little bear
Terms: US

Head
R1: 6 sc in ring
R2: inc x 6
R3: (sc, inc) x 6
R4: sc around
R5: sc around
R6: sc around
R7: sc around
R8: (sc, dec) x 6
R9: dec x 6
Insert 6 mm safety eyes between R4 and R5, 4 showing.
Stuff. Flatten and sc 3 through both layers to close.`;

test('alike rounds on one line, divided at a stop; every round with its count', () => {
  const { text } = patternForOthers(analyseToy(bear), { terms: 'us', hand: 'right' });
  const rounds = text.split('\n').filter((line) => /^R\d/.test(line));
  expect(rounds).toEqual([
    'R1: 6 sc in ring [6]',
    'R2: inc x 6 [12]',
    'R3: (sc, inc) x 6 [18]',
    'R4-R7: sc around [18]',
    'R8: (sc, dec) x 6 [12]',
    'R9: dec x 6 [6]',
  ]);
});

test('in UK terms no US word is left, in rounds and in sentences', () => {
  const { text } = patternForOthers(analyseToy(bear), { terms: 'uk', hand: 'right' });
  const own = text
    .split('\n')
    .filter((line) => !line.startsWith('//'))
    .join('\n');
  expect(own).toContain('Terms: UK');
  expect(own).not.toMatch(/\bsc\b/);
  expect(own).toContain('dc 3 through both layers');
  expect(text).toMatch(/\/\/ Words: .*dc double crochet/);
});

test('places by stitch numbers and sides fit one hand: for the other it says so, and changes nothing', () => {
  const toy = analyseToy(
    `${bear.replace('Stuff. Flatten and sc 3 through both layers to close.', 'Stuff.')}\n\nArm (make 2)\nR1: 6 sc in ring\nR2-R5: sc around\n\nAssembly\nSew the left arm to the head at round 6, stitch 5. Sew the right arm to the head at round 6, stitch 14.`,
  );
  expect(toy.problems.map(({ code }) => code)).not.toContain('join-side');
  const { kept, text } = patternForOthers(toy, { terms: 'us', hand: 'left' });
  expect(kept).toMatch(/one hand/);
  expect(sameToy(analyseToy(text))).toBe(sameToy(toy));
});

test('a text full of slips is written out as it stands', () => {
  const broken = `${bear}\nR12: (sc 2, wobble) x 3 [40]\nSomething about a hat, ${'['.repeat(5)}`;
  const toy = analyseToy(broken);
  const { text } = patternForOthers(toy, { terms: 'us', hand: 'right' });
  expect(sameToy(analyseToy(text))).toBe(sameToy(toy));
  expect(text).toContain('wobble');
});

test('remarks are read by people only', () => {
  const remarked = bear.replace(
    'Head',
    '// Use glue, wire and a magnet.\nHead\n// R1: 40 sc in ring\n  //Sew it on.',
  );
  expect(countsOf(analyseToy(remarked))).toEqual(countsOf(analyseToy(bear)));
  expect(analyseToy(remarked).pattern.notes).toEqual(analyseToy(bear).pattern.notes);
});

test('slashes around a heading are ornaments, not a remark', () => {
  expect(analyseToy(bear.replace('Head', '// HEAD //')).parts.map(({ source }) => source.name)).toHaveLength(
    1,
  );
  expect(analyseToy(bear.replace('Head', '// HEAD //')).pattern.parts[0]?.name).not.toBe('Part 1');
});

test('what is done at a stop stands with it, what comes after does not', () => {
  const body = patternBody(
    patternForOthers(analyseToy(bear.replace(/\nStuff\.[^]*$/, '')), { terms: 'us', hand: 'right' }),
  );
  const boxes = [...body.matchAll(/<div class="remarks halt">(.*?)<\/div>/g)].map(([, box]) => box);
  expect(boxes.length).toBeGreaterThan(1);
  for (const box of boxes) expect(box).not.toMatch(/holes 7 and 12/);
});

test('200 generated toys, in both terms: rounds, places, joins and stops are the same when read back', () => {
  fc.assert(
    fc.property(
      arbitraryPart,
      arbitraryPart,
      fc.constantFrom<Reader['terms']>('us', 'uk'),
      fc.constantFrom<Reader['hand']>('right', 'left'),
      (head, arm, terms, hand) => {
        const toy = analyseToy(
          `Terms: US\nHand: ${hand}\n\nHead\n${textOf(head)}\nStuff.\n\nArm (make 2)\n${textOf(arm)}\n\nAssembly\nSew the arms to the head on round 2, one on each side.`,
        );
        const { text } = patternForOthers(toy, { terms, hand });
        const again = analyseToy(text);
        expect(countsOf(again)).toEqual(countsOf(toy));
        expect(sameToy(again)).toBe(sameToy(toy));
        expect(again.pattern.terms.value).toBe(terms);
      },
    ),
    { numRuns: 200 },
  );
});

test('as Markdown and as HTML a maker’s own signs are no markup', () => {
  const toy = analyseToy(bear.replace('Little bear', 'Bear *x* & <i'));
  const pattern = patternForOthers(toy, { terms: 'us', hand: 'right' });
  expect(patternMarkdown(pattern)).toMatch(/^# Bear \\\*x\\\* & \\<i/);
  expect(patternBody(pattern)).toContain('Bear *x* &amp; &lt;i');
  expect(patternBody(pattern)).toContain('<h2>Head</h2>');
});

test('parts stand in the order they are made, what is about them all at the end', () => {
  const { lines, text } = patternForOthers(demo('toadstool.txt'), { terms: 'us', hand: 'right' });
  const headings = lines.filter(({ kind }) => kind === 'heading').map((line) => line.text);
  // The arms go through the stem before that is stuffed, the skirt into its loops, and it into the cap.
  expect(headings).toEqual(['Arms', 'Stem', 'Skirt', 'Cap', 'Assembly']);
  expect(text.indexOf('Pull the arms')).toBeGreaterThan(text.indexOf('Assembly'));
  const hedgehog = patternForOthers(demo('hedgehog.txt'), { terms: 'uk', hand: 'right' }).lines;
  expect(hedgehog.filter(({ kind }) => kind === 'heading').map((line) => line.text)[0]).toBe('Snout');
});

test('on paper the toy, its faces and its joins are drawn; the text that is read back has none of it', () => {
  const pattern = patternForOthers(demo('otter.txt'), { terms: 'us', hand: 'right' });
  const body = patternBody(pattern);
  expect(body.match(/<figure class="toy"/g)).toHaveLength(1);
  expect(body.match(/class="sheet-map"/g)!.length).toBeGreaterThanOrEqual(1);
  expect(body.match(/<figure class="join"/g)!.length).toBeGreaterThanOrEqual(6);
  expect(pattern.text).not.toContain('<svg');
  expect(patternMarkdown(pattern)).not.toContain('<svg');
});

test('a photo stands under the title with its words, and nothing in it is markup', () => {
  const pattern = patternForOthers(analyseToy(bear), { terms: 'us', hand: 'right' });
  const body = patternBody(pattern, [{ picture: 'data:image/jpeg;base64,AAAA', words: 'So far <b>' }]);
  expect(body).toContain('<img src="data:image/jpeg;base64,AAAA" alt="So far &lt;b&gt;">');
  expect(body.indexOf('<img')).toBeLessThan(body.indexOf('<h2>'));
});

test('a round in hand is not handed on', () => {
  const toy = analyseToy('Head\nR1: 6 sc in ring\nR2: inc x 6\n// R3 so far: 3 plain, 1 more\n');
  expect(patternForOthers(toy, { terms: 'us', hand: 'right' }).text).not.toContain('so far');
});
