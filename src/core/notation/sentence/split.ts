import type { IToken } from 'chevrotain';
import { featureOf, is, S } from './tokens';

const names = [
  S.Stuff,
  S.NotStuff,
  S.StaysOpen,
  S.Close,
  S.NoSew,
  S.Sew,
  S.Pin,
  S.Fold,
  S.Insert,
  S.Embroider,
  ...featureOf.map(([type]) => type),
];

/** `Eyes: 8 mm; R15–16; 7 showing`: what names nothing to do or to place goes on with what was named before. */
const goesOn = (fragment: readonly IToken[]) =>
  !fragment.some((token) => is(token, ...names)) &&
  !(fragment.some((token) => is(token, S.Cut)) && fragment.some((token) => is(token, S.Tail)));

/** `4 stitches showing.`, `Leave 6 between.`: a distance and nothing else, of what was named in the sentence before. */
const isSpacing = (fragment: readonly IToken[]) =>
  goesOn(fragment) &&
  fragment.length <= 8 &&
  fragment.some((token) => is(token, S.Num)) &&
  fragment.some((token) => is(token, S.Showing, S.Apart, S.InBetween, S.Between, S.SpacingOf)) &&
  !fragment.some((token) => is(token, S.RoundWord));

const others = [S.Stuff, S.NotStuff, S.StaysOpen, S.Close, S.NoSew, S.Sew, S.Pin, S.Fold];
const places = [S.Between, S.InBetween, S.RoundWord, S.Showing, S.Apart, S.SpacingOf];

/** `They should be placed between rounds 9 and 10.`: where what was named in the sentence before goes. */
function saysWhereThey(fragment: readonly IToken[]): boolean {
  const isMeant = /^(?:they|these|those|it|both)$/i.test(fragment[0]?.image ?? '');
  const namesNone = !fragment.some((token) => is(token, ...others, ...featureOf.map(([type]) => type)));
  const isMeasure = fragment.some((token) => is(token, S.Mm, S.Cm));
  return isMeant && namesNone && !isMeasure && fragment.some((token) => is(token, ...places));
}

const namesFeature = (fragment: readonly IToken[]) =>
  fragment.some((token) => is(token, ...featureOf.map(([type]) => type)));

/** Which of two eyes a fragment is about, as its word says: `Left eye: …`, `Second eye: …`. */
function eyeOf(fragment: readonly IToken[]): string | null {
  const at = fragment.findIndex((token) => is(token, S.Eyes) && /^eye$/i.test(token.image));
  const which = /^(?:left|right|first|second|one|other)$/i.exec(fragment[at - 1]?.image ?? '');
  return which ? which[0].toLowerCase() : null;
}

/** `First eye: …. Second eye: …` are about one pair. */
const isPair = (one: string | null, other: string | null) => one !== null && other !== null && one !== other;

/** `Nose between rounds 10 and 11 and mouth between rounds 12 and 13`: a second feature with a place of its own. */
function beginsAnother(tokens: readonly IToken[], at: number, fragment: readonly IToken[]): boolean {
  const token = tokens[at];
  if (!token || !/^and$/i.test(token.image)) return false;
  const article = /^(?:the|an?)$/i.test(tokens[at + 1]?.image ?? '') ? 1 : 0;
  const name = tokens[at + 1 + article];
  const place = tokens[at + 2 + article];
  const other = featureOf.find(([type]) => is(name, type))?.[1];
  const own = featureOf.find(([type]) => fragment.some((one) => is(one, type)))?.[1];
  const placed = fragment.some((one) => is(one, S.Between)) && fragment.some((one) => is(one, S.Num));
  return other !== undefined && own !== undefined && other !== own && placed && is(place, S.Between);
}

/**
 * Splits the words of a line into sentences. What a semicolon parts and belongs together stays together, and so do the sentences about
 * one eye and the other.
 */
export function splitSentences(tokens: readonly IToken[]): IToken[][] {
  const sentences: IToken[][] = [];
  let fragment: IToken[] = [];
  let stop: IToken | null = null;
  const end = () => {
    const before = sentences.at(-1);
    const [one, other] = [before ? eyeOf(before) : null, eyeOf(fragment)];
    if (fragment.length === 0) return;
    if (
      before &&
      ((stop?.image === ';' && goesOn(fragment)) ||
        (isSpacing(fragment) && before.some((token) => is(token, S.Eyes))) ||
        (saysWhereThey(fragment) && namesFeature(before)) ||
        isPair(one, other))
    )
      before.push(...fragment);
    else sentences.push(fragment);
    fragment = [];
  };
  for (const [index, token] of tokens.entries()) {
    if (beginsAnother(tokens, index, fragment)) {
      end();
      stop = null;
      continue;
    }
    if (!is(token, S.Stop)) {
      fragment.push(token);
      continue;
    }
    end();
    stop = token;
  }
  end();
  return sentences;
}
