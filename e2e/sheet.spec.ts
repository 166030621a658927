import { expect, test } from '@playwright/test';
import { bearHead, bringPattern } from './helpers';

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
