/** `// Measure before you go on.`: a line for whoever reads it, of which nothing is read. `// HEAD //` is a heading with ornaments. */
export const isRemark = (line: string): boolean => /^\s*\/\/(?!.*\/\s*$)/.test(line);

/** `// R5 so far: 3 plain, 1 more`: what is tapped of a round in hand, with its number and its taps. It is nobody's but the maker's. */
export const roundInHand = /^\s*\/\/ R(\d+) so far:\s*(.*)$/;

/** The lines of a text with nothing in place of remarks, so that every line keeps its number. */
export const withoutRemarks = (lines: readonly string[]): string[] =>
  lines.map((line) => (isRemark(line) ? '' : line));
