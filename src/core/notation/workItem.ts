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

/** A plain stitch in each stitch. */
export const plainAround = (span: Span): WorkItem => ({
  type: 'work',
  word: 'plain',
  make: 1,
  together: 1,
  extent: { kind: 'around' },
  target: 'next',
  fromHook: 0,
  span,
});

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

const changes = [T.Increase, T.Decrease, T.InvisibleDecrease];
const around: Extent = { kind: 'around' };

/** Whether two tokens stand against each other: `inc3`. */
const isGlued = (a: IToken | undefined, b: IToken | undefined): boolean =>
  a !== undefined && b !== undefined && endOf(a) === b.startOffset;

const valueOf = (token: IToken | undefined): number | undefined => (token ? numberOf(token) : undefined);

/** A stitch phrase with where it goes and how often, on its way to what it means. */
class StitchMeaning {
  private readonly lead: IToken | undefined;
  private readonly tokens: IToken[];
  private readonly word: StitchWord;
  /** the number the place gives: `in next 5` */
  private readonly placeNumber: IToken | undefined;
  private readonly each: boolean;

  constructor(
    private readonly read: StitchPhrase,
    private readonly place: Place | undefined,
    private readonly clause: Clause | undefined,
  ) {
    this.lead = read.lead && is(read.lead, T.Same) ? undefined : read.lead;
    this.tokens = place?.tokens ?? [];
    this.word = wordOf.find(([type]) => is(read.core, type))?.[1] ?? 'plain';
    this.placeNumber = this.tokens.find((token) => is(token, T.Num, T.NumberWord));
    this.each = this.has(T.Each);
  }

  item(span: Span): WorkItem {
    const item: WorkItem = {
      type: 'work',
      word: this.word,
      make: 1,
      together: 1,
      extent: count(1),
      fromHook: 0,
      span,
      ...this.target(),
    };
    this.mark(item);
    if (this.read.tog) return { ...item, ...this.together() };
    const shape = this.read.shape ?? (is(this.read.core, ...changes) ? this.read.core : undefined);
    if (shape) return { ...item, ...this.shaped(shape) };
    if (item.target === 'ring' || item.target === 'hook' || this.word === 'ch')
      return { ...item, ...this.fromNothing(item.target) };
    return { ...item, ...(this.isTargeted() ? this.into() : this.plain()) };
  }

  private has(...types: TokenType[]): boolean {
    return this.tokens.some((token) => is(token, ...types));
  }

  /** What it is worked into. */
  private target(): Pick<WorkItem, 'target'> & Partial<Pick<WorkItem, 'fromHook'>> {
    if (this.has(T.Ring)) return { target: 'ring' };
    if (this.has(T.Hook)) {
      const ordinal = this.tokens.find((token) => is(token, T.Ordinal, T.Num));
      return { target: 'hook', fromHook: valueOf(ordinal) || 2 };
    }
    if (this.has(T.Loop) && !this.has(T.St, T.Chain)) return { target: 'ring' };
    if (this.placeNumber) return { target: 'next' };
    if (this.has(T.Same) && !this.each) {
      const said = this.tokens.some((token) => is(token, T.Same) && /same/i.test(token.image));
      return { target: said ? 'same' : 'next' };
    }
    return { target: this.has(T.First) ? 'first' : 'next' };
  }

  /** What later steps look at: loops, whether it stands alone, whether it goes on. */
  private mark(item: WorkItem): void {
    const loops = this.loops();
    if (loops) item.loops = loops;
    if (this.standsAlone()) item.bare = true;
    if (this.changesAround()) item.openEnded = true;
    const n = this.number();
    if (n !== undefined && this.goesOnAround()) Object.assign(item, { openEnded: true, said: n });
    if (this.isPair()) item.pair = true;
    if (item.pair && this.lead && this.clause) item.before = numberOf(this.lead);
    const isShort = this.tokens.length <= 3 && !this.has(T.Next, T.Article, T.St);
    if (this.each && this.placeNumber && isShort) item.orTotal = true;
  }

  /** `sc`, and no number, place or end. */
  private standsAlone(): boolean {
    const { trail, tog } = this.read;
    const isNumbered = this.lead !== undefined || trail !== undefined;
    const isPlaced = this.place !== undefined || this.clause !== undefined;
    return !isNumbered && !isPlaced && !tog && this.word !== 'ch';
  }

  /** The token that makes it an increase or a decrease. */
  private change(): IToken | undefined {
    const { core, shape } = this.read;
    return shape ?? (is(core, ...changes) ? core : undefined);
  }

  /** `inc around`, `2 sc in next st around`: it may be a repeat of what stands before it. */
  private changesAround(): boolean {
    const severalInOne = (valueOf(this.lead) ?? 1) > 1 && this.has(T.Next);
    const isChange = this.change() !== undefined || severalInOne;
    const goesAround = (this.clause ?? this.place)?.extent?.kind === 'around' && !this.each;
    return isChange && goesAround && !this.has(T.Remain, T.Hook, T.Chain);
  }

