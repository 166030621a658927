import { execFileSync, spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';

// Every mutant of placing and fabric takes a day. This tries some of each file instead: the lines around one place in it, chosen by the
// name of the file, so that a second run tries the same ones.
const linesEach = 5;

/** A number from a text that a small change of the text changes altogether. */
const scattered = (text) =>
  [...text].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 1_000_003, 7);

/** The lines of a file to change, as the tool takes them: from the first to the last, counted from 1; null where it only says types. */
function sampleOf(file) {
  const lines = readFileSync(file, 'utf8').split('\n');
  const first = lines.findIndex((line) => /^(export )?(const|function|class) /.test(line));
  if (first < 0) return null;
  const choices = Math.max(lines.length - first - linesEach, 1);
  const from = first + 1 + (scattered(file) % choices);
  return `${file}:${from}-${Math.min(from + linesEach - 1, lines.length)}`;
}

const files = execFileSync('git', ['ls-files', 'src/core/place', 'src/core/fabric'], { encoding: 'utf8' })
  .split('\n')
  .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'));
const samples = files.map(sampleOf).filter((sample) => sample !== null);
process.stdout.write(`${linesEach} lines of each of ${samples.length} files\n`);
const { status } = spawnSync('npx', ['stryker', 'run', '--mutate', samples.join(',')], { stdio: 'inherit' });
process.exit(status ?? 1);
