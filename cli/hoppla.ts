import { parseArgs } from 'node:util';
import { handsBySize, type HandSize } from '../src/core/plan/hands';
import { plannedForHands } from '../src/core/toy/planToy';
import { safetyOf } from '../src/core/toy/safetyOf';
import type { Firmness } from '../src/core/shape/stuffed';
import { unfolded } from '../src/core/notation/unfold';
import { setToyHeader } from '../src/core/notation/editText';
import { printable, readText, Refusal } from './files';
import { analyseToy, plainVerbs, verbs, type Options } from './verbs';

/** The text with the gauge asked for in place of its own: `--gauge 5,4.8`. */
function withGauge(text: string, gauge: string | undefined): string {
  if (gauge === undefined) return text;
  const [width, height] = gauge.split(/[,x]/).map(Number);
  const isStitch = (mm: number | undefined): mm is number => mm !== undefined && mm >= 0.5 && mm <= 60;
  if (!isStitch(width) || !isStitch(height))
    throw new Refusal(
      `--gauge ${gauge}: give the stitch width and the round height in mm, each from 0.5 to 60, for example --gauge 5,4.8.`,
    );
  const line = `Gauge: ${width} mm x ${height} mm`;
  // At the end where there was none, so that every line keeps its number.
  return analyseToy(text).pattern.header.gauge
    ? setToyHeader(text, 'Gauge', line.slice('Gauge: '.length))
    : `${text.trimEnd()}\n${line}\n`;
}

const firmnesses: readonly Firmness[] = ['light', 'medium', 'firm', 'none'];
const handSizes: readonly HandSize[] = ['small', 'usual', 'large'];
const formats = ['md', 'html', 'txt'] as const;

/** One of the words an option may have. */
function oneOf<W extends string>(option: string, said: string, words: readonly W[]): W {
  const found = words.find((word) => word === said);
  if (!found)
    throw new Refusal(`--${option} ${said}: say ${words.slice(0, -1).join(', ')} or ${words.at(-1)}.`);
  return found;
}

const usage = `Use: npm run -s hoppla -- <${Object.keys(verbs).join('|')}> FILE… [--text] [--format md|html|txt] [--gauge W,H] [--firmness light|medium|firm|none] [--hands small|usual|large] [--terms us|uk] [--hand right|left]`;

function readArguments() {
  try {
    return parseArgs({
      allowPositionals: true,
      options: {
        text: { type: 'boolean', default: false },
        format: { type: 'string', default: 'md' },
        gauge: { type: 'string' },
        firmness: { type: 'string' },
        hands: { type: 'string' },
        terms: { type: 'string' },
        hand: { type: 'string' },
      },
    });
  } catch (reason) {
    // `Unknown option '--frmat'. To specify …`: its first sentence is what helps.
    const why =
      reason instanceof Error ? reason.message.split(/\.\s|\n/)[0] : 'The command could not be read';
    throw new Refusal(`${why}. ${usage}`);
  }
}

/** What is asked of one file. */
interface Question {
  verb: string;
  file: string;
  /** one of several files */
  isAmongOthers: boolean;
  gauge: string | undefined;
}

/** What a verb prints for one file; with several files each answer is an object on a line of its own that names its file. */
function answer(
  { verb, file, isAmongOthers, gauge }: Question,
  options: Options,
): { output: string; wrong: boolean } {
  // A page that lost its line ends is read as if each round had a line of its own; places are told in the file as it is.
  const { text, from } = unfolded(readText(file));
  const toy = plannedForHands(analyseToy(withGauge(text, gauge)), options.hands);
  const inFile = (key: string, value: unknown): unknown =>
    key === 'line' && typeof value === 'number' ? (from[value - 1] ?? value) : value;
  const isStopped = verb === 'safety' && safetyOf(toy).findings.some(({ severity }) => severity === 'error');
  const wrong = isStopped || toy.problems.some((problem) => problem.severity === 'error');
  if (options.text) {
    const words = plainVerbs[verb]?.(toy, options) ?? '';
    return {
      output: printable(isAmongOthers ? `${file}\n${words.trimEnd()}\n` : `${words.trimEnd()}`),
      wrong,
    };
  }
  const found = verbs[verb]?.(toy, options);
  if (isAmongOthers)
    return {
      output: JSON.stringify(
        { file, ...(typeof found === 'string' ? { [verb]: found } : (found as object)) },
        inFile,
      ),
      wrong,
    };
  return { output: typeof found === 'string' ? found.trimEnd() : JSON.stringify(found, inFile, 2), wrong };
}

const say = (line: string) => process.stderr.write(`${printable(line).replace(/\s+/g, ' ')}\n`);

function run(): number {
  const { values, positionals } = readArguments();
  const [verb = '', ...files] = positionals;
  if (!Object.hasOwn(verbs, verb) || files.length === 0) throw new Refusal(usage);
  const options: Options = {
    text: values.text,
    format: oneOf('format', values.format, formats),
    firmness: values.firmness === undefined ? undefined : oneOf('firmness', values.firmness, firmnesses),
    hands: handsBySize[oneOf('hands', values.hands ?? 'usual', handSizes)],
    terms: values.terms === undefined ? undefined : oneOf('terms', values.terms, ['us', 'uk'] as const),
    hand: values.hand === undefined ? undefined : oneOf('hand', values.hand, ['right', 'left'] as const),
  };
  let code = 0;
  for (const file of files) {
    try {
      const { output, wrong } = answer(
        { verb, file, isAmongOthers: files.length > 1, gauge: values.gauge },
        options,
      );
      process.stdout.write(`${output}\n`);
      if (wrong) code = Math.max(code, 1);
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason;
      say(reason.message);
      code = 2;
    }
  }
  return code;
}

// Who reads the answer may stop in the middle of it, as `head` does.
process.stdout.on('error', (reason: NodeJS.ErrnoException) => process.exit(reason.code === 'EPIPE' ? 0 : 2));

try {
  process.exitCode = run();
} catch (reason) {
  if (!(reason instanceof Refusal)) throw reason;
  say(reason.message);
  process.exitCode = 2;
}
