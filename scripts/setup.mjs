import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
const kept = join(root, 'node_modules', '.cache', 'hoppla');

/** Runs a command with its output on the terminal; ends the program where it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (result.status !== 0) {
    process.stderr.write(
      `${command} ${args.join(' ')} ended with ${result.status ?? result.error?.message}\n`,
    );
    process.exit(result.status ?? 1);
  }
}

function stamp(name, value) {
  const file = join(kept, name);
  if (value === undefined) return existsSync(file) ? readFileSync(file, 'utf8') : '';
  mkdirSync(kept, { recursive: true });
  writeFileSync(file, value);
  return value;
}

const hashOf = (...contents) =>
  contents.reduce((hash, content) => hash.update(content), createHash('sha256')).digest('hex');

/** Installs the packages when they are missing or the lock file changed. */
export function install() {
  const wanted = hashOf(readFileSync(join(root, 'package-lock.json')));
  if (existsSync(join(root, 'node_modules', 'expo')) && stamp('installed') === wanted) return;
  process.stdout.write('Installing packages …\n');
  run('npm', ['ci', '--no-audit', '--no-fund']);
  stamp('installed', wanted);
}

const chromium = '/usr/bin/chromium';

/** Installs Debian's Chromium for the browser tests when there is none. */
export function installChromium() {
  if (existsSync(chromium)) return;
  process.stdout.write('Installing Chromium …\n');
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'apt-get', ...args];
    run(command, rest, { stdio: ['ignore', 'ignore', 'inherit'] });
  };
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', 'chromium');
}

function filesBelow(folder) {
  if (!existsSync(folder)) return [];
  return readdirSync(folder, { withFileTypes: true })
    .flatMap((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? filesBelow(path) : [path];
    })
    .sort();
}

/** Builds the app when anything it is made of changed. */
export function build() {
  const sources = ['app', 'src', 'demo', 'docs', 'public']
    .flatMap((folder) => filesBelow(join(root, folder)))
    .filter((file) => !/\.test\.tsx?$|\.png$|demo\.json$/.test(file));
  const configs = [
    'app.json',
    'babel.config.cjs',
    'metro.config.cjs',
    'package-lock.json',
    'tsconfig.json',
  ].map((file) => join(root, file));
  const wanted = hashOf(
    ...[...sources, ...configs].flatMap((file) => [file.slice(root.length), readFileSync(file)]),
  );
  const page = join(root, 'dist', 'index.html');
  if (existsSync(page) && statSync(page).size > 0 && stamp('built') === wanted) return;
  process.stdout.write('Building the app, a few minutes the first time …\n');
  run(process.execPath, ['--import', 'tsx', 'scripts/demoShelf.ts']);
  run('npx', ['expo', 'export', '-p', 'web', '--output-dir', 'dist'], {
    env: { ...process.env, CI: '1', EXPO_NO_TELEMETRY: '1', EXPO_OFFLINE: '1' },
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  run(process.execPath, ['scripts/fonts.mjs']);
  run(process.execPath, ['scripts/languages.mjs']);
  run(process.execPath, ['scripts/offline.mjs']);
  stamp('built', wanted);
}

/** The built app with its demo toys on a port of this machine, for what is measured and photographed in a browser. */
export async function demoServer(port) {
  install();
  installChromium();
  build();
  const server = spawn(process.execPath, ['--import', 'tsx', 'server/serve.ts', '--demo'], {
    cwd: root,
    env: { ...process.env, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((ready) => {
    server.stdout.once('data', ready);
  });
  return server;
}
