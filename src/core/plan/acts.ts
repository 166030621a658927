/** What is done at a stop. */
export type ActKind =
  | 'work-in'
  | 'pull-through'
  | 'key-ring'
  | 'seat-eyes'
  | 'seat-nose'
  | 'embroider'
  | 'core'
  | 'put-in'
  | 'stuff'
  | 'top-up'
  | 'close'
  | 'cut';

/** In which order acts of one stop are done: what has its back inside comes before the stuffing that covers it. */
const actOrder: readonly ActKind[] = [
  'key-ring',
  'seat-eyes',
  'seat-nose',
  'embroider',
  'pull-through',
  'core',
  'put-in',
  'stuff',
  'top-up',
  'work-in',
  'close',
  'cut',
];

/** Compares two kinds of act by which is done first. */
export const earlierAct = (a: ActKind, b: ActKind): number => actOrder.indexOf(a) - actOrder.indexOf(b);

export interface Act {
  act: ActKind;
  /** the feature it is about, by its name in the part; of what is put in what it is */
  feature: string | null;
  /** what is worked in, by the names of its units */
  part: string | null;
  why: string;
  /** of stuffing: first and last round of what is filled, by their numbers, and about how much goes in */
  fills: { from: number; to: number; grams: number } | null;
  /** the rounds it can be done after, by their index from 1: the first, the last that is easy, the last of all */
  window: { earliest: number; easy: number; latest: number };
}

/** When an act can be done. Rounds by their index, from 1: it is done after that round. */
export interface Window {
  act: ActKind;
  feature: string | null;
  part: string | null;
  fills: Act['fills'];
  /** what it needs is there */
  earliest: number;
  /** the last round at which it is easy; the stop is put no later */
  easy: number;
  /** the last round at which it can be done at all */
  latest: number;
  why: (after: number) => string;
}

/** A pause in the work. Rounds by the numbers in the maker's text. */
export interface Stop {
  part: string;
  /** stop after this round */
  after: number;
  /** that round by its place, from 1: two of a text can have one number */
  row: number;
  earliest: number;
  /** last call: after this round the opening is too small */
  latest: number;
  openingMm: number;
  latestOpeningMm: number;
  acts: Act[];
}
