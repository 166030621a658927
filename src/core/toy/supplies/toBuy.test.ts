import { emptyList, readMakingList, type MakingList } from '../../supplies/makingList';
import { minutesOfAll } from '../../plan/time';
import { analyseToy } from '../analyse';
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
