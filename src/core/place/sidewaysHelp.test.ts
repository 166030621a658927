import { analyseToy as wholeToy, frameOfPart } from '../toy/analyse';
import { sizeOf } from '../shape/profile';
import { sizeOfPart } from '../toy/stuffedPart';
import { analyseFaces as analyseToy, type FacePart as PartAnalysis } from '../__tests__/faces';
import { arrangementWords, nearestArrangements } from '../edit/arrangements';
import { buildSheet } from '../toy/sheet/buildSheet';
import { sheetHtml } from '../toy/sheet/sheetHtml';
import { fabricMap, holeOnMap, mapPoint } from '../shape/map';
import { frontView } from '../shape/frontView';
import { droppedAt, featureDropped } from './move/drop';
import { eyeAddress, eyeDirections, eyePlaces, featureWords } from './words/directions';
import { ruleSentence } from './rule/writeRule';
import { raised, widened, withApart } from './move/step';
import { markerPlan, markWords } from './words/markerPlan';
import { pairForProportion, proportionOf, proportionSteps } from './move/proportion';
import { checkSidewaysSeated, plannedSidewaysCount } from './seated/sidewaysCount';
import { conflictMarks } from './check/marks';

/** The head of lyingFace.test: eyes on lines 8 and 12 in holes 18 and 19, the middle of the face on line 9.84. */
const head = (start: string) =>
  [
    'Gauge: 5 mm x 5 mm',
    '',
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
    '',
    'Eyes: 8 mm, between R8 and R9 and between R12 and R13.',
    '',
  ].join('\n');
const text = (sentences: string, start = 'left') => `${head(start)}${sentences}\n`;
const part = (sentences = '', start = 'left'): PartAnalysis => analyseToy(text(sentences, start)).parts[0]!;

describe('in words', () => {
  test('each eye has its own round to count along and to mark', () => {
    const { form, eyes } = part();
    expect(eyePlaces(form, eyes!)).toEqual([
      { gap: [8, 9], holes: 'hole 18' },
      { gap: [12, 13], holes: 'hole 19' },
    ]);
    expect(eyeAddress(form, eyes!)).toEqual({
      gap: 'between rounds 8 and 9 and between rounds 12 and 13',
      holes: 'hole 18 and hole 19',
      showing: '4 rounds apart',
    });
    expect(eyeDirections(form, eyes!)).toEqual({
      sides:
        'Left eye hole 18 between rounds 8 and 9, right eye hole 19 between rounds 12 and 13, as you look at the face.',
      count:
        'Count from the first stitch of the round: along round 9 to the foot of stitch 18 of 36 and along round 13 to the foot of stitch 19 of 36.',
      markers: 'While working, put a marker into stitch 18 of round 9 and stitch 19 of round 13 as you pass.',
      check:
        'Check: 4 rounds lie between the two lines of holes. The number is not the same in both: a round begins a little further round than the one before it, so level with hole 18 is hole 19.',
    });
  });

  test('a feature from the eyes: rounds across, then stitches up or down', () => {
    const face = part(
      'Mouth: 5 stitches below the eyes, 4 rounds wide. Felt cheeks, 8 mm, 3 stitches below the eyes, 1 round outside the eyes.',
    );
    const [mouth, cheeks] = face.features.map((feature) =>
      featureWords(feature, frameOfPart(face), face.eyes),
    );
    expect(mouth?.address).toBe(
      'Mouth between rounds 8 and 9 hole 13 of 36, between rounds 12 and 13 hole 14 of 36',
    );
    expect(mouth?.there).toMatch(
      /^From the left eye’s hole 4½ stitches down; from the right eye’s hole 4½ stitches down\.$/,
    );
    expect(mouth?.check).toBe('Check: it is 4 rounds wide.');
    expect(mouth?.needle[0]).toBe('1. out at hole 13 between 8 and 9');
    expect(cheeks?.there).toMatch(
      /^From the left eye’s hole 1 round outwards, then 2½ stitches down; from the right eye’s hole 1 round outwards, then 3 stitches down\.$/,
    );
    expect(cheeks?.check).toBe('Check: 6 rounds lie between the two.');
  });

  test('markers round by round, and all of it on the sheet', () => {
    const { fabric, all } = part('Mouth: 5 stitches below the eyes, 4 rounds wide.');
    expect(markerPlan(fabric, all).map(({ label, marks }) => [label, markWords(marks)])).toEqual([
      [9, 'stitch 13 (mouth) and stitch 18 (left eye)'],
      [13, 'stitch 14 (mouth) and stitch 19 (right eye)'],
    ]);
    const sheet = buildSheet(wholeToy(text('Mouth: 5 stitches below the eyes, 4 rounds wide.'))).parts[0]!;
    expect(sheet.facts).toContain('worked from the left to the right');
    expect(sheet.placed[0]?.heading).toBe(
      '8 mm eyes between rounds 8 and 9 and between rounds 12 and 13, hole 18 and hole 19, 4 rounds apart',
    );
    expect(sheet.placed[0]?.sentences.join(' ')).not.toContain('A spiral climbs');
    expect(sheet.map?.circles).toHaveLength(2);
    // Round 10 lies between lines 9 and 10: 47.5 mm before the middle of 95 mm, its number under the drawing.
    expect(sheetHtml(buildSheet(wholeToy(text(''))))).toMatch(
      /<text x="0" y="190(\.\d+)?" text-anchor="middle">10<\/text>/,
    );
  });

  test('landmarks lie at the sides', () => {
    const striped = text('Bow at the back, felt, 12 mm, between R9 and R10.').replace(
      'R7-R14: sc around [36]',
      'R7: change to cream, sc around [36]\nR8-R14: sc around [36]',
    );
    const face = analyseToy(striped).parts[0]!;
    const [bow] = face.features;
    expect(ruleSentence(bow!.rule)).toBe(
      'Bow: felt, 12 mm, 6 stitches below the eyes, at the back, between R9 and R10.',
    );
    const { there } = featureWords(bow!, frameOfPart(face), face.eyes);
    expect(there).toContain('3 rounds to the right of the colour change');
  });
});

