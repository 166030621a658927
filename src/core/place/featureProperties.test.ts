import type { FeatureUnit } from './resolve/unit';
import * as fc from 'fast-check';
import { featureHead } from '../__tests__/featureCorpus';
import { applyEdits } from '../notation/applyEdits';
import { readSentences } from '../notation/sentence/readSentences';
import type { FeatureKind } from '../notation/sentence/said';
import { analyseFaces as analyseToy, headWith, type FacePart as PartAnalysis } from '../__tests__/faces';
import { frameOfPart } from '../toy/analyse';
import { wrapAngle } from '../shape/azimuth';
import { holeAzimuth } from './frame/holes';
import { raised, widened } from './move/step';
import { seatHoles } from './frame/partForm';
import { isStitchedStyle, type FeatureRule, type Sideways, type Vertical } from './rule/rule';
import { removeRule, ruleSentence, writeRule } from './rule/writeRule';
import { featureLibrary } from './rule/library';
import { proposedRule } from './rule/proposeRule';
import { readRule } from './rule/readRule';

const kinds = Object.keys(featureLibrary) as FeatureKind[];
const only = (part: PartAnalysis) => part.features[0]!;

const verticals: fc.Arbitrary<Vertical> = fc.oneof(
  fc
    .integer({ min: 1, max: 28 })
    .map((round) => ({ by: 'gap' as const, gap: [round, round + 1] as [number, number] })),
  fc.record({
    by: fc.constant('relation' as const),
    rounds: fc.integer({ min: 1, max: 5 }),
    direction: fc.constantFrom('above' as const, 'below' as const),
    to: fc.constantFrom(
      'eyes' as const,
      'ridge' as const,
      'colour change' as const,
      'base' as const,
      'edge' as const,
      'neck' as const,
      'last increase' as const,
      'first decrease' as const,
    ),
  }),
  fc.record({
    by: fc.constant('relation' as const),
    rounds: fc.constant(0),
    direction: fc.constant('above' as const),
    to: fc.constantFrom('ridge' as const, 'colour change' as const, 'neck' as const),
  }),
  fc.record({
    by: fc.constant('relation' as const),
    rounds: fc.integer({ min: 2, max: 9 }),
    direction: fc.constant('from' as const),
    to: fc.constantFrom(
      'base' as const,
      'edge' as const,
      'last increase' as const,
      'first decrease' as const,
    ),
  }),
  fc.constant({ by: 'level' as const, to: 'eyes' as const }),
  fc.constant({ by: 'start' as const }),
);
const besides: fc.Arbitrary<Sideways> = fc.oneof(
  fc.constant({ by: 'holes' as const, holes: [12, 25] }),
  fc.integer({ min: 2, max: 12 }).map((apart) => ({ by: 'apart' as const, apart })),
  fc.record({
    by: fc.constant('outward' as const),
    stitches: fc.integer({ min: 1, max: 4 }),
    from: fc.constantFrom('eyes' as const, 'front' as const),
  }),
  fc
    .constantFrom('inner' as const, 'outer' as const, 'middle' as const)
    .map((edge) => ({ by: 'inLine' as const, edge, to: 'eyes' as const })),
);
const backs: fc.Arbitrary<Sideways> = fc
  .integer({ min: 2, max: 12 })
  .map((apart) => ({ by: 'back' as const, apart }));
const middles: fc.Arbitrary<Sideways> = fc.constantFrom(
  { by: 'holes' as const, holes: [16] },
  { by: 'front' as const },
  { by: 'back' as const },
  { by: 'inLine' as const, edge: 'inner' as const, to: 'eyes' as const },
);

