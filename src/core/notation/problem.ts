import type { Said } from '../words/problems/problems';

/** `error`: the work can't be right as written; `warning`: look before going on; `info`: an assumption worth knowing. */
export type Severity = 'error' | 'warning' | 'info';

/** Replaces one line of the text, counted from 1, or puts a new one after it. */
export interface LineEdit {
  line: number;
  text: string;
  /** how many lines it takes the place of, where a round goes over several */
  lines?: number;
  insertAfter?: boolean;
}

export interface Suggestion {
  /** what the tap does, in a maker's words */
  title: string;
  edits: LineEdit[];
}

/** What is wrong, where, and what could be done. A value, never thrown. Lines and columns count from 1. */
export interface Problem extends Said {
  severity: Severity;
  part?: string;
  /** which part it is of: two parts may have one name */
  partId?: string;
  round?: number;
  line?: number;
  column?: number;
  /** what on the part it is about: the feature by its name, which of a pair, the holes of which lines */
  where?: { feature: string; side?: 'left' | 'right' };
  suggestions: Suggestion[];
}
