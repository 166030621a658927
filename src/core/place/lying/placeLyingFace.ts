import type { Problem } from '../../notation/problem';
import type { FeatureKind } from '../../notation/step';
import { eyeStep } from '../eyeSentence';
import { standsBy, type Anchor } from '../features/anchors';
import { writeFeature } from '../features/featureSentence';
import { asUsual } from '../features/asUsual';
import type { FeaturePlacement } from '../features/featurePlacement';
import { isAtBack, type FeatureRule } from '../features/featureRule';
import { featureSteps } from '../features/featureSteps';
import { inOrder } from '../features/inOrder';
import type { PlacedFace } from '../features/placeFace';
import { countedReach, lineEdge } from '../features/reach';
import { pressedEyes, referring } from '../features/referring';
import { unread } from '../features/unread';
import type { AddProblem } from '../features/verticalLine';
import { frontAzimuth } from '../frontLine';
import type { PartForm } from '../partForm';
import { heightAt, heightUp, lyingFrame } from './frame';
import { lyingEyesRule } from './lyingEyesRule';
import { lyingProblems } from './lyingProblems';
import { lyingRule } from './lyingRule';
import { linesOf, placeLyingEyes } from './placeLyingEyes';
import { lyingAnchor, placeLyingOne } from './placeLyingOne';

/** What a feature goes by for its height. */
function hangsBy({ vertical }: FeatureRule): FeatureKind | null {
  if (vertical?.by === 'level') return vertical.to;
  return vertical?.by === 'stitches' && vertical.to !== 'front' ? vertical.to : null;
}

/**
 * Places every feature of a part that lies on its side. The eyes say which rounds lie before the face, and so where its front line is;
 * then each feature's height, after what it hangs on, and last what goes sideways of something.
 */
