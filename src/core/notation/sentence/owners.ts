import type { PartSource } from '../pattern';
import type { EncloseSentence } from './enclose';
import type { FeatureSentence } from './feature';
import { isJoin, withPartNames, type JoinSentence, type PinSentence } from './join';
import { PartNames, type Mention, type NamedPart } from './names';
import { shifted } from './continued';
import { readSentences } from './readSentences';
import type { FeatureKind } from './said';
import type { Sentence } from './sentence';
import type { SurfaceSentence } from './surface';
import { strungIn, wayBetween } from './ways';

/** A sentence that stands outside the parts, under a heading such as `Assembly`, with the part before that heading. */
export interface LooseSentence {
  step: Sentence;
  after: PartSource;
}

// Headings over what is done once the parts are made.
const finishing =
  /^(?:assembl(?:y|ing|e)(?: instructions?)?|making up|make up|putting (?:it|everything|them|the (?:pieces|parts|toy)) together|put together|finish(?:ing)?(?: (?:up|off|touches|details))?|to finish|sewing(?: (?:up|together|it together))?|joining(?: the (?:parts|pieces))?|(?:the )?faces?|facial (?:features|details)|face details|(?:final |last )?details|embroider(?:y|ing)|features|decorat(?:ion|ing)|assembly|face|details)(?:\s+(?:and|&|\+)\s+(?:the\s+)?(?:faces?|finishing|details|assembly|sewing|embroidery))?$/i;

/** Whether a heading stands over sentences about several parts and not over a part of its own. */
export const isFinishing = (name: string): boolean => finishing.test(name);

/** Where such a sentence names no part it stays with the part before, as it would without a heading. */
const ofOnePart: ReadonlySet<Sentence['kind']> = new Set(['stuff', 'close', 'reinforce', 'enclose']);

const facial: ReadonlySet<FeatureKind> = new Set([
  'eyes',
  'nose',
  'mouth',
  'brows',
  'lashes',
  'cheeks',
  'whiskers',
  'sculpting',
]);
/**
 * The sentence with the parts that it names, now that all headings are known; two where it stuffs or closes a part and sews it on.
 *
 * @param owner the part it stands in; null under a heading over all parts
 */
function withNames(sentence: Sentence, names: PartNames, owner: PartSource | null): Sentence[] {
  if (sentence.kind === 'feature') return [partPassed(sentence, names) ?? partSewn(sentence, names)];
  if (sentence.kind === 'enclose' && names.in(sentence.thing).length > 0) return partPut(sentence, names);
  if (sentence.kind === 'surface') return lineOrPart(sentence, names);
  const mentions = names.in(sentence.text);
  if (isJoin(sentence)) return eachWithNames(sentence, names);
  // A tail of yarn is no tail: what is cut is cut of something.
  const [first] = sentence.kind === 'cut' ? mentions.filter(({ isGoal }) => isGoal) : mentions;
  const part = first ? { part: { id: first.id, name: first.name } } : {};
  if (!('asJoin' in sentence)) return [{ ...sentence, ...part }];
  const { asJoin, ...own } = sentence;
  return [{ ...own, ...part }, ...joinsBesides(asJoin, mentions, owner)];
}

const saysRound = /\b(?:r|rnds?|rounds?|rows?)\.?\s*\d/i;
const nextPart = /\s*[,;]\s*(?:and\s+)?|\s+(?:and|&)\s+/gi;
/** `Between R8`: what follows with *and* belongs to it. */
const isUnended = /\bbetween\s+(?:(?:the\s+)?(?:r|rnds?|rounds?|rows?)\.?\s*)?\d*\s*$/i;

const ownVerb = /^(?:sew|attach|stitch|join)\s+(?:on\s+)?/i;
const isSewn = (sentence: Sentence): sentence is JoinSentence =>
  sentence.kind === 'sew' || sentence.kind === 'nosew';

/**
 * `Sew the arms to R9 at the sides and the tail to R18 at the back`: a sentence for each part that has a round of its own. They stay in
 * their places of the line, so that each is written anew by itself.
 */
