import type { IToken, TokenType } from 'chevrotain';
import { closeVerbs, readClose } from './close';
import { cutVerbs, readCut } from './cut';
import { enclosedIn, readEnclose } from './enclose';
import { readFeature, type FeatureSentence } from './feature';
import { foldVerbs, readFold, shutsFlat } from './fold';
import { noSewVerbs, pinVerbs, readJoin, sewVerbs } from './join';
import { SentenceParser } from './parser';
import { opensReinforcing, readReinforce, reinforcingIn, type Reinforcing } from './reinforce';
import type { Phrases } from './phrases';
import type { FeatureKind, Said } from './said';
import type { Sentence, SentenceKind } from './sentence';
import { splitSentences } from './split';
import { readStuff, stuffVerbs } from './stuff';
import { readSurface, surfaceIn } from './surface';
import { stitched, styles } from './styleWords';
import { numberWords } from '../tokens';
import { featureOf, is, number, S, tokensOf, valueOf } from './tokens';

let parser: SentenceParser | undefined;

/** The words that a sentence is about: without one of them there is nothing to do and nothing to place. */
const carriers = [
  ...stuffVerbs,
  ...closeVerbs,
  ...sewVerbs,
  ...noSewVerbs,
  ...pinVerbs,
  ...foldVerbs,
  ...cutVerbs,
  S.Insert,
  S.Embroider,
  S.Safety,
  S.Smile,
  S.Lips,
  S.OverEye,
  ...featureOf.map(([type]) => type),
  ...styles.flatMap(([type, style]) => (stitched.has(style) ? [type] : [])),
];

/** Whether it says where something goes or how large it is. */
function isMeasured({ features, step, said, outward, vague, halfway }: Phrases): boolean {
  const { sizeMm, gap, range, apart, showing, wide, relation, stitchesFrom, stitches, round } = step;
  const numbers = [sizeMm, gap, range, apart, showing, wide, relation, stitchesFrom, stitches, round];
  if (numbers.some((one) => one !== undefined)) return true;
  if (vague !== null || outward !== null || halfway || step.atStart) return true;
  return said.size > 0 || features[0] === 'sculpting';
}

function kindOf(phrases: Phrases): SentenceKind | null {
  const { verbs, features } = phrases;
  const said = (...wanted: readonly TokenType[]) => verbs.some((verb) => wanted.includes(verb));
  const stuffing = said(...stuffVerbs);
  if (said(...noSewVerbs)) return 'nosew';
  if (stuffing && !said(S.Insert, S.Safety, S.Embroider)) return 'stuff';
  if (said(...closeVerbs)) return 'close';
  const puts = said(S.Insert, S.Embroider, S.Safety, ...sewVerbs) || isMeasured(phrases);
  if (features.length > 0 && puts) return 'feature';
  if (said(...sewVerbs)) return 'sew';
  if (said(...pinVerbs)) return 'pin';
  if (said(...foldVerbs)) return 'fold';
  if (said(...cutVerbs) && said(S.Tail)) return 'cut';
  return stuffing ? 'stuff' : null;
}

/** `Attach the arms while working round 9`: by the stitches of that round. */
const workedIn =
  /\b(?:attach|join)\w*\b[^.;]*\b(?:while|as|when)\s+(?:(?:you|we|i)\s+)?(?:are\s+)?(?:work|crochet|mak|do)(?:ing|e)?\s+(?:in\s+|on\s+)?(?:(?:the\s+)?(?:rounds?|rnds?|rows?|r)\.?\s*\d|this\s+(?:round|rnd|row)\b)/i;

/** What a sentence is first about: it reinforces only where it does not close, cut, fold, pin or work in. */
const firstOf: ReadonlySet<SentenceKind | null> = new Set(['close', 'cut', 'nosew', 'pin', 'fold']);

/** How a sentence reinforces, by itself or beside stuffing; null where it is about something else. */
function reinforcedBy(text: string, kind: SentenceKind | null, phrases: Phrases): Reinforcing | null {
  const isAboutOther = firstOf.has(kind) && !opensReinforcing(text);
  return isAboutOther ? null : reinforcingIn(text, phrases.features.length > 0 || isMeasured(phrases));
}

/** A sentence as its kind reads it. */
function sentenceOf(kind: SentenceKind, said: Said, phrases: Phrases, tokens: IToken[]): Sentence | null {
  switch (kind) {
    case 'feature':
      return phrases.features[0] ? featureOfPhrases(phrases.features[0], said, phrases, tokens) : null;
    case 'stuff':
      return { ...readStuff(said, phrases, tokens), ...sewnBesides(said, phrases, tokens) };
    case 'close':
      return { ...readClose(said, phrases, tokens), ...sewnBesides(said, phrases, tokens) };
    case 'fold':
      return { ...readFold(said, tokens), ...sewnBesides(said, phrases, tokens) };
    case 'cut':
      return readCut(said, phrases);
    case 'reinforce':
    case 'enclose':
      return null;
    case 'surface':
      return {
        ...readSurface(said, surfaceIn(said.text) ?? ''),
        ...sewnBesides(said, phrases, tokens),
      };
    case 'pin':
      return readJoin('pin', said, phrases, tokens);
    case 'sew':
      return readJoin(workedIn.test(said.text) ? 'nosew' : 'sew', said, phrases, tokens);
    case 'nosew':
      return readJoin('nosew', said, phrases, tokens);
  }
}

