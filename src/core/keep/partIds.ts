import type { PartSource } from '../notation/pattern';
import { fingerprint } from '../toy/fingerprint';

/** A part as it was last seen in the text of its toy, with the id that outlives renaming, moving and rewriting. */
export interface KnownPart {
  /** `p1`, `p2`, … in the order in which the toy came to have them; never given twice */
  id: string;
  /** what the text then called it, as {@link PartSource.id} has it */
  called: string;
  /** a short name for what its rounds then said */
  work: string;
  /** it is not in the text any more */
  gone?: true;
}

/** So many are remembered, those that are gone from the text among them: undo brings them back. */
export const partsRemembered = 240;

const workOf = ({ rounds }: PartSource): string =>
  rounds.length === 0 ? '' : fingerprint(rounds.map(({ number, text }) => [number, text]));

const numberOf = ({ id }: KnownPart): number => Number(id.slice(1));

type Likeness = (known: KnownPart, seen: KnownPart) => boolean;

/** What makes a part the same as an earlier one, the surest first. A part without rounds is not known by them. */
const likenesses: readonly Likeness[] = [
  (known, seen) => known.called === seen.called && known.work === seen.work,
  (known, seen) => known.work === seen.work && seen.work !== '',
  (known, seen) => known.called === seen.called,
];

/**
 * The parts of a text with the ids that they had before: a part is found again by its name and its rounds, by its rounds alone where it
 * was renamed, by its name alone where it was rewritten, and else by its place between two others. A part that is none of those is new.
 *
 * @param known the parts of the texts before, as this function gave them
 * @param parts the parts of the text as it is now
 * @returns the parts of the text in its order, then those that are gone from it
 */
export function carryPartIds(
  known: readonly KnownPart[],
  parts: readonly PartSource[],
): readonly KnownPart[] {
  const seen = parts.map((part): KnownPart => ({ id: '', called: part.id, work: workOf(part) }));
  const free = new Set(known);
  const give = (part: KnownPart, earlier: KnownPart) => {
    part.id = earlier.id;
    free.delete(earlier);
  };
  for (const alike of likenesses) {
    for (const part of seen) {
      const earlier = part.id === '' && [...free].find((one) => alike(one, part));
      if (earlier) give(part, earlier);
    }
  }
  for (const [index, part] of seen.entries()) {
    const earlier = part.id === '' && betweenTheSame(known, seen, index);
    if (earlier && free.has(earlier)) give(part, earlier);
  }
  let last = Math.max(0, ...known.map(numberOf));
  for (const part of seen.filter(({ id }) => id === '')) {
    last += 1;
    part.id = `p${last}`;
  }
  const gone = [...free]
    .sort((a, b) => numberOf(b) - numberOf(a))
    .map((part): KnownPart => ({ ...part, gone: true }));
  const carried = [...seen, ...gone].slice(0, Math.max(seen.length, partsRemembered));
  return isSame(carried, known) ? known : carried;
}

/** The part that stood between the neighbours of a part, where it was the only one there: it was renamed and rewritten at once. */
function betweenTheSame(
  known: readonly KnownPart[],
  seen: readonly KnownPart[],
  index: number,
): KnownPart | undefined {
  const were = known.filter(({ gone }) => !gone);
  const above = seen[index - 1];
  const before = above ? were.findIndex(({ id }) => id === above.id) : -1;
  const isAnchored = !above || before >= 0;
  const isNext = were[before + 2]?.id === seen[index + 1]?.id;
  return isAnchored && isNext ? were[before + 1] : undefined;
}

function isSame(a: readonly KnownPart[], b: readonly KnownPart[]): boolean {
  return (
    a.length === b.length &&
    a.every(({ id, called, work, gone }, index) => {
      const other = b[index];
      return other?.id === id && other.called === called && other.work === work && other.gone === gone;
    })
  );
}

/** The lasting id of a part of the text that was carried last. */
export function lastingId(known: readonly KnownPart[], part: PartSource): string {
  return known.find(({ called, gone }) => called === part.id && !gone)?.id ?? part.id;
}
