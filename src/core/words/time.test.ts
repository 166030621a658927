import { timeWords } from './time';

test.each([
  [0.2, '1 minute'],
  [1, '1 minute'],
  [2.4, '2 minutes'],
  [4.9, '5 minutes'],
  [7, '5 minutes'],
  [58, '1 hour'],
  [60, '1 hour'],
  [95, '1 hour 35'],
  [121, '2 hours'],
])('%p minutes are %s', (minutes, words) => {
  expect(timeWords(minutes)).toBe(words);
});
