import { numberWords } from '../tokens';
import type { Phrases, Waiting } from './phrases';
import type { JoinSentence } from './join';
import type {
  AcrossSaid,
  FeatureKind,
  FeatureStyle,
  HeightSaid,
  MadeSaid,
  MomentSaid,
  RoundsSaid,
  Said,
  SidesSaid,
} from './said';

/** `Insert 9 mm safety eyes between R8 and R9, 6 stitches showing`: something is put on a part. Only what the maker said is set. */
export interface FeatureSentence
  extends Said, RoundsSaid, SidesSaid, MomentSaid, MadeSaid, HeightSaid, AcrossSaid {
  /** what it says if what is sewn is a part and not the feature */
  asJoin?: JoinSentence;
  kind: 'feature';
  feature: FeatureKind;
  /** where its size is said, where that is not the sentence */
  sizeFrom?: 'materials';
  /** clauses that say where, but not in a way that is read */
  unused?: string[];
  /** how many of it are said, with the words that say so; not set of one */
  howMany?: { count: number; words: string };
}

/** Whether a sentence says “8 apart” and leaves open from what to what. */
export function isBareApart({ apart, showing, posts }: AcrossSaid): boolean {
  return apart !== undefined && showing === undefined && !posts;
}

/** More stitches than that are what a round has, not how wide a mouth is. */
const widestBare = 12;

/**
 * Takes what a sentence says of a feature out of the phrases met in it. The first thing named is what is placed; later ones are what it is
 * placed by.
 *
 * @param step filled in place
 * @param text the line the sentence stands in, to quote from
 */
export function readFeature(
  step: FeatureSentence,
  feature: FeatureKind,
  phrases: Phrases,
  text: string,
): void {
  readMake(step, feature, phrases, text);
  if (phrases.countsShowing && step.showing === undefined && step.apart !== undefined) {
    step.showing = step.apart;
    delete step.apart;
  }
  readSideways(step, feature, phrases);
  readStitches(step);
  besideIt(step);
  if (feature === 'eyes' && phrases.ring) ringed(step, phrases, text);
  if (feature === 'eyes') sewnOn(step, phrases, text);
  readWidth(step, feature, phrases);
  // One mouth that reaches from left to right.
  const isOne = feature === 'mouth' || feature === 'nose';
  if (isOne && phrases.leftAndRight && !step.outward) delete step.sides;
  if (!phrases.momentOpens) afterRound(step);
  readHowMany(step, text);
  unread(step, phrases, text);
}

/** What is counted one by one; of whiskers and lashes a number is how many threads each tuft has. */
const nouns: Partial<Record<FeatureKind, string>> = {
  eyes: 'eyes?',
  brows: '(?:eye\\s*)?brows?',
  cheeks: 'cheeks?',
  spots: '(?:spots?|freckles?)',
  patch: '(?:patch(?:es)?|appliqu[eé]s?)',
  button: 'buttons?',
  bow: 'bows?',
};
const count = String.raw`(\d{1,2}|${Object.keys(numberWords).join('|')})`;
/** What a number before it is of, and not of the feature. */
const ofOther =
  '(?:mm|cm|inch(?:es)?|sts?|stitch(?:es)?|rounds?|rows?|rnds?|strands?|times?|plies|ply|pieces?|lengths?|of|on|in|at|and|or|from|to|for|as|apart|between|below|above|under|over|more|wide|high|long|with)';
const opens =
  '(?:^\\W*|[.,;:]\\s*|\\b(?:insert|place|put|add|attach|fix|fit|press|set|sew|stitch|embroider|make|work|glue|cut|position|with|use)\\s+(?:on\\s+|in\\s+|the\\s+)*)';

