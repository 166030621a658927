import { frameOfPart } from '../toy/analyse';
import * as fc from 'fast-check';
import { featureHead } from '../__tests__/featureCorpus';
import { applyEdits } from '../notation/applyEdits';
import { wrapAngle } from '../shape/azimuth';
import { analyseFaces as analyseToy } from '../__tests__/faces';
import { arrangementIn, nearestArrangements } from '../edit/arrangements';
import { conflictMarks } from './check/marks';
import { inOrder } from './resolve/order';
import { movedTo } from './move/drop';
import { writeRule } from './rule/writeRule';
import { footHoles, holeAzimuth, nearestFootHole } from './frame/holes';
import { markerPlan, markWords } from './words/markerPlan';
import { pairForProportion, proportionOf, proportionSteps, shareWords } from './move/proportion';
import { underWasher } from './check/washers';
import { landmarkWords } from './words/fromThere';

const part = (sentences: string, text = featureHead) => analyseToy(`${text}${sentences}\n`).parts[0]!;
const noEyes = featureHead.replace(/Eyes:.*\n/, '');

describe('the marker plan', () => {
  test('names every hole once, in the order of work, with what it is for', () => {
    const { fabric, all } = part(
      'Mouth 4 rounds below the eyes, 3 wide.\nInsert a 12 mm safety nose between R17 and R18.\nCheeks: felt, 8 mm, on the same round as the mouth, 9 post to post.',
    );
    const plan = markerPlan(fabric, all);
    expect(plan.map(({ label, marks }) => [label, markWords(marks)])).toEqual([
      [16, 'stitch 15 (left eye) and stitch 22 (right eye)'],
      [18, 'stitch 19 (nose)'],
      [20, 'stitch 15 (left cheeks), stitch 18 (mouth), stitch 21 (mouth) and stitch 24 (right cheeks)'],
    ]);
  });

  test('a post between two stitches is marked after the first of them', () => {
    const { fabric, all } = part('Insert a 12 mm safety nose between R15 and R16.');
    expect(markWords(markerPlan(fabric, all)[0]!.marks)).toContain('the gap after stitch 18 (nose)');
  });
});

test('what is seen near a line of holes, up and down as one looks at the piece', () => {
  expect(landmarkWords(part('').form, 15)).toEqual([
    '3 rounds below the colour change',
    '5 rounds above the ridge',
    '14 rounds from the last round',
  ]);
  expect(landmarkWords(part('', featureHead.replace('Head\n', 'Head\nStart: bottom\n')).form, 15)).toEqual([
    '3 rounds above the colour change',
    '5 rounds below the ridge',
    '14 rounds from the last round',
  ]);
});

describe('pressed eyes by a rule', () => {
  test.each([
    ['Eyes: 8 mm, 5 rounds above the ridge, 7 post to post.', 15],
    ['Insert 8 mm eyes 3 rounds below the colour change, 6 showing.', 15],
    ['Eyes: 8 mm, 14 rounds up from the base, 6 showing.', 15],
    ['Eyes 8 mm, 14 rounds from the live edge, 7 post to post.', 15],
    ['Place 8 mm eyes 3 rounds above the nose, 6 showing. Nose between R18 and R19, 3 wide.', 15],
  ])('%s', (sentence, line) => {
    const { eyes } = part(sentence, noEyes);
    expect([eyes!.line, eyes!.units.map((post) => post.from)]).toEqual([line, [15, 22]]);
    expect(eyes!.problems.map(({ code }) => code)).not.toContain('eyes-where');
  });

  test('so many stitches either side of the front', () => {
    expect(
      part('8 mm eyes between R15 and R16, 3 and a half stitches either side of the front line.', noEyes)
        .eyes!.apart,
    ).toBe(7);
  });

  test('go by what is not there, or wait in a circle: it says so', () => {
    expect(
      part('Eyes: 8 mm, 2 rounds above the mouth, 7 post to post.', noEyes).eyes!.problems.map(
        ({ code }) => code,
      ),
    ).toContain('anchor-missing');
    const circle = part(
      'Eyes: 8 mm, 2 rounds above the mouth, 7 post to post.\nMouth 2 rounds below the eyes, 3 wide.',
      noEyes,
    );
    expect(circle.problems.map(({ code }) => code)).toContain('anchor-circle');
  });
});

