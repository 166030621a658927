import { writeJoin } from './join';
import { readSentences } from './readSentences';

test.each([
  [
    'Insert 9 mm safety eyes between R8 and R9, 6 stitches showing.',
    { feature: 'eyes', sizeMm: 9, gap: [8, 9], showing: 6 },
  ],
  [
    'Place 9mm eyes between rounds 12-13, 8 stitches apart (so 7 show)',
    { feature: 'eyes', gap: [12, 13], apart: 8, showing: 7 },
  ],
  [
    'Eyes: 10 mm, between rounds 14 and 15, with 7 stitches between them, in the splits',
    { gap: [14, 15], showing: 7, seat: 'split' },
  ],
  [
    'Add safety eyes (8 mm) between the 11th and 12th round, leaving 5 stitches between.',
    { sizeMm: 8, gap: [11, 12], showing: 5 },
  ],
  [
    'Put the 12mm eyes in between rnd 9 & 10 with 6 visible stitches between',
    { sizeMm: 12, gap: [9, 10], showing: 6 },
  ],
  ['Position the eyes on round 10, seven stitches apart', { feature: 'eyes', round: 10, apart: 7 }],
  [
    'Embroider the nose 2 rounds below the eyes, 4 stitches wide',
    { feature: 'nose', embroidered: true, wide: 4, relation: { rounds: 2, direction: 'below', to: 'eyes' } },
  ],
  ['Attach 1 cm eyes between rounds 4 and 5 from the base', { sizeMm: 10, gap: [4, 5], countFrom: 'base' }],
  ['Begin stuffing the head after round 18', { kind: 'stuff', after: 18 }],
  ['Do not stuff.', { kind: 'stuff', firmness: 'none' }],
  ['Weave the tail through the front loops and pull tight', { kind: 'close' }],
  ['Pin the arms below the head', { kind: 'pin' }],
  ['Fasten off, leaving a long tail', { kind: 'cut' }],
])('%s', (text, step) => {
  expect(readSentences(text, 7)).toMatchObject([{ ...step, line: 7 }]);
});

test('several sentences in a line give several steps, each with its place', () => {
  const steps = readSentences('Stuff firmly. Close the hole.', 1);
  expect(steps.map((step) => [step.kind, step.text])).toEqual([
    ['stuff', 'Stuff firmly'],
    ['close', 'Close the hole'],
  ]);
});

test.each(['Happy making', 'this head is lovely between friends', 'The fair is on Saturday', ''])(
  '“%s” is no step',
  (text) => {
    expect(readSentences(text, 1)).toEqual([]);
  },
);

test('a distance in mm is no size of the eye: it is quoted back', () => {
  const [eyes] = readSentences('Insert eyes between R9 and R10, about 4 cm apart', 1);
  expect(eyes).toMatchObject({ gap: [9, 10], unused: ['about 4 cm apart'] });
  expect(eyes).not.toHaveProperty('sizeMm');
  const [sized] = readSentences('Insert 9 mm eyes between R9 and R10, 30 mm apart', 1);
  expect(sized).toMatchObject({ sizeMm: 9, unused: ['30 mm apart'] });
});

test('apart, counted in what is visible, is what shows', () => {
  const [eyes] = readSentences(
    'Insert eyes between R9-R10, eight stitches apart, counted in the visible stitches',
    1,
  );
  expect(eyes).toMatchObject({ showing: 8 });
});

test.each([
  'Put in the eyes between the 9th and 10th round. They are separated by 6 stitches.',
  'Eyes between R9 and R10, separated by 6 stitches',
])('%s: six show', (text) => {
  const [eyes, ...more] = readSentences(text, 1);
  expect(more).toEqual([]);
  expect(eyes).toMatchObject({ gap: [9, 10], showing: 6 });
});

test.each([
  ['Stuff only halfway.', { why: 'extent', words: 'only halfway' }],
  ['Stuff the head to 3/4.', { why: 'extent', words: 'to 3/4' }],
  ['Stuff it partially', { why: 'extent', words: 'partially' }],
  ['Leave the top round empty.', { why: 'extent', words: 'top round' }],
  ['Stuff with 10 g.', { why: 'weight', words: 'with 10 g' }],
  [
    'Stuff softly at the top, firmly at the bottom.',
    { why: 'firmnesses', words: 'softly at the top, firmly' },
  ],
  ['Stuffing is optional.', { why: 'optional', words: 'optional' }],
  ['Stuff the lower half only.', undefined],
  ['Stuff firmly.', undefined],
  ['Do not stuff.', undefined],
  ['Halfway through, stuff firmly.', undefined],
])('%s is not planned as it says: %j', (text, unplanned) => {
  const [stuffing] = readSentences(text, 1);
  expect(stuffing?.kind === 'stuff' && stuffing.unplanned).toEqual(unplanned);
});

test.each([
  ['Leave the last round empty.', { by: 'rounds', rounds: 1, at: 'last' }],
  ['Leave the last two rounds empty.', { by: 'rounds', rounds: 2, at: 'last' }],
])('%s stays empty there and nowhere else', (text, empty) => {
  expect(readSentences(text, 1)).toMatchObject([{ kind: 'stuff', firmness: null, portion: null, empty }]);
});

test.each(['Leave 5 empty stitches between them.', 'Leave 3 stitches empty between the legs'])(
  '%s says nothing of stuffing',
  (text) => expect(readSentences(text, 1).filter(({ kind }) => kind === 'stuff')).toEqual([]),
);

test.each([
  ['Felt eyes, 10 mm, between R9 and R10, 6 showing.', undefined],
  ['Bead eyes, 6 mm, between R9 and R10, 6 showing.', ['Bead eyes']],
  ['Insert 9 mm eyes with felt behind them between R9 and R10, 6 showing', undefined],
  ['Eyes: 8 mm; R15-16; 7 showing; with felt rings of 14 mm.', undefined],
])('%s: what the eyes are made of', (text, unused) => {
  const [eyes] = readSentences(text, 1);
  expect(eyes?.kind === 'feature' && eyes.unused).toEqual(unused);
});

test('the side of each of two stitches is read with them, and written so that it is read back', () => {
  const said = (text: string) => {
    const [join] = readSentences(text, 1);
    return join?.kind === 'sew' ? { stitches: join.stitches, sides: join.stitchSides } : null;
  };
  const both = { stitches: [28, 9], sides: ['left', 'right'] };
  expect(
    said('Sew the arms to the body on R8, the left one at stitch 28, the right one at stitch 9.'),
  ).toEqual(both);
  expect(said('Sew the arms to the body on R8, at stitches 9 and 28.')).toEqual({ stitches: [9, 28] });
  const [join] = readSentences('Sew the arms on R8, left at st 28, right at st 9.', 1);
  expect(join?.kind === 'sew' && said(writeJoin(join))).toEqual(both);
});
