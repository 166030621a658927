import pluralize from 'pluralize';
import type { IToken } from 'chevrotain';
import { readJoinPlace, writeJoinPlace, type JoinPlace } from './joinPlace';
import type { Mention, NamedPart, NamedUnits } from './names';
import type { Phrases } from './phrases';
import { saysTwice } from './reinforce';
import type { RoundsSaid, Said, SidesSaid } from './said';
import { writeStance, type StanceSaid } from './stance';
import { S } from './tokens';
import { strungIn, wayBetween, wayWords, type StrungSaid, type WayBetween, type WaySaid } from './ways';

/** Where on the wall the middle of what is joined goes, and which way its edge is held. */
export interface PlaceSaid extends RoundsSaid, SidesSaid {
  /** the edge it is joined by: open as it was worked, flat, or drawn together at its middle */
  edge: 'open' | 'flattened' | 'pinched' | null;
  /** of a flat piece, what of it is sewn; not said where its kind says it */
  sewnBy?: 'outline' | 'first row' | 'last row';
  /** of two stitches that are named, on which side the text says each is */
  stitchSides?: readonly ('left' | 'right')[];
}

/** Parts that are joined, in the order they are named, and what they are joined to. */
export interface Joined {
  /** empty where the part it stands with is meant */
  parts: NamedUnits[];
  /** null where that is not said */
  wall: NamedPart | null;
}

interface Joining extends Said, PlaceSaid {
  /** what is said of the place by the names of other parts, and what only joining says */
  place: JoinPlace;
  /** one sentence may join several things to several others */
  joined: Joined[];
  /** numbers it says and nothing was made of */
  unused?: readonly string[];
  /** some of it says where around, though not in a way that is read */
  elsewhere?: true;
  /** its seam is gone round twice */
  twice?: true;
  /** over an end, into one, through, by a thread; not said where it is laid on and sewn */
  way?: WaySaid;
  /** how it stands there; not said where that is straight off the wall, its front to the front */
  stance?: StanceSaid;
}

/** `Sew the ears to the head between R4 and R9`, `Crochet the arms into round 14 of the body` */
export interface JoinSentence extends Joining {
  /** sewn on, or worked together without sewing */
  kind: 'sew' | 'nosew';
}

/** `Pin the legs to the body at round 20` */
export interface PinSentence extends Joining {
  kind: 'pin';
}

/** Whether a sentence brings parts together. */
export const isJoin = <Other extends { kind: string }>(
  sentence: Other | JoinSentence | PinSentence,
): sentence is JoinSentence | PinSentence =>
  sentence.kind === 'sew' || sentence.kind === 'nosew' || sentence.kind === 'pin';

export const sewVerbs = [S.Sew] as const;
export const noSewVerbs = [S.NoSew] as const;
export const pinVerbs = [S.Pin] as const;

const placeKeys = [
  'gap',
  'otherGap',
  'range',
  'round',
  'countFrom',
  'relation',
  'level',
  'stitches',
  'back',
  'sides',
] as const;

/** Reads a sentence that brings parts together. Their names are found when all headings are known. */
export function readJoin<Kind extends 'sew' | 'nosew' | 'pin'>(
  kind: Kind,
  said: Said,
  { step }: Phrases,
  tokens: readonly IToken[],
): Joining & { kind: Kind } {
  const place: PlaceSaid = { edge: edgeIn(tokens) };
  for (const key of placeKeys) if (step[key] !== undefined) Object.assign(place, { [key]: step[key] });
  const covered = stitchesCovered(said.text);
  // What is joined lies over the stitches from one to the other: their middle is where its own goes.
  if (covered.length > 0) place.stitches = covered.map(({ first, last }) => (first + last) / 2);
  // `Over stitches 23 to 2` goes over the start of the round, and its middle by how many that has: it is asked.
  const overStart = covered.filter(({ first, last }) => last < first).map(({ words }) => words);
  if (overStart.length > 0) delete place.stitches;
  const sides = place.stitches?.length === 2 ? sidesOfTwo(said.text) : null;
  if (sides) place.stitchSides = sides;
  const sewnBy = flatEdgeIn(said.text);
  if (sewnBy) place.sewnBy = sewnBy;
  const passes = kind !== 'nosew' && saysTwice(said.text) ? { twice: true as const } : {};
  const unread = unusedOf(overStart, overStart.length > 0);
  return { ...said, ...place, ...passes, ...unread, kind, joined: [], place: {} };
}

