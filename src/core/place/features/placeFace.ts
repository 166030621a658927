import type { Problem, Suggestion } from '../../notation/problem';
import type { FeatureKind } from '../../notation/step';
import { frontMoved } from '../frontEdits';
import { placeEyes, eyesRule, namedFront, type EyePlacement } from '../eyes';
import { eyeStep, withEyes, writeEyes } from '../eyeSentence';
import { frontAzimuth, lineAbove, roundIndex } from '../frontLine';
import { placeLyingFace } from '../lying/placeLyingFace';
import type { PartForm } from '../partForm';
import { anchorOf, eyeAnchor, hangsOn, standsBy, type Anchor } from './anchors';
import { asUsual } from './asUsual';
import { featureProblems } from './featureProblems';
import type { FeaturePlacement } from './featurePlacement';
import { ruleOfStep, verticalOf, type Vertical } from './featureRule';
import { writeFeature } from './featureSentence';
import { featureSteps, type NamedStep } from './featureSteps';
import { inOrder } from './inOrder';
import { byDistance } from './moveFeature';
import { placeOne } from './placeOne';
import { countedReach, lineEdge, reachOf } from './reach';
import { pressedEyes, referring } from './referring';
import { unread } from './unread';
import { upOf, verticalLine, type AddProblem } from './verticalLine';

/** Everything that is put on a part. */
export interface PlacedFace {
  /** azimuth of the front line, one for all of it */
  front: number;
  eyes: EyePlacement | null;
  /** every other feature, in the order of the text */
  features: FeaturePlacement[];
}

/**
 * Places every feature of a part by its rule, after what it hangs on. First the lines of holes, for those don't depend on where the front
 * is; then the front, which the eyes lead; then what goes sideways of it. What hangs on something that is not there, or on itself by a
 * detour, says so and is placed as if nothing had been said.
 */
