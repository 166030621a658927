import * as fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readPattern } from '../notation/readPattern';
import { readDocument } from './document';
import { carryPartIds, lastingId, partsRemembered, type KnownPart } from './partIds';

const partsOf = (text: string) => readPattern(text).parts;
const ids = (known: readonly KnownPart[], text: string) => {
  const parts = partsOf(text);
  const carried = carryPartIds(known, parts);
  return { carried, ids: parts.map((part) => lastingId(carried, part)).join(' ') };
};
const head = 'Head\nR1: 6 sc in ring\nR2: inc x 6\n';
const leg = 'Leg\nR1: 7 sc in ring\nR2: sc around\n';
const ear = 'Ear\nR1: 5 sc in ring\n';
const start = carryPartIds([], partsOf(head + leg + ear));

test('parts are numbered as they come', () => {
  expect(ids([], head + leg + ear).ids).toBe('p1 p2 p3');
});

test.each([
  ['renamed', head.replace('Head', 'Skull') + leg + ear, 'p1 p2 p3'],
  ['rewritten', head.replace('inc x 6', 'sc around') + leg + ear, 'p1 p2 p3'],
  ['in another order', ear + head + leg, 'p3 p1 p2'],
  ['one in front', `Hat\nR1: 4 sc in ring\n${head}${leg}${ear}`, 'p4 p1 p2 p3'],
  ['one behind', `${head}${leg}${ear}Hat\nR1: 4 sc in ring\n`, 'p1 p2 p3 p4'],
  ['the first gone', leg + ear, 'p2 p3'],
  ['the middle renamed and rewritten at once', `${head}Paw\nR1: 9 sc in ring\n${ear}`, 'p1 p2 p3'],
  ['renamed and moved', ear + leg.replace('Leg', 'Hind leg') + head, 'p3 p2 p1'],
  ['two names exchanged', head.replace('Head', 'Leg') + leg.replace('Leg', 'Head') + ear, 'p1 p2 p3'],
])('%s', (_, text, expected) => {
  expect(ids(start, text).ids).toBe(expected);
});

test('of two parts of one name the one that stays keeps its own', () => {
  const two = `Ear\nR1: 5 sc in ring\n\nEar\nR1: 6 sc in ring\n`;
  const { carried, ids: both } = ids([], two);
  expect(both).toBe('p1 p2');
  expect(ids(carried, 'Ear\nR1: 6 sc in ring\n').ids).toBe('p2');
});

test('what is taken out and put back is what it was, and its id is given to nothing else meanwhile', () => {
  const without = ids(start, head + leg);
  const other = ids(without.carried, `${head}${leg}Hat\nR1: 4 sc in ring\n`);
  expect(other.ids).toBe('p1 p2 p4');
  const back = ids(other.carried, head + leg + ear);
  expect(back.ids).toBe('p1 p2 p3');
  const emptied = ids(back.carried, '');
  expect(ids(emptied.carried, head + leg + ear).ids).toBe('p1 p2 p3');
});

test('whatever is done to a text, no two of its parts share an id, the same text keeps them, and little is remembered', () => {
  const pieces = fc.constantFrom(head, leg, ear, ear.replace('5', '8'), leg.replace('Leg', 'Arm'), 'Tail\n');
  fc.assert(
    fc.property(fc.array(fc.array(pieces, { maxLength: 6 }), { maxLength: 12 }), (texts) => {
      let known: readonly KnownPart[] = [];
      for (const text of texts) {
        const parts = partsOf(text.join(''));
        known = carryPartIds(known, parts);
        expect(new Set(known.map(({ id }) => id)).size).toBe(known.length);
        expect(known.filter(({ gone }) => !gone).map(({ called }) => called)).toEqual(
          parts.map(({ id }) => id),
        );
        expect(carryPartIds(known, parts)).toBe(known);
        expect(known.length).toBeLessThanOrEqual(partsRemembered);
      }
    }),
    { numRuns: 60 },
  );
});

describe('files written by version 1', () => {
  const file = (name: string) =>
    readFileSync(join(__dirname, 'fixtures', `version-1-${name}.hoppla.json`), 'utf8');

  test.each(['owl', 'ears', 'empty'])('%s is read, with its text and dates as they were', (name) => {
    const old = JSON.parse(file(name)) as { text: string; made: string; changed: string };
    const read = readDocument(file(name));
    if (!read.ok) throw new Error(read.message);
    const { text, made, changed, version, id, parts } = read.document;
    expect({ text, made, changed }).toEqual({ text: old.text, made: old.made, changed: old.changed });
    expect(version).toBe(2);
    expect(id).toMatch(/^[a-z0-9-]+$/);
    expect(parts).toEqual([]);
    expect(readDocument(file(name))).toEqual(read);
  });

  test('two files are two toys', () => {
    const idOf = (name: string) => {
      const read = readDocument(file(name));
      return read.ok ? read.document.id : '';
    };
    expect(new Set(['owl', 'ears', 'empty'].map(idOf)).size).toBe(3);
  });
});

test.each([
  ['a part twice', { parts: [1, 1].map(() => ({ id: 'p1', called: 'a', work: '' })) }],
  ['an id that is none', { parts: [{ id: 'head', called: 'a', work: '' }] }],
  ['no list', { parts: 'p1' }],
])('%s among the parts is said', (_, wrong) => {
  const file = JSON.stringify({
    format: 'hoppla-toy',
    version: 2,
    id: 'a',
    text: '',
    made: '2026-01-02T03:04:05.000Z',
    changed: '2026-01-02T03:04:05.000Z',
    ...wrong,
  });
  const read = readDocument(file);
  expect(read.ok ? '' : read.message).toMatch(/what its parts are known by/);
});
