import { createToken, Lexer, type IToken, type TokenType } from 'chevrotain';
import { bounded } from './limits';

/**
 * The words of crochet patterns as tokens.
 *
 * Letters and digits are kept apart (`5sc`, `x6`, `R4`, `sc2tog` become several tokens), so that the grammar
 * sees the same shape however a maker spaces her text. A keyword ends where no letter follows.
 */

// Chevrotain drops a pattern's `u` flag, so letters are spelt out as ranges instead of \p{L}.
const letter = 'A-Za-z\\u00c0-\\u00d6\\u00d8-\\u00f6\\u00f8-\\u024f';
/** Every word and sign: one category, so that the grammar can pass over any of them without naming each. */
const Any = createToken({ name: 'Any', pattern: Lexer.NA });
const Word = createToken({
  name: 'Word',
  pattern: new RegExp(`[${letter}][${letter}'’]*`),
  line_breaks: false,
  categories: [Any],
});

const keywords: TokenType[] = [];

function keyword(name: string, source: string, categories: TokenType[] = []): TokenType {
  const token = createToken({
    name,
    pattern: new RegExp(`(?:${source})(?![${letter}'’])`, 'i'),
    longer_alt: Word,
    line_breaks: false,
    categories: [...categories, Any],
  });
  keywords.push(token);
  return token;
}

function category(name: string): TokenType {
  return createToken({ name, pattern: Lexer.NA });
}

function sign(name: string, pattern: RegExp): TokenType {
  return createToken({ name, pattern, line_breaks: false, categories: [Any] });
}

/** Any stitch with a height: sc, hdc, dc, tr, dtr, htr. What the word means depends on US or UK terms. */
const Stitch = category('Stitch');
/** Words that only carry a sentence along. */
const Filler = category('Filler');
/** Prepositions that lead to the place a stitch is worked into. */
const Prep = category('Prep');

