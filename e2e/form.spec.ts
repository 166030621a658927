import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { bearHead, bringPattern, expectAccessible } from './helpers';

const canvas = (page: Page) => page.getByRole('img', { name: /in the round/ });

async function openForm(page: Page, text = bearHead): Promise<void> {
  await bringPattern(page, text);
  await page.getByRole('tab', { name: 'Form' }).click();
  await expect(canvas(page)).toBeVisible();
  await expect(page.getByText('Settling …')).toHaveCount(0);
}

test('the form settles, says its size, and a tapped stitch is the same stitch on the map', async ({
  page,
}) => {
  await openForm(page);
  await expect(canvas(page)).toHaveAttribute('data-ready', 'yes');
  await expect(page.getByText('wide', { exact: true })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Look from the back' }).click();
  await page.getByRole('button', { name: 'Look from the front' }).click();
  await canvas(page).click();
  const chosen = page.getByRole('status').filter({ hasText: /^Round \d+, stitch \d+ of \d+/ });
  await expect(chosen).toContainText('facing forward');
  const said = await chosen.innerText();
  await page.getByRole('tab', { name: 'Map' }).click();
  await expect(page.getByRole('status').filter({ hasText: /stitch \d+ of/ })).toHaveText(
    said.replace(/\n/g, ''),
  );
});

test('a tape between two stitches, by thumb', async ({ page }) => {
  await openForm(page);
  // Until it is drawn there is nothing to tap.
  await expect(canvas(page)).toHaveAttribute('data-ready', 'yes');
  await page.getByRole('switch', { name: 'Measuring tape' }).click();
  await expect(page.getByText('Tap a stitch to begin the tape.')).toBeVisible();
  const box = (await canvas(page).boundingBox())!;
  await page.mouse.click(box.x + box.width * 0.4, box.y + box.height * 0.5);
  await expect(page.getByText('Tap a second stitch.')).toBeVisible();
  await page.mouse.click(box.x + box.width * 0.6, box.y + box.height * 0.5);
  const answer = await page.getByRole('status').filter({ hasText: 'mm along' }).innerText();
  const [along, straight] = [...answer.matchAll(/(\d+) mm/g)].map((match) => Number(match[1]));
  expect(along).toBeGreaterThan(5);
  expect(along).toBeGreaterThanOrEqual(straight!);
});

test('picture and form can be kept', async ({ page }) => {
  await openForm(page);
  const kept = async (label: string) => {
    await page.getByRole('button', { name: 'Save the form' }).click();
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: label }).click();
    const file = await download;
    return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) };
  };
  const picture = await kept('Picture');
  expect(picture.name).toBe('toy-bear-s-head.png');
  expect(picture.bytes.subarray(1, 4).toString()).toBe('PNG');
  const glb = await kept('Form, GLB');
  expect(glb.bytes.subarray(0, 4).toString()).toBe('glTF');
  expect(glb.bytes.length).toBeGreaterThan(100_000);
  const obj = await kept('Form, OBJ');
  expect(obj.bytes.toString('utf8').match(/^v /gm)!.length).toBeGreaterThan(10_000);
});

test('a picture asked for before the form is drawn waits for it', async ({ page }) => {
  let release = () => {};
  const held = new Promise<void>((resolve) => {
    release = resolve;
  });
  await page.route(/static\/js\/web\/index-.*\.js/, async (route) => {
    const script = await (await route.fetch({ maxRetries: 3 })).text();
    // What draws in three dimensions; pages are named so too.
    if (script.includes('WebGLRenderer')) await held;
    await route.fulfill({ contentType: 'text/javascript', body: script });
  });
  await openForm(page);
  await page.getByRole('button', { name: 'Save the form' }).click();
  await expect(canvas(page)).toHaveAttribute('data-ready', 'no');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Picture' }).click();
  await expect(page.getByText('The form is still being drawn …')).toBeVisible();
  release();
  expect((await download).suggestedFilename()).toBe('toy-bear-s-head.png');
});

test('without three dimensions the same form is drawn in strokes, turned and tapped', async ({ page }) => {
  await page.addInitScript(() => {
    const original = HTMLCanvasElement.prototype.getContext;
    HTMLCanvasElement.prototype.getContext = function getContext(
      this: HTMLCanvasElement,
      kind: string,
      ...rest: unknown[]
    ) {
      return kind.startsWith('webgl')
        ? null
        : (original as (...all: unknown[]) => unknown).call(this, kind, ...rest);
    } as typeof original;
  });
  await openForm(page);
  const drawing = canvas(page);
  expect(await drawing.evaluate((element) => element.tagName.toLowerCase())).toBe('svg');
  expect(await drawing.locator('path').count()).toBeGreaterThan(100);
  await drawing.click();
  await expect(page.getByRole('status').filter({ hasText: /^Round \d+, stitch/ })).toBeVisible();
  const before = await drawing.locator('path').first().getAttribute('d');
  await page.getByRole('button', { name: 'Look from the left' }).click();
  await expect.poll(() => drawing.locator('path').first().getAttribute('d')).not.toBe(before);
});

test('typing goes on while the form settles anew', async ({ page }) => {
  await openForm(page);
  await page.getByRole('tab', { name: 'Text' }).click();
  const text = page.getByRole('textbox', { name: /pattern/i });
  await text.fill(
    bearHead
      .replace('Rnds 6 to 13', 'Rnds 6 to 23')
      .replace(/Rnd (1[4-7])/g, (_, n: string) => `Rnd ${Number(n) + 10}`),
  );
  await page.getByRole('tab', { name: 'Form' }).click();
  await expect(page.getByText(/^9\d mm$/)).toBeVisible({ timeout: 15_000 });
});

test('the keyboard turns the form', async ({ page }) => {
  await openForm(page);
  await canvas(page).focus();
  const picture = () =>
    canvas(page).evaluate((element) => (element as HTMLCanvasElement).toDataURL().slice(2000, 6000));
  const before = await picture();
  await page.keyboard.press('ArrowLeft');
  await expect.poll(picture).not.toBe(before);
});

test('a finished piece is measured: what explains the difference is said, and counted with', async ({
  page,
}) => {
  await openForm(page);
  await page.getByRole('button', { name: 'I measured the finished piece' }).click();
  const piece = page.getByRole('group', { name: 'The finished piece' });
  const wide = piece.getByRole('textbox', { name: 'Wide, where it is widest, in mm' });
  const high = piece.getByRole('textbox', { name: 'High, in mm' });
  await expect(piece.getByRole('status')).toHaveText('As worked out, as well as a tape tells.');
  const [w, h] = [Number(await wide.inputValue()), Number(await high.inputValue())];
  await wide.fill('900');
  await expect(piece.getByRole('status')).toContainText('That is far from this piece');
  await expect(piece.getByRole('button', { name: /^Count with/ })).toHaveCount(0);
  await wide.fill(String(Math.round(w * 1.2)));
  await high.fill(String(Math.round(h * 1.2)));
  await expect(piece.getByRole('status')).toContainText('your whole stitch is larger than was taken');
  await expectAccessible(page);
  await piece.getByRole('button', { name: /^Count with/ }).click();
  await expect(page.getByText(/^Counted with stitches of/)).toBeVisible();
  await expect(page.getByText(`${Math.round(w * 1.2)} mm`, { exact: true }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(page.getByText(`${w} mm`, { exact: true }).first()).toBeVisible();
});
