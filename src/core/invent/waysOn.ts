import { evenRound } from '../fabric/evenRound';
import { applyEdits } from '../notation/applyEdits';
import type { PartSource } from '../notation/pattern';
import { stitchWord } from '../notation/stitchKinds';
import { lastLineOf } from '../notation/wrapped';
import { analyseToy, type PartAnalysis, type ToyAnalysis } from '../toy/analyse';
import { sizeOfPart } from '../toy/stuffedPart';

/** A round that is proposed: its words in US terms, and what it comes to. */
export interface NextRound {
  body: string;
  count: number;
}

/**
 * A way to go on: the step of the last round once more, a plain round, back in as she came out, closed so that it is as high as it is wide,
 * or to as many stitches as the edge of another part has.
 */
export interface WayOn {
  kind: 'again' | 'plain' | 'back' | 'ball' | 'edge';
  rounds: readonly NextRound[];
  /** whose edge it comes to */
  part?: string;
  /** how wide and how high the piece is then, in mm */
  size: { widthMm: number; heightMm: number };
}

/** Rounds through these counts; null where one of them can't be reached in one round. */
function through(from: number, counts: readonly number[]): NextRound[] | null {
  const rounds: NextRound[] = [];
  let below = from;
  for (const count of counts) {
    const body = evenRound(below, count);
    if (body === null) return null;
    rounds.push({ body, count });
    below = count;
  }
  return rounds;
}

/** Counts from one to another in steps, the last as short as need be. */
function stepsTo(from: number, to: number, step: number): number[] {
  const counts: number[] = [];
  const by = Math.max(1, step) * Math.sign(to - from);
  for (let count = from; count !== to;) {
    count = Math.abs(to - count) <= Math.abs(by) ? to : count + by;
    counts.push(count);
  }
  return counts;
}

/**
 * The counts that lead back in the way she came out: of 6, 12, 18, 24, 24 those are 18, 12, 6. Empty where nothing widened, or it widens
 * again after it narrowed.
 */
export function countsBack(counts: readonly number[]): number[] {
  const widest = Math.max(...counts);
  const first = counts.indexOf(widest);
  const out = counts.slice(0, first);
  const since = counts.slice(first);
  const widensOnly = out.every((count, i) => i === 0 || count >= (out[i - 1] ?? 0));
  const narrowsOnly = since.every((count, i) => i === 0 || count <= (since[i - 1] ?? 0));
  if (!widensOnly || !narrowsOnly) return [];
  const now = counts.at(-1) ?? 0;
  const back = [...out].reverse();
  return now === widest ? back : back.filter((count) => count < now);
}

const plainRound = (count: number): NextRound => ({ body: 'sc around', count });

/** Plain rounds of one count stand in one line. */
function linesOf(rounds: readonly NextRound[], first: number, word: string): string[] {
  const lines: string[] = [];
  for (let from = 0; from < rounds.length;) {
    const { body, count } = rounds[from]!;
    let until = from + 1;
    while (body === 'sc around' && rounds[until]?.body === body) until += 1;
    const label = until - from > 1 ? `R${first + from}-R${first + until - 1}` : `R${first + from}`;
    lines.push(`${label}: ${body.replace(/\bsc\b/g, word)} [${count}]`);
    from = until;
  }
  return lines;
}

/** The text with rounds written behind those of a part. */
export function withRounds(
  text: string,
  part: PartSource,
  rounds: readonly NextRound[],
  word: string,
): string {
  const last = part.rounds.at(-1);
  if (!last || rounds.length === 0) return text;
  const written = linesOf(rounds, last.number + 1, word).join('\n');
  return applyEdits(text, [{ line: lastLineOf(last), text: written, insertAfter: true }]);
}

/** Tries ways on in the whole toy, as the text would say them. */
class Trial {
  private readonly word: string;

  constructor(
    private readonly toy: ToyAnalysis,
    private readonly part: PartAnalysis,
  ) {
    this.word = stitchWord('sc', toy.pattern.terms.value);
  }

