import type { Extent, GroupItem, Item, WorkItem } from './ast';
import { stitchKind, stitchWord, type Terms } from './terms';

const ordinal = (n: number) =>
  `${n}${n % 10 === 1 && n !== 11 ? 'st' : n % 10 === 2 && n !== 12 ? 'nd' : n % 10 === 3 && n !== 13 ? 'rd' : 'th'}`;

/** How often, behind a word that stands for one stitch: `sc 6`, `inc x 6`, `inc around`. */
function often(word: string, extent: Extent, bare: boolean, sign = '', openEnded = true): string {
  if (extent.kind === 'around') return openEnded ? `${word} around` : `${word} in each st around`;
  if (extent.kind === 'leave') return `${word} until ${extent.n} stitches remain`;
  return extent.n === 1 && (bare || sign) ? word : `${word} ${sign}${extent.n}`;
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

function writeWork(item: WorkItem, from: Terms, to: Terms): string {
  const kind = stitchKind(item.word, from);
  const word = stitchWord(kind, to);
  const plain = kind === 'sc';
  const { make, together, extent } = item;
  const loops = item.loops === 'front' ? 'FLO ' : item.loops === 'back' ? 'BLO ' : '';
  const colour = item.colour ? ` in ${item.colour}` : '';
  const times = extent.kind === 'count' ? extent.n : 1;
  const bare = item.bare === true;
  if (item.target === 'ring') return `${loops}${times * make} ${word} in ring${colour}`;
  if (item.target === 'hook')
    return `${loops}${make > 1 ? `${make} ` : ''}${word} in ${ordinal(item.fromHook)} ch from hook${colour}`;
  if (item.target === 'same')
    return `${loops}${make > 1 ? `${make} ` : ''}${word} in same st${times > 1 ? ` x ${times}` : ''}${colour}`;
  if (item.target === 'first') return `${loops}${make > 1 ? `${make} ` : ''}${word} in first st${colour}`;
  if (together > 1) {
    const glued = plain ? (together === 2 ? 'dec' : `dec${together}`) : `${word}${together}tog`;
    return (
      loops +
      (plain && together > 3
        ? often(`${word}${together}tog`, extent, bare, 'x ')
        : often(glued, extent, bare, 'x ', item.openEnded === true)) +
      colour
    );
  }
  if (make > 1) {
    if (make === 2)
      return (
        loops +
        (plain
          ? often('inc', extent, bare, 'x ', item.openEnded === true)
          : often(`${word} inc`, extent, bare, 'x ', item.openEnded === true)) +
        colour
      );
    if (make === 3 && plain)
      return loops + often('inc3', extent, bare, 'x ', item.openEnded === true) + colour;
    const each =
      extent.kind === 'around'
        ? 'in each st around'
        : extent.kind === 'leave'
          ? `in each st until ${extent.n} stitches remain`
          : extent.n === 1
            ? 'in next st'
            : `in each of next ${extent.n} sts`;
    return `${loops}${make} ${word} ${each}${colour}`;
  }
  return loops + often(word, extent, bare) + colour;
}

function writeGroup(item: GroupItem, from: Terms, to: Terms): string {
  const inner = writeItems(item.items, from, to);
  const { extent } = item;
  if (item.intoOne)
    return `(${inner}) ${extent.kind === 'around' ? 'in each st around' : extent.kind === 'leave' ? `in each st until ${extent.n} stitches remain` : extent.n === 1 ? 'in next st' : `in each of next ${extent.n} sts`}`;
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