  /** `5 sc around`: so many, over and over, or all around. */
  private goesOnAround(): boolean {
    const goesOn = !this.place && this.clause?.extent.kind === 'around';
    const change = this.change();
    const isSize = change !== undefined && this.sizeOf(change) !== null && !this.lead;
    return goesOn && !this.read.tog && !isSize && this.word !== 'ch';
  }

  /** `sc inc`: a stitch and an increase with a space between. */
  private isPair(): boolean {
    const { core, shape, trail, tog } = this.read;
    if (!shape || !core || trail || tog) return false;
    return is(core, T.Stitch) && endOf(core) < shape.startOffset;
  }

  private loops(): LoopsWord | undefined {
    const named = this.tokens.findLast((token) => is(token, T.FrontLoops, T.BackLoops));
    if (!named) return this.read.loops;
    return is(named, T.FrontLoops) ? 'front' : 'back';
  }

  private extentOf(n: number | undefined): Extent {
    const said = this.clause?.extent ?? this.place?.extent;
    if (said) return said;
    if (n !== undefined) return count(n);
    return this.each && !this.placeNumber ? around : count(1);
  }

  /** `sc2tog`, `sc next 2 sts together` */
  private together(): Partial<WorkItem> {
    const { trail } = this.read;
    const size = valueOf(trail) ?? valueOf(this.lead) ?? 2;
    const over = valueOf(this.placeNumber);
    const times = over !== undefined && over >= size ? Math.max(1, Math.floor(over / size)) : undefined;
    return { together: size, extent: this.extentOf(trail && this.lead ? valueOf(this.lead) : times) };
  }

  /** How many an increase makes or a decrease takes, where it carries its size glued on, `inc3`, `dc2inc`; null of `inc 3`, which is done three times. */
  private sizeOf(shape: IToken): number | null {
    const { trail } = this.read;
    const before = isGlued(trail, shape);
    const sized = isGlued(shape, trail) || before ? (valueOf(trail) ?? 0) : 0;
    return sized === 3 || (sized === 2 && before) ? sized : null;
  }

  /** `inc`, `dec3`, `dc2inc` */
  private shaped(shape: IToken): Partial<WorkItem> {
    const { trail } = this.read;
    const carried = this.sizeOf(shape);
    const size = carried ?? 2;
    const decrease = is(shape, T.Decrease, T.InvisibleDecrease);
    const over = valueOf(this.placeNumber);
    const fits = over !== undefined && decrease && over % size === 0 && !this.each;
    const times = fits ? over / size : over;
    const n = valueOf(this.lead) ?? (carried === null ? valueOf(trail) : undefined) ?? times;
    return { ...(decrease ? { together: size } : { make: size }), extent: this.extentOf(n) };
  }

  private number(): number | undefined {
    return valueOf(this.lead) ?? valueOf(this.read.trail);
  }

  /** Into a ring, into one chain, or chains, which need nothing below. */
  private fromNothing(target: WorkItem['target']): Partial<WorkItem> {
    const n = this.number() ?? 1;
    const extent = this.clause?.extent;
    if (target === 'hook' && n > 1) return { make: n, extent: extent ?? count(1) };
    return { extent: extent ?? count(n) };
  }

  /** Whether its place names stitches, so that a number before it may be how many go into each. */
  private isTargeted(): boolean {
    return this.has(T.Next, T.Each, T.St, T.Chain, T.Last, T.First, T.Same, T.Ordinal, T.Stitch);
  }

  /** `5 sc`, `sc 5`, `sc through both layers` */
  private plain(): Partial<WorkItem> {
    const n = this.number();
    const within = valueOf(this.placeNumber);
    // Along a folded edge a stitch without a number goes all the way.
    if (this.has(T.BothLayers) && n === undefined && within === undefined)
      return { extent: this.place?.extent ?? around };
    const times = this.clause?.extent;
    if (times?.kind === 'count' && n !== undefined && n > 1) return { extent: count(n * times.n) };
    return { extent: this.extentOf(n ?? within) };
  }

  /** `2 sc in next st` is an increase, `5 sc in next 5` five stitches. */
  private into(): Partial<WorkItem> {
    const [n, m] = [this.number(), valueOf(this.placeNumber)];
    const times = this.clause?.extent;
    const all = this.each || this.has(T.BothLayers) || (this.has(T.Remain) && !this.has(T.Next));
    const wide = this.place?.extent ?? (all && m === undefined ? around : undefined);
    if (n === undefined) {
      if (times?.kind === 'count' && m !== undefined) return { extent: count(m * times.n) };
      return { extent: wide ?? this.extentOf(m) };
    }
    const oneEach = m !== undefined && m > 1 && !this.each && m === n;
    return oneEach ? { extent: count(n) } : { make: n, extent: wide ?? times ?? count(m ?? 1) };
  }
}

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
  return new StitchMeaning(read, place, clause).item(span);
}