const rowEdge =
  /\b(?:by|along|with)\s+(?:its|the|their)\s+(?:(last|final)|(first|foundation|starting|beginning))\s+(?:row|edge|chain)s?\b/i;
const roundOutline =
  /\b(?:all\s+)?(?:the\s+way\s+)?a?round\s+(?:its|their|the)\s+(?:whole\s+|outer\s+)?(?:edges?|outlines?|outside)\b|\bappliqu|\b(?:by|along)\s+(?:its|their|the)\s+(?:outline|whole\s+edge)|\ball\s+(?:the\s+way\s+)?a?round\s+it(?:s\s+edge)?\b|\bflat\s+(?:on|onto|against)\b/i;

/** What of a flat piece is sewn, where a sentence says so. */
function flatEdgeIn(text: string): PlaceSaid['sewnBy'] {
  const [, last, first] = rowEdge.exec(text) ?? [];
  if (last) return 'last row';
  if (first) return 'first row';
  return roundOutline.test(text) ? 'outline' : undefined;
}

const stitchNumber = /\b(?:sts?|stitch(?:es)?)\.?\s*#?\s*\d/i;

/** `The left one at stitch 7, the right one at stitch 19`: the side of each; null where the text gives none. */
function sidesOfTwo(text: string): ('left' | 'right')[] | null {
  const bySide = text.split(/\b(?=(?:left|right)\b)/i).slice(1);
  const sides = bySide
    .filter((words) => stitchNumber.test(words))
    .map((words) => (/^left/i.test(words) ? 'left' : 'right'));
  return sides.length === 2 && sides[0] !== sides[1] ? sides : null;
}

const stitchRange = String.raw`(?:sts?|stitch(?:es)?)\.?\s*#?\s*(\d{1,3})\s*(?:[-–—]|to|through|until)\s*(?:(?:sts?|stitch)\.?\s*)?#?(\d{1,3})`;
const betweenStitches = String.raw`between\s+(?:the\s+)?(?:sts?|stitch(?:es)?)\.?\s*(\d{1,3})\s+and\s+(?:(?:sts?|stitch)\.?\s*)?(\d{1,3})`;
const furtherRange = String.raw`(?<=\d\s*(?:,|and|&)\s*)(\d{1,3})\s*(?:[-–—]|to|through)\s*(\d{1,3})`;
const stitchRanges = new RegExp(
  `\\b${stitchRange}(?!\\d)|\\b${betweenStitches}(?!\\d)|${furtherRange}(?!\\d)`,
  'gi',
);

/** The stitches that a sentence says something lies over: `over stitches 5-10 and 21-26`, `between stitches 5 and 10`, each from one to the other. */
function stitchesCovered(text: string): { words: string; first: number; last: number }[] {
  const found = [...text.matchAll(stitchRanges)].map(([words, ...numbers]) => {
    const [first = 0, last = 0] = numbers.filter(Boolean).map(Number);
    return { words, first, last };
  });
  const isNamed = new RegExp(`${stitchRange}|${betweenStitches}`, 'i').test(text);
  return isNamed ? found.filter(({ first, last }) => last !== first) : [];
}

function edgeIn(tokens: readonly IToken[]): PlaceSaid['edge'] {
  const images = tokens.map(({ image }) => image.toLowerCase());
  if (images.some((image) => /^pinch/.test(image))) return 'pinched';
  if (images.some((image) => /^(?:flatten|flat\b|fold)/.test(image))) return 'flattened';
  return images.some((image) => image === 'open' || /open\s+edge/.test(image)) ? 'open' : null;
}

