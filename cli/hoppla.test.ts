/** @jest-environment node */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { buildSync } from 'esbuild';

const folder = mkdtempSync(join(tmpdir(), 'hoppla-cli-'));
const root = resolve(__dirname, '..');
// Built once: reading its sources anew for each of these tests takes seconds each time.
const program = join(folder, 'hoppla.cjs');
buildSync({
  entryPoints: [join(root, 'cli/hoppla.ts')],
  outfile: program,
  bundle: true,
  platform: 'node',
  format: 'cjs',
  logLevel: 'error',
});

function hoppla(verb: string, name: string, contents: string | Buffer, ...options: string[]) {
  const file = join(folder, name);
  writeFileSync(file, contents);
  const { status, stdout, stderr } = spawnSync(process.execPath, [program, verb, file, ...options], {
    cwd: root,
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
}

const head =
  'Head\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4-R8: sc around [18]\nR9: (sc, dec) x 6 [12]\nR10: dec x 6 [6]\nInsert 7 mm safety eyes between R5 and R6, 4 stitches showing\n';

test('check: a clean head, exit 0', () => {
  const { status, stdout } = hoppla('check', 'head.txt', head);
  expect(status).toBe(0);
  const answer = JSON.parse(stdout);
  expect(answer.parts[0].rounds.map((round: { worked: number }) => round.worked)).toEqual([
    6, 12, 18, 18, 18, 18, 18, 18, 12, 6,
  ]);
  expect(answer.parts[0]).toMatchObject({
    name: 'Head',
    make: 1,
    stitches: 144,
    freeEdges: [{ round: 10, loop: 'both', count: 6 }],
  });
  expect(answer.terms).toEqual({ value: 'us', source: 'words' });
});

test('check: one wrong total, exit 1, with its place and a suggestion', () => {
  const { status, stdout } = hoppla('check', 'wrong.txt', head.replace('[12]', '[13]'));
  expect(status).toBe(1);
  const [problem] = JSON.parse(stdout).problems;
  expect(problem).toMatchObject({ code: 'count-mismatch', part: 'Head', round: 2, line: 3 });
  expect(problem.suggestions[0].edits).toEqual([{ line: 3, text: 'R2: inc x 6 [12]' }]);
});

test('a binary file: exit 2, one clear line', () => {
  const { status, stdout, stderr } = hoppla(
    'check',
    'photo.jpg',
    Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16, 74, 70]),
  );
  expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
  expect(stderr.trim().split('\n')).toHaveLength(1);
  expect(stderr).toMatch(/not text/);
});

test('place and stops: the contract’s fields', () => {
  const { placements } = JSON.parse(hoppla('place', 'head.txt', head).stdout);
  expect(placements).toMatchObject([
    { part: 'Head', feature: 'eyes', unit: 1, gap: [5, 6], round: null, seat: 'foot', apart: 5, showing: 4 },
  ]);
  expect(placements[0].posts).toHaveLength(2);
  const { stops } = JSON.parse(hoppla('stops', 'head.txt', head).stdout);
  expect(stops.flatMap((stop: { acts: { act: string }[] }) => stop.acts.map((act) => act.act))).toContain(
    'seat-eyes',
  );
});

const armed =
  'Lean: 0\nBody\nR1: 6 sc in ring\nR2: inc x 6\nR3: (sc, inc) x 6\nR4: (2 sc, inc) x 6\nR5-R24: sc around\n\nArm (make 2)\nR1: 8 sc in ring\nR2-R8: sc around\n\nAssembly\nSew the arms to the body on round 20, one on each side.\n';

