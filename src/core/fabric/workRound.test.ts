import { lineCorpus } from '../__tests__/lineCorpus';
import { workLine } from '../__tests__/workLine';

test('the corpus is large enough to mean something', () => {
  expect(lineCorpus.length).toBeGreaterThanOrEqual(120);
});

test.each(lineCorpus)('%s', (line, below, made, used) => {
  const work = workLine(line, below);
  expect({ made: work.made, used: work.used }).toEqual({ made, used });
});