describe('on the real piece', () => {
  test('counted as planned, nothing is to be moved', () => {
    const { eyes, form, fabric } = part();
    const count = plannedSidewaysCount(eyes!, fabric.label);
    expect(count).toEqual({ left: { round: 8, before: 17 }, right: { round: 12, before: 18 } });
    expect(checkSidewaysSeated(form, eyes!, count)).toMatchObject({ level: true, centred: true, moves: [] });
  });

  test('an eye a stitch too high, an eye a round too far', () => {
    const { eyes, form } = part();
    const high = checkSidewaysSeated(form, eyes!, {
      left: { round: 8, before: 17 },
      right: { round: 12, before: 19 },
    });
    // A stitch of 36 on a round 57.3 mm across lies sin 10° of 28.6 mm higher.
    expect(high.rightHigherMm).toBeCloseTo(4.97, 1);
    expect(high).toMatchObject({ level: false, moves: ['Move the right eye 1 stitch down.'] });
    const far = checkSidewaysSeated(form, eyes!, {
      left: { round: 8, before: 17 },
      right: { round: 15, before: 18 },
    });
    expect(far.offMm).toBeGreaterThan(4);
    expect(far).toMatchObject({
      centred: false,
      moves: ['Move the right eye 3 rounds to the left, to stitch 19 of it.'],
    });
  });
});

test('proportion: by height on the rounds, by distance between them', () => {
  const face = part();
  const { eyes } = face;
  const frame = frameOfPart(face);
  const now = proportionOf(frame, eyes!);
  // On the front line, half way down; 20 mm of 56.3 apart.
  expect(now.down).toBeCloseTo(0.5, 2);
  expect(now.apart).toBeCloseTo(20 / 56.3, 2);
  const { rule, real } = pairForProportion(frame, { down: 0.42, apart: 0.53 }, eyes!);
  expect(rule.vertical).toMatchObject({ stitches: 1, direction: 'above' });
  expect(rule.sideways).toEqual({ by: 'rounds', from: 7, to: 13 });
  expect(real.down).toBeCloseTo(0.5 - Math.sin(Math.PI / 18) / 2, 2);
  const steps = proportionSteps(frame, eyes!);
  expect(steps.down).toEqual([...steps.down].sort((a, b) => a - b));
  expect(steps.apart).toHaveLength(17);
});

