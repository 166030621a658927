import type { JoinSentence } from './join';
import { numberWords } from '../tokens';
import type { NamedPart } from './names';
import type { Said } from './said';

/** What a line on the piece follows: the middle of its front or back, or the middle of a side, as one looks at the toy. */
export type Along = 'front' | 'back' | 'left' | 'right';

/** An end of the toy, or the start of the work, whichever end that is. */
export type Over = 'top' | 'bottom' | 'start';

/** `Work a crest along the back from R4 to R14`, `Surface crochet spines along both sides from R3 to R9` */
export interface SurfaceSentence extends Said {
  kind: 'surface';
  /** what is worked there, as she calls it */
  thing: string;
  /** one line for each; empty where it does not say */
  along: Along[];
  /** the rounds it runs between, as they stand in the sentence; null where it does not say */
  rounds: [number, number] | null;
  /** what it goes over, from the first of its rounds in the first place to the other in the second; null where it stays in one place */
  over: Over | null;
  /** all round one round, at every so-manieth stitch: `Knot a fringe into every second stitch of round 24`; null where it runs along a line */
  around: { round: number; every: number } | null;
  /** length of each strand that is cut, in mm; null where it does not say */
  strandMm: number | null;
  /** the part that is named; null for the one it stands with */
  part: NamedPart | null;
  /** the same as a join, for a crest that is a part of its own: `Sew the crest along the back from R4 to R14` */
  asJoin?: JoinSentence;
}

/** What grows or lies along a line; only where none is named, the way it is worked. */
const things = new RegExp(
  String.raw`\b(crest|mane|spines|(?<=\ba\s)spine|spikes?|fins?|comb|mohawk|plates|frill|fringe|hair|fur|loops|stripe|(?:rows?|lines?)\s+of\s+(?:[a-z]+\s+){0,2}?(?:stitch(?:es)?|sts?|sc|chains?|loops|spikes|spines|shells|bobbles|plates|fins))(?![a-z])`,
  'i',
);
const ways = /\bsurface\s+(?:slip\s+stitch(?:es)?|sl\s*sts?|crochet|sc|stitch(?:es)?|chains?)(?![a-z])/i;
const along = String.raw`\b(?:along|down|up|over|on|across|following)\s+(?:the\s+)?`;
const middle = String.raw`(?:(?:middle|cent(?:re|er)|mid[\s-]?line|line)\s+(?:line\s+)?(?:of\s+)?(?:the\s+)?)?`;
const places: readonly (readonly [RegExp, readonly Along[]])[] = [
  [new RegExp(`${along}(?:both|each|either|two)\\s+sides?\\b`, 'i'), ['left', 'right']],
  [new RegExp(`${along}left(?:\\s+side)?\\b`, 'i'), ['left']],
  [new RegExp(`${along}right(?:\\s+side)?\\b`, 'i'), ['right']],
  [
    new RegExp(`${along}${middle}(?:back|spine)\\b|${along}(?:cent(?:re|er)|mid(?:dle)?)\\s+back\\b`, 'i'),
    ['back'],
  ],
  [
    new RegExp(
      `${along}${middle}(?:front|belly|tummy|chest|face)\\b|${along}(?:cent(?:re|er)|mid(?:dle)?)\\s+front\\b`,
      'i',
    ),
    ['front'],
  ],
];
const roundWord = String.raw`(?:rounds?|rnds?|rows?|r)\.?\s*#?\s*`;
const between = new RegExp(
  String.raw`\b(?:from|between|over)\s+(?:the\s+)?${roundWord}(\d{1,3})(?:\s+(?:at|on)\s+the\s+(front|back))?(?:\s*,?\s*(?:over|past)\s+the\s+(top|crown|head|start|bottom)\s*,?)?\s*(?:to|and|until|through|down\s+to|up\s+to|[-–—])\s*(?:the\s+)?(?:${roundWord})?(\d{1,3})(?:\s+(?:at|on)\s+the\s+(front|back))?`,
  'i',
);
const ordinals: Readonly<Record<string, number>> = { other: 2, second: 2, third: 3, fourth: 4, fifth: 5 };
const strands =
  /\b(fringe|(?:yarn\s+)?strands?|tassels?|hair|mane|fur|(?<!\b(?:front|back|both|free|remaining|unworked|top|chain)[\s-])loops)(?![a-z])/i;
const knots = /\b(?:knot|tie|loop|hook|attach|add|make|work)\w*\b/i;
/** A strand that is drawn through stitches to gather them is none that hangs from them. */
const draws = /\b(?:gather|close|pull\s+(?:it\s+)?tight|draw\s+(?:it\s+)?(?:up|tight)|weave)\w*\b/i;
const everyStitch = new RegExp(
  String.raw`\b(?:each|every)\s+(?:(other|second|third|fourth|fifth|\d{1,2}(?:nd|rd|th)|${Object.keys(numberWords).join('|')})\s+)?(?:st|stitch|sc)(?:es)?\b`,
  'i',
);
const allRound = new RegExp(
  String.raw`\b(?:all\s+(?:the\s+way\s+)?)?a?round\s+(?:the\s+(?:edge|rim)\s+(?:of\s+)?)?(?=${roundWord}\d)`,
  'i',
);
const oneRound = new RegExp(String.raw`\b${roundWord}(\d{1,3})\b`, 'i');
const length = /\b(\d{1,3}(?:[.,]\d)?)\s*-?(cm|mm|in|inch(?:es)?)\b/i;
const perUnit: Readonly<Record<string, number>> = { cm: 10, mm: 1, in: 25.4, inch: 25.4, inches: 25.4 };

