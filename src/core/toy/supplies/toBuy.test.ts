import { ballOf24 } from '../../__tests__/ballOf24';
import { emptyList, readMakingList, type MakingList } from '../../supplies/makingList';
import { minutesOfAll } from '../../plan/time';
import { analyseToy } from '../analyse';
import { boxOf, onceMade } from './box';
import { suppliesOf } from './suppliesOf';
import { costsOf, leftOutOf, needsOf, toBuyCsv, toBuyText, type ToMake } from './toBuy';

const ball =
  'R1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4-R6: sc around\nR7: (sc, dec) x 6\nR8: dec x 6';
const toMake = (id: string, count: number, ...lines: string[]): ToMake => {
  const toy = analyseToy([`Toy: ${id}`, 'Gauge: 5 mm x 4 mm', ...lines, 'Head', ball].join('\n'));
  return { id, name: id, toy, count };
};
const grey = 'Yarn A: medium, grey, 50 g, 85 m';
const owl = toMake('Owl', 3, grey, 'in A');
const mole = toMake('Mole', 2, grey, 'in A');
const nameless = toMake('Wren', 1);
const gramsOf = ({ toy }: ToMake) => suppliesOf(toy).yarns[0]!.grams;
const list: MakingList = { ...emptyList, spare: 20 };
const keyOfGrey = 'yarn a, medium, grey, 50 g, 85 m';

test('one yarn of several toys is one line, with what is there taken off', () => {
  const grams = (3 * gramsOf(owl) + 2 * gramsOf(mole)) * 1.2;
  const [none] = needsOf([owl, mole], list);
  expect(none).toMatchObject({ key: keyOfGrey, there: 0, buy: Math.ceil(grams) });
  expect(none!.amount).toBeCloseTo(grams, 9);
  const [some] = needsOf([owl, mole], { ...list, there: { [keyOfGrey]: 4 } });
  expect(some!.buy).toBe(Math.ceil(grams - 4));
  const [all] = needsOf([owl, mole], { ...list, there: { [keyOfGrey]: 500 } });
  expect(all!.buy).toBe(0);
});

test('a yarn nobody says more of is never taken for that of another toy', () => {
  const other = toMake('Finch', 1);
  const yarns = needsOf([nameless, other, owl], list).filter(({ key }) => key.startsWith('yarn'));
  expect(yarns.map(({ words }) => words)).toEqual([
    'Main yarn of Wren',
    'Main yarn of Finch',
    'A (medium, grey, 50 g, 85 m)',
  ]);
});

test('what comes by the piece is bought by the piece, without any to spare', () => {
  const eyed = analyseToy(
    `Toy: Seal\nGauge: 5 mm x 4 mm\nHead\n${ball}\nInsert 6 mm safety eyes between R4 and R5, 4 showing.`,
  );
  const needs = needsOf([{ id: 'seal', name: 'Seal', toy: eyed, count: 4 }], {
    ...list,
    there: { 'safety eye, 6 mm': 3 },
  });
  expect(needs.find(({ key }) => key === 'safety eye, 6 mm')).toMatchObject({
    unit: 'pieces',
    amount: 8,
    buy: 5,
  });
});

test('a cost is materials by what they cost and time by the hour; what has no price is named, not guessed', () => {
  const needs = needsOf([owl], list);
  const [bare] = costsOf([owl], needs, list);
  expect(bare).toMatchObject({ materials: null, total: null });
  expect(bare!.unpriced).toEqual(['A (medium, grey, 50 g, 85 m)', 'Stuffing']);
  expect(costsOf([owl], needs, { ...list, rate: 12 })[0]!.total).toBeNull();
  const priced = { ...list, rate: 12, prices: { [keyOfGrey]: { price: 4, per: 50 } } };
  const [cost] = costsOf([owl], needs, priced);
  const yarn = gramsOf(owl) * 1.2 * (4 / 50);
  expect(cost!.materials).toBeCloseTo(yarn, 9);
  expect(cost!.unpriced).toEqual(['Stuffing']);
  expect(cost!.total).toBeCloseTo(yarn + minutesOfAll(owl.toy.order.steps) / 5, 9);
});

