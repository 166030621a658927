import type { Extent, GroupItem, Item, WorkItem } from './ast';
import { stitchKind, stitchWord } from './stitchKinds';
import type { Terms } from './terms';

const ordinal = (n: number) =>
  `${n}${n % 10 === 1 && n !== 11 ? 'st' : n % 10 === 2 && n !== 12 ? 'nd' : n % 10 === 3 && n !== 13 ? 'rd' : 'th'}`;

/** How a word is repeated: with a sign before its number, and whether `around` may stand right behind it. */
interface Repeated {
  sign?: string;
  isOpenEnded?: boolean;
}

/** How often, behind a word that stands for one stitch: `sc 6`, `inc x 6`, `inc around`. */
function often(
  word: string,
  { extent, bare }: WorkItem,
  { sign = '', isOpenEnded = true }: Repeated = {},
): string {
  if (extent.kind === 'around') return isOpenEnded ? `${word} around` : `${word} in each st around`;
  if (extent.kind === 'leave') return `${word} until ${extent.n} stitches remain`;
  return extent.n === 1 && (bare === true || sign) ? word : `${word} ${sign}${extent.n}`;
}

/** Into which stitches, behind what is worked into each: `in next st`, `in each of next 4 sts`. */
function intoEach(extent: Extent): string {
  if (extent.kind === 'around') return 'in each st around';
  if (extent.kind === 'leave') return `in each st until ${extent.n} stitches remain`;
  return extent.n === 1 ? 'in next st' : `in each of next ${extent.n} sts`;
}

/** A piece that is worked in stands behind the stitches: `6 sc joining the left arm`. */
function writeHeld(item: WorkItem, from: Terms, to: Terms): string {
  const words = writeWork(item, from, to);
  if (!item.piece) return words;
  const { extent } = item;
  const isPlain =
    item.make === 1 && item.together === 1 && extent.kind === 'count' && !item.colour && !item.loops;
  const stitch = stitchWord(stitchKind(item.word, from), to);
  return `${isPlain ? `${extent.n} ${stitch}` : words} joining the ${item.piece}`;
}

const loopsWord = { front: 'FLO ', back: 'BLO ', both: '' };

function writeWork(item: WorkItem, from: Terms, to: Terms): string {
  const loops = item.loops ? loopsWord[item.loops] : '';
  const colour = item.colour ? ` in ${item.colour}` : '';
  return loops + writeStitches(item, stitchWord(stitchKind(item.word, from), to), from) + colour;
}

/** What is worked, but for its loops and yarn. */
function writeStitches(item: WorkItem, word: string, from: Terms): string {
  const { make, together, extent, target } = item;
  const times = extent.kind === 'count' ? extent.n : 1;
  const several = make > 1 ? `${make} ` : '';
  if (target === 'ring') return `${times * make} ${word} in ring`;
  if (target === 'hook') return `${several}${word} in ${ordinal(item.fromHook)} ch from hook`;
  if (target === 'same') return `${several}${word} in same st${times > 1 ? ` x ${times}` : ''}`;
  if (target === 'first') return `${several}${word} in first st`;
  const isPlain = stitchKind(item.word, from) === 'sc';
  if (together > 1) return writeDecrease(item, word, isPlain);
  return make > 1 ? writeIncrease(item, word, isPlain) : often(word, item);
}

function writeDecrease(item: WorkItem, word: string, isPlain: boolean): string {
  const { together } = item;
  const worked = `${word}${together}tog`;
  if (isPlain && together > 3) return often(worked, item, { sign: 'x ' });
  const short = together === 2 ? 'dec' : `dec${together}`;
  return often(isPlain ? short : worked, item, { sign: 'x ', isOpenEnded: item.openEnded === true });
}

function writeIncrease(item: WorkItem, word: string, isPlain: boolean): string {
  const { make, extent } = item;
  const repeated = { sign: 'x ', isOpenEnded: item.openEnded === true };
  if (make === 2) return often(isPlain ? 'inc' : `${word} inc`, item, repeated);
  if (make === 3 && isPlain) return often('inc3', item, repeated);
  return `${make} ${word} ${intoEach(extent)}`;
}

function writeGroup(item: GroupItem, from: Terms, to: Terms): string {
  const inner = writeItems(item.items, from, to);
  const { extent } = item;
  if (item.intoOne) return `(${inner}) ${intoEach(extent)}`;
  if (item.orMore && extent.kind === 'count') return `*${inner}; repeat from * ${extent.n} times`;
  if (extent.kind === 'around') return `(${inner}) around`;
  if (extent.kind === 'leave') return `(${inner}) until ${extent.n} stitches remain`;
  return extent.n === 1 ? `(${inner})` : `(${inner}) x ${extent.n}`;
}

/**
 * Writes items in the one form Hoppla itself uses; read back they are the same items.
 *
 * @param from the terms the items were written in
 * @param to the terms to write
 */
export function writeItems(items: readonly Item[], from: Terms, to: Terms = from): string {
  return items
    .map((item, index) => {
      switch (item.type) {
        // Alone, *around* can't be taken for a repeat of what stands before it.
        case 'work':
          return writeHeld(index === 0 ? { ...item, openEnded: true } : item, from, to);
        case 'group':
          return writeGroup(item, from, to);
        case 'skip':
          return `skip ${item.n}`;
        case 'colour':
          return `change to ${item.name}`;
        case 'join':
          return 'sl st to first st';
        case 'turn':
          return 'turn';
        case 'fasten':
          return 'fasten off';
        case 'ring':
          return 'magic ring';
        case 'loops':
          return item.loops === 'front' ? 'FLO' : 'BLO';
        case 'base':
          return `into the ${item.loops} loops of R${item.round}`;
        case 'edge':
          return item.which === 'other' || item.which === null ? 'on the other leg' : `on leg ${item.which}`;
        case 'otherSide':
          return 'other side';
        case 'layers':
          return 'through both layers';
        case 'leave':
          return `leave ${item.n} unworked`;
        case 'repeatRounds':
          return `repeat rounds ${item.first} to ${item.last} ${item.times} times`;
        case 'unknown':
          return item.text;
      }
    })
    .join(', ');
}