export function placeLyingFace(form: PartForm): PlacedFace {
  const { part, fabric } = form;
  const steps = featureSteps(part);
  const eyesSaid = eyeStep(part);
  const rules = new Map(
    steps.map(
      ({ id, step }) => [id, lyingRule(step, fabric.label[fabric.rounds - 1] ?? fabric.rounds)] as const,
    ),
  );
  const problems = new Map<string, Problem[]>(steps.map(({ id }) => [id, []]));
  const adding = (id: string): AddProblem => {
    const step = steps.find((one) => one.id === id)?.step;
    return (code, severity, message, suggestions = []) =>
      problems.get(id)?.push({
        code,
        severity,
        part: part.name,
        line: step?.line,
        column: (step?.span.from ?? 0) + 1,
        message,
        suggestions,
      });
  };
  const goesBy = referring(steps, eyesSaid !== undefined);
  // The middle of the face does not hang on the front, so the eyes' rounds are known before it.
  const eyes = eyesSaid ? lyingEyesRule(form, lyingFrame(form, 0), eyesSaid) : null;
  const front = frontAzimuth(
    part,
    fabric,
    form.starts,
    eyes ? linesOf(form, eyes.rule).flatMap((line) => [line, line + 1]) : [],
  );
  const frame = lyingFrame(form, front);
  const behind = lyingFrame(form, front, 'back');
  const placedEyes = eyes ? placeLyingEyes(form, frame, eyes) : null;

  const countedOf = (id: string) => {
    const kind = hangsBy(rules.get(id)!);
    const made = kind === null ? undefined : rules.get(goesBy(kind, id) ?? '');
    return made ? countedReach(made) : lineEdge;
  };
  const heights = new Map<string, number>();
  if (placedEyes)
    heights.set(
      pressedEyes,
      placedEyes.posts.reduce((sum, { line, azimuth }) => sum + heightAt(form, frame, line, azimuth), 0) / 2,
    );
  for (const { id, circular } of inOrder([...rules.keys()], (one) => {
    const kind = hangsBy(rules.get(one)!);
    return kind && goesBy(kind, one);
  })) {
    const rule = rules.get(id)!;
    const add = adding(id);
    const kind = hangsBy(rule);
    const from = kind === null ? 0 : heights.get(goesBy(kind, id) ?? '');
    if (circular)
      add(
        'anchor-circle',
        'error',
        `The ${id} and what they hang on each wait for the other. Say how many stitches above or below the front line one of them goes.`,
      );
    else if (from === undefined)
      add(
        'anchor-missing',
        'warning',
        `The ${id} should go by the ${kind}, and no ${kind} are placed on this part. They are put by the front line until you say.`,
      );
    const source = steps.find((one) => one.id === id)!.step;
    const { relation, text: said } = source;
    const { vertical } = rule;
    // “Just below” names no unit.
    if (
      relation &&
      relation.direction !== 'from' &&
      vertical?.by === 'stitches' &&
      /\bro?u?n?ds?\b|\brows?\b/i.test(said)
    ) {
      add(
        'rounds-not-below',
        'info',
        `On a part that lies on its side, up and down is counted in stitches: ${vertical.stitches} ${vertical.stitches === 1 ? 'stitch is' : 'stitches are'} taken.`,
        [{ title: 'Say it in stitches', edits: [writeFeature(part, id, rule)] }],
      );
    }
    if (source.across === 'stitches') {
      add(
        'across-in-stitches',
        'warning',
        `On a part that lies on its side across is counted in rounds, and that many rounds are taken for the ${id}.`,
        [{ title: 'Say it in rounds', edits: [writeFeature(part, id, rule)] }],
      );
    }
    for (const { code, severity, message, suggestions } of asUsual(source, rule, id, () =>
      writeFeature(part, id, rule),
    ))
      add(code, severity, message, suggestions);
    const counted = countedOf(id);
    const asked = unread(
      source,
      id,
      'stitch',
      (by) =>
        writeFeature(part, id, {
          ...rule,
          vertical: vertical?.by === 'stitches' ? { ...vertical, stitches: by } : vertical,
        }),
      () => writeFeature(part, id, rule),
    );
    for (const { code, severity, message, suggestions } of asked) add(code, severity, message, suggestions);
    const stitches =
      vertical?.by === 'stitches'
        ? vertical.direction === 'above'
          ? vertical.stitches + counted.up
          : -vertical.stitches - counted.down
        : 0;
    const height = heightUp(form, isAtBack(rule.sideways) ? behind : frame, from ?? 0, stitches);
    if (height === null)
      add(
        'gap-missing',
        'error',
        `${Math.abs(stitches)} stitches ${stitches > 0 ? 'above' : 'below'} lies beyond the edge of the face. The ${id} goes level with what it is counted from until you say.`,
      );
    heights.set(id, height ?? from ?? 0);
  }

  const anchors = new Map<string, Anchor>(
    placedEyes
      ? [
          [
            pressedEyes,
            lyingAnchor(
              form,
              placedEyes.posts.map(({ side, line }) => ({ side, line, halfMm: placedEyes.rule.sizeMm / 2 })),
            ),
          ],
        ]
      : [],
  );
  const features: FeaturePlacement[] = [];
  for (const { id, circular } of inOrder([...rules.keys()], (one) => {
    const kind = standsBy(rules.get(one)!.sideways);
    return kind && goesBy(kind, one);
  })) {
    const rule = rules.get(id)!;
    const add = adding(id);
    const kind = standsBy(rule.sideways);
    if (
      kind &&
      !circular &&
      !anchors.has(goesBy(kind, id) ?? '') &&
      !problems.get(id)?.some(({ code }) => code === 'anchor-missing')
    )
      add(
        'anchor-missing',
        'warning',
        `The ${id} should go by the ${kind}, and no ${kind} are placed on this part. They are put about the middle of it until you say.`,
      );
    const placed = {
      ...placeLyingOne(
        form,
        isAtBack(rule.sideways) ? behind : frame,
        id,
        rule,
        heights.get(id) ?? 0,
        (by) => anchors.get(goesBy(by, id) ?? ''),
        add,
      ),
      counted: countedOf(id),
    };
    anchors.set(
      id,
      lyingAnchor(
        form,
        placed.units.map(({ side, fromLine, toLine, halfMm }) => ({
          side,
          line: (fromLine + toLine) / 2,
          halfMm,
        })),
      ),
    );
    features.push(placed);
  }
  const order = [...rules.keys()];
  features.sort((a, b) => order.indexOf(a.id) - order.indexOf(b.id));
  for (const placed of features)
    placed.problems.push(
      ...(problems.get(placed.id) ?? []),
      ...lyingProblems(form, frame, placed, features, placedEyes),
    );
  return { front, eyes: placedEyes, features };
}
