import { EmbeddedActionsParser, EOF, type IToken, type TokenType } from 'chevrotain';
import { featureOf, is, number, S, Word } from './tokens';
import type { FeatureKind, LandmarkKind } from './said';

const landmarks: [TokenType, LandmarkKind][] = [
  [S.Ridge, 'ridge'],
  [S.ColourChange, 'colour change'],
  [S.Neck, 'neck'],
  [S.LastIncrease, 'last increase'],
  [S.FirstDecrease, 'first decrease'],
  [S.PlainStart, 'plain rounds'],
  [S.LiveEdge, 'edge'],
  [S.Base, 'base'],
  [S.Top, 'top'],
];
/** What a word names that something else can be counted from. */
export const targetOf = (token: IToken): FeatureKind | LandmarkKind | undefined =>
  (featureOf.find(([type]) => is(token, type)) ?? landmarks.find(([type]) => is(token, type)))?.[1];

/** The longer phrases of a sentence: how many tokens from here make one, or 0. Nothing is taken. */
export abstract class SentenceLookahead extends EmbeddedActionsParser {
  /** How many tokens from `i` make `between R8 and R9`, or 0. */
  protected gapAhead(i: number): number {
    const start = i;
    const led = is(this.LA(i), S.Between);
    if (led) i += 1;
    while (is(this.LA(i), Word) && /^the$/i.test(this.LA(i).image)) i += 1;
    let rounds = false;
    if (is(this.LA(i), S.RoundWord)) {
      rounds = true;
      i += 1;
    }
    if (!is(this.LA(i), ...number)) return 0;
    i += 1;
    if (is(this.LA(i), S.RoundWord) && is(this.LA(i + 1), S.Join, S.Dash)) {
      rounds = true;
      i += 1;
    }
    if (!is(this.LA(i), S.Join, S.Dash)) return 0;
    i += 1;
    while (is(this.LA(i), Word) && /^the$/i.test(this.LA(i).image)) i += 1;
    if (is(this.LA(i), S.RoundWord)) {
      rounds = true;
      i += 1;
    }
    if (!is(this.LA(i), ...number) || (!led && this.countsThings(i))) return 0;
    i += 1;
    if (is(this.LA(i), S.RoundWord)) {
      rounds = true;
      i += 1;
    }
    return rounds || led || this.isAtNeighbours(start) ? i - start : 0;
  }

  /** `On round 3 and two feet`: a number in words, and what there are so many of, is no round. */
  private countsThings(i: number): boolean {
    return is(this.LA(i), S.NumberWord) && is(this.LA(i + 1), Word);
  }

  /** `Eyes at 9-10`: two numbers with a dash after *at*, one after the other, are rounds. */
  private isAtNeighbours(first: number): boolean {
    const [before, low, dash, high, after] = [-1, 0, 1, 2, 3].map((i) => this.LA(first + i));
    if (first !== 1 || !/^at$/i.test(before?.image ?? '') || !is(dash, S.Dash)) return false;
    const isMeasured = is(after, S.St, S.Mm, S.Cm, S.Apart, S.Showing);
    return !isMeasured && Number(high?.image) === Number(low?.image) + 1;
  }

  protected roundAhead(): boolean {
    return is(this.LA(1), S.RoundWord) ? is(this.LA(2), S.Num) : is(this.LA(2), S.RoundWord);
  }

