import { numberWords } from './tokens';

/** A line that opens a part, with what it says beside the name. */
export interface Heading {
  name: string;
  make: number;
  colour?: string;
  /** marked as a heading by its own signs, so that nothing around it has to confirm it */
  sure: boolean;
  /** called what parts of toys are called */
  usual: boolean;
}

// Parts a toy is usually made of: such a word alone on a line opens a part.
const partWords = new Set(
  'head body spots pupils arm leg ear tail snout muzzle nose fin wing beak foot feet hand paw neck cap hat mane horn spike crest scarf shell belly tummy tooth teeth antenna eyelid cheek bib cape skirt frill hair torso base stem leaf petal flipper whisker hoof ears arms legs wings fins paws hands horns spikes antennae flippers hooves eyelids cheeks leaves petals'.split(
    ' ',
  ),
);

const makePattern =
  /[,;:(–—-]?\s*[([]?\s*(?:make|x|×)\s*(?:\d{1,2}\s*(?:-|–|to|or)\s*(?=\d{1,2}\s*(?:[)\]]|$)))?(\d{1,2}|[a-z]+)(?:\s+(?:of\s+(?:these|them)|identical|alike|the\s+same|pieces|in\s+total))*\s*[)\]]?|\(\s*(\d{1,2})\s*x?\s*\)/i;

const isPartWord = (word: string | undefined): boolean => partWords.has((word ?? '').toLowerCase());
const firstWord = (text: string) => /^\P{L}*(\p{L}+)/u.exec(text)?.[1];

const countOf = (said: string): number => {
  const word = said.toLowerCase();
  return Object.hasOwn(numberWords, word) ? (numberWords[word] ?? 0) : Number.parseInt(word, 10);
};

/** What is left of a line, and what was taken from it. */
interface Counted {
  text: string;
  make: number;
}