/** `Sew three spots`, `Buttons: 3 down the front`: how many. `Two on each side` says more than a number, and is left as it is. */
function readHowMany(step: FeatureSentence, text: string): void {
  const noun = nouns[step.feature];
  if (noun === undefined) return;
  const said = text.slice(step.span.from, step.span.to);
  const found =
    new RegExp(
      String.raw`${opens}(${count}\s+(?:(?:\d{1,2}(?:[.,]\d)?\s*mm|(?!${ofOther}\b)[a-z-]+)\s+){0,3}${noun})\b`,
      'i',
    ).exec(said) ??
    new RegExp(
      String.raw`^\W*${noun}\s*:\s*(${count}(?=\s+(?:of|on|down|along|at|in)\b|\s*[x×]\s))`,
      'i',
    ).exec(said);
  if (!found) return;
  const [, words = '', number = ''] = found;
  const value = /^\d/.test(number) ? Number(number) : (numberWords[number.toLowerCase()] ?? 0);
  if (value > 1) step.howMany = { count: value, words };
}

/** How it is made: its style, stitched or bought. */
function readMake(step: FeatureSentence, feature: FeatureKind, phrases: Phrases, text: string): void {
  const style = styleOf(feature, phrases.styles);
  if (style) step.style = style;
  const isStitched = style === 'line' || (feature === 'eyes' && isYarnWork(step, text));
  if (isStitched) step.embroidered = true;
  if (feature === 'nose' && isBoughtNose(step, text)) step.pressed = true;
  // Eyes put on whole lie on one line of holes, whatever they are said to reach over.
  if (feature === 'eyes' && step.range && !step.gap) {
    step.gap = step.range;
    delete step.range;
  }
}

/** Stitches that are told one by the other, or by their round. */
function readStitches(step: FeatureSentence): void {
  const [first] = step.stitches ?? [];
  // `The first at stitch 12, the second 7 stitches further`
  if (first !== undefined && step.stitches?.length === 1 && step.further !== undefined)
    step.stitches = [first, first + step.further];
  // `Stitch 15 of round 16`: the hole at its foot, in the line under that round.
  if (step.stitches && step.round !== undefined && !step.gap && !step.countFrom && step.round > 1) {
    step.gap = [step.round - 1, step.round];
    step.ofRound = step.round;
    delete step.round;
  }
}

/** `3 stitches from the nose` and nothing else: beside it. */
function besideIt(step: FeatureSentence): void {
  const { gap, relation, stitchesFrom, range, round } = step;
  const from = step.outward?.from;
  const isPlaced = [gap, relation, stitchesFrom, range, round].some((said) => said !== undefined);
  if (from && from !== 'front' && from !== 'eyes' && !isPlaced) step.level ??= from;
}

const stitchedOn: ReadonlySet<FeatureKind> = new Set<FeatureKind>(['mouth', 'nose', 'brows']);

/** `4 sts` alone is how wide what is stitched is. */
function readWidth(step: FeatureSentence, feature: FeatureKind, { bare }: Phrases): void {
  if (bare === null || bare > widestBare || !stitchedOn.has(feature)) return;
  if (step.sizeMm === undefined && !step.stitches) step.wide ??= bare;
}

/** `Insert the eyes after round 9`, and nothing else that says where: the line of holes after it. Beside a place it says when. */
function afterRound(step: FeatureSentence): void {
  const { gap, range, relation, round, level, stitchesFrom, after } = step;
  const isPlaced = [gap, range, relation, round, level, stitchesFrom].some((said) => said !== undefined);
  if (after === undefined || isPlaced || step.atStart) return;
  step.round = after;
  step.roundSaid = 'after';
  delete step.after;
}

/** What it is level with, in line with, beside or outside of. */
function readSideways(
  step: FeatureSentence,
  feature: FeatureKind,
  { by, said, outward, edge }: Phrases,
): void {
  const eyes = feature === 'eyes' ? null : 'eyes';
  const bySomething = (phrase: Waiting) =>
    (by[phrase] === 'front' ? null : (by[phrase] as FeatureKind | undefined)) ?? eyes;
  const level = bySomething('level');
  if (said.has('level') && level) step.level = level;
  const line = bySomething('inLine');
  if (said.has('inLine') && line) step.inLine = { edge, to: line };
  if (by.beside === 'front') {
    // `Either side of the middle, 6 apart`: the distance says how far.
    if (step.apart === undefined && step.showing === undefined)
      step.outward = { stitches: outward ?? 1, from: 'front' };
    else step.sides ??= 'both';
  } else if (said.has('beside')) {
    const beside = bySomething('beside');
    step.outward = { stitches: outward ?? 1, from: beside };
    if (beside && !step.gap && !step.relation && step.round === undefined) step.level ??= beside;
  } else if (outward !== null) step.outward = { stitches: outward, from: by.outward ?? eyes };
  // `Outside the eyes` is the next stitch.
  else if (by.outward) step.outward = { stitches: 1, from: by.outward };
}

