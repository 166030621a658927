import { is, number, S, valueOf } from './tokens';
import type { IToken } from 'chevrotain';
import type { JoinSentence } from './join';
import type { NamedPart } from './names';
import type { Phrases } from './phrases';
import type { Firmness, MomentSaid, Said } from './said';

/** Which share of a part is filled: by its end as one looks at the toy, or by rounds at an end of the work. */
export type Portion =
  { by: 'end'; end: 'upper' | 'lower' } | { by: 'rounds'; rounds: number; at: 'first' | 'last' };

/** Why words of stuffing are not planned: how far and not from which end, so many grams, two firmnesses in one, or as she likes. */
export type Unplanned = 'extent' | 'weight' | 'firmnesses' | 'optional';

/** `Stuff firmly`, `Do not stuff`, `Stuff the lower half only` */
export interface StuffSentence extends Said, MomentSaid {
  kind: 'stuff';
  /** how hard; `none` where it is left empty; null where the sentence does not say */
  firmness: Firmness | null;
  /** null for all of it */
  portion: Portion | null;
  /** what stays empty, where only that is said */
  empty: Portion | null;
  /** words that the plan does not follow; a limb they name may be a part of its own */
  unplanned?: { why: Unplanned; words: string; limb?: string };
  /** so many stitches are left when it is filled */
  left?: number;
  /** the part that is named; null for the one it stands with */
  part: NamedPart | null;
  /** what it says of sewing besides: `Stuff the muzzle and sew it to the head` */
  asJoin?: JoinSentence;
}

export const stuffVerbs = [S.Stuff, S.NotStuff] as const;

const upper = /^(?:upper|top|head)$/i;
const lower = /^(?:lower|bottom|base)$/i;
const halves = /^(?:half|part|end|third|portion|tip)$/i;

/** `Stuff only halfway`, `to three quarters`: so far, and nobody says from where. */
const partWay =
  /\b(?:only |just |about |to )*(?:half ?way(?! (?:through|between|around|up the))|half full|(?:1\/2|3\/4|2\/3|1\/3|½|¾|⅔|⅓)(?: full)?|three[- ]quarters|two[- ]thirds|one[- ]third|a (?:third|quarter)|part(?:ly|ially|[- ]way)(?! (?:through|between)))\b/i;

/** `Stuff the hands only`, of an arm: which rounds are a hand, and at which end it is, no word says. */
const ofALimb =
  /\b(?:only |just )?(?:the )?(?:hands?|paws?|foot|feet|tips?|toes?|palms?|fists?|hooves|hoof|heels?)\b(?: (?:part|portion|end|section))?(?: only)?/i;
const limbIn = /(?:hand|paw|foot|feet|tip|toe|palm|fist|hooves|hoof|heel)s?/i;
/** `Just the end`, `the first half`, `but not the top`, `rounds 4 to 8`, `a little at the end`. */
const someOfIt = new RegExp(
  [
    String.raw`\b(?:only|just) (?:the |in the |at the |to the )(?:very )?(?:end|top|bottom|first half|last half)\b`,
    String.raw`\bthe (?:first|last) half\b`,
    String.raw`\bthe (?:end|top|bottom) of (?:the |each |every )`,
    String.raw`\bbut not (?:the |in the |at the )?\w+`,
    String.raw`\b(?:a (?:little|bit|small amount)|some)\b[^.;]*\b(?:at|in|into|to) the (?:very )?(?:end|top|bottom)\b`,
    String.raw`\b(?:from |between )?(?:rounds?|rnds?|rows?|r)\.? ?\d+ ?(?:-|–|to|and) ?(?:r(?:ound|nd|ow)?\.? ?)?\d+\b`,
  ].join('|'),
  'i',
);

const unplannedWords: readonly (readonly [Unplanned, RegExp])[] = [
  ['weight', /\b(?:about |approx\.? |roughly |with )*\d+(?:[.,]\d+)?\s*(?:g|gr|grams?|oz|ounces?)\b/i],
  [
    'firmnesses',
    /\b(?:lightly|softly|loosely|medium|moderately)\b[^.;]*\b(?:firmly|firm|hard|tightly)\b|\b(?:firmly|hard|tightly)\b[^.;]*\b(?:lightly|softly|loosely|medium|moderately)\b/i,
  ],
  ['optional', /\boptional(?:ly)?\b|\bif (?:you )?(?:like|liked|wish|want|prefer|preferred|desired)\b/i],
  ['extent', partWay],
  ['extent', ofALimb],
  ['extent', someOfIt],
];
/** `Stuff up to round 6`, `stuff from round 1 to 6`: from the beginning so far. While it is worked it says when. */
const upToRound =
  /^\W*(?:lightly |firmly )?stuff\b(?![^.;]*\b(?:as you (?:go|work)|while|continue|until)\b)[^.;]*?(?:(?<!\d )\b(?:up )?to (?:the end of )?(?:rounds?|rnds?|rows?|r)\.? ?(\d{1,3})|\b(?:rounds?|rnds?|rows?|r)\.? ?1 ?(?:-|–|to) ?(?:r(?:ound|nd|ow)?\.? ?)?(\d{1,3}))\b/i;

/** `Leave the top round empty`: one round of an end that is not the work's own. */
const endRound = /\b(?:top|bottom|upper|lower|uppermost|lowest)(?: \w+)? (?:rounds?|rnds?|rows?)\b/i;

/** Words of stuffing that no plan follows, the first that are found. */
function unplannedIn(text: string, portion: Portion | null, leftEmpty: boolean): StuffSentence['unplanned'] {
  const patterns = unplannedWords.filter(([why]) => why === 'optional' || !leftEmpty);
  for (const [why, pattern] of patterns) {
    const words = why === 'extent' && portion ? undefined : pattern.exec(text)?.[0].trim();
    if (!words) continue;
    const limb =
      pattern === ofALimb && !/\b(?:only|just)\b/i.test(words) ? limbIn.exec(words)?.[0] : undefined;
    return limb ? { why, words, limb } : { why, words };
  }
  return undefined;
}