test('several of a kind: each sentence one, and the second can go by the first', () => {
  const { features } = part(
    'Sew a 10 mm button between R17 and R18.\nSew a 10 mm button 3 rounds below the button.',
  );
  expect(features.map(({ id, line }) => [id, line])).toEqual([
    ['button', 17],
    ['button 2', 20],
  ]);
});

test('two places with a colour change: it asks, and each answer settles it', () => {
  const text = featureHead
    .replace('R22-R24: sc', 'R22: change to brown, sc around [36]\nR23-R24: sc')
    .replace('R13: change', 'in brown\nR13: change');
  const [mouth] = part('Mouth 2 rounds above the colour change, 3 wide.', text).features;
  const asked = mouth!.problems.find(({ code }) => code === 'landmark-ambiguous')!;
  expect(asked.suggestions.length).toBeGreaterThan(1);
  const lines = asked.suggestions.map(
    ({ edits }) =>
      analyseToy(applyEdits(`${text}Mouth 2 rounds above the colour change, 3 wide.\n`, edits)).parts[0]!
        .features[0]!,
  );
  expect(new Set(lines.map(({ line }) => line)).size).toBe(lines.length);
  for (const { problems } of lines)
    expect(problems.map(({ code }) => code)).not.toContain('landmark-ambiguous');
});

describe('conflicts as places', () => {
  test('a middle that misses the front is marked at that middle, washers where they lie', () => {
    const { all } = part(
      'Mouth 4 rounds below the eyes, 4 wide.\nInsert an 18 mm safety nose just below the eyes.',
    );
    const marks = conflictMarks(all);
    const [mouth] = marks.filter(({ id }) => id === 'mouth');
    expect(mouth).toMatchObject({
      code: 'not-centred',
      radiusMm: null,
      ends: [
        { line: 19, hole: 17 },
        { line: 19, hole: 21 },
      ],
    });
    const nose = marks.filter(({ id }) => id === 'nose');
    expect(nose.map(({ code, severity, radiusMm }) => [code, severity, radiusMm])).toContainEqual([
      'washers-overlap',
      'error',
      13.5,
    ]);
  });

  test('a face without conflicts has no marks', () => {
    const { all } = part('Mouth 4 rounds below the eyes, 3 wide.');
    expect(conflictMarks(all)).toEqual([]);
  });
});

test('under a washer: decreases within its reach, and the ridge, not what lies beside', () => {
  const { form } = part('');
  const at = (line: number) =>
    underWasher(
      form,
      { line, azimuth: holeAzimuth(footHoles(form.fabric, form.starts, form.lean, line), 19) },
      12,
    );
  expect(at(15)).toEqual({ decreases: [], ridge: null });
  expect(at(19).ridge).toBe(20);
  expect(at(24).decreases.length).toBeGreaterThan(0);
});

describe('arrangements', () => {
  test('the nearest come best first, keep the rounds, and one of other rounds is no arrangement', () => {
    const now = part('');
    const found = nearestArrangements(featureHead, now, 6);
    const misses = found.map(({ eyes }) => Math.abs(eyes.missStitches));
    expect(found.length).toBeGreaterThan(2);
    expect(misses).toEqual([...misses].sort((a, b) => a - b));
    expect(new Set(found.map(({ eyes }) => `${eyes.gap.join()}/${eyes.apart}`)).size).toBe(found.length);
    expect(
      arrangementIn(featureHead.replace('R7-R12: sc around [36]', 'R7-R12: (sc 5, inc) x 6'), now),
    ).toBeNull();
  });
});

