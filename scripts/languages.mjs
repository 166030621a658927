import { copyFileSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './setup.mjs';

/** Lays the translations beside the app and says in its page which there are. The English list is for translators. */
const source = join(root, 'src', 'languages');
const beside = join(root, 'dist', 'languages');
const languages = readdirSync(source)
  .filter((file) => file.endsWith('.json') && file !== 'english.json')
  .map((file) => file.slice(0, -'.json'.length))
  .sort();
mkdirSync(beside, { recursive: true });
for (const language of languages)
  copyFileSync(join(source, `${language}.json`), join(beside, `${language}.json`));
const page = join(root, 'dist', 'index.html');
const named = readFileSync(page, 'utf8').replace('<html ', `<html data-languages="${languages.join(' ')}" `);
writeFileSync(page, named);
process.stdout.write(`${languages.length} languages beside English\n`);
