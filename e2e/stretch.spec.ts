import { expect, test } from '@playwright/test';
import { expectAccessible, openDemo, openOtter } from './helpers';

test('a part is stretched by thumb, by number and by keys, and is rounds again', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Open Pondside hedgehog' }).click();
  await page.getByRole('link', { name: 'Open Body' }).click();
  await page.getByRole('tab', { name: 'Rounds' }).click();
  await page.getByRole('link', { name: 'Rounder, longer, wider' }).click();
  await expect(page.getByRole('button', { name: 'Draw at the corner, or choose a size' })).toBeDisabled();
  await expect(page.getByText('24 rounds, 48 at the widest')).toBeVisible();

  await page.getByRole('textbox', { name: 'Width, in mm' }).fill('80');
  await expect(page.getByText(/rounds, 60 at the widest/)).toBeVisible();
  await expectAccessible(page);
  const corner = page.getByRole('button', { name: /^Corner of the outline/ });
  await corner.focus();
  for (let i = 0; i < 10; i += 1) await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('textbox', { name: 'Height, in mm' })).toHaveValue('79');
  const box = (await corner.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 60, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByRole('textbox', { name: 'Width, in mm' })).not.toHaveValue('80');

  await page.getByRole('textbox', { name: 'Width, in mm' }).fill('80');
  await expect(page.getByText(/^eyes, holes$/)).toBeVisible();
  await page.getByRole('button', { name: 'Work it so' }).click();
  await expect(page.getByText('every round adds up.')).toBeVisible();
  await expect(page.getByText(/\(dc 7, inc\) x 6/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/\(dc 7, inc\) x 6/)).toHaveCount(0);
});

test('a whole toy another size: what comes of it, and what had to stay', async ({ page }) => {
  await openOtter(page);
  await page.getByRole('button', { name: 'Make the toy another size' }).click();
  const height = page.getByRole('textbox', { name: 'Height of the toy, in mm' });
  const own = Number(await height.inputValue());
  await height.fill(String(Math.round(own * 1.25)));
  const stay = page.getByRole('list', { name: 'Parts that stay as they are' });
  await expect(stay.getByRole('listitem')).toHaveCount(1);
  await expect(stay).toContainText('Round 14 is worked in more than plain stitches');
  await page.getByRole('button', { name: 'Work it so' }).click();
  await expect(page.getByRole('link', { name: 'Open Body' })).toContainText(/rounds/);
});
