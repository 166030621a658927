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
    { ...end, extent: { kind: 'count', n: end.said ?? 1 }, openEnded: false },
  ];
  return [...items.slice(0, first), groupOf(body, { kind: 'around' }), ...items.slice(last + 1)];
}

/** Ways to read a number of its own before *around*: `sc 20 around`, `dec 6 around`. */
interface NumberedAround {
  /** so many of them */
  counted: Item[];
  /** so many in each stitch, or so many changes spread over the round */
  others: (Item[] | null)[];
}

/** The ways to read such a round; null where no item has a number before *around*. */
function numberedAround(items: readonly Item[], below: number): NumberedAround | null {
  const item = items.find((one): one is WorkItem => one.type === 'work' && (one.said ?? 1) > 1);
  if (item?.extent.kind !== 'around' || item.said === undefined) return null;
  const inItsPlace = (other: Partial<WorkItem>) =>
    items.map((one) => (one === item ? { ...item, ...other } : one));
  const extent = { kind: 'count' as const, n: item.said };
  const isPlain = item.make === 1 && item.together === 1;
  const inEach = isPlain ? inItsPlace({ make: item.said }) : null;
  return {
    counted: inItsPlace({ extent }),
    others: [inEach, spread(inItsPlace({ extent, evenly: true }), below)],
  };
}

/** `3 sc, dec x 6` as all of it so often; null where the line can't be read so. */
function repeatedTimes(items: readonly Item[]): Item[] | null {
  const last = items.findLastIndex((item) => item.type === 'work' || item.type === 'group');
  const end = items[last];
  if (end?.type !== 'work' || !isCounted(end) || end.extent.kind !== 'count' || end.extent.n < 2) return null;
  let first = last;
  while (first > 0 && isCounted(items[first - 1]!)) first -= 1;
  if (first === last) return null;
  const body: Item[] = [...items.slice(first, last), { ...end, extent: { kind: 'count', n: 1 } }];
  return [...items.slice(0, first), groupOf(body, end.extent), ...items.slice(last + 1)];
}

/** `(sc, inc) (18)`, a bracket without a word how often: all round; null where there is not just one. */
function bracketAround(items: readonly Item[]): Item[] | null {
  const works = items.filter((item) => item.type === 'work' || item.type === 'group' || item.type === 'skip');
  const [only] = works;
  const isOnce =
    only?.type === 'group' && only.extent.kind === 'count' && only.extent.n === 1 && !only.intoOne;
  if (works.length !== 1 || !isOnce) return null;
  return items.map((item) => (item === only ? { ...only, extent: { kind: 'around' as const } } : item));
}

/** `sc, inc [18]`: what is listed once and counted for the whole round; null where something else stands there. */
function listedAround(items: readonly Item[]): Item[] | null {
  const first = items.findIndex(isCounted);
  const last = items.findLastIndex(isCounted);
  const works = items.slice(first, last + 1);
  if (first < 0 || !works.every(isCounted)) return null;
  return [...items.slice(0, first), groupOf(works, { kind: 'around' }), ...items.slice(last + 1)];
}

/** `sc around, inc in every other st` as the second alone: what changes the count is worked among the plain stitches; null where it is not said so. */
function amongPlain(items: readonly Item[]): Item[] | null {
  const first = items.findIndex((item) => item.type === 'work' || item.type === 'group');
  const plain = items[first];
  const isPlain =
    plain?.type === 'work' &&
    plain.target === 'next' &&
    plain.extent.kind === 'around' &&
    plain.make === 1 &&
    plain.together === 1;
  if (!isPlain) return null;
  const rest = items.filter((item, index) => index !== first && item.type !== 'unknown');
  const works = rest.filter((item) => item.type === 'work' || item.type === 'group' || item.type === 'skip');
  const [only] = works;
  const goesAround = (only?.type === 'work' || only?.type === 'group') && only.extent.kind === 'around';
  return works.length === 1 && goesAround ? rest : null;
}

function groupOf(items: Item[], extent: GroupItem['extent']): GroupItem {
  const span = { from: items[0]?.span.from ?? 0, to: items.at(-1)?.span.to ?? 0 };
  return { type: 'group', items, extent, orMore: false, intoOne: false, span };
}

const isChange = (item: Item | undefined): item is WorkItem =>
  item?.type === 'work' && (item.make > 1 || item.together > 1) && item.target === 'next';

