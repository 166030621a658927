/** What the hook does in one place: a plain stitch, two in one, two together. */
export type Tap = 'plain' | 'more' | 'fewer';

/** What is said of a whole round: which loops it goes into, and the colour it changes to. */
export interface RoundManner {
  loops: 'front' | 'back' | null;
  colour: string | null;
  /** worked to and fro, on a chain */
  rows: boolean;
}

export const usualManner: RoundManner = { loops: null, colour: null, rows: false };

/** So many taps of one kind. */
interface Run {
  tap: Tap;
  times: number;
}

/** A round as far as it is tapped. */
export interface Worked {
  /** stitches of the round below that are worked into */
  used: number;
  /** stitches there are now */
  made: number;
}

/** Stitches of the round below that a tap takes. */
export const takenBy = (tap: Tap): number => (tap === 'fewer' ? 2 : 1);
/** Stitches that a tap makes. */
export const madeBy = (tap: Tap): number => (tap === 'more' ? 2 : 1);

export const workedBy = (taps: readonly Tap[]): Worked => ({
  used: taps.reduce((sum, tap) => sum + takenBy(tap), 0),
  made: taps.reduce((sum, tap) => sum + madeBy(tap), 0),
});

const runsOf = (taps: readonly Tap[]): Run[] => {
  const runs: Run[] = [];
  for (const tap of taps) {
    const last = runs.at(-1);
    if (last?.tap === tap) last.times += 1;
    else runs.push({ tap, times: 1 });
  }
  return runs;
};

const wordOf: Readonly<Record<Tap, string>> = { plain: 'sc', more: 'inc', fewer: 'dec' };

const runWords = ({ tap, times }: Run): string => {
  if (times === 1) return wordOf[tap];
  return tap === 'plain' ? `sc ${times}` : `${wordOf[tap]} x ${times}`;
};

/** How many taps come again and again until the end; all of them where none do. */
function periodOf(taps: readonly Tap[]): number {
  if (taps.every((tap) => tap === taps[0])) return taps.length;
  for (let period = 2; period <= taps.length / 2; period += 1) {
    const divides = taps.length % period === 0;
    if (divides && taps.every((tap, i) => tap === taps[i % period])) return period;
  }
  return taps.length;
}

/** Taps as a pattern says them, in US terms: `(sc 3, inc) x 6`, `sc 5, inc, sc 12`. */
export function tapWords(taps: readonly Tap[]): string {
  const period = periodOf(taps);
  const words = runsOf(taps.slice(0, period)).map(runWords).join(', ');
  return period < taps.length ? `(${words}) x ${taps.length / period}` : words;
}

/** The stitches of a round, as many as are below it. */
function workWords(taps: readonly Tap[], below: number, rows: boolean): string {
  const [only, other] = runsOf(taps);
  const isWhole = only !== undefined && other === undefined && workedBy(taps).used === below;
  if (isWhole && !rows) return `${wordOf[only.tap]} around`;
  return isWhole && only.tap === 'plain' ? 'sc across' : tapWords(taps);
}

const loopsWords = { front: 'FLO ', back: 'BLO ' } as const;

/**
 * A whole round or row in words, in US terms.
 *
 * @param below stitches of the round below; 0 for a first round, which goes into a ring, or a first row, which goes along a chain
 */
export function roundWords(taps: readonly Tap[], below: number, manner: RoundManner = usualManner): string {
  const { loops, colour, rows } = manner;
  const { made } = workedBy(taps);
  const change = colour === null ? '' : `change to ${colour}, `;
  if (below === 0 && rows) return `${change}ch ${made + 1}, sc in 2nd ch from hook and in each ch across`;
  if (below === 0) return `${change}${made} sc in magic ring`;
  const turn = rows ? 'ch 1, turn, ' : '';
  return `${turn}${change}${loops ? loopsWords[loops] : ''}${workWords(taps, below, rows)}`;
}

/** What was tapped, again and again until the round is full; null where it does not come out even. */
export function sameToEnd(taps: readonly Tap[], below: number): Tap[] | null {
  const { used } = workedBy(taps);
  const times = below / used;
  if (used === 0 || times < 2 || !Number.isInteger(times)) return null;
  return Array.from({ length: times }, () => taps).flat();
}

/** What was tapped, and a plain stitch in each that is left. */
export function plainToEnd(taps: readonly Tap[], below: number): Tap[] {
  const left = below - workedBy(taps).used;
  return [...taps, ...Array.from({ length: Math.max(0, left) }, () => 'plain' as const)];
}
