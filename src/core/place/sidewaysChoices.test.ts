import { frameOfPart } from '../toy/analyse';
import * as fc from 'fast-check';
import { applyEdits } from '../notation/applyEdits';
import { analyseFaces as analyseToy, type FacePart as PartAnalysis } from '../__tests__/faces';
import { writeRule } from './rule/writeRule';
import { countedFrom, heightChoices, sideChoices } from './move/choices';

const face =
  'Nose: satin stitch, 2 stitches below the eyes, 3 rounds wide, 2 stitches high.\nMouth: embroidered smile, 2 stitches below the nose, 4 rounds wide, 1 stitch high.\nCheeks: felt, 8 mm, 3 stitches below the eyes, 1 round outside the eyes.';
const text = (start: string, hand: string) =>
  [
    hand,
    'Gauge: 5 mm x 5 mm',
    'Head',
    `Start: ${start}`,
    'R1: 6 sc in magic ring [6]',
    'R2: inc x 6 [12]',
    'R3: (sc, inc) x 6 [18]',
    'R4: (sc 2, inc) x 6 [24]',
    'R5: (sc 3, inc) x 6 [30]',
    'R6: (sc 4, inc) x 6 [36]',
    'R7-R14: sc around [36]',
    'R15: (sc 4, dec) x 6 [30]',
    'R16: (sc 3, dec) x 6 [24]',
    'R17: (sc 2, dec) x 6 [18]',
    'R18: (sc, dec) x 6 [12]',
    'R19: dec x 6 [6]',
    'Eyes: 8 mm, between R8 and R9 and between R12 and R13.',
    face,
    '',
  ].join('\n');
const partOf = (of: string): PartAnalysis => analyseToy(of).parts[0]!;
const placedIn = (part: PartAnalysis, id: string) => part.features.find((feature) => feature.id === id)!;
const heightsOf = (part: PartAnalysis, id: string) =>
  heightChoices(frameOfPart(part), placedIn(part, id), part.all);
const sidesOf = (part: PartAnalysis, id: string) =>
  sideChoices(frameOfPart(part), placedIn(part, id), part.all);

test('heights are counted in stitches from the front line, the eyes, and what does not hang on it', () => {
  const part = partOf(text('left', ''));
  // The cheeks lie beside the nose, neither above nor below it.
  expect(heightsOf(part, 'cheeks').map(({ from }) => from)).toEqual(['front', 'eyes', 'mouth']);
  expect(heightsOf(part, 'nose').map(({ from }) => from)).toEqual(['front', 'eyes']);
  // The eyes lie on the front line. The nose is two stitches below them and two high, the mouth two below its tip: six below the eyes.
  expect(heightsOf(part, 'mouth').map(({ vertical }) => vertical)).toEqual([
    { by: 'stitches', stitches: 6, direction: 'below', to: 'front' },
    { by: 'stitches', stitches: 6, direction: 'below', to: 'eyes' },
    { by: 'stitches', stitches: 2, direction: 'below', to: 'nose' },
  ]);
  expect(placedIn(part, 'mouth').rule.vertical && countedFrom(placedIn(part, 'mouth').rule.vertical)).toBe(
    'nose',
  );
});

test('whichever is chosen, it stays: within a stitch, for the stitches of two rounds need not lie level', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('left', 'right'),
      fc.constantFrom('', 'Hand: left'),
      fc.constantFrom('nose', 'mouth', 'cheeks'),
      fc.nat(),
      (start, hand, id, pick) => {
        const before = text(start, hand);
        const part = partOf(before);
        const choices = heightsOf(part, id);
        const { vertical } = choices[pick % choices.length]!;
        const after = partOf(
          applyEdits(before, [writeRule(part.source, id, { ...placedIn(part, id).rule, vertical })]),
        );
        expect(placedIn(after, id).rule.vertical).toEqual(vertical);
        placedIn(after, id).units.forEach((unit, i) => {
          const was = placedIn(part, id).units[i]!;
          expect([unit.fromLine, unit.toLine]).toEqual([was.fromLine, was.toLine]);
          expect(Math.abs(unit.from - was.from)).toBeLessThanOrEqual(1);
        });
      },
    ),
    { numRuns: 60 },
  );
});

test('to the side in rounds: apart stays, outside the eyes comes within a round, an edge of the eyes is read back', () => {
  const before = text('left', '');
  const part = partOf(before);
  expect(sidesOf(part, 'mouth').map(({ way }) => way)).toEqual(['stitches', 'inner', 'middle', 'outer']);
  expect(sidesOf(part, 'cheeks').map(({ way }) => way)).toEqual([
    'stitches',
    'outward',
    'inner',
    'middle',
    'outer',
  ]);
  for (const { way, sideways } of sidesOf(part, 'cheeks')) {
    const after = placedIn(
      partOf(
        applyEdits(before, [
          writeRule(part.source, 'cheeks', { ...placedIn(part, 'cheeks').rule, sideways }),
        ]),
      ),
      'cheeks',
    );
    expect(after.rule.sideways).toEqual(sideways);
    if (way === 'stitches') expect(after.units).toEqual(placedIn(part, 'cheeks').units);
    if (way === 'outward')
      expect(Math.abs(after.apart! - placedIn(part, 'cheeks').apart!)).toBeLessThanOrEqual(1);
  }
});
