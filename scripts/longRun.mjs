import { halfMadeOtter, openBrowser } from './browser.mjs';
import { demoServer } from './setup.mjs';

// How long a toy takes to open that is made with a great many taps: the page beside the maker, from the address to the stitch she is at,
// with 100,000 taps more and as it was before. The further taps go on and back in turn, so that she is where she was.
const port = 4396;
const server = await demoServer(port);
const taps = 100_000;
const packedAfterMs = 8000;

/** Puts taps on and back in turn behind what is kept of the only run of a toy that was begun with `demo`. */
const tapOnAndBack = (page, count) =>
  page.evaluate(
    (more) =>
      new Promise((resolve, reject) => {
        const opening = indexedDB.open('hoppla-runs');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const transaction = opening.result.transaction('events', 'readwrite');
          const events = transaction.objectStore('events');
          const all = events.getAllKeys();
          all.onsuccess = () => {
            const wanted = location.pathname.split('/')[2];
            const own = all.result.filter(([run]) => run === `demo-${wanted}`);
            const [run, last] = own.at(-1);
            const at = Date.now() - 3_600_000;
            for (let i = 1; i <= more; i += 1) {
              const event = i % 2 === 1 ? { kind: 'on', by: 'stitch', at } : { kind: 'back', at };
              events.put({ run, number: last + i, event });
            }
          };
          transaction.oncomplete = () => resolve(undefined);
          transaction.onerror = () => reject(transaction.error);
        };
      }),
    count,
  );

/** Seconds from the address of the page until the stitch she is at is shown. */
async function opened(page) {
  const began = Date.now();
  await page.reload({ waitUntil: 'commit' });
  await page.getByRole('button', { name: 'Go on making' }).click();
  await page.getByRole('button', { name: /done$/ }).first().waitFor();
  return (Date.now() - began) / 1000;
}

const browser = await openBrowser();
try {
  const page = await halfMadeOtter(browser, port);
  const few = await opened(page);
  await page.goBack();
  await page.getByRole('button', { name: 'Go on making' }).waitFor();
  await tapOnAndBack(page, taps);
  // All of them in one sitting: the first to open it reads a row a tap, and packs them for the next.
  const first = await opened(page);
  await page.waitForTimeout(packedAfterMs);
  await page.goBack();
  await page.getByRole('button', { name: 'Go on making' }).waitFor();
  const many = await opened(page);
  process.stdout.write(
    `a toy with ${taps} taps more opens beside the maker in ${many.toFixed(2)} s; with those of the demo in ${few.toFixed(2)} s: ${(many - few).toFixed(2)} s for the taps (the first time after all those in one sitting ${(first - few).toFixed(2)} s)\n`,
  );
} finally {
  await browser.close();
  server.kill();
}
