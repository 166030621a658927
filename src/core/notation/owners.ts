import type { PartSource } from './pattern';
import type { FeatureKind, Step } from './step';

/** A sentence that stands outside the parts, under a heading such as `Assembly`, with the part before that heading. */
export interface LooseStep {
  step: Step;
  after: PartSource;
}

// Headings over what is done once the parts are made.
const finishing =
  /^(?:assembl(?:y|ing|e)(?: instructions?)?|making up|make up|putting (?:it|everything|them|the (?:pieces|parts|toy)) together|put together|finish(?:ing)?(?: (?:up|off|touches|details))?|to finish|sewing(?: (?:up|together|it together))?|joining(?: the (?:parts|pieces))?|(?:the )?faces?|facial (?:features|details)|face details|(?:final |last )?details|embroider(?:y|ing)|features|decorat(?:ion|ing))$/i;

/** Whether a heading stands over sentences about several parts and not over a part of its own. */
export const isFinishing = (name: string): boolean => finishing.test(name);

const facial: ReadonlySet<FeatureKind> = new Set([
  'eyes',
  'nose',
  'mouth',
  'brows',
  'lashes',
  'cheeks',
  'whiskers',
  'sculpting',
]);
// A place on a part, not a part, also where one is called so.
const places: ReadonlySet<string> = new Set([
  'back',
  'front',
  'top',
  'middle',
  'base',
  'left',
  'right',
  'start',
  'end',
  'side',
]);

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** What a sentence may call a part: its name or the last word of it, one or many of them. */
function callings({ name }: PartSource): string[] {
  const words = name.toLowerCase().split(/\s+/);
  return [...new Set([words.join(' '), words.at(-1) ?? ''])]
    .map((word) => word.replace(/s$/, ''))
    .filter((word) => word.length > 1 && !places.has(word));
}

/** A calling as it stands in a sentence: `of the head`, `on the body`, or first and followed by a colon. */
function asSaid(calling: string): RegExp {
  const name = `${escaped(calling)}(?:e?s)?(?![A-Za-z-])`;
  return new RegExp(
    `(?<!\\bsides?\\s+)\\b(?:of|on|onto|to|into|in|at)\\s+(?:(?:the|his|her|its|each|both|left|right)\\s+)*${name}|^\\s*(?:the\\s+)?${name}(?=\\s*[:,])`,
    'i',
  );
}

/** Finds the part a sentence says it is about; of several the first named, and of two names there the longer. */
function partNaming(parts: readonly PartSource[]): (text: string) => PartSource | null {
  const called = parts.flatMap((part) =>
    callings(part).map((calling) => ({ part, calling, said: null as RegExp | null })),
  );
  return (text) => {
    const lower = text.toLowerCase();
    let found: { at: number; length: number; part: PartSource } | null = null;
    for (const one of called) {
      if (!lower.includes(one.calling)) continue;
      one.said ??= asSaid(one.calling);
      const match = one.said.exec(text);
      if (
        match &&
        (!found || match.index < found.at || (match.index === found.at && one.calling.length > found.length))
      )
        found = { at: match.index, length: one.calling.length, part: one.part };
    }
    return found?.part ?? null;
  };
}

/**
 * Gives sentences to the parts they are about: what names another part than it stands in, and what stands outside all of them. There a
 * face goes on the head, or where the eyes are; what names nothing goes where the sentence before it went.
 */
export function handOver(parts: readonly PartSource[], loose: readonly LooseStep[]): void {
  const partNamed = partNaming(parts);
  const give = (part: PartSource, step: Step) => part.steps.push({ ...step, on: part.name.toLowerCase() });
  for (const part of parts) {
    const moving = part.steps.flatMap((step) => {
      const named = step.kind === 'feature' ? partNamed(step.text) : null;
      return named && named !== part ? [{ step, named }] : [];
    });
    part.steps = part.steps.filter((step) => !moving.some((one) => one.step === step));
    for (const { step, named } of moving) give(named, step);
  }
  let before: PartSource | null = null;
  for (const { step, after } of loose) {
    // A bow beside the eyes is where the eyes are.
    const goesBy = [
      step.feature,
      step.relation?.to,
      step.stitchesFrom?.to,
      step.level,
      step.inLine?.to,
      step.outward?.from,
    ];
    const ofFace = step.kind === 'feature' && goesBy.some((name) => facial.has(name as FeatureKind));
    const face = ofFace
      ? (parts.find((part) => part.steps.some(({ feature }) => feature === 'eyes')) ??
        parts.find(({ name }) => /\b(?:head|face)\b/i.test(name)))
      : undefined;
    const work = parts.filter(({ rounds }) => rounds.length > 0);
    // Sewing and stuffing that names no part stays with the part before, as it would without a heading.
    const owner: PartSource =
      partNamed(step.text) ?? face ?? (step.kind === 'feature' ? (before ?? work[0] ?? after) : after);
    if (step.kind !== 'feature' && step.kind !== 'stuff' && step.kind !== 'close') after.steps.push(step);
    else give(owner, step);
    if (step.kind === 'feature') before = owner;
  }
  for (const part of parts) part.steps.sort((a, b) => a.line - b.line || a.span.from - b.span.from);
}
