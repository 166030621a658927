import type { WorkLine } from './ast';
import type { Terms } from './terms';
import { writeItems } from './writeItems';

/** Writes a line of work in Hoppla's own form: `R4-R8: (sc 3, inc) x 6 [30]`. */
export function writeLine({ label, items, total }: WorkLine, from: Terms, to: Terms = from): string {
  const word = label?.row ? 'Row ' : 'R';
  const head = !label
    ? ''
    : label.first === label.last
      ? `${word}${label.first}: `
      : `${word}${label.first}-${word}${label.last}: `;
  return `${head}${writeItems(items, from, to)}${total ? ` [${total.value}]` : ''}`;
}
