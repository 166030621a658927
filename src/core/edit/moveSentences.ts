import { applyEdits } from '../notation/applyEdits';
import type { LineEdit } from '../notation/problem';
import type { Span } from '../notation/ast';
import { readPattern } from '../notation/readPattern';
import { isJoin } from '../notation/sentence/join';
import { countsBack, type RoundNumber } from '../notation/sentence/said';
import type { Sentence } from '../notation/sentence/sentence';
import type { PartSource } from '../notation/pattern';

/** The number of a round in the line that sets the front. */
const ofRound = /\b(round\s+)(\d+)/i;

const ending = (n: number) =>
  n % 100 >= 11 && n % 100 <= 13 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th');

/** The new numbers of what is named together. Neighbours stay neighbours, also where a round is put in between them. */
function movedNumbers(said: readonly RoundNumber[], numbers: ReadonlyMap<number, number>): number[] {
  const rounds = said.map(({ round }) => round);
  const lower = Math.min(...rounds);
  const neighbours = rounds.length === 2 && Math.max(...rounds) === lower + 1;
  return rounds.map((round) =>
    neighbours ? (numbers.get(lower) ?? lower) + (round - lower) : (numbers.get(round) ?? round),
  );
}

/** The sentences whose rounds are those of a part: its own, but for what it is joined to, and what is joined onto it. */
function aboutRounds(text: string, part: PartSource): Sentence[] {
  const own = part.steps.filter((step) => !isJoin(step) || step.joined.every(({ wall }) => !wall));
  const onto = readPattern(text)
    .parts.flatMap(({ steps }) => steps)
    .filter((step) => isJoin(step) && step.joined.some(({ wall }) => wall?.id === part.id));
  return [...own, ...onto];
}

/**
 * Carries the sentences of a part along when its rounds get other numbers: eyes between 8 and 9 are between 10 and 11 once two rounds are
 * put in before them. What is counted from the end stays as it is.
 *
 * @param part as read before the numbers changed
 * @param numbers new number of a round by its old one
 */
export function moveSentences(text: string, part: PartSource, numbers: ReadonlyMap<number, number>): string {
  const lines = text.split(/\r\n|\n|\r/);
  const edits = new Map<number, string>();
  const put = (line: number, { from, to }: Span, next: string) => {
    const current = edits.get(line) ?? lines[line - 1] ?? '';
    edits.set(line, current.slice(0, from) + next + current.slice(to));
  };
  const places = aboutRounds(text, part)
    .filter((step) => !('countFrom' in step && countsBack(step.countFrom, part.start)))
    .flatMap(({ line, roundNumbers = [] }) =>
      roundNumbers.flatMap((said) => {
        const moved = movedNumbers(said, numbers);
        return said.map(({ round, span }, i) => ({ line, span, round, moved: moved[i] ?? round }));
      }),
    );
  // From the end of each line, so that what stands before keeps its place.
  for (const { line, span, round, moved } of places.sort((a, b) => b.span.from - a.span.from)) {
    if (moved === round) continue;
    const ordinal = /\d(?:st|nd|rd|th)$/i.test((lines[line - 1] ?? '').slice(span.from, span.to));
    put(line, span, `${moved}${ordinal ? ending(moved) : ''}`);
  }
  if (part.front) {
    const said = lines[part.front.line - 1] ?? '';
    edits.set(
      part.front.line,
      said.replace(
        ofRound,
        (whole, word: string, round: string) => `${word}${numbers.get(Number(round)) ?? round}`,
      ),
    );
  }
  return applyEdits(
    text,
    [...edits].map(([line, next]): LineEdit => ({ line, text: next })),
  );
}
