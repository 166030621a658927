import { loopsInFront } from './loopsBehind';
import { EOF, type IToken } from 'chevrotain';
import type { Extent, Item, Label, LoopsWord, WorkLine } from './ast';
import { limits } from './limits';
import { PhraseParser } from './phrases';
import { closers, endOf, is, openers, quiet, spanOf, stitchCores } from './tokenGroups';
import { allTokens, numberOf, T, tokenise } from './tokens';
import { count, workItem, type Clause, type Place, type StitchPhrase } from './workItem';

/** Stitches that go on over the round below, so many of them: what can be worked over and over. */
const isRepeated = (item: Item): boolean =>
  item.type === 'work' && item.target === 'next' && item.extent.kind === 'count' && item.word !== 'ch';

/**
 * Reads one line of work: `R5: (3 sc, inc) x 6 [30]`.
 *
 * The grammar accepts every line. What it can't place becomes an `unknown` item with its words and place, and an
 * unpaired bracket is noted, so that one odd word never hides the rest of the round.
 */
class WorkLineParser extends PhraseParser {
  constructor() {
    super(allTokens, { recoveryEnabled: true, maxLookahead: 1, skipValidations: true });
    this.performSelfAnalysis();
  }

  read(tokens: IToken[]): WorkLine {
    this.input = tokens;
    this.brackets = [];
    this.total = null;
    this.depth = 0;
    const { label, items } = this.line();
    return { label, items, total: this.total, brackets: this.brackets };
  }

  private readonly line = this.RULE('line', () => {
    let label: Label | null = null;
    this.OPTION({
      GATE: () => this.isLabel(),
      DEF: () => {
        label = this.SUBRULE(this.label);
      },
    });
    const items = this.SUBRULE(this.sequence, { ARGS: ['line'] });
    return { label: label as Label | null, items };
  });

  private readonly label = this.RULE('label', (): Label => {
    const numbers: IToken[] = [];
    let row = false;
    const first = this.LA(1);
    const roundWord = (token: IToken) => {
      row ||= /^row/i.test(token.image);
    };
    this.AT_LEAST_ONE({
      GATE: () => {
        const next = this.LA(1);
        const enough = numbers.length >= 1;
        if (is(next, T.RoundWord))
          return (
            !enough ||
            is(this.LA(0), T.Dash, T.To, T.And, T.Comma, T.Plus) ||
            is(this.LA(2), T.Colon, T.Dot, T.RRound, T.Dash) ||
            is(this.LA(0), T.Ordinal)
          );
        if (is(next, T.Num, T.NumberWord, T.Ordinal))
          return (
            numbers.length < 2 &&
            (!enough || is(this.LA(0), T.Dash, T.To, T.And, T.RoundWord, T.Comma, T.Plus))
          );
        const second = is(this.LA(2), T.RoundWord) ? this.LA(3) : this.LA(2);
        // `R5 - 6 sc in ring`: a dash, a number, and a stitch is a round, not a range.
        const after = is(this.LA(2), T.RoundWord) ? this.LA(4) : this.LA(3);
        return (
          numbers.length === 1 &&
          is(second, T.Num) &&
          (is(this.LA(2), T.RoundWord) ||
            is(after, T.Colon, T.Dot, T.RRound, T.Equals, T.Dash, T.LRound, T.LSquare, EOF))
        );
      },
      DEF: () =>
        this.OR([
          { ALT: () => roundWord(this.CONSUME(T.RoundWord)) },
          {
            ALT: () => {
              numbers.push(this.CONSUME(T.Num));
            },
          },
          {
            ALT: () => {
              numbers.push(this.CONSUME(T.NumberWord));
            },
          },
          {
            ALT: () => {
              numbers.push(this.CONSUME(T.Ordinal));
            },
          },
          {
            ALT: () => {
              this.CONSUME(T.Dash);
            },
          },
          {
            ALT: () => {
              this.CONSUME(T.To);
            },
          },
          {
            ALT: () => {
              this.CONSUME(T.And);
            },
          },
          {
            ALT: () => {
              this.CONSUME(T.Plus);
            },
          },
          {
            ALT: () => {
              this.CONSUME(T.Comma);
            },
          },
        ]),
    });
    // `(5 rounds)` after the label says again how many rounds the range has.
    this.OPTION({
      GATE: () =>
        is(this.LA(1), ...openers) &&
        is(this.LA(2), T.Num) &&
        is(this.LA(3), T.RoundWord) &&
        is(this.LA(4), ...closers),
      DEF: () => {
        this.SUBRULE(this.opener);
        this.CONSUME2(T.Num);
        this.CONSUME2(T.RoundWord);
        this.SUBRULE(this.closer);
      },
    });
    this.MANY2(() =>
      this.OR2([
        {
          ALT: () => {
            this.CONSUME(T.Colon);
          },
        },
        {
          ALT: () => {
            this.CONSUME(T.Dot);
          },
        },
        {
          ALT: () => {
            this.CONSUME2(T.RRound);
          },
        },
        {
          ALT: () => {
            this.CONSUME2(T.Dash);
          },
        },
      ]),
    );
    return this.ACTION(() => {
      const values = numbers.map((token) => numberOf(token));
      const from = values[0] ?? 0;
      return { first: from, last: Math.max(from, values[1] ?? from), row, span: spanOf(first, this.LA(0)) };
    });
  });

