import { lineCorpus } from '../testing/lineCorpus';
import { workLine } from '../testing/workLine';

test('the corpus is large enough to mean something', () => {
  expect(lineCorpus.length).toBeGreaterThanOrEqual(120);
});

test.each(lineCorpus)('%s', (line, below, made, used) => {
  const work = workLine(line, below);
  expect({ made: work.made, used: work.used }).toEqual({ made, used });
});
