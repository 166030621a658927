import { audiences, audienceWords, readAudience, type Audience } from './audience';

test.each<[string, Audience | null]>([
  ['under 3', 'under-3'],
  ['under three', 'under-3'],
  ['a newborn', 'under-3'],
  ['6-18 months', 'under-3'],
  ['ages 1-2', 'under-3'],
  ['3+', '3-and-over'],
  ['3 and over', '3-and-over'],
  ['ages 3 and up', '3-and-over'],
  ['5 years', '3-and-over'],
  ['2 years and older', 'under-3'],
  ['keepsake', 'keepsake'],
  ['my cat', 'pet'],
  ['adults', 'keepsake'],
  ['my niece', '3-and-over'],
  ['', null],
  ['the fair', null],
])('For: %s means %s', (line, audience) => {
  expect(readAudience(line)).toBe(audience);
});

test('each audience is read from the words it is written in', () => {
  for (const audience of audiences) expect(readAudience(audienceWords[audience])).toBe(audience);
});
