import { setToyHeader } from './editText';
import { readPattern } from './readPattern';

const rounds = 'Head\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]';

test.each([
  ['Puddle the duck\n\n', 'Puddle the duck'],
  ['\nPuddle the duck\n\n', 'Puddle the duck'],
  ['Toy: Puddle\nHand: left\n', 'Puddle'],
  ['', null],
])('a header put into %j leaves the toy its name', (top, name) => {
  const said = setToyHeader(`${top}${rounds}`, 'For', 'under 3');
  const { header, parts, notes } = readPattern(said);
  expect(header.name).toBe(name);
  expect(header.audience).not.toBeNull();
  expect(parts).toHaveLength(1);
  expect(notes).toEqual([]);
});

test('a header that is there is changed in its place, and goes where nothing is said', () => {
  const text = `Puddle\nFor: 3+\nHand: left\n${rounds}`;
  expect(setToyHeader(text, 'For', 'pet')).toBe(`Puddle\nFor: pet\nHand: left\n${rounds}`);
  expect(readPattern(setToyHeader(text, 'Hand', '')).header.hand).toBe('right');
});

test('a toy whose name stands alone over it is renamed in that line', () => {
  expect(setToyHeader(`Puddle the duck\n\n${rounds}`, 'Toy', 'Moe')).toBe(`Toy: Moe\n\n${rounds}`);
  expect(setToyHeader(rounds, 'Toy', 'Moe')).toBe(`Toy: Moe\n${rounds}`);
});
