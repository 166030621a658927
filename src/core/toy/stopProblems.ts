import pluralize from 'pluralize';
import type { PartSource } from '../notation/pattern';
import type { Unplanned } from '../notation/sentence/stuff';
import type { Problem } from '../notation/problem';
import type { ActKind } from '../plan/acts';
import type { StopPlan } from '../plan/stops';

/** Codes of the problems that follow from what hands and tools get through. */
export const handCodes: ReadonlySet<string> = new Set([
  'eyes-no-opening',
  'stuffing-no-opening',
  'enclosed-no-opening',
]);

const isAboutEyes = (step: PartSource['steps'][number]): boolean =>
  step.kind === 'feature' && step.feature === 'eyes';

const isEnclosing = (step: PartSource['steps'][number]): boolean => step.kind === 'enclose';

function noOpening(act: ActKind): Problem['code'] {
  if (act === 'put-in') return 'enclosed-no-opening';
  return act === 'seat-eyes' || act === 'seat-nose' ? 'eyes-no-opening' : 'stuffing-no-opening';
}

/** What the text asks for and no round allows, by hands as they are. */
export function stopProblems(part: PartSource, { impossible }: StopPlan): Problem[] {
  // A small horn is left empty without a word; only what the text asks for must find its way in.
  const asksToStuff = part.steps.some(({ kind }) => kind === 'stuff');
  const asked = impossible.filter(({ act }) => act !== 'stuff' || asksToStuff);
  return asked.map(({ act, message }) => ({
    code: noOpening(act),
    severity: 'warning' as const,
    part: part.name,
    partId: part.id,
    message,
    suggestions: [],
    line: part.steps.find(act === 'put-in' ? isEnclosing : isAboutEyes)?.line ?? part.line,
  }));
}

/** What is planned instead of words about stuffing, and how to say what is meant. */
const instead: Readonly<Record<Unplanned, (piece: string) => string>> = {
  extent: (piece) =>
    `does not say which part of the ${piece} is filled: it is planned full. Write “Stuff the lower half only”, “Don’t stuff the last 4 rounds”, or “Stuff lightly”.`,
  weight: (piece) =>
    `is not taken over: the stuffing of the ${piece} is worked out from its size. Say how firm, “Stuff lightly”, “Stuff firmly”, or weigh what went into a finished one, on its form’s page.`,
  firmnesses: (piece) =>
    `names two firmnesses, and the ${piece} is planned with one. Write the one most of it has.`,
  optional: (piece) =>
    `leaves it to you: the ${piece} is planned stuffed. Write “Do not stuff.” if you leave it empty.`,
};

/** Whether a part is called by a word: `paws` of `Front paw`. */
const isCalled = (name: string, word: string): boolean =>
  name
    .toLowerCase()
    .split(/[^a-z]+/)
    .some((one) => pluralize.singular(one) === pluralize.singular(word.toLowerCase()));

/** Words about stuffing that no plan follows: what is planned instead is told. */
export function amountProblems({ steps, name, id }: PartSource): Problem[] {
  return steps.flatMap((step): Problem[] => {
    if (step.kind !== 'stuff' || step.unplanned === undefined) return [];
    const { why, words, limb } = step.unplanned;
    // `Stuff the paws`, of paws that are a part of their own.
    if (limb && isCalled(name, limb)) return [];
    return [
      {
        code: 'words-unused',
        severity: 'warning',
        part: name,
        partId: id,
        line: step.line,
        column: step.span.from + 1,
        facts: { words },
        message: `“${words}” ${instead[why](name.toLowerCase())}`,
        suggestions: [],
      },
    ];
  });
}
