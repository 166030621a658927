import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test, type Page } from '@playwright/test';
import { encodeQR } from 'qr';
import { packParcel } from '../src/core/keep/parcel';
import { bearHead, bringPattern, expectAccessible, saved } from './helpers';

const width = 640;
const height = 480;

/** A picture of a code as a camera sees it: grey values, dark squares on light, in the middle. */
function pictureOf(code: string): Buffer {
  const squares = encodeQR(code, 'raw', { ecc: 'low', border: 4, encoding: 'alphanumeric' });
  const scale = Math.floor(height / squares.length);
  const left = Math.floor((width - squares.length * scale) / 2);
  const top = Math.floor((height - squares.length * scale) / 2);
  const grey = Buffer.alloc(width * height, 235);
  for (let y = 0; y < squares.length * scale; y += 1)
    for (let x = 0; x < squares.length * scale; x += 1)
      if (squares[Math.floor(y / scale)]?.[Math.floor(x / scale)]) grey[(top + y) * width + left + x] = 16;
  return grey;
}

/** What a camera held over a screen films: each code for a second, over and over. */
function film(codes: readonly string[]): Buffer {
  const colourless = Buffer.alloc((width * height) / 2, 128);
  const frames = codes.flatMap((code) => {
    const frame = Buffer.concat([Buffer.from('FRAME\n'), pictureOf(code), colourless]);
    return Array.from({ length: 10 }, () => frame);
  });
  return Buffer.concat([Buffer.from(`YUV4MPEG2 W${width} H${height} F10:1 Ip A1:1 C420mpeg2\n`), ...frames]);
}

/** Remarks of a maker: what is packed is larger than one code, whatever its dates and ids come to. */
const remarks = [
  'Bought the brown on a Tuesday at the market; ball 17 was thicker, so hook 3.25 for that one only.',
  'Mara says the muzzle wants to be flatter: try five plain rounds next time, and less fibre in the chin.',
  'Washed it by hand with the jumpers on the 9th, dried over two nights on the rack by the stove, kept its shape.',
  'For the summer fair: six by July, two with scarves, none in grey, ask Jonas about the little boxes.',
].map((words) => `// ${words}`);

async function openHandOn(page: Page): Promise<void> {
  await bringPattern(page, ['Toy: Bear to give', bearHead, ...remarks].join('\n'));
  await saved(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Bear to give' }).click();
  await page.getByRole('button', { name: 'Hand it on' }).click();
  await expect(page.getByRole('heading', { name: 'Hand it on', level: 1 })).toBeVisible();
}

test('a toy is shown as codes in turn, held and stepped through', async ({ page }) => {
  await openHandOn(page);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Show the code' }).click();
  const group = page.getByRole('group', { name: 'The toy as a code' });
  await expect(group.getByRole('img', { name: /^Code 2 of \d+ of Bear to give$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Hold' }).click();
  const held = await group.getByText(/^\d+ of \d+$/).innerText();
  await page.waitForTimeout(2000);
  await expect(group.getByText(held, { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'The next code' }).click();
  await expect(group.getByText(held, { exact: true })).toHaveCount(0);
  await expectAccessible(page);
});

test('the file that is saved is pasted on the other phone, and the pattern too', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openHandOn(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the file' }).click();
  const file = readFileSync(await (await download).path(), 'utf8');
  await page.getByRole('button', { name: 'Copy the pattern' }).click();
  await expect(page.getByText(/the pattern is copied/)).toBeVisible();
  const pattern = await page.evaluate(() => navigator.clipboard.readText());
  expect(pattern).toMatch(/^Toy: Bear to give\n/);

  await page.goto('/');
  await page.getByRole('button', { name: 'More for Bear to give' }).click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await page.goto('/receive');
  const field = page.getByRole('textbox', { name: /What you were sent/ });
  await field.fill('{"format":"something else"}');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText(/was not made by Hoppla/)).toBeVisible();
  await field.fill(file);
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByRole('heading', { name: 'Bear to give', level: 1 })).toBeVisible();

  await page.goto('/receive');
  await field.fill(pattern);
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText('One part found')).toBeVisible();
});

test('without a camera that is said', async ({ page }) => {
  await page.goto('/new');
  await page.getByRole('link', { name: 'From another phone' }).click();
  await page.getByRole('button', { name: 'Use the camera' }).click();
  await expect(page.getByText(/gives no camera here|was not allowed/)).toBeVisible();
  await expectAccessible(page);
});

test('a camera reads the codes and the toy is on the shelf', async ({ baseURL, launchOptions }) => {
  const document = {
    format: 'hoppla-toy',
    version: 2,
    id: 'given',
    text: `Toy: Given bear\n${bearHead}\n// ${Array.from({ length: 130 }, (_, i) => (i * 7919) % 997).join(' ')}`,
    parts: [],
    made: '2026-01-01T10:00:00.000Z',
    changed: '2026-01-01T10:00:00.000Z',
  };
  const codes = packParcel(JSON.stringify(document)) ?? [];
  expect(codes.length).toBeGreaterThan(1);
  const folder = mkdtempSync(join(tmpdir(), 'hoppla-camera-'));
  const clip = join(folder, 'camera.y4m');
  writeFileSync(clip, film(codes));
  const browser = await chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      ...(launchOptions.args ?? []),
      '--use-fake-ui-for-media-stream',
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-video-capture=${clip}`,
    ],
  });
  const page = await browser.newPage({ baseURL: baseURL ?? '', viewport: { width: 390, height: 844 } });
  await page.goto('/receive');
  await page.getByRole('button', { name: 'Use the camera' }).click();
  await expect(page.getByText(/^1 of \d read\. Still to come: \d/)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Given bear', level: 1 })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Open Bear/ })).toBeVisible();
  await browser.close();
  rmSync(folder, { recursive: true, force: true });
});
