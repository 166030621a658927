/** A stretch of a line, in characters from its start: `from` inclusive, `to` exclusive. */
export interface Span {
  from: number;
  to: number;
}

/** The stitch words of both vocabularies, as written. `plain` stands where a maker names none (`inc`, `5 st`). */
export type StitchWord = 'plain' | 'sl' | 'ch' | 'sc' | 'hdc' | 'dc' | 'tr' | 'dtr' | 'htr' | 'ttr';

export type LoopsWord = 'both' | 'front' | 'back';

/** How often something is done: a number, until the round is full, or until `n` stitches are left. */
export type Extent = { kind: 'count'; n: number } | { kind: 'around' } | { kind: 'leave'; n: number };

export interface WorkItem {
  type: 'work';
  word: StitchWord;
  /** stitches made into one place: 2 for an increase */
  make: number;
  /** stitches of the round below taken together: 2 for a decrease */
  together: number;
  extent: Extent;
  loops?: LoopsWord;
  /** where the stitch goes: the next stitch, the same as the one before, a ring, the nth chain from the hook */
  target: 'next' | 'same' | 'ring' | 'hook' | 'first';
  fromHook: number;
  colour?: string;
  /** no number and no place said: alone in a round, it is worked all around */
  bare?: boolean;
  /** `around`, `to end` said after it: what stands before it may be meant to repeat too */
  openEnded?: boolean;
  /** the number before such words: `sc 20 around` */
  said?: number;
  /** a stitch and a decrease or increase without a comma between, `sc dec`: one stitch, or two */
  pair?: boolean;
  /** the number before such a pair, where another says how often: `2 sc inc x 6` */
  before?: number;
  /** `2 sc in each 12`: its number may say what the round comes to */
  orTotal?: boolean;
  /** a finished piece that these stitches go through too, in the words of the line: `left arm` */
  piece?: string;
  /** so many of them, spread evenly over the round with plain stitches between */
  evenly?: boolean;
  span: Span;
}

export interface GroupItem {
  type: 'group';
  items: Item[];
  extent: Extent;
  /** `repeat from * 5 times` may mean five in all or five more: whichever fills the round */
  orMore: boolean;
  /** all of the bracket worked into one stitch */
  intoOne: boolean;
  span: Span;
}

export type Item =
  | WorkItem
  | GroupItem
  | { type: 'skip'; n: number; span: Span }
  | { type: 'colour'; name: string; span: Span }
  | { type: 'join'; span: Span }
  | { type: 'turn'; span: Span }
  | { type: 'fasten'; span: Span }
  | { type: 'ring'; span: Span }
  | { type: 'loops'; loops: LoopsWord; span: Span }
  | { type: 'base'; loops: LoopsWord; round: number; span: Span }
  | { type: 'otherSide'; span: Span }
  /** what follows goes around the edge of another piece: `on the first leg` */
  | { type: 'edge'; which: number | 'other' | null; span: Span }
  | { type: 'layers'; span: Span }
  | { type: 'leave'; n: number; span: Span }
  | { type: 'repeatRounds'; first: number; last: number; times: number; span: Span }
  | { type: 'unknown'; text: string; inside: boolean; span: Span };

export interface Label {
  first: number;
  last: number;
  row: boolean;
  span: Span;
}

/** One line of work, as read: nothing is counted yet. */
export interface WorkLine {
  label: Label | null;
  items: Item[];
  total: { value: number; span: Span } | null;
  /** what each round of a range comes to, where a total is said for each */
  totals?: readonly number[];
  /** brackets opened and never closed, or closed and never opened */
  brackets: Span[];
}
