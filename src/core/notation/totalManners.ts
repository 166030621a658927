import { inPlace, labelled } from './mannerWords';
import { numberWords } from './tokens';

/** A line with the totals that are said for each round of its range; null where they are not. */
export interface Totalled {
  line: string;
  totals: readonly number[] | null;
}

const totalPatterns = [
  // `=> 18`, `→ 19`, `>> 18`, `... 18`, `: 18`, at the end of the line
  /(?:=>|[-–—]+>|>>|→|⇒|➔|➜|\.{3}|…)\s*(\d{1,4})\s*(?:sts?|stitches|sc)?\s*\.?\s*$/i,
  /(?<=[)\]\d])\s*:\s*(\d{1,4})\s*(?:sts?|stitches)?\s*\.?\s*$/i,
  // `(now 18 sts)`, `(sts: 18)`, `You now have 12 sts.`, `(you should have 19 sts)`
  /[[(]\s*(?:now|sts?:|stitches:|you\s+(?:should\s+|will\s+)?(?:now\s+)?have)\s*(\d{1,4})\s*(?:sts?|stitches|sc)?\s*[\])]/i,
  /(?:you\s+(?:should\s+|will\s+|['’]ll\s+)?(?:now\s+)?have)\s+(\d{1,4})\s*(?:sts?|stitches|sc)?\s*(?:now)?\s*\.?\s*$/i,
  // `around – 30 sc`
  /(?<=around|[)\]]|times|x\s*\d{1,3})\s*[–—-]\s*(\d{1,4})\s*(?:sts?|stitches|sc)\s*\.?\s*$/i,
];

/** `… into a magic ring. 6`, `(sc, inc) x 6, 18` */
const nakedTotal = /([.,])\s+(\d{1,4})$/;

/** A first round along chains, which often has no label: `Chain 7. Starting in 2nd ch from hook: …` */
const fromChains = /^\s*ch(?:ain)?s?\s*\d{1,3}\b(?=.*\bfrom\s+(?:the\s+)?hook\b)/i;

/** A number after the work of a labelled line and after its stop, or after a comma that follows a repeat. */
export function totalAfterWork(line: string): string {
  const text = line.trimEnd();
  const found = nakedTotal.exec(text);
  const label = labelled.exec(line) ?? fromChains.exec(line);
  if (!found || !label) return line;
  const work = text.slice(label[0].length, found.index);
  const isSaid =
    found[1] === '.' ? /[a-z]{2}/i.test(work) : /[)\]]\s*(?:x|×|\*)?\s*\d{1,3}(?:\s*times)?$/i.test(work);
  // What has its total in brackets or after a sign has said it.
  if (!isSaid || /[[=]/.test(work)) return line;
  return inPlace(line, found.index, text.length, `[${found[2]}]`) ?? line;
}

const tens = '(twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)';
const ones = '(one|two|three|four|five|six|seven|eight|nine)';
const teens = '(ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen)';
/** `(twenty-four)`, `(twelve sts)`, `(eighteen each)`, `: twelve stitches`, at the end of a line that has work before it. */
const totalInWords = new RegExp(
  String.raw`(?<=[a-z\d)\]]\s*)(?:[[(]\s*(?:${tens}(?:[-\s]?${ones})?|${teens}|${ones})\s*(?:sts?|stitches|sc|each|per\s+round|in\s+(?:all|total))?\s*[\])]|[:;,.–-]\s+(?:${tens}(?:[-\s]?${ones})?|${teens}|${ones})\s*(?:sts|stitches)(?:\s+in\s+(?:all|total))?)\s*\.?\s*$`,
  'i',
);

/** A total that is said in words, in figures. */
export function totalWords(line: string): string {
  const found = labelled.test(line) ? totalInWords.exec(line) : null;
  if (!found) return line;
  const count = found
    .slice(1)
    .filter(Boolean)
    .reduce((sum, word) => sum + (numberWords[word.toLowerCase()] ?? 0), 0);
  return inPlace(line, found.index, line.length, ` [${count}]`) ?? line;
}

export function totalBrackets(line: string): string {
  for (const pattern of totalPatterns) {
    const found = pattern.exec(line);
    const said =
      found &&
      inPlace(
        line,
        found.index,
        found.index + found[0].length,
        `[${found[1]}]`.padStart(found[0].length - found[0].trimStart().length + `[${found[1]}]`.length),
      );
    if (said) return said;
  }
  return line;
}

const rangeOfLine = /^\s*[a-z]*\.?\s*(\d{1,4})\s*-\s*[a-z]*\.?\s*(\d{1,4})\s*[:.)]/i;
const listedTotals =
  /(?:[[(]\s*(\d{1,4}(?:\s*(?:sts?|stitches|sc))?(?:\s*(?:[,/;–>→-]|->|and)\s*\d{1,4}(?:\s*(?:sts?|stitches|sc))?)+)\s*[)\]]|((?:[[(]\s*\d{1,4}\s*(?:sts?|stitches|sc)?\s*[)\]][\s,]*){2,}))\s*\.?\s*$/i;

/** `R5-R7: … [30, 36, 42]`, `… [30] [36] [42]`: a total for each round of the range, the last of them left in its place. */
export function totalsOfRange(line: string): Totalled {
  const range = rangeOfLine.exec(line);
  const found = range && listedTotals.exec(line);
  if (!found) return { line, totals: null };
  const totals = (found[0].match(/\d+/g) ?? []).map(Number);
  const rounds = Number(range[2]) - Number(range[1]) + 1;
  if (totals.length !== rounds) return { line, totals: null };
  const left = inPlace(line, found.index, line.length, `[${totals.at(-1)}]`);
  return left ? { line: left, totals } : { line, totals: null };
}
