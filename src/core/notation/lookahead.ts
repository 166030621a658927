import { EmbeddedActionsParser, EOF, type IToken } from 'chevrotain';
import type { Item } from './ast';
import { closers, is, openers, stitchCores } from './tokenGroups';
import { numberOf, T } from './tokens';

/** What a line of work goes on with: each answers from the next few tokens, without taking any. */
export abstract class Lookahead extends EmbeddedActionsParser {
  /** open brackets */
  protected depth = 0;

  protected isLabel(): boolean {
    const [a, b, c, d] = [this.LA(1), this.LA(2), this.LA(3), this.LA(4)];
    const stop = (token: IToken) => is(token, T.Colon, T.Dot, T.RRound, T.Dash);
    if (is(a, T.RoundWord)) return is(b, T.Num, T.NumberWord);
    if (is(a, T.Ordinal)) return is(b, T.RoundWord);
    if (!is(a, T.Num)) return false;
    if (is(b, T.RoundWord)) return stop(c);
    if (is(b, T.Dash, T.To, T.And) && is(c, T.Num))
      return is(d, T.Colon, T.Dot, T.RRound) || (is(d, T.RoundWord) && stop(this.LA(5)));
    return is(b, T.Colon, T.RRound, T.Dot);
  }

  /** `(21)`, `[24 sts]`, from the token `at`. */
  protected isTotalBracket(at = 1): boolean {
    if (!is(this.LA(at), ...openers)) return false;
    let i = is(this.LA(at + 1), T.Equals, T.Total) ? at + 2 : at + 1;
    if (!is(this.LA(i), T.Num)) return false;
    i += 1;
    while (is(this.LA(i), T.St, T.Total, T.Stitch, T.Around, T.Article, T.Dot, T.In, T.Loop)) i += 1;
    return is(this.LA(i), ...closers, EOF);
  }

  /** `… around. 24 sts` or `… around - 24`: a count at the end of the line with no stitch to work. */
  protected isTrailingTotal(items: Item[]): boolean {
    if (this.depth > 0 || items.length === 0) return false;
    let i = 1;
    if (is(this.LA(1), T.Dash)) i = 2;
    else if (
      !is(this.LA(0), T.Dot, T.Comma, T.Semi, T.Colon, T.Around, ...closers) &&
      !is(this.LA(2), T.Total)
    )
      return false;
    if (!is(this.LA(i), T.Num)) return false;
    const dashed = i === 2;
    i += 1;
    const named = is(this.LA(i), T.St, T.Total);
    while (is(this.LA(i), T.St, T.Total, T.In, T.Dot)) i += 1;
    return is(this.LA(i), EOF) && (dashed || named);
  }

  protected isIntoOne(): boolean {
    if (!is(this.LA(1), T.In, T.Each)) return false;
    return is(this.LA(2), T.Same, T.Next, T.Article, T.Each, T.First, T.Last) && !is(this.LA(2), T.Colon);
  }

  /** Does a clause start here that says how often: `x 6`, `6 times`, `repeat from * around`, `twice`, `until 3 remain`? */
  protected isClause(): boolean {
    let i = 1;
    if (is(this.LA(i), T.Repeat)) {
      if (is(this.LA(i + 1), T.RoundWord)) return false;
      return true;
    }
    if (
      is(this.LA(i), T.Comma, T.Dash) &&
      (is(this.LA(i + 1), T.OnceTwice) || (is(this.LA(i + 1), T.Num) && is(this.LA(i + 2), T.Times)))
    )
      return true;
    if (is(this.LA(i), T.By, T.Cross)) return is(this.LA(i + 1), T.Num, T.NumberWord);
    if (is(this.LA(i), T.Num, T.NumberWord)) {
      i += 1;
      if (is(this.LA(i), T.More)) i += 1;
      return (
        is(this.LA(i), T.Times) ||
        (is(this.LA(i), T.By, T.Cross) &&
          !is(this.LA(i + 1), T.Num) &&
          (!is(this.LA(i + 1), ...openers) || this.isTotalBracket(i + 1)))
      );
    }
    return is(this.LA(i), T.OnceTwice, T.Around) || this.isUntil();
  }

  protected isUntil(): boolean {
    if (is(this.LA(1), T.Until)) return true;
    return (
      is(this.LA(1), T.To) &&
      is(this.LA(2), T.Last, T.Article) &&
      is(this.LA(is(this.LA(2), T.Article) ? 4 : 3), T.Num, T.NumberWord, T.St, T.Last)
    );
  }

  /** `2 sc, dec (x5)`: how often, in a bracket of its own. */
  protected isBracketClause(): boolean {
    if (!is(this.LA(1), ...openers) || !is(this.LA(4), ...closers)) return false;
    return (
      (is(this.LA(2), T.By, T.Cross, T.Repeat) && is(this.LA(3), T.Num)) ||
      (is(this.LA(2), T.Num) && is(this.LA(3), T.By, T.Cross, T.Times))
    );
  }

  protected isRepeatRounds(): boolean {
    return is(this.LA(1), T.Repeat) && is(this.LA(2), T.RoundWord) && is(this.LA(3), T.Num);
  }

  protected isJoin(): boolean {
    if (is(this.LA(1), T.Join)) return true;
    if (!is(this.LA(1), T.SlipStitch)) return false;
    let i = 2;
    let joined = false;
    while (is(this.LA(i), T.To, T.In, T.Article, T.Join, T.RoundWord, T.Over)) {
      joined ||= is(this.LA(i), T.Join, T.To);
      i += 1;
    }
    return (
      is(this.LA(i), T.First) ||
      (is(this.LA(i), T.Ordinal) && numberOf(this.LA(i)) === 1) ||
      (joined && is(this.LA(i), EOF, T.Dot, T.Comma, ...openers))
    );
  }

