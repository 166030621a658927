import { featureHead } from '../__tests__/featureCorpus';
import { analyseToy } from './analyse';
import { besideFace, toSettle } from './toSettle';

const part = (sentences: string) => analyseToy(`${featureHead}${sentences}\n`).parts[0]!;
const open = (sentences: string) => [...toSettle(part(sentences))];

test.each([
  ['a face that is right', 'Mouth 4 rounds below the eyes, 3 wide', []],
  ['what is only told', 'Felt cheeks, 8 mm, 2 rounds below the eyes', []],
  ['a middle that misses', 'Mouth 4 rounds below the eyes, 4 wide', ['mouth']],
  ['a place there is not', 'Mouth between R40 and R41, 3 wide', ['mouth']],
  [
    'eyes and a feature',
    'Eyes: 8 mm, between R15 and R16, 8 apart, slanted.\nNose under the eyes, 3 wide',
    ['eyes', 'nose'],
  ],
  [
    'two buttons over each other: said by the later one',
    'Sew a 10 mm button between R20 and R21.\nSew a 10 mm button between R20 and R21.',
    ['button 2'],
  ],
] as const)('%s', (_, sentences, ids) => {
  expect(open(sentences)).toEqual(ids);
});

test('what is wrong with the rounds is not a matter of the face, and the other way round', () => {
  const wrong = analyseToy(
    `${featureHead.replace('R6: (sc 4, inc) x 6 [36]', 'R6: (sc 4, inc) x 6 [37]')}Mouth between R40 and R41, 3 wide.\n`,
  ).parts[0]!;
  expect(besideFace(wrong).map(({ code }) => code)).toContain('count-mismatch');
  expect(besideFace(wrong).map(({ code }) => code)).not.toContain('gap-missing');
  expect(wrong.problems.map(({ code }) => code)).toEqual(
    expect.arrayContaining(['count-mismatch', 'gap-missing']),
  );
});