describe('moving', () => {
  test('eyes: a stitch up and down, a round closer and wider, and no further than there is room', () => {
    const face = part();
    const { eyes } = face;
    const frame = frameOfPart(face);
    expect(raised(frame, eyes!, 1)?.vertical).toMatchObject({ stitches: 1, direction: 'above' });
    // Nine stitches of thirty-six lead from the front to the top.
    const top = frame.raise(0, 9)!;
    expect(raised(frame, { ...eyes!, level: top }, 1)).toBeNull();
    expect(withApart(frame, eyes!, 6)?.sideways).toEqual({ by: 'rounds', from: 7, to: 13 });
    expect(withApart(frame, eyes!, 18)).toBeNull();
    expect(withApart(frame, eyes!, 0)).toBeNull();
  });

  test('features: what is counted from goes on being counted from', () => {
    const face = part(
      'Mouth: 1 stitch below the eyes, 4 rounds wide. Felt cheeks, 8 mm, level with the eyes, 2 rounds outside the eyes.',
    );
    const frame = frameOfPart(face);
    const [mouth, cheeks] = face.features;
    expect(raised(frame, mouth!, 1)?.vertical).toEqual({
      by: 'stitches',
      stitches: 0,
      direction: 'below',
      to: 'eyes',
    });
    expect(raised(frame, cheeks!, -1)?.vertical).toEqual({
      by: 'stitches',
      stitches: 1,
      direction: 'below',
      to: 'eyes',
    });
    expect(widened(frame, mouth!, 1)?.wide).toBe(5);
    expect(widened(frame, cheeks!, 1)?.sideways).toEqual({ by: 'outward', stitches: 3, from: 'eyes' });
  });

  test('what is dropped on the map where it was changes nothing; elsewhere it goes to the nearest', () => {
    for (const start of ['left', 'right']) {
      const face = part(
        'Mouth: 5 stitches below the eyes, 4 rounds wide. Felt cheeks, 8 mm, 3 stitches below the eyes, 1 round outside the eyes.',
        start,
      );
      const { map, eyes, features } = face;
      const frame = frameOfPart(face);
      const drawn = fabricMap(map);
      const [left] = eyes!.units;
      const at = mapPoint(map, left!.fromLine, left!.azimuth);
      const drop = (x: number, y: number) => droppedAt(frame, map, drawn.height, { x, y });
      expect(featureDropped(frame, eyes!, drop(at.x, at.y))).toBeNull();
      const higher = featureDropped(frame, eyes!, drop(at.x, at.y - 10));
      expect(higher?.vertical).toMatchObject({ stitches: 2, direction: 'above' });
      expect(higher?.sideways).toEqual(eyes!.rule.sideways);
      const wider = featureDropped(frame, eyes!, drop(at.x - 10, at.y));
      expect(wider?.vertical).toMatchObject({ stitches: 0 });
      expect(wider?.sideways).toEqual({ by: 'rounds', from: 6, to: 14 });
      const [mouth, cheeks] = features;
      const middle = mapPoint(map, 10, mouth!.units[0]!.azimuth);
      expect(featureDropped(frame, mouth!, drop(middle.x, middle.y))).toBeNull();
      expect(featureDropped(frame, mouth!, drop(middle.x, middle.y + 10))?.vertical).toMatchObject({
        stitches: 7,
        direction: 'below',
      });
      const cheek = cheeks!.units.find(({ side }) => side === 'left')!;
      const spot = mapPoint(map, cheek.fromLine, cheek.fromAzimuth);
      expect(featureDropped(frame, cheeks!, drop(spot.x - 5, spot.y))?.sideways).toEqual({
        by: 'apart',
        apart: 8,
      });
    }
  });

  test('the nearest arrangements are whole faces of their own', () => {
    const face = part();
    const found = nearestArrangements(text(''), face, 6);
    expect(found.length).toBeGreaterThan(2);
    for (const one of found)
      expect(arrangementWords(one.part, one.eyes).words).toMatch(/^\d+\|\d+ and \d+\|\d+/);
    expect(found.map((one) => one.eyes.rule.vertical)).toContainEqual({
      by: 'stitches',
      stitches: 1,
      direction: 'above',
      to: 'front',
    });
  });
});

