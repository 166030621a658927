import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build, install, installChromium, root } from './setup.mjs';

install();
installChromium();

/** So many signs of a page are enough to see where it stood. */
const mostOfPage = 6000;

const counted = { passed: 0, failed: 0 };
const reports = {
  units: join(tmpdir(), `hoppla-units-${process.pid}.json`),
  browser: join(tmpdir(), `hoppla-browser-${process.pid}.json`),
};

/** Runs one stage; true where it ended well. Later stages still run, so that one look shows all that is wrong. */
function stage(name, command, args, env = {}) {
  process.stdout.write(`\n== ${name}\n`);
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  return status === 0;
}

/** A stage with no count of its own is one check. */
function check(ok) {
  if (ok) counted.passed += 1;
  else counted.failed += 1;
}

function read(file) {
  if (!existsSync(file)) return null;
  const report = JSON.parse(readFileSync(file, 'utf8'));
  rmSync(file);
  return report;
}

/** Prints what the pages of browser tests that failed, or failed once, were at that moment. */
function showPages(results) {
  if (!existsSync(results)) return;
  const contexts = readdirSync(results, { recursive: true }).filter((file) =>
    String(file).endsWith('error-context.md'),
  );
  for (const file of contexts) {
    process.stdout.write(`\n-- ${file}\n${readFileSync(join(results, file), 'utf8').slice(0, mostOfPage)}\n`);
  }
}

check(stage('lint', 'npm', ['run', '-s', 'lint']));
check(stage('list of words', process.execPath, ['scripts/words.mjs', '--check']));
check(stage('types', 'npx', ['tsc', '--noEmit']));
const unitsOk = stage('unit tests', 'npx', [
  'jest',
  '--ci',
  '--json',
  `--outputFile=${reports.units}`,
  '--silent',
]);
const units = read(reports.units);
counted.passed += units?.numPassedTests ?? 0;
counted.failed += units?.numFailedTests ?? 0;
if (!unitsOk && !units?.numFailedTests) counted.failed += 1;
process.stdout.write('\n== build\n');
build();
check(existsSync(join(root, 'dist', 'index.html')));
check(stage('size', process.execPath, ['scripts/size.mjs']));
const browserOk = stage(
  'browser tests',
  'npx',
  ['playwright', 'test', '--retries=1', '--reporter=line,json'],
  {
    PLAYWRIGHT_JSON_OUTPUT_FILE: reports.browser,
  },
);
showPages(join(root, 'test-results'));
const browser = read(reports.browser);
if (browser?.stats.flaky) process.stdout.write(`\n${browser.stats.flaky} passed only when tried again\n`);
counted.passed += (browser?.stats.expected ?? 0) + (browser?.stats.flaky ?? 0);
counted.failed += browser?.stats.unexpected ?? 0;
if (!browserOk && !browser?.stats.unexpected) counted.failed += 1;

process.stdout.write(`\n${counted.passed} passed, ${counted.failed} failed\n`);
process.exit(counted.failed === 0 ? 0 : 1);