const ruleArbitrary: fc.Arbitrary<FeatureRule> = fc
  .constantFrom(...kinds.filter((kind) => kind !== 'eyes' && kind !== 'sculpting'))
  .chain((kind) => {
    const entry = featureLibrary[kind];
    return fc
      .constantFrom('middle' as const, 'both' as const, 'left' as const, 'right' as const)
      .chain((sides) =>
        fc
          .record({
            kind: fc.constant(kind),
            style: entry.styles.length > 0 ? fc.constantFrom(...entry.styles) : fc.constant(null),
            wide: fc.integer({ min: 1, max: 9 }),
            high: fc.integer({ min: 1, max: 4 }),
            vertical: verticals,
            sides: fc.constant(sides),
            sideways: sides === 'middle' ? middles : sides === 'both' ? fc.oneof(besides, backs) : besides,
            seat: fc.constantFrom(null, 'foot' as const, 'split' as const),
          })
          .map((rule): FeatureRule => {
            const embroidered = rule.style === null ? entry.stitched : isStitchedStyle(rule.style);
            // What has a size in mm has no width in stitches of its own.
            return embroidered || entry.usualMm === null
              ? { ...rule, embroidered, sizeMm: null }
              : { ...rule, embroidered, sizeMm: 8, wide: entry.wide, high: entry.high };
          }),
      );
  });

describe('properties', () => {
  const upright = analyseToy(featureHead).parts[0]!.form;
  test('a rule written as a sentence is read back as the same rule', () => {
    fc.assert(
      fc.property(ruleArbitrary, (rule) => {
        const [step] = readSentences(ruleSentence(rule), 1);
        expect(step).toMatchObject({ kind: 'feature', feature: rule.kind });
        expect(readRule(step as never, upright)).toEqual(rule);
      }),
      { numRuns: 600 },
    );
  });

  test('placing is idempotent: the rule of what was placed, written into the text, places the same', () => {
    fc.assert(
      fc.property(ruleArbitrary, (rule) => {
        const text = `${featureHead}${ruleSentence(rule)}\n`;
        const first = analyseToy(text).parts[0]!;
        const placed = only(first);
        const again = only(
          analyseToy(applyEdits(text, [writeRule(first.source, placed.id, placed.rule)])).parts[0]!,
        );
        expect({ ...again, problems: again.problems.map(({ code }) => code) }).toEqual({
          ...placed,
          problems: placed.problems.map(({ code }) => code),
        });
      }),
      { numRuns: 60 },
    );
  });

  test('everything on a face shares one middle, however far apart in rounds and however the rounds lean', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 23 }),
        fc.integer({ min: 2, max: 8 }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        fc.constantFrom('', 'Hand: left\n', 'Start: bottom\n'),
        (line, wide, lean, header) => {
          const part = headWith(
            `Mouth: between R${line} and R${line + 1}, ${wide} wide`,
            `Lean: ${lean.toFixed(2)}\n${header}`,
          );
          const [left, right] = part.eyes!.units as [FeatureUnit, FeatureUnit];
          const step = (2 * Math.PI) / 36;
          const off =
            Math.abs(
              wrapAngle(
                only(part).units[0]!.azimuth - left.azimuth - wrapAngle(right.azimuth - left.azimuth) / 2,
              ),
            ) / step;
          // Half a stitch for each of the two is all that whole stitches can cost.
          expect(off).toBeLessThanOrEqual(1 + 1e-9);
          expect(part.map.front).toBe(part.eyes!.front);
        },
      ),
      { numRuns: 80 },
    );
  });

  test('mirror pairs are as mirror-true as the holes allow: no other pair of that distance lies nearer to the middle', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 24 }),
        fc.integer({ min: 2, max: 14 }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        (line, apart, lean) => {
          const part = headWith(
            `Cheeks: felt, 5 mm, between R${line} and R${line + 1}, ${apart} apart`,
            `Lean: ${lean.toFixed(2)}\n`,
          );
          const placed = only(part);
          const holes = seatHoles(part.form, placed.line, 'foot');
          const step = (2 * Math.PI) / holes.count;
          const { front } = part.map;
          const misses = Array.from({ length: holes.count }, (_, i) =>
            Math.abs(
              wrapAngle((holeAzimuth(holes, i + 1) + holeAzimuth(holes, i + 1 + placed.apart!)) / 2 - front),
            ),
          );
          const best = Math.min(...misses);
          expect(Math.abs(placed.missStitches)).toBeLessThanOrEqual(0.5 + 1e-9);
          expect(best / step).toBeCloseTo(Math.abs(placed.missStitches), 6);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('what hangs on the eyes moves with them', () => {
    const text = (gap: number, apart: number) =>
      `${featureHead.replace(/Eyes:.*\n/, `Eyes: 8 mm, between R${gap} and R${gap + 1}, ${apart} apart.\n`)}Cheeks: felt, 6 mm, 2 rounds below the eyes, 1 stitch outside the eyes.\nMouth: 4 rounds below the eyes, 3 wide.\nNose: 1 round above the mouth, 3 wide.\n`;
    const at = (gap: number, apart: number) => analyseToy(text(gap, apart)).parts[0]!.features;
    for (const gap of [10, 12, 14])
      expect(at(gap, 7).map((feature) => feature.line)).toEqual([gap + 2, gap + 4, gap + 3]);
    expect(at(14, 9)[0]!.apart! - at(14, 7)[0]!.apart!).toBe(2);
  });

  test('rounds put in above the eyes carry everything along', () => {
    const sentences = 'Mouth: 4 rounds below the eyes, 3 wide.';
    const more = featureHead
      .replace('R7-R12:', 'R7-R!!:')
      .replace(/\bR(1[3-9]|2\d)\b/g, (_, n: string) => `R${Number(n) + 2}`)
      .replace('R!!', 'R14');
    expect(only(analyseToy(`${more}${sentences}`).parts[0]!).line).toBe(21);
  });

  test('changing the hand twice changes nothing', () => {
    const once = headWith('Brows 3 rounds above the eyes, 7 apart, 2 wide.');
    const left = headWith('Brows 3 rounds above the eyes, 7 apart, 2 wide.', 'Hand: left\n');
    const back = headWith('Brows 3 rounds above the eyes, 7 apart, 2 wide.', 'Hand: right\n');
    expect(back.features.map(({ units }) => units)).toEqual(once.features.map(({ units }) => units));
    expect(left.features[0]!.units[0]!.from).toBe(once.features[0]!.units[1]!.from);
  });
});