/** `The 4th round below the neck`: counted from the end that the head sits on. */
const roundsFromNeck =
  /\b(?:rounds?|rows?|rnds?)\s+(?:(?:down|away)\s+)?(?:below|under|beneath|from)\s+(?:the\s+)?neck/i;

const isLimb = /\b(?:arms?|legs?|feet|foot|paws?|ears?|wings?|fins?)\b/i;
const isFacial = /\b(?:eyes?|nose|mouth|face)\b/i;

/** `Just under the head`: beside it, and not on it. */
const rightBeside =
  /\b(?:directly|just|right|immediately|close)\s+(?:above|over|below|under|beneath|underneath)\b/i;

/**
 * `Under the head, between R8 and R13`: the rounds say where, and the head is what it is joined to. `On R21, just under the head`: it is
 * not. `Above the legs on round 13`: on limbs nothing is sewn, so they say where around.
 */
function besideWithRounds({ place, joined, text }: JoinSentence | PinSentence, part: NamedPart): void {
  const [only, ...more] = joined;
  const isOneGroup = only?.wall === null && more.length === 0;
  if (isLimb.test(part.name)) place.inLineWith ??= part;
  else if (isOneGroup && !rightBeside.test(text)) only.wall = part;
  delete place.ofPart;
}

/** The sentence with what it says by the names of parts, now that those are known. */
export function withPartNames<Join extends JoinSentence | PinSentence>(
  sentence: Join,
  mentions: readonly Mention[],
): Join {
  const otherwise = notLaidOn(sentence, mentions);
  if (otherwise) return otherwise;
  const {
    place,
    mentions: own,
    unread,
    elsewhere,
    stance,
    stanceWords,
  } = readJoinPlace(sentence.text, mentions);
  const joined = joinedIn(own);
  if (isOfTheOther.test(sentence.text)) partTheTwo(joined, own);
  const { ofPart } = place;
  const hasRounds = sentence.gap ?? sentence.range ?? sentence.round;
  if (ofPart?.rounds === null && hasRounds !== undefined)
    besideWithRounds({ ...sentence, place, joined }, ofPart.part);
  // `On both sides` is one thing, said once.
  if (sentence.sides !== undefined) delete place.atSides;
  const { relation, ...rest } = sentence;
  const isOwn = relation && !goesByPart(place, sentence.text);
  const said = {
    ...(isOwn ? sentence : (rest as Join)),
    joined,
    place,
    ...unusedOf([...(sentence.unused ?? []), ...unread], elsewhere || sentence.elsewhere === true),
  };
  if (stance) holdSo(said, stance, stanceWords);
  settleRounds(said, hasRounds !== undefined);
  if (andTheOther.test(sentence.text)) nameBoth(said);
  if (leftAndRight.test(sentence.text)) joinBoth(said);
  if (said.back && saysEnd.test(sentence.text)) leaveEndOut(said);
  // So many stitches from the back are not in the middle of it.
  if (place.aside?.of === 'back') delete said.back;
  return said;
}

/** What a place says beside the rounds that are named, or the end it goes by. */
function settleRounds(said: JoinSentence | PinSentence, hasRounds: boolean): void {
  const { relation, place, text } = said;
  if (relation?.to === 'top' && topEdge.test(text)) place.openTop = true;
  if (hasRounds && roundsFromNeck.test(text)) said.countFrom = 'top';
  // Rounds that are named say more than a level.
  if (hasRounds || relation) delete place.atEyes;
  const { point, ...elsewhere } = place;
  if (!point || !hasRounds) return;
  // How far out it lies they say otherwise.
  said.place = elsewhere;
  said.unused = [...(said.unused ?? []), ...writeJoinPlace({ point })];
}

