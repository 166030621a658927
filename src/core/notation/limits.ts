/**
 * How much one toy may hold. Each figure is far above any toy, and each is checked before the work grows with it, so that no text can
 * stop Hoppla or fill its memory. docs/formats.md states them; what goes beyond is said as a problem, never cut off in silence.
 */
export const limits = {
  /** signs of a whole text; a longer one is not kept */
  textSigns: 200_000,
  /** signs of all lines that are read; the lines after that are kept as notes */
  readSigns: 30_000,
  /** signs of one line that are read */
  lineSigns: 2_000,
  /** words and signs of one line that are read */
  lineWords: 400,
  /** brackets within brackets */
  bracketDepth: 20,
  parts: 120,
  /** rounds of all parts together */
  rounds: 1_200,
  /** the highest number a round can have */
  roundNumber: 9_999,
  /** any other number in a text */
  number: 999_999,
  /** stitches of one round */
  roundStitches: 3_000,
  /** things done in one round: stitches, skips, turns of a bracket */
  roundSteps: 20_000,
  /** chains of a start, or of one outgrowth */
  chains: 3_000,
  /** stitches of one part, and of all parts together */
  toyStitches: 60_000,
  /** sentences about features on one part */
  features: 40,
  /** work that goes into searching for what mends the slips of one part, and of a whole toy: steps of rounds, and signs of lines read */
  searchOfPart: 800_000,
  searchOfToy: 1_000_000,
} as const;

/** A number read from a text, within bounds in which sums stay exact. */
export function bounded(value: number): number {
  return Number.isFinite(value) ? Math.min(value, limits.number) : limits.number;
}
