import type { LineEdit } from '../notation/problem';
import { overRound } from '../notation/wrapped';
import type { PartSource } from '../notation/pattern';

const splice = (text: string, from: number, to: number, by: string) =>
  text.slice(0, from) + by + text.slice(to);

/**
 * Numbers the rounds of a part on without gaps.
 *
 * @param index the first round to number anew; it gets the number after the one before it
 * @returns edits of the lines whose numbers change
 */
export function renumberFrom(part: PartSource, index: number): LineEdit[] {
  let next = (part.rounds[index - 1]?.number ?? 0) + 1;
  const edits: LineEdit[] = [];
  let line = -1;
  const roundsOn = new Map<number, number>();
  for (const source of part.rounds) roundsOn.set(source.line, (roundsOn.get(source.line) ?? 0) + 1);
  for (const source of part.rounds.slice(index)) {
    if (source.line === line) continue;
    line = source.line;
    const rounds = roundsOn.get(source.line) ?? 1;
    const { label } = source.work;
    if (label) {
      const numbers = [...source.text.slice(0, label.span.to).matchAll(/\d+/g)].slice(0, 2);
      const values = [next, next + rounds - 1];
      let text = source.text;
      for (let i = numbers.length - 1; i >= 0; i -= 1) {
        const found = numbers[i];
        if (found) text = splice(text, found.index, found.index + found[0].length, String(values[i]));
      }
      if (text !== source.text) edits.push(overRound(source, text));
    }
    next += rounds;
  }
  return edits;
}
