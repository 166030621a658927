import { expect, test } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { bearHead, bringPattern, expectAccessible, holes, saved, settled } from './helpers';

test('from an empty shelf to the sheet, by thumb alone', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Bring a pattern' })).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Paste a pattern' }).click();
  await page.getByRole('textbox', { name: 'The pattern' }).fill(bearHead);
  await expect(page.getByText('One part found')).toBeVisible();
  await expect(page.getByText('every round adds up')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();

  // Every round with its count.
  const rounds = page.getByRole('list', { name: /Rounds of/ }).getByRole('listitem');
  await expect(rounds).toHaveCount(10);
  await expect(rounds.nth(5)).toContainText('35');
  await expectAccessible(page);

  await page.getByRole('tab', { name: 'Map' }).click();
  await page.getByRole('button', { name: 'Place two eyes' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Round' })).toContainText('holes');
  await expectAccessible(page);
  const before = await holes(page);
  await page.getByRole('button', { name: 'One stitch wider' }).click();
  await expect.poll(() => holes(page)).not.toEqual(before);
  const [a = 0, b = 0] = await holes(page);
  expect(b - a).toBe((before[1] ?? 0) - (before[0] ?? 0) + 1);
  await page.getByRole('button', { name: 'One round up' }).click();
  await page.getByRole('button', { name: 'Larger eyes' }).click();
  await saved(page);

  await page.getByRole('tab', { name: 'Stops' }).click();
  // In the drawing, and below it where it says what to do.
  await expect(page.getByText('Seat the eyes').last()).toBeVisible();
  await expect(page.getByText('Run the tail through the front loops of the last 7')).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('button', { name: /^Back to/ }).click();
  await page.getByRole('tab', { name: 'Sheet' }).click();
  await expect(page.getByRole('article')).toContainText('mm eyes between round');
  await expect(page.getByRole('article')).toContainText('Stop after round');
  await expect(page.getByRole('article')).toContainText('certifies nothing');
  await expectAccessible(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Download as Markdown' }).click();
  const file = await (await download).path();
  const markdown = await readFile(file, 'utf8');
  expect(markdown).toContain('## ');
  expect(markdown).toMatch(/^### \d+ mm eyes between round \d+ and \d+, holes \d+ and \d+, \d+ show$/m);
});

test('a slip is named and mended with one tap, and undone', async ({ page }) => {
  await bringPattern(page, bearHead.replace('(28)', '(29)'));
  await expect(page.getByText('Round 4 says 29, but makes 28.')).toBeVisible();
  await page.getByRole('button', { name: 'Total 28 instead of 29' }).click();
  await expect(page.getByText('every round adds up')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Round 4 says 29, but makes 28.')).toBeVisible();
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByText('every round adds up')).toBeVisible();
});

test('edits take effect while she types', async ({ page }) => {
  await bringPattern(page, bearHead);
  await page.getByRole('tab', { name: 'Text' }).click();
  const text = page.getByRole('textbox', { name: 'Pattern text' });
  await text.press('Control+End');
  await text.pressSequentially('\nRnd 18. 9 sc');
  await page.getByRole('tab', { name: /Rounds/ }).click();
  await expect(
    page.getByText('Round 18 works into 9 stitches, but round 17 has only 7: 2 too few.'),
  ).toBeVisible();
});

test('left-handed and start at the bottom mirror the numbers', async ({ page }) => {
  await bringPattern(
    page,
    `${bearHead}\nInsert 10 mm eyes between rounds 9 and 10 with 6 stitches between them.`,
  );
  await page.getByRole('tab', { name: 'Map' }).click();
  const sides = page.getByText(/Left eye hole \d+, right eye hole \d+/);
  const read = async () =>
    (/hole (\d+), right eye hole (\d+)/.exec(await sides.innerText()) ?? []).slice(1).map(Number);
  const right = await read();
  await page.getByRole('radio', { name: 'Left-handed' }).click();
  await expect.poll(read).toEqual([...right].reverse());
  await page.getByRole('radio', { name: 'At the bottom' }).click();
  await expect.poll(read).toEqual(right);
  await page.getByRole('radio', { name: 'Right-handed' }).click();
  await expect.poll(read).toEqual([...right].reverse());
});

test('an eye is dragged and snaps to holes; the arrow keys do the same; the other eye mirrors', async ({
  page,
}) => {
  await bringPattern(page, `${bearHead}\nEyes: 9 mm, between R9 and R10, 6 showing`);
  await page.getByRole('tab', { name: 'Map' }).click();
  const eye = page.getByRole('button', { name: /^Right eye/ });
  const box = (await eye.boundingBox())!;
  const [a = 0, b = 0] = await holes(page);
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 22, box.y + box.height / 2 + 4, { steps: 6 });
  await page.mouse.move(box.x + box.width / 2 + 34, box.y + box.height / 2 + 4, { steps: 6 });
  await page.mouse.up();
  await expect
    .poll(async () => {
      const [c = 0, d = 0] = await holes(page);
      return d - c;
    })
    .toBeGreaterThan(b - a);
  // The answer follows the drag a moment later on a busy machine: read it once it no longer changes.
  await saved(page);
  const wide = await settled(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => holes(page)).toEqual([a, b]);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect.poll(() => holes(page)).toEqual(wide);
  await eye.focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('status').filter({ hasText: 'Round 10|11' })).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect
    .poll(async () => {
      const [c = 0, d = 0] = await holes(page);
      return d - c;
    })
    .toBe((wide[1] ?? 0) - (wide[0] ?? 0) - 1);
});

test('a pair off the middle says by how much, and the remedy evens it out', async ({ page }) => {
  await bringPattern(page, `Lean: 0\n${bearHead}\nEyes: 9 mm, between R9 and R10, 7 apart`);
  await page.getByRole('tab', { name: 'Map' }).click();
  const off = page.getByText(/The middle between the eyes falls/);
  if ((await off.count()) === 0) await page.getByRole('button', { name: 'One stitch wider' }).click();
  await expect(off).toContainText('half a stitch');
  await page.getByRole('button', { name: 'Move the front' }).click();
  await expect(off).toHaveCount(0);
  await expect(page.getByText('centred on the front')).toBeVisible();
});