// Several words together come first: chevrotain takes the first token that matches.
/** A leg whose edge is worked around: `on the first leg`, `of leg 2`. */
const Limb = keyword(
  'Limb',
  '(?:(?:in|on|onto|around|round|along|into|over|across|of|from|to)\\s+)?(?:the\\s+)?(?:(?:first|second|third|fourth|other|next|1st|2nd|3rd|4th)\\s+(?:leg|foot|limb)|(?:leg|foot|limb)\\s*#?\\s*(?:[1-4](?!\\d)|one|two|a|b))|(?:on|onto|around|along|into|of|to)\\s+the\\s+(?:leg|foot|limb)',
);
/** A finished piece that is worked in: `6 sc ‹left arm›`. No maker writes it so: manners of saying it are brought to it. */
const Piece = sign('Piece', /‹[^›]*›/);
const SlipStitch = keyword('SlipStitch', 'sl(?:ip)?[\\s.-]*st(?:itch)?(?:es|s)?|slst|ss');
const Ring = keyword('Ring', '(?:magic|adjustable|magical)[\\s-]+(?:ring|circle|loop)|mr|mc|ring|circle');
const InvisibleDecrease = keyword('InvisibleDecrease', 'inv(?:isible)?\\.?[\\s-]*dec(?:rease)?s?');
const FrontLoops = keyword(
  'FrontLoops',
  'flo|(?:the\\s+)?(?:remaining\\s+|unworked\\s+|free\\s+|unused\\s+|left\\s+)*front[\\s-]+loops?(?:\\s+only)?|fl\\s+only',
);
const BackLoops = keyword(
  'BackLoops',
  'blo|(?:the\\s+)?(?:remaining\\s+|unworked\\s+|free\\s+|unused\\s+|left\\s+)*back[\\s-]+loops?(?:\\s+only)?|bl\\s+only',
);
const BothLoops = keyword('BothLoops', '(?:both|all)\\s+loops');
const BothLayers = keyword('BothLayers', 'both\\s+(?:layers|sides|thicknesses|edges)');
const OtherSide = keyword(
  'OtherSide',
  '(?:the\\s+)?(?:other|opposite|bottom|under)[\\s-]*side(?:\\s+of\\s+(?:the\\s+)?(?:foundation\\s+)?(?:ch(?:ain)?s?))?|underside',
);
const FastenOff = keyword(
  'FastenOff',
  'fasten\\s+off|f\\.?o|cut\\s+(?:the\\s+)?yarn|break\\s+(?:the\\s+)?yarn|finish\\s+off',
);
const HalfDouble = keyword('HalfDouble', 'hdc|half[\\s-]+double(?:\\s+crochets?)?', [Stitch]);
const HalfTreble = keyword('HalfTreble', 'htr|half[\\s-]+treble(?:\\s+crochets?)?', [Stitch]);
const DoubleTreble = keyword('DoubleTreble', 'dtr|double[\\s-]+treble(?:\\s+crochets?)?', [Stitch]);
const TripleTreble = keyword('TripleTreble', 'ttr|triple[\\s-]+treble(?:\\s+crochets?)?', [Stitch]);
const Single = keyword('Single', 'scs?|single\\s+crochets?', [Stitch]);
const Double = keyword('Double', 'dcs?|double\\s+crochets?', [Stitch]);
const Treble = keyword('Treble', 'trs?|treble(?:\\s+crochets?)?', [Stitch]);
/** Several loops drawn together into what is one stitch of the round. */
const Cluster = keyword(
  'Cluster',
  '(?:bobble|popcorn|puff|cluster|crab|loop)(?:[\\s-]+st(?:itch)?(?:es)?|s)?(?<!loop|loops)|spike[\\s-]+(?:st(?:itch)?(?:es)?|sc)|reverse\\s+sc|fp(?:sc|hdc|dc)|bp(?:sc|hdc|dc)',
  [Stitch],
);
const Increase = keyword('Increase', 'incs?|increases?|increasing');
const Decrease = keyword('Decrease', 'decs?|decreases?|decreasing');
const Together = keyword('Together', 'tog|together');
const Chain = keyword('Chain', 'chs?|chains?');
const Skip = keyword('Skip', 'skip|sk|miss');
const Turn = keyword('Turn', 'turn');
const Join = keyword('Join', 'join');
const Fold = keyword('Fold', 'fold');
const Times = keyword('Times', 'times|time');
const OnceTwice = keyword('OnceTwice', 'once|twice|thrice');
const By = keyword('By', 'x');
const Repeat = keyword('Repeat', 'repeat|rep|reps');
const From = keyword('From', 'from');
const Around = keyword(
  'Around',
  'around|(?:the\\s+)?rest|all\\s+(?:the\\s+way\\s+)?(?:around|round)|to\\s+(?:the\\s+)?end|even|across',
);
const Until = keyword('Until', 'until|till');
const To = keyword('To', 'to|through|thru');
const Remain = keyword('Remain', 'remaining|remain|remains|rem|left|unworked');
const Total = keyword('Total', 'total|totals|altogether');
/** Of `every 3rd stitch` the manners of speaking say what is meant; one they do not know is not every stitch. */
const Each = keyword(
  'Each',
  '(?:each|every|all)(?!\\s+(?:other|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|\\d{0,2}(?:1st|2nd|3rd|\\dth)))',
);
const Next = keyword('Next', 'next|following');
const Last = keyword('Last', 'last|final');
const First = keyword('First', 'first|beginning|beg');
const Same = keyword('Same', 'same|one');
const Hook = keyword('Hook', 'hook');
const Loop = keyword('Loop', 'loops?|lps?');
const Space = keyword('Space', 'space|sp');
const St = keyword('St', 'stitch(?:es)?|sts?');
const RoundWord = keyword('RoundWord', 'rounds?|rnds?|rows?|r|rd|rds');
const Change = keyword('Change', 'change|switch|changing|switching');
const ColourWord = keyword('ColourWord', 'colou?rs?|yarn');
const Leave = keyword('Leave', 'leave|leaving');
const More = keyword('More', 'more');
const Make = keyword('Make', 'make');
const In = keyword('In', 'in|into|inside|on|onto', [Prep]);
const Over = keyword('Over', 'over|along|under|of|through|thru|at', [Prep]);
const With = keyword('With', 'with|using');
const And = keyword('And', 'and|then');
const Article = keyword('Article', 'the|a|an|your|this|these|of');
const Work = keyword(
  'Work',
  'work|working|crochet|place|put|do|continue|start|starting|begin|previous|prev|evenly|just|also|half|edge|piece|flat|st\\s+st',
  [Filler],
);
const NumberWord = keyword(
  'NumberWord',
  'two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty|thirty|forty|fifty',
);

