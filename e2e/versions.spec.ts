import { expect, test } from '@playwright/test';
import { expectAccessible } from './helpers';

test('a copy is changed and laid beside the first: rounds, eyes and yarn that differ', async ({ page }) => {
  const pattern = (plain: string, eye: number) =>
    `Toy: Pond owl ${eye}\nTerms: US\n\nHead\nR1: 6 sc in ring [6]\nR2: inc around [12]\nR3: (sc, inc) x 6 [18]\nR4: (sc 2, inc) x 6 [24]\n${plain}: sc around [24]\nEyes: ${eye} mm, between R6 and R7, 5 showing.\n`;
  for (const text of [pattern('R5-R8', 8), pattern('R5-R10', 10)]) {
    await page.goto('/new');
    await page.getByRole('textbox', { name: 'The pattern' }).fill(text);
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await expect(page.getByRole('heading', { name: 'Head', level: 1 })).toBeVisible();
  }
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Pond owl 10' }).click();
  await page.getByRole('button', { name: 'Compare' }).click();
  await page.getByRole('button', { name: 'Compare with Pond owl 8' }).click();
  await expect(
    page.getByRole('listitem', { name: 'Rounds 9 to 10: Pond owl 8 –, Pond owl 10 sc around [24]' }),
  ).toBeVisible();
  await expect(
    page.getByRole('listitem', { name: /^safety eye, 10 mm: Pond owl 8 –, Pond owl 10 2$/ }),
  ).toBeVisible();
  await expectAccessible(page);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Rounds' })).toBeVisible();
});
