import { numberWords } from '../tokens';
import { wordsWithNames, type Mention, type NamedPart } from './names';
import { readStance, type StanceSaid } from './stance';

/** Where on the wall something is joined, by what only makes sense with the names of the parts and by what only joining says. */
export interface JoinPlace {
  /** so many rounds over or under what another part covers; with no number, directly beside it */
  ofPart?: { part: NamedPart; direction: 'above' | 'below'; rounds: number | null };
  /** at the same place around as another part */
  inLineWith?: NamedPart;
  /** in the middle of the front */
  front?: true;
  /** so many stitches of the wall to the side of something */
  aside?: { stitches: number; of: 'front' | 'back' | 'eyes' };
  /** so many stitches of the wall between the two of a pair, from edge to edge */
  between?: number;
  /** at the sides, a quarter of a round from the front */
  atSides?: true;
  /** spread evenly all the way round */
  evenly?: true;
  /** at the corners of a flat piece, the upper ones first */
  corners?: true;
  /** so many rounds out from the start of the wall */
  outFrom?: { rounds: number; end: 'start' | 'end' };
  /** around the very start or end of the wall */
  around?: 'top' | 'bottom' | 'start' | 'end';
  /** the round that is said is where its upper or lower edge lies, not its middle */
  byEdge?: 'upper' | 'lower';
  /** so many rounds over or under the round that is said; with no number, directly beside it, edge to edge */
  off?: { direction: 'above' | 'below'; rounds: number | null };
  /** the top it goes by is an open edge */
  openTop?: true;
  /** its point lies at the start or end of the wall, and only the edge across from that is sewn; null where it is not said of what the middle is */
  point?: { at: 'start' | 'end' | 'top' | 'bottom' | null };
  /** on a level with the eyes */
  atEyes?: true;
  /** directly over or under something of the wall itself, edge to edge */
  beside?: {
    /** behind it is on from it, the way the piece was worked */
    direction: 'above' | 'below' | 'behind';
    of: 'eyes' | 'nose' | 'mouth' | 'neck' | 'colour change' | 'ridge';
  };
}

const number = String.raw`(\d{1,3}|${Object.keys(numberWords).join('|')}|a|an)`;
const valueOf = (said: string): number =>
  /^\d/.test(said) ? Number(said) : said === 'a' || said === 'an' ? 1 : (numberWords[said] ?? 0);
const rounds = String.raw`(?:full )?(?:rounds?|rows?|rnds?)`;
const stitches = String.raw`(?:sts?|stitch(?:es)?)`;
const names = String.raw`(?:the |his |her |its |their |both |two |where the )*@(\d+)`;
const above = 'above|over';
/** That stitches are not covered. */
const clear = '(?:free|clear|open|empty|plain|visible|showing|left|unworked|whole)';
const below = 'below|under|beneath|underneath';

/** One manner of saying a place. */
interface Manner {
  read: RegExp;
  /** `words`: all of the sentence that is not read yet */
  place: (match: RegExpExecArray, mentions: readonly Mention[], words: string) => Partial<JoinPlace> | null;
  /** which of its groups names a part that is gone by and not joined */
  goesBy?: number;
}

const pointAt: Readonly<Record<string, 'start' | 'end' | 'top' | 'bottom'>> = {
  top: 'top',
  crown: 'top',
  bottom: 'bottom',
  base: 'bottom',
  start: 'start',
  'magic ring': 'start',
  'magic circle': 'start',
  ring: 'start',
  'first round': 'start',
  end: 'end',
  'last round': 'end',
  closing: 'end',
};
/** Where the point of a piece is said to lie; `the middle` alone is of nothing that is known. */
const pointSaid = String.raw`(?:points?|tips?|pointed ends?) (?:is |are |lies? |sits? |lying |meet(?:ing)? |touch(?:ing)? |placed )?(?:at|in|on|to|towards?) (?:the |its )?(?:very )?(?:(?:middle|centre|center)(?: of (?:the |its )?(top|crown|bottom|base|start|magic (?:ring|circle)|ring|first round|end|last round|closing))?|(start|crown|magic (?:ring|circle)|ring|first round|end|last round|closing)\b)`;
const outerEdge = String.raw`(?:(?:only|just) (?:along |round |around )?(?:the|its|their) outer edges?|(?:the|its|their) outer edges? only)`;
/** Other words of a sentence between two that belong together, no full stop among them. */
const betweenThem = '[^.;]{0,60}?';

