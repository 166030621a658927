import { spawn, type ChildProcess } from 'node:child_process';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { createApp } from './app';
import { portWanted } from './port';

let server: Server;
let at = '';

beforeAll(async () => {
  const dist = mkdtempSync(join(tmpdir(), 'hoppla-dist-'));
  writeFileSync(join(dist, 'index.html'), '<!doctype html><title>Hoppla</title>');
  writeFileSync(join(dist, `entry-${'a'.repeat(32)}.js`), 'void 0;'.repeat(400));
  await new Promise<void>((ready) => {
    server = createApp(dist, true).listen(0, '127.0.0.1', () => ready());
  });
  const address = server.address();
  at = `http://127.0.0.1:${typeof address === 'object' && address ? address.port : 0}`;
});
afterAll(
  () =>
    new Promise((closed) => {
      server.close(closed);
      server.closeAllConnections();
    }),
);

test('a deep link gets the app, with security headers', async () => {
  const response = await fetch(`${at}/toy/abc/0`);
  expect(await response.text()).toContain('Hoppla');
  expect(response.headers.get('content-security-policy')).toContain("default-src 'self'");
  expect(response.headers.get('x-content-type-options')).toBe('nosniff');
  expect(response.headers.get('cache-control')).toBe('no-cache');
});

test('files with a hash are kept for a year, and compressed', async () => {
  const response = await fetch(`${at}/entry-${'a'.repeat(32)}.js`, {
    headers: { 'accept-encoding': 'gzip' },
  });
  expect(response.headers.get('cache-control')).toContain('immutable');
  expect(response.headers.get('content-encoding')).toBe('gzip');
});

test('a file that is not there is missing, not the app', async () => {
  expect((await fetch(`${at}/gone.js`)).status).toBe(404);
});

test('the demo flag is told', async () => {
  expect(await (await fetch(`${at}/boot.json`)).json()).toEqual({ demo: true });
});

test('below a folder whose name begins with a dot every page is there', async () => {
  const dist = join(mkdtempSync(join(tmpdir(), '.hoppla-')), 'dist');
  mkdirSync(dist);
  writeFileSync(join(dist, 'index.html'), '<!doctype html><title>Hoppla</title>');
  const other = createApp(dist, false).listen(0, '127.0.0.1');
  await new Promise((ready) => {
    other.once('listening', ready);
  });
  const address = other.address();
  const response = await fetch(
    `http://127.0.0.1:${typeof address === 'object' && address ? address.port : 0}/toy/abc`,
  );
  expect([response.status, await response.text()]).toEqual([200, expect.stringContaining('Hoppla')]);
  await new Promise((closed) => {
    other.close(closed);
    other.closeAllConnections();
  });
});

test.each(['/%E0%A4%A', '/%', '/toy/%C0%AF', '/a.b/%%', '/..%2f..%2fetc/passwd', '/x%00.js'])(
  'an odd address, %s, gets the app or one line, never how the server is made',
  async (path) => {
    const response = await fetch(`${at}${path}`);
    expect(response.status).toBeLessThan(500);
    const said = await response.text();
    if (response.status === 200) expect(said).toContain('<title>Hoppla</title>');
    else expect(said.split('\n')).toHaveLength(1);
    expect(said).not.toMatch(/ at |node_modules|Error|root:/);
  },
);

test('a port is a whole number up to 65535, the usual one where none is said, any free one for 0', () => {
  expect([undefined, '', ' 8080 ', '0', '65535'].map(portWanted)).toEqual([4173, 4173, 8080, 0, 65535]);
  for (const odd of ['65536', '-1', '80.5', '1e3', 'eighty', '0x50', '9'.repeat(40), '\u001b[31m']) {
    const said = portWanted(odd);
    expect(said).toMatch(/^PORT=.*a port is a whole number/);
    expect(said).not.toContain('\u001b');
  }
});

/** Starts the real server and collects what it says. */
function started(port: string): Promise<{ said: string; child: ChildProcess }> {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/serve.ts'], {
    cwd: resolve(__dirname, '..'),
    env: { ...process.env, PORT: port },
  });
  let said = '';
  return new Promise((ready) => {
    const hear = (piece: Buffer) => {
      said += String(piece);
      if (said.includes('ready')) ready({ said, child });
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('exit', () => ready({ said, child }));
  });
}

test('where the port is taken it says that the toys stay at the other address; an odd port is refused', async () => {
  const taken = Number(new URL(at).port);
  const { said, child } = await started(String(taken));
  child.kill();
  expect(said).toContain(`Port ${taken} is taken`);
  expect(said).toContain(`http://localhost:${taken} are not on the shelf`);
  const odd = await started('eighty');
  expect(odd.said.trim().split('\n')).toHaveLength(1);
  expect(odd.child.exitCode).toBe(2);
}, 30_000);