  /** How many tokens make `2 rounds below the eyes`, `just under the eyes`, `the round below`, `4 rounds up from the base`, `6 rounds from the edge`, or 0. */
  protected relationLength(): number {
    let i = 1;
    if (is(this.LA(1), S.Just)) i = 2;
    else if (is(this.LA(1), ...number) && is(this.LA(2), S.RoundWord)) i = 3;
    // `On the round below the eyes`: the next one.
    else if (
      is(this.LA(1), S.RoundWord) &&
      is(this.LA(0), Word) &&
      /^(?:the|next|very)$/i.test(this.LA(0).image)
    )
      i = is(this.LA(2), S.Just) ? 3 : 2;
    else return 0;
    // `8 rounds in from the end`: the way is clear from the end that is named.
    const leads = /^(?:down|up|out|outwards?|in|inwards?|away|back)$/i.test(this.LA(i).image ?? '');
    if (leads && is(this.LA(i + 1), S.FromEnd, S.FromTop, S.FromStart)) return i + 1;
    // `6 rounds from the edge`: an end of the part, and only inward leads anywhere.
    if (
      is(this.LA(i), S.Lower, S.Higher, S.FromEnd, S.FromTop, S.FromStart) ||
      (is(this.LA(i), S.OverEye) && /^over/i.test(this.LA(i).image))
    )
      return i;
    const next = is(this.LA(1), S.RoundWord);
    const shaped = next ? 0 : this.fromShapingLength(i);
    if (shaped > 0) return shaped;
    const from = !next && is(this.LA(i), Word) && /^from$/i.test(this.LA(i).image);
    if (!from && !is(this.LA(i), S.Above, S.Below)) return 0;
    const alone = i;
    i += 1;
    while (is(this.LA(i), Word, S.Safety, S.Inner, S.Outer, S.LeftSide, S.RightSide) && !this.edgeAt(i))
      i += 1;
    if (this.edgeAt(i)) return i;
    if (from) return is(this.LA(i), S.LiveEdge, S.Base, S.Top) ? i : 0;
    if (targetOf(this.LA(i)) || is(this.LA(i), S.Them)) return i;
    // `2 sts outside, 1 round below`: than what was named.
    const ends = is(this.LA(alone + 1), S.Stop, EOF) || /^[,;)]$/.test(this.LA(alone + 1).image ?? '');
    return next || (ends && is(this.LA(1), ...number)) ? alone : 0;
  }

  /** How many tokens make `4 rounds after the last increase`, `2 rounds before the first decrease`, counted as she works, with `i` the word between; or 0. */
  private fromShapingLength(i: number): number {
    const way = /^(after|past|beyond|from|before)$/i.exec(this.LA(i).image ?? '')?.[1]?.toLowerCase();
    if (!way) return 0;
    const at = /^the$/i.test(this.LA(i + 1).image ?? '') ? i + 2 : i + 1;
    // `2 rounds from the first decrease` may be either way.
    const towards = way === 'before' ? S.FirstDecrease : S.LastIncrease;
    // Past their beginning there is but one way.
    return is(this.LA(at), towards) || (way !== 'before' && is(this.LA(at), S.PlainStart)) ? at : 0;
  }

  /** `The edge` alone is the live edge; `the edge of the muzzle` is not. */
  private edgeAt(i: number): boolean {
    return (
      is(this.LA(i), Word) &&
      /^edge$/i.test(this.LA(i).image) &&
      !/^of$/i.test(this.LA(i + 1).image ?? '') &&
      !is(this.LA(i - 1), S.Inner, S.Outer)
    );
  }

  /** How many tokens make `on the ridge`, `at the colour change`, `around the neck`, or 0. */
  protected onLandmarkLength(): number {
    if (!is(this.LA(1), Word, S.RoundWord) || !/^(?:on|at|along|around|round|in)$/i.test(this.LA(1).image))
      return 0;
    const i = is(this.LA(2), Word) && /^(?:the|its|his|her)$/i.test(this.LA(2).image) ? 3 : 2;
    return is(this.LA(i), S.Ridge, S.ColourChange, S.Neck) ? i : 0;
  }

  /** How many tokens make `4 stitches below the eyes`, `2 stitches above the front line`, or 0. */
  protected stitchesLength(): number {
    if (!is(this.LA(1), ...number) || !is(this.LA(2), S.St)) return 0;
    let i = is(this.LA(3), S.Just) ? 4 : 3;
    if (is(this.LA(i), S.Lower, S.Higher) || (is(this.LA(i), S.OverEye) && /^over/i.test(this.LA(i).image)))
      return i;
    if (!is(this.LA(i), S.Above, S.Below)) return 0;
    i += 1;
    while (is(this.LA(i), Word, S.Safety)) i += 1;
    return featureOf.some(([type]) => is(this.LA(i), type)) || is(this.LA(i), S.Them, S.FrontLine) ? i : 0;
  }

  /** How many tokens make `under the nose`, which says no number, or 0. */
  protected vagueLength(): number {
    if (!is(this.LA(1), S.Above, S.Below)) return 0;
    let i = 2;
    while (is(this.LA(i), Word, S.Safety)) i += 1;
    return targetOf(this.LA(i)) ? i : 0;
  }

  /** How many tokens make `stitches 15 and 22`, `stitch 15 to stitch 22`, `the 15th stitch`, `between stitches 15 and 16`, or 0. */
  protected stitchNumbersLength(): number {
    const joined = (i: number) =>
      is(this.LA(i), S.Join, S.Dash) || (is(this.LA(i), S.Other) && this.LA(i).image === ',');
    if (is(this.LA(1), S.Ordinal)) {
      if (is(this.LA(2), S.St)) return 2;
      const other = /^the$/i.test(this.LA(3).image ?? '') ? 4 : 3;
      return joined(2) && is(this.LA(other), S.Ordinal) && is(this.LA(other + 1), S.St) ? other + 1 : 0;
    }
    if (
      !is(this.LA(1), S.St, S.Split) ||
      !is(this.LA(2), S.Num) ||
      is(this.LA(3), S.RoundWord, S.St, S.Mm, S.Cm, S.Apart, S.Showing, S.Wide, S.High)
    )
      return 0;
    if (!joined(3)) return 2;
    const next = is(this.LA(4), S.St) ? 5 : 4;
    if (
      !is(this.LA(next), S.Num) ||
      is(this.LA(next + 1), S.RoundWord, S.St, S.Mm, S.Cm, S.Apart, S.Showing, S.Wide, S.High, S.Outward)
    )
      return 2;
    return next;
  }

  /** How many tokens make `over 4 stitches`, `spanning 4 stitches and 2 rounds`, which say how wide and how high, or 0. */
  protected overStitchesLength(): number {
    return is(this.LA(1), S.Above, Word) &&
      /^(?:over|span(?:s|ning)|cover(?:s|ing))$/i.test(this.LA(1).image) &&
      is(this.LA(2), ...number) &&
      is(this.LA(3), S.St)
      ? is(this.LA(4), S.Join, S.Dash) &&
        is(this.LA(5), ...number) &&
        is(this.LA(6), S.RoundWord) &&
        !is(this.LA(7), S.Above, S.Below)
        ? 6
        : 3
      : 0;
  }
}
