import { languageOf, translatorOf } from './language';

test.each([
  ['nothing chosen, hers is there', null, ['nl-BE', 'en'], ['nl'], 'nl'],
  ['nothing chosen, hers is not there', null, ['fi', 'en-GB'], ['nl'], 'en'],
  ['English before another that is there', null, ['en-GB', 'nl'], ['nl'], 'en'],
  ['the very tag before its kin', null, ['pt-BR'], ['pt', 'pt-BR'], 'pt-BR'],
  ['kin of the tag', null, ['pt-PT'], ['pt-BR'], 'pt-BR'],
  ['English chosen', 'en', ['nl'], ['nl'], 'en'],
  ['chosen once, gone since', 'de', ['nl'], ['nl'], 'nl'],
  ['no languages at all', null, [], [], 'en'],
])('the language to speak: %s', (_, kept, wanted, there, spoken) => {
  expect(languageOf(kept, wanted, there)).toBe(spoken);
});

describe('a translation', () => {
  const polish = {
    'Round {{a}} of {{b}}': 'Z {{b}}: okrążenie {{a}}',
    '{{count}} stitch_one': '{{count}} oczko',
    '{{count}} stitch_few': '{{count}} oczka',
    '{{count}} stitch_many': '{{count}} oczek',
    'Stitch {{a}}': 'Oczko',
    'Look: {{a}}. Yes.': 'Patrz: {{a}}. Tak.',
  };
  const say = translatorOf('pl', polish);

  test('puts values where its own order has them', async () => {
    expect((await say)('Round {{a}} of {{b}}', { a: 4, b: 12 }, 'Round 4 of 12')).toBe('Z 12: okrążenie 4');
  });

  test.each([
    [1, '1 oczko'],
    [3, '3 oczka'],
    [5, '5 oczek'],
    [22, '22 oczka'],
  ])('counts %i as its language does', async (count, words) => {
    expect((await say)('{{count}} stitch', { count }, 'English')).toBe(words);
  });

  test('says in English what it has not, and what would lose a number', async () => {
    expect((await say)('All done', {}, 'All done')).toBe('All done');
    expect((await say)('Stitch {{a}}', { a: 7 }, 'Stitch 7')).toBe('Stitch 7');
    expect((await say)('toString', {}, 'toString')).toBe('toString');
  });

  test('takes points and colons of a message as they are, and a maker’s words for nothing but words', async () => {
    const own = '{{b}} $t(All done) <b>&amp;</b> "x"';
    expect((await say)('Look: {{a}}. Yes.', { a: own }, '')).toBe(`Patrz: ${own}. Tak.`);
  });
});
