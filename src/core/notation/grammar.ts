import { EmbeddedActionsParser, EOF, type IToken } from 'chevrotain';
import type { Extent, Item, Label, LoopsWord, Span, WorkLine } from './ast';
import { closers, endOf, is, openers, quiet, spanOf, stitchCores } from './tokenGroups';
import { allTokens, numberOf, T, tokenise } from './tokens';
import { count, workItem, type Clause, type Place, type StitchPhrase } from './workItem';

const anyTokenTypes = Object.values(T).filter((type) => type !== T.Prep && type !== T.Filler && type !== T.Stitch);

/**
 * Reads one line of work: `R5: (3 sc, inc) x 6 [30]`.
 *
 * The grammar accepts every line. What it can't place becomes an `unknown` item with its words and place, and an
 * unpaired bracket is noted, so that one odd word never hides the rest of the round.
 */
class WorkLineParser extends EmbeddedActionsParser {
  private brackets: Span[] = [];
  private total: WorkLine['total'] = null;
  private depth = 0;

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

  private isLabel(): boolean {
    const [a, b, c, d] = [this.LA(1), this.LA(2), this.LA(3), this.LA(4)];
    const stop = (token: IToken) => is(token, T.Colon, T.Dot, T.RRound, T.Dash);
    if (is(a, T.RoundWord)) return is(b, T.Num, T.NumberWord);
    if (is(a, T.Ordinal)) return is(b, T.RoundWord);
    if (!is(a, T.Num)) return false;
    if (is(b, T.RoundWord)) return stop(c);
    if (is(b, T.Dash, T.To, T.And) && is(c, T.Num)) return is(d, T.Colon, T.Dot, T.RRound) || (is(d, T.RoundWord) && stop(this.LA(5)));
    return is(b, T.Colon, T.RRound, T.Dot);
  }

  private readonly line = this.RULE('line', () => {
    let label: Label | null = null;
    this.OPTION({
      GATE: () => this.isLabel(),
      DEF: () => { label = this.SUBRULE(this.label); },
    });
    const items = this.SUBRULE(this.sequence, { ARGS: ['line'] });
    return { label: label as Label | null, items };
  });

