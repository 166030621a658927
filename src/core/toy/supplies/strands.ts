import type { ToyAnalysis } from '../analysis';

const counts: Readonly<Record<string, number>> = {
  one: 1,
  1: 1,
  single: 1,
  two: 2,
  2: 2,
  double: 2,
  doubled: 2,
  three: 3,
  3: 3,
  triple: 3,
  tripled: 3,
  four: 4,
  4: 4,
};
const many = String.raw`(one|1|single|two|2|double|three|3|triple|four|4)`;
const asOne = String.raw`(?:together|throughout|at\s+(?:once|a\s+time|the\s+same\s+time))`;
/** `Held double`, `hold two strands together`, `use a double strand`, `two strands of yarn at once` */
const held: readonly RegExp[] = [
  /\b(?:held|hold(?:ing)?)\s+(?:(?:the|your|both|all)\s+)?(?:yarns?\s+|wool\s+|it\s+)?(doubled?|tripled?)\b(?!\s+strand)/i,
  new RegExp(String.raw`\b${many}[\s-]+strands?\b[^.;]{0,60}?\b${asOne}\b`, 'i'),
  new RegExp(
    String.raw`\b(?:hold(?:ing)?|held|work(?:ed|ing)?|us(?:e|ed|ing)|crochet(?:ed|ing)?|made\s+with)\b[^.;]{0,40}?\b${many}[\s-]+strand(?:s|ed)?\b`,
    'i',
  ),
  /\b(?:yarn|wool|cotton)\s+(?:is\s+|used\s+)?(doubled|tripled)\b/i,
  /\b(double|triple)[\s-]+stranded\b/i,
];
/** In what stands behind a yarn's name there is nothing else to be many. */
const ofYarn = new RegExp(String.raw`\b${many}[\s-]+strand(?:s|ed)?\b`, 'i');
/** Strands that are no yarn of a round: what is stitched, sewn or knotted in. */
const otherStrands =
  /\b(?:embroider\w*|sew\w*|floss|thread\w*|whiskers?|fringes?|tassels?|hair|mane|knot\w*|attach\w*|tie\w*|hang\w*|braid\w*|plait\w*|string\w*|join\w*|cords?|cut|split|needle|mouth|nose|brows?|lashes|eyes?)\b/i;
/** `One strand of A and one of B`: how much of each the words leave open to us. */
const mixed = /\b(?:one|a|1)\s+strand\b[^.;]*\b(?:and|with)\s+(?:one|a|another|1)\b/i;

function strandsIn(words: string, patterns: readonly RegExp[]): number | null {
  for (const pattern of patterns) {
    const found = pattern.exec(words)?.[1]?.toLowerCase();
    if (found !== undefined) return counts[found] ?? null;
  }
  return null;
}

const strandWords = new RegExp(
  String.raw`\b(?:held|hold)\s+(?:doubled?|tripled?)\b|\b${many}[\s-]+strand(?:s|ed)?\b(?:\s+(?:held|used))?(?:\s+together)?|\b(?:doubled|tripled)\b`,
  'gi',
);

/** What a yarn is, by whatever many strands it is worked: `medium, grey, held double` is bought as `medium, grey`. */
export const withoutStrands = (kind: string): string =>
  kind
    .replace(strandWords, '')
    .split(',')
    .map((clause) => clause.trim())
    .filter(Boolean)
    .join(', ');

/** Strands that are held together, as the text says it. */
export interface Strands {
  /** by the line, counted from 1: `yarn` by its name where only that one is meant */
  said: { line: number; strands: number; yarn: string | null; everywhere: boolean }[];
  /** what speaks of strands of several yarns, in the maker's words */
  mixed: string[];
}

type Told = Pick<ToyAnalysis, 'text' | 'pattern'>;
/** By the pattern it is read from: every part and every yarn of it asks. */
const known = new WeakMap<ToyAnalysis['pattern'], Strands>();

/** What a text says of strands held together, line by line. */
export function strandsOf(toy: Told): Strands {
  const found = known.get(toy.pattern) ?? readStrands(toy);
  known.set(toy.pattern, found);
  return found;
}

/** Whether a line stands between the heading of a part and its first round: what is so throughout is so in that part. */
function beginsPart(parts: ToyAnalysis['pattern']['parts'], line: number): boolean {
  return parts.some((part) => part.line <= line && line < (part.rounds[0]?.line ?? 0));
}

function readStrands({ text, pattern }: Told): Strands {
  const { yarns } = pattern.header;
  const told: Strands = { said: [], mixed: [] };
  const ofYarns = new Map(yarns.map((yarn) => [yarn.line, yarn]));
  for (const [i, line] of text.split(/\r\n|\n|\r/).entries()) {
    const yarn = ofYarns.get(i + 1);
    if (yarn) {
      const strands = strandsIn(yarn.value, [...held, ofYarn]);
      if (strands !== null) told.said.push({ line: i + 1, strands, yarn: yarn.name, everywhere: true });
      continue;
    }
    if (/^\s*\/\//.test(line)) continue;
    for (const sentence of line.split(/[.;](?!\d)/)) {
      if (otherStrands.test(sentence)) continue;
      if (mixed.test(sentence)) {
        told.mixed.push(sentence.trim());
        continue;
      }
      const strands = strandsIn(sentence, held);
      if (strands === null) continue;
      const named = yarns.find(({ name }) => namesYarn(sentence, 'of', name));
      const ofAll = /\b(?:all\s+(?:the\s+)?(?:parts|pieces|of\s+it)|whole\s+toy|everything)\b/i.test(
        sentence,
      );
      const everywhere = ofAll || (/\bthroughout\b/i.test(sentence) && !beginsPart(pattern.parts, i + 1));
      told.said.push({ line: i + 1, strands, yarn: named?.name ?? null, everywhere });
    }
  }
  return told;
}

const escaped = (words: string): string => words.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`);

/**
 * Whether a sentence names a yarn behind a word such as `of`. One that is called by a letter is written as that: `with a needle` names no
 * yarn A.
 */
export function namesYarn(words: string, behind: string, name: string): boolean {
  const named = new RegExp(
    String.raw`\b${behind}\s+(?:the\s+)?(?:yarn\s+)?(${escaped(name)})(?![\w-])`,
    'gi',
  );
  return [...words.matchAll(named)].some(([, said]) => name.length > 1 || said === name);
}

/**
 * How many strands of a yarn a part is worked with; 1 where the text says nothing.
 *
 * @param yarn by its name, as among what the toy takes
 * @param partLine the line the part begins on; what stands over all parts is for each of them
 */
export function strandsFor(
  { said }: Strands,
  yarn: string,
  { partLine, lines }: { partLine: number; lines: readonly number[] },
): number {
  const first = Math.min(...lines);
  const next = Math.min(...lines.filter((line) => line > partLine), Number.POSITIVE_INFINITY);
  const counting = said.filter(({ line, yarn: only, everywhere }) => {
    const isHere = everywhere || line < first || (line >= partLine && line < next);
    return isHere && (only === null || only.toLowerCase() === yarn.toLowerCase());
  });
  // What is said of the part itself holds over what is said of all.
  const own = counting.filter(({ line, everywhere }) => !everywhere && line >= partLine);
  return (own.at(-1) ?? counting.at(-1))?.strands ?? 1;
}
