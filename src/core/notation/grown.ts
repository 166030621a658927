import type { Item, WorkLine } from './ast';
import type { Rewriting } from './rewriting';
import { numberWords } from './tokens';

/** Which of the legs a word says, counted from 1; null where it names none. */
export function whichEdge(said: string): number | 'other' | null {
  const word =
    /\b(first|second|third|fourth|[1-4](?:st|nd|rd|th)?|one|two|three|four|a|b|other|next)\b/i.exec(
      said.replace(/\bthe\b/gi, ''),
    )?.[1];
  if (!word) return null;
  const lower = word.toLowerCase();
  if (lower === 'other' || lower === 'next') return 'other';
  const letters: Readonly<Record<string, number>> = { a: 1, b: 2, first: 1 };
  return letters[lower] ?? numberWords[lower] ?? Number.parseInt(lower, 10);
}

const stitch = String.raw`(sc|dc|single\s+crochets?)`;
const chain = String.raw`ch(?:ain)?s?(?![a-z])`;
const side = String.raw`(?:(?:other|opposite|first|second|front|back)\s+side\s+of\s+(?:the\s+)?)?`;
const bridgeWork = new RegExp(
  String.raw`(?:(\d{1,3})\s*${stitch}|\b${stitch}(?:\s*(\d{1,3}))?)\s+(?:in|on|along|across|over|into|of)\s+(?:each\s+(?:of\s+)?)?(?:the\s+)?${side}(?:next\s+)?(?:(\d{1,3})\s*)?(?:connecting\s+|joining\s+|bridge\s+)?${chain}(?:\s*(?:sts?|stitches))?(?:\s+on\s+(?:the\s+)?(?:other|opposite)\s+side)?`,
  'gi',
);
/** A piece whose edge a body can grow out of. */
export const limb = /\b(?:leg|foot|limb)s?\b/i;
const fastened = /(?<=\b(?:leg|foot|limb)\s*(?:\d|[ab]\b)?)\s+with\s+(?:a\s+)?sl(?:ip)?[\s.-]*st(?:itch)?/gi;

/**
 * In a round that is worked around two legs: stitches along the chain between them are plain ones, and the slip stitch that joins the
 * other leg makes none.
 */
export function bridged(rewriting: Rewriting): void {
  if (!limb.test(rewriting.text)) return;
  const bridge = /\bch(?:ain)?\s*(\d{1,2})\b|\b(\d{1,2})\s*ch(?:ain)?s?\b/i.exec(rewriting.text);
  const length = bridge?.[1] ?? bridge?.[2];
  rewriting.replace(bridgeWork, (whole, ...found) => {
    const [before, wordAfter, wordBefore, after, within] = found;
    const count = before ?? after ?? within ?? length;
    return count ? `${wordAfter ?? wordBefore} ${count}` : whole;
  });
  rewriting.replace(fastened, () => '');
}

const edgesOf = (items: readonly Item[]) => items.filter((item) => item.type === 'edge');
const bridges = (item: Item) => item.type === 'work' && item.word === 'ch' && item.target === 'next';

/** A round worked around the edges of two pieces, with or without a chain between: what comes from there on is one piece. */
export function growsTogether({ items }: WorkLine): boolean {
  const edges = edgesOf(items);
  const several = new Set(edges.map(({ which }) => which)).size > 1;
  const isSewn = items.some(({ type }) => type === 'layers');
  return !isSewn && edges.length > 0 && (several || items.some(bridges)) && items.some(isStitch);
}

const isStitch = (item: Item): boolean => item.type === 'work' || item.type === 'group';
