import { applyEdits } from '../notation/applyEdits';
import type { LineEdit } from '../notation/problem';
import { countsBack } from '../notation/step';
import type { PartSource } from '../notation/pattern';

/** Round numbers as they stand in sentences: `R8`, `rounds 8 and 9`, `Rnd 8-9`. */
const named = /\b(rounds?|rnds?|rows?|r)(\.?\s*)(\d+)(?:(\s*(?:and|&|to|-|–|\/|\+)\s*(?:(?:rounds?|rnds?|rows?|r)\.?\s*)?)(\d+))?/gi;

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
  const put = (line: number, from: number, to: number) => {
    const current = edits.get(line) ?? lines[line - 1] ?? '';
    const before = current.slice(from, to);
    const after = before.replace(named, (whole, word: string, space: string, first: string, between: string | undefined, second: string | undefined) => {
      const [a, b] = [Number(first), Number(second)];
      const moved = numbers.get(a);
      if (moved === undefined) return whole;
      if (between === undefined) return `${word}${space}${moved}`;
      // Neighbours stay neighbours, also where a round is put in between them.
      const other = b === a + 1 ? moved + 1 : (numbers.get(b) ?? b);
      return `${word}${space}${moved}${between}${other}`;
    });
    if (after !== before) edits.set(line, current.slice(0, from) + after + current.slice(to));
  };
  // From the end of each line, so that what stands before keeps its place.
  for (const step of [...part.steps].sort((a, b) => b.span.from - a.span.from)) {
    if (!countsBack(step.countFrom, part.start)) put(step.line, step.span.from, step.span.to);
  }
  if (part.front) put(part.front.line, 0, (lines[part.front.line - 1] ?? '').length);
  return applyEdits(text, [...edits].map(([line, next]): LineEdit => ({ line, text: next })));
}