  private readonly sequence = this.RULE('sequence', (inside: 'line' | 'bracket' | 'star'): Item[] => {
    const items: Item[] = [];
    this.MANY({
      GATE: () => {
        const next = this.LA(1);
        if (inside === 'star' && is(next, T.Star, T.Repeat)) return false;
        return this.depth === 0 || !is(next, ...closers);
      },
      DEF: () => this.SUBRULE(this.item, { ARGS: [items, inside] }),
    });
    return items;
  });

  private readonly item = this.RULE('item', (items: Item[], inside: string) => {
    this.OR([
      {
        GATE: () =>
          this.isTotalBracket() &&
          inside === 'line' &&
          !(items.length === 0 && is(this.LA(3), T.Stitch)) &&
          !is(this.LA(is(this.LA(3), ...closers) ? 4 : 5), T.By, T.Cross),
        ALT: () => this.SUBRULE(this.totalBracket),
      },
      {
        GATE: () => this.isBracketClause() && items.length > 0,
        ALT: () => this.SUBRULE(this.bracketClause, { ARGS: [items] }),
      },
      {
        GATE: () => this.depth < limits.bracketDepth,
        ALT: () => this.SUBRULE(this.group, { ARGS: [items] }),
      },
      {
        GATE: () => inside !== 'star' && !is(this.LA(2), EOF),
        ALT: () => this.SUBRULE(this.star, { ARGS: [items] }),
      },
      {
        GATE: () =>
          (is(this.LA(1), T.Equals, T.Total) && is(this.LA(2), T.Num)) ||
          (is(this.LA(1), T.Equals, T.Total) &&
            is(this.LA(2), T.Colon, T.Equals, T.Over) &&
            is(this.LA(3), T.Num)),
        ALT: () => this.SUBRULE(this.totalSign),
      },
      { GATE: () => this.isTrailingTotal(items), ALT: () => this.SUBRULE(this.trailingTotal) },
      { GATE: () => this.isRepeatRounds(), ALT: () => this.SUBRULE(this.repeatRounds, { ARGS: [items] }) },
      { GATE: () => this.isClause(), ALT: () => this.SUBRULE(this.bareClause, { ARGS: [items] }) },
      { GATE: () => this.isJoin(), ALT: () => this.SUBRULE(this.join, { ARGS: [items] }) },
      { GATE: () => this.isColour(), ALT: () => this.SUBRULE(this.colour, { ARGS: [items] }) },
      { GATE: () => this.isBase(), ALT: () => this.SUBRULE(this.base, { ARGS: [items] }) },
      { GATE: () => this.isContinued(items), ALT: () => this.SUBRULE(this.continued, { ARGS: [items] }) },
      { GATE: () => this.isLeave(), ALT: () => this.SUBRULE(this.leave, { ARGS: [items] }) },
      { GATE: () => this.isWork(), ALT: () => this.SUBRULE(this.work, { ARGS: [items] }) },
      { ALT: () => this.SUBRULE(this.skip, { ARGS: [items] }) },
      { ALT: () => this.SUBRULE2(this.edge, { ARGS: [items] }) },
      { ALT: () => this.SUBRULE(this.simple, { ARGS: [items] }) },
      { ALT: () => this.SUBRULE(this.rest, { ARGS: [items] }) },
    ]);
  });

