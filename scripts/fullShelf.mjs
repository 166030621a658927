import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openBrowser } from './browser.mjs';
import { demoServer, root } from './setup.mjs';

// A shelf of 200 toys beside one of five, the browser slowed down four times: how long until the first can be tapped after a reload, and
// how many frames it shows while it is scrolled.
const port = 4397;
const slowdown = 4;
const many = 200;
const scrolledMs = 4000;
const server = await demoServer(port);

/** The demo toys over and over, each under a name of its own. */
function toysOf(count) {
  const demo = JSON.parse(readFileSync(join(root, 'public', 'demo.json'), 'utf8'));
  return Array.from({ length: count }, (_, i) => {
    const { making: _making, ...toy } = demo[i % demo.length];
    const again = Math.floor(i / demo.length);
    return again === 0 ? toy : JSON.parse(JSON.stringify(toy).replaceAll('Pondside', `Pond ${again}`));
  });
}

async function measure(count) {
  const browser = await openBrowser();
  try {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await page.route('**/demo.json', (route) => route.fulfill({ json: toysOf(count) }));
    await page.goto(`http://127.0.0.1:${port}/`);
    const first = page.getByRole('link', { name: 'Open Pondside otter' });
    await first.waitFor();
    await page.waitForTimeout(8000);
    const session = await page.context().newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: slowdown });
    const began = Date.now();
    await page.reload({ waitUntil: 'commit' });
    await first.click({ trial: true });
    const seconds = (Date.now() - began) / 1000;
    await page.waitForTimeout(8000);
    const cards = await page.getByRole('link', { name: /^Open / }).count();
    await page.evaluate(() => {
      window.frames = [];
      const mark = (at) => {
        window.frames.push(at);
        requestAnimationFrame(mark);
      };
      requestAnimationFrame(mark);
    });
    const from = Date.now();
    for (let turn = 0; Date.now() - from < scrolledMs; turn += 1) {
      await page.mouse.move(190, 420);
      await page.mouse.wheel(0, turn % 60 < 40 ? 160 : -160);
    }
    const frames = await page.evaluate(() => window.frames);
    const gaps = frames.slice(1).map((at, i) => at - frames[i]);
    gaps.sort((a, b) => a - b);
    return {
      cards,
      seconds,
      perSecond: (1000 * gaps.length) / (frames.at(-1) - frames[0]),
      late: gaps[Math.floor(gaps.length * 0.95)],
    };
  } finally {
    await browser.close();
  }
}

try {
  const few = await measure(5);
  const full = await measure(many);
  process.stdout.write(
    `shelf of ${full.cards}: can be tapped ${full.seconds.toFixed(2)} s after a reload at ${slowdown} × slowdown; one of ${few.cards} ${few.seconds.toFixed(2)} s: ${(full.seconds / few.seconds).toFixed(2)} ×\n` +
      `scrolled: ${full.perSecond.toFixed(1)} frames a second, 95 of 100 within ${full.late.toFixed(1)} ms; one of ${few.cards} ${few.perSecond.toFixed(1)}, ${few.late.toFixed(1)} ms: ${(full.perSecond / few.perSecond).toFixed(2)} ×\n`,
  );
} finally {
  server.kill();
}