const cloths: ReadonlySet<FeatureStyle> = new Set(['felt', 'crochet']);

/** What says a place without a number is taken as one round; what is not read at all is kept, clause by clause. */
function unread(step: FeatureSentence, phrases: Phrases, text: string): void {
  const { span } = step;
  const { vague, unused, outwardAt, heightAt, mentions } = phrases;
  const placed =
    step.gap ??
    step.range ??
    step.relation ??
    step.stitchesFrom ??
    step.level ??
    step.round ??
    (step.atStart || undefined);
  const others = mentions.filter(
    ({ kind }) =>
      kind !== step.feature &&
      kind !== step.inLine?.to &&
      kind !== step.level &&
      kind !== step.outward?.from &&
      kind !== step.relation?.to &&
      kind !== step.stitchesFrom?.to,
  );
  const left = [
    ...unused,
    ...others.map(({ from }) => from),
    ...(outwardAt !== null && !step.outward ? [outwardAt] : []),
    ...(heightAt !== null && placed === undefined && !vague ? [heightAt] : []),
  ];
  const clauses = [
    ...[...left, ...severalNumbers(text, span)].map((at) => clauseAt(text, at, span)),
    ...madeOf(step, phrases, text),
    ...stitchesFor(step, text),
    ...alongBack(step, text),
  ];
  if (vague && step.feature !== 'sculpting') {
    if (placed === undefined) {
      step.relation = { rounds: 1, direction: vague.direction, to: vague.to };
      step.vague = text.slice(vague.from, vague.until);
    } else if (!(
      step.relation &&
      step.relation.to === vague.to &&
      step.relation.direction === vague.direction
    ))
      clauses.push(clauseAt(text, vague.from, span));
  }
  if (clauses.length > 0 && step.feature !== 'sculpting') step.unused = [...new Set(clauses)];
}

/** `Stitch the eyes with black yarn`: worked with the needle, though no word says so; what is sewn on has a size, or is there already. */
function isYarnWork({ pressed, sizeMm, span }: FeatureSentence, text: string): boolean {
  if (pressed || sizeMm !== undefined) return false;
  const said = text.slice(span.from, span.to);
  if (/\b(?:buttons?|beads?|felt|plastic|safety|pearls?)\b|\b(?:sew|sewn|stitch|stitched)\s+on\b/i.test(said))
    return false;
  const ofYarn =
    /\b(?:with|using|in|out\s+of)\s+(?:[a-z]+\s+){0,3}?(?:yarn|thread|floss|wool|cotton)\b/i.test(said);
  return (
    ofYarn ||
    /\bfrench\s+knots?\b/i.test(said) ||
    /\bstitch(?:ed|ing)?\s+(?:the\s+|two\s+|both\s+|small\s+|simple\s+|little\s+)*eyes\b/i.test(said)
  );
}

/** `Insert a 12 mm triangle nose`: one that is bought in that form, and not a triangle in thread. */
function isBoughtNose({ sizeMm, span }: FeatureSentence, text: string): boolean {
  const said = text.slice(span.from, span.to);
  const isPutIn = /\b(?:insert|place|put|add|attach|fix|fit|press|push|position|pop)\b/i.test(said);
  const isMade = /\b(?:embroider|stitch|sew|satin|yarn|thread|floss|felt|crochet|glue|wide)/i.test(said);
  return sizeMm !== undefined && isPutIn && !isMade;
}