  private readonly group = this.RULE('group', (items: Item[]) => {
    const open = this.SUBRULE(this.opener);
    this.ACTION(() => {
      this.depth += 1;
    });
    const inner = this.SUBRULE(this.sequence, { ARGS: ['bracket'] });
    this.ACTION(() => {
      this.depth -= 1;
    });
    let closed = false;
    this.OPTION(() => {
      this.SUBRULE(this.closer);
      closed = true;
    });
    let clause: Clause | undefined;
    let intoOne = false;
    this.OPTION2({
      GATE: () => this.isClause() || (is(this.LA(1), T.Star) && is(this.LA(2), T.Num)),
      DEF: () => {
        clause = this.SUBRULE(this.clause);
      },
    });
    this.OPTION3({
      GATE: () => !clause && this.isIntoOne(),
      DEF: () => {
        const place = this.SUBRULE(this.place);
        intoOne = true;
        this.ACTION(() => {
          const number = place.tokens.find((token) => is(token, T.Num, T.NumberWord));
          const each = place.tokens.some((token) => is(token, T.Each));
          const extent =
            place.extent ?? (number ? count(numberOf(number)) : each ? { kind: 'around' as const } : null);
          if (extent) clause = { extent, more: false, fromStar: false, span: spanOf(open, this.LA(0)) };
        });
      },
    });
    this.OPTION4({
      GATE: () => !clause && this.isClause(),
      DEF: () => {
        clause = this.SUBRULE2(this.clause);
      },
    });
    this.ACTION(() => {
      if (!closed) this.brackets.push(spanOf(open, open));
      const span = spanOf(open, this.LA(0));
      const onlyWords = inner.length > 0 && inner.every((item) => item.type === 'unknown');
      if (onlyWords && !clause) {
        const [firstWord] = inner;
        items.push({
          type: 'unknown',
          text: inner.map((item) => (item.type === 'unknown' ? item.text : '')).join(' '),
          inside: false,
          span: firstWord ? { from: firstWord.span.from, to: span.to } : span,
        });
        return;
      }
      const prefix = items.at(-1);
      let extent = clause?.extent ?? count(1);
      // `6 x (sc, inc)`: the number of times stands before the bracket.
      if (!clause && prefix?.type === 'group' && prefix.items.length === 0) {
        extent = prefix.extent;
        items.pop();
      }
      if (inner.length > 0) items.push({ type: 'group', items: inner, extent, orMore: false, intoOne, span });
    });
  });

  private readonly star = this.RULE('star', (items: Item[]) => {
    const open = this.CONSUME(T.Star);
    const inner = this.SUBRULE(this.sequence, { ARGS: ['star'] });
    let clause: Clause | undefined;
    let isClosed = false;
    this.OPTION(() => {
      this.CONSUME2(T.Star);
      isClosed = true;
    });
    this.OPTION2({
      GATE: () => this.isClause(),
      DEF: () => {
        clause = this.SUBRULE(this.clause);
      },
    });
    this.ACTION(() => {
      if (inner.length === 0) return;
      // `*hdc, 2 hdc in next*`: what stands between two stars is there to be repeated.
      const once: Extent = isClosed && inner.every(isRepeated) ? { kind: 'around' } : count(1);
      const extent = clause?.extent ?? once;
      const orMore = Boolean(clause?.fromStar) && extent.kind === 'count' && !clause?.more;
      const times = clause?.more && extent.kind === 'count' ? count(extent.n + 1) : extent;
      items.push({
        type: 'group',
        items: inner,
        extent: times,
        orMore,
        intoOne: false,
        span: spanOf(open, this.LA(0)),
      });
    });
  });

  /** A clause with no bracket before it repeats the bracket just read, or all that stands before it. */
  private readonly bareClause = this.RULE('bareClause', (items: Item[]) => {
    const isRepeat = is(this.LA(1), T.Repeat, T.From, T.Star);
    const clause = this.SUBRULE(this.clause);
    this.ACTION(() => {
      const last = items.at(-1);
      // `dec, sc across to last 2 sts`: the stitches that go across end there, and nothing is worked again.
      if (
        clause.extent.kind === 'leave' &&
        !isRepeat &&
        last?.type === 'work' &&
        last.extent.kind === 'around'
      ) {
        last.extent = clause.extent;
        last.span.to = clause.span.to;
        return;
      }
      const extent =
        clause.more && clause.extent.kind === 'count' ? count(clause.extent.n + 1) : clause.extent;
      if (
        last?.type === 'group' &&
        last.extent.kind === 'count' &&
        last.extent.n === 1 &&
        items.filter((item) => item.type === 'group').length === 1
      ) {
        last.extent = extent;
        last.span.to = clause.span.to;
        return;
      }
      const barrier = items.findLastIndex((item) =>
        ['ring', 'colour', 'loops', 'base', 'turn', 'join', 'otherSide'].includes(item.type),
      );
      const body = items.splice(barrier + 1);
      const [start] = body;
      if (start)
        items.push({
          type: 'group',
          items: body,
          extent,
          orMore: false,
          intoOne: false,
          span: { from: start.span.from, to: clause.span.to },
        });
    });
  });