const directionOf = (word: string): 'above' | 'below' =>
  new RegExp(`^(?:${above}|up|higher)`).test(word) ? 'above' : 'below';

const partAt = (index: string | undefined, mentions: readonly Mention[]): NamedPart | null => {
  const mention = mentions[Number(index)];
  return mention ? { id: mention.id, name: mention.name } : null;
};

/** What stitches to the side are counted from; null where `the middle` may be that of the front or of the back. */
function asideOf(what: string, isMiddle: boolean, words: string): 'front' | 'back' | 'eyes' | null {
  if (what === 'back') return 'back';
  // The middle of the eyes is between them.
  if (/^eye/.test(what)) return isMiddle ? 'front' : 'eyes';
  if (/^(?:front|face)/.test(what)) return 'front';
  const [isBack, isFront] = [/\bback\b/.test(words), /\b(?:front|face)\b/.test(words)];
  if (isBack && isFront) return null;
  return isBack ? 'back' : 'front';
}

const manners: readonly Manner[] = [
  {
    // 8 rounds above the legs
    read: new RegExp(
      String.raw`\b${number} ${rounds} (?:up |down |higher |lower )?(${above}|${below}|up from|down from|higher than|lower than) ${names}`,
    ),
    goesBy: 3,
    place: ([, said = '', way = '', index], mentions) => {
      const part = partAt(index, mentions);
      return part && { ofPart: { part, direction: directionOf(way), rounds: valueOf(said) } };
    },
  },
  {
    // lower than the arms: they are gone by, and how much lower is told to be unread
    read: new RegExp(String.raw`\b(?:lower|higher|closer|further|nearer|wider|shorter|longer) than ${names}`),
    goesBy: 1,
    place: () => ({}),
  },
  {
    // straight above the legs; in line with the legs
    read: new RegExp(
      String.raw`\b(?:straight (?:${above}|${below})|in line with|lined up with|aligned with) ${names}`,
    ),
    goesBy: 1,
    place: ([, index], mentions) => {
      const part = partAt(index, mentions);
      return part && { inLineWith: part };
    },
  },
  {
    // straight above them: the part gone by before
    read: new RegExp(String.raw`\b(?:straight (?:${above}|${below})|in line with|lined up with) them\b`),
    place: () => ({ inLineWith: { id: '', name: '' } }),
  },
  {
    // directly under the head
    read: new RegExp(
      String.raw`\b(?:directly |just |right |immediately |close )?(${above}|${below}) ${names}`,
    ),
    goesBy: 2,
    place: ([, way = '', index], mentions) => {
      const part = partAt(index, mentions);
      return part && { ofPart: { part, direction: directionOf(way), rounds: null } };
    },
  },
  {
    // just below the eyes; directly under the neck
    read: new RegExp(
      String.raw`\b(?:directly |just |right |immediately |close )(${above}|${below}) (?:the |his |her |its )?(eyes?|nose|mouth|neck(?:line)?)\b`,
    ),
    place: ([, way = '', what = '']) => ({
      beside: {
        direction: directionOf(way),
        of: /^eye/.test(what) ? 'eyes' : /^neck/.test(what) ? 'neck' : (what as 'nose' | 'mouth'),
      },
    }),
  },
  {
    // right behind the colour change; just above the ridge
    read: new RegExp(
      String.raw`\b(?:(?:directly|just|right|immediately|close) (behind|after|past|${above}|${below})|(behind)) (?:the |his |her |its )?(colou?r change|change of colou?r|ridge)\b`,
    ),
    place: ([, way = '', behind = '', what = '']) => ({
      beside: {
        direction: behind || /^(?:behind|after|past)/.test(way) ? 'behind' : directionOf(way),
        of: what === 'ridge' ? 'ridge' : 'colour change',
      },
    }),
  },
  {
    // 2 rounds below round 6; just above row 9. What lies over a round covers it.
    read: new RegExp(
      String.raw`(?<!\b(?:slightly|little|bit|touch|somewhat) )\b(?:${number} ${rounds} |directly |just |right |immediately |close )?(above|${below}) (?:that (?:round|row)|(?:rounds?|rows?|rnds?|r)\.? ?#?\d+)\b`,
    ),
    place: ([, said, way = '']) => ({
      off: { direction: directionOf(way), rounds: said === undefined ? null : valueOf(said) },
    }),
  },
  {
    // so that its top edge is on round 9; their tops on round 9; with its bottom at round 9; the bottom of it sits at round 9
    read: /\b(?:(?:its|the|their) (?:(top|upper|bottom|lower) edges?|(top|bottom)s(?= (?:on|at|are|sit|lie|level|along)\b)|(top|bottom)(?= (?:is|sits|lies) ))|(?:its|their) (top|bottom)(?= (?:on|at|along|level)\b)|(?:the )?(top|bottom)s? of (?:it|them|each(?: one)?|(?:the |each )?@(\d+))(?= (?:is|are|sits?|lies?|on|at|level)\b)) ?(?:is |are |sits? |lies? |runs? )?(?:on|at|along|level with|just (?:above|below))\b/,
    place: ([, edge, plural, single, own, of, index], mentions) => {
      // `The top of the body at round 3` is the wall's: what is joined is named first.
      const isWalls = index !== undefined && mentions[Number(index)]?.id !== mentions[0]?.id;
      if (isWalls) return null;
      const said = edge ?? plural ?? single ?? own ?? of ?? '';
      return { byEdge: /^(?:top|upper)$/.test(said) ? 'upper' : 'lower' };
    },
  },
  {
    // with its point at the middle of the crown, only its outer edge sewn
    read: new RegExp(
      String.raw`\b${pointSaid},?${betweenThem}${outerEdge}|\b${outerEdge},?${betweenThem}${pointSaid}`,
    ),
    place: ([, middle, plain, otherMiddle, otherPlain]) => ({
      point: { at: pointAt[middle ?? plain ?? otherMiddle ?? otherPlain ?? ''] ?? null },
    }),
  },
  {
    // in line with the eyes; between the eyes
    read: /\b(?:(?:in line|lined up|aligned|level|on a level|even|same (?:height|level|round|row) as) ?(?:with |as )?(?:the )?eyes|at (?:the )?(?:eye level|(?:height|level) of the eyes)|(?:at|on) (?:the )?same (?:height|level|round|row) as the eyes)\b/,
    place: () => ({ atEyes: true }),
  },
  {
    read: /\b(?:centred |centered |in the (?:middle|centre|center) )?between the eyes\b/,
    place: () => ({ atEyes: true, front: true }),
  },
  {
    // 4 stitches from the front; 3 stitches to each side of the middle of the back; 2 stitches outside the eyes
    read: new RegExp(
      String.raw`\b${number} ${stitches} (?:away |out )?(?:from|off|beside|outside(?: of)?|(?:to|on) (?:either|each|both) sides? of|either side of|each side of|(?:to (?:the )?)?left and (?:to (?:the )?)?right of) (?:the |each |each of the )?(?:(?:exact |very )?(?:(centre|center|middle)(?: line)?(?: of the| of its|,)?) )?(front(?: line)?|back|face|eyes?|(?:middle|centre|center)(?! of (?:the |its )?(?:top|bottom|crown|ring|round|@)))\b`,
    ),
    place: ([, said = '', middle, what = ''], _mentions, words) => {
      const of = asideOf(what, middle !== undefined, words);
      return of && { aside: { stitches: valueOf(said), of } };
    },
  },
  {
    // with 8 stitches between them; 6 stitches apart; 3 free stitches in between; 3 stitches showing
    read: new RegExp(
      String.raw`\b${number} (?:${clear} )*${stitches},? (?:${clear},? )*(?:apart|(?:in )?between(?: (?:them|the two|each(?: other)?|both|@\d+|the @\d+))?|showing|visible)(?!\w)`,
    ),
    place: ([, said = '']) => ({ between: valueOf(said) }),
  },
  {
    // spaced 4 stitches
    read: new RegExp(
      String.raw`\b(?:spaced|set) (?:about )?${number} (?:${clear} )*${stitches}(?! (?:from|to|in|on|up|down|out))(?!\w)`,
    ),
    place: ([, said = '']) => ({ between: valueOf(said) }),
  },
  {
    // with a gap of 3 stitches; a 3-stitch gap
    read: new RegExp(
      String.raw`\b(?:(?:gap|space|spacing|distance) of ${number} (?:${clear} )*${stitches}|${number}[ -]${stitches} (?:gap|space))(?!\w)`,
    ),
    place: ([, of, before]) => ({ between: valueOf(of ?? before ?? '') }),
  },
  {
    read: /\b(?:to|on|onto|at|along) (?:the |both |its |each |either |opposite )?sides?\b/,
    place: () => ({ atSides: true }),
  },
  {
    // 2 rounds above the start, 3 rounds below the last round: whichever way that is, there is only one
    read: new RegExp(
      String.raw`\b${number} ${rounds} (?:above|${below}|after|past|before) (?:the )?(?:very )?(start|magic (?:ring|circle)|(?:last|final) (?:round|row|rnd))\b`,
    ),
    place: ([, said = '', end = '']) => {
      const isLast = /^(?:last|final)/.test(end);
      return { outFrom: { rounds: valueOf(said) + (isLast ? 1 : 0), end: isLast ? 'end' : 'start' } };
    },
  },
  {
    // two rounds out from the start; 3 rounds down from the top
    read: new RegExp(
      String.raw`\b${number} ${rounds} (?:out |down |away |up |in )?from (?:the )?(?:very )?(start|crown|magic (?:ring|circle)|ring|end|live edge|last round|closing)\b`,
    ),
    place: ([, said = '', end = '']) => ({
      outFrom: { rounds: valueOf(said), end: /^(?:end|live|last|closing)/.test(end) ? 'end' : 'start' },
    }),
  },
  {
    // at the two upper corners; one in each corner
    read: /\b(?:at|on|to|onto|in|into) (?:the |its |both |all |each |two |four |top |upper |of )*corners?\b/,
    place: () => ({ corners: true }),
  },
  {
    // Evenly over the front alone is not all the way round.
    read: /\b(?:evenly|equally|spaced out|all (?:the way )?(?:a)?round)\b(?! (?:on|along|across|over|at|in) (?:the )?(?:front|back)\b)/,
    place: () => ({ evenly: true }),
  },
  {
    read: /\b(?:(?:centre|center|middle of the) front|(?:in |on |at )?(?:the )?front (?:centre|center|middle)|(?:to|on|onto|in|at) the front|centred|centered|in the (?:middle|centre|center))\b/,
    place: () => ({ front: true }),
  },
  {
    // onto the top of the body
    read: /\b(?:to|on|onto|at|around|round|over) (?:the )?(?:very )?(top|bottom|start|end)(?: of\b(?! (?:the |its |his |her )?(?:back|front|sides?)\b)|,|$|\.)/,
    place: ([, end]) => ({ around: end as JoinPlace['around'] }),
  },
];

