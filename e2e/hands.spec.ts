import { expect, test } from '@playwright/test';
import { bearHead, bringPattern, expectAccessible, openOtter } from './helpers';

test('hands of one’s own move the stops of every toy, and stay after a reload', async ({ page }) => {
  await bringPattern(page, `Gauge: 5 x 4.8\n${bearHead}\nEyes: 8 mm, between R9 and R10, 6 showing.`);
  await page.getByRole('tab', { name: 'Stops' }).click();
  // 28, 21 and 14 stitches are left after rounds 14, 15 and 16: 45, 33 and 22 mm.
  await expect(page.getByText('After round 15', { exact: true })).toBeVisible();
  await expect(
    page.getByRole('img', { name: /The rounds with their stops\. Seat the eyes: after round 15/ }),
  ).toBeVisible();
  await expect(page.getByText('These moments are for usual hands.')).toBeVisible();
  await page.getByRole('button', { name: 'My hands and tools' }).click();
  await expectAccessible(page);
  await page.getByRole('radio', { name: 'Large' }).click();
  await expect(page.getByRole('textbox', { name: 'Washers go on easily, in mm' })).toHaveValue('30');
  await page.getByRole('textbox', { name: 'Washers go on easily, in mm' }).fill('36');
  await page.getByRole('button', { name: 'Washers just go on: more' }).click();
  await expect(page.getByText('These are figures of your own.')).toBeVisible();
  await page.getByRole('button', { name: 'Back to the stops' }).click();
  await expect(page.getByText('After round 14', { exact: true })).toBeVisible();
  await expect(page.getByText('These moments are for your hands as you gave them.')).toBeVisible();

  await page.reload();
  await expect(page.getByText('After round 14', { exact: true })).toBeVisible();
});

test('what is being made keeps the hands it was begun with', async ({ page }) => {
  await bringPattern(page, `Gauge: 5 x 4.8\n${bearHead}\nEyes: 8 mm, between R9 and R10, 6 showing.`);
  await page.getByRole('button', { name: /^Back to/ }).click();
  await page.getByRole('tab', { name: 'Make' }).click();
  await page.getByRole('button', { name: 'Begin making' }).click();
  // The stop comes behind round 15, fifteen rounds on.
  await expect(page.getByText('15 rounds to the next stop')).toBeVisible();
  const making = page.url();
  await page.goto('/hands');
  await page.getByRole('textbox', { name: 'Washers go on easily, in mm' }).fill('36');
  await expect(page.getByText(/36 mm across is 23 stitches/)).toBeVisible();
  await page.goto(making);
  await expect(page.getByText('15 rounds to the next stop')).toBeVisible();
});

test('a maker who measures in inches reads and sets sizes in inches, and her toys stay as they were', async ({
  page,
}) => {
  await openOtter(page);
  await page.getByRole('tab', { name: /^Together/ }).click();
  await expect(page.getByText(/^About \d+ mm high, \d+ wide/)).toBeVisible();
  await page.goto('/hands');
  await expect(page.getByRole('textbox', { name: 'Washers go on easily, in mm' })).toHaveValue('25');
  await page.getByRole('radio', { name: 'Inches, yards' }).click();
  await expect(page.getByRole('textbox', { name: 'Washers go on easily, in inches' })).toHaveValue('0.98');
  await page.getByRole('radio', { name: 'Ounces' }).click();
  await expect(page.getByRole('radio', { name: 'Ounces' })).toBeChecked();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Washers go on easily: more' }).click();
  await expect(page.getByText('These are figures of your own.')).toBeVisible();

  await page.getByRole('button', { name: 'Back to the toys' }).click();
  await page.getByRole('link', { name: 'Open Pondside otter' }).click();
  await page.getByRole('tab', { name: /^Together/ }).click();
  await expect(page.getByText(/^About \d+( \d\/\d)? in high, \d+( \d\/\d)? in wide/)).toBeVisible();
  await page.getByRole('tab', { name: 'Yarn' }).click();
  await expect(page.getByText(/\d yd, about \d+(\.\d)? oz/).first()).toBeVisible();
  await page.goto('/hands');
  await page.getByRole('radio', { name: 'Millimetres' }).click();
  // 0.98 and an eighth are 1.11 in, to the hundredth.
  await expect(page.getByRole('textbox', { name: 'Washers go on easily, in mm' })).toHaveValue('28.19');
});