const marks = /^\s*(?:#{1,6}\s+|={2,}\s*|\*{2}|_{2})/;
/** Signs that only decorate: `| Shell |`, `★ HEAD ★`, `~ Ears ~` */
const ornaments =
  /^[\s|★☆✿♥♡•~=\p{Extended_Pictographic}\u{FE0F}]+|[\s|★☆✿♥♡•~=\p{Extended_Pictographic}\u{FE0F}]+$/gu;
/** `*** HEAD ***`, `--- Head ---`, `[Head]` */
const framed = /^\s*(?:\*{3,}|-{2,}|\[)\s*([^[\]]*?)\s*(?:\*{3,}|-{2,}|\])\s*$/;
const withoutMarks = (line: string) =>
  line
    .replace(/\p{Extended_Pictographic}\u{FE0F}?/gu, ' ')
    .replace(framed, '$1')
    .replace(ornaments, '')
    .replace(marks, '')
    .replace(/\s*(?:={2,}|\*{2}|_{2}|#+)\s*$/, '')
    .replace(/(?<=\p{L})\*+\s*|\*+(?=\s|\p{L}|$)/gu, ' ')
    .trim();

/** `Part 1: Head`, `A. HEAD`, `Step 2: the ears`, `For the head:` name the part after their own words. */
function withoutLead(line: string): string {
  const text = line.replace(
    /^(?:(?:part|step|piece|section)\s+(?:\d{1,2}|[a-z])\s*[:.)–—-]|(?:[A-H1-9]|[IVX]{1,4})\s*[.)])\s+(?=\p{L})/iu,
    (lead) => {
      const isNumber = /^[A-H1-9IVX]/.test(lead) && !/^(?:part|step|piece|section)/i.test(lead);
      return isNumber && !isPartWord(firstWord(line.slice(lead.length))) ? lead : '';
    },
  );
  return text.replace(
    /^(?:(?:and|now|next|then|finally|lastly)[,\s]+)*(?:(?:we|you|i)(?:\s+(?:will|are\s+going\s+to)|['’]ll)?\s+|let['’]?s\s+)?(?:now\s+)?(?:(?:for|make|crochet|work|start|do)\s+)?the\s+(?=(?:\p{L}+\s+)?\p{L}+\s*[:.(]|\p{L}+\s*$)/iu,
    (lead) => (isPartWord(/^(\p{L}+)/u.exec(text.slice(lead.length))?.[1]) ? '' : lead),
  );
}

/** `The ears (make 2) are worked in brown.`: what is said of the part names it no other way. */
const withoutRemark = (text: string) =>
  text.replace(/(?<=\p{L}|\))\s+(?:are|is)\s+(?:worked|made|crocheted|done)\b.*$/iu, '');

/** `Arms (make 2) and legs (make 2)`: as many pieces of one kind. */
function countedTwice(line: string): string {
  const counts = [...line.matchAll(/\s*\((?:make|x|×)\s*(\d{1,2}|[a-z]+)\)|\s*\((\d{1,2})\s*[x×]?\)/gi)];
  const [one, two, ...more] = counts.map(([, said = '', figure = '']) => countOf(said || figure));
  if (!one || !two || more.length > 0) return line;
  const names = counts.reduce((text, [said]) => text.replace(said, ''), line).replace(/\s*[,&+]\s*/, '/');
  return `${names.trim()} (make ${one + two})`;
}

/** `Ear 1 and 2`, `Left ear / right ear`, `Ear (2x, in brown)`: the count in the usual manner. */
function withUsualCount(line: string): string {
  const numbered = /^(.*?(\p{L}+))\s+(?:no\.?\s*)?1\s*(?:and|&|\+|,|\/)\s*2$/iu.exec(line);
  if (numbered && isPartWord(numbered[2])) return `${numbered[1]} (make 2)`;
  const sided = /^left(?:\s+(\p{L}+))??\s*(?:and|&|\/|\+|,)\s*(?:the\s+)?right\s+(\p{L}+)$/iu.exec(line);
  if (sided && isPartWord(sided[2])) return `${sided[2]} (make 2)`;
  return countedTwice(line.replace(/\(\s*(\d{1,2})\s*[x×]\s*,\s*([^()]*)\)/, '($2) (make $1)'));
}

/** `Arm 2x`, `2 ears`, `Spots – 3 pcs` */
function countedInWords(line: string): Counted {
  const pair =
    /^(?:a\s+)?pair\s+of\s+|\s*\((?:(?:1|one|a)\s+)?pair\)|\s*\(both\s+(?:the\s+same|alike)\)|\s*\((?:work|make|crochet)\s+(?:both|the\s+same\s+for\s+both)[^()]*\)/i;
  const isPair = pair.test(line);
  let text = isPair ? line.replace(pair, '') : line;
  let make = isPair ? 2 : 1;
  text = text.replace(/^make\s+(\w+)\s*:\s*(?=\p{L}+\s*$)/iu, '$1 ');
  const before = /^(\d{1,2}|two|three|four|six|eight)\s*(?:[x×]\s*|\s)(?=(\p{L}+)\s*:?$)/iu.exec(text);
  if (before && isPartWord(before[2])) {
    make = countOf(before[1] ?? '');
    text = text.slice(before[0].length);
  }
  const alone = /^(\p{L}+)\s*[-–—]\s*([2-9])$/u.exec(text);
  if (alone && isPartWord(alone[1])) return { text: alone[1] ?? text, make: Number(alone[2]) };
  const pieces =
    /[\s,:(–—-]+(\d{1,2}|two|three|four|five|six|eight)\s*(?:x|×|pcs?|pieces|of\s+them)\.?\s*\)?\s*[:.]?$/i.exec(
      text,
    );
  if (!pieces) return { text, make };
  return { text: text.slice(0, pieces.index), make: countOf(pieces[1] ?? '') || 1 };
}

/** `Ear (make 2)`, `Ears. Make 2.`, `Legs x 4` */
function countedByMake({ text: line, make }: Counted): Counted {
  const text = line
    .replace(/^(\p{L}+)\.\s+(?=make\s)/iu, (whole, word: string) => (isPartWord(word) ? `${word} ` : whole))
    .replace(/(make\s+\w+)\.$/i, '$1');
  const found = makePattern.exec(text);
  const said = found ? countOf(found[1] ?? found[2] ?? '') : 0;
  if (!found || !(said >= 1)) return { text, make };
  return {
    text: (text.slice(0, found.index) + text.slice(found.index + found[0].length)).trim(),
    make: said,
  };
}

const colourPattern =
  /[,(–—-]?\s*\(?\s*(?:in|colou?r|(?:with|using)(?=\s+(?:(?:colou?r|yarn)\s|[a-z]\b|[a-z]+\s+yarn)))\s+(?:colou?r\s+|yarn\s+)?([a-z][a-z ]{0,24}?)\)?\s*:?$/i;

/** `Ear in brown` */
function coloured(text: string): { text: string; colour: string | null } {
  const found = colourPattern.exec(text);
  const said = found?.[1];
  const isOther = /\b(rounds?|rows?|terms|pieces?|parts?|one)\b/i.test(said ?? '');
  if (!found || !said || found.index === 0 || isOther) return { text, colour: null };
  return { text: text.slice(0, found.index).trim(), colour: said.trim() };
}

/**
 * `Body, worked from the nose up`: what stands after the name of a usual part only describes it, and so does what stands in brackets,
 * `Head and body (in one piece, from the feet up)`.
 */
function undescribed(text: string, make: number): { text: string; described: boolean } {
  const [before = '', rest] = text.split(/[,;–—(]|\s-\s|[.:]\s+/, 2);
  const words = before.trim().split(/\s+/);
  const describes = words.length <= 3 && (make > 1 || words.some(isPartWord));
  return { text: rest !== undefined && describes ? before.trim() : text, described: rest !== undefined };
}

/** `Ears.`, where other words about it are gone */
function partWithStop(text: string): string | null {
  const only = /^\p{L}+(?=\.$)/u.exec(text)?.[0] ?? null;
  return only !== null && isPartWord(only) ? only : null;
}

const begins = /^(?:\p{L}|\d+(?:st|nd|rd|th)\b|["'“‘(#])/u;
/** What a sentence about the making begins with, and no part is called. */
const doings =
  /^(?:stuff|sew|close|do(?:n['’]?t|\s+not)|insert|embroider|fasten|cut|weave|repeat|continue|attach|pin|gather|pull|leave|finish|join|place|glue|start|begin|working|worked|we|you|note)\b/i;

/** `Foundation row: ch 11, …`: how a part begins, and no part. */
export const foundationLabel =
  /^\s*(?:foundation|base|starting|beginning|set[\s-]?up)\s+(?:ch(?:ain)?|rows?|rounds?|rnds?|loop)\b/i;

/** `Chain 21.`: work, and no part. */
const chain = /^ch(?:ain)?s?\s*-?\s*\d/i;

const isName = (name: string, marked: boolean) =>
  begins.test(name) &&
  !foundationLabel.test(name) &&
  !chain.test(name) &&
  (marked || !doings.test(name)) &&
  name.length <= 48 &&
  name.split(/\s+/).length <= (marked ? 8 : 4);

/**
 * Reads a line as the heading of a part.
 *
 * @returns null for a line too long or too much like a sentence to be a name
 */
export function readHeading(raw: string): Heading | null {
  // `Snout [pink, x2]`: what stands in square brackets behind a name is said beside it, too.
  const line = raw.replace(/\s+/g, ' ').replace(/(?<=\p{L}\s*)\[([^[\]]*)\]/gu, '($1)');
  const marked = marks.test(line);
  const bare = withoutMarks(line);
  if (!bare) return null;
  const told = withoutRemark(withoutLead(bare));
  const only = partWithStop(told);
  const named = only !== null && told !== line.trim();
  const counted = countedByMake(countedInWords(withUsualCount(named ? only : told)));
  const { make } = counted;
  const { text: plain, colour } = coloured(counted.text);
  const { text, described } = undescribed(plain, make);
  const name = text.replace(/[\s:.,;(–—-]+$/, '').trim();
  if (!isName(name, marked)) return null;
  const words = name.split(/\s+/);
  // Whatever is made several times over is a part.
  const counts = make > 1 && words.length <= 2;
  const usual = words.some(isPartWord);
  const known = counts || (words.length <= 3 && usual);
  const isSentence = /[.!?]$/.test(line.trim()) && !(known && (described || make > 1 || named));
  if (!marked && (isSentence || /[,;]/.test(name))) return null;
  const confirmed = /:\s*$/.test(text) || make > 1 || words.length <= 2;
  return { name, make, sure: marked || (known && confirmed), usual, ...(colour === null ? {} : { colour }) };
}

/** `Scarf: knit one of what is left`: what stands behind the name of a part and is no count of it. */
export function saidBeside(line: string): string {
  const [, said = ''] = /^[^:;,]+(?::\s|[;,])\s*(.*)$/.exec(line) ?? [];
  const uncounted = said
    .replace(makePattern, '')
    .replace(/\b(?:in|with|using)\s+(?:(?:colou?r|yarn)\s+)?[a-z]+(?:\s+yarn)?$/i, '')
    .replace(/[\d\s.,;()x×–-]+|\b(?:pcs?|pieces)\b/gi, '');
  return uncounted === '' ? '' : said;
}