  protected isColour(): boolean {
    const [a, b, c] = [this.LA(1), this.LA(2), this.LA(3)];
    if (is(a, T.Change)) return is(b, T.To, T.In, T.ColourWord);
    if (is(a, T.With))
      return (
        is(b, T.Word, T.ColourWord) || (is(b, T.Article) && (is(c, T.Word, T.ColourWord) || b.image === 'A'))
      );
    if (is(a, T.In))
      return (
        (is(b, T.Word) || is(b, T.ColourWord) || (is(b, T.Article) && b.image === 'A')) &&
        !is(c, T.Chain, T.St)
      );
    if (is(a, T.ColourWord)) return is(b, T.Word, T.Article) && b.image.length <= 2;
    if (is(a, T.Word, T.Article) && a.image.length === 1 && a.image === a.image.toUpperCase())
      return is(b, T.Colon);
    return false;
  }

  protected isBase(): boolean {
    let i = 1;
    while (is(this.LA(i), T.In, T.Work, T.Article, T.Over, T.With)) i += 1;
    if (!is(this.LA(i), T.FrontLoops, T.BackLoops)) return false;
    i += 1;
    while (is(this.LA(i), T.Remain, T.Over, T.Article, T.From, T.In, T.Each, T.St)) i += 1;
    return is(this.LA(i), T.RoundWord) && is(this.LA(i + 1), T.Num);
  }

  /** `sc in 2nd ch from hook and in each ch across`: a place without a stitch of its own takes the one before. */
  protected isContinued(items: Item[]): boolean {
    return (
      items.at(-1)?.type === 'work' &&
      is(this.LA(1), T.In) &&
      is(this.LA(is(this.LA(2), T.Article) ? 3 : 2), T.Each, T.Next)
    );
  }

  protected isLeave(): boolean {
    return is(this.LA(1), T.Leave) && [2, 3, 4, 5].some((i) => is(this.LA(i), T.Num, T.NumberWord));
  }

  protected isWork(): boolean {
    let i = 1;
    if (is(this.LA(i), ...stitchCores)) return true;
    if (is(this.LA(i), T.FrontLoops, T.BackLoops)) {
      i += 1;
      if (is(this.LA(i), T.Num, T.NumberWord)) i += 1;
      return is(this.LA(i), ...stitchCores);
    }
    if (!is(this.LA(i), T.Num, T.NumberWord)) return is(this.LA(1), T.Same) && is(this.LA(2), ...stitchCores);
    i += 1;
    while (
      is(this.LA(i), T.More, T.FrontLoops, T.BackLoops, T.Filler) ||
      (is(this.LA(i), T.Word) && /^(plain|regular|normal)$/i.test(this.LA(i).image))
    )
      i += 1;
    if (is(this.LA(i), ...stitchCores) || is(this.LA(i), T.Together)) return true;
    return is(this.LA(i), T.St) && !is(this.LA(i + 1), T.Together, T.Remain);
  }

  protected togetherAhead(): boolean {
    return [2, 3, 4, 5].some(
      (i) =>
        is(this.LA(i), T.Together) &&
        ![1, 2, 3, 4].slice(0, i - 1).some((j) => is(this.LA(j), T.Comma, ...stitchCores)),
    );
  }

  /** Words that say where a stitch goes: `in each of the next 5 sts`, `in 2nd ch from hook`, `in the ring`. */
  protected isPlaceWord(place: IToken[] | undefined, core: IToken | undefined): boolean {
    const [next, after] = [this.LA(1), this.LA(2)];
    const start = place === undefined;
    const before = place?.at(-1);
    if (is(next, T.In, T.Over)) return !is(after, T.Repeat) && (start || !is(before, T.St));
    if (is(next, T.Next, T.Each, T.Last, T.First, T.Same))
      return !is(next, T.Same) || !start || is(after, T.St);
    if (is(next, T.Ring)) return true;
    if (start) return is(next, T.FrontLoops, T.BackLoops) ? false : is(next, T.Article) && is(after, T.Next);
    if (
      is(
        next,
        T.Article,
        T.Ordinal,
        T.Loop,
        T.Space,
        T.Hook,
        T.From,
        T.FrontLoops,
        T.BackLoops,
        T.BothLoops,
        T.Filler,
        T.BothLayers,
      )
    )
      return true;
    if (is(next, T.Remain)) return true;
    if (is(next, T.Num, T.NumberWord)) {
      const taken = place.some((token) => is(token, T.Num, T.NumberWord));
      return (
        !taken &&
        is(before, T.Next, T.Article, T.Last, T.First, T.Each, T.In, T.Over, T.Remain) &&
        !is(after, T.Times, T.By)
      );
    }
    if (is(next, T.St)) return true;
    const noun = is(next, T.Stitch, T.Chain, T.SlipStitch) || (is(next, T.Increase) && !is(core, T.Increase));
    return (
      noun &&
      is(
        before,
        T.Each,
        T.Next,
        T.Num,
        T.NumberWord,
        T.Last,
        T.First,
        T.Same,
        T.Ordinal,
        T.Article,
        T.Remain,
      ) &&
      !place.some((token) => is(token, T.St))
    );
  }
}
