import { t } from '../words/language';
import type { Problem } from '../notation/problem';
import type { ToyAnalysis } from '../toy/analyse';
import { sizeOfPart } from '../toy/stuffedPart';
import { sizeWords, threadWords } from '../words/measures';

/** A number that differs between two states of a toy, in a maker's words. */
export interface Change {
  part: string;
  what: string;
  before: string;
  after: string;
}

/** What is to be settled after a change that was not before it, each once. */
export function newlyOpen(before: ToyAnalysis, after: ToyAnalysis): Problem[] {
  const nameOf = ({ code, partId, where }: Problem) => `${code} ${partId ?? ''} ${where?.feature ?? ''}`;
  const known = new Set(before.problems.map(nameOf));
  const news = after.problems.filter((one) => one.severity !== 'info' && !known.has(nameOf(one)));
  return [...new Map(news.map((one) => [nameOf(one), one])).values()];
}

/** Every number of a toy that differs between two states of it, part by part, in the order a maker meets them. */
export function compareToys(before: ToyAnalysis, after: ToyAnalysis): Change[] {
  const changes: Change[] = [];
  for (const part of after.parts) {
    const old = before.parts.find((candidate) => candidate.source.id === part.source.id);
    if (!old) continue;
    const say = (what: string, was: string, is: string) => {
      if (was !== is) changes.push({ part: part.source.name, what, before: was, after: is });
    };
    const [was, is] = [sizeOfPart(old), sizeOfPart(part)];
    say('widest', sizeWords(was.widthMm), sizeWords(is.widthMm));
    say('high', sizeWords(was.heightMm), sizeWords(is.heightMm));
    if (old.eyes && part.eyes) {
      const holes = (eyes: NonNullable<typeof part.eyes>) =>
        eyes.units
          .map((unit) => unit.from)
          .sort((a, b) => a - b)
          .join(t` and `);
      say(t`eyes across`, `${old.eyes.rule.sizeMm} mm`, `${part.eyes.rule.sizeMm} mm`);
      say(t`eyes, holes`, holes(old.eyes), holes(part.eyes));
      say(t`eyes apart`, sizeWords(old.eyes.surfaceMm), sizeWords(part.eyes.surfaceMm));
    }
    const rounds = (stops: typeof part.stops) => stops.stops.map((stop) => stop.after).join(', ') || 'none';
    say(t`stops after round`, rounds(old.stops), rounds(part.stops));
    const tail = (stops: typeof part.stops) => (stops.closing ? threadWords(stops.closing.tailMm) : 'none');
    say(t`tail to leave`, tail(old.stops), tail(part.stops));
  }
  return changes;
}
