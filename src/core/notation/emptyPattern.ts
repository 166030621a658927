import type { Pattern, ToyHeader } from './pattern';
import type { Problem } from './problem';

/** What is taken of a toy as long as its text says nothing. */
export const bareHeader = (): ToyHeader => ({
  name: null,
  hand: 'right',
  gauge: null,
  lean: null,
  apart: null,
  seam: null,
  hook: null,
  audience: null,
  yarns: [],
});

/** A text of which nothing is read, and why. */
export function emptyPattern(problems: Problem[]): Pattern {
  const terms = { value: 'us', source: 'either' } as const;
  return { header: bareHeader(), parts: [], notes: [], terms, problems, lineKinds: [] };
}
