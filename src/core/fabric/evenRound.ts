/** Greatest common divisor of two whole numbers. */
function common(a: number, b: number): number {
  return b === 0 ? a : common(b, a % b);
}

/** Plain stitches before each of `changes`, spread over `plain` as evenly as whole stitches allow. */
function spread(plain: number, changes: number): number[] {
  return Array.from(
    { length: changes },
    (_, i) => Math.floor(((i + 1) * plain) / changes) - Math.floor((i * plain) / changes),
  );
}

const run = (plain: number, change: string) =>
  plain === 0 ? change : plain === 1 ? `sc, ${change}` : `sc ${plain}, ${change}`;

function write(gaps: readonly number[], change: string): string {
  const runs: { text: string; times: number }[] = [];
  for (const gap of gaps) {
    const text = run(gap, change);
    const last = runs.at(-1);
    if (last?.text === text) last.times += 1;
    else runs.push({ text, times: 1 });
  }
  return runs
    .map(({ text, times }) =>
      times === 1 ? text : text === change ? `${change} ${times}` : `(${text}) x ${times}`,
    )
    .join(', ');
}

/**
 * The words for a round that goes from one count to another with its increases or decreases spread evenly.
 *
 * @param from stitches in the round below
 * @param to stitches wanted: at most double, at least half
 * @param stagger begins with half a gap, so that the changes of one round don't stand over those of the round below
 * @returns null where one round can't get there
 */
export function evenRound(from: number, to: number, stagger = false): string | null {
  if (from < 1 || to < 1 || !Number.isInteger(from) || !Number.isInteger(to)) return null;
  if (to === from) return 'sc around';
  const up = to > from;
  const changes = Math.abs(to - from);
  const takes = up ? 1 : 2;
  const plain = from - changes * takes;
  if (plain < 0) return null;
  const change = up ? 'inc' : 'dec';
  if (plain === 0) return `${change} around`;
  const gaps = spread(plain, changes);
  const first = gaps[0] ?? 0;
  if (stagger && first > 1) {
    const before = Math.floor(first / 2);
    const rest = gaps.slice(1);
    const after = first - before;
    return `${run(before, change)}${rest.length > 0 ? `, ${write(rest, change)}` : ''}, ${after === 1 ? 'sc' : `sc ${after}`}`;
  }
  const times = common(plain, changes);
  if (times > 1 && changes > 1) {
    const once = gaps.slice(0, changes / times);
    if (once.length > 1) return `(${once.map((gap) => run(gap, change)).join(', ')}) x ${times}`;
  }
  return write(gaps, change);
}