describe('drawn', () => {
  test('the map lies on its side: the start left or right, up upwards, the middle of the face at 0', () => {
    const { map, eyes } = part();
    const drawn = fabricMap(map);
    expect([drawn.width, drawn.height]).toEqual([19 * 5, expect.closeTo(180, 1)]);
    const at = (line: number, azimuth: number) => mapPoint(map, line, azimuth);
    expect(at(0, map.front).x).toBeCloseTo(-47.5, 1);
    expect(at(19, map.front).x).toBeCloseTo(47.5, 1);
    expect(at(8, map.front + 0.5).y).toBeLessThan(at(8, map.front).y);
    expect(drawn.lines[8]).toBeCloseTo(8 * 5 - 47.5, 5);
    // The middle of the face lies on line 9.84, where the dotted line is drawn, whichever end is at the left.
    expect(drawn.middle).toBeCloseTo(9.84 * 5 - 47.5, 0);
    expect(fabricMap(part('', 'right').map).middle).toBeCloseTo(47.5 - 9.84 * 5, 0);
    const [left, right] = eyes!.units.map((post) =>
      holeOnMap(map, drawn, { line: post.fromLine, hole: post.from, azimuth: post.azimuth, seat: 'foot' }),
    );
    expect(left!.x).toBeLessThan(right!.x);
    expect(Math.abs(left!.y - right!.y)).toBeLessThan(1);
    const turnedRound = part('', 'right');
    expect(mapPoint(turnedRound.map, 0, turnedRound.map.front).x).toBeCloseTo(47.5, 1);
    expect(mapPoint(turnedRound.map, 8, turnedRound.map.front + 0.5).y).toBeGreaterThan(
      mapPoint(turnedRound.map, 8, turnedRound.map.front).y,
    );
  });

  test('the small picture is as wide as the part is long', () => {
    const { map } = part();
    const view = frontView(map);
    const standing = sizeOf(map.profile);
    expect(view.width).toBeCloseTo(standing.heightMm, 5);
    expect(view.height).toBeCloseTo(standing.widthMm, 5);
    for (let i = 0; i < view.strokes.length; i += 2) {
      expect(Math.abs(view.strokes[i]!)).toBeLessThanOrEqual(view.width / 2 + 0.01);
      expect(view.strokes[i + 1]!).toBeGreaterThanOrEqual(-0.01);
      expect(view.strokes[i + 1]!).toBeLessThanOrEqual(view.height + 0.01);
    }
  });

  test('conflicts are marked at the holes they are about', () => {
    const { all } = analyseToy(
      text('').replace(
        'between R8 and R9 and between R12 and R13',
        'between R9 and R10 and between R13 and R14',
      ),
    ).parts[0]!;
    expect(
      conflictMarks(all)
        .find(({ code }) => code === 'not-centred')
        ?.ends.map(({ line }) => line),
    ).toEqual([9, 13]);
  });
});

test('rows lie too: a flat piece worked sideways', () => {
  const rows = [
    'Gauge: 5 mm x 5 mm',
    '',
    'Face',
    'Start: left',
    'Row 1: ch 13, sc in 2nd ch from hook, sc 11 [12]',
    'Rows 2-15: ch 1, turn, sc across [12]',
    'Eyes: 8 mm, embroidered, 6 rounds apart, 2 stitches above the front line.',
    'Mouth: 3 stitches below the front line, 4 rounds wide.',
    '',
  ].join('\n');
  const [piece] = analyseToy(rows).parts;
  const { features } = piece!;
  expect(sizeOfPart(piece!)).toEqual({ widthMm: 75, heightMm: 60 });
  const [mouth] = features.filter(({ kind }) => kind === 'mouth');
  expect(mouth!.units[0]!.toLine - mouth!.units[0]!.fromLine).toBe(4);
  // Row 1 begins at the lower edge of a piece that starts at the left: 3 stitches below its middle of 6 is hole 3 or 4 from there.
  const fromBelow = ({ line, hole }: { line: number; hole: number }) => (line % 2 === 1 ? 13 - hole : hole);
  const ends = mouth!.units.flatMap((unit) => [
    { line: unit.fromLine, hole: unit.from },
    { line: unit.toLine, hole: unit.to },
  ]);
  expect(new Set(ends.map(fromBelow)).size).toBe(1);
  expect([3, 4]).toContain(fromBelow(ends[0]!));
});