  /** How large the piece is with these rounds; null where they don't add up in it. */
  size(rounds: readonly NextRound[]): WayOn['size'] | null {
    const text = withRounds(this.toy.text, this.part.source, rounds, this.word);
    const then = analyseToy(text).parts.find(({ source }) => source.id === this.part.source.id);
    const isWhole = then?.checks.length === this.part.checks.length + rounds.length;
    const addsUp = then?.checks.slice(-rounds.length).every(({ ok }) => ok);
    return then && isWhole && addsUp ? sizeOfPart(then) : null;
  }

  /**
   * As many plain rounds before it goes back in that the stuffed piece is as high as it is wide; null where it is higher than that already.
   *
   * @param most plain rounds that are tried
   */
  ball(widest: number, back: readonly NextRound[], most: number): NextRound[] | null {
    const plain = (times: number) => Array.from({ length: times }, () => plainRound(widest));
    const tallness = (times: number): number => {
      const size = this.size([...plain(times), ...back]);
      return size ? size.heightMm / size.widthMm : Number.NaN;
    };
    if (!(tallness(0) < 1) || !(tallness(most) > 1)) return null;
    // A round more is never lower: the first that is high enough, or the one before it where that is nearer.
    let [low, high] = [0, most];
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2);
      if (tallness(middle) < 1) low = middle;
      else high = middle;
    }
    const nearer = 1 - tallness(low) < tallness(high) - 1 ? low : high;
    return nearer === 0 ? null : [...plain(nearer), ...back];
  }
}

/** The step of the last round once more: six more again, six fewer again; null where it was plain or there is none. */
function onceMore(counts: readonly number[]): NextRound[] | null {
  const [before, now] = counts.slice(-2);
  const by = now !== undefined && before !== undefined ? now - before : 0;
  if (by === 0 || now === undefined || now + by < 3) return null;
  return through(now, [now + by]);
}

/** Edges of other parts that this one may come to, in steps as it has gone so far. */
function toEdges(toy: ToyAnalysis, part: PartAnalysis, counts: readonly number[]) {
  const now = counts.at(-1) ?? 0;
  const ring = counts[0] ?? 6;
  const others = toy.parts.filter((other) => other !== part && other.checks.length > 0);
  return others.flatMap(({ source, checks }) => {
    const edge = checks.at(-1)?.worked ?? 0;
    // What is drawn together has no edge that another part could meet.
    const rounds = edge > 8 && edge !== now ? through(now, stepsTo(now, edge, ring)) : null;
    return rounds ? [{ part: source.name, rounds }] : [];
  });
}

/** At most so many edges of other parts are proposed. */
const mostEdges = 3;

/**
 * Ways to go on with a part worked in rounds: each tried in the toy first, so that what is proposed adds up.
 *
 * @returns none before the second round, and none where a round does not add up yet
 */
export function waysOn(toy: ToyAnalysis, part: PartAnalysis): WayOn[] {
  const counts = part.checks.map(({ worked }) => worked);
  const now = counts.at(-1) ?? 0;
  const goesRound = part.source.rounds.every(({ row }) => !row) && part.checks.every(({ ok }) => ok);
  if (counts.length === 0 || !goesRound || now < 3) return [];
  const trial = new Trial(toy, part);
  const back = through(now, countsBack(counts)) ?? [];
  const isWidest = now === Math.max(...counts);
  const ball = back.length > 0 && isWidest ? trial.ball(now, back, now) : null;
  const wanted: readonly (Omit<WayOn, 'size' | 'rounds'> & { rounds: readonly NextRound[] | null })[] = [
    { kind: 'again', rounds: onceMore(counts) },
    { kind: 'plain', rounds: [plainRound(now)] },
    { kind: 'ball', rounds: ball },
    { kind: 'back', rounds: back },
    ...toEdges(toy, part, counts)
      .slice(0, mostEdges)
      .map((edge) => ({ kind: 'edge' as const, ...edge })),
  ];
  return wanted.flatMap(({ rounds, ...way }) => {
    const size = rounds && rounds.length > 0 ? trial.size(rounds) : null;
    return rounds && size ? [{ ...way, rounds, size }] : [];
  });
}
