import { mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApp } from './app';

let server: Server;
let at = '';

beforeAll(async () => {
  const dist = mkdtempSync(join(tmpdir(), 'hoppla-dist-'));
  writeFileSync(join(dist, 'index.html'), '<!doctype html><title>Hoppla</title>');
  writeFileSync(join(dist, `entry-${'a'.repeat(32)}.js`), 'void 0;'.repeat(400));
  await new Promise<void>((ready) => { server = createApp(dist, true).listen(0, '127.0.0.1', () => ready()); });
  const address = server.address();
  at = `http://127.0.0.1:${typeof address === 'object' && address ? address.port : 0}`;
});
afterAll(() => new Promise((closed) => { server.close(closed); server.closeAllConnections(); }));

test('a deep link gets the app, with security headers', async () => {
  const response = await fetch(`${at}/toy/abc/0`);
  expect(await response.text()).toContain('Hoppla');
  expect(response.headers.get('content-security-policy')).toContain("default-src 'self'");
  expect(response.headers.get('x-content-type-options')).toBe('nosniff');
  expect(response.headers.get('cache-control')).toBe('no-cache');
});

test('files with a hash are kept for a year, and compressed', async () => {
  const response = await fetch(`${at}/entry-${'a'.repeat(32)}.js`, { headers: { 'accept-encoding': 'gzip' } });
  expect(response.headers.get('cache-control')).toContain('immutable');
  expect(response.headers.get('content-encoding')).toBe('gzip');
});

test('a file that is not there is missing, not the app', async () => {
  expect((await fetch(`${at}/gone.js`)).status).toBe(404);
});

test('the demo flag is told', async () => {
  expect(await (await fetch(`${at}/boot.json`)).json()).toEqual({ demo: true });
});
