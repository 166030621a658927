import { numberWords } from '../tokens';
import { wordsWithNames, type Mention } from './names';

/** How something comes to another where it is not laid on it from outside by its edge. */
export interface WaySaid {
  /** its edge around the end of the other; its end inside the other; from side to side through it; by a thread; knotted in; on one thread with others */
  kind: 'over' | 'into' | 'through' | 'hung' | 'knotted' | 'strung';
  /** how many rounds of one lie inside the other */
  deep?: number;
  /** the part whose round is named, by its id */
  roundOf?: string;
  /** which way it passes through */
  passes?: 'across' | 'front to back';
  /** the end of the other that it goes over or into */
  end?: 'top' | 'bottom' | 'start' | 'end';
  /** length of the thread it hangs by, in mm */
  threadMm?: number;
  /** thread between two that are strung, in mm */
  gapMm?: number;
}

/** A way, with which of the parts that are named goes to which. */
export interface WayBetween extends WaySaid {
  piece: Mention;
  wall: Mention;
}

interface Manner {
  kind: WaySaid['kind'];
  /** with the indexes of the parts in groups `piece` and `wall` */
  read: RegExp;
}

const piece = String.raw`(?:the |an? |one |each |its |both |your )*(?:(?:end|edge|half|open end|closed end|top|bottom) of (?:the |an? |one |each )*)?@(?<piece>\d+),?`;
const wall = String.raw`(?:the |an? |its )?(?:(?:(?<end>top|bottom|start|end)|open end|closed end|opening|hole|hollow|[a-z]+) of (?:the |its )?)?@(?<wall>\d+)`;
const far = String.raw`(?:[^.;@]*? )??`;
const numbers = Object.keys(numberWords).join('|');
const aside = String.raw`(?:(?:(?:\d{1,2}|a|${numbers}) (?:rounds?|rows?|rnds?) (?:deep|down|in)|all the way|right|straight|halfway|snugly|down|up|carefully|part way|partway|well|a little) )*`;

/** In the order they are tried. */
const manners: readonly Manner[] = [
  {
    // pull the tail through the body from side to side
    kind: 'through',
    read: new RegExp(
      String.raw`\b(?:pull|thread|pass|run|draw|feed|push|insert|put|poke|slide|take|bring)\w* ${piece} ${aside}through (?!both|the (?:front|back) loop)${wall}`,
    ),
  },
  {
    // hang the star from the hat by a 5 cm chain
    kind: 'hung',
    read: new RegExp(String.raw`\bhang\w* ${piece} (?:down |loosely )?${far}(?:from|off) ${wall}`),
  },
  {
    // knot the strands into round 12 of the body
    kind: 'knotted',
    read: new RegExp(
      String.raw`\b(?:knot|tie|loop|hook)\w* ${piece} ${far}(?:into|in|onto|to|through|around|along) (?:[^.;@]*? (?:of|on) )?${wall}`,
    ),
  },
  {
    // slide the cap over the stem
    kind: 'over',
    read: new RegExp(
      String.raw`\b(?:pull|slide|slip|fit|stretch|draw|push|put|place|set) ${piece} ${aside}(?:over|onto the (?:top|end) of|on top of and over) ${wall}`,
    ),
  },
  {
    // push the stem into the cap
    kind: 'into',
    read: new RegExp(
      String.raw`\b(?:push|insert|tuck|slide|slip|fit|stick|poke|stuff|press) ${piece} ${aside}(?:into|inside(?: of)?|in) ${wall}`,
    ),
  },
];

// What goes over something else with these verbs is only a cap where its name says so.
const laidVerb = /\b(?:put|place|set)\b/;
const caps =
  /\b(?:cap|hat|hood|helmet|bonnet|cup|lid|beanie|sock|boot|shoe|glove|mitten|dress|skirt|sleeve|jumper|sweater)s?\b/i;

const valueOf = (said: string): number => numberWords[said] ?? Number(said);
const depth = new RegExp(
  String.raw`\b(\d{1,2}|a|one|${numbers}) (?:full )?(?:rounds?|rows?|rnds?) (?:deep|inside|in\b|down|of (?:overlap|it inside|it)|overlap)`,
);
const roundOfPart = /\b(?:rounds?|rows?|rnds?|r) ?\d{1,3} of (?:the |its )?@(\d+)/;
const thread = /\b(\d{1,3}(?:[.,]\d)?) ?-?(cm|mm|in|inch(?:es)?)\b/;
const perUnit: Readonly<Record<string, number>> = { cm: 10, mm: 1, in: 25.4, inch: 25.4, inches: 25.4 };