test('the list as text and as a table', () => {
  const needs = needsOf([owl, mole], { ...list, there: { stuffing: 900 } });
  const text = toBuyText([owl, mole], needs);
  expect(text).toContain('To make\n- 3 × Owl\n- 2 × Mole\n');
  expect(text).toContain(`To buy\n- ${needs[0]!.buy} g A (medium, grey, 50 g, 85 m)\n`);
  expect(text).toContain('There already\n- Stuffing\n');
  const csv = toBuyCsv(needs, { ...list, prices: { stuffing: { price: 3, per: 100 } } });
  expect(csv.split('\r\n')[0]).toBe('what,unit,takes,there,to buy,price,for so much,cost');
  expect(csv).toContain('Stuffing,g,');
  expect(csv).toContain(',900,0,3,100,0\r\n');
  const sum = toMake('Sum', 1, 'Yarn A: =1+1, medium', 'in A');
  expect(toBuyCsv(needsOf([sum], list), list)).not.toMatch(/(?:^|,|")=1/m);
});

test.each<[unknown, boolean]>([
  [emptyList, true],
  [{ ...list, toys: [{ id: 'a', count: 2 }], rate: 8, there: { stuffing: 3 } }, true],
  [{ ...list, toys: [{ id: 'a', count: 0 }] }, false],
  [
    {
      ...list,
      toys: [
        { id: 'a', count: 1 },
        { id: 'a', count: 2 },
      ],
    },
    false,
  ],
  [{ ...list, there: { stuffing: -3 } }, false],
  [{ ...list, prices: { stuffing: { price: 3, per: 0 } } }, false],
  [{ ...list, spare: '10' }, false],
  [null, false],
])('what is kept as a list: %j', (kept, isOne) => {
  expect(readMakingList(kept) !== null).toBe(isOne);
});

test('a yarn held double is bought with the same yarn on one strand', () => {
  const double = toMake('Bear', 1, 'Yarn A: medium, grey, held double, 50 g, 85 m', 'in A');
  const needs = needsOf([owl, double], list).filter(({ key }) => key.startsWith('yarn '));
  expect(needs.map(({ key }) => key)).toEqual([keyOfGrey]);
  expect(needs[0]!.each.get('Bear')).toBeGreaterThan(2 * needs[0]!.each.get('Owl')!);
});

test('what can’t be worked out is told with the list', () => {
  const mixed = toMake('Bear', 1, 'Hold one strand of grey and one of oat together.');
  expect(leftOutOf([owl])).toEqual([]);
  expect(leftOutOf([owl, mixed])).toEqual([expect.stringMatching(/^Bear: Not worked out: “Hold one strand/)]);
  expect(toBuyText([mixed], needsOf([mixed], list))).toContain('Not on this list\n- Bear: Not worked out');
});

const withCheeks = (colour: string) =>
  `Felt cheeks, 8 mm, 1 stitch outside the eyes, 2 rounds below the eyes.`.replace('Felt', `${colour} felt`);
const face = (id: string, count: number, ...lines: string[]): ToMake => ({
  id,
  name: id,
  count,
  toy: analyseToy(
    [
      'Gauge: 5 mm x 4 mm',
      ...lines.filter((line) => line.startsWith('Hook')),
      'Head',
      ...ballOf24,
      ...lines.filter((line) => !line.startsWith('Hook')),
    ].join('\n'),
  ),
});
const pressed = 'Insert 8 mm eyes between R6 and R7, 4 showing.';

// A cheek of 8 mm is cut from a square of 12 mm: 1.44 cm². Three pigs have six, two cats four.
test('felt is bought by area and colour, not by the piece', () => {
  const toys = [face('Pig', 3, pressed, withCheeks('Pink')), face('Cat', 2, pressed, withCheeks('White'))];
  const felt = needsOf(toys, { ...emptyList, there: { 'felt, white': 2 } }).filter(
    ({ unit }) => unit === 'cm2',
  );
  expect(felt.map(({ key, words, buy }) => [key, words, buy])).toEqual([
    ['felt, pink', 'Felt, pink', 9],
    // 5.76 cm² less the 2 that are there
    ['felt, white', 'Felt, white', 4],
  ]);
  expect(needsOf(toys, emptyList).some(({ key }) => key.startsWith('felt for'))).toBe(false);
  expect(toBuyText(toys, needsOf(toys, emptyList))).toContain('- 9 cm² Felt, pink\n');
});

test('what is crocheted is not bought, and what it takes of yarn is told as left out', () => {
  const toys = [face('Pig', 1, 'Crocheted eyes, 10 mm, between R6 and R7, 4 showing.')];
  expect(needsOf(toys, emptyList).map(({ words }) => words)).not.toContainEqual(
    expect.stringContaining('crochet for'),
  );
  expect(leftOutOf(toys).join()).toContain('crocheted eyes on the head');
});

test('tools serve one toy after the other: none is used up, none is in what a toy costs', () => {
  const toys = [
    face('Pig', 3, 'Hook: 3 mm', pressed, withCheeks('Pink')),
    face('Cat', 2, 'Hook: 3.5 mm', pressed),
  ];
  const list = { ...emptyList, there: { 'crochet hook, 3 mm': 1, 'stitch marker': 9 } };
  const needs = needsOf(toys, list);
  const tools = needs.filter(({ isTool }) => isTool);
  expect(tools.map(({ key, amount, buy }) => [key, amount, buy])).toEqual([
    ['crochet hook, 3 mm', 1, 0],
    ['crochet hook, 3.5 mm', 1, 1],
    ['darning needle', 1, 1],
    ['sewing needle', 1, 1],
    // a pig's round, its eyes and its cheeks
    ['stitch marker', 5, 0],
  ]);
  const priced = { ...list, prices: { 'crochet hook, 3 mm': { price: 100, per: 1 } } };
  const [pig] = costsOf(toys, needs, priced);
  expect(pig!.materials).toBeNull();
  expect(pig!.unpriced).not.toContain('Crochet hook, 3 mm');
  const planned = { ...list, toys: [{ id: 'Pig', count: 3 }] };
  expect(onceMade(planned, needs, { toy: 'Pig', count: 1 }).there).toEqual(list.there);
  expect(toBuyText(toys, needs)).toContain(
    'To have at hand\n- 1 × Crochet hook, 3.5 mm\n- 1 × Darning needle, blunt\n- 1 × Sewing needle\n',
  );
});

test('a hook is asked for as the text names it', () => {
  const hooks = (hook: string) =>
    needsOf([face('Pig', 1, `Hook: ${hook}`)], emptyList).filter(({ key }) => key.startsWith('crochet hook'));
  expect(hooks('E/4').map(({ key, words }) => [key, words])).toEqual([
    ['crochet hook, e/4', 'Crochet hook, E/4'],
  ]);
  expect(hooks('3-3.5 mm').map(({ words }) => words)).toEqual(['Crochet hook, 3–3.5 mm']);
  const there = { 'crochet hook, e/4': 1, 'crochet hook, 3.25 mm': 2, 'long needle': 1 };
  expect(boxOf({ ...emptyList, there }, []).map(({ words }) => words)).toEqual([
    'Crochet hook, 3.25 mm',
    'Crochet hook, e/4',
    'Long needle',
  ]);
});

test('of long needles the longest that any toy asks for', () => {
  const strand = (id: string, plain: string): ToMake => ({
    id,
    name: id,
    count: 1,
    toy: analyseToy(
      `Gauge: 5 mm x 5 mm\nBody\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\n${plain}\n\nArms\nR1: ch 31, sc in 2nd ch from hook and in each ch across [30]\n\nAssembly\nPull the arms through the body from side to side at round 8.`,
    ),
  });
  const thin = strand('thin', 'R5-R12: sc around');
  const thick = strand('thick', 'R5: (3 sc, inc) x 6\nR6: (4 sc, inc) x 6\nR7-R12: sc around');
  const long = (toys: ToMake[]) => needsOf(toys, emptyList).find(({ key }) => key === 'long needle')!.words;
  // 24 stitches are 38.2 mm across, 36 are 57.3; each with 20 mm to hold, in steps of five.
  expect(long([thin])).toBe('Long needle, at least 60 mm');
  expect(long([thin, thick])).toBe('Long needle, at least 80 mm');
  expect(long([thick, thin])).toBe('Long needle, at least 80 mm');
});