/** The share a sentence names: `the lower half`, `the last 4 rounds`. */
function portionIn(tokens: readonly IToken[]): Portion | null {
  const words = tokens.map(({ image }) => image.toLowerCase());
  for (const [i, word] of words.entries()) {
    const next = words[i + 1] ?? '';
    const following = tokens[i + 1];
    const rounds = following && is(following, ...number) ? valueOf(following) : 0;
    if ((word === 'last' || word === 'first') && Number.isInteger(rounds) && rounds > 0)
      return { by: 'rounds', rounds, at: word };
    if (upper.test(word) && halves.test(next)) return { by: 'end', end: 'upper' };
    if (lower.test(word) && halves.test(next)) return { by: 'end', end: 'lower' };
  }
  return null;
}

/** `Leave the last round empty`: one round, where that is what stays empty; `stuff before the last round` names no share. */
function oneRoundIn(text: string): Portion | null {
  const said = /\b(last|final|first) (?:round|rnd|row)\b/i.exec(text)?.[1]?.toLowerCase();
  return said ? { by: 'rounds', rounds: 1, at: said === 'first' ? 'first' : 'last' } : null;
}

function upToIn(text: string): Portion | null {
  const [, to, until] = upToRound.exec(text) ?? [];
  const rounds = Number(to ?? until ?? 0);
  return rounds > 0 ? { by: 'rounds', rounds, at: 'first' } : null;
}

/** `Begin to stuff at round 15`, `stuff from round 15 on`: before that round is worked. */
const fromRound =
  /\b(?:start|begin|commence)\w*\b[^.;]*\b(?:at|on|in|with|from)\s+(?:rounds?|rnds?|rows?|r)\.? ?#?(\d{1,3})\b|\bfrom\s+(?:rounds?|rnds?|rows?|r)\.? ?#?(\d{1,3})(?!\s*(?:-|–|to|through|until|up\s+to)\b)/i;

/** `Stuff when 18 stitches are left`, `once there are 12 stitches remaining` */
const stitchesLeft =
  /\b(?:when|once|while|with|as soon as)\b[^.;]*?(?<![-–]\s?)\b(\d{1,3})\s+(?:sts?|stitches)\s+(?:are\s+)?(?:left|remain(?:ing)?)\b/i;

/** When the text fills it: after which round, by its number, or with how many stitches left; nothing where it does not say. */
function momentIn(text: string, said: number | undefined): Pick<StuffSentence, 'after' | 'left'> {
  const [, begun, from] = fromRound.exec(text) ?? [];
  const round = Number(begun ?? from ?? 0);
  const after = said ?? (round > 1 ? round - 1 : undefined);
  const left = Number(stitchesLeft.exec(text)?.[1] ?? 0);
  return { ...(after === undefined ? {} : { after }), ...(left > 0 ? { left } : {}) };
}

/** Reads a sentence about stuffing. */
export function readStuff(said: Said, { step }: Phrases, tokens: readonly IToken[]): StuffSentence {
  const { firmness } = step;
  // `Don't stuff the last 4 rounds` leaves those empty; the rest is filled.
  const leaves = tokens.some((token) =>
    /^(?:don['’]?t|not|without|leave|leaving|empty|unstuffed)$/i.test(token.image),
  );
  const portion =
    portionIn(tokens) ?? (leaves || firmness === 'none' ? oneRoundIn(said.text) : upToIn(said.text));
  const emptyOnly = portion !== null && (leaves || firmness === 'none');
  const roundsOfEnd = portion === null && leaves ? endRound.exec(said.text)?.[0] : undefined;
  const leftEmpty = firmness === 'none' && !roundsOfEnd;
  const unplanned: StuffSentence['unplanned'] = roundsOfEnd
    ? { why: 'extent', words: roundsOfEnd }
    : unplannedIn(said.text, portion, leftEmpty);
  return {
    ...said,
    kind: 'stuff',
    firmness: firmness === 'none' && !(leftEmpty && !emptyOnly) ? null : (firmness ?? null),
    portion: emptyOnly ? null : portion,
    empty: emptyOnly ? portion : null,
    part: null,
    ...momentIn(said.text, step.after),
    ...(unplanned ? { unplanned } : {}),
  };
}

const portionWords = (portion: Portion): string =>
  portion.by === 'end'
    ? `the ${portion.end} half`
    : `${portion.rounds === 1 ? `the ${portion.at} round` : `the ${portion.at} ${portion.rounds} rounds`}`;
const firmWords: Record<Exclude<Firmness, 'none'>, string> = {
  light: ' lightly',
  medium: ' medium',
  firm: ' firmly',
};

/** The sentence that is read back to the same. */
export function writeStuff({ firmness, portion, empty, part, after, left }: StuffSentence): string {
  const what = part ? ` the ${part.name.toLowerCase()}` : '';
  const atLeft = left === undefined ? '' : `When ${left} stitches are left, `;
  const moment = after === undefined ? atLeft : `After round ${after}, `;
  const begin = (verb: string) => (moment ? moment + verb.toLowerCase() : verb);
  if (firmness === 'none') return `${begin('Do')} not stuff${what}.`;
  if (empty) return `${begin('Don’t')} stuff ${portionWords(empty)}${part ? ` of${what}` : ''}.`;
  const where = portion ? ` ${portionWords(portion)}${part ? ` of${what}` : ''}` : what;
  return `${begin('Stuff')}${where}${firmness ? firmWords[firmness] : ''}.`;
}