/** What a sentence says of sewing that is first about something else. Whether it joins parts is known once their names are. */
function sewnBesides(
  said: Said,
  phrases: Phrases,
  tokens: readonly IToken[],
): { asJoin?: ReturnType<typeof readJoin<'sew'>> } {
  const sews = phrases.verbs.some((verb) => (sewVerbs as readonly TokenType[]).includes(verb));
  return sews ? { asJoin: readJoin('sew', said, phrases, tokens) } : {};
}

function featureOfPhrases(
  feature: FeatureKind,
  said: Said,
  phrases: Phrases,
  tokens: readonly IToken[],
): FeatureSentence {
  const { firmness: _firmness, tailMm: _tailMm, ...met } = phrases.step;
  const sentence: FeatureSentence = { ...met, ...said, kind: 'feature', feature };
  const names = (type: TokenType) => tokens.some((token) => is(token, type));
  if (names(S.Above) && names(S.Below)) sentence.aboveAndBelow = true;
  if (names(S.RoundWord)) sentence.roundsNamed = true;
  const further = feature === 'eyes' ? skippedToOther(tokens) : null;
  if (further !== null) sentence.further ??= further;
  readFeature(sentence, feature, phrases, said.whole);
  // `Sew the muzzle between the eyes`: what is sewn may be a part, once the names of parts are known.
  const mayJoin = phrases.verbs.some((verb) => (sewVerbs as readonly TokenType[]).includes(verb));
  return mayJoin ? { ...sentence, asJoin: readJoin('sew', said, phrases, tokens) } : sentence;
}

/** `Skip 6 stitches and insert the second`: so many stitches on from the first; null where nothing is skipped. */
function skippedToOther(tokens: readonly IToken[]): number | null {
  const at = tokens.findIndex(({ image }) => /^(?:skip|miss|count)$/i.test(image));
  const [verb, stitches, unit] = tokens.slice(at);
  const isSaid = at >= 0 && verb && stitches && is(stitches, ...number) && is(unit, S.St);
  const other = tokens.slice(at + 3).some(({ image }) => /^(?:second|other|another)$/i.test(image));
  if (!isSaid || !other) return null;
  return valueOf(stitches) + (/^count$/i.test(verb.image) ? 0 : 1);
}

/** A beak that is stitched is what the nose of another animal is; one that is made and sewn on is a part. */
const withNose = (text: string): string =>
  /\b(?:embroider(?:ed)?|stitch|satin)\b/i.test(text) ? text.replace(/\bbeak\b/gi, 'nose') : text;

/** `Eye 1 at stitch 12, eye 2 at stitch 19`: the figure counts eyes and nothing else. As long as it was. */
const uncounted = (text: string): string =>
  text.replace(/\beye\s*#?\s*[12](?=\s*(?::|(?:is|at|in|into|on|goes)\b))/gi, (said) =>
    'eye'.padEnd(said.length),
  );

const madeAs = ['eyebrows', 'brows', 'mouth', 'nose', 'smile', 'whiskers', 'cheeks', 'lashes'];
const linesAs = new RegExp(
  String.raw`\b(?:lines?|stitch(?:es)?|strands?|dashes|strokes|threads?)\b(?=(.*?)\b(?:as|for)\s+(?:the\s+|an?\s+|his\s+|her\s+|its\s+)?(${madeAs.join('|')})\b)`,
  'i',
);

/** How many stitches they are says how wide it is, which the reader of numbers knows. */
const endsInNumber = new RegExp(String.raw`(?:\d|\b(?:${Object.keys(numberWords).join('|')}))\s*$`, 'i');

/** `Embroider two little lines above the eyes as eyebrows`: what they are for is what they are. As long as it was. */
function namedFor(text: string): string {
  const found = linesAs.exec(text);
  const [lines = '', , what = ''] = found ?? [];
  // In the room of `lines` a shorter word for it, and none at the end, where the same would be named twice.
  const word = ['brow', 'nose', 'mouth', 'smile', 'lash'].find((one) => what.toLowerCase().includes(one));
  if (!found || !word || word.length > lines.length || endsInNumber.test(text.slice(0, found.index)))
    return text;
  const head = text.slice(0, found.index) + word.padEnd(lines.length);
  const rest = text.slice(found.index + lines.length);
  return (
    head +
    rest.replace(
      new RegExp(String.raw`\b(?:as|for)\s+(?:the\s+|an?\s+|his\s+|her\s+|its\s+)?${what}\b`, 'i'),
      (said) => ' '.repeat(said.length),
    )
  );
}

