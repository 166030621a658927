import * as fc from 'fast-check';
import { plural, pluralInPattern } from './counted';
import { messageOf, ownLanguage, soundMessages, speakBy, spoken, t, tAs } from './language';
import { sayTerm } from './said';

const upside = (message: string) => `¡${message}!`;

test('in English a message is its words with what stands between them', () => {
  const [label, rounds] = ['R4', 12];
  expect(t`Round ${label} of ${rounds}`).toBe('Round R4 of 12');
  expect(t`All done`).toBe('All done');
  expect(tAs('shape')`Round`).toBe('Round');
  expect(spoken()).toBe(ownLanguage);
});

test('a message is known by its words and the letters of its places', () => {
  expect(messageOf(['Round ', ' of ', ''])).toBe('Round {{a}} of {{b}}');
  expect(messageOf(['All done'])).toBe('All done');
});

test('what is counted is said in its form', () => {
  expect(plural(1, 'stitch')).toBe('1 stitch');
  expect(plural(3, 'stitch')).toBe('3 stitches');
  expect(plural(2, 'round lies', 'rounds lie')).toBe('2 rounds lie');
});

describe('a translation', () => {
  test.each([
    ['says each number', { 'Round {{a}} of {{b}}': '{{b}} toeren, nu {{a}}' }, 1],
    ['loses one', { 'Round {{a}} of {{b}}': 'Toer {{a}}' }, 0],
    ['has one of its own', { 'All done': 'Klaar, {{a}}' }, 0],
    ['says one twice', { 'Round {{a}}': 'Toer {{a}}, {{a}}' }, 0],
    ['is empty', { 'All done': ' ' }, 0],
    ['is no text', { 'All done': 3, Row: null, Round: ['Toer'] }, 0],
    ['says a count', { '{{count}} stitch_one': '{{count}} steek', '{{count}} stitch_other': 'steken' }, 1],
  ])('that %s', (_, translation, sound) => {
    expect(Object.keys(soundMessages(translation))).toHaveLength(sound);
  });

  test('gets every value by its letter, in the order it stands in the English', () => {
    const asked: unknown[] = [];
    speakBy((message, values, english) => {
      asked.push([message, values, english]);
      return upside(english);
    }, 'xx');
    expect(t`Round ${4} of ${'Head'}`).toBe('¡Round 4 of Head!');
    expect(plural(5, 'round')).toBe('¡5 rounds!');
    expect(sayTerm('left')).toBe('¡left!');
    expect(tAs('shape')`Round`).toBe('¡Round!');
    expect(asked).toEqual([
      ['Round {{a}} of {{b}}', { a: 4, b: 'Head' }, 'Round 4 of Head'],
      ['{{count}} round', { count: 5 }, '5 rounds'],
      ['left', {}, 'left'],
      ['Round (shape)', {}, 'Round'],
    ]);
    expect(spoken()).toBe('xx');
  });

  test('leaves alone what patterns are written in, and words that are a maker’s own', () => {
    expect(pluralInPattern(2, 'stitch')).toBe('2 stitches');
    fc.assert(fc.property(fc.string(), (own) => own in {} || sayTerm(`${own} `) === `${own} `));
    expect(sayTerm('constructor')).toBe('constructor');
    expect(sayTerm(null)).toBeNull();
  });
});