  private readonly label = this.RULE('label', (): Label => {
    const numbers: IToken[] = [];
    let row = false;
    const first = this.LA(1);
    const roundWord = (token: IToken) => { row ||= /^row/i.test(token.image); };
    this.AT_LEAST_ONE({
      GATE: () => {
        const next = this.LA(1);
        const enough = numbers.length >= 1;
        if (is(next, T.RoundWord)) return !enough || is(this.LA(0), T.Dash, T.To, T.And, T.Comma, T.Plus) || is(this.LA(2), T.Colon, T.Dot, T.RRound, T.Dash) || is(this.LA(0), T.Ordinal);
        if (is(next, T.Num, T.NumberWord, T.Ordinal)) return numbers.length < 2 && (!enough || is(this.LA(0), T.Dash, T.To, T.And, T.RoundWord, T.Comma, T.Plus));
        const second = is(this.LA(2), T.RoundWord) ? this.LA(3) : this.LA(2);
        // `R5 - 6 sc in ring`: a dash, a number, and a stitch is a round, not a range.
        const after = is(this.LA(2), T.RoundWord) ? this.LA(4) : this.LA(3);
        return numbers.length === 1 && is(second, T.Num) && (is(this.LA(2), T.RoundWord) || is(after, T.Colon, T.Dot, T.RRound, T.Equals, T.Dash, T.LRound, EOF));
      },
      DEF: () => this.OR([
        { ALT: () => roundWord(this.CONSUME(T.RoundWord)) },
        { ALT: () => { numbers.push(this.CONSUME(T.Num)); } },
        { ALT: () => { numbers.push(this.CONSUME(T.NumberWord)); } },
        { ALT: () => { numbers.push(this.CONSUME(T.Ordinal)); } },
        { ALT: () => { this.CONSUME(T.Dash); } },
        { ALT: () => { this.CONSUME(T.To); } },
        { ALT: () => { this.CONSUME(T.And); } },
        { ALT: () => { this.CONSUME(T.Plus); } },
        { ALT: () => { this.CONSUME(T.Comma); } },
      ]),
    });
    // `(5 rounds)` after the label says again how many rounds the range has.
    this.OPTION({
      GATE: () => is(this.LA(1), ...openers) && is(this.LA(2), T.Num) && is(this.LA(3), T.RoundWord) && is(this.LA(4), ...closers),
      DEF: () => { this.CONSUME(T.LRound); this.CONSUME2(T.Num); this.CONSUME2(T.RoundWord); this.CONSUME(T.RRound); },
    });
    this.MANY2(() => this.OR2([
      { ALT: () => { this.CONSUME(T.Colon); } },
      { ALT: () => { this.CONSUME(T.Dot); } },
      { ALT: () => { this.CONSUME2(T.RRound); } },
      { ALT: () => { this.CONSUME2(T.Dash); } },
    ]));
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

  private isTotalBracket(): boolean {
    if (!is(this.LA(1), ...openers)) return false;
    let i = is(this.LA(2), T.Equals, T.Total) ? 3 : 2;
    if (!is(this.LA(i), T.Num)) return false;
    i += 1;
    while (is(this.LA(i), T.St, T.Total, T.Stitch, T.Around, T.Article, T.Dot, T.In, T.Loop)) i += 1;
    return is(this.LA(i), ...closers, EOF);
  }

  private readonly item = this.RULE('item', (items: Item[], inside: string) => {
    this.OR([
      {
        GATE: () => this.isTotalBracket() && (inside === 'line') && !(items.length === 0 && is(this.LA(3), T.Stitch)) && !is(this.LA(is(this.LA(3), ...closers) ? 4 : 5), T.By, T.Cross),
        ALT: () => this.SUBRULE(this.totalBracket),
      },
      { GATE: () => this.isBracketClause() && items.length > 0, ALT: () => this.SUBRULE(this.bracketClause, { ARGS: [items] }) },
      { ALT: () => this.SUBRULE(this.group, { ARGS: [items] }) },
      {
        GATE: () => inside !== 'star' && !is(this.LA(2), EOF),
        ALT: () => this.SUBRULE(this.star, { ARGS: [items] }),
      },
      {
        GATE: () => is(this.LA(1), T.Equals, T.Total) && is(this.LA(2), T.Num) || (is(this.LA(1), T.Equals, T.Total) && is(this.LA(2), T.Colon, T.Equals, T.Over) && is(this.LA(3), T.Num)),
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
      { ALT: () => this.SUBRULE(this.simple, { ARGS: [items] }) },
      { ALT: () => this.SUBRULE(this.rest, { ARGS: [items] }) },
    ]);
  });

  private readonly totalBracket = this.RULE('totalBracket', () => {
    const open = this.LA(1);
    let value: IToken | undefined;
    this.SUBRULE(this.anyToken);
    this.MANY({
      GATE: () => !is(this.LA(1), ...closers),
      DEF: () => {
        const token = this.SUBRULE2(this.anyToken);
        if (is(token, T.Num)) value ??= token;
      },
    });
    this.OPTION(() => this.SUBRULE(this.closer));
    this.ACTION(() => {
      if (value) this.total = { value: numberOf(value), span: spanOf(value, value) };
      if (!is(this.LA(0), ...closers)) this.brackets.push(spanOf(open, open));
    });
  });

  private readonly totalSign = this.RULE('totalSign', () => {
    this.MANY({ GATE: () => !is(this.LA(1), T.Num), DEF: () => this.SUBRULE(this.anyToken) });
    const value = this.CONSUME(T.Num);
    this.OPTION(() => this.CONSUME(T.St));
    this.ACTION(() => { this.total = { value: numberOf(value), span: spanOf(value, value) }; });
  });

  /** `… around. 24 sts` or `… around - 24`: a count at the end of the line with no stitch to work. */
  private isTrailingTotal(items: Item[]): boolean {
    if (this.depth > 0 || items.length === 0) return false;
    let i = 1;
    if (is(this.LA(1), T.Dash)) i = 2;
    else if (!is(this.LA(0), T.Dot, T.Comma, T.Semi, T.Colon, T.Around, ...closers) && !is(this.LA(2), T.Total)) return false;
    if (!is(this.LA(i), T.Num)) return false;
    const dashed = i === 2;
    i += 1;
    const named = is(this.LA(i), T.St, T.Total);
    while (is(this.LA(i), T.St, T.Total, T.In, T.Dot)) i += 1;
    return is(this.LA(i), EOF) && (dashed || named);
  }

  private readonly trailingTotal = this.RULE('trailingTotal', () => {
    this.OPTION(() => this.CONSUME(T.Dash));
    const value = this.CONSUME(T.Num);
    this.MANY(() => this.SUBRULE(this.anyToken));
    this.ACTION(() => { this.total = { value: numberOf(value), span: spanOf(value, value) }; });
  });

  private readonly closer = this.RULE('closer', () => this.OR([
    { ALT: () => this.CONSUME(T.RRound) },
    { ALT: () => this.CONSUME(T.RSquare) },
    { ALT: () => this.CONSUME(T.RCurly) },
  ]));

  private readonly opener = this.RULE('opener', () => this.OR([
    { ALT: () => this.CONSUME(T.LRound) },
    { ALT: () => this.CONSUME(T.LSquare) },
    { ALT: () => this.CONSUME(T.LCurly) },
  ]));

  private readonly group = this.RULE('group', (items: Item[]) => {
    const open = this.SUBRULE(this.opener);
    this.ACTION(() => { this.depth += 1; });
    const inner = this.SUBRULE(this.sequence, { ARGS: ['bracket'] });
    this.ACTION(() => { this.depth -= 1; });
    let closed = false;
    this.OPTION(() => { this.SUBRULE(this.closer); closed = true; });
    let clause: Clause | undefined;
    let intoOne = false;
    this.OPTION2({
      GATE: () => this.isClause() || (is(this.LA(1), T.Star) && is(this.LA(2), T.Num)),
      DEF: () => { clause = this.SUBRULE(this.clause); },
    });
    this.OPTION3({
      GATE: () => !clause && this.isIntoOne(),
      DEF: () => {
        const place = this.SUBRULE(this.place);
        intoOne = true;
        this.ACTION(() => {
          const number = place.tokens.find((token) => is(token, T.Num, T.NumberWord));
          const each = place.tokens.some((token) => is(token, T.Each));
          const extent = place.extent ?? (number ? count(numberOf(number)) : each ? { kind: 'around' as const } : null);
          if (extent) clause = { extent, more: false, fromStar: false, span: spanOf(open, this.LA(0)) };
        });
      },
    });
    this.OPTION4({
      GATE: () => !clause && this.isClause(),
      DEF: () => { clause = this.SUBRULE2(this.clause); },
    });
    this.ACTION(() => {
      if (!closed) this.brackets.push(spanOf(open, open));
      const span = spanOf(open, this.LA(0));
      const onlyWords = inner.length > 0 && inner.every((item) => item.type === 'unknown');
      if (onlyWords && !clause) {
        const [firstWord] = inner;
        items.push({ type: 'unknown', text: inner.map((item) => (item.type === 'unknown' ? item.text : '')).join(' '), inside: false, span: firstWord ? { from: firstWord.span.from, to: span.to } : span });
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

  private isIntoOne(): boolean {
    if (!is(this.LA(1), T.In, T.Each)) return false;
    return is(this.LA(2), T.Same, T.Next, T.Article, T.Each, T.First, T.Last) && !is(this.LA(2), T.Colon);
  }

  private readonly star = this.RULE('star', (items: Item[]) => {
    const open = this.CONSUME(T.Star);
    const inner = this.SUBRULE(this.sequence, { ARGS: ['star'] });
    let clause: Clause | undefined;
    this.OPTION(() => this.CONSUME2(T.Star));
    this.OPTION2({ GATE: () => this.isClause(), DEF: () => { clause = this.SUBRULE(this.clause); } });
    this.ACTION(() => {
      if (inner.length === 0) return;
      const extent = clause?.extent ?? count(1);
      const orMore = Boolean(clause?.fromStar) && extent.kind === 'count' && !clause?.more;
      const times = clause?.more && extent.kind === 'count' ? count(extent.n + 1) : extent;
      items.push({ type: 'group', items: inner, extent: times, orMore, intoOne: false, span: spanOf(open, this.LA(0)) });
    });
  });

  /** Does a clause start here that says how often: `x 6`, `6 times`, `repeat from * around`, `twice`, `until 3 remain`? */
  private isClause(): boolean {
    let i = 1;
    if (is(this.LA(i), T.Repeat)) {
      if (is(this.LA(i + 1), T.RoundWord)) return false;
      return true;
    }
    if (is(this.LA(i), T.Comma, T.Dash) && (is(this.LA(i + 1), T.OnceTwice) || (is(this.LA(i + 1), T.Num) && is(this.LA(i + 2), T.Times)))) return true;
    if (is(this.LA(i), T.By, T.Cross)) return is(this.LA(i + 1), T.Num, T.NumberWord);
    if (is(this.LA(i), T.Num, T.NumberWord)) {
      i += 1;
      if (is(this.LA(i), T.More)) i += 1;
      return is(this.LA(i), T.Times) || (is(this.LA(i), T.By, T.Cross) && !is(this.LA(i + 1), ...openers, T.Num));
    }
    return is(this.LA(i), T.OnceTwice, T.Around) || this.isUntil();
  }

  private isUntil(): boolean {
    if (is(this.LA(1), T.Until)) return true;
    return is(this.LA(1), T.To) && is(this.LA(2), T.Last, T.Article) && is(this.LA(is(this.LA(2), T.Article) ? 4 : 3), T.Num, T.NumberWord, T.St, T.Last);
  }

  private readonly clause = this.RULE('clause', (): Clause => {
    const first = this.LA(1);
    let fromStar = false;
    let more = false;
    let until = false;
    let around = false;
    let value: IToken | undefined;
    // Once the number and its word are read, the clause is over.
    let done = false;
    this.AT_LEAST_ONE({
      GATE: () => {
        if (done) return false;
        const next = this.LA(1);
        if (is(next, T.Star)) return is(this.LA(0), T.From) || is(this.LA(2), T.Num);
        if (is(next, T.Comma, T.Dash)) return value === undefined && is(this.LA(2), T.OnceTwice, T.Num);
        if (is(next, T.Num, T.NumberWord)) return value === undefined && !is(this.LA(2), ...stitchCores);
        if (is(next, T.OnceTwice, T.Around, T.Until)) return value === undefined && !around;
        return is(next, T.Repeat, T.From, T.By, T.Cross, T.Times, T.More, T.Article, T.Total, T.To, T.Last, T.St, T.Remain, T.First, T.Next, T.Each, T.In)
          && (value === undefined || is(next, T.Times, T.More, T.By, T.Cross, T.St, T.Remain) || (until && is(next, T.Article)));
      },
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        this.ACTION(() => {
          if (is(token, T.Star)) fromStar = is(this.LA(-1), T.From);
          if (is(token, T.Num, T.NumberWord, T.OnceTwice)) value = token;
          if (is(token, T.Around)) around = true;
          if (is(token, T.Until, T.Last)) until = true;
          if (is(token, T.More)) more = true;
          if (is(token, T.OnceTwice) || (is(token, T.Times, T.By, T.Cross) && value !== undefined) || (is(token, T.Around))) done = true;
        });
      },
    });
    return this.ACTION(() => {
      const n = value ? numberOf(value) : 1;
      const extent: Extent = until ? { kind: 'leave', n } : value ? count(n) : { kind: 'around' };
      return { extent, more, fromStar, span: spanOf(first, this.LA(0)) };
    });
  });

  /** A clause with no bracket before it repeats the bracket just read, or all that stands before it. */
  private readonly bareClause = this.RULE('bareClause', (items: Item[]) => {
    const clause = this.SUBRULE(this.clause);
    this.ACTION(() => {
      const last = items.at(-1);
      const extent = clause.more && clause.extent.kind === 'count' ? count(clause.extent.n + 1) : clause.extent;
      if (last?.type === 'group' && last.extent.kind === 'count' && last.extent.n === 1 && items.filter((item) => item.type === 'group').length === 1) {
        last.extent = extent;
        last.span.to = clause.span.to;
        return;
      }
      const barrier = items.findLastIndex((item) => ['ring', 'colour', 'loops', 'base', 'turn', 'join', 'otherSide'].includes(item.type));
      const body = items.splice(barrier + 1);
      const [start] = body;
      if (start) items.push({ type: 'group', items: body, extent, orMore: false, intoOne: false, span: { from: start.span.from, to: clause.span.to } });
    });
  });

  /** `2 sc, dec (x5)`: how often, in a bracket of its own. */
  private isBracketClause(): boolean {
    if (!is(this.LA(1), ...openers) || !is(this.LA(4), ...closers)) return false;
    return (is(this.LA(2), T.By, T.Cross, T.Repeat) && is(this.LA(3), T.Num)) || (is(this.LA(2), T.Num) && is(this.LA(3), T.By, T.Cross, T.Times));
  }

  private readonly bracketClause = this.RULE('bracketClause', (items: Item[]) => {
    this.SUBRULE(this.opener);
    this.SUBRULE(this.bareClause, { ARGS: [items] });
    this.SUBRULE(this.closer);
  });

  private isRepeatRounds(): boolean {
    return is(this.LA(1), T.Repeat) && is(this.LA(2), T.RoundWord) && is(this.LA(3), T.Num);
  }

  private readonly repeatRounds = this.RULE('repeatRounds', (items: Item[]) => {
    const first = this.CONSUME(T.Repeat);
    const numbers: number[] = [];
    let times = 1;
    this.MANY({
      GATE: () => is(this.LA(1), T.RoundWord, T.Num, T.NumberWord, T.OnceTwice, T.Dash, T.To, T.And, T.Plus, T.Times, T.More, T.By, T.Cross, T.Comma),
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        this.ACTION(() => {
          if (is(token, T.OnceTwice)) times = numberOf(token);
          else if (is(token, T.Num, T.NumberWord)) {
            if (is(this.LA(1), T.Times, T.More) || is(this.LA(-1), T.By, T.Cross)) times = numberOf(token);
            else numbers.push(numberOf(token));
          }
        });
      },
    });
    this.ACTION(() => {
      const from = numbers[0] ?? 0;
      items.push({ type: 'repeatRounds', first: from, last: Math.max(from, numbers[1] ?? from), times, span: spanOf(first, this.LA(0)) });
    });
  });

  private isJoin(): boolean {
    if (is(this.LA(1), T.Join)) return true;
    if (!is(this.LA(1), T.SlipStitch)) return false;
    let i = 2;
    let joined = false;
    while (is(this.LA(i), T.To, T.In, T.Article, T.Join, T.RoundWord, T.Over)) {
      joined ||= is(this.LA(i), T.Join, T.To);
      i += 1;
    }
    return is(this.LA(i), T.First) || (is(this.LA(i), T.Ordinal) && numberOf(this.LA(i)) === 1) || (joined && is(this.LA(i), EOF, T.Dot, T.Comma, ...openers));
  }

  private readonly join = this.RULE('join', (items: Item[]) => {
    const first = this.LA(1);
    this.SUBRULE(this.anyToken);
    this.MANY({
      GATE: () => is(this.LA(1), T.SlipStitch, T.To, T.In, T.Article, T.First, T.Ordinal, T.St, T.Stitch, T.With, T.Over, T.RoundWord, T.Ring, T.Join, T.Loop, T.Chain, T.Work, T.Last, T.Each) && !(is(this.LA(1), T.With) && !is(this.LA(2), T.SlipStitch, T.Article)),
      DEF: () => this.SUBRULE2(this.anyToken),
    });
    this.ACTION(() => { items.push({ type: 'join', span: spanOf(first, this.LA(0)) }); });
  });

  private isColour(): boolean {
    const [a, b, c] = [this.LA(1), this.LA(2), this.LA(3)];
    if (is(a, T.Change)) return is(b, T.To, T.In, T.ColourWord);
    if (is(a, T.With)) return is(b, T.Word, T.ColourWord) || (is(b, T.Article) && (is(c, T.Word, T.ColourWord) || b.image === 'A'));
    if (is(a, T.In)) return (is(b, T.Word) || is(b, T.ColourWord) || (is(b, T.Article) && b.image === 'A')) && !is(c, T.Chain, T.St);
    if (is(a, T.ColourWord)) return is(b, T.Word, T.Article) && b.image.length <= 2;
    if (is(a, T.Word, T.Article) && a.image.length === 1 && a.image === a.image.toUpperCase()) return is(b, T.Colon);
    return false;
  }

  private readonly colour = this.RULE('colour', (items: Item[]) => {
    const first = this.LA(1);
    const words: string[] = [];
    let done = false;
    this.AT_LEAST_ONE({
      GATE: () => !done && (is(this.LA(1), T.Word, T.ColourWord) || (is(this.LA(1), T.Change, T.To, T.In, T.With, T.Article, T.Colon) && words.length === 0)),
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        this.ACTION(() => {
          const letter = is(token, T.Article) && token.image === 'A' && !is(this.LA(1), T.Word);
          if (is(token, T.Word) || letter) words.push(token.image);
          if (words.length >= 3 || (is(token, T.ColourWord) && words.length > 0) || letter) done = true;
        });
      },
    });
    this.OPTION({ GATE: () => is(this.LA(1), T.Colon), DEF: () => this.CONSUME(T.Colon) });
    this.ACTION(() => {
      if (words.length > 0) items.push({ type: 'colour', name: words.join(' '), span: spanOf(first, this.LA(0)) });
    });
  });

  private isBase(): boolean {
    let i = 1;
    while (is(this.LA(i), T.In, T.Work, T.Article, T.Over, T.With)) i += 1;
    if (!is(this.LA(i), T.FrontLoops, T.BackLoops)) return false;
    i += 1;
    while (is(this.LA(i), T.Remain, T.Over, T.Article, T.From, T.In, T.Each, T.St)) i += 1;
    return is(this.LA(i), T.RoundWord) && is(this.LA(i + 1), T.Num);
  }

  private readonly base = this.RULE('base', (items: Item[]) => {
    const first = this.LA(1);
    let loops: LoopsWord = 'both';
    this.MANY({
      GATE: () => !is(this.LA(1), T.Num),
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        if (is(token, T.FrontLoops)) loops = 'front';
        if (is(token, T.BackLoops)) loops = 'back';
      },
    });
    const round = this.CONSUME(T.Num);
    this.ACTION(() => { items.push({ type: 'base', loops, round: numberOf(round), span: spanOf(first, this.LA(0)) }); });
  });

  /** `sc in 2nd ch from hook and in each ch across`: a place without a stitch of its own takes the one before. */
  private isContinued(items: Item[]): boolean {
    return items.at(-1)?.type === 'work' && is(this.LA(1), T.In) && is(this.LA(is(this.LA(2), T.Article) ? 3 : 2), T.Each, T.Next);
  }

  private readonly continued = this.RULE('continued', (items: Item[]) => {
    const first = this.LA(1);
    const place = this.SUBRULE(this.place);
    this.ACTION(() => {
      const before = items.at(-1);
      if (before?.type !== 'work') return;
      const item = workItem({}, place, undefined, spanOf(first, this.LA(0)));
      items.push({ ...item, word: before.word });
    });
  });

  private isLeave(): boolean {
    return is(this.LA(1), T.Leave) && [2, 3, 4, 5].some((i) => is(this.LA(i), T.Num, T.NumberWord));
  }

  private readonly leave = this.RULE('leave', (items: Item[]) => {
    const first = this.CONSUME(T.Leave);
    let n = 0;
    this.MANY({
      GATE: () => is(this.LA(1), T.Num, T.NumberWord, T.Article, T.Remain, T.Last, T.St, T.Stitch, T.Same),
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        if (is(token, T.Num, T.NumberWord)) n = numberOf(token);
      },
    });
    this.ACTION(() => { items.push({ type: 'leave', n, span: spanOf(first, this.LA(0)) }); });
  });

  private isWork(): boolean {
    let i = 1;
    if (is(this.LA(i), ...stitchCores)) return true;
    if (is(this.LA(i), T.FrontLoops, T.BackLoops)) {
      i += 1;
      if (is(this.LA(i), T.Num, T.NumberWord)) i += 1;
      return is(this.LA(i), ...stitchCores);
    }
    if (!is(this.LA(i), T.Num, T.NumberWord)) return is(this.LA(1), T.Same) && is(this.LA(2), ...stitchCores);
    i += 1;
    while (is(this.LA(i), T.More, T.FrontLoops, T.BackLoops, T.Filler) || (is(this.LA(i), T.Word) && /^(plain|regular|normal)$/i.test(this.LA(i).image))) i += 1;
    if (is(this.LA(i), ...stitchCores) || is(this.LA(i), T.Together)) return true;
    return is(this.LA(i), T.St) && !is(this.LA(i + 1), T.Together, T.Remain);
  }

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
          return is(next, ...stitchCores, T.St, T.More, T.Filler, T.Word) || (is(next, T.Together) && Boolean(read.lead));
        }
        if (is(next, T.Increase, T.Decrease, T.InvisibleDecrease)) return !read.shape && (is(this.LA(0), T.Stitch) || (is(this.LA(0), T.Num) && is(this.LA(-1), T.Stitch) && endOf(this.LA(0)) === next.startOffset));
        if (is(next, T.Num, T.NumberWord)) {
          if (read.trail) return false;
          const after = this.LA(2);
          // `sc 3 sc`: the number opens the next stitch unless nothing else could take it.
          // `inc3 x 2`: the glued number is the size, the clause says how often.
          if (is(this.LA(0), T.Increase, T.Decrease) && endOf(this.LA(0)) === next.startOffset && numberOf(next) === 3) return true;
          if (is(after, T.Increase) && is(this.LA(0), T.Stitch) && endOf(this.LA(0)) === next.startOffset && endOf(next) === after.startOffset) return true;
          return !(is(after, ...stitchCores) && !is(after, T.Chain)) && !is(after, T.Times, T.By) && !(is(after, T.St) && is(this.LA(3), T.Together) && Boolean(read.lead));
        }
        // `sc next 2 sts together`
        if (is(next, T.Next, T.St, T.Article)) return !read.tog && this.togetherAhead();
        return is(next, T.Together) && Boolean(read.trail);
      },
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        this.ACTION(() => {
          if (is(token, T.FrontLoops, T.BackLoops)) read.loops = loopsOf(token);
          else if (is(token, T.Together)) { read.tog = token; read.core ??= token; finished = true; }
          else if (is(token, T.Increase, T.Decrease, T.InvisibleDecrease)) read.shape = token;
          else if (is(token, T.Num, T.NumberWord, T.Same)) { if (read.core || read.shape) read.trail = token; else read.lead = token; }
          else if (is(token, ...stitchCores) || (is(token, T.St) && !read.core && !read.shape)) read.core ??= token;
        });
      },
    });
    let place: Place | undefined;
    this.OPTION({
      GATE: () => this.isPlaceWord(undefined, read.core) && !this.isBase() && !this.isColour() && !(is(this.LA(1), T.Around) || this.isUntil()),
      DEF: () => { place = this.SUBRULE(this.place); },
    });
    let clause: Clause | undefined;
    this.OPTION2({
      GATE: () => !place?.extent && this.isClause() && !is(this.LA(1), T.Repeat, T.Comma, T.Dash),
      DEF: () => { clause = this.SUBRULE(this.clause); },
    });
    this.OPTION3({
      GATE: () => is(this.LA(1), T.FrontLoops, T.BackLoops) && !this.isBase() && !read.loops && !is(this.LA(2), ...stitchCores, T.Num),
      DEF: () => { read.loops = loopsOf(this.SUBRULE2(this.anyToken)); },
    });
    // `5 sc in A, 3 sc in B`: without a comma between, the colour belongs to these stitches only.
    const inColour: Item[] = [];
    this.OPTION4({
      GATE: () => is(this.LA(1), T.In, T.With) && this.isColour() && !is(this.LA(0), T.Comma, T.Semi, T.Dot),
      DEF: () => { this.SUBRULE(this.colour, { ARGS: [inColour] }); },
    });
    this.ACTION(() => {
      const item = workItem(read, place, clause, spanOf(first, this.LA(0)));
      const [colour] = inColour;
      if (place?.tokens.some((token) => is(token, T.BothLayers))) items.push({ type: 'layers', span: item.span });
      if (colour?.type === 'colour') item.colour = colour.name;
      items.push(item);
    });
  });

  private togetherAhead(): boolean {
    return [2, 3, 4, 5].some((i) => is(this.LA(i), T.Together) && ![1, 2, 3, 4].slice(0, i - 1).some((j) => is(this.LA(j), T.Comma, ...stitchCores)));
  }

  /** Words that say where a stitch goes: `in each of the next 5 sts`, `in 2nd ch from hook`, `in the ring`. */
  private isPlaceWord(place: IToken[] | undefined, core: IToken | undefined): boolean {
    const [next, after] = [this.LA(1), this.LA(2)];
    const start = place === undefined;
    const before = place?.at(-1);
    if (is(next, T.In, T.Over)) return !is(after, T.Repeat) && (start || !is(before, T.St));
    if (is(next, T.Next, T.Each, T.Last, T.First, T.Same)) return !is(next, T.Same) || !start || is(after, T.St);
    if (is(next, T.Ring)) return true;
    if (start) return is(next, T.FrontLoops, T.BackLoops) ? false : is(next, T.Article) && is(after, T.Next);
    if (is(next, T.Article, T.Ordinal, T.Loop, T.Space, T.Hook, T.From, T.FrontLoops, T.BackLoops, T.BothLoops, T.Filler, T.BothLayers)) return true;
    if (is(next, T.Remain)) return true;
    if (is(next, T.Num, T.NumberWord)) {
      const taken = place.some((token) => is(token, T.Num, T.NumberWord));
      return !taken && is(before, T.Next, T.Article, T.Last, T.First, T.Each, T.In, T.Over, T.Remain) && !is(after, T.Times, T.By);
    }
    if (is(next, T.St)) return true;
    const noun = is(next, T.Stitch, T.Chain, T.SlipStitch) || (is(next, T.Increase) && !is(core, T.Increase));
    return noun && is(before, T.Each, T.Next, T.Num, T.NumberWord, T.Last, T.First, T.Same, T.Ordinal, T.Article, T.Remain) && !place.some((token) => is(token, T.St));
  }

  private readonly place = this.RULE('place', (): Place => {
    const tokens: IToken[] = [];
    let extent: Extent | null = null;
    this.AT_LEAST_ONE({
      GATE: () => tokens.length === 0 || (this.isPlaceWord(tokens, undefined) && !(is(this.LA(1), T.In) && this.isColour())),
      DEF: () => { tokens.push(this.SUBRULE(this.anyToken)); },
    });
    this.OPTION({
      GATE: () => (is(this.LA(1), T.Around) || this.isUntil()),
      DEF: () => {
        const clause = this.SUBRULE(this.clause);
        this.ACTION(() => {
          // `in next 10 ch across`: the number stands, `across` only says which way.
          const counted = tokens.some((token) => is(token, T.Num, T.NumberWord));
          extent = counted && clause.extent.kind === 'around' ? null : clause.extent;
        });
      },
    });
    return { tokens, extent };
  });

  private readonly skip = this.RULE('skip', (items: Item[]) => {
    const first = this.CONSUME(T.Skip);
    let n = 1;
    this.MANY({
      GATE: () => is(this.LA(1), T.Article, T.Next, T.Num, T.NumberWord, T.St, T.Chain, T.First, T.Each, T.Same, T.Filler),
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        if (is(token, T.Num, T.NumberWord)) n = numberOf(token);
      },
    });
    this.ACTION(() => { items.push({ type: 'skip', n, span: spanOf(first, this.LA(0)) }); });
  });

  private readonly simple = this.RULE('simple', (items: Item[]) => {
    const token = this.OR([
      { ALT: () => this.CONSUME(T.Turn) },
      { ALT: () => this.CONSUME(T.FastenOff) },
      { ALT: () => this.CONSUME(T.Ring) },
      { ALT: () => this.CONSUME(T.OtherSide) },
      { ALT: () => this.CONSUME(T.BothLayers) },
      { ALT: () => this.CONSUME(T.FrontLoops) },
      { ALT: () => this.CONSUME(T.BackLoops) },
    ]);
    this.ACTION(() => {
      const span = spanOf(token, token);
      if (is(token, T.Turn)) items.push({ type: 'turn', span });
      else if (is(token, T.FastenOff)) items.push({ type: 'fasten', span });
      else if (is(token, T.Ring)) {
        items.push({ type: 'ring', span });
        // `MR 6`: six stitches into the ring.
        if (is(this.LA(1), T.Num) && is(this.LA(2), EOF, T.Comma, T.Dot, ...openers)) {
          items.push({ type: 'work', word: 'plain', make: 1, together: 1, extent: count(numberOf(this.LA(1))), target: 'ring', fromHook: 0, span: spanOf(this.LA(1), this.LA(1)) });
        }
      } else if (is(token, T.OtherSide)) items.push({ type: 'otherSide', span });
      else if (is(token, T.BothLayers)) items.push({ type: 'layers', span });
      else items.push({ type: 'loops', loops: is(token, T.FrontLoops) ? 'front' : 'back', span });
    });
    this.OPTION({ GATE: () => is(token, T.Ring) && is(this.LA(1), T.Num) && is(this.LA(2), EOF, T.Comma, T.Dot, ...openers), DEF: () => this.CONSUME(T.Num) });
  });

  /** Everything else: words that only carry the sentence are passed over, others are kept as not understood. */
  private readonly rest = this.RULE('rest', (items: Item[]) => {
    const token = this.SUBRULE(this.anyToken);
    this.ACTION(() => {
      const span = spanOf(token, token);
      if (is(token, ...closers)) { this.brackets.push(span); return; }
      if (is(token, T.Num) && is(this.LA(1), T.By, T.Cross) && is(this.LA(2), ...openers)) {
        items.push({ type: 'group', items: [], extent: count(numberOf(token)), orMore: false, intoOne: false, span });
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

  // Built once: eighty closures made anew for every token would take most of the reading time.
  private readonly anyAlternatives = anyTokenTypes.map((type) => ({ ALT: () => this.CONSUME(type) }));

  private readonly anyToken = this.RULE('anyToken', (): IToken => this.OR(this.anyAlternatives));
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
  return parser.read(tokenise(line));
}
