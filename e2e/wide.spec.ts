import { expect, test } from '@playwright/test';
import { bearHead, bringPattern, expectAccessible } from './helpers';

test('text, map and answer stand side by side where there is room', async ({ page }) => {
  test.skip((page.viewportSize()?.width ?? 0) < 1000, 'the wide layout only');
  await page.goto('/');
  await page.getByRole('button', { name: 'Paste a pattern' }).click();
  await page.getByRole('textbox', { name: 'The pattern' }).fill(`${bearHead}\nEyes: 9 mm, between R9 and R10, 6 showing`);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  const text = page.getByRole('textbox', { name: 'Pattern text' });
  await expect(text).toBeVisible();
  await expect(page.getByRole('img', { name: /unrolled/ })).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'Round 9|10' })).toBeVisible();
  await expectAccessible(page);
  // What is pressed on one side is written on the other.
  await page.getByRole('button', { name: 'One round down' }).click();
  await expect(text).toHaveValue(/between R10 and R11/);
  await page.emulateMedia({ colorScheme: 'dark' });
  await expectAccessible(page);
});

test('the sheet prints on white', async ({ page }) => {
  test.skip((page.viewportSize()?.width ?? 0) >= 1000, 'once is enough');
  await bringPattern(page, bearHead);
  await page.goto(page.url().replace(/\/0.*$/, '/sheet'));
  await expect(page.getByRole('article')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('tablist')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  const height = await page.getByRole('article').evaluate((element) => element.getBoundingClientRect().height);
  const shown = await page.evaluate(() => document.documentElement.scrollHeight);
  expect(shown).toBeGreaterThanOrEqual(Math.floor(height));
});