describe('by thumb', () => {
  const text = (sentence: string) => `${featureHead}${sentence}\n`;

  test.each(kinds.filter((kind) => kind !== 'eyes'))(
    '%s: put on, moved round the compass, and taken off again',
    (kind) => {
      let current = text('').trimEnd() + '\n';
      const part = () => analyseToy(current).parts[0]!;
      const put = (rule: FeatureRule | null, id: string | null = kind) => {
        current = applyEdits(current, [writeRule(part().source, id, rule!)]);
      };
      put(proposedRule(kind, part().form, part().eyes!.line, part().map.front), null);
      const found = () => part().features.find((feature) => feature.kind === kind)!;
      const { line, apart, units, rule } = found();
      expect(part().problems.filter((problem) => problem.severity === 'error')).toEqual([]);
      put(raised(frameOfPart(part()), found(), -1));
      expect(found().line).toBe(line + 1);
      put(raised(frameOfPart(part()), found(), 1));
      expect(found().line).toBe(line);
      put(widened(frameOfPart(part()), found(), 1));
      if (apart === null && rule.sizeMm !== null)
        expect(found().rule.sizeMm).toBe(featureLibrary[kind].sizesMm.find((size) => size > rule.sizeMm!));
      else if (apart === null) expect(found().rule.wide).toBe(Math.abs(units[0]!.to - units[0]!.from) + 1);
      else expect(found().apart).toBeGreaterThan(apart);
      put(widened(frameOfPart(part()), found(), -1));
      expect(found().apart).toBe(apart);
      current = applyEdits(current, [removeRule(part().source, kind)!]);
      expect(part().features).toEqual([]);
    },
  );

  test('a remedy mends what it is offered for', () => {
    const toy = analyseToy(text('Mouth: 4 rounds below the eyes, 4 wide.'));
    const problem = toy.parts[0]!.features[0]!.problems.find((one) => one.code === 'not-centred')!;
    expect(problem.suggestions.length).toBeGreaterThan(1);
    const misses = problem.suggestions.map((suggestion) =>
      Math.abs(analyseToy(applyEdits(toy.text, suggestion.edits)).parts[0]!.features[0]!.missStitches),
    );
    // Best first; every one better than before.
    expect(misses[0]).toBeLessThan(0.2);
    expect(misses).toEqual([...misses].sort((a, b) => a - b));
    for (const miss of misses) expect(miss).toBeLessThan(0.5);
  });
});
