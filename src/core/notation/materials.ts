import type { FeatureSentence } from './sentence/feature';
import { isSewnStyle } from './sentence/said';
import type { Sentence } from './sentence/sentence';
import type { LineKind, PartSource } from './pattern';

const words = String.raw`(?:(?:black|brown|blue|green|amber|plastic|round|oval|animal|toy|solid|craft|safety|screw|push[\s-]?in|of)\s+){0,3}`;
const mm = String.raw`(\d{1,2}(?:[.,]\d)?)\s*-?\s*mm`;
const sizes = [
  new RegExp(String.raw`(?<![\d.,])${mm}\s+${words}(?:eyes?|toy\s+eyes?)(?![a-z])`, 'gi'),
  new RegExp(String.raw`(?:safety|craft|toy|plastic)\s+eyes?\s*(?:[:,(–-]|in|of)?\s*(?:size\s*)?${mm}`, 'gi'),
];

/** The size of eyes that a text names once for all, outside the parts: in its list of materials. Null where it names none, or several. */
function eyesInMaterials(
  lines: readonly string[],
  kinds: readonly LineKind[],
  firstRound: number,
): number | null {
  const found = new Set<number>();
  for (const [index, line] of lines.entries()) {
    const isOutside = kinds[index] === 'note' || index + 1 < firstRound;
    if (!isOutside) continue;
    for (const pattern of sizes)
      for (const [, size = ''] of line.matchAll(pattern)) found.add(Number(size.replace(',', '.')));
  }
  const [only, ...others] = found;
  return only !== undefined && others.length === 0 ? only : null;
}

/** `stuffing`, `some fibrefill` in a list */
const isStuffing = (step: Sentence): boolean =>
  step.kind === 'stuff' && step.part === null && step.text.trim().split(/\s+/).length <= 3;

/** `I used 8 mm safety eyes.`: what something is and not where it goes. */
export const isMaterial = (step: Sentence): boolean =>
  isStuffing(step) ||
  (step.kind === 'feature' &&
    [
      step.gap,
      step.range,
      step.round,
      step.relation,
      step.level,
      step.apart,
      step.showing,
      step.stitches,
    ].every((said) => said === undefined));

const isAboutEyes = (step: Sentence): step is FeatureSentence =>
  step.kind === 'feature' && step.feature === 'eyes';

const isPressed = (step: Sentence): step is FeatureSentence =>
  isAboutEyes(step) && !step.embroidered && !isSewnStyle(step.style);

/** Gives sentences about pressed eyes that say no size the one of the materials, and marks where they have it from. */
export function sizeEyes(
  parts: readonly PartSource[],
  lines: readonly string[],
  kinds: readonly LineKind[],
): void {
  const firstRound = Math.min(
    ...parts.flatMap(({ rounds }) => rounds.slice(0, 1).map(({ line }) => line)),
    Infinity,
  );
  const sizeMm = eyesInMaterials(lines, kinds, firstRound);
  if (sizeMm === null) return;
  for (const part of parts) {
    const eyes = part.steps.filter(isAboutEyes);
    if (eyes.some((step) => step.sizeMm !== undefined)) continue;
    part.steps = part.steps.map((step) =>
      isPressed(step) ? { ...step, sizeMm, sizeFrom: 'materials' as const } : step,
    );
  }
}
