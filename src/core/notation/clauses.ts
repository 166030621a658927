import type { IToken } from 'chevrotain';
import type { Extent } from './ast';
import { Lookahead } from './lookahead';
import { is, spanOf, stitchCores } from './tokenGroups';
import { numberOf, T } from './tokens';
import { count, type Clause, type Place } from './workItem';

/** How often and where: what stands beside a stitch or a bracket. */
export abstract class ClauseParser extends Lookahead {
  // A category instead of eighty alternatives: those took most of the time of building the grammar, and of reading by it.
  protected readonly anyToken = this.RULE('anyToken', (): IToken => this.CONSUME(T.Any));

  protected readonly closer = this.RULE('closer', () =>
    this.OR([
      { ALT: () => this.CONSUME(T.RRound) },
      { ALT: () => this.CONSUME(T.RSquare) },
      { ALT: () => this.CONSUME(T.RCurly) },
    ]),
  );

  protected readonly opener = this.RULE('opener', () =>
    this.OR([
      { ALT: () => this.CONSUME(T.LRound) },
      { ALT: () => this.CONSUME(T.LSquare) },
      { ALT: () => this.CONSUME(T.LCurly) },
    ]),
  );

  protected readonly clause = this.RULE('clause', (): Clause => {
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
        return (
          is(
            next,
            T.Repeat,
            T.From,
            T.By,
            T.Cross,
            T.Times,
            T.More,
            T.Article,
            T.Total,
            T.To,
            T.Last,
            T.St,
            T.Remain,
            T.First,
            T.Next,
            T.Each,
            T.In,
          ) &&
          (value === undefined ||
            is(next, T.Times, T.More, T.By, T.Cross, T.St, T.Remain) ||
            (until && is(next, T.Article)))
        );
      },
      DEF: () => {
        const token = this.SUBRULE(this.anyToken);
        this.ACTION(() => {
          if (is(token, T.Star)) fromStar = is(this.LA(-1), T.From);
          if (is(token, T.Num, T.NumberWord, T.OnceTwice)) value = token;
          if (is(token, T.Around)) around = true;
          if (is(token, T.Until, T.Last)) until = true;
          if (is(token, T.More)) more = true;
          if (
            is(token, T.OnceTwice) ||
            (is(token, T.Times, T.By, T.Cross) && value !== undefined) ||
            is(token, T.Around)
          )
            done = true;
        });
      },
    });
    return this.ACTION(() => {
      const n = value ? numberOf(value) : 1;
      const extent: Extent = until ? { kind: 'leave', n } : value ? count(n) : { kind: 'around' };
      return { extent, more, fromStar, span: spanOf(first, this.LA(0)) };
    });
  });

  protected readonly place = this.RULE('place', (): Place => {
    const tokens: IToken[] = [];
    let extent: Extent | null = null;
    this.AT_LEAST_ONE({
      GATE: () =>
        tokens.length === 0 ||
        (this.isPlaceWord(tokens, undefined) && !(is(this.LA(1), T.In) && this.isColour())),
      DEF: () => {
        tokens.push(this.SUBRULE(this.anyToken));
      },
    });
    this.OPTION({
      GATE: () => is(this.LA(1), T.Around) || this.isUntil(),
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
}