/** A plain stitch without a number, and right after it so many increases or decreases: `sc 2 inc`. */
function runOn(item: Item, next: Item | undefined): next is WorkItem {
  const plain = item.type === 'work' && item.make === 1 && item.together === 1 && item.target === 'next';
  const single = plain && item.extent.kind === 'count' && item.extent.n === 1;
  if (!single || !isChange(next) || next.extent.kind !== 'count' || next.extent.n < 2) return false;
  // A comma between them would take more room.
  return next.span.from - item.span.to <= 1;
}

/** `sc 2 inc` with the number given to what stands before it; null where there is none. */
function regrouped(items: readonly Item[]): Item[] | null {
  let found = false;
  const regroup = (list: readonly Item[]): Item[] => {
    const all: Item[] = [];
    for (let i = 0; i < list.length; i += 1) {
      const [item, next] = [list[i]!, list[i + 1]];
      if (item.type === 'group') all.push({ ...item, items: regroup(item.items) });
      else if (item.type === 'work' && runOn(item, next)) {
        found = true;
        all.push({ ...item, extent: next.extent }, { ...next, extent: { kind: 'count', n: 1 } });
        i += 1;
      } else all.push(item);
    }
    return all;
  };
  const all = regroup(items);
  return found ? all : null;
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
      const { before, ...one } = item;
      if (before !== undefined) {
        const plain: WorkItem = {
          ...one,
          make: 1,
          together: 1,
          pair: false,
          extent: { kind: 'count', n: before },
        };
        const change: WorkItem = {
          ...one,
          word: 'plain',
          make: item.together > 1 ? 1 : 2,
          extent: { kind: 'count', n: 1 },
          pair: false,
        };
        return [groupOf([plain, change], item.extent)];
      }
      return [
        { ...item, make: 1, together: 1, pair: false },
        { ...item, word: 'plain', extent: { kind: 'count', n: 1 }, pair: false },
      ];
    });
  const all = part(items, false);
  return found ? { items: all, usual } : null;
}

/** `2 sc in each 12` as an increase in each stitch that comes to 12; null where it does not come to that. */
function eachComesTo(items: readonly Item[], below: number): Item[] | null {
  const works = items.filter(({ type }) => type === 'work' || type === 'group' || type === 'skip');
  const [only] = works;
  if (works.length !== 1 || only?.type !== 'work' || !only.orTotal || only.extent.kind !== 'count')
    return null;
  if (only.extent.n !== below * only.make) return null;
  return items.map((item) => (item === only ? { ...only, extent: { kind: 'around' as const } } : item));
}

/** What decides between two ways to read a line. */
export interface MeantBy {
  /** stitches in the round below */
  below: number;
  /** what the line says it comes to, if anything */
  total: number | null;
  terms: Terms;
}

/**
 * What a line means where its words can be read in two ways: the way that comes out even over the round below and at the stated total.
 * Where both do, or neither, the words are taken as they stand, but for a line that says *around* at its end: that repeats as a whole
 * wherever it comes out even.
 */
export function asMeant(items: Item[], { below, total, terms }: MeantBy): Item[] {
  if (!Number.isFinite(below)) return items;
  const does = (reading: readonly Item[] | null): reading is Item[] =>
    reading !== null && fits(reading, below, total, terms);
  const even = spread(items, below) ?? eachComesTo(items, below);
  if (even) return even;
  const among = amongPlain(items);
  if (does(among)) return among;
  const stands = does(items);
  const whole = repeatedWhole(items);
  if (does(whole) && (total === null || !stands)) return whole;
  const numbered = numberedAround(items, below);
  // The number is what she wrote: where it leaves stitches over and no total says more, that is told.
  if (numbered) {
    const { counted, others } = numbered;
    return total === null || does(counted) ? counted : (others.find(does) ?? counted);
  }
  const apart = parted(items);
  if (apart && does(apart.items) && ((apart.usual && total === null) || !stands)) return apart.items;
  return stands ? items : otherwise(items, total, does);
}

/** Readings of words that don't come out as they stand; some only where the total says so: without it they would be guesses. */
function otherwise(
  items: Item[],
  total: number | null,
  does: (reading: readonly Item[] | null) => boolean,
): Item[] {
  const ahead = increasesAhead(items);
  const others =
    total === null
      ? [ahead]
      : [ahead, regrouped(items), repeatedTimes(items), bracketAround(items), listedAround(items)];
  return others.find((reading) => does(reading)) ?? items;
}