/** How it stands, whose words are no place: what is tilted back is not at the back. */
function holdSo(said: JoinSentence | PinSentence, stance: StanceSaid, words: readonly string[]): void {
  said.stance = stance;
  if (isOnlyIn(words, /\bback/, said.text)) delete said.back;
}

/** Whether a word of a sentence stands only in some words of it. */
function isOnlyIn(words: readonly string[], word: RegExp, text: string): boolean {
  const times = (said: string) => [...said.toLowerCase().matchAll(new RegExp(word, 'g'))].length;
  return words.length > 0 && times(text) === words.reduce((sum, said) => sum + times(said), 0);
}

const topEdge = /\b(?:top|upper)\s+(?:open\s+)?(?:edge|rim|opening)\b/i;
const saysEnd = /\b(?:to|on|onto|at)\s+the\s+(?:very\s+)?(?:top|bottom)\b/i;

/** `At the bottom of the body at the back` is low on its back, and not its very end: how low is asked. */
function leaveEndOut(said: JoinSentence | PinSentence): void {
  const { around, ...place } = said.place;
  if (around === undefined) return;
  said.place = place;
  said.unused = [...(said.unused ?? []), `at the ${around}`];
}

const unusedOf = (unread: readonly string[], elsewhere: boolean) => ({
  ...(unread.length > 0 ? { unused: unread } : {}),
  ...(elsewhere ? { elsewhere: true as const } : {}),
});

/** What goes over, into or through another is one piece and one other; the verb says which. */
function byWay<Join extends JoinSentence | PinSentence>(
  { relation, sides, ...sentence }: Join,
  { piece, wall, ...way }: WayBetween,
): Join {
  const { id, name, count, side } = piece;
  const joined = [{ parts: [{ id, name, count, side }], wall: { id: wall.id, name: wall.name } }];
  // `From one side to the other` says which way it goes; what hangs, is knotted in or put in is placed like anything else.
  const isPlaced = way.kind === 'hung' || way.kind === 'knotted' || way.kind === 'into';
  const { place: placed, stanceWords } = readJoinPlace(sentence.text, [piece, wall]);
  const said = isPlaced ? placed : {};
  const { end } = way;
  const place = isPlaced && end && !said.around ? { ...said, around: end } : said;
  const where = isPlaced ? { relation, sides } : way.kind === 'through' ? { relation } : {};
  // What is over, in or through another has its axis: how it should stand is told to be unread.
  const unused = unusedOf([...(sentence.unused ?? []), ...stanceWords], false);
  return { ...sentence, ...defined(where), ...unused, joined, place, way } as Join;
}

/** Strung, over, into, through another; null for what is laid on and sewn. */
function notLaidOn<Join extends JoinSentence | PinSentence>(
  sentence: Join,
  mentions: readonly Mention[],
): Join | null {
  const strung = strungIn(sentence.text, mentions);
  if (strung) return onThread(sentence, strung, mentions);
  const way = wayBetween(sentence.text, mentions);
  return way && byWay(sentence, way);
}

/** Parts on one thread; what else is named is told to be unread. */
function onThread<Join extends JoinSentence | PinSentence>(
  sentence: Join,
  { parts, ...way }: StrungSaid,
  mentions: readonly Mention[],
): Join {
  const named = parts.map(({ id, name, count, side }) => ({ id, name, count, side }));
  const others = mentions.filter((one) => !parts.includes(one)).map(({ name }) => name.toLowerCase());
  const unused = unusedOf([...(sentence.unused ?? []), ...others], false);
  return { ...sentence, ...unused, joined: [{ parts: named, wall: null }], place: {}, way };
}

const defined = <Value extends object>(value: Value): Partial<Value> =>
  Object.fromEntries(Object.entries(value).filter(([, one]) => one !== undefined)) as Partial<Value>;

