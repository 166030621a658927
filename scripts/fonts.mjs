import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative, sep } from 'node:path';
import { root } from './setup.mjs';

/** Asks for the fonts in the page itself, so that they come beside the script and not after it: letters that change later move buttons. */
const dist = join(root, 'dist');
const fonts = readdirSync(dist, { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile() && entry.name.endsWith('.ttf'))
  .map(
    (entry) =>
      `/${relative(dist, join(entry.parentPath ?? entry.path, entry.name))
        .split(sep)
        .join('/')}`,
  )
  .sort();
const links = fonts.map(
  (font) => `    <link rel="preload" href="${font}" as="font" type="font/ttf" crossorigin />\n`,
);
const page = join(dist, 'index.html');
writeFileSync(page, readFileSync(page, 'utf8').replace('  </head>', `${links.join('')}  </head>`));
process.stdout.write(`${fonts.length} fonts asked for at once\n`);
