import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { demoServer, root } from './setup.mjs';

const port = 4391;
const server = await demoServer(port);
const folder = join(root, 'docs', 'screenshots');
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
});

async function open(width, height, colorScheme = 'light') {
  const context = await browser.newContext({
    viewport: { width, height },
    colorScheme,
    reducedMotion: 'reduce',
  });
  const page = await context.newPage();
  await page.goto(`http://127.0.0.1:${port}/`);
  await page.getByRole('link', { name: 'Open Pondside otter' }).waitFor();
  await page.evaluate(() => document.fonts.ready);
  return page;
}
const shot = async (page, name) => {
  await page.waitForTimeout(700);
  await page.screenshot({ path: join(folder, `${name}.png`) });
};

const phone = await open(390, 844);
await shot(phone, 'shelf');
await phone.getByRole('link', { name: 'Open Pondside otter' }).click();
await phone.getByRole('link', { name: 'Open Head' }).waitFor();
await shot(phone, 'toy');
await phone.getByRole('link', { name: 'Open Head' }).click();
await shot(phone, 'rounds');
await phone.getByRole('tab', { name: 'Map' }).click();
await shot(phone, 'map');
await phone.getByRole('tab', { name: 'Form' }).click();
await phone.locator('canvas[data-ready=yes]').waitFor();
await phone.getByText('Settling …').waitFor({ state: 'detached' });
await phone.waitForTimeout(1500);
await shot(phone, 'form');
await phone.getByRole('tab', { name: 'Stops' }).click();
await shot(phone, 'stops');
await phone.getByRole('button', { name: /^Back to/ }).click();
await phone.getByRole('tab', { name: /^Together/ }).click();
await shot(phone, 'together');
await phone.getByRole('button', { name: 'Left arm: sew it, stitch by stitch' }).click();
await phone
  .getByRole('group', { name: 'Left arm', exact: true })
  .getByRole('heading')
  .scrollIntoViewIfNeeded();
await phone.getByRole('img', { name: 'Left arm, how it is joined' }).scrollIntoViewIfNeeded();
await shot(phone, 'join');
await phone.getByRole('tab', { name: 'Yarn' }).click();
await phone.getByRole('radio', { name: 'Bulky, chunky' }).click();
await phone.getByRole('button', { name: 'Work it in this' }).scrollIntoViewIfNeeded();
await shot(phone, 'yarn');
await phone.getByRole('tab', { name: 'Sheet' }).click();
await shot(phone, 'sheet');
await phone.getByRole('button', { name: 'The pattern for others' }).click();
await phone
  .getByText(/^STOP after round 23/)
  .first()
  .scrollIntoViewIfNeeded();
await shot(phone, 'others');
await phone.getByRole('button', { name: 'Back to the sheet' }).click();
await phone.getByRole('tab', { name: 'Make' }).click();
await phone.getByRole('button', { name: 'Begin making' }).click();
for (const label of ['Round 1 done', 'Round 2 done', 'Repeat done', 'Repeat done', 'Repeat done'])
  await phone.getByRole('button', { name: label }).click();
await shot(phone, 'make');
await phone.getByRole('button', { name: 'Beside the work' }).click();
await phone.getByRole('radio', { name: 'A round' }).click();
await phone.getByRole('button', { name: 'Back to the work' }).first().click();
for (let round = 3; round <= 23; round += 1)
  await phone.getByRole('button', { name: `Round ${round} done` }).click();
await shot(phone, 'halt');
await phone.getByRole('button', { name: 'Leave the work' }).click();
await phone.getByRole('link', { name: 'Logbook' }).click();
await phone.getByRole('heading', { name: 'Logbook' }).waitFor();
await shot(phone, 'logbook');
await phone.getByRole('button', { name: 'Back to the making' }).click();
await phone.getByRole('tab', { name: 'Parts' }).click();
await phone.getByRole('link', { name: 'Child-safe' }).click();
await phone.getByRole('radio', { name: 'Under 3' }).click();
await shot(phone, 'safety');
await phone.goto(`http://127.0.0.1:${port}/new`);
await phone
  .getByRole('textbox')
  .fill(
    'Bear ear (make 2)\nRnd 1. 6 sc in mr (6)\nRnd 2. 2 sc in each st around (12)\nRnd 3. *sc, inc* repeat 6 times (19)\nFor the library fair',
  );
await shot(phone, 'bring');

await phone.goto(`http://127.0.0.1:${port}/shape`);
await shot(phone, 'shape');
await phone.goto(`http://127.0.0.1:${port}/`);
await phone.getByRole('button', { name: 'Write as I go' }).click();
await phone.getByRole('button', { name: 'Head', exact: true }).click();
const tap = (name) => phone.getByRole('button', { name }).click();
await tap('5 sc');
await tap('sc: one plain');
await tap('The ring is closed: 6 stitches');
await tap('inc: two in one');
await tap('Same to the end');
await tap('Round 2 done: 12');
for (const round of [24, 30]) await tap(`Write: The same step again: ${round - 6}`);
for (const name of ['sc: one plain', 'sc: one plain', 'sc: one plain', 'inc: two in one', 'sc: one plain'])
  await tap(name);
await shot(phone, 'invent');

const wide = await open(1280, 800);
await wide.getByRole('link', { name: 'Open Pondside otter' }).click();
await wide.getByRole('link', { name: 'Open Head' }).click();
await wide.locator('canvas[data-ready=yes]').waitFor();
await wide.waitForTimeout(3000);
await shot(wide, 'wide');

await browser.close();
server.kill();