const andTheOther =
  /\bone\b[^.;]*(?:,|\band|;)\s*(?:the\s+)?(?:other|second)(?:\s+one)?\b[^.;]*\b(?:opposite|other\s+side|mirror\w*|left|right)\b/i;

/** `One arm on the left side and the other one opposite`: both, one on each side. */
function nameBoth(said: JoinSentence | PinSentence): void {
  const [only, ...more] = said.joined;
  const [named, ...others] = only?.parts ?? [];
  const isPair = more.length === 0 && others.length === 0 && named?.count === 1;
  if (!isPair || said.stitches) return;
  named.count = null;
  named.side = null;
  said.sides = 'both';
}

const leftAndRight =
  /\bleft\b[^.;]*\b(?:on|to|at)\s+the\s+left\b[^.;]*\bright\b[^.;]*\b(?:on|to|at)\s+the\s+right\b/i;

/** `The left arm to the left side, the right arm to the right side`: the two of a pair, one on each side. */
function joinBoth(said: JoinSentence | PinSentence): void {
  const named = said.joined.flatMap(({ parts }) => parts);
  const [left, right, ...more] = named;
  const isPair = left && right && more.length === 0 && left.id === right.id && left.side !== right.side;
  if (!isPair || said.stitches) return;
  const wall = said.joined.find((one) => one.wall)?.wall ?? null;
  said.joined = [{ parts: [{ ...left, count: null, side: null }], wall }];
  said.sides = 'both';
}

/** Whether a relation was read that is said by a part, or directly beside something: before names were known it went to the eyes. */
function goesByPart({ beside, ofPart, inLineWith, outFrom }: JoinPlace, text: string): boolean {
  const isToPart = ofPart !== undefined || inLineWith !== undefined || outFrom !== undefined;
  return beside !== undefined || (isToPart && !isFacial.test(text));
}

/** `One arm at stitch 9 and the other at stitch 27`, `the left arm at stitch 9, the right one at 27`: the second goes by the name of the first. */
export const isOfTheOther =
  /\bthe (?:other|(?:second|right|left) one|second(?= (?:to|at|on|in|goes|is)\b))\b|(?:\band|,) one(?= (?:to|at|on)\b)/i;

/** `One arm to the head and the other to the body`: each has a goal of its own. */
function partTheTwo(joined: Joined[], mentions: readonly Mention[]): void {
  const [only, ...more] = joined;
  const [first, ...others] = only?.parts ?? [];
  const goal = mentions.findLast(({ isGoal }) => isGoal);
  const isOne = first?.count === 1 && others.length === 0 && more.length === 0;
  if (!isOne || !goal || !only?.wall || goal.id === only.wall.id) return;
  joined.push({ parts: [{ ...first, side: null }], wall: { id: goal.id, name: goal.name } });
}

/** What a sentence brings together: what is named before a goal is joined to it. */
function joinedIn(mentions: readonly Mention[]): Joined[] {
  const joined: Joined[] = [];
  let parts: NamedUnits[] = [];
  // `The open edge of the head to the last round of the body`: the first is what is joined.
  const allGoals = mentions.length > 1 && mentions.every(({ isGoal }) => isGoal);
  for (const [i, { id, name, count, side, isGoal }] of mentions.entries()) {
    if (!isGoal || (allGoals && i === 0)) {
      parts.push({ id, name, count, side });
      continue;
    }
    const before = joined.at(-1);
    // `Onto the front of the head`: the same goal named on.
    if (parts.length > 0 || !before) joined.push({ parts, wall: { id, name } });
    parts = [];
  }
  const [only] = joined;
  // `On round 10 of the body, join the arms`: the goal is named before what goes there.
  if (parts.length > 0 && only && joined.length === 1 && only.parts.length === 0) only.parts = parts;
  else if (parts.length > 0) joined.push({ parts, wall: null });
  return joined;
}

