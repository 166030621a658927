import { halfMadeOtter, openBrowser } from './browser.mjs';
import { demoServer } from './setup.mjs';

// How soon a tap beside the maker is answered: the browser slowed down four times, from the tap to the next picture, beside a button on
// the same page that does nothing.
const port = 4395;
const server = await demoServer(port);
const slowdown = 4;
const taps = 25;

/** What each tap takes of the page, in ms: all that is done before the next picture can be drawn. */
const busyTimes = (page, name) =>
  page.evaluate(
    async ({ label, count }) => {
      const nextFrame = () => new Promise((resolve) => requestAnimationFrame(resolve));
      const times = [];
      for (let i = 0; i < count; i += 1) {
        const button = [...document.querySelectorAll('[role=button], button')].find((one) =>
          (one.getAttribute('aria-label') ?? one.textContent ?? '').includes(label),
        );
        await nextFrame();
        const began = performance.now();
        button.click();
        // What React does after an event is done before this is.
        await Promise.resolve();
        times.push(performance.now() - began);
        await new Promise((resolve) => setTimeout(resolve, 120));
      }
      return times;
    },
    { label: name, count: taps },
  );

const middle = (numbers) => [...numbers].sort((a, b) => a - b)[Math.floor(numbers.length / 2)];
const browser = await openBrowser();
try {
  const page = await halfMadeOtter(browser, port);
  await page.getByRole('button', { name: 'Go on making' }).click();
  await page.getByRole('button', { name: 'Beside the work' }).click();
  await page.getByRole('radio', { name: 'A stitch' }).click();
  await page.getByRole('button', { name: 'Back to the work' }).first().click();
  await page.getByRole('img', { name: 'Stitch 15 of 36' }).waitFor();
  await page.evaluate(() => {
    const idle = document.createElement('button');
    idle.textContent = 'Does nothing';
    idle.addEventListener('click', () => undefined);
    document.body.append(idle);
  });
  const session = await page.context().newCDPSession(page);
  await session.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
  const idle = middle(await busyTimes(page, 'Does nothing'));
  const tapped = await busyTimes(page, 'done');
  await page.getByRole('img', { name: 'Stitch 4 of 36' }).waitFor();
  const tap = middle(tapped);
  process.stdout.write(
    `a tap beside the maker takes ${tap.toFixed(1)} ms of the page at ${slowdown} × slowdown, the slowest of ${taps} ${Math.max(...tapped).toFixed(1)} ms; a button that does nothing ${idle.toFixed(2)} ms: ${(tap / Math.max(0.01, idle)).toFixed(0)} ×; a frame is 16.7 ms\n`,
  );
} finally {
  await browser.close();
  server.kill();
}
