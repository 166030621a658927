import type { IToken, TokenType } from 'chevrotain';
import type { Extent, LoopsWord, Span, StitchWord, WorkItem } from './ast';
import { endOf, is } from './tokenGroups';
import { numberOf, T } from './tokens';

/** How often something is done, as read: `x 6`, `5 more times`, `repeat from * around`. */
export interface Clause {
  extent: Extent;
  more: boolean;
  fromStar: boolean;
  span: Span;
}

/** Where a stitch goes, as the tokens that say it. */
export interface Place {
  tokens: IToken[];
  extent: Extent | null;
}

/** The tokens of one stitch phrase: `5 sc`, `sc in next 5`, `dc2inc`, `sc2tog`. */
export interface StitchPhrase {
  lead?: IToken;
  core?: IToken;
  trail?: IToken;
  tog?: IToken;
  shape?: IToken;
  loops?: LoopsWord;
}

export const count = (n: number): Extent => ({ kind: 'count', n });

const wordOf: [TokenType, StitchWord][] = [
  [T.Single, 'sc'],
  [T.HalfDouble, 'hdc'],
  [T.Double, 'dc'],
  [T.Treble, 'tr'],
  [T.DoubleTreble, 'dtr'],
  [T.HalfTreble, 'htr'],
  [T.TripleTreble, 'ttr'],
  [T.SlipStitch, 'sl'],
  [T.Chain, 'ch'],
];

/**
 * What a stitch phrase means. Where a number can be read two ways, the place decides: `2 sc in next st` is an increase, `5 sc in next 5`
 * five stitches.
 */
export function workItem(
  read: StitchPhrase,
  place: Place | undefined,
  clause: Clause | undefined,
  span: Span,
): WorkItem {
  const { core, shape, trail, tog } = read;
  const lead = read.lead && is(read.lead, T.Same) ? undefined : read.lead;
  const word = wordOf.find(([type]) => is(core, type))?.[1] ?? 'plain';
  const tokens = place?.tokens ?? [];
  const has = (...types: TokenType[]) => tokens.some((token) => is(token, ...types));
  const placeNumber = tokens.find((token) => is(token, T.Num, T.NumberWord));
  const each = has(T.Each);
  let { loops } = read;
  for (const token of tokens) {
    if (is(token, T.FrontLoops)) loops = 'front';
    if (is(token, T.BackLoops)) loops = 'back';
  }
  const bare = !lead && !trail && !place && !clause && !tog && word !== 'ch';
  const item: WorkItem = {
    type: 'work',
    word,
    make: 1,
    together: 1,
    extent: count(1),
    target: 'next',
    fromHook: 0,
    span,
  };
  if (loops) item.loops = loops;
  if (bare) item.bare = true;
  if (
    (shape !== undefined || is(core, T.Increase, T.Decrease, T.InvisibleDecrease)) &&
    (clause ?? place)?.extent?.kind === 'around' &&
    !each &&
    !has(T.Remain, T.Hook, T.Chain)
  )
    item.openEnded = true;
  if (shape && core && !trail && is(core, T.Stitch) && endOf(core) < shape.startOffset && !tog)
    item.pair = true;
  if (has(T.Ring)) item.target = 'ring';
  else if (has(T.Hook)) {
    item.target = 'hook';
    const ordinal = tokens.find((token) => is(token, T.Ordinal, T.Num));
    item.fromHook = (ordinal && numberOf(ordinal)) || 2;
  } else if (has(T.Loop) && !has(T.St, T.Chain)) item.target = 'ring';
  else if (has(T.Same) && !placeNumber && !each)
    item.target = tokens.some((token) => is(token, T.Same) && /same/i.test(token.image)) ? 'same' : 'next';
  else if (has(T.First) && !placeNumber) item.target = 'first';

  const shapes = shape ?? (is(core, T.Increase, T.Decrease, T.InvisibleDecrease) ? core : undefined);
  const glued = (a: IToken | undefined, b: IToken | undefined) =>
    a !== undefined && b !== undefined && endOf(a) === b.startOffset;
  const value = (token: IToken | undefined) => (token ? numberOf(token) : undefined);
  const extentOf = (n: number | undefined): Extent =>
    clause?.extent ??
    place?.extent ??
    (n !== undefined ? count(n) : each && !placeNumber ? { kind: 'around' } : count(1));

  if (tog) {
    const size = value(trail) ?? value(lead) ?? 2;
    item.together = size;
    const over = value(placeNumber);
    item.extent = extentOf(
      trail && lead
        ? value(lead)
        : over !== undefined && over >= size
          ? Math.max(1, Math.floor(over / size))
          : undefined,
    );
    return item;
  }
  if (shapes) {
    // `inc3` and `dc2inc` carry their size glued on; `inc 3` is done three times.
    const sized = glued(shapes, trail) || glued(trail, shapes) ? (value(trail) ?? 0) : 0;
    const three = sized === 3 || (sized === 2 && glued(trail, shapes));
    const size = three ? sized : 2;
    const decrease = is(shapes, T.Decrease, T.InvisibleDecrease);
    if (decrease) item.together = size;
    else item.make = size;
    const over = value(placeNumber);
    const overTimes =
      over === undefined ? undefined : decrease && over % size === 0 && !each ? over / size : over;
    item.extent = extentOf(value(lead) ?? (three ? undefined : value(trail)) ?? overTimes);
    return item;
  }
  const n = value(lead) ?? value(trail);
  const targeted =
    has(T.Next, T.Each, T.St, T.Chain, T.Last, T.First, T.Same, T.Ordinal, T.Stitch) &&
    (item.target === 'next' || item.target === 'same' || item.target === 'first');
  if (item.target === 'ring' || item.target === 'hook' || word === 'ch') {
    item.extent = clause?.extent ?? count(n ?? 1);
    if (item.target === 'hook' && (n ?? 1) > 1) {
      item.make = n ?? 1;
      item.extent = clause?.extent ?? count(1);
    }
    return item;
  }
  if (!targeted) {
    const within = value(placeNumber);
    // Along a folded edge a stitch without a number goes all the way.
    if (has(T.BothLayers) && n === undefined && within === undefined)
      return { ...item, extent: place?.extent ?? { kind: 'around' } };
    item.extent = extentOf(n ?? within);
    if (clause && clause.extent.kind === 'count' && n !== undefined && n > 1)
      item.extent = count(n * clause.extent.n);
    return item;
  }
  const m = value(placeNumber);
  const wide =
    place?.extent ??
    ((each || has(T.BothLayers) || (has(T.Remain) && !has(T.Next))) && m === undefined
      ? ({ kind: 'around' } as Extent)
      : undefined);
  if (n === undefined) {
    item.extent = wide ?? extentOf(m);
    if (clause?.extent.kind === 'count' && m !== undefined) item.extent = count(m * clause.extent.n);
  } else if (m !== undefined && m > 1 && !each && m === n) {
    item.extent = count(n);
  } else {
    item.make = n;
    item.extent = wide ?? clause?.extent ?? count(m ?? 1);
  }
  return item;
}
