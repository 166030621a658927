import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { root } from './setup.mjs';

// What a first visit loads before it shows anything, as it goes over the wire. More than this is felt on a phone.
const mostKb = 480;

const dist = join(root, 'dist');
const page = readFileSync(join(dist, 'index.html'), 'utf8');
const scripts = [...page.matchAll(/<script[^>]+src="([^"]+)"/g)].map(([, src]) => src);
const sizes = scripts.map((src) => gzipSync(readFileSync(join(dist, src))).length / 1000);
const total = sizes.reduce((sum, size) => sum + size, 0);
process.stdout.write(
  `${scripts.length} scripts to begin with, ${total.toFixed(0)} kB gzipped (at most ${mostKb})\n`,
);
if (scripts.length === 0 || total > mostKb) process.exitCode = 1;
