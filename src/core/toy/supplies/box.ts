import { t } from '../../words/language';
import { sayTerm } from '../../words/said';
import type { MakingList } from '../../supplies/makingList';
import { feltName } from './felt';
import { feltKey, isYarnKey, pieceKey, toolKey, unitOfKey, yarnKey, type Unit } from './needKey';
import type { BuyNeed } from './toBuy';
import { toolKinds, toolName, type ToolKind } from './tools';

/** Something in a maker's box, and what of it is spoken for by the toys she means to make. */
export interface BoxItem {
  /** what it is kept under, as what is needed is */
  key: string;
  words: string;
  unit: Unit;
  there: number;
  /** what the toys of the list take */
  reserved: number;
  /** what is left once they are made; less than 0 where it does not reach */
  free: number;
}

/** Things of a box, as a maker puts them in. */
export type BoxThing =
  | { kind: 'yarn'; name: string; what: string }
  | { kind: 'piece'; name: string; sizeMm: number | null }
  | { kind: 'felt'; colour: string }
  | { kind: 'tool'; tool: ToolKind; sizeMm: number | null }
  | { kind: 'stuffing' }
  | { kind: 'thread' };

/** What comes by the piece and is sold by its size. */
export const boxPieces = [
  'safety eye',
  'oval safety eye',
  'washer',
  'safety nose',
  'button',
  'key ring',
  'rattle',
  'squeaker',
] as const;

const figure = (value: number): number => Math.round(value * 10) / 10;

/** The name something is kept under: the one under which toys ask for it. */
export function boxKey(thing: BoxThing): string {
  switch (thing.kind) {
    case 'yarn':
      return yarnKey(thing.name.trim(), thing.what.trim());
    case 'piece':
      return pieceKey(thing.name, thing.sizeMm);
    case 'felt':
      return feltKey(thing.colour.trim() || null);
    case 'tool':
      return toolKey(thing.tool, thing.sizeMm);
    default:
      return thing.kind;
  }
}

/** A tool by the size it is kept under: in mm, or as a pattern names it. */
function toolInBox(kind: ToolKind, size: string | null): string {
  const sizeMm = /^(\d+(?:\.\d+)?) mm$/.exec(size ?? '')?.[1];
  if (sizeMm !== undefined) return toolName({ kind, sizeMm: Number(sizeMm) });
  const name = toolName({ kind, sizeMm: null });
  return size === null ? name : `${name}, ${size}`;
}

/** What it is called, where no toy asks for it and says so itself. */
function boxWords(key: string): string {
  const [, name, what] = /^yarn ([^,]+), (.+)$/.exec(key) ?? [];
  if (name && what) return `${name} (${what})`;
  if (key === 'thread') return t`Thread for stitching`;
  const [kind = key, ...size] = key.split(', ');
  const tool = toolKinds.find((one) => one === kind);
  if (tool) return toolInBox(tool, size[0] ?? null);
  if (kind === 'felt') return feltName({ colour: size[0] ?? null });
  const called = [sayTerm(kind), ...size].join(', ');
  return called.charAt(0).toUpperCase() + called.slice(1);
}

/**
 * What is in the box: what has been put in, and what of it the toys of the list take. Yarn that is one toy's alone, because its text does
 * not say what yarn it is, is in it only while that toy is on the list.
 *
 * @param needs what the toys of the list take
 */
export function boxOf({ there }: MakingList, needs: readonly BuyNeed[]): BoxItem[] {
  const asked = new Map(needs.map((need) => [need.key, need]));
  const isOfOneToy = (key: string) => isYarnKey(key) && !key.includes(',');
  const keys = Object.keys(there).filter((key) => (there[key] ?? 0) > 0);
  return keys
    .filter((key) => asked.has(key) || !isOfOneToy(key))
    .map((key): BoxItem => {
      const need = asked.get(key);
      const has = there[key] ?? 0;
      const reserved = need?.amount ?? 0;
      const words = need?.words ?? boxWords(key);
      return { key, words, unit: unitOfKey(key), there: has, reserved, free: has - reserved };
    })
    .sort((a, b) => a.words.localeCompare(b.words, 'en', { numeric: true }));
}

/**
 * The list once some of its toys are made: as many fewer are left to make, and what they took is out of the box; what would have been
 * bought to spare is there still.
 *
 * @param needs what the toys of the list take
 * @param toy by its id on the shelf
 */
export function onceMade(
  list: MakingList,
  needs: readonly BuyNeed[],
  { toy, count }: { toy: string; count: number },
): MakingList {
  const planned = list.toys.find(({ id }) => id === toy)?.count ?? 0;
  const made = Math.min(count, planned);
  if (made <= 0) return list;
  const there = { ...list.there };
  for (const { key, unit, each } of needs) {
    const spare = unit === 'pieces' ? 1 : 1 + list.spare / 100;
    const took = ((each.get(toy) ?? 0) * made) / spare;
    if (took > 0 && there[key] !== undefined) there[key] = Math.max(0, figure(there[key] - took));
  }
  const toys = list.toys.flatMap((one) => {
    if (one.id !== toy) return [one];
    return one.count > made ? [{ ...one, count: one.count - made }] : [];
  });
  return { ...list, toys, there };
}