/** `Count 6 stitches between the eyes and place them between R9 and R10`: it is the eyes that are placed. As long as it was. */
const eyesFirst = (text: string): string =>
  text.replace(
    /(?<=^\W*(?:(?:count|leave|keep|skip|allow|with|there\s+(?:are|should\s+be))\s+)?(?:\d{1,2}|[a-z]{3,6})\s+(?:sts?|stitches|sc)\s+)between\s+the\s+eyes(?=,?\s+(?:and|which|that|placing|then|they)\b(?!.*\b(?:nose|mouth|muzzle|brows?|eyebrows?|cheeks?)\b).*\b(?:r|rounds?|rnds?|rows?)\.?\s*\d)/gi,
    (said) => 'in between, eyes'.padEnd(said.length),
  );

/** A sentence that has a word to go by, with what it is about; null where that is nothing known. */
interface Carried {
  span: Said['span'];
  tokens: IToken[];
  phrases: Phrases;
  kind: SentenceKind | null;
  /** how it reinforces, which it may do besides */
  reinforces: Reinforcing | null;
  /** what it puts inside, which it may do besides */
  encloses: string | null;
}

function carried(text: string): Carried[] {
  const own = (parser ??= new SentenceParser());
  return splitSentences(tokensOf(namedFor(eyesFirst(uncounted(withNose(text)))))).flatMap(
    (tokens): Carried[] => {
      const [first] = tokens;
      const last = tokens.at(-1);
      if (!first || !last) return [];
      const end = last.startOffset + last.image.length;
      // Words put in the place of others may end within one of the line's own.
      const cut = /^\p{L}*/u.exec(text.slice(end))?.[0].length ?? 0;
      const span = { from: first.startOffset, to: end + cut };
      const said = text.slice(span.from, span.to);
      const thing = enclosedIn(said);
      const isLine = surfaceIn(said) !== null;
      if (thing === null && !isLine && !tokens.some((token) => is(token, ...carriers))) return [];
      const phrases = own.read(tokens);
      if (isLine) return [{ span, tokens, phrases, kind: 'surface', reinforces: null, encloses: null }];
      const kind = shutsFlat(said) ? 'fold' : kindOf(phrases);
      const reinforces = reinforcedBy(said, kind, phrases);
      const encloses = kind === 'feature' ? null : thing;
      const read = { span, tokens, phrases, reinforces, encloses };
      if (reinforces !== null && kind !== 'stuff') return [{ ...read, kind: 'reinforce' }];
      return [{ ...read, kind: kind ?? (encloses === null ? null : 'enclose') }];
    },
  );
}

/** Fewer words say nothing that could be lost: `Then:`, `See photo.` */
const fewestWords = 3;
const wordsIn = (text: string): number => text.match(/\p{L}{2,}/gu)?.length ?? 0;

/** Sentences of a line that are not understood, where others of it are: `The head sits on top of the body. Sew stitch to stitch.` */
export function unreadSentences(text: string): string[] {
  const read = new Set(carried(text).flatMap(({ kind, span }) => (kind ? [span.from] : [])));
  return splitSentences(tokensOf(text)).flatMap((tokens): string[] => {
    const [first] = tokens;
    const last = tokens.at(-1);
    if (!first || !last || read.has(first.startOffset)) return [];
    const said = text.slice(first.startOffset, last.startOffset + last.image.length).trim();
    return wordsIn(said) >= fewestWords ? [said] : [];
  });
}

/**
 * Reads assembly sentences: `Insert 9 mm safety eyes between R8 and R9, 6 stitches showing. Stuff firmly.`
 *
 * @param text one line as written
 * @param line its number, from 1
 * @returns one value for each sentence understood, in order; empty where the line says nothing Hoppla knows
 */
export function readSentences(text: string, line: number): Sentence[] {
  const read: Sentence[] = [];
  for (const { span, tokens, phrases, kind, reinforces, encloses } of carried(text)) {
    if (!kind) continue;
    const { roundNumbers } = phrases.step;
    const said: Said = {
      text: text.slice(span.from, span.to),
      line,
      whole: text,
      span,
      ...(roundNumbers ? { roundNumbers } : {}),
    };
    const sentence = sentenceOf(kind, said, phrases, tokens);
    if (sentence) read.push(sentence);
    if (reinforces) read.push(readReinforce(reinforces, said, phrases));
    if (encloses) read.push(readEnclose(said, encloses, phrases.step.after));
  }
  return read;
}
