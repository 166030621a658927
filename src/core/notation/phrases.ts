import { EOF, type IToken } from 'chevrotain';
import type { Item, LoopsWord, Span, WorkLine } from './ast';
import { ClauseParser } from './clauses';
import { whichEdge } from './grown';
import { closers, is, openers, spanOf } from './tokenGroups';
import { numberOf, T } from './tokens';
import { count } from './workItem';

/** Phrases that are no stitches: totals, joins, colours, loops, what is skipped, turned or repeated. */
export abstract class PhraseParser extends ClauseParser {
  /** brackets without a partner */
  protected brackets: Span[] = [];

  protected total: WorkLine['total'] = null;

  protected readonly totalBracket = this.RULE('totalBracket', () => {
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

  protected readonly totalSign = this.RULE('totalSign', () => {
    this.MANY({ GATE: () => !is(this.LA(1), T.Num), DEF: () => this.SUBRULE(this.anyToken) });
    const value = this.CONSUME(T.Num);
    this.OPTION(() => this.CONSUME(T.St));
    this.ACTION(() => {
      this.total = { value: numberOf(value), span: spanOf(value, value) };
    });
  });

  protected readonly trailingTotal = this.RULE('trailingTotal', () => {
    this.OPTION(() => this.CONSUME(T.Dash));
    const value = this.CONSUME(T.Num);
    this.MANY(() => this.SUBRULE(this.anyToken));
    this.ACTION(() => {
      this.total = { value: numberOf(value), span: spanOf(value, value) };
    });
  });

  protected readonly repeatRounds = this.RULE('repeatRounds', (items: Item[]) => {
    const first = this.CONSUME(T.Repeat);
    const numbers: number[] = [];
    let times = 1;
    this.MANY({
      GATE: () =>
        is(
          this.LA(1),
          T.RoundWord,
          T.Num,
          T.NumberWord,
          T.OnceTwice,
          T.Dash,
          T.To,
          T.And,
          T.Plus,
          T.Times,
          T.More,
          T.By,
          T.Cross,
          T.Comma,
        ),
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
      items.push({
        type: 'repeatRounds',
        first: from,
        last: Math.max(from, numbers[1] ?? from),
        times,
        span: spanOf(first, this.LA(0)),
      });
    });
  });

  protected readonly join = this.RULE('join', (items: Item[]) => {
    const first = this.LA(1);
    this.SUBRULE(this.anyToken);
    this.MANY({
      GATE: () =>
        is(
          this.LA(1),
          T.SlipStitch,
          T.To,
          T.In,
          T.Article,
          T.First,
          T.Ordinal,
          T.St,
          T.Stitch,
          T.With,
          T.Over,
          T.RoundWord,
          T.Ring,
          T.Join,
          T.Loop,
          T.Chain,
          T.Work,
          T.Last,
          T.Each,
        ) && !(is(this.LA(1), T.With) && !is(this.LA(2), T.SlipStitch, T.Article)),
      DEF: () => this.SUBRULE2(this.anyToken),
    });
    this.ACTION(() => {
      // What joins the other leg, or new yarn, fastens no round.
      const yarn = is(this.LA(1), T.ColourWord) || (is(this.LA(1), T.Word) && is(this.LA(2), T.ColourWord));
      if (!yarn && !is(this.LA(1), T.Limb)) items.push({ type: 'join', span: spanOf(first, this.LA(0)) });
    });
  });

  /** The number of a yarn called `C2`: against its letters, with nothing between. */
  private numbersYarn(words: readonly string[]): boolean {
    const isNumber = is(this.LA(1), T.Num);
    const letters = words.length === 1 && /^[A-Z]{1,3}$/.test(words[0] ?? '');
    const { startOffset, image } = this.LA(0);
    return isNumber && letters && this.LA(1).startOffset === startOffset + image.length;
  }

  protected readonly colour = this.RULE('colour', (items: Item[]) => {
    const first = this.LA(1);
    const words: string[] = [];
    let done = false;
    this.AT_LEAST_ONE({
      GATE: () =>
        !done &&
        (is(this.LA(1), T.Word, T.ColourWord) ||
          this.numbersYarn(words) ||
          (is(this.LA(1), T.Change, T.To, T.In, T.With, T.Article, T.Colon) && words.length === 0)),
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        this.ACTION(() => {
          const letter = is(token, T.Article) && token.image === 'A' && !is(this.LA(1), T.Word);
          if (is(token, T.Word) || letter) words.push(token.image);
          const number = is(token, T.Num);
          if (number) words.push(`${words.pop() ?? ''}${token.image}`);
          if (number || words.length >= 3 || (is(token, T.ColourWord) && words.length > 0) || letter)
            done = true;
        });
      },
    });
    this.OPTION({ GATE: () => is(this.LA(1), T.Colon), DEF: () => this.CONSUME(T.Colon) });
    this.ACTION(() => {
      if (words.length > 0)
        items.push({ type: 'colour', name: words.join(' '), span: spanOf(first, this.LA(0)) });
    });
  });

  protected readonly base = this.RULE('base', (items: Item[]) => {
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
    this.ACTION(() => {
      items.push({ type: 'base', loops, round: numberOf(round), span: spanOf(first, this.LA(0)) });
    });
  });

  protected readonly edge = this.RULE('edge', (items: Item[]): IToken => {
    const token = this.CONSUME(T.Limb);
    this.ACTION(() => {
      items.push({ type: 'edge', which: whichEdge(token.image), span: spanOf(token, token) });
    });
    return token;
  });

  protected readonly leave = this.RULE('leave', (items: Item[]) => {
    const first = this.CONSUME(T.Leave);
    let n = 0;
    this.MANY({
      GATE: () => is(this.LA(1), T.Num, T.NumberWord, T.Article, T.Remain, T.Last, T.St, T.Stitch, T.Same),
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        if (is(token, T.Num, T.NumberWord)) n = numberOf(token);
      },
    });
    this.ACTION(() => {
      items.push({ type: 'leave', n, span: spanOf(first, this.LA(0)) });
    });
  });

  protected readonly skip = this.RULE('skip', (items: Item[]) => {
    const first = this.CONSUME(T.Skip);
    let n = 1;
    this.MANY({
      GATE: () =>
        is(
          this.LA(1),
          T.Article,
          T.Next,
          T.Num,
          T.NumberWord,
          T.St,
          T.Chain,
          T.First,
          T.Each,
          T.Same,
          T.Filler,
        ),
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        if (is(token, T.Num, T.NumberWord)) n = numberOf(token);
      },
    });
    this.ACTION(() => {
      items.push({ type: 'skip', n, span: spanOf(first, this.LA(0)) });
    });
  });

  protected readonly simple = this.RULE('simple', (items: Item[]) => {
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
          items.push({
            type: 'work',
            word: 'plain',
            make: 1,
            together: 1,
            extent: count(numberOf(this.LA(1))),
            target: 'ring',
            fromHook: 0,
            span: spanOf(this.LA(1), this.LA(1)),
          });
        }
      } else if (is(token, T.OtherSide)) items.push({ type: 'otherSide', span });
      else if (is(token, T.BothLayers)) items.push({ type: 'layers', span });
      else items.push({ type: 'loops', loops: is(token, T.FrontLoops) ? 'front' : 'back', span });
    });
    this.OPTION({
      GATE: () =>
        is(token, T.Ring) && is(this.LA(1), T.Num) && is(this.LA(2), EOF, T.Comma, T.Dot, ...openers),
      DEF: () => this.CONSUME(T.Num),
    });
  });
}
