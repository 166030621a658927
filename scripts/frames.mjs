import { openBrowser } from './browser.mjs';
import { demoServer } from './setup.mjs';

// Counts the frames the form view draws while it is turned, in a real browser drawing without a GPU.
const port = 4393;
const server = await demoServer(port);
const browser = await openBrowser();
try {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.addInitScript(() => {
    window.drawn = 0;
    const original = WebGL2RenderingContext.prototype.clear;
    WebGL2RenderingContext.prototype.clear = function clear(mask) {
      window.drawn += 1;
      return original.call(this, mask);
    };
  });
  await page.goto(`http://127.0.0.1:${port}/`);
  await page.getByRole('link', { name: 'Open Pondside otter' }).click();
  await page.getByRole('link', { name: 'Open Head' }).click();
  await page.getByRole('tab', { name: 'Form' }).click();
  const canvas = page.locator('canvas[data-ready=yes]');
  await canvas.waitFor();
  await page.waitForTimeout(4000);
  const box = await canvas.boundingBox();
  await page.mouse.move(box.x + 60, box.y + box.height / 2);
  await page.mouse.down();
  await page.evaluate(() => {
    window.drawn = 0;
  });
  const began = Date.now();
  for (let turn = 0; Date.now() - began < 4000; turn += 1)
    await page.mouse.move(box.x + 60 + ((turn * 6) % 260), box.y + box.height / 2);
  const seconds = (Date.now() - began) / 1000;
  const frames = await page.evaluate(() => window.drawn);
  await page.mouse.up();
  process.stdout.write(
    `otter's head, ${(frames / seconds).toFixed(1)} frames a second while turning, drawn without a GPU\n`,
  );
} finally {
  await browser.close();
  server.kill();
}
