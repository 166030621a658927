import { emptyWords } from './emptyWords';
import { createToken, Lexer, type IToken, type TokenType } from 'chevrotain';
import { is } from '../tokenGroups';
import { bounded } from '../limits';
import { ordinalWords } from '../tokens';
import type { FeatureKind } from './said';

/** Every word and sign: one category, so that the grammar can pass over any of them without naming each. */
export const Any = createToken({ name: 'Any', pattern: Lexer.NA });
export const Word = createToken({
  name: 'Word',
  pattern:
    /[A-Za-z\u00c0-\u00d6\u00d8-\u00f6\u00f8-\u024f][A-Za-z\u00c0-\u00d6\u00d8-\u00f6\u00f8-\u024f'’]*/,
  categories: [Any],
});
const kw = (name: string, source: string) =>
  createToken({
    name,
    pattern: new RegExp(`(?:${source})(?![A-Za-z'’])`, 'i'),
    longer_alt: Word,
    categories: [Any],
  });

/** The words assembly sentences are read by. */
export const S = {
  NotStuff: kw('NotStuff', emptyWords.join('|')),
  Stuff: kw('Stuff', 'stuff(?:ing)?|fibre\\s*fill|fiber\\s*fill|fill(?:ing)?|top\\s+up'),
  Lightly: kw('Lightly', 'lightly|light|loosely|softly|sparingly'),
  Firmly: kw('Firmly', 'firmly|firm|hard|tightly|well'),
  Medium: kw('Medium', 'medium|moderately'),
  StaysOpen: kw(
    'StaysOpen',
    "(?:do\\s+not|don['’]?t|never)\\s+(?:close|gather|cinch|sew\\s+(?:the\\s+)?(?:hole|opening))(?![^.;]*\\b(?:yet|until|before|completely|all\\s+the\\s+way)\\b)(?:\\s+(?:up|off|shut|closed|(?:the|this)\\s+(?:hole|opening|piece|gap|end|bottom|top)|it))*|leave\\s+(?:(?:the|this|its)\\s+)?(?:[a-z]+\\s+)?(?:open|unclosed)(?!\\s*(?!(?:for|to)\\s+(?:be\\s+)?(?:sew|sewn|attach|join|assembl))[A-Za-z])",
  ),
  Close: kw(
    'Close',
    'close\\s+up|close\\s+(?:up\\s+)?(?:the\\s+)?(?:hole|opening|piece|gap|ring|end|off|it|remaining\\s+\\w+)?|close(?!\\s*[A-Za-z0-9-])|gather|cinch|weave\\s+(?:the\\s+)?(?:tail|yarn)?\\s*(?:through|in)|pull\\s+(?:tight|closed|shut)|sew\\s+(?:the\\s+)?(?:hole|opening)\\s+(?:closed|shut)',
  ),
  NoSew: kw(
    'NoSew',
    'no[\\s-]+sew|without\\s+sewing|crochet(?:ed)?\\s+(?:on|in|together)|(?:crochet|work)(?:ed)?\\s+(?:the|both|two|an?|all)\\s+[a-z]+\\s+(?:in|into|onto)|through\\s+both\\s+layers',
  ),
  Sew: kw(
    'Sew',
    'sew|appliqu[eé](?:d)?|stitch\\s+(?:on|the)|whip\\s*stitch|ladder\\s+stitch|attach(?!\\s+(?:the\\s+)?(?:new\\s+|[a-z]+\\s+)?yarn)|join\\s+(?:the|both|two|an?|each|all)(?!\\s+(?:yarn|next|first|last|second|new|round|other|end|(?:two\\s+)?legs?\\s*(?::|together|by|with)))',
  ),
  Pin: kw('Pin', 'pin'),
  Fold: kw(
    'Fold',
    'fold|flatten|pinch|squash|(?:press|lay)(?:ed|ing)?\\s+(?:(?:it|them|the\\s+[a-z]+)\\s+)?flat',
  ),
  Cut: kw('Cut', 'cut\\s+(?:the\\s+)?yarn|leave|leaving|fasten\\s+off'),
  Tail: kw('Tail', '(?:long\\s+)?(?:yarn\\s+|sewing\\s+)?tail|end'),
  // Before the words it is made of.
  Line: kw(
    'Line',
    'straight\\s+line|straight(?=\\s+mouth)|(?:one|an?|single)\\s+(?:(?:single|long|straight)\\s+)+(?:line|stitch)|(?:(?:is|as|just)\\s+a|a\\s+plain)\\s+line(?!\\s+of\\s+holes)',
  ),
  Embroider: kw('Embroider', 'embroider(?:ed|y)?|straight\\s*stitch(?:es)?'),
  Insert: kw('Insert', 'insert|place|put|add|fix|seat|position|fit|press|pop|set'),
  Eyes: kw('Eyes', 'eyes?'),
  Nose: kw('Nose', 'noses?'),
  Mouth: kw('Mouth', 'mouth'),
  Brows: kw('Brows', '(?:eye\\s*)?brows?'),
  Lashes: kw('Lashes', '(?:eye\\s*)?lash(?:es)?'),
  Cheeks: kw('Cheeks', 'cheeks?|blush'),
  Whiskers: kw('Whiskers', 'whiskers?'),
  Spots: kw('Spots', 'spots?|freckles?'),
  Button: kw('Button', 'buttons?'),
  Bow: kw('Bow', 'bow(?:s|\\s*ties?)?'),
  Patch: kw('Patch', 'patch(?:es)?|appliqu[eé]s?|muzzle'),
  KeyRing: kw('KeyRing', 'key\\s*rings?|key\\s*chains?'),
  Hair: kw('Hair', 'hair(?:\\s*lines?)?|fringe|mane'),
  Sculpt: kw('Sculpt', 'sculpt(?:ing|ed)?|shape\\s+the\\s+(?:eyes?|face)'),
  Safety: kw('Safety', 'safety'),
  HoleOf: kw(
    'HoleOf',
    '(?:in|into|through|at)?\\s*(?:the\\s+)?(?:holes?|foot|feet)\\s+(?:at\\s+the\\s+(?:foot|feet)\\s+of|below|under|beneath|of)',
  ),
  Split: kw(
    'Split',
    '(?:in|through)\\s+the\\s+splits?|split(?:\\s+seats?)?|between\\s+(?:the\\s+)?(?:two\\s+)?stitches',
  ),
  InBetween: kw(
    'InBetween',
    '(?:in\\s+)?(?:between|b/w)\\s+(?:them|each(?:\\s+other)?|the\\s+(?:two\\s+)?(?:eyes|posts)(?!\\s+and\\s+the))',
  ),
  Between: kw('Between', '(?:in\\s+)?between|btw|b/w'),
  // `6 apart, counting the stitches you see`: what shows is meant.
  CountsShowing: kw(
    'CountsShowing',
    'count(?:ed|ing)\\s+(?:(?:in|by|as|only)\\s+)*(?:the\\s+)?(?:visible|free|empty|open)\\s+st(?:itche)?s|(?:counting\\s+)?(?:only\\s+)?(?:the\\s+)?st(?:itche)?s\\s+(?:that\\s+)?you\\s+(?:can\\s+)?see|not\\s+counting\\s+(?:the\\s+)?(?:eyes?|holes?|posts?)(?:\\s+(?:holes?|posts?))?',
  ),
  Further: kw(
    'Further',
    'further(?!\\s+(?:out|to\\s+(?:the|each)))(?:\\s+(?:on|along|round|around|over))?|later|along(?!\\s*[A-Za-z\\d])|(?:on|after)\\s+(?:from\\s+)?(?:that|it|the\\s+first)(?![a-z])',
  ),
  Apart: kw(
    'Apart',
    'apart|from\\s+each\\s+other|from\\s+one\\s+to\\s+(?:the\\s+)?other|(?:from\\s+)?post\\s+to\\s+post',
  ),
  Showing: kw(
    'Showing',
    'show(?:ing|s)?|visible|seen|free|(?:empty|unused)(?=\\s+st)|(?:gap|interspace|space)(?!\\s+(?:of|between|\\d))',
  ),
  SpacingOf: kw(
    'SpacingOf',
    '(?:interspace|gap|space|spacing|distance)\\s+of|separated\\s+by|(?:gap|distance|spacing)(?:\\s*[:=])?(?=\\s*\\d+\\s*(?:sts?|stitches)(?![a-z]))',
  ),
  Wide: kw('Wide', 'wide|across|long'),
  Holes: kw('Holes', '(?:in|through)\\s+the\\s+holes?(?!\\s*#?\\d)|hole\\s+seats?'),
  EyeToEye: kw(
    'EyeToEye',
    'from\\s+(?:the\\s+)?(?:(?:inner|outer|inside|outside)\\s+(?:edge|corner)\\s+of\\s+)?(?:(?:one|the|each|left|right)\\s+)*eye\\s+to\\s+(?:the\\s+)?(?:(?:inner|outer|inside|outside)\\s+(?:edge|corner)\\s+of\\s+)?(?:the\\s+)?(?:(?:other|left|right)\\s+eye|other|eye)',
  ),
  InLine: kw(
    'InLine',
    'in\\s+line\\s+with|aligned\\s+with|lined\\s+up\\s+with|as\\s+wide\\s+as|at\\s+the(?=\\s+(?:inner|outer|inside|outside)\\s+(?:edge|corner)s?\\s+of)',
  ),
  Level: kw(
    'Level',
    '(?:(?:on|in|at)\\s+)?(?:the\\s+)?same\\s+(?:rounds?|row|line|level|height|gap)(?:\\s+as)?|level\\s+with',
  ),
  // Not the edge of what it goes by, but its own.
  OwnEnd: kw('OwnEnd', '(?:inner|outer|inside|outside)\\s+ends?'),
  Inner: kw('Inner', 'inner|inside\\s+edges?'),
  Outer: kw('Outer', 'outer|outside\\s+edges?'),
  Beside: kw(
    'Beside',
    '(?:(?:on|at|to)\\s+)?(?:both|each|either)\\s+sides?\\s+of|(?:(?:on|at|to)\\s+)?the\\s+left\\s+and\\s+(?:the\\s+)?right(?:\\s+sides?)?\\s+(?:of|from)|beside|next\\s+to',
  ),
  EitherSide: kw(
    'EitherSide',
    '(?:(?:on|at|to)\\s+)?(?:(?:both|each|either)\\s+sides?|(?:the\\s+)?left\\s+and\\s+(?:to\\s+)?(?:the\\s+)?right(?=\\s+of\\s+(?:the\\s+)?(?:cent|mid|front)))',
  ),
  SideOf: kw(
    'SideOf',
    '(?:on|at|to)\\s+the\\s+(?:left|right)(?:\\s+side)?\\s+of(?=\\s+(?:the\\s+)?(?:eyes?|nose|mouth|muzzle|cheeks?|patch|buttons?|bow)(?![A-Za-z]))',
  ),
  LeftSide: kw(
    'LeftSide',
    '(?:on|to|at)\\s+(?:the\\s+)?left(?!\\s+eyes?)(?:\\s+side)?|left(?=\\s+(?:side|only|eye|cheek|half))',
  ),
  RightSide: kw(
    'RightSide',
    '(?:on|to|at)\\s+(?:the\\s+)?right(?!\\s+eyes?)(?:\\s+side)?|right(?=\\s+(?:side|only|eye|cheek|half))',
  ),
  Middle: kw('Middle', '(?:in|on)\\s+the\\s+(?:middle|centre|center|front\\s+line|middle\\s+line)'),
  LastIncrease: kw(
    'LastIncrease',
    '(?:last|final)\\s+inc(?:rease)?s?(?:\\s+(?:rounds?|rnds?|rows?))?|last\\s+(?:rounds?|rnds?|rows?)\\s+(?:of|with)\\s+(?:the\\s+)?inc(?:rease)?s?|(?:end\\s+of\\s+(?:the\\s+)?|you\\s+(?:stop|finish)(?:ed)?\\s+)increas(?:es?|ing)',
  ),
  FirstDecrease: kw(
    'FirstDecrease',
    'first\\s+dec(?:rease)?s?(?:\\s+(?:rounds?|rnds?|rows?))?|first\\s+(?:rounds?|rnds?|rows?)\\s+(?:of|with)\\s+(?:the\\s+)?dec(?:rease)?s?|(?:start|beginning)\\s+of\\s+(?:the\\s+)?decreases?|(?:you\\s+)?(?:start|begin)\\s+(?:to\\s+)?decreas(?:e|ing)|decreases?\\s+(?:start|begin)s?',
  ),
  /** What plain rounds begin with; the sign stands in place of longer words. */
  PlainStart: createToken({
    name: 'PlainStart',
    pattern: /¶|(?:the\s+)?(?:(?:start|beginning)\s+of\s+(?:the\s+)?)?plain\s+rounds(?!\s*[A-Za-z0-9])/i,
    categories: [Any],
  }),
  // Before the front: `front loop round`.
  Ridge: kw('Ridge', 'ridge|(?:BLO|FLO|(?:back|front)[\\s-]+loops?(?:\\s+only)?)\\s+(?:rounds?|rnds?|rows?)'),
  FrontLine: kw('FrontLine', '(?:front|middle|centre|center)(?:\\s+line)?'),
  OverEye: kw(
    'OverEye',
    '(?:over|around|behind|on)\\s+(?:the|each|both|one)\\s+(?:left\\s+|right\\s+)?eyes?|(?:around|behind)\\s+eyes',
  ),
  FromStart: kw(
    'FromStart',
    '(?:(?:down|up|out|outwards?|away|in|back)\\s+)?from\\s+(?:the\\s+)?(?:very\\s+)?(?:(?:start|beginning)(?!\\s+of\\s+(?!(?:the\\s+)?(?:work|piece|part|head|body|toy|ball)\\b))|(?:magic|starting)\\s+(?:ring|circle)|first\\s+round)',
  ),
  Outward: kw(
    'Outward',
    '(?:further|farther|more)\\s+(?:out(?:wards?|side)?|to\\s+(?:the|each)\\s+(?:sides?|outside))|outwards?|outside|out\\s+from|away(?:\\s+from)?|from(?=\\s+(?:the|each)\\s+(?:(?:left|right)\\s+)?(?:eyes?|nose|mouth|cheeks?)(?![A-Za-z]))|to\\s+(?:the|each)\\s+side\\s+of',
  ),
  Just: kw('Just', 'just|directly|immediately|(?:straight|right)(?=\\s+(?:above|below|under|over|beneath))'),
  Them: kw('Them', 'them|these|those'),
  AtStart: kw(
    'AtStart',
    '(?:in|into|through)\\s+(?:the\\s+)?(?:start|(?:magic|starting)\\s+(?:ring|circle)|first\\s+round)',
  ),
  Neck: kw('Neck', 'neck'),
  ColourChange: kw('ColourChange', 'colou?r\\s+change|change\\s+of\\s+colou?r'),
  LiveEdge: kw(
    'LiveEdge',
    'live\\s+edge|open(?:\\s+(?:edge|end)|ing)|(?:last|final)\\s+(?:round|row)(?:\\s+worked)?',
  ),
  Base: kw('Base', 'base|bottom'),
  Back: kw(
    'Back',
    '(?:over|on|along|down)\\s+(?:the|its|his|her)\\s+spine|(?:(?:at|on|to|in)\\s+)?(?:the\\s+)?cent(?:re|er)\\s+back|back\\s+cent(?:re|er)|(?:(?:at|on|to|in)\\s+)?the\\s+back(?![\\s-]+loops?)|back\\s+of\\s+(?:the|its)\\s+(?:head|body)',
  ),
  High: kw('High', 'high|tall'),
  Satin: kw('Satin', 'satin'),
  Triangle: kw('Triangle', 'triang(?:le|ular)'),
  Smile: kw('Smile', 'smil(?:e|ing)|held\\s+(?:down\\s+)?at\\s+the\\s+middle'),
  ShortRow: kw(
    'ShortRow',
    'row\\s+of\\s+(?:short\\s+)?(?:stitches|back\\s*stitch(?:es)?)|back\\s*stitch(?:es)?',
  ),
  Lips: kw('Lips', 'lips?'),
  Sleeping: kw('Sleeping', 'sleep(?:ing|y)|closed(?=\\s+eyes)'),
  Oval: kw('Oval', 'oval'),
  Ring: kw(
    'Ring',
    '(?:felt|crochet(?:ed)?)\\s+(?:rings?|circles?|discs?)|(?:rings?|circles?|discs?)\\s+of\\s+(?:[a-z]+\\s+)?(?:felt|crochet)',
  ),
  FeltWord: kw('FeltWord', 'felt'),
  CrochetWord: kw('CrochetWord', 'crochet(?:ed)?'),
  Above: kw('Above', 'above|up\\s+from|higher\\s+than|over'),
  Below: kw('Below', 'below|under(?:neath)?|beneath|down\\s+from|lower\\s+than'),
  Lower: kw('Lower', '(?:further\\s+)?(?:lower|down)'),
  Higher: kw('Higher', '(?:further\\s+)?(?:higher|up)'),
  Vague: kw(
    'Vague',
    'mid-?way|half\\s*way|slant(?:ed|ing|s)?|sloping|diagonally|alternat\\w+|staggered|all\\s+over|scatter(?:ed)?|random(?:ly)?|here\\s+and\\s+there',
  ),
  FromEnd: kw(
    'FromEnd',
    'from\\s+(?:the\\s+)?(?:base|bottom|chin|(?:open\\s+)?(?:end|edge)|opening|last\\s+round)',
  ),
  FromTop: kw('FromTop', 'from\\s+(?:the\\s+)?(?:top|crown)'),
  Top: kw('Top', 'top(?!\\s+up)'),
  After: kw('After', 'after|when|once|at\\s+the\\s+end\\s+of|before\\s+starting'),
  RoundWord: kw('RoundWord', 'rounds?|rnds?|rows?|r|rd'),
  // Hoppla's own sheet numbers the holes: `holes 15 and 22`.
  St: kw('St', 'stitch(?:es)?|sts?|sc|dc|holes?(?=\\s*#?\\d)|holes?(?<=\\d(?:st|nd|rd|th)\\s+holes?)'),
  Mm: kw('Mm', 'mm|millimet(?:re|er)s?'),
  Cm: kw('Cm', 'cm|centimet(?:re|er)s?'),
  Join: kw('Join', 'and|to|through'),
  Ordinal: createToken({ name: 'Ordinal', pattern: /\d+(?:st|nd|rd|th)(?![A-Za-z])/i, categories: [Any] }),
  Num: createToken({ name: 'Num', pattern: /\d+(?:\s+and\s+a\s+half|\s*½|[.,]\d+)?/, categories: [Any] }),
  NumberWord: kw(
    'NumberWord',
    'an?(?:\\s+couple\\s+of)?(?=\\s+(?:rounds?|rnds?|rows?|stitch(?:es)?|sts?)(?![A-Za-z]))|(?:(?:four|six|seven|eight|nine)teen|thirteen|fifteen|twenty|(?<!(?:left|right|other|first|second|each|every|this|that|red|blue|big|small)\\s)one(?!\\s+(?:at|in|into|on|through|goes|to)\\b)|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)(?:\\s+and\\s+a\\s+half)?',
  ),
  Dash: createToken({ name: 'Dash', pattern: /[-‐‑‒–—−&/+]+/, categories: [Any] }),
  Stop: createToken({ name: 'Stop', pattern: /[.;!](?!\d)/, categories: [Any] }),
  // A range, not what is no space: only then can the lexer look tokens up by their first letter.
  Other: createToken({ name: 'Other', pattern: /[\u0000-\uffff]/, line_breaks: false, categories: [Any] }),
};
const Blank = createToken({ name: 'Blank', pattern: /[\s\u00a0]+/, group: Lexer.SKIPPED, line_breaks: true });
export const sentenceTypes: TokenType[] = [
  Any,
  Blank,
  ...Object.values(S).filter((t) => t !== S.Other),
  Word,
  S.Other,
];
let sentenceLexer: Lexer | null = null;

export const featureOf: [TokenType, FeatureKind][] = [
  [S.Brows, 'brows'],
  [S.Lashes, 'lashes'],
  [S.Eyes, 'eyes'],
  [S.Nose, 'nose'],
  [S.Mouth, 'mouth'],
  [S.Cheeks, 'cheeks'],
  [S.Whiskers, 'whiskers'],
  [S.Spots, 'spots'],
  [S.Button, 'button'],
  [S.Bow, 'bow'],
  [S.Patch, 'patch'],
  [S.KeyRing, 'key ring'],
  [S.Sculpt, 'sculpting'],
  [S.Hair, 'hair'],
];
const words = [
  'zero',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'fifteen',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
  'twenty',
];
/** What a number or a number word says. */
const twoOrdinals = new RegExp(
  String.raw`\b(${ordinalWords.join('|')})(\s+(?:and|&|to)\s+(?:the\s+)?)(${ordinalWords.join('|')})(?=\s+(?:rounds?|rnds?|rows?)\b)`,
  'gi',
);

/** `To the third round`; `every second round` is none of them. */
const oneOrdinal = new RegExp(
  String.raw`\b((?:on|in|at|to|onto|into|of|over|around|along|through|above|below|under|after|before|from|past)\s+(?:the\s+)?)(${ordinalWords.join('|')})(?=\s+(?:round|rnd|row)\b)`,
  'gi',
);

/** `Spaced 7 stitches`, which is `7 stitches apart` in as many signs. */
const spacedBy =
  /\bspaced\s+((?:\d+|[a-z]{3,6})\s+(?:sts?|stitches))(?!\s*(?:apart|between|from|each|evenly|in\b|\())(?![a-z])/gi;

const ordinal = String.raw`(?:\d{1,3}(?:st|nd|rd|th)|${ordinalWords.join('|')})`;
const plainWord = String.raw`(?:plain|even|straight|unchanging|no[-\s]increase)`;
const roundsWord = String.raw`(?:rounds?|rnds?|rows?)`;
const ofPlain = String.raw`${roundsWord}\s+(?:of|in)\s+(?:the\s+)?${plainWord}(?:\s+(?:section|part|area|bit|sc|single\s+crochets?|rounds|rnds))?`;
/** `Between the 4th and 5th plain rounds`, `on the third round of the straight section`: counted from where those begin. */
const amongPlain = new RegExp(
  String.raw`\b(?:between|on|in|at|after)\s+(?:the\s+)?(${ordinal})(?:\s*(?:and|&|-|\/)\s*(?:the\s+)?(${ordinal}))?\s+(?:${plainWord}\s+${roundsWord}|${ofPlain})(?![a-z])|\bbetween\s+(?:the\s+)?(?:rounds|rnds|rows)\s+(\d{1,3})\s*(?:and|&|-|\/)\s*(\d{1,3})\s+(?:of|in)\s+(?:the\s+)?${plainWord}\s+(?:section|part|area|bit|rounds|rnds)(?![a-z])`,
  'gi',
);
/** `Between the second and third rounds after the increases`: counted from the last of them. */
const pastIncreases = new RegExp(
  String.raw`\b(?:between|on|in|at)\s+(?:the\s+)?(${ordinal})(?:\s*(?:and|&|-|\/)\s*(?:the\s+)?(${ordinal}))?\s+(?:${plainWord}\s+)?${roundsWord}\s+(?:after|past|following)\s+(?:the\s+)?(?:(?:last|final)\s+)?inc(?:rease)?s?(?:\s+(?:rounds?|rnds?|rows?|section))?(?![a-z])`,
  'gi',
);
const whichOf = (said: string): number =>
  Number.parseInt(said, 10) || ordinalWords.indexOf(said.toLowerCase()) + 1;

/** Rounds counted from a place of the part, in as many signs; two that are not neighbours stay as they are. */
function countedFrom(place: string): (whole: string, ...found: unknown[]) => string {
  return (whole, ...found) => {
    const groups = found.slice(
      0,
      found.findIndex((one) => typeof one === 'number'),
    );
    const [first = 0, second = first + 1] = groups.flatMap((said) => (said ? [whichOf(String(said))] : []));
    return second === first + 1 ? `${first} rnds after ${place}`.padEnd(whole.length) : whole;
  };
}

/**
 * The words of a line, `between the fourth and fifth row` with its numbers in figures: by itself `the second ear` numbers no round.
 * The line keeps its length, and each word its place, but for those of a distance that is said the other way round.
 */
export function tokensOf(text: string): IToken[] {
  const figure = (word: string) => `${ordinalWords.indexOf(word.toLowerCase()) + 1}th`.padEnd(word.length);
  const figures = text
    .replace(amongPlain, countedFrom('¶'))
    .replace(pastIncreases, countedFrom('last inc'))
    .replace(
      twoOrdinals,
      (_, one: string, between: string, other: string) => figure(one) + between + figure(other),
    )
    .replace(oneOrdinal, (_, before: string, one: string) => before + figure(one))
    .replace(spacedBy, (whole, distance: string) => `${distance} apart`.padEnd(whole.length));
  sentenceLexer ??= new Lexer(sentenceTypes, {
    positionTracking: 'onlyOffset',
    ensureOptimizations: true,
    skipValidations: true,
  });
  const { tokens } = sentenceLexer.tokenize(figures);
  if (figures === text) return tokens;
  return tokens.map((token) => {
    const word = /^[a-z]+/i.exec(text.slice(token.startOffset))?.[0] ?? '';
    return is(token, S.Ordinal) && word ? { ...token, image: word } : token;
  });
}

export const valueOf = (token: IToken) => {
  const ordinal = ordinalWords.indexOf(token.image.toLowerCase());
  if (ordinal >= 0) return ordinal + 1;
  const half = /half|½/.test(token.image) ? 0.5 : 0;
  const index = words.indexOf(token.image.toLowerCase().split(/\s/)[0]!);
  // `A round below`, `a couple of rounds above`.
  if (index < 0 && /^an?\b/i.test(token.image)) return /couple/i.test(token.image) ? 2 : 1;
  return (index >= 0 ? index : bounded(Number.parseFloat(token.image.replace(',', '.')))) + half;
};

export const number = [S.Num, S.NumberWord, S.Ordinal];
export { is };
