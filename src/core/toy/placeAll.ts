import type { PartSource } from '../notation/pattern';
import type { Problem } from '../notation/problem';
import { limits } from '../notation/limits';
import type { FeatureSentence } from '../notation/sentence/feature';
import type { Sentence } from '../notation/sentence/sentence';
import { checkedFace } from '../place/check/checkFace';
import type { PartForm } from '../place/frame/partForm';
import type { PlacedFace } from '../place/resolve/placement';
import { attempt } from './attempt';
import { saying } from '../words/problems/problems';

/** What is put on a part, and what of it could not be placed at all. */
export interface PlacedAll extends PlacedFace {
  problems: Problem[];
}

const isFeature = (step: Sentence): step is FeatureSentence => step.kind === 'feature';

/** Places everything on a part. One feature that can't be worked out is left off and named; the others are where they belong. */
export function placeAll(form: PartForm): PlacedAll {
  const { part, fabric } = form;
  const features = part.steps.filter(isFeature);
  const [first] = features;
  if (fabric.rounds === 1 && first) {
    const problem: Problem = {
      ...saying('no-line-of-holes', { part: part.name, feature: first.feature }),
      severity: 'warning',
      part: part.name,
      line: first.line,
      column: first.span.from + 1,
      suggestions: [],
    };
    return { ...checkedFace(form), problems: [problem] };
  }
  const excess = features.slice(limits.features);
  const tooMany = excess.slice(0, 1).map((step): Problem => ({
    ...saying('too-many-features', { part: part.name, most: limits.features }),
    severity: 'error',
    part: part.name,
    line: step.line,
    column: step.span.from + 1,
    suggestions: [],
  }));
  return place(without(form, excess), tooMany);
}

function without(form: PartForm, steps: readonly Sentence[]): PartForm {
  if (steps.length === 0) return form;
  const part: PartSource = { ...form.part, steps: form.part.steps.filter((step) => !steps.includes(step)) };
  return { ...form, part };
}

/** Places what can be placed: where all of it together fails, the sentences are taken one by one, and what fails is left off. */
function place(form: PartForm, problems: Problem[]): PlacedAll {
  const together = attempt<PlacedAll | null>(
    () => ({ ...checkedFace(form), problems }),
    form.part,
    'what is put on it',
    () => null,
  );
  if (together) return together;
  const features = form.part.steps.filter(isFeature);
  let placeable = without(form, features);
  const failed: Problem[] = [];
  for (const step of features) {
    const more: PartForm = {
      ...placeable,
      part: { ...placeable.part, steps: [...placeable.part.steps, step] },
    };
    const works = attempt<boolean>(
      () => checkedFace(more) !== null,
      form.part,
      `the ${step.feature} of ${form.part.name}`,
      (problem) => {
        failed.push({ ...problem, line: step.line, column: step.span.from + 1 });
        return false;
      },
    );
    if (works) placeable = more;
  }
  return { ...checkedFace(placeable), problems: [...problems, ...failed] };
}