/** `close together`, `near the front`, `half way between …`: something of the place that is no number, and that no manner read. */
const vague = new RegExp(
  [
    String.raw`\b(?:close|closer|near|far|further|wide|wider) (?:together|apart)\b`,
    String.raw`\b(?:near|next to|close to|closer to|towards?|opposite|behind) (?:the |his |her |its )?(?!(?:the|his|her|its|each|other)\b|@)(?:centre |center )?[a-z@\d]+`,
    String.raw`\b${number} ${rounds} (?:up |down |higher |lower )?(?:above|${below}|from|over|than) (?:the |his |her |its )?(?!(?:the|his|her|its|neck|top|bottom|base|edge|start|end|middle|eyes?|nose|mouth|colou?r|change|last|first|that|opening|closing|crown|magic|ring|rounds?|rows?)\b)[a-z]+`,
    String.raw`\bhalf ?way (?:between|up|down|along|round|around)(?: [a-z@\d]+){0,5}`,
    String.raw`\b(?:a (?:little|bit|touch)|slightly|somewhat) (?:forward|backwards?|back|to(?:wards)? the (?:front|back|sides?))(?: of the [a-z]+)?`,
    String.raw`\ba (?:quarter|third|fifth|sixth) (?:of the way )?(?:round|around)\b`,
    String.raw`\b(?:both|all|two) (?:of them )?(?:on|to|at) the (?:left|right)(?: side)?\b`,
    String.raw`\b(?:to the )?(?:left|right) of the (?:centre|center|middle|front|back|eyes?)(?: (?:back|front))?`,
    String.raw`\b(?:at (?:a slant|an angle)|angled|slanting|slanted|tilted|diagonally|upside down)(?: (?:forwards?|backwards?|outwards?|inwards?|up|down))?`,
    String.raw`\b(?:in line|level|lined up|aligned) with (?:the |his |her |its )?(?!(?:the|his|her|its|rounds?|rows?|rnds?|r ?\d+)\b)[a-z@\d]+`,
    String.raw`\bat an? \d+[ -]?(?:degrees?|°)(?: angle)?|\bso (?:that )?(?:they|it|both)(?: all| both)? (?:points?|faces?|looks?|bends?|leans?|droops?|hangs?) [a-z]+(?: [a-z]+)?`,
    String.raw`\b(?:droop\w*|sagg?(?:s|ing)|pointing|leaning|rotated)(?: (?:slightly|forwards?|backwards?|outwards?|inwards?|up|down))*`,
    String.raw`\b(?:lower|upper) (?:part of (?:the |its )?)?(?:back|front|sides?)\b|\b(?:low|high)(?: down| up)? (?:on|at) (?:the |its )?(?:back|front|sides?)\b`,
    String.raw`\b(?:bottom|top|base) of (?:the |its |his |her )?(?:back|front|sides?)\b`,
    String.raw`\bin an? (?:curve|arc|circle|line|row|triangle)\b`,
    String.raw`\b(?:it|they|which|that|each|both) (?:all )?(?:starts?|begins?|ends?|stops?|finish(?:es)?) (?:at|on|in|with|just) (?:the )?(?:rounds?|rows?|rnds?|r)\.? ?\d+`,
    String.raw`\b(?:only )?(?:the|its|their) outer edges?(?: only)?\b|\b(?:as|like|into) an? (?:[a-z]+ )?triangles?\b|\bpoints? (?:at|to|towards?|in) the (?:middle|centre|center|top|front|back)\b`,
    String.raw`\bover the (?:seam|join|colou?r change)\b|\bwhere the (?:rounds?|colou?rs?) (?:changes?|begins?|starts?|ends?|joins?)\b`,
  ].join('|'),
  'g',
);

