/** A line that opens a part, with what it says beside the name. */
export interface Heading {
  name: string;
  make: number;
  colour?: string;
  /** marked as a heading by its own signs, so that nothing around it has to confirm it */
  sure: boolean;
}

const numberWords: Record<string, number> = {
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
  twelve: 12,
};

// Parts a toy is usually made of: such a word alone on a line opens a part.
const partWords = new Set(
  'head body spots pupils arm leg ear tail snout muzzle nose fin wing beak foot feet hand paw neck cap hat mane horn spike crest scarf shell belly tummy tooth teeth antenna eyelid cheek bib cape skirt frill hair torso base stem leaf petal flipper whisker hoof ears arms legs wings fins paws hands horns spikes antennae flippers hooves eyelids cheeks leaves petals'.split(
    ' ',
  ),
);

const makePattern = /[,;:(–—-]?\s*\(?\s*(?:make|x|×)\s*(\d{1,2}|[a-z]+)\s*\)?|\(\s*(\d{1,2})\s*x?\s*\)/i;

/**
 * Reads a line as the heading of a part.
 *
 * @returns null for a line too long or too much like a sentence to be a name
 */
export function readHeading(line: string): Heading | null {
  const marked = /^\s*(?:#{1,6}\s+|={2,}\s*|\*{2}|_{2})/.test(line);
  let text = line
    .replace(/^\s*(?:#{1,6}\s+|={2,}|\*{2}|_{2})\s*/, '')
    .replace(/\s*(?:={2,}|\*{2}|_{2}|#+)\s*$/, '')
    .trim();
  if (!text) return null;
  // `Part 1: Head`, `A. HEAD`, `Step 2: the ears`, `For the head:` name the part after their own words.
  text = text.replace(
    /^(?:(?:part|step|piece|section)\s+(?:\d{1,2}|[a-z])\s*[:.)–—-]|[A-H1-9]\s*[.)])\s+(?=\p{L})/iu,
    (prefix) =>
      /^[A-H1-9]/.test(prefix) &&
      !partWords.has((/^\P{L}*(\p{L}+)/u.exec(text.slice(prefix.length))?.[1] ?? '').toLowerCase()) &&
      !/^(?:part|step|piece|section)/i.test(prefix)
        ? prefix
        : '',
  );
  text = text.replace(
    /^(?:next,?\s+)?(?:(?:for|make|now\s+make|work)\s+)?the\s+(?=(?:\p{L}+\s+)?\p{L}+\s*[:.(]|\p{L}+\s*$)/iu,
    (prefix) =>
      partWords.has((/^(\p{L}+)/u.exec(text.slice(prefix.length))?.[1] ?? '').toLowerCase()) ? '' : prefix,
  );
  // `The ears (make 2) are worked in brown.`, `Next, make the ears.`: what is said of the part names it no other way.
  text = text.replace(/(?<=\p{L}|\))\s+(?:are|is)\s+(?:worked|made|crocheted|done)\b.*$/iu, '');
  const [only = ''] = /^\p{L}+(?=\.$)/u.exec(text) ?? [];
  const named = partWords.has(only.toLowerCase()) && text !== line.trim();
  if (named) text = only;
  let make = 1;
  // `Arm 2x`, `2 ears`, `Spots – 3 pcs`, `Ears. Make 2.`
  const counted = /^(\d{1,2}|two|three|four|six|eight)\s+(?=(\p{L}+)\s*:?$)/iu.exec(text);
  if (counted && partWords.has((counted[2] ?? '').toLowerCase())) {
    make = Object.hasOwn(numberWords, (counted[1] ?? '').toLowerCase())
      ? (numberWords[(counted[1] ?? '').toLowerCase()] ?? 1)
      : Number(counted[1]);
    text = text.slice(counted[0].length);
  }
  const pieces = /[\s,:(–—-]+(\d{1,2})\s*(?:x|×|pcs?|pieces|of\s+them)\.?\s*\)?\s*:?$/i.exec(text);
  if (pieces) {
    make = Number(pieces[1]) || 1;
    text = text.slice(0, pieces.index);
  }
  text = text
    .replace(/^(\p{L}+)\.\s+(?=make\s)/iu, (whole, word: string) =>
      partWords.has(word.toLowerCase()) ? `${word} ` : whole,
    )
    .replace(/(make\s+\w+)\.$/i, '$1');
  const found = makePattern.exec(text);
  if (found) {
    const word = (found[1] ?? found[2] ?? '').toLowerCase();
    const n = Object.hasOwn(numberWords, word) ? (numberWords[word] ?? 0) : Number.parseInt(word, 10);
    if (n >= 1) {
      make = n;
      text = (text.slice(0, found.index) + text.slice(found.index + found[0].length)).trim();
    }
  }
  let colour: string | undefined;
  const inColour =
    /[,(–—-]?\s*\(?\s*(?:in|colou?r|(?:with|using)(?=\s+(?:(?:colou?r|yarn)\s|[a-z]\b|[a-z]+\s+yarn)))\s+(?:colou?r\s+|yarn\s+)?([a-z][a-z ]{0,24}?)\)?\s*:?$/i.exec(
      text,
    );
  if (
    inColour?.[1] &&
    inColour.index > 0 &&
    !/\b(rounds?|rows?|terms|pieces?|parts?|one)\b/i.test(inColour[1])
  ) {
    colour = inColour[1].trim();
    text = text.slice(0, inColour.index).trim();
  }
  // `Body, worked from the nose up`: what stands after the name of a usual part only describes it.
  // So does what stands in brackets: `Head and body (in one piece, from the feet up)`.
  const [before = '', described] = text.split(/[,;–—(]|\s-\s|[.:]\s+/, 2);
  if (
    described !== undefined &&
    before.trim().split(/\s+/).length <= 3 &&
    (make > 1 || before.split(/\s+/).some((word) => partWords.has(word.toLowerCase())))
  )
    text = before.trim();
  const colon = /[:]\s*$/.test(text);
  const name = text.replace(/[\s:.,;(–—-]+$/, '').trim();
  const words = name.split(/\s+/);
  if (!name || name.length > 48 || words.length > (marked ? 8 : 4) || !/\p{L}/u.test(name)) return null;
  // Whatever is made several times over is a part.
  const counts = make > 1 && words.length <= 2;
  const known = counts || (words.length <= 3 && words.some((word) => partWords.has(word.toLowerCase())));
  const saysMore = described !== undefined || make > 1;
  if (!marked && ((/[.!?]$/.test(line.trim()) && !(known && (saysMore || named))) || /[,;]/.test(name)))
    return null;
  const heading: Heading = {
    name,
    make,
    sure: marked || (known && (colon || make > 1 || words.length <= 2)),
  };
  if (colour) heading.colour = colour;
  return heading;
}