export function placeFace(form: PartForm): PlacedFace {
  if (form.orientation.lying && form.fabric.rounds > 2) return placeLyingFace(form);
  const { part, fabric } = form;
  const steps = fabric.rounds < 2 ? [] : featureSteps(part);
  const eyesSaid = fabric.rounds < 2 ? undefined : eyeStep(part);
  const rules = new Map(steps.map(({ id, step }) => [id, ruleOfStep(step)] as const));
  const problems = new Map<string, Problem[]>([
    [pressedEyes, []],
    ...steps.map(({ id }) => [id, []] as [string, Problem[]]),
  ]);
  const adding =
    (id: string, at: { line: number; span: { from: number } } | undefined): AddProblem =>
    (code, severity, message, suggestions = []) =>
      problems.get(id)?.push({
        code,
        severity,
        part: part.name,
        line: at?.line,
        column: (at?.span.from ?? 0) + 1,
        message,
        suggestions,
      });
  const goesBy = referring(steps, eyesSaid !== undefined);
  // Where it usually goes by eyes there are none of, it is asked where it goes.
  for (const { id, step } of steps)
    if (verticalOf(step) === null && goesBy('eyes', id) === null)
      rules.set(id, { ...rules.get(id)!, vertical: null });

  const found = new Map<string, number>();
  const eyesBy: Vertical | null =
    eyesSaid && !eyesSaid.gap && (eyesSaid.relation || eyesSaid.level)
      ? eyesSaid.relation
        ? { by: 'relation', ...eyesSaid.relation }
        : { by: 'level', to: eyesSaid.level ?? 'eyes' }
      : null;
  const verticalOfId = (id: string) => (id === pressedEyes ? eyesBy : (rules.get(id)?.vertical ?? null));
  const waits = (id: string, kind: FeatureKind | null) => (kind === null ? null : goesBy(kind, id));
  const all = [...(eyesSaid ? [pressedEyes] : []), ...rules.keys()];
  const eyes = eyesSaid ? eyesRule(form, eyesSaid) : null;
  for (const { id, circular } of inOrder(all, (one) => waits(one, hangsOn(verticalOfId(one))))) {
    const step = id === pressedEyes ? eyesSaid : steps.find((one) => one.id === id)?.step;
    const add = adding(id, step);
    const kind = hangsOn(verticalOfId(id));
    const name = id === pressedEyes ? 'eyes' : id;
    const anchor = waits(id, kind);
    if (circular)
      add(
        'anchor-circle',
        'error',
        `The ${name} and what they hang on each wait for the other. Say between which rounds one of them goes.`,
      );
    else if (kind && (anchor === null || !found.has(anchor)))
      add(
        'anchor-missing',
        'warning',
        `The ${name} should go by the ${kind}, and no ${kind} are placed on this part. They are put on the middle of it until you say.`,
      );
    const lineBy = (by: FeatureKind, edge?: 'above' | 'below') => {
      const anchorId = goesBy(by, id) ?? '';
      const made = rules.get(anchorId);
      const counted = made && edge ? countedReach(made) : null;
      const line = found.get(anchorId);
      return line === undefined || !counted
        ? line
        : line + upOf(form) * (edge === 'above' ? counted.up : -counted.down);
    };
    if (id === pressedEyes) {
      if (!eyes) continue;
      const settle = (title: string, vertical: Vertical): Suggestion => ({
        title,
        edits: [writeEyes(part, withEyes(eyes.rule, vertical.by === 'gap' ? { gap: vertical.gap } : {}))],
      });
      for (const { code, severity, message, suggestions } of unread(
        step!,
        name,
        'round',
        (rounds) =>
          writeEyes(part, withEyes(eyes.rule, { vertical: { by: 'relation', ...step!.relation!, rounds } })),
        () => writeEyes(part, withEyes(eyes.rule, eyesBy ? { vertical: eyesBy } : {})),
      ))
        add(code, severity, message, suggestions);
      found.set(
        id,
        eyesBy
          ? verticalLine(form, eyesBy, name, lineEdge, lineBy, add, settle)
          : lineAbove(fabric, eyes.rule.gap[0]) || roundIndex(fabric, eyes.rule.gap[0]),
      );
    } else {
      const rule = rules.get(id)!;
      const settle = (title: string, vertical: Vertical): Suggestion => ({
        title,
        edits: [writeFeature(part, id, { ...rule, vertical })],
      });
      found.set(id, verticalLine(form, rule.vertical, name, reachOf(rule), lineBy, add, settle));
      for (const { code, severity, message, suggestions } of unread(
        step!,
        name,
        'round',
        (rounds) =>
          writeFeature(part, id, { ...rule, vertical: { by: 'relation', ...step!.relation!, rounds } }),
        () => writeFeature(part, id, rule),
      ))
        add(code, severity, message, suggestions);
      const named = steps.find((one) => one.id === id);
      if (named)
        for (const { code, severity, message, suggestions } of asUsual(named.step, rule, name, () =>
          writeFeature(part, id, rule),
        ))
          add(code, severity, message, suggestions);
      if (step?.across === 'rounds')
        add(
          'across-in-rounds',
          'warning',
          `Rounds run level on this part, so across is counted in stitches, and that many stitches are taken for the ${name}.`,
          [{ title: 'Say it in stitches', edits: [writeFeature(part, id, rule)] }],
        );
      if (step?.otherGap && step.otherGap[0] !== step.gap?.[0]) {
        const other = { ...rule, vertical: { by: 'gap' as const, gap: step.otherGap } };
        add(
          'feature-two-places',
          'warning',
          `One sentence names two lines of holes; the first is taken for the ${name}. Give each its own sentence.`,
          [{ title: 'A sentence each', edits: [writeFeature(part, id, rule, other)] }],
        );
      }
    }
  }

  const opposite = frontAzimuth(part, fabric, form.starts, frontRounds(steps, rules, found));
  const front =
    (eyes && !part.front ? namedFront(form, eyes.rule, found.get(pressedEyes) ?? 1) : null) ?? opposite;
  const placedEyes = eyes ? placeEyes(form, eyes, eyesBy, found.get(pressedEyes) ?? 1, front) : null;
  placedEyes?.problems.push(...(problems.get(pressedEyes) ?? []), ...frontMoved(form, placedEyes, opposite));
  const anchors = new Map<string, Anchor>(placedEyes ? [[pressedEyes, eyeAnchor(form, placedEyes)]] : []);
  const features: FeaturePlacement[] = [];
  for (const { id, circular } of inOrder([...rules.keys()], (one) =>
    waits(one, standsBy(rules.get(one)!.sideways)),
  )) {
    const rule = rules.get(id)!;
    const add = adding(id, steps.find((one) => one.id === id)?.step);
    const kind = standsBy(rule.sideways);
    const said = problems.get(id)?.some((problem) => problem.code === 'anchor-missing');
    if (kind && !circular && !said && !anchors.has(goesBy(kind, id) ?? ''))
      add(
        'anchor-missing',
        'warning',
        `The ${id} should go by the ${kind}, and no ${kind} are placed on this part. They are put about the middle of it until you say.`,
      );
    const hangs = rules.get(waits(id, hangsOn(rule.vertical)) ?? '');
    const placed = {
      ...placeOne(form, id, rule, found.get(id) ?? 1, front, (by) => anchors.get(goesBy(by, id) ?? ''), add),
      counted: hangs ? countedReach(hangs) : lineEdge,
    };
    anchors.set(id, anchorOf(form, placed));
    features.push(placed);
  }
  const order = [...rules.keys()];
  features.sort((a, b) => order.indexOf(a.id) - order.indexOf(b.id));
  for (const placed of features) {
    const unitsAt = (line: number) =>
      placeOne(
        form,
        placed.id,
        byDistance(placed),
        line,
        front,
        (by) => anchors.get(goesBy(by, placed.id) ?? ''),
        () => {},
      ).units;
    placed.problems.push(
      ...(problems.get(placed.id) ?? []),
      ...featureProblems(form, placed, features, placedEyes, front, unitsAt),
    );
  }
  return { front, eyes: placedEyes, features };
}

/** The rounds the front is found by: those beside the eyes, which lead a face; without eyes those of everything that is not at the back. */
function frontRounds(
  steps: readonly NamedStep[],
  rules: ReadonlyMap<string, { sideways: { by: string } }>,
  found: ReadonlyMap<string, number>,
): number[] {
  const eyes = found.get(pressedEyes) ?? found.get('eyes');
  if (eyes !== undefined) return [eyes, eyes + 1];
  return steps.flatMap(({ id }) => {
    const line = found.get(id);
    return line === undefined || rules.get(id)?.sideways.by === 'back' ? [] : [line, line + 1];
  });
}