/** `Once the legs are attached, …`, `After sewing the head, …`: when it is done, and to what was joined before. */
const opening = /^\W*(?:once|after|when|before|as soon as|now that|while)\b[^,;.:]*,/;

/** `Between the legs`, `above the arms`, `opposite the tail`, where no manner read it: what is named so is gone by and not joined. */
const besideParts = new RegExp(
  String.raw`\b(?:${above}|${below}|between|behind|opposite|near|next to|close to|closer to|beside|towards?|in front of) (?:the |his |her |its |their |both |two |left |right )*@(\d+)`,
  'g',
);

const saysAround = /\b(?:back|front|sides?|between|behind|opposite|near|next|close|towards?|beside)\b/i;

/** What a sentence says of the place, and the mentions that are only gone by. */
export interface PlacedMentions {
  place: JoinPlace;
  mentions: Mention[];
  /** what says something of the place and was read by no manner, in the words of the sentence */
  unread: string[];
  /** among that are words that say where around: no edge is meant */
  elsewhere: boolean;
  /** how what is joined stands there */
  stance: StanceSaid | null;
  /** the words that say so */
  stanceWords: string[];
}

/** `3 stitches lower on the left`, `4 cm apart`: a number that would be lost. Ordinals and `stitch 8` are read as stitches. */
const measured = new RegExp(
  String.raw`\b(?:left|right)(?: (?:one|@\d+|side))? (?:at|on|in) \d{1,3}(?![\w.])|(?<![\w·-])${number} (?:${clear} )*(?:${stitches}|(?:mm|cm)(?= (?:apart|between|from|above|below)))(?! each|-| (?:by|for|to) stitch)(?!\w)(?: (?!and\b)[a-z]+[,.;]?){0,3}|\b\d{1,2} and \d{1,2} o.?clock|\b(?:slightly|a (?:little|bit|touch)|somewhat) (?:above|${below}|higher|lower)(?: [a-z]+){0,2}(?: \d+)?|\b(?:starting|beginning) (?:at|on|in|from|with) (?:the )?(?:rounds?|rows?|rnds?|r)\.? ?\d+`,
  'g',
);

