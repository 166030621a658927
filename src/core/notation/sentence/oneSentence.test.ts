import { oneSentence } from './oneSentence';
import { readSentences } from './readSentences';

const told = (text: string) =>
  oneSentence(
    text
      .split('\n')
      .flatMap((line, i) => readSentences(line, i + 1))
      .flatMap((step) => (step.kind === 'feature' ? [step] : [])),
  );

test.each([
  ['alone it is itself', 'Insert 9 mm eyes between R8 and R9, 6 apart', { sizeMm: 9, gap: [8, 9], apart: 6 }],
  [
    'the later place holds',
    'Eyes: 9 mm, between R8 and R9, 6 apart\nEyes: 9 mm, between R10 and R11, 5 apart',
    { gap: [10, 11], apart: 5 },
  ],
  [
    'what says no place does not take it away',
    'Eyes: 9 mm, between R8 and R9, 6 apart\nTrim the posts of the eyes to 4 mm',
    { sizeMm: 9, gap: [8, 9], apart: 6 },
  ],
  [
    'what is left open is filled',
    'Insert the eyes between R8 and R9\nThe eyes are 7 mm, 5 apart',
    { sizeMm: 7, gap: [8, 9], apart: 5 },
  ],
  [
    'also from what stands before',
    'The safety eyes are 7 mm, 6 showing\nInsert the eyes between R8 and R9',
    { sizeMm: 7, gap: [8, 9], showing: 6 },
  ],
  [
    'a width alone, too',
    'Embroider the mouth between R12 and R13\nThe mouth is 5 stitches wide',
    { gap: [12, 13], wide: 5 },
  ],
  [
    'a mouth, too',
    'Embroider the mouth between R12 and R13\nMouth: black yarn, 4 wide, one long stitch, 4 rounds below the eyes',
    { wide: 4, style: 'line', relation: { rounds: 4, direction: 'below', to: 'eyes' } },
  ],
] as const)('%s', (_, text, step) => {
  expect(told(text)).toMatchObject(step);
});

test('one distance does not mix with another: 6 showing and 8 apart are two different pairs', () => {
  const step = told('Eyes: 9 mm, 8 apart\nEyes: 9 mm, between R8 and R9, 6 showing');
  expect(step).toMatchObject({ gap: [8, 9], showing: 6 });
  expect(step?.apart).toBeUndefined();
});

test('nothing comes of nothing', () => {
  expect(oneSentence([])).toBeUndefined();
});
