import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { bearHead, bringPattern, expectAccessible } from './helpers';

test('the sheet prints on white', async ({ page }) => {
  await bringPattern(page, bearHead);
  await page.goto(page.url().replace(/\/p1.*$/, '/sheet'));
  await expect(page.getByRole('article')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('tablist')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  const height = await page
    .getByRole('article')
    .evaluate((element) => element.getBoundingClientRect().height);
  const shown = await page.evaluate(() => document.documentElement.scrollHeight);
  expect(shown).toBeGreaterThanOrEqual(Math.floor(height));
});

test('a pattern for others: in UK terms, saved as text, and brought back the same', async ({ page }) => {
  await bringPattern(page, `Gauge: 5 x 4.8\n${bearHead}\nEyes: 8 mm, between R9 and R10, 6 showing.`);
  await page.goto(page.url().replace(/\/p1.*$/, '/sheet'));
  await page.getByRole('button', { name: 'The pattern for others' }).click();
  const article = page.getByRole('article');
  await expect(article.getByText(/^Rnd 1|^R1:/)).toContainText('7 sc');
  await page.getByRole('radio', { name: 'UK terms' }).click();
  await expect(article.getByText(/^R1:/)).toContainText('7 dc in ring [7]');
  await expect(article.getByText(/^STOP after round 15/)).toBeVisible();
  await expectAccessible(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as text that Hoppla reads' }).click();
  const saved = readFileSync(await (await download).path(), 'utf8');
  expect(saved).toContain('Terms: UK');

  await bringPattern(page, saved);
  await page.getByRole('tab', { name: 'Rounds' }).click();
  await expect(page.getByText('35', { exact: true }).first()).toBeVisible();
  await page.getByRole('tab', { name: 'Stops' }).click();
  await expect(page.getByText('After round 15', { exact: true })).toBeVisible();
});

test('what is cut of felt is drawn at its real size, on the paper there is, and saved', async ({ page }) => {
  await bringPattern(
    page,
    `${bearHead}\nInsert 9 mm eyes with felt circles of 16 mm between R8 and R9, 6 showing.\nSew a felt nose 20 mm wide between R10 and R11.`,
  );
  await page.goto(page.url().replace(/\/p1.*$/, '/sheet'));
  await page.getByRole('button', { name: 'Templates to cut' }).click();
  const drawn = page.getByRole('img', { name: 'Sheet 1 of 1: Ring behind the eyes, Nose' });
  await expect(drawn).toHaveAttribute('width', '210mm');
  await expect(drawn.getByText('cut 1 · 20 × 16 mm')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('radio', { name: 'Letter' }).click();
  await expect(drawn).toHaveAttribute('width', '215.9mm');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the drawings' }).click();
  expect((await download).suggestedFilename()).toMatch(/-templates-letter-1\.svg$/);
});