/** `In the front loops only`: which loops, and no place. */
const loopsOf =
  /\b(?:(?:in|into|on|onto|to|through|of|under) )?(?:the |its |their )?(?:front|back|both)[ -]loops?(?: only)?\b/g;

/** Words with the names of the parts they stand for. */
const inWords = (words: string, mentions: readonly Mention[]): string =>
  words.replace(/@(\d+)/g, (mark, index: string) => mentions[Number(index)]?.name.toLowerCase() ?? mark);

/**
 * Reads where something is joined, once the names of all parts are known.
 *
 * @param sentence the sentence as written
 * @param mentions the parts it names, in order
 */
export function readJoinPlace(sentence: string, mentions: readonly Mention[]): PlacedMentions {
  const words = wordsWithNames(sentence, mentions);
  let place: JoinPlace = {};
  const goneBy = new Set<number>();
  // Its words are no place: what is tilted back is not at the back.
  const { stance, said: stanceWords, rest: placed } = readStance(words);
  let rest = placed.replace(loopsOf, '·');
  for (const { read, place: placeOf, goesBy } of manners) {
    const match = read.exec(rest);
    const found = match && placeOf(match, mentions, rest);
    if (!match || !found) continue;
    place = { ...found, ...place };
    if (goesBy !== undefined) goneBy.add(Number(match[goesBy]));
    // What is read is not read again by a manner that says less.
    rest = `${rest.slice(0, match.index)}·${rest.slice(match.index + match[0].length)}`;
  }
  const { inLineWith, ofPart } = place;
  if (inLineWith?.id === '') {
    if (ofPart) place.inLineWith = ofPart.part;
    else delete place.inLineWith;
  }
  const [before = ''] = opening.exec(words) ?? [];
  // `When sewing the arms, place them on round 9` is about them all the same.
  const namesMore = words.slice(before.length).includes('@');
  for (const [, index] of namesMore ? before.matchAll(/@(\d+)/g) : []) goneBy.add(Number(index));
  const beside = [...rest.matchAll(besideParts)].filter(([, index]) => !goneBy.has(Number(index)));
  for (const [, index] of beside) goneBy.add(Number(index));
  const unread = [...rest.matchAll(measured), ...rest.matchAll(vague), ...beside].map(([words]) =>
    inWords(words.replace(/[,.;]$/, ''), mentions),
  );
  const elsewhere = unread.some((words) => saysAround.test(words));
  return {
    place,
    mentions: mentions.filter((_, i) => !goneBy.has(i)),
    unread,
    elsewhere,
    stance,
    stanceWords,
  };
}