function eachPart(sentence: JoinSentence, names: PartNames): JoinSentence[] {
  const { text, line, span, whole, kind } = sentence;
  if ((sentence.roundNumbers?.flat().length ?? 0) < 2) return [sentence];
  for (const found of text.matchAll(nextPart)) {
    const before = text.slice(0, found.index);
    const from = found.index + found[0].length;
    const behind = text.slice(from);
    if (!saysRound.test(before) || !saysRound.test(behind) || isUnended.test(before)) continue;
    const verb = ownVerb.exec(behind)?.[0] ?? '';
    const [next] = names.in(behind.slice(verb.length));
    const begins = next !== undefined && next.at <= 1 && !next.isGoal;
    const [first] = begins ? readSentences(before, line).filter(isSewn) : [];
    const said = verb ? readSentences(behind, line).filter(isSewn) : placedParts(behind, line, names);
    const more = first ? said : [];
    if (first?.kind !== kind || more.length !== 1) continue;
    const own = (join: JoinSentence, by: number): JoinSentence => ({ ...shifted(join, by), kind, whole });
    return [own(first, span.from), ...more.flatMap((join) => eachPart(own(join, span.from + from), names))];
  }
  return [sentence];
}

/** The joins of a sentence with the parts they name: what a later one is joined to, where it names nothing, is what the first is. */
function eachWithNames(sentence: JoinSentence | PinSentence, names: PartNames): Sentence[] {
  const each = sentence.kind === 'pin' ? [sentence] : eachPart(sentence, names);
  const joins = each.map((one) => withPartNames(one, names.in(one.text)));
  const [wall, ...later] = joins.map(({ joined }) => joined.find((one) => one.wall)?.wall ?? null);
  // `The pads to R9 and the ears to R5 of the head`: what the first goes on may be named with the last, and may not.
  const isUnclear = !wall && later.some((one) => one !== null);
  if (isUnclear || joins.length < 2) return [withPartNames(sentence, names.in(sentence.text))];
  return joins.map((join) => ({
    ...join,
    joined: join.joined.map((one) => ({ ...one, wall: one.wall ?? wall ?? null })),
  }));
}

/** A mane that is made is a part, sewn on along the back; one that no heading names grows there. */
function lineOrPart({ asJoin, ...line }: SurfaceSentence, names: PartNames): Sentence[] {
  const mentions = names.in(line.text);
  if (names.in(line.thing).length > 0)
    return asJoin ? [withPartNames(asJoin, mentions)] : partPut(line, names);
  const [first] = mentions;
  return [first ? { ...line, part: { id: first.id, name: first.name } } : line];
}

/** `Push the stick into the head`: a stick that is made is a part that goes there, and nothing that is bought and lies inside. */
const partPut = (
  { text, line, whole, span }: EncloseSentence | FeatureSentence | SurfaceSentence,
  names: PartNames,
): JoinSentence[] =>
  placedParts(text, line, names).map((join) => ({
    ...withPartNames(shifted(join, span.from), names.in(text)),
    text,
    whole,
  }));

/** A join that is said beside something else, where it names what it is sewn to: `sew it shut at the back of the head` joins nothing. */
function joinsBesides(
  asJoin: JoinSentence | undefined,
  mentions: readonly Mention[],
  owner: PartSource | null,
): JoinSentence[] {
  if (!asJoin) return [];
  const join = withPartNames(asJoin, mentions);
  const joins = join.joined.some(({ parts, wall }) => {
    const piece = parts[0]?.id ?? owner?.id;
    return wall !== null && piece !== undefined && piece !== wall.id;
  });
  return joins ? [join] : [];
}

const verbOnly =
  /^(?:then|and|now|next|sew|attach|stitch|join|whip|whipstitch|place|position|cent(?:er|re)|set|pin|fix|mount|arrange|on|the|both|an?|one|each|two|first|second|third|fourth|left|right|his|her|its|all|\d+)$/;

const placeVerb =
  /^(\s*(?:(?:then|now|next|finally|lastly)[,\s]+)?)(place|position|put|set|arrange|fix|add|secure|fasten|tack|mount|apply|assemble(?:\s+(?:the\s+)?[a-z]+)?\s*:)(?=\s)/i;
