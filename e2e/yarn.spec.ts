import { expect, test } from '@playwright/test';
import { bearHead, bringPattern, expectAccessible, saved } from './helpers';

test('a yarn is measured once, a toy is worked in it, and follows when it is measured again', async ({
  page,
}) => {
  await bringPattern(page, bearHead);
  await page.getByRole('button', { name: /^Back to/ }).click();
  await page.getByRole('tab', { name: 'Yarn' }).click();
  await expect(page.getByText(/assumed: measure your own/)).toBeVisible();
  await page.getByRole('button', { name: 'Add or measure a yarn' }).click();
  await page.getByRole('button', { name: 'Keep this yarn' }).click();
  await expect(page.getByText('Give the yarn a name.')).toBeVisible();
  await page.getByRole('textbox', { name: 'What you call it' }).fill('River cotton');
  await page.getByRole('button', { name: 'Measure mine' }).click();
  await page.getByRole('textbox', { name: 'Ten stitches across, in mm' }).fill('60');
  await page.getByRole('button', { name: 'Ten rounds up: more' }).click();
  await page.getByRole('button', { name: 'Count mine' }).click();
  await page.getByRole('button', { name: 'Stitches wandered in ten rounds: less' }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Keep this yarn' }).click();

  await page.getByRole('radio', { name: 'River cotton' }).click();
  const would = page.getByRole('region', { name: 'What would change' });
  await expect(would.getByText('widest', { exact: true })).toBeVisible();
  await expect(would.getByText(/56 mm → 63 mm/)).toBeVisible();
  await page.getByRole('button', { name: 'Work it in this' }).click();
  await expect(page.getByText('6 × 4.2 mm a stitch', { exact: true })).toBeVisible();
  await expect(page.getByText('River cotton, measured, hook 3.5 mm')).toBeVisible();
  await saved(page);

  await page.getByRole('button', { name: 'Back to the shelf' }).click();
  await page.getByRole('button', { name: 'Yarn shelf' }).click();
  await page.getByRole('link', { name: 'Open River cotton' }).click();
  await page.getByRole('textbox', { name: 'Ten stitches across, in mm' }).fill('50');
  await expect(page.getByText(/63 mm → 56 mm/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep this yarn' }).click();
  await page.getByRole('button', { name: 'Back to the toys' }).click();
  await page
    .getByRole('link', { name: 'Open Bear’s head' })
    .or(page.getByRole('link', { name: /Open Bear/ }))
    .first()
    .click();
  await page.getByRole('tab', { name: 'Yarn' }).click();
  await expect(page.getByText('5 × 4.2 mm a stitch', { exact: true })).toBeVisible();
});

test('the same toy in chunky yarn: new size, new eyes, one undo away', async ({ page }) => {
  await bringPattern(page, `Gauge: 5 x 4.8\n${bearHead}\nEyes: 8 mm, between R9 and R10, 6 apart.`);
  await page.getByRole('button', { name: /^Back to/ }).click();
  await page.getByRole('tab', { name: 'Yarn' }).click();
  await page.getByRole('radio', { name: 'Super bulky' }).click();
  await expect(page.getByText(/8 mm → 16 mm/)).toBeVisible();
  await page.getByRole('button', { name: 'Work it in this' }).click();
  await expect(page.getByText('10.4 × 8.5 mm a stitch', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('5 × 4.8 mm a stitch', { exact: true })).toBeVisible();
});

test('weighed stuffing is counted with from then on', async ({ page }) => {
  await bringPattern(page, bearHead);
  await page.getByRole('tab', { name: 'Form' }).click();
  await page.getByRole('button', { name: 'I weighed what went in' }).click();
  await page.getByRole('textbox', { name: 'Stuffing in this part, in g' }).fill('12');
  await page.getByRole('button', { name: 'Count with this' }).click();
  await expect(page.getByText('Stuffing by your own weighing.')).toBeVisible();
  await expect(page.getByText('12 g', { exact: true })).toBeVisible();
});
