import { insertRound, roundCards } from '../edit/editRounds';
import { applyEdits } from '../notation/applyEdits';
import type { PartSource } from '../notation/pattern';
import { roundInHand } from '../notation/remarks';
import { lastLineOf } from '../notation/wrapped';
import { roundWords, type Tap } from './taps';

/**
 * What is tapped of a round that is not full stands in the text as a remark, `// R5 so far: 3 plain, 1 more`: it outlives a reload like the
 * text, goes with the toy, and nothing is counted from it.
 */
const run = /^(\d+) (plain|more|fewer)$/;

const lineEnds = /\r\n|\n|\r/;

/** The line behind the rounds of a part, from 1: there the remark stands. */
function lineBehind(part: PartSource): number {
  const last = part.rounds.at(-1);
  return (last ? lastLineOf(last) : part.firstLine) + 1;
}

/** The number of the round that is worked now. */
const numberNow = (part: PartSource): number => (part.rounds.at(-1)?.number ?? 0) + 1;

/** What is kept behind the rounds of a part, and for which round; null where nothing is. */
function remarkIn(text: string, part: PartSource): { round: number; taps: string } | null {
  const [whole, round, taps = ''] = roundInHand.exec(text.split(lineEnds)[lineBehind(part) - 1] ?? '') ?? [];
  return whole === undefined ? null : { round: Number(round), taps };
}

/** What is tapped of the round of a part that is being worked. What was tapped of a round that has been written otherwise since is of no other. */
export function tapsIn(text: string, part: PartSource): Tap[] {
  const kept = remarkIn(text, part);
  if (kept?.round !== numberNow(part)) return [];
  return kept.taps.split(/,\s*/).flatMap((words) => {
    const [, times, tap] = run.exec(words) ?? [];
    return tap === undefined ? [] : Array.from({ length: Number(times) }, () => tap as Tap);
  });
}

function remarkOf(taps: readonly Tap[], part: PartSource): string {
  const runs: string[] = [];
  for (let from = 0; from < taps.length;) {
    let until = from;
    while (taps[until] === taps[from]) until += 1;
    runs.push(`${until - from} ${taps[from]}`);
    from = until;
  }
  return `// R${numberNow(part)} so far: ${runs.join(', ')}`;
}

/** The text with other taps kept for a part; with none of them where the round is empty. */
export function withTaps(text: string, part: PartSource, taps: readonly Tap[]): string {
  const line = lineBehind(part);
  const kept = remarkIn(text, part) !== null;
  if (taps.length > 0) {
    const edit = kept
      ? { line, text: remarkOf(taps, part) }
      : { line: line - 1, text: remarkOf(taps, part), insertAfter: true };
    return applyEdits(text, [edit]);
  }
  if (!kept) return text;
  const lines = text.split(lineEnds);
  lines.splice(line - 1, 1);
  return lines.join(text.includes('\r\n') ? '\r\n' : '\n');
}

/** The text with a tapped round written behind the others of its part. */
export function withRoundDone(
  text: string,
  part: PartSource,
  round: { taps: readonly Tap[]; below: number; count: number; word: string },
): string {
  const body = roundWords(round.taps, round.below).replace(/\bsc\b/g, round.word);
  const after = roundCards(part).at(-1) ?? null;
  return insertRound(withTaps(text, part, []), part, { after, body, count: round.count });
}
