import { openBrowser } from './browser.mjs';
import { demoServer } from './setup.mjs';

// Counts the drawings an assembled toy of more than 5,000 stitches is turned by, in a real browser drawing without a GPU. A frame
// that shows the same drawing as the one before doesn't count.
const port = 4396;
const seconds = 4;

const growing = [
  'R1: 6 sc in magic ring',
  'R2: inc x 6',
  ...[1, 2, 3, 4, 5, 6].map((plain) => `R${plain + 2}: (${plain} sc, inc) x 6`),
];
const part = (title, rounds, last, ...more) =>
  [title, ...more, ...growing.slice(0, rounds), `R${rounds + 1}-R${last}: sc around`, 'Stuff.', ''].join(
    '\n',
  );
const bear = [
  'Toy: Large bear\nTerms: US\n',
  part('Body', 8, 44, 'Start: bottom'),
  part('Head', 8, 34),
  part('Arm (make 2)', 4, 24),
  part('Leg (make 2)', 4, 24),
  'Assembly',
  'Sew the head to the top of the body.',
  'Sew the arms to the sides of the body on round 30.',
  'Sew the legs to the body on round 8, 6 stitches from the front.\n',
].join('\n');

/** Counts in the page, from now on, how often what is drawn is another than the frame before. */
function countDrawings() {
  const drawn = document.querySelector('[role=img][aria-label$="put together"]');
  const outline = () => [...drawn.querySelectorAll('path')].map((path) => path.getAttribute('d')).join('');
  const counted = { frames: 0, drawings: 0 };
  let last = outline();
  const look = () => {
    const now = outline();
    counted.frames += 1;
    counted.drawings += now === last ? 0 : 1;
    last = now;
    requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
  window.counted = counted;
}

const server = await demoServer(port);
const browser = await openBrowser();
try {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto(`http://127.0.0.1:${port}/`);
  await page.getByRole('button', { name: 'Paste a pattern' }).click();
  await page.getByRole('textbox', { name: 'The pattern' }).fill(bear);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await page.getByRole('tab', { name: /^Together/ }).click();
  const drawing = page.getByRole('img', { name: 'Large bear, put together' });
  await drawing.waitFor();
  await page.waitForTimeout(3000);
  const box = await drawing.boundingBox();
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + 60, y);
  await page.mouse.down();
  await page.evaluate(countDrawings);
  // Moves are not waited for: the browser takes them as it would a thumb's, as many as it can.
  const session = await page.context().newCDPSession(page);
  const reach = 240;
  const began = Date.now();
  for (let step = 0; Date.now() - began < seconds * 1000; step += 1) {
    const way = (step * 11) % (2 * reach);
    const x = box.x + 50 + Math.min(way, 2 * reach - way);
    void session.send('Input.dispatchMouseEvent', { type: 'mouseMoved', x, y, button: 'left', buttons: 1 });
    await new Promise((resume) => setTimeout(resume, 16));
  }
  const took = (Date.now() - began) / 1000;
  const { frames, drawings } = await page.evaluate(() => window.counted);
  await page.mouse.up();
  process.stdout.write(
    `assembled bear of 5,568 stitches: ${(drawings / took).toFixed(1)} new drawings and ${(frames / took).toFixed(1)} frames a second while turning, drawn without a GPU\n`,
  );
} finally {
  await browser.close();
  server.kill();
}