function lengthIn(words: string): number | undefined {
  const [, said = '', unit = ''] = thread.exec(words) ?? [];
  return said === '' ? undefined : Number(said.replace(',', '.')) * (perUnit[unit] ?? 1);
}

/** What is said of a way beside its kind, by what makes sense for it. */
function measured(kind: WaySaid['kind'], words: string, end: string | undefined): WaySaid {
  const way: WaySaid = { kind };
  if (end) way.end = end as NonNullable<WaySaid['end']>;
  if (kind === 'through')
    way.passes = /front to (?:the )?back|back to (?:the )?front/.test(words) ? 'front to back' : 'across';
  const deep = depth.exec(words)?.[1];
  if (deep && (kind === 'over' || kind === 'into')) way.deep = deep === 'a' ? 1 : valueOf(deep);
  const threadMm = kind === 'hung' ? lengthIn(words) : undefined;
  if (threadMm !== undefined) way.threadMm = threadMm;
  return way;
}

/**
 * The way a sentence brings one part to another, where it is not sewn on from outside.
 *
 * @param mentions the parts it names, in order
 * @returns null where it says nothing of the kind
 */
export function wayBetween(sentence: string, mentions: readonly Mention[]): WayBetween | null {
  if (mentions.length < 2) return null;
  const words = wordsWithNames(sentence, mentions);
  for (const { kind, read } of manners) {
    const found = read.exec(words);
    const groups = found?.groups ?? {};
    const [from, onto] = [mentions[Number(groups.piece)], mentions[Number(groups.wall)]];
    if (!found || !from || !onto || from === onto) continue;
    const owner = mentions[Number(roundOfPart.exec(words)?.[1])]?.id;
    const way = measured(kind, words, groups.end);
    if (owner !== undefined) way.roundOf = owner;
    const isLaid = kind === 'over' && laidVerb.test(found[0]) && !caps.test(from.name);
    if (!isLaid) return { ...way, piece: from, wall: onto };
  }
  return null;
}

const strungList = String.raw`((?:(?:the|all|both|an?|one|your|and|then|two|three|four|five|six|\d+|@\d+),? )+)`;
const strungOn = String.raw`(?:together\b|(?:on|onto|along|over|with|by) (?:an?|one|the|your|some)? ?(?:[a-z]+ ){0,2}?(?:cord|string|thread|strand|yarn|elastic|ribbon|lace|length)\b)`;
const strung = new RegExp(String.raw`\b(?:string|thread|slide|put)\w* ${strungList}${strungOn}`);
const apart =
  /\b(\d{1,3}(?:[.,]\d)?) ?-?(cm|mm|in|inch(?:es)?) (?:of (?:cord|thread|string|yarn) )?(?:apart|between)/;

/** Parts that one thread goes through, one after the other. */
export interface StrungSaid extends WaySaid {
  kind: 'strung';
  parts: Mention[];
}

/**
 * The parts that a sentence strings onto one thread, in their order.
 *
 * @param mentions the parts it names, in order
 * @returns null where it says nothing of the kind
 */
export function strungIn(sentence: string, mentions: readonly Mention[]): StrungSaid | null {
  const words = wordsWithNames(sentence, mentions);
  const [, list = ''] = strung.exec(words) ?? [];
  const parts = [...list.matchAll(/@(\d+)/g)].flatMap(([, index]) => mentions[Number(index)] ?? []);
  if (parts.length === 0) return null;
  const [, said, unit = ''] = apart.exec(words) ?? [];
  const gap = said === undefined ? {} : { gapMm: Number(said.replace(',', '.')) * (perUnit[unit] ?? 1) };
  return { kind: 'strung', parts, ...gap };
}

const verbWords: Readonly<Record<WaySaid['kind'], readonly [verb: string, link: string]>> = {
  over: ['Slide', 'over'],
  into: ['Push', 'into'],
  through: ['Pull', 'through'],
  hung: ['Hang', 'from'],
  knotted: ['Knot', 'into'],
  strung: ['String', 'onto'],
};

/** What comes before the names, between them and behind them, in words that are read back to the same. */
export function wayWords({ kind, deep, passes, end, threadMm }: WaySaid): {
  verb: string;
  link: string;
  more: string[];
} {
  const [verb, link] = verbWords[kind];
  const through = passes === 'front to back' ? 'from front to back' : 'from side to side';
  return {
    verb,
    link: end ? `${link} the ${end} of` : link,
    more: [
      ...(deep === undefined ? [] : [`${deep} rounds deep`]),
      ...(kind === 'through' ? [through] : []),
      ...(threadMm === undefined ? [] : [`by a thread of ${threadMm} mm`]),
    ],
  };
}