/** `Five stitches for the nose`, `a nose of 5 stitches`: how wide it is, or how often the needle goes: no word says which. */
function stitchesFor({ wide, span }: FeatureSentence, text: string): string[] {
  if (wide !== undefined) return [];
  const said = text.slice(span.from, span.to);
  const what = '(?:nose|mouth|smile|(?:eye)?brows?)';
  const count = String.raw`(?:\d{1,2}|two|three|four|five|six|seven|eight|nine|ten)\s+(?:[a-z]+\s+)?(?:sts?|stitches)`;
  const found = new RegExp(
    String.raw`\b${count}\s+(?:for|as)\s+(?:the|an?|his|her|its)\s+${what}\b|\b${what}\s+(?:of|with|from)\s+${count}\b(?!\s+(?:wide|between|below|above|from|apart|high))`,
    'i',
  ).exec(said);
  return found ? [found[0]] : [];
}

/** `8 apart around the back`: on a face the distance is that over the front, so one along the back is told and not taken for it. */
function alongBack({ apart, showing, span }: FeatureSentence, text: string): string[] {
  if (apart === undefined && showing === undefined) return [];
  const said = /\b(?:(?:count|measur)\w*\s+)?(?:along|around|round|across|over|from)\s+the\s+back\b/i.exec(
    text.slice(span.from, span.to),
  );
  return said ? [said[0]] : [];
}

const ringWord = String.raw`(?:rings?|circles?|discs?)`;
/** `16 mm felt circles`, `felt circles of 16 mm`, `circles of white felt, 16 mm across` */
const ringSize = new RegExp(
  String.raw`(\d{1,2}(?:[.,]\d)?)\s*mm\s+(?:(?!eyes?\b|with\b|and\b)[a-z]+\s+){0,3}${ringWord}\b|\b${ringWord}(?:\s+of\s+(?:[a-z]+\s+)?(?:felt|crochet))?\s*(?:[,(]|of|about|measuring|\s)*(\d{1,2}(?:[.,]\d)?)\s*mm`,
  'i',
);

/** A ring behind each eye. Of two sizes the first is the eye’s, unless the words give it to the ring. */
function ringed(step: FeatureSentence, { ring, secondMm }: Phrases, text: string): void {
  if (!ring) return;
  const [, before, behind] = ringSize.exec(text.slice(step.span.from, step.span.to)) ?? [];
  const said = Number((before ?? behind ?? '').replace(',', '.'));
  const isOfRing = said > 0 && said === step.sizeMm;
  const sizeMm = isOfRing ? said : secondMm;
  step.ring = { of: ring, ...(sizeMm === null ? {} : { sizeMm }) };
  if (!isOfRing) return;
  if (secondMm === null) delete step.sizeMm;
  else step.sizeMm = secondMm;
}

/** Felt that lies behind the eyes is not what they are made of. */
const behindEyes =
  /\b(?:behind|under|underneath|beneath|around)\s+(?:them|it|each|every|both|(?:the\s+)?(?:eyes?|washers?|posts?))\b|\bback(?:ed|ing)\b|\bwashers?\b/i;
const pressedIn = /\b(?:insert|press|push|pop|snap|click|safety|plastic)\w*\b/i;
const forEyes = String.raw`(?:for|as)\s+(?:the\s+|its\s+|his\s+|her\s+|both\s+)?eyes?\b`;
const isForEyes = new RegExp(String.raw`\b${forEyes}`, 'i');
/** A word between what eyes are made of and the eyes: a colour, a size, a number; none that says where. */
const between = String.raw`(?:(?!(?:above|below|over|under|beside|between|behind|from|to|by|near|at|on|with|the|and|before|after|for|as|rings?|circles?|discs?)\b)[\w.]+\s+)`;
const madeFrom = String.raw`\beyes?\s*(?:[(:,]|\b(?:are|of|from|(?:made|cut)\s+(?:of|from|out\s+of)|out\s+of)\b)\s*`;
const ofButtons = new RegExp(
  String.raw`\bbuttons?[-\s]+${between}{0,2}eyes?\b|\bbuttons?\s+${forEyes}|${madeFrom}${between}{0,4}buttons?\b|\bfor\s+(?:the\s+)?eyes?,?\s+(?:use|sew|take)\s+(?:on\s+)?${between}{0,4}buttons?\b`,
  'i',
);
const ofCloth = new RegExp(
  String.raw`\b(?:felt|crochet\w*)[-\s]+${between}{0,3}eyes?\b|${madeFrom}${between}{0,3}(?:felt|crochet\w*)\b|\b(?:of|from|in)\s+${between}{0,2}felt\b`,
  'i',
);

