import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { brokenCorpus } from '../src/core/__tests__/brokenCorpus';
import { featureHead, fullHead } from '../src/core/__tests__/featureCorpus';
import { chance, mutated, retypings } from '../src/core/__tests__/mutate';
import { unsound } from '../src/core/__tests__/unsound';
import { limits } from '../src/core/notation/limits';
import { phrasings } from '../src/core/notation/phrasings';
import { analyseToy } from '../src/core/toy/analyse';

// Spoilt texts by the thousand, each state of typing a full head, and texts made to take long. Nothing may throw or hang, nothing may say
// what is no number. Times are of this process alone.
const folder = 'demo';
const demo = readdirSync(folder)
  .filter((name) => name.endsWith('.txt'))
  .map((name) => readFileSync(join(folder, name), 'utf8'));
const corpus = [...demo, fullHead, featureHead, ...brokenCorpus.map(([, text]) => text)];
const spoilt = Number(process.argv[2] ?? 20_000);

const processorMs = () => process.cpuUsage().user / 1000 + process.cpuUsage().system / 1000;

/** Runs texts through everything that is shown, printed and drawn, and says how it went. */
function tryAll(name: string, texts: Iterable<string>): void {
  let count = 0;
  let wrong = 0;
  let slowest = { ms: 0, text: '' };
  for (const text of texts) {
    const begun = processorMs();
    const bad = unsound(text);
    const ms = processorMs() - begun;
    count += 1;
    if (ms > slowest.ms) slowest = { ms, text };
    if (bad) {
      wrong += 1;
      process.stdout.write(`WRONG: ${bad}\n${text}\n`);
    }
  }
  process.stdout.write(
    `${name.padEnd(40)} ${String(count).padStart(6)} texts, ${wrong} that threw or said what is no number; slowest ${slowest.ms.toFixed(0)} ms with its sheets\n`,
  );
  if (wrong > 0) process.exitCode = 1;
}

function* spoiltTexts(): Generator<string> {
  for (let seed = 0; seed < spoilt; seed += 1) {
    const luck = chance(seed);
    yield mutated(luck.pick(corpus), luck);
  }
}

const times = (text: string, n: number) => Array.from({ length: n }, () => text).join('');
const heavy: readonly [string, string][] = [
  [
    'rounds, two hundred thousand signs of them',
    Array.from({ length: 9000 }, (_, i) => `R${i + 1}: sc ${i % 30}, inc`).join('\n'),
  ],
  [
    'parts of three rounds',
    Array.from(
      { length: 3500 },
      (_, i) => `Part ${i}:\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3: sc around [13]\n`,
    ).join(''),
  ],
  ['words that mean nothing', times('lorem ipsum dolor ', 11_000)],
  [
    'brackets in brackets',
    `R1: 6 sc in ring\n${Array.from({ length: 190 }, (_, i) => `R${i + 2}: ${times('(', 500)}sc${times(') x 2', 500)}`).join('\n')}`,
  ],
  ['one line', `R1: ${times('sc, inc, ', 22_000)}`],
  [
    'slips in every round',
    Array.from({ length: 7000 }, (_, i) => `R${i + 1}: (sc 2, inc) x 6 [${i % 50}]`).join('\n'),
  ],
  [
    'features',
    `Head\nR1: 6 sc in ring\nR2: inc x 6\nR3-R30: sc around\n${times('Felt cheeks, 8 mm\nSew a 10 mm button at the back between R5 and R6.\n', 2800)}`,
  ],
  [
    'rounds of three thousand stitches',
    `R1: 3000 sc in ring\n${Array.from({ length: 1900 }, (_, i) => `R${i + 2}: (sc 1, inc, sc 1, dec) x 600 [3001]`).join('\n')}`,
  ],
  ['stitches on a line, ten rounds of it', times(`R1: ${times('sc, ch 1, ', 180)}\n`, 100)],
  ['empty lines', times('\n', 199_000)],
  ['digits', times('9', 199_000)],
  [
    'repeats of repeats',
    `R1: 6 sc in ring\nR2: inc x 6\n${times('Repeat rounds 1 to 2 99999 times.\n', 5500)}`,
  ],
];

tryAll('spoilt in up to five places', spoiltTexts());
tryAll(
  'each state of typing a full head',
  [
    fullHead,
    fullHead.replace('Head\n', 'Head\nStart: left\n'),
    fullHead.replace('Head\n', 'Head\nHand: left\nStart: bottom\n'),
  ].flatMap(retypings),
);

/** Every word and sign of the texts above, until the line is full: where the work grows faster than the line, it shows here. */
function* longLines(): Generator<string> {
  const said = [...corpus, ...phrasings.flatMap(({ example }) => example)].join('\n');
  const words = new Set(said.match(/[a-z]+\.?|\d+(?:st|nd|rd|th)?|[^\sa-z0-9]+/gi));
  for (const word of words) {
    const full = (unit: string) => times(unit, Math.floor((limits.lineSigns - 20) / unit.length));
    yield `R1: 6 sc in ring\nR2: ${full(`${word} `)}. 12`;
    yield `R1: 6 sc in ring\nR2: (${full(`${word}, `)}) x 6`;
    yield full(word);
  }
}
tryAll('a word until the line is full', longLines());

process.stdout.write('\nA text of 200,000 signs at most, analysed once, in ms of processor time:\n');
for (const [name, text] of heavy) {
  const begun = processorMs();
  analyseToy(text.slice(0, 200_000));
  process.stdout.write(`${name.padEnd(46)} ${(processorMs() - begun).toFixed(0).padStart(6)} ms\n`);
}
