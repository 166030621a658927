import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { demoMakings, madeUpTo } from '../demo/makings';
import { readyToy } from '../src/data/keptToy';
import { root } from './setup.mjs';

/** The demo toys in the order they stand on the shelf. */
const names = ['otter', 'hedgehog', 'owl', 'toadstool', 'frog'];

// Their cards are worked out while the app is built: a phone on its first visit only shows them.
const toys = names.map((name) => {
  const text = readFileSync(join(root, 'demo', `${name}.txt`), 'utf8');
  const reached = demoMakings[name];
  return { ...readyToy(text), ...(reached ? { making: madeUpTo(text, reached) } : {}) };
});
writeFileSync(join(root, 'public', 'demo.json'), JSON.stringify(toys));
