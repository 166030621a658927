import { ballOf24 } from '../../__tests__/ballOf24';
import { chooseMeasures, usualMeasures } from '../../words/measures';
import { analyseToy } from '../analyse';
import { feltColour, feltLine } from './felt';
import { isOfFelt, suppliesOf } from './suppliesOf';

const head = ['Gauge: 5 mm x 4 mm', 'Head', ...ballOf24];
const eyes = 'Insert 8 mm eyes between R6 and R7, 4 showing.';
const suppliesIn = (lines: readonly string[], copies = 1) =>
  suppliesOf(analyseToy([...head, ...lines].join('\n')), copies);
const feltIn = (lines: readonly string[], copies = 1) =>
  suppliesIn(lines, copies).felt.map(({ colour, pieces, areaMm2 }) => [colour, pieces, Math.round(areaMm2)]);

const cheeks = 'Pink felt cheeks, 8 mm, 1 stitch outside the eyes, 2 rounds below the eyes.';

// A piece of 8 mm is cut from a square of 12 mm: 144 mm².
test.each<[string, string[], unknown[]]>([
  ['no felt', [eyes], []],
  ['two cheeks of 8 mm', [eyes, cheeks], [['pink', 2, 288]]],
  ['cheeks without a colour', [eyes, cheeks.replace('Pink f', 'F')], [[null, 2, 288]]],
  // A rounded triangle as wide as is said is 0.8 as high: 10 × 8 mm, cut from 14 × 12 mm.
  ['a nose', ['Sew a black felt nose, 10 mm, on R7.'], [['black', 1, 168]]],
  // Discs of 24 mm, from 28 mm.
  [
    'discs behind the washers',
    [eyes, 'Reinforce the eyes: a 24 mm disc of felt behind each washer.'],
    [[null, 2, 1568]],
  ],
  // Rings of 12 mm, from 16 mm.
  [
    'rings behind the eyes',
    ['Insert 8 mm eyes on white felt rings of 12 mm between R6 and R7, 4 showing.'],
    [['white', 2, 512]],
  ],
  // 4 stitches of 5 mm and 3 rounds of 4 mm: 20 × 12 mm, from 24 × 16 mm.
  [
    'a patch as large as the stitches it covers',
    ['Sew a grey felt patch, 4 stitches wide and 3 rounds high, at R6 at the front.'],
    [['grey', 1, 384]],
  ],
  [
    'of two colours each its own',
    ['Insert 8 mm eyes on white felt rings of 12 mm between R6 and R7, 4 showing.', cheeks],
    [
      ['white', 2, 512],
      ['pink', 2, 288],
    ],
  ],
])('%s', (_name, lines, felt) => {
  expect(feltIn(lines)).toEqual(felt);
});

test('three toys take three times as much, and two heads twice', () => {
  expect(feltIn([eyes, cheeks], 3)).toEqual([['pink', 6, 864]]);
  const two = analyseToy([...head, eyes, cheeks].join('\n').replace('Head', 'Head (make 2)'));
  expect(suppliesOf(two).felt).toEqual([{ colour: 'pink', pieces: 4, areaMm2: 576 }]);
});

test('pieces of felt are those that are listed by their size', () => {
  const { felt, hardware } = suppliesIn([
    'Insert 8 mm eyes on white felt rings of 12 mm between R6 and R7, 4 showing.',
    cheeks,
    'Put a piece of felt behind the washers.',
    'Sew a 10 mm button at the back between R6 and R7.',
  ]);
  const listed = hardware.filter(isOfFelt).reduce((sum, { count }) => sum + count, 0);
  expect(felt.reduce((sum, { pieces }) => sum + pieces, 0)).toBe(listed);
  expect(listed).toBe(6);
});

test.each([
  ['pink felt cheeks', 'pink'],
  ['Cheeks of felt in coral', 'coral'],
  ['light pink felt', 'pink'],
  ['a black felt nose and pink felt cheeks', null],
  ['soft felt', null],
  ['felt in the middle', null],
  ['', null],
])('the colour of “%s” is %s', (words, colour) => {
  expect(feltColour(words)).toBe(colour);
});

describe('in words', () => {
  afterEach(() => chooseMeasures(usualMeasures));

  test('whole square centimetres, never less than it takes', () => {
    expect(feltLine({ colour: 'pink', pieces: 2, areaMm2: 288 })).toBe('Felt, pink: 3 cm² for 2 pieces');
    expect(feltLine({ colour: null, pieces: 1, areaMm2: 300 })).toBe('Felt: 3 cm² for 1 piece');
  });

  test('square inches to the tenth', () => {
    chooseMeasures({ length: 'inches' });
    // 288 mm² are 0.446 square inches.
    expect(feltLine({ colour: 'pink', pieces: 2, areaMm2: 288 })).toBe('Felt, pink: 0.5 sq in for 2 pieces');
  });
});
