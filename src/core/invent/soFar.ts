import { insertRound, roundCards } from '../edit/editRounds';
import { applyEdits } from '../notation/applyEdits';
import type { PartSource } from '../notation/pattern';
import { readWorkLine } from '../notation/grammar';
import { roundInHand } from '../notation/remarks';
import { lastLineOf } from '../notation/wrapped';
import { roundWords, usualManner, type RoundManner, type Tap } from './taps';

/**
 * What is tapped of a round that is not full stands in the text as a remark, `// R5 so far: 3 plain, 1 more`: it outlives a reload like the
 * text, goes with the toy, and nothing is counted from it.
 */
const run = /^(\d+) (plain|more|fewer)$/;
/** What is said of the whole round stands before its taps. */
const mannerWords = /^(?:(front|back) loops|in ([^,]+)|(rows))$/;

const lineEnds = /\r\n|\n|\r/;

const longestColour = 40;

/** Whether a round that changes to a colour of this name is read back so: `2` and `dec` are none. */
export function canBeColour(name: string): boolean {
  if (name.length > longestColour || !/^[a-z][^,]*$/i.test(name)) return false;
  const [colour, work, ...more] = readWorkLine(`R2: change to ${name}, sc around`).items;
  const isColour = colour?.type === 'colour' && colour.name.toLowerCase() === name.toLowerCase();
  return isColour && work?.type === 'work' && work.word === 'sc' && more.length === 0;
}

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

/** What is said of the round of a part that is being worked, beside its taps. */
export function mannerIn(text: string, part: PartSource): RoundManner {
  const rows = part.rounds.at(-1)?.row ?? false;
  const kept = remarkIn(text, part);
  if (kept?.round !== numberNow(part)) return { ...usualManner, rows };
  let manner = { ...usualManner, rows };
  for (const words of kept.taps.split(/,\s*/)) {
    const [, loops, colour, inRows] = mannerWords.exec(words) ?? [];
    if (loops === 'front' || loops === 'back') manner = { ...manner, loops };
    else if (colour !== undefined && colour !== 'rows') manner = { ...manner, colour };
    else if (inRows !== undefined) manner = { ...manner, rows: true };
  }
  return manner;
}

/** What of a manner has to be kept: that a piece is in rows its rounds say once there is one. */
function mannerKept({ loops, colour, rows }: RoundManner, part: PartSource): string[] {
  return [
    ...(rows && part.rounds.length === 0 ? ['rows'] : []),
    ...(loops ? [`${loops} loops`] : []),
    ...(colour ? [`in ${colour}`] : []),
  ];
}

function remarkOf(taps: readonly Tap[], manner: RoundManner, part: PartSource): string {
  const runs: string[] = mannerKept(manner, part);
  for (let from = 0; from < taps.length;) {
    let until = from;
    while (taps[until] === taps[from]) until += 1;
    runs.push(`${until - from} ${taps[from]}`);
    from = until;
  }
  return `// R${numberNow(part)} so far: ${runs.join(', ')}`;
}

/** The text with other taps kept for a part, and what is said of the round; with none of them where there is neither. */
export function withTaps(
  text: string,
  part: PartSource,
  taps: readonly Tap[],
  manner: RoundManner = mannerIn(text, part),
): string {
  const line = lineBehind(part);
  const kept = remarkIn(text, part) !== null;
  if (taps.length > 0 || mannerKept(manner, part).length > 0) {
    const remark = remarkOf(taps, manner, part);
    const edit = kept ? { line, text: remark } : { line: line - 1, text: remark, insertAfter: true };
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
  const manner = mannerIn(text, part);
  const body = roundWords(round.taps, round.below, manner).replace(/\bsc\b/g, round.word);
  const after = roundCards(part).at(-1) ?? null;
  const bare = withTaps(text, part, [], usualManner);
  return insertRound(bare, part, { after, body, count: round.count, row: manner.rows });
}