/** `The ears are sewn on round 5`, `Arms sewn on at R6`, `The ears go on R5` */
const placedBy =
  /^(\s*)((?:(?:the|both|two|all)\s+)*)([a-z][a-z -]*?)\s+(?:(?:are|is|get|gets|(?:should|must|will|can|(?:needs?|has|have|ought|is|are)\s+to)(?:\s+be)?)\s+)?(?:(?:sewn|stitched|attached|joined|placed|positioned)(?:\s+on(?=\s+(?:at|to|between)\b))?|go|goes|sits?|belongs?|rests?|come|comes)(?=\s+(?:(?:on|onto|at|to|between|in|over|right|directly)\b|\d+\s+(?:sts?|stitches)\s+apart\b|(?:\d+|one|two|three|four|five|six|seven|eight|nine|ten)\s+(?:rounds?|rows?|rnds?)\b))/i;

/** `Arms: R7, one on each side`, `Tail – centre back, R13` */
const labelledPlace =
  /^(\s*)((?:(?:the|both|two|all)\s+)*)([a-z][a-z -]*?)\s*(?::|→|=|\s[-–—](?=\s)|\s\()\s*(?=\S)/i;
/** `Arms at R7, one on each side` */
const placedBare =
  /^(\s*)((?:(?:the|both|two|all)\s+)*)([a-z][a-z -]*?)\s+(?=(?:at|on|onto|between|over|to)\s+(?:the\s+)?(?:rounds?|rnds?|rows?|r(?=\s*\d)|sides?|body|head|back|front|top|bottom|cent(?:re|er))(?![a-z]))/i;
/** What says where: a round, a side, something it lies by. */
const saysPlace =
  /\b(?:r|rnds?|rounds?|rows?)\.?\s*\d|\d+(?:st|nd|rd|th)\s+(?:round|rnd|row)|\b(?:sides?|between|either|back|front|top|bottom|base|crown|middle|cent(?:re|er)(?:ed)?|above|below|under|apart)\b/i;

/** A line with a verb that joins, and how many signs now stand before its own. */
interface Sewn {
  text: string;
  lead: number;
}

/** The same with a verb that joins; null where it is no line of that kind. */
function asSewn(text: string): Sewn | null {
  if (placeVerb.test(text))
    return {
      text: text.replace(placeVerb, (whole, before: string) => `${before}Sew`.padEnd(whole.length)),
      lead: 0,
    };
  for (const manner of [placedBy, labelledPlace, placedBare]) {
    const found = manner.exec(text);
    if (!found) continue;
    const [whole, space = '', many = '', name = ''] = found;
    const own = `${space}${many}${name}${manner === labelledPlace ? ':' : ''}`.padEnd(whole.length);
    return { text: `Sew ${own}${text.slice(whole.length)}`, lead: 'Sew '.length };
  }
  return null;
}

const passingVerb =
  /\b(?:pull|thread|pass|run|draw|feed|push|insert|put|poke|slide|take|bring|hang|string|slip|fit|stretch|place|set|knot|tie|loop|hook|tuck|stick|stuff|press)\w*(?=\s)/i;

/** `Pull the tail through the body`: what goes over, into or through another. It is read as what joins, and keeps its own words. */
function passed(text: string, line: number, names: PartNames): JoinSentence[] {
  // Most lines have no such verb, and to look for one is cheaper than to look for every name.
  if (!passingVerb.test(text)) return [];
  const mentions = names.in(text);
  if (!wayBetween(text, mentions) && !strungIn(text, mentions)) return [];
  const sewn = text.replace(passingVerb, (verb) => 'Sew'.padEnd(verb.length));
  return readSentences(sewn, line).flatMap((sentence) => {
    // What is called like a feature, a fringe, a patch, is the part of that name here.
    const join = sentence.kind === 'feature' ? sentence.asJoin : sentence;
    if (join?.kind !== 'sew') return [];
    return [{ ...join, text: text.slice(join.span.from, join.span.to), whole: text }];
  });
}

/** `Knot the fringe into round 12 of the body`: what is called like a feature may be a part that goes over, into or through another. */
function partPassed({ text, line, span, whole }: FeatureSentence, names: PartNames): JoinSentence | null {
  const [join] = passed(' '.repeat(span.from) + text, line, names);
  return join ? withPartNames({ ...join, text, whole }, names.in(text)) : null;
}

/**
 * A line that nothing was read from, as a sentence that joins: `Place the ears on the head on round 5`. Such a verb may put anything
 * anywhere, so it joins only where a part is named and what it goes on.
 */
export function placedParts(text: string, line: number, names: PartNames): JoinSentence[] {
  const byWay = passed(text, line, names);
  if (byWay.length > 0) return byWay;
  const several = text.split(/(?<=[.;])\s+(?=\S)/);
  if (several.length > 1) return eachPlaced(text, line, { several, names });
  const sewn = asSewn(text);
  if (sewn === null) return [];
  const mentions = names.in(sewn.text);
  const [first] = mentions;
  if (!first || first.isGoal) return [];
  const isOpened = followsVerb(sewn.text, first.at) && saysPlace.test(text);
  if (!isOpened && !mentions.some(({ isGoal }) => isGoal)) return [];
  return readSentences(sewn.text, line).flatMap((sentence) => {
    const join = sentence.kind === 'feature' ? sentence.asJoin : sentence;
    return join?.kind === 'sew' ? [{ ...shifted(join, -sewn.lead), whole: text }] : [];
  });
}

/** `Left arm: R7, stitch 8. Right arm: R7, stitch 23`: all of a line, or nothing of it. */
function eachPlaced(
  text: string,
  line: number,
  { several, names }: { several: readonly string[]; names: PartNames },
): JoinSentence[] {
  let from = 0;
  const found: JoinSentence[] = [];
  for (const piece of several) {
    from = text.indexOf(piece, from);
    const joins = placedParts(piece, line, names);
    if (joins.length === 0) return [];
    found.push(...joins.map((join) => ({ ...shifted(join, from), whole: text })));
    from += piece.length;
  }
  return found;
}

/** `Arms: R7, one on each side`, `Ears: brown`: something about a part that is made, and no part of its own. */
export function isAboutPart(text: string, parts: readonly PartSource[]): boolean {
  const found = labelledPlace.exec(text);
  if (!found) return false;
  const made = parts.filter(({ rounds }) => rounds.length > 0);
  return new PartNames(made).in(found[3] ?? '').length > 0;
}

/** Whether a name is the first thing after the verb: `sew the two ears`, not `sew a button between the ears`. */
function followsVerb(text: string, at: number): boolean {
  const before = [...text.toLowerCase().matchAll(/[\p{L}\p{N}’'-]+/gu)].slice(0, at).map(([word]) => word);
  return before.length > 0 && before.every((word) => verbOnly.test(word));
}

const isCalled = (part: Mention | undefined, feature: FeatureKind): boolean =>
  part?.name.toLowerCase().includes(feature.replace(/s$/, '')) ?? false;

/** `The muzzle goes on the head between R10 and R14`: a muzzle that is made is a part, and what is sewn on is not said. */
function partPlaced(
  sentence: FeatureSentence,
  named: Mention | undefined,
  names: PartNames,
): Sentence | null {
  if (!named || named.isGoal || facial.has(sentence.feature)) return null;
  const [join, ...more] = partPut(sentence, names);
  const isIt = join?.joined[0]?.parts[0]?.id === named.id;
  return isIt && more.length === 0 ? join : null;
}

/** A sentence about a feature, or about a part that is sewn on by it: `Sew the muzzle between the eyes`. */
function partSewn(sentence: FeatureSentence, names: PartNames): Sentence {
  const { asJoin, ...feature } = sentence;
  const mentions = names.in(sentence.text);
  const [sewn] = mentions;
  if (!asJoin) return partPlaced(sentence, sewn, names) ?? sentence;
  const isNext = sewn && followsVerb(sentence.text, sewn.at);
  // A nose that is made is placed as a nose; a bow, a patch, a button is joined like any part.
  const isFeature = facial.has(sentence.feature) && isCalled(sewn, sentence.feature);
  const isPart = isNext && !isFeature;
  return isPart ? withPartNames(asJoin, mentions) : feature;
}

/** The part a sentence says it is about: of several the first named. */
function partNamed({ text }: Sentence, names: PartNames): NamedPart | null {
  return names.in(text).find(({ isGoal, isBeside, opens }) => (isGoal && !isBeside) || opens) ?? null;
}

/** Whether it belongs to a face: by what it is or by what it goes by. A bow beside the eyes is where the eyes are. */
function isOfFace(sentence: FeatureSentence): boolean {
  const { feature, relation, stitchesFrom, level, inLine, outward } = sentence;
  const goesBy = [feature, relation?.to, stitchesFrom?.to, level, inLine?.to, outward?.from];
  return goesBy.some((name) => facial.has(name as FeatureKind));
}

/** The part that has the eyes, else the head. */
function faceOf(parts: readonly PartSource[]): PartSource | undefined {
  const hasEyes = (part: PartSource) =>
    part.steps.some((step) => step.kind === 'feature' && step.feature === 'eyes');
  return parts.find(hasEyes) ?? parts.find(({ name }) => /\b(?:head|face)\b/i.test(name));
}

const give = (part: PartSource, step: Sentence) => part.steps.push({ ...step, on: part.name.toLowerCase() });

/** The other part a sentence is about, where it names one; what joins stays where it is written. */
function aboutPart(step: Sentence, names: PartNames): NamedPart | null {
  if (step.kind === 'feature') return partNamed(step, names);
  return isJoin(step) ? null : step.part;
}

/** What names another part than it stands in goes to that. */
function giveWhatIsNamed(parts: readonly PartSource[], names: PartNames): void {
  const moves = parts.flatMap((part) =>
    part.steps.flatMap((step) => {
      const named = aboutPart(step, names);
      const to = named && parts.find(({ id }) => id === named.id);
      return to && to !== part ? [{ step, from: part, to }] : [];
    }),
  );
  for (const { step, from, to } of moves) {
    from.steps = from.steps.filter((one) => one !== step);
    give(to, step);
  }
}

/** The part that a sentence under a heading over all parts is given to; null where it stays with the one before. */
function ownerOfLoose(
  { step, after }: LooseSentence,
  own: PartSource | undefined,
  parts: readonly PartSource[],
): PartSource | null {
  // A line along the back is along the back of the toy's largest piece.
  if (step.kind === 'surface')
    return own ?? [...parts].sort((a, b) => b.rounds.length - a.rounds.length)[0] ?? after;
  const ofFace = step.kind === 'reinforce' && step.feature !== null && facial.has(step.feature);
  return ofOnePart.has(step.kind) ? (own ?? (ofFace ? faceOf(parts) : undefined) ?? after) : null;
}

/**
 * Gives sentences to the parts they are about: what names another part than it stands in, and what stands outside all of them. There a
 * face goes on the head, or where the eyes are; what names nothing goes where the sentence before it went.
 */
export function handOver(parts: readonly PartSource[], loose: readonly LooseSentence[]): void {
  const names = new PartNames(parts);
  for (const part of parts) part.steps = part.steps.flatMap((step) => withNames(step, names, part));
  giveWhatIsNamed(parts, names);
  const work = parts.filter(({ rounds }) => rounds.length > 0);
  let before: PartSource | null = null;
  const named = loose.flatMap(({ step, after }) =>
    withNames(step, names, null).map((one) => ({ step: one, after })),
  );
  for (const { step, after } of named) {
    const about = partNamed(step, names) ?? aboutPart(step, names);
    const own = about ? parts.find(({ id }) => id === about.id) : undefined;
    if (step.kind === 'feature') {
      const owner: PartSource =
        own ?? (isOfFace(step) ? faceOf(parts) : undefined) ?? before ?? work[0] ?? after;
      give(owner, step);
      before = owner;
      continue;
    }
    const owner = ownerOfLoose({ step, after }, own, parts);
    if (owner) give(owner, step);
    else after.steps.push(step);
  }
  for (const part of parts) part.steps.sort((a, b) => a.line - b.line || a.span.from - b.span.from);
}
