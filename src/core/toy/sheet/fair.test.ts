import type { RecordEntry } from '../../safety/record';
import { emptyList } from '../../supplies/makingList';
import { analyseToy } from '../analyse';
import { trialsOfToy } from '../trialsOfToy';
import { fairBody, fairCsv, fairToysOf } from './fair';

const toy = analyseToy(
  [
    'Toy: Owl <b>',
    'For: under 3',
    'Yarn A: medium, brown cotton',
    '',
    'Body',
    'R1: 6 sc in ring',
    'R2: inc x 6',
    'R3: (sc, inc) x 6',
    'R4-R9: sc around',
    'R10: (sc, dec) x 6',
    'R11: dec x 6',
    'Stuff firmly and close.',
  ].join('\n'),
);
const toMake = [{ id: 'owl', name: 'Owl <b>', toy, count: 2 }];
const trials = trialsOfToy(toy);
const made: RecordEntry = {
  toy: 1,
  at: '2026-03-04T10:00:00.000Z',
  maker: 'Pondside, Mara',
  lots: '=12',
};
const tried = (result: 'held' | 'failed'): RecordEntry => ({
  toy: 1,
  at: '2026-03-05T10:00:00.000Z',
  trial: trials[0]!.id,
  of: trials[0]!.of,
  result,
  forceN: trials[0]!.forceN,
  note: '',
});
const fair = (entries: RecordEntry[], asking: Record<string, number> = {}) =>
  fairToysOf(toMake, { list: { ...emptyList, asking }, records: new Map([['owl', entries]]) });

test('every toy of a batch stands by itself, with what was written of it', () => {
  const [first, second] = fair([made, tried('held')]);
  expect(first).toMatchObject({
    number: 1,
    of: 2,
    maker: 'Pondside, Mara',
    madeOn: '2026-03-04',
    held: 1,
    failed: 0,
  });
  expect(second).toMatchObject({ number: 2, of: 2, maker: '', madeOn: '', held: 0, failed: 0 });
  expect(first?.trials).toBe(trials.length);
  expect(first?.materials[0]).toBe('medium, brown cotton yarn');
  expect(first?.care[0]).toMatch(/30 °C in a bag/);
});

test('what failed is said, also where other tries held; nothing is priced that has no price', () => {
  const [first] = fair([tried('failed')]);
  expect(first).toMatchObject({ held: 0, failed: 1, cost: null, price: null });
  expect(fairBody([first!])).toContain('1 FAILED, 0 of');
  expect(fair([], { owl: 18.5 })[0]?.price).toBe(18.5);
  expect(fair([], { owl: 0 })[0]?.price).toBeNull();
});

test('labels escape what the maker wrote, say for whom, and leave the law to the law', () => {
  const page = fairBody(fair([made], { owl: 18.5 }));
  expect(page).not.toContain('<b>');
  expect(page.match(/class="label"/g)).toHaveLength(2);
  expect(page).toContain('18.50');
  expect(page).toContain('no certificate');
  expect(page).toContain('under 3');
});

test('a table for a spreadsheet, in which nothing is worked out as a sum', () => {
  const rows = fairCsv(fair([made], { owl: 18.5 }))
    .trim()
    .split('\r\n');
  expect(rows).toHaveLength(3);
  expect(rows[0]).toBe('toy,number,of,made on,maker,lots,made for,trials,held,failed,cost,price');
  expect(rows[1]).toContain("'=12");
  expect(rows[1]).toMatch(/18\.50$/);
});
