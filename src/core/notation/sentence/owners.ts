import type { PartSource } from '../pattern';
import type { FeatureSentence } from './feature';
import { isJoin, withPartNames, type JoinSentence } from './join';
import { PartNames, type Mention, type NamedPart } from './names';
import { readSentences } from './readSentences';
import type { FeatureKind } from './said';
import type { Sentence } from './sentence';
import { wayBetween } from './ways';

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
  const mentions = names.in(sentence.text);
  if (isJoin(sentence)) return [withPartNames(sentence, mentions)];
  // A tail of yarn is no tail: what is cut is cut of something.
  const [first] = sentence.kind === 'cut' ? mentions.filter(({ isGoal }) => isGoal) : mentions;
  const part = first ? { part: { id: first.id, name: first.name } } : {};
  if (!('asJoin' in sentence)) return [{ ...sentence, ...part }];
  const { asJoin, ...own } = sentence;
  return [{ ...own, ...part }, ...joinsBesides(asJoin, mentions, owner)];
}

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
  /^(?:then|and|now|next|sew|attach|stitch|join|whip|whipstitch|place|position|on|the|both|an?|one|each|two|left|right|his|her|its|all|\d+)$/;

const placeVerb =
  /^(\s*(?:(?:then|now|next|finally|lastly)[,\s]+)?)(place|position|put|set|arrange|fix|add|secure|fasten|tack|mount|apply|assemble(?:\s+(?:the\s+)?[a-z]+)?\s*:)(?=\s)/i;
/** `The ears are sewn on round 5`, `Arms sewn on at R6`, `The ears go on R5` */
const placedBy =
  /^(\s*)((?:(?:the|both|two|all)\s+)*)([a-z][a-z -]*?)\s+(?:(?:are|is|get|gets|should\s+be)\s+)?(?:(?:sewn|stitched|attached|joined|placed|positioned)(?:\s+on(?=\s+(?:at|to|between)\b))?|go|goes)(?=\s+(?:on|onto|at|to|between|in|over)\b)/i;

/** The same with a verb that joins, as long as it was: every place in the line stays what it was. */
function asSewn(text: string): string | null {
  if (placeVerb.test(text))
    return text.replace(placeVerb, (whole, before: string) => `${before}Sew`.padEnd(whole.length));
  const found = placedBy.exec(text);
  if (!found) return null;
  const [whole, space = '', , name = ''] = found;
  const sewn = `${space}Sew ${name}`;
  return sewn.length <= whole.length ? sewn.padEnd(whole.length) + text.slice(whole.length) : null;
}

const passingVerb =
  /\b(?:pull|thread|pass|run|draw|feed|push|insert|put|poke|slide|take|bring|hang|slip|fit|stretch|place|set|knot|tie|loop|hook|tuck|stick|stuff|press)\w*(?=\s)/i;

/** `Pull the tail through the body`: what goes over, into or through another. It is read as what joins, and keeps its own words. */
function passed(text: string, line: number, names: PartNames): JoinSentence[] {
  // Most lines have no such verb, and to look for one is cheaper than to look for every name.
  if (!passingVerb.test(text) || !wayBetween(text, names.in(text))) return [];
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
  const sewn = asSewn(text);
  if (sewn === null) return [];
  const mentions = names.in(sewn);
  const [first] = mentions;
  const saysWhere = mentions.some(({ isGoal }) => isGoal) || !placeVerb.test(text);
  if (!first || first.isGoal || !saysWhere) return [];
  return readSentences(sewn, line).flatMap((sentence) =>
    sentence.kind === 'sew' ? [{ ...sentence, whole: text }] : [],
  );
}

/** Whether a name is the first thing after the verb: `sew the two ears`, not `sew a button between the ears`. */
function followsVerb(text: string, at: number): boolean {
  const before = [...text.toLowerCase().matchAll(/[\p{L}\p{N}’'-]+/gu)].slice(0, at).map(([word]) => word);
  return before.length > 0 && before.every((word) => verbOnly.test(word));
}

const isCalled = (part: Mention | undefined, feature: FeatureKind): boolean =>
  part?.name.toLowerCase().includes(feature.replace(/s$/, '')) ?? false;

/** A sentence about a feature, or about a part that is sewn on by it: `Sew the muzzle between the eyes`. */
function partSewn(sentence: FeatureSentence, names: PartNames): Sentence {
  const { asJoin, ...feature } = sentence;
  if (!asJoin) return sentence;
  const mentions = names.in(sentence.text);
  const [sewn] = mentions;
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
    // Sewing and stuffing that names no part stays with the part before, as it would without a heading.
    if (step.kind === 'stuff' || step.kind === 'close') give(own ?? after, step);
    else after.steps.push(step);
  }
  for (const part of parts) part.steps.sort((a, b) => a.line - b.line || a.span.from - b.span.from);
}