function unitsWords({ name, count, side }: NamedUnits): string {
  const word = name.toLowerCase();
  const which = side ? `${side} ` : '';
  if (count === 'all') return `all the ${which}${word}`;
  // One of those that are named together.
  const alone = pluralize.singular(word);
  if (count === 1 && alone !== word) return `one ${which}${alone}`;
  // More than one were named without a number: the word says so.
  if (count === null) return `the ${which}${pluralize.plural(word)}`;
  return `the ${count === 1 ? '' : `${count} `}${which}${word}`;
}

const stitchWords = (stitches: readonly number[], sides: PlaceSaid['stitchSides']): string =>
  sides
    ? sides.map((side, i) => `the ${side} one at stitch ${stitches[i]}`).join(', ')
    : `at ${stitches.length === 1 ? 'stitch' : 'stitches'} ${stitches.join(' and ')}`;

function placeWords({
  gap,
  range,
  round,
  countFrom,
  relation,
  level,
  stitches,
  stitchSides,
  back,
  sides,
}: PlaceSaid): string[] {
  const from = countFrom ? ` from the ${countFrom}` : '';
  return [
    gap ? `between R${gap[0]} and R${gap[1]}${from}` : '',
    range ? `from R${range[0]} to R${range[1]}` : '',
    round === undefined ? '' : `at round ${round}${from}`,
    relation
      ? `${relation.rounds} rounds ${relation.direction} the ${relation.to === 'edge' ? 'live edge' : relation.to}`
      : '',
    level ? `on the same round as the ${level}` : '',
    stitches ? stitchWords(stitches, stitchSides) : '',
    back ? 'at the back' : '',
    sides === undefined
      ? ''
      : sides === 'both'
        ? 'on both sides'
        : sides === 'middle'
          ? 'in the middle'
          : `on the ${sides} side`,
  ].filter((words) => words !== '');
}

const flatEdgeWords = ({ sewnBy }: PlaceSaid): string[] => {
  if (!sewnBy) return [];
  return [sewnBy === 'outline' ? 'all round its edge' : `by its ${sewnBy}`];
};

const verbWords: Record<'sew' | 'nosew' | 'pin', string> = { sew: 'Sew', nosew: 'No-sew: join', pin: 'Pin' };

function writeWay(join: JoinSentence | PinSentence, way: WaySaid): string {
  if (way.kind === 'strung') {
    const names = join.joined.flatMap(({ parts }) => parts.map(unitsWords));
    const between = way.gapMm === undefined ? '' : `, ${way.gapMm} mm between them`;
    return `String ${names.join(' and ')} onto one thread${between}.`;
  }
  const [{ parts, wall } = { parts: [], wall: null }] = join.joined;
  const { verb, link, more } = wayWords(way);
  const what = parts.map(unitsWords).join(' and ');
  const goal = wall ? ` ${link} the ${wall.name.toLowerCase()}` : '';
  return `${[`${verb} ${what}${goal}`, ...more, ...placeWords(join), ...writeJoinPlace(join.place)].join(', ')}, and sew it.`;
}

/** The sentence that is read back to the same. */
export function writeJoin(join: JoinSentence | PinSentence): string {
  const joined = join.joined.length > 0 ? join.joined : [{ parts: [], wall: null }];
  const what = joined.map(({ parts, wall }) => {
    const names = parts.length === 0 ? 'it' : parts.map(unitsWords).join(' and ');
    return wall ? `${names} to the ${wall.name.toLowerCase()}` : names;
  });
  if (join.way) return writeWay(join, join.way);
  const edge = join.edge === null ? [] : [join.edge === 'open' ? 'by the open edge' : join.edge];
  const words = [
    `${verbWords[join.kind]} ${what.join(' and ')}`,
    ...placeWords(join),
    ...writeJoinPlace(join.place),
    ...edge,
    ...flatEdgeWords(join),
    ...writeStance(join.stance ?? {}),
    ...(join.twice ? ['twice round'] : []),
  ];
  return `${words.join(', ')}.`;
}
