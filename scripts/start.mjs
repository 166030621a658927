import { openBrowser } from './browser.mjs';
import { demoServer } from './setup.mjs';

// How long a phone waits for the shelf: the browser slowed down four times, from the address to the first toy that can be tapped, on a
// first visit and on a reload. What it is compared with is a page of the same app that shows one sentence.
const port = 4394;
const server = await demoServer(port);
const slowdown = 4;
const runs = 3;
const settledMs = 6000;

/** Seconds until something can be tapped on a page, in a browser that has never been here, and again after a reload. */
async function measure(path, ready) {
  const browser = await openBrowser();
  try {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
    const wait = async (go) => {
      const began = Date.now();
      await go();
      await ready(page).click({ trial: true });
      return (Date.now() - began) / 1000;
    };
    const first = await wait(() => page.goto(`http://127.0.0.1:${port}${path}`, { waitUntil: 'commit' }));
    // What is loaded after the shelf is shown would hold up the reload: who reloads has seen the page for a while.
    await page.waitForTimeout(settledMs);
    const again = await wait(() => page.reload({ waitUntil: 'commit' }));
    return { first, again };
  } finally {
    await browser.close();
  }
}

const middle = (numbers) => [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)];
async function median(path, ready) {
  const found = [];
  for (let run = 0; run < runs; run += 1) found.push(await measure(path, ready));
  return { first: middle(found.map(({ first }) => first)), again: middle(found.map(({ again }) => again)) };
}

try {
  const empty = await median('/no/such/page', (page) => page.getByRole('button', { name: 'To the shelf' }));
  const shelf = await median('/', (page) => page.getByRole('link', { name: 'Open Pondside otter' }));
  for (const [name, key] of [
    ['first visit', 'first'],
    ['reload', 'again'],
  ]) {
    process.stdout.write(
      `${name}: the shelf of the demo toys can be tapped after ${shelf[key].toFixed(1)} s at ${slowdown} × slowdown; an empty page of the same app ${empty[key].toFixed(1)} s: ${(shelf[key] / empty[key]).toFixed(2)} ×\n`,
    );
  }
} finally {
  server.kill();
}
