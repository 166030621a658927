import pluralize from 'pluralize';
import { roundCount, type Fabric } from '../fabric/fabric';
import type { PartSource } from '../notation/pattern';
import type { Problem } from '../notation/problem';
import type { StopPlan } from '../plan/stops';
import { saying } from '../words/problems/problems';

/** Codes of the problems that follow from what hands and tools get through. */
export const handCodes: ReadonlySet<string> = new Set([
  'eyes-no-opening',
  'stuffing-no-opening',
  'enclosed-no-opening',
  'needle-short',
]);

const isAboutEyes = (step: PartSource['steps'][number]): boolean =>
  step.kind === 'feature' && step.feature === 'eyes';

const isEnclosing = (step: PartSource['steps'][number]): boolean => step.kind === 'enclose';

/** What the text asks for and no round allows, by hands as they are. */
export function stopProblems(part: PartSource, { impossible }: StopPlan): Problem[] {
  // A small horn is left empty without a word; only what the text asks for must find its way in.
  const asksToStuff = part.steps.some(({ kind }) => kind === 'stuff');
  const asked = impossible.filter(({ act }) => act !== 'stuff' || asksToStuff);
  return asked.map(({ act, ...told }) => ({
    ...told,
    severity: 'warning' as const,
    part: part.name,
    partId: part.id,
    suggestions: [],
    line: part.steps.find(act === 'put-in' ? isEnclosing : isAboutEyes)?.line ?? part.line,
  }));
}

/** Whether a part is called by a word: `paws` of `Front paw`. */
const isCalled = (name: string, word: string): boolean =>
  name
    .toLowerCase()
    .split(/[^a-z]+/)
    .some((one) => pluralize.singular(one) === pluralize.singular(word.toLowerCase()));

/** Words about stuffing that no plan follows: what is planned instead is told. */
export function amountProblems({ steps, name, id }: PartSource, fabric: Fabric): Problem[] {
  const isLeft = (stitches: number) =>
    Array.from({ length: fabric.rounds }, (_, i) => roundCount(fabric, i + 1)).includes(stitches);
  return steps.flatMap((step): Problem[] => {
    if (step.kind !== 'stuff') return [];
    const told = (words: string, open: NonNullable<typeof step.unplanned>['why'] | 'left'): Problem => ({
      ...saying('words-unused', { of: 'stuffing', words, open, piece: name }),
      severity: 'warning',
      part: name,
      partId: id,
      line: step.line,
      column: step.span.from + 1,
      suggestions: [],
    });
    const { left } = step;
    const never = left !== undefined && fabric.rounds > 0 && !isLeft(left);
    const moment = never ? [told(`when ${left} stitches are left`, 'left')] : [];
    if (step.unplanned === undefined) return moment;
    const { why, words, limb } = step.unplanned;
    // `Stuff the paws`, of paws that are a part of their own.
    return limb && isCalled(name, limb) ? moment : [...moment, told(words, why)];
  });
}
