import { writeDocument } from './document';
import { salvagedText } from './salvage';

const text = 'Head\nR1: 6 sc in ring\t[6]\n“Ohren”: \\ "two" é 😀 \u2028\n';
const kept = writeDocument({
  format: 'hoppla-toy',
  version: 2,
  id: 'a',
  parts: [],
  text,
  made: '2026-01-01T00:00:00.000Z',
  changed: '2026-01-01T00:00:00.000Z',
});

test('of a whole document the whole text', () => {
  expect(salvagedText(kept)).toBe(text);
  expect(
    salvagedText(JSON.stringify({ revision: 3, savedBy: null, document: JSON.parse(kept) as unknown })),
  ).toBe(text);
});

test('of a document cut off anywhere in its text, the text up to there', () => {
  const begins = kept.indexOf('"text": "') + '"text": "'.length;
  const ends = kept.indexOf('",\n  "made"');
  for (let cut = begins; cut <= ends; cut += 1) {
    const found = salvagedText(kept.slice(0, cut));
    expect(text.startsWith(found)).toBe(true);
    // An escaped sign that was cut in two is the only one that may be missing.
    expect(JSON.stringify(found).length - 2).toBeGreaterThanOrEqual(cut - begins - 6);
  }
});

test('of signs written by number, the signs', () => {
  expect(salvagedText('{"text":"a\\u00e9\\u000ab\\uZZ')).toBe('aé\nbuZZ');
});

test('where there is no text field, all there is', () => {
  expect(salvagedText('R1: 6 sc in ring')).toBe('R1: 6 sc in ring');
});
