import { tokenMatcher, type IToken, type TokenType } from 'chevrotain';
import type { Span } from './ast';
import { T } from './tokens';

export const openers: TokenType[] = [T.LRound, T.LSquare, T.LCurly];
export const closers: TokenType[] = [T.RRound, T.RSquare, T.RCurly];
/** Words that name a stitch or a change of the count. */
export const stitchCores: TokenType[] = [
  T.Stitch,
  T.SlipStitch,
  T.InvisibleDecrease,
  T.Increase,
  T.Decrease,
  T.Chain,
];
/** Words passed over where they stand for nothing of their own. */
export const quiet: TokenType[] = [
  T.Filler,
  T.Prep,
  T.Article,
  T.St,
  T.Loop,
  T.Space,
  T.Comma,
  T.Semi,
  T.Dot,
  T.Colon,
  T.And,
  T.Plus,
  T.Make,
  T.Each,
  T.Next,
  T.Same,
  T.Last,
  T.First,
  T.More,
  T.Remain,
  T.From,
  T.To,
  T.Hook,
  T.Times,
  T.RoundWord,
  T.ColourWord,
  T.Equals,
  T.Dash,
  T.Total,
  T.Fold,
  T.Around,
  T.BothLoops,
  T.Star,
  T.By,
  T.Cross,
  T.Repeat,
  T.Until,
  T.Together,
  T.With,
  T.Leave,
  T.Decimal,
  T.Ordinal,
  T.OnceTwice,
  T.NumberWord,
];

/** Is the token of one of these types, or of a category among them? Asked some hundred times a line, so it makes no closure. */
export function is(token: IToken | undefined, ...types: TokenType[]): boolean {
  if (token === undefined) return false;
  for (const type of types) {
    if (tokenMatcher(token, type)) return true;
  }
  return false;
}

/** Where a token ends in its line. */
export const endOf = (token: IToken) => token.startOffset + token.image.length;
export const spanOf = (first: IToken, last: IToken): Span => ({ from: first.startOffset, to: endOf(last) });
