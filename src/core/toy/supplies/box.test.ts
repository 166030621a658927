import { emptyList, type MakingList } from '../../supplies/makingList';
import { analyseToy } from '../analyse';
import { boxKey, boxOf, onceMade, type BoxThing } from './box';
import { unitOfKey } from './needKey';
import { needsOf, type ToMake } from './toBuy';

const ball = (name: string) =>
  analyseToy(
    `Toy: ${name}\nGauge: 5 mm x 5 mm\nYarn moss: medium, moss green\n\nHead\nin moss\nR1: 6 sc in mr [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4-R7: sc around [18]\nR8: (sc, dec) x 6 [12]\nR9: dec x 6 [6]\nInsert 8 mm safety eyes between R4 and R5, 4 stitches showing.\nStuff firmly. Close the hole.`,
  );
const toMake = (id: string, count: number): ToMake => ({ id, name: id, toy: ball(id), count });
const listOf = (toys: readonly ToMake[], there: MakingList['there']): MakingList => ({
  ...emptyList,
  spare: 0,
  toys: toys.map(({ id, count }) => ({ id, count })),
  there,
});
const [moss, eyes] = ['yarn moss, medium, moss green', 'safety eye, 8 mm'];

test('what is put in goes by the name toys ask for it', () => {
  const things: BoxThing[] = [
    { kind: 'yarn', name: ' Moss ', what: 'Medium, moss green' },
    { kind: 'piece', name: 'safety eye', sizeMm: 8 },
    { kind: 'piece', name: 'rattle', sizeMm: null },
    { kind: 'felt', colour: ' Pink ' },
    { kind: 'felt', colour: '' },
    { kind: 'tool', tool: 'crochet hook', sizeMm: 3.25 },
    { kind: 'tool', tool: 'darning needle', sizeMm: null },
    { kind: 'stuffing' },
    { kind: 'thread' },
  ];
  const keys = things.map(boxKey);
  expect(keys.slice(0, 3)).toEqual([moss, eyes, 'rattle']);
  expect(keys.slice(3, 7)).toEqual(['felt, pink', 'felt', 'crochet hook, 3.25 mm', 'darning needle']);
  expect(keys.slice(7)).toEqual(['stuffing', 'thread']);
  expect(keys.map(unitOfKey)).toEqual(['g', 'pieces', 'pieces', 'cm2', 'cm2', 'pieces', 'pieces', 'g', 'm']);
  const needs = needsOf([toMake('frog', 1)], listOf([], {}));
  const asked = needs.map(({ key }) => key);
  [moss, eyes, 'stuffing'].forEach((key) => expect(asked).toContain(key));
  needs.forEach(({ key, unit }) => expect(unitOfKey(key)).toBe(unit));
});

// Three toys with two eyes each, and two of another with two: ten of twelve eyes are spoken for.
test('a batch reserves from the box; what is left over and what does not reach is told', () => {
  const toys = [toMake('frog', 3), toMake('newt', 2)];
  const list = listOf(toys, { [eyes]: 12, 'button, 10 mm': 5, [moss]: 1, 'yarn moss of lost': 40 });
  const box = boxOf(list, needsOf(toys, list));
  expect(box.map(({ words }) => words)).toEqual([
    'Button, 10 mm',
    'moss (medium, moss green)',
    'safety eye, 8 mm',
  ]);
  expect(box.find(({ key }) => key === eyes)).toMatchObject({
    there: 12,
    reserved: 10,
    free: 2,
    unit: 'pieces',
  });
  expect(box.find(({ key }) => key === 'button, 10 mm')).toMatchObject({ reserved: 0, free: 5 });
  expect(box.find(({ key }) => key === moss)!.free).toBeLessThan(0);
});

test('once two of three are made, one is left to make, four eyes are gone, and no more than there were', () => {
  const toys = [toMake('frog', 3), toMake('newt', 1)];
  const list = listOf(toys, { [eyes]: 12, [moss]: 1, 'washer, 12 mm': 3 });
  const needs = needsOf(toys, list);
  const after = onceMade(list, needs, { toy: 'frog', count: 2 });
  expect(after.toys).toEqual([
    { id: 'frog', count: 1 },
    { id: 'newt', count: 1 },
  ]);
  expect(after.there[eyes]).toBe(8);
  expect(after.there[moss]).toBe(0);
  expect(onceMade(after, needs, { toy: 'frog', count: 5 }).toys).toEqual([{ id: 'newt', count: 1 }]);
  expect(onceMade(list, needs, { toy: 'gone', count: 1 })).toBe(list);
});

test('what is bought to spare is not used up', () => {
  const toys = [toMake('frog', 1)];
  const left = [0, 10, 50].map((spare) => {
    const list = { ...listOf(toys, { [moss]: 100, stuffing: 100 }), spare };
    return onceMade(list, needsOf(toys, list), { toy: 'frog', count: 1 }).there;
  });
  expect(left[1]).toEqual(left[0]);
  expect(left[2]).toEqual(left[0]);
});

test('reserved and free add up to what is there, whatever is made', () => {
  for (let count = 1; count <= 5; count += 1) {
    const toys = [toMake('frog', count)];
    const list = listOf(toys, { [eyes]: 7, stuffing: 100, [moss]: 80 });
    boxOf(list, needsOf(toys, list)).forEach(({ there, reserved, free }) =>
      expect(reserved + free).toBeCloseTo(there),
    );
  }
});
