import { expect, test } from '@playwright/test';
import { bearHead, expectAccessible } from './helpers';

test('text, map and answer stand side by side where there is room', async ({ page }) => {
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
