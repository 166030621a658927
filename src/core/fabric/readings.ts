import type { GroupItem, Item, WorkItem } from '../notation/ast';
import type { Terms } from '../notation/terms';
import { workRound } from './workRound';

const nothing = { stitch: () => undefined };

/** Increases or decreases said to be spread evenly, with the plain stitches between them; null where they don't fit into the round. */
function spread(items: readonly Item[], below: number): Item[] | null {
  const at = items.findIndex((item) => item.type === 'work' && item.evenly);
  const change = items[at];
  const others = items.filter(
    (item, index) => index !== at && (item.type === 'work' || item.type === 'group' || item.type === 'skip'),
  );
  if (change?.type !== 'work' || change.extent.kind !== 'count' || others.length > 0) return null;
  const { n } = change.extent;
  const plain = below - n * change.together;
  if (n < 1 || n > below || plain < 0) return null;
  const each = Array.from({ length: n }, (_, i): Item[] => {
    const before = Math.floor(((i + 1) * plain) / n) - Math.floor((i * plain) / n);
    const one: WorkItem = { ...change, extent: { kind: 'count', n: 1 }, evenly: false };
    return before > 0
      ? [{ ...one, word: 'plain', make: 1, together: 1, extent: { kind: 'count', n: before } }, one]
      : [one];
  });
  return [...items.slice(0, at), ...each.flat(), ...items.slice(at + 1)];
}

/** *2 sc in same st* after other stitches as an increase in the next one; null where there is none. */
function increasesAhead(items: readonly Item[]): Item[] | null {
  let found = false;
  const ahead = (list: readonly Item[]): Item[] =>
    list.map((item): Item => {
      if (item.type === 'group') return { ...item, items: ahead(item.items) };
      if (item.type !== 'work' || item.target !== 'same' || item.make < 2) return item;
      found = true;
      return { ...item, target: 'next' };
    });
  const all = ahead(items);
  return found ? all : null;
}

/** Does what is said come out even over the round below, and at what the line says it comes to? */
function fits(items: readonly Item[], below: number, total: number | null, terms: Terms): boolean {
  const { made, used, left, tooLarge } = workRound(items, below, { terms, colour: null, sink: nothing });
  return !tooLarge && used === below && left === 0 && (total === null || made === total);
}

/** Was it *around* that made this item go on, said after it and not of a place such as *each stitch*? */
const goesOn = (item: Item | undefined): item is WorkItem =>
  item?.type === 'work' && item.target === 'next' && item.openEnded === true;

const isCounted = (item: Item): boolean =>
  item.type === 'work' && item.word !== 'ch' && item.target === 'next' && item.extent.kind === 'count';

/** `sc 3, inc around` as all of it repeated; null where the line can't be read so. */
function repeatedWhole(items: readonly Item[]): Item[] | null {
  const last = items.findLastIndex((item) => item.type === 'work' || item.type === 'group');
  const end = items[last];
  if (!goesOn(end)) return null;
  let first = last;
  while (first > 0 && isCounted(items[first - 1]!)) first -= 1;
  if (first === last) return null;
  const body: Item[] = [
    ...items.slice(first, last),
    { ...end, extent: { kind: 'count', n: 1 }, openEnded: false },
  ];
  const group: GroupItem = {
    type: 'group',
    items: body,
    extent: { kind: 'around' },
    orMore: false,
    intoOne: false,
    span: { from: body[0]!.span.from, to: end.span.to },
  };
  return [...items.slice(0, first), group, ...items.slice(last + 1)];
}

interface Parted {
  items: Item[];
  /** each is in a bracket and of single crochet: there nearly all makers mean two stitches */
  usual: boolean;
}

/** Every *2 sc dec* in a line as plain stitches and a decrease; null where there is none. */
function parted(items: readonly Item[]): Parted | null {
  let found = false;
  let usual = true;
  const part = (list: readonly Item[], inBracket: boolean): Item[] =>
    list.flatMap((item): Item[] => {
      if (item.type === 'group') return [{ ...item, items: part(item.items, true) }];
      if (item.type !== 'work' || !item.pair) return [item];
      found = true;
      usual &&= inBracket && item.word === 'sc';
      return [
        { ...item, make: 1, together: 1, pair: false },
        { ...item, word: 'plain', extent: { kind: 'count', n: 1 }, pair: false },
      ];
    });
  const all = part(items, false);
  return found ? { items: all, usual } : null;
}

/**
 * What a line means where its words can be read in two ways: the way that comes out even over the round below and at the stated total.
 * Where both do, or neither, the words are taken as they stand, but for a line that says *around* at its end: that repeats as a whole
 * wherever it comes out even.
 *
 * @param below stitches in the round below
 * @param total what the line says it comes to, if anything
 */
export function asMeant(items: Item[], below: number, total: number | null, terms: Terms): Item[] {
  if (!Number.isFinite(below)) return items;
  const even = spread(items, below);
  if (even) return even;
  const whole = repeatedWhole(items);
  if (whole && fits(whole, below, total, terms) && (total === null || !fits(items, below, total, terms)))
    return whole;
  const apart = parted(items);
  if (
    apart &&
    fits(apart.items, below, total, terms) &&
    ((apart.usual && total === null) || !fits(items, below, total, terms))
  )
    return apart.items;
  const ahead = increasesAhead(items);
  if (ahead && fits(ahead, below, total, terms) && !fits(items, below, total, terms)) return ahead;
  return items;
}