/** `Felt eyes`, `buttons as eyes`, `two circles of felt for the eyes`: sewn on, with no post. A ring, or a backing, of felt is behind them. */
function sewnOn(step: FeatureSentence, { ring, styles }: Phrases, text: string): void {
  if (step.embroidered) return;
  const said = text.slice(step.span.from, step.span.to);
  if (cloths.has(step.style ?? 'oval')) delete step.style;
  if (step.pressed) return;
  const cloth = styles.find((style) => cloths.has(style));
  const isBehind = behindEyes.test(said);
  const isRingForEyes = ring !== null && isForEyes.test(said) && !isBehind && !pressedIn.test(said);
  if (ofButtons.test(said)) step.style = 'button';
  else if (isRingForEyes) {
    step.style = ring;
    step.sizeMm ??= step.ring?.sizeMm;
    delete step.ring;
  } else if (cloth && ofCloth.test(said) && !isBehind) step.style = cloth;
}

const otherEyes =
  /\b(?:beads?|pearls?|googly|google|wiggly|wobbly|glass|rhinestones?|sequins?|snaps?)\b(?:\s+eyes)?/i;
const otherNoses = /\b(?:pom[- ]?poms?|beads?|pearls?|buttons?)\b(?:\s+nose)?/i;
const clothWord = /\b(?:felt|crochet\w*)\b(?:\s+(?:eyes?|rings?|circles?|discs?)\b)?/i;

/**
 * `Bead eyes`, `a pom-pom nose`, `embroider eyes on felt circles`: what else they are made of, or lie on, is told. A backing of felt is
 * neither.
 */
function madeOf(step: FeatureSentence, { ring, styles }: Phrases, text: string): string[] {
  const { feature, style, embroidered, span } = step;
  const said = text.slice(span.from, span.to);
  const others = feature === 'eyes' ? otherEyes : feature === 'nose' ? otherNoses : null;
  const other = others?.exec(said)?.[0];
  if (other !== undefined) return [other];
  if (feature !== 'eyes' || behindEyes.test(said)) return [];
  const isLeft = embroidered
    ? ring !== null
    : ring === null && styles.some((one) => cloths.has(one)) && !cloths.has(style ?? 'oval');
  return isLeft ? [clothWord.exec(said)?.[0] ?? 'felt'] : [];
}

/** `5-7 stitches apart`: which of them is not for us to say. */
function severalNumbers(text: string, { from, to }: Said['span']): number[] {
  const several =
    /(?<!\b(?:r|rnds?|rounds?|rows?|stitch(?:es)?|sts?)\.?\s*)\b\d{1,3}\s*(?:-|–|to|or)\s*\d{1,3}\s+(?:sts?|stitches|rounds|rows)\b/gi;
  return [...text.matchAll(several)].map(({ index }) => index).filter((at) => at >= from && at < to);
}

/** The first style named is how it is made; “satin triangle” is a triangle in satin stitch, and only some things are a line or an oval. */
function styleOf(feature: FeatureKind, styles: readonly FeatureStyle[]): FeatureStyle | undefined {
  const fit = styles.filter(
    (style) =>
      (style !== 'line' || feature === 'mouth') &&
      (style !== 'oval' || feature === 'eyes' || feature === 'nose'),
  );
  return fit.includes('triangle') ? 'triangle' : fit[0];
}

/** The words around a place in a text, from comma to comma. */
function clauseAt(text: string, at: number, { from, to }: FeatureSentence['span']): string {
  const comma = /^[,:;](?!\d)/;
  let [start, end] = [at, at];
  while (start > from && !comma.test(text.slice(start - 1, start + 1))) start -= 1;
  while (end < to && !comma.test(text.slice(end, end + 2))) end += 1;
  return text.slice(start, end).trim();
}