/** Strands that are knotted in all round one round: which, and how close; null where a sentence says nothing of the kind. */
function aroundIn(text: string): SurfaceSentence['around'] {
  const said = everyStitch.exec(text);
  const round = oneRound.exec(text)?.[1];
  const isAround =
    !draws.test(text) && strands.test(text) && knots.test(text) && (said !== null || allRound.test(text));
  if (!isAround || round === undefined) return null;
  const word = said?.[1]?.toLowerCase();
  const every = word === undefined ? 1 : (ordinals[word] ?? numberWords[word] ?? Number.parseInt(word, 10));
  return { round: Number(round), every: Math.max(1, every) };
}

function lengthIn(text: string): number | null {
  const [, said, unit = ''] = length.exec(text) ?? [];
  return said === undefined ? null : Number(said.replace(',', '.')) * (perUnit[unit.toLowerCase()] ?? 1);
}

const verb = /\b(?:work|crochet|surface|stitch|make|add|embroider|attach|knot|sew|join|hook)\w*\b/i;
const isLine =
  /\b(?:along|down|up|over|following)\s+(?:the\s+)?(?:both|each|left|right|mid|cent|back|front|spine|belly|tummy|chest|line|sides?)/i;

/** What a sentence works along a line of the piece, or all round one of its rounds, in its words; null where it does nothing of that kind. */
export function surfaceIn(text: string): string | null {
  if (aroundIn(text)) return strands.exec(text)?.[1]?.toLowerCase().replace(/\s+/g, ' ') ?? null;
  const said = verb.exec(text);
  const named = things.exec(text)?.[1] ?? ways.exec(text)?.[0];
  if (!said || !named) return null;
  const goesOver = between.exec(text)?.[3] !== undefined;
  return isLine.test(text) || goesOver ? named.toLowerCase().replace(/\s+/g, ' ') : null;
}

const overOf = (said: string): Over => {
  const word = said.toLowerCase();
  return word === 'start' || word === 'bottom' ? word : 'top';
};

/** Reads a sentence about what is worked along a line. */
export function readSurface(said: Said, named: string): SurfaceSentence {
  const around = aroundIn(said.text);
  if (around)
    return {
      ...said,
      kind: 'surface',
      thing: named,
      along: [],
      rounds: null,
      over: null,
      around,
      strandMm: lengthIn(said.text),
      part: null,
    };
  const [, from, fromSide, passes, to, toSide] = between.exec(said.text) ?? [];
  const changesSide = fromSide !== undefined && toSide !== undefined && fromSide !== toSide;
  const over = passes !== undefined && changesSide ? overOf(passes) : null;
  const sides = [fromSide, toSide].map((side) => side?.toLowerCase()) as Along[];
  const follows = over ? sides : (places.find(([place]) => place.test(said.text))?.[1] ?? []);
  return {
    ...said,
    kind: 'surface',
    thing: named,
    along: [...follows],
    rounds: from === undefined || to === undefined ? null : [Number(from), Number(to)],
    over,
    around: null,
    strandMm: null,
    part: null,
  };
}

const nth = (every: number): string => (every === 2 ? 'second' : every === 3 ? '3rd' : `${every}th`);

/** The sentence that is read back to the same. */
export function writeSurface({
  thing: named,
  along: follows,
  rounds,
  over,
  around,
  strandMm,
  part,
}: SurfaceSentence): string {
  if (around) {
    const stitch = around.every === 1 ? 'each stitch' : `every ${nth(around.every)} stitch`;
    const long = strandMm === null ? '' : `${strandMm} mm `;
    return `Knot ${long}${named} into ${stitch} of R${around.round}${part ? ` of the ${part.name.toLowerCase()}` : ''}.`;
  }
  const of = part ? ` of the ${part.name.toLowerCase()}` : '';
  const [first = 'back', second = 'front'] = follows;
  if (over && rounds)
    return `Work ${named}${part ? ` on the ${part.name.toLowerCase()}` : ''} from R${rounds[0]} at the ${first}, over the ${over}, to R${rounds[1]} at the ${second}.`;
  const line =
    follows.length === 2
      ? 'both sides'
      : first === 'left' || first === 'right'
        ? `the ${first} side`
        : `the ${first}`;
  const range = rounds ? ` from R${rounds[0]} to R${rounds[1]}` : '';
  return `Work ${named} along ${line}${of}${range}.`;
}