describe('proportion', () => {
  test('every real share leads to its own line and distance, and a wish to the nearest of them', () => {
    const whole = part('');
    const { eyes } = whole;
    const frame = frameOfPart(whole);
    const { down, apart } = proportionSteps(frame, eyes!);
    expect(down).toHaveLength(28);
    expect(apart[eyes!.apart! - 1]).toBeCloseTo(proportionOf(frame, eyes!).apart, 9);
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 0.9, noNaN: true }), (wish) => {
        const { real } = pairForProportion(frame, { down: wish, apart: 0.5 }, eyes!);
        const best = Math.min(...down.map((share) => Math.abs(share - wish)));
        expect(Math.abs(real.down - wish)).toBeCloseTo(best, 9);
      }),
    );
  });

  test('a share near a fraction is called by it', () => {
    expect([shareWords(0.34), shareWords(0.5), shareWords(0.9)]).toEqual([
      ', about a third',
      ', about half',
      '',
    ]);
  });
});

test('dragging a feature to a line and a distance puts it there, by the rule it had', () => {
  const text = `${featureHead}Cheeks: felt, 8 mm, 4 rounds below the eyes, 1 stitch outside the eyes.\n`;
  fc.assert(
    fc.property(fc.integer({ min: 7, max: 23 }), fc.integer({ min: 9, max: 15 }), (line, apart) => {
      const before = analyseToy(text).parts[0]!;
      const [cheeks] = before.features;
      const rule = movedTo(frameOfPart(before), cheeks!, line, apart);
      const after = analyseToy(applyEdits(text, [writeRule(before.source, 'cheeks', rule)])).parts[0]!
        .features[0]!;
      expect(after.line).toBe(line);
      // On their own line that is “on the same round”.
      expect(after.rule.vertical).toMatchObject({
        by: line === before.eyes!.line ? 'level' : 'relation',
        to: 'eyes',
      });
      // Stitches outward move both sides, so an odd wish comes within one.
      expect(Math.abs(after.apart! - apart)).toBeLessThanOrEqual(2);
    }),
    { numRuns: 25 },
  );
});

test('names come after what they wait for; a circle is broken and told', () => {
  const waits: Record<string, string | null> = { a: 'b', b: 'c', c: null, d: 'e', e: 'd', f: 'gone' };
  const turns = inOrder(Object.keys(waits), (id) => waits[id] ?? null);
  const at = (id: string) => turns.findIndex((turn) => turn.id === id);
  expect(turns).toHaveLength(6);
  expect(at('c')).toBeLessThan(at('b'));
  expect(at('b')).toBeLessThan(at('a'));
  expect(turns.filter(({ circular }) => circular).map(({ id }) => id)).toEqual(['d']);
});

test('the nearest real hole: no other hole of the line is nearer, also among decreases', () => {
  const { form } = part('');
  const { fabric, starts, lean } = form;
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 28 }),
      fc.double({ min: -3, max: 3, noNaN: true }),
      (line, azimuth) => {
        const nearest = nearestFootHole({ fabric, starts, lean }, line, azimuth);
        const off = Math.abs(wrapAngle(nearest.azimuth - azimuth));
        for (let other = -3; other <= 3; other += 0.05)
          expect(
            Math.abs(wrapAngle(nearestFootHole({ fabric, starts, lean }, line, other).azimuth - azimuth)),
          ).toBeGreaterThanOrEqual(off - 1e-9);
        expect(nearest.hole).toBeGreaterThanOrEqual(1);
      },
    ),
    { numRuns: 40 },
  );
});

describe('what “8 apart” means', () => {
  const bare = `${noEyes}Eyes: 8 mm, between R15 and R16, 8 apart.\n`;

  test('is asked, and each answer is read back', () => {
    const asked = analyseToy(bare).problems.find(({ code }) => code === 'apart-reading')!;
    const read = asked.suggestions.map(({ edits }) => analyseToy(applyEdits(bare, edits)));
    expect(read.map(({ pattern }) => pattern.header.apart)).toEqual(['posts', 'showing']);
    expect(read.map(({ parts }) => parts[0]!.eyes!.apart)).toEqual([8, 9]);
    for (const { problems } of read) expect(problems.map(({ code }) => code)).not.toContain('apart-reading');
  });

  test('leaves alone what says it both ways, or post to post', () => {
    for (const sentence of ['8 apart (7 showing)', '8 post to post']) {
      const text = `Apart: showing\n${noEyes}Eyes: 8 mm, between R15 and R16, ${sentence}.\n`;
      expect(analyseToy(text).parts[0]!.eyes!.apart).toBe(8);
    }
  });
});
