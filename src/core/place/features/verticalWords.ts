import type { Vertical } from './featureRule';

export const plural = (n: number, one: string): string =>
  `${n} ${one}${n === 1 ? '' : one.endsWith('stitch') ? 'es' : 's'}`;
/** A sentence about a part it does not stand with goes on naming it. */
export const onPart = (sentence: string, step: { on?: string } | undefined): string =>
  step?.on ? sentence.replace(/\.$/, `, on the ${step.on}.`) : sentence;
/** Landmarks a feature may lie on. */
const seen: ReadonlySet<string> = new Set(['ridge', 'colour change', 'neck']);
const landmarkWords: Record<string, string> = { edge: 'live edge' };

/** `between R8 and R9`, `2 rounds below the eyes`: words that are read back to the same rule. */
export function verticalWords(vertical: Vertical | null): string | null {
  if (!vertical) return null;
  switch (vertical.by) {
    case 'gap':
      return `between R${vertical.gap[0]} and R${vertical.gap[1]}${vertical.from ? ` from the ${vertical.from}` : ''}`;
    case 'range':
      return `from R${vertical.from} to R${vertical.to}`;
    case 'round':
      return `at round ${vertical.round}${vertical.from === 'start' ? '' : ` from the ${vertical.from}`}`;
    case 'relation':
      return vertical.rounds === 0 && seen.has(vertical.to)
        ? `on the ${vertical.to}`
        : `${plural(vertical.rounds, 'round')} ${vertical.direction} the ${landmarkWords[vertical.to] ?? vertical.to}`;
    case 'stitches':
      return `${plural(vertical.stitches, 'stitch')} ${vertical.direction} the ${vertical.to === 'front' ? 'front line' : vertical.to}`;
    case 'level':
      return `on the same round as the ${vertical.to}`;
    case 'start':
      return 'through the start';
  }
}