/** The same in words that are read back to it. */
export function writeJoinPlace(said: JoinPlace): string[] {
  const {
    ofPart,
    inLineWith,
    front,
    aside,
    between,
    atSides,
    evenly,
    corners,
    outFrom,
    around,
    atEyes,
    beside,
    byEdge,
    off,
    point,
  } = said;
  const name = (part: NamedPart) => `the ${part.name.toLowerCase()}`;
  return [
    ofPart
      ? `${ofPart.rounds === null ? 'directly' : `${ofPart.rounds} rounds`} ${ofPart.direction} ${name(ofPart.part)}`
      : '',
    inLineWith ? `in line with ${name(inLineWith)}` : '',
    aside ? `${aside.stitches} stitches from the ${aside.of}` : '',
    between === undefined ? '' : `${between} stitches between them`,
    atSides ? 'at the sides' : '',
    outFrom ? `${outFrom.rounds} rounds out from the ${outFrom.end}` : '',
    evenly ? 'evenly' : '',
    corners ? 'at the corners' : '',
    point ? `its point at the middle${point.at ? ` of the ${point.at}` : ''}, only its outer edge sewn` : '',
    front ? 'in the front centre' : '',
    around ? `around the ${around}` : '',
    byEdge ? `its ${byEdge} edge on that round` : '',
    off ? `${off.rounds === null ? 'directly' : `${off.rounds} rounds`} ${off.direction} that round` : '',
    atEyes ? 'in line with the eyes' : '',
    beside ? `directly ${beside.direction} the ${beside.of}` : '',
  ].filter((words) => words !== '');
}