test('joins: units with names and sides, places by round and stitch, every edge stitch with its wall stitch', () => {
  const { status, stdout } = hoppla('joins', 'armed.txt', armed);
  expect(status).toBe(0);
  const answer = JSON.parse(stdout);
  expect(answer.units).toEqual([
    { part: 'Arm', unit: 1, name: 'left arm', side: 'left' },
    { part: 'Arm', unit: 2, name: 'right arm', side: 'right' },
  ]);
  expect(answer.joins).toMatchObject([
    { part: 'Arm', unit: 1, on: 'Body', onUnit: 1, round: 20, stitch: 6.5, side: 'left', missMm: 0 },
    { part: 'Arm', unit: 2, on: 'Body', onUnit: 1, round: 20, stitch: 18.5, side: 'right', missMm: 0 },
  ]);
  expect(answer.joins[0].covers).toEqual({ rounds: [19, 21], stitches: [5, 8] });
  expect(answer.joins[0].path.map(({ edge }: { edge: number }) => edge)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
  expect(hoppla('joins', 'armed.txt', armed, '--text').stdout).toContain(
    'Left arm: Round 20 of the body, between stitches 6 and 7',
  );
});

test('sheet: three formats; a toy document reads as its text, also where its face is placed', () => {
  const document = JSON.stringify({
    format: 'hoppla-toy',
    version: 1,
    text: head,
    made: '2026-01-01T00:00:00.000Z',
    changed: '2026-01-01T00:00:00.000Z',
  });
  expect(hoppla('sheet', 'head.hoppla.json', document).stdout).toContain('## Head');
  const placed = hoppla('place', 'head.hoppla.json', document).stdout;
  expect(JSON.parse(placed).placements).toHaveLength(1);
  expect(placed).toBe(hoppla('place', 'head.txt', head).stdout);
  expect(hoppla('sheet', 'head.txt', head, '--format', 'html').stdout).toContain('<article');
  expect(hoppla('sheet', 'head.txt', head, '--format', 'txt').stdout).toContain('HEAD');
});

test('no verb, or a file that is not there: exit 2', () => {
  expect(hoppla('guess', 'head.txt', head).status).toBe(2);
  const { status, stderr } = spawnSync(process.execPath, [program, 'check', '/nowhere.txt'], {
    cwd: root,
    encoding: 'utf8',
  });
  expect(status).toBe(2);
  expect(stderr).toMatch(/can't be opened/);
});

test('shape: the relaxed form in mm and ml, by the gauge and the firmness asked for', () => {
  const { status, stdout } = hoppla('shape', 'head.txt', head);
  expect(status).toBe(0);
  const [part] = JSON.parse(stdout).parts;
  expect(part).toMatchObject({ name: 'Head' });
  expect(part.rounds.map((round: { round: number; count: number }) => [round.round, round.count])).toEqual([
    [1, 6],
    [2, 12],
    [3, 18],
    [4, 18],
    [5, 18],
    [6, 18],
    [7, 18],
    [8, 18],
    [9, 12],
    [10, 6],
  ]);
  // Eighteen stitches of 5 mm go around a part 28.6 mm wide; stuffing stretches its middle a little.
  expect(part.widthMm).toBeGreaterThan(28);
  expect(part.widthMm).toBeLessThan(31.5);
  expect(part.rounds[9].heightMm).toBeGreaterThan(part.rounds[4].heightMm);
  const twice = JSON.parse(
    hoppla('shape', 'head.txt', head, '--gauge', '10,8.2', '--firmness', 'medium').stdout,
  ).parts[0];
  const medium = JSON.parse(hoppla('shape', 'head.txt', head, '--firmness', 'medium').stdout).parts[0];
  expect(Math.abs(twice.volumeMl / medium.volumeMl / 8 - 1)).toBeLessThan(0.02);
  expect(hoppla('shape', 'head.txt', head, '--text').stdout).toMatch(/^Head: \d+ mm wide, \d+ high/);
});

test('pattern: written out for another maker, and read back to the same', () => {
  const uk = hoppla('pattern', 'head.txt', head, '--terms', 'uk', '--format', 'txt');
  expect(uk.stdout).toContain('Terms: UK');
  expect(uk.stdout).toContain('// STOP after round');
  const counts = (text: string) =>
    JSON.parse(hoppla('check', 'again.txt', text).stdout).parts.map(
      (part: { rounds: { worked: number }[] }) => part.rounds.map(({ worked }) => worked),
    );
  expect(counts(uk.stdout)).toEqual(counts(head));
  expect(hoppla('pattern', 'head.txt', head).stdout).toMatch(/^# /);
  expect(hoppla('pattern', 'head.txt', head, '--format', 'html').stdout).toMatch(/^<!doctype html>/);
});

test('stops: for small or large hands', () => {
  const tube =
    'Gauge: 5 mm x 5 mm\nLeg\nR1: 6 sc in ring\nR2: inc x 6\nR3-R12: sc around\nR13: dec x 6\nStuff.';
  const first = (...options: string[]) =>
    JSON.parse(hoppla('stops', 'leg.txt', tube, ...options).stdout).stops[0].openingMm;
  expect(first('--hands', 'usual')).toBe(first());
  expect(JSON.parse(hoppla('stops', 'leg.txt', tube, '--hands', 'small').stdout)).not.toEqual(
    JSON.parse(hoppla('stops', 'leg.txt', tube).stdout),
  );
});

test.each([
  ['--gauge', 'thick'],
  ['--gauge', '5'],
  ['--firmness', 'hard'],
  ['--hands', 'huge'],
  ['--terms', 'french'],
  ['--hand', 'both'],
])('shape refuses %s %s in one line, exit 2', (option, value) => {
  const { status, stderr } = hoppla('shape', 'head.txt', head, option, value);
  expect(status).toBe(2);
  expect(stderr.trim().split('\n')).toHaveLength(1);
});

test('place: on a head worked from the side each post names its own line of holes', () => {
  const side = head
    .replace('Head\n', 'Head\nStart: left\n')
    .replace(
      'Insert 7 mm safety eyes between R5 and R6, 4 stitches showing',
      'Eyes: 7 mm, between R4 and R5 and between R7 and R8. Mouth: 2 stitches below the eyes, 3 rounds wide.',
    );
  const { stdout } = hoppla('place', 'side.txt', side);
  const { placements, markers } = JSON.parse(stdout);
  // Half the length lies on line 5.9, so a mouth of three rounds goes from line 4 to line 7, as the eyes do.
  expect(
    placements.map(
      ({
        feature,
        apart,
        posts,
      }: {
        feature: string;
        apart: number | null;
        posts: { side: string; gap: number[]; of: number }[];
      }) => [feature, apart, posts.map(({ side: at, gap, of }) => [at, gap, of])],
    ),
  ).toEqual([
    [
      'eyes',
      3,
      [
        ['left', [4, 5], 18],
        ['right', [7, 8], 18],
      ],
    ],
    [
      'mouth',
      null,
      [
        ['middle', [4, 5], 18],
        ['middle', [7, 8], 18],
      ],
    ],
  ]);
  expect(markers.map(({ round }: { round: number }) => round)).toEqual([5, 5, 8, 8]);
  expect(hoppla('place', 'side.txt', side, '--text').stdout).toContain(
    'eyes between 4 and 5 and between 7 and 8, left ',
  );
});

describe('what is asked for wrongly is refused in one line', () => {
  const run = (...args: string[]) => {
    const { status, stdout, stderr } = spawnSync(process.execPath, [program, ...args], {
      cwd: root,
      encoding: 'utf8',
      timeout: 30_000,
    });
    return { status, stdout, lines: stderr.trim().split('\n'), stderr };
  };
  const file = join(folder, 'asked.txt');
  const fifo = join(folder, 'fifo');
  beforeAll(() => {
    writeFileSync(file, head);
    spawnSync('mkfifo', [fifo]);
  });

  test.each([
    ['a verb every object has', ['__proto__', file], /^Use: /],
    ['another of those', ['constructor', file], /^Use: /],
    ['an option there is none of', ['check', file, '--frmat', 'md'], /--frmat/],
    ['an option without its word', ['sheet', file, '--format'], /--format/],
    ['a format there is none of', ['sheet', file, '--format', 'pdf'], /--format pdf: say md, html or txt/],
    ['a folder', ['check', folder], /this is no file/],
    ['a pipe that nobody writes to', ['check', fifo], /this is no file/],
    ['a device without end', ['check', '/dev/zero'], /this is no file/],
    ['a name with signs that steer a terminal', ['check', '/no\u001b[31m/where\nat all'], /can't be opened/],
  ])('%s', (_, args, why) => {
    const { status, stdout, lines, stderr } = run(...args);
    expect({ status, stdout, lines: lines.length }).toEqual({ status: 2, stdout: '', lines: 1 });
    expect(stderr).toMatch(why);
    expect(stderr).not.toMatch(/\u001b|\s+at .*\(/);
  });

  test('several files: an object a line with its file; one that can’t be read takes nothing from the others', () => {
    const { status, stdout, lines } = run('check', file, '/nowhere.txt', file);
    expect([status, lines.length]).toEqual([2, 1]);
    const answers = stdout
      .trim()
      .split('\n')
      .map((line) => JSON.parse(line) as { file: string; parts: unknown[] });
    expect(answers.map((answer) => [answer.file, answer.parts.length])).toEqual([
      [file, 1],
      [file, 1],
    ]);
  });
});

test('signs that steer a terminal are not handed on to it with --text', () => {
  const { stdout } = hoppla(
    'check',
    'steer.txt',
    'Head\u009b31m \u202e\nR1: 6 sc in ring [7]\u007f\n',
    '--text',
  );
  expect(stdout).toContain('Round 1 says 7');
  expect(stdout).not.toMatch(/[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u202e]/);
});

test('a reader who goes away early is no failure', () => {
  const file = join(folder, 'long.txt');
  writeFileSync(
    file,
    `Head\nR1: 60 sc in ring\n${Array.from({ length: 900 }, (_, i) => `R${i + 2}: sc around [61]`).join('\n')}`,
  );
  const { stderr, stdout } = spawnSync(
    'bash',
    ['-c', `'${process.execPath}' '${program}' check '${file}' | head -c 20`],
    { cwd: root, encoding: 'utf8' },
  );
  expect([stdout.length, stderr]).toEqual([20, '']);
});