const Tag = createToken({
  name: 'Tag',
  pattern: /<\/?[a-z][^<>]{0,80}>|&[a-z]{2,6};|&#\d{1,5};/i,
  group: Lexer.SKIPPED,
});
const Blank = createToken({
  name: 'Blank',
  pattern: /[\s\u00a0\u200b\ufeff]+/,
  group: Lexer.SKIPPED,
  line_breaks: true,
});
const Ordinal = sign('Ordinal', /(?:\d*(?:1st|2nd|3rd|\dth)|second|third|fourth|fifth|sixth)(?![a-z])/i);
const Decimal = sign('Decimal', /\d+[.,]\d+/);
const Num = sign('Num', /\d+/);
const LRound = sign('LRound', /\(/);
const RRound = sign('RRound', /\)/);
const LSquare = sign('LSquare', /\[/);
const RSquare = sign('RSquare', /\]/);
const LCurly = sign('LCurly', /[{<]/);
const RCurly = sign('RCurly', /[}>]/);
const Star = sign('Star', /[*∗✱]+/);
const Comma = sign('Comma', /,/);
const Semi = sign('Semi', /;/);
const Colon = sign('Colon', /:/);
const Dot = sign('Dot', /[.!]/);
const Equals = sign('Equals', /=/);
const Dash = sign('Dash', /[-‐‑‒–—−~]+/);
const Cross = sign('Cross', /×/);
const Plus = sign('Plus', /[+&]/);
// A range, not what is no space: only then can the lexer look tokens up by their first letter.
const Other = sign('Other', /[\u0000-\uffff]/);

export const allTokens: TokenType[] = [
  Tag,
  Piece,
  Blank,
  Ordinal,
  Decimal,
  Num,
  ...keywords,
  Word,
  LRound,
  RRound,
  LSquare,
  RSquare,
  LCurly,
  RCurly,
  Star,
  Comma,
  Semi,
  Colon,
  Dot,
  Equals,
  Dash,
  Cross,
  Plus,
  Other,
  Stitch,
  Filler,
  Prep,
  Any,
];

export const T = {
  Any,
  Word,
  Stitch,
  Filler,
  Prep,
  Limb,
  Piece,
  SlipStitch,
  Ring,
  InvisibleDecrease,
  FrontLoops,
  BackLoops,
  BothLoops,
  BothLayers,
  OtherSide,
  FastenOff,
  Cluster,
  HalfDouble,
  HalfTreble,
  DoubleTreble,
  TripleTreble,
  Single,
  Double,
  Treble,
  Increase,
  Decrease,
  Together,
  Chain,
  Skip,
  Turn,
  Join,
  Fold,
  Times,
  OnceTwice,
  By,
  Repeat,
  From,
  Around,
  Until,
  To,
  Remain,
  Total,
  Each,
  Next,
  Last,
  First,
  Same,
  Hook,
  Loop,
  Space,
  St,
  RoundWord,
  Change,
  ColourWord,
  Leave,
  More,
  Make,
  In,
  Over,
  With,
  And,
  Article,
  Work,
  NumberWord,
  Ordinal,
  Decimal,
  Num,
  LRound,
  RRound,
  LSquare,
  RSquare,
  LCurly,
  RCurly,
  Star,
  Comma,
  Semi,
  Colon,
  Dot,
  Equals,
  Dash,
  Cross,
  Plus,
  Other,
} as const;

let lexer: Lexer | null = null;

/** Cuts one line into tokens. Never fails: what fits nothing becomes an `Other` token of one sign. */
export function tokenise(line: string): IToken[] {
  // Built when a line is first read; that the tokens hold together is a test, so that no phone has to find it out.
  lexer ??= new Lexer(allTokens, {
    positionTracking: 'onlyOffset',
    ensureOptimizations: true,
    skipValidations: true,
  });
  return lexer.tokenize(line).tokens;
}

/** The ordinals in words, from the first on. */
export const ordinalWords = [
  'first',
  'second',
  'third',
  'fourth',
  'fifth',
  'sixth',
  'seventh',
  'eighth',
  'ninth',
  'tenth',
  'eleventh',
  'twelfth',
  'thirteenth',
  'fourteenth',
  'fifteenth',
  'sixteenth',
  'seventeenth',
  'eighteenth',
  'nineteenth',
  'twentieth',
];

export const numberWords: Readonly<Record<string, number>> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  thirteen: 13,
  fourteen: 14,
  fifteen: 15,
  sixteen: 16,
  seventeen: 17,
  eighteen: 18,
  nineteen: 19,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  seventy: 70,
  eighty: 80,
  ninety: 90,
  once: 1,
  twice: 2,
  thrice: 3,
  second: 2,
  third: 3,
  fourth: 4,
  fifth: 5,
  sixth: 6,
};

/** The value of a number token, in digits or in words; 0 where it is neither. */
export function numberOf(token: IToken): number {
  const image = token.image.toLowerCase();
  return numberWords[image] ?? bounded(Number.parseFloat(image.replace(',', '.')) || 0);
}