  private readonly bracketClause = this.RULE('bracketClause', (items: Item[]) => {
    this.SUBRULE(this.opener);
    this.SUBRULE(this.bareClause, { ARGS: [items] });
    this.SUBRULE(this.closer);
  });

  private readonly continued = this.RULE('continued', (items: Item[]) => {
    const first = this.LA(1);
    const place = this.SUBRULE(this.place);
    this.ACTION(() => {
      const before = items.at(-1);
      if (before?.type !== 'work') return;
      const item = workItem({}, place, undefined, spanOf(first, this.LA(0)));
      // `2 sc in 2nd ch from hook and in each ch`: two in each.
      const isEach = place.tokens.some((token) => is(token, T.Each));
      const make = isEach && before.target === 'hook' ? before.make : item.make;
      items.push({ ...item, word: before.word, make });
    });
  });

  private readonly work = this.RULE('work', (items: Item[]) => {
    const first = this.LA(1);
    const read: StitchPhrase = {};
    const loopsOf = (token: IToken): LoopsWord => (is(token, T.FrontLoops) ? 'front' : 'back');
    let finished = false;
    this.AT_LEAST_ONE({
      GATE: () => {
        if (finished) return false;
        const next = this.LA(1);
        if (is(next, T.FrontLoops, T.BackLoops)) return !this.isBase();
        if (!read.core && !read.shape) {
          if (is(next, T.Num, T.NumberWord, T.Same)) return !read.lead;
          return (
            is(next, ...stitchCores, T.St, T.More, T.Filler, T.Word) ||
            (is(next, T.Together) && Boolean(read.lead))
          );
        }
        if (is(next, T.Increase, T.Decrease, T.InvisibleDecrease))
          return (
            !read.shape &&
            (is(this.LA(0), T.Stitch) ||
              (is(this.LA(0), T.Num) && is(this.LA(-1), T.Stitch) && endOf(this.LA(0)) === next.startOffset))
          );
        if (is(next, T.Num, T.NumberWord)) {
          if (read.trail) return false;
          const after = this.LA(2);
          // `sc 3 sc`: the number opens the next stitch unless nothing else could take it.
          // `inc3 x 2`: the glued number is the size, the clause says how often.
          if (
            is(this.LA(0), T.Increase, T.Decrease) &&
            endOf(this.LA(0)) === next.startOffset &&
            numberOf(next) === 3
          )
            return true;
          if (
            is(after, T.Increase) &&
            is(this.LA(0), T.Stitch) &&
            endOf(this.LA(0)) === next.startOffset &&
            endOf(next) === after.startOffset
          )
            return true;
          return (
            !(is(after, ...stitchCores) && !is(after, T.Chain)) &&
            !is(after, T.Times, T.By) &&
            !(is(after, T.St) && is(this.LA(3), T.Together) && Boolean(read.lead))
          );
        }
        // `sc next 2 sts together`
        if (is(next, T.Next, T.St, T.Article)) return !read.tog && this.togetherAhead();
        return (
          is(next, T.Together) &&
          !is(this.LA(2), T.With) &&
          (Boolean(read.trail) ||
            (read.lead !== undefined &&
              read.core !== undefined &&
              is(this.LA(0), T.Stitch) &&
              numberOf(read.lead) >= 2 &&
              numberOf(read.lead) <= 3))
        );
      },
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        this.ACTION(() => {
          if (is(token, T.FrontLoops, T.BackLoops)) read.loops = loopsOf(token);
          else if (is(token, T.Together)) {
            read.tog = token;
            read.core ??= token;
            finished = true;
          } else if (is(token, T.Increase, T.Decrease, T.InvisibleDecrease)) read.shape = token;
          else if (is(token, T.Num, T.NumberWord, T.Same)) {
            if (read.core || read.shape) read.trail = token;
            else read.lead = token;
          } else if (is(token, ...stitchCores) || (is(token, T.St) && !read.core && !read.shape))
            read.core ??= token;
        });
      },
    });
    let place: Place | undefined;
    this.OPTION({
      GATE: () =>
        this.isPlaceWord(undefined, read.core) &&
        !this.isBase() &&
        !this.isColour() &&
        !(is(this.LA(1), T.Around) || this.isUntil()),
      DEF: () => {
        place = this.SUBRULE(this.place);
      },
    });
    let clause: Clause | undefined;
    this.OPTION2({
      GATE: () => !place?.extent && this.isClause() && !is(this.LA(1), T.Repeat, T.Comma, T.Dash),
      DEF: () => {
        clause = this.SUBRULE(this.clause);
      },
    });
    this.OPTION3({
      GATE: () =>
        is(this.LA(1), T.FrontLoops, T.BackLoops) &&
        !this.isBase() &&
        !read.loops &&
        !is(this.LA(2), ...stitchCores, T.Num),
      DEF: () => {
        read.loops = loopsOf(this.SUBRULE2(this.anyToken));
      },
    });
    // `5 sc in A, 3 sc in B`: without a comma between, the colour belongs to these stitches only.
    const inColour: Item[] = [];
    this.OPTION4({
      GATE: () => is(this.LA(1), T.In, T.With) && this.isColour() && !is(this.LA(0), T.Comma, T.Semi, T.Dot),
      DEF: () => {
        this.SUBRULE(this.colour, { ARGS: [inColour] });
      },
    });
    // `12 sc on the first leg`: whose edge these stitches go around.
    let limb: IToken | undefined;
    this.OPTION5({
      GATE: () => is(this.LA(1), T.Limb),
      DEF: () => {
        limb = this.SUBRULE(this.edge, { ARGS: [items] });
      },
    });
    // `6 sc ‹left arm›`: a finished piece that they go through too.
    let piece: IToken | undefined;
    this.OPTION6(() => {
      piece = this.CONSUME(T.Piece);
    });
    this.ACTION(() => {
      const item = workItem(read, place, clause, spanOf(first, this.LA(0)));
      if (piece) item.piece = piece.image.slice(1, -1);
      const [colour] = inColour;
      if (place?.tokens.some((token) => is(token, T.BothLayers)))
        items.push({ type: 'layers', span: item.span });
      if (colour?.type === 'colour') item.colour = colour.name;
      // `sc around the first leg` goes all the way, `sc into the first leg` is one.
      if (item.bare && /^(?:a?round|along|across|over)\b/i.test(limb?.image ?? ''))
        item.extent = { kind: 'around' };
      items.push(item);
    });
  });

  /** Everything else: words that only carry the sentence are passed over, others are kept as not understood. */
  private readonly rest = this.RULE('rest', (items: Item[]) => {
    const token = this.SUBRULE(this.anyToken);
    this.ACTION(() => {
      const span = spanOf(token, token);
      // An opening bracket comes here only where brackets stand too deep in one another.
      if (is(token, ...closers, ...openers)) {
        this.brackets.push(span);
        return;
      }
      if (is(token, T.Num) && is(this.LA(1), T.By, T.Cross) && is(this.LA(2), ...openers)) {
        items.push({
          type: 'group',
          items: [],
          extent: count(numberOf(token)),
          orMore: false,
          intoOne: false,
          span,
        });
        return;
      }
      if (is(token, ...quiet)) return;
      const last = items.at(-1);
      if (last?.type === 'unknown' && span.from - last.span.to <= 1) {
        last.text += (span.from > last.span.to ? ' ' : '') + token.image;
        last.span.to = span.to;
      } else items.push({ type: 'unknown', text: token.image, inside: this.depth > 0, span });
    });
  });
}

let parser: WorkLineParser | undefined;

/**
 * Reads one line as work.
 *
 * @param line the line as written, without its line end
 * @returns its label, items and stated total, with columns counted from 0
 */
export function readWorkLine(line: string): WorkLine {
  parser ??= new WorkLineParser();
  const work = parser.read(tokenise(line));
  return { ...work, items: loopsInFront(work.items, line) };
}
