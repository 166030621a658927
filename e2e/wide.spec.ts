import { expect, test } from '@playwright/test';
import { bearHead, expectAccessible, feature, openDemo, openOtter } from './helpers';

test('text, map and answer stand side by side where there is room', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Paste a pattern' }).click();
  await page
    .getByRole('textbox', { name: 'The pattern' })
    .fill(`${bearHead}\nEyes: 9 mm, between R9 and R10, 6 showing`);
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

test('a conflict stands in the line of features beside the form, and its remedy clears text, map and line at once', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Paste a pattern' }).click();
  await page
    .getByRole('textbox', { name: 'The pattern' })
    .fill(
      `${bearHead}\nEyes: 8 mm, between R8 and R9, 8 post to post.\nMouth: embroidered smile, 3 rounds below the eyes, 5 stitches wide.\nSew a 10 mm button 3 rounds below the eyes.`,
    );
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('radio', { name: 'Button, to settle' })).toBeVisible();
  await feature(page, 'Button').click();
  await expect(page.getByText('The button and the mouth lie over each other.')).toBeVisible();
  await expectAccessible(page);
  await page
    .getByRole('button', { name: /^Between \d+ and \d+$/ })
    .first()
    .click();
  await expect(page.getByText('The button and the mouth lie over each other.')).toBeHidden();
  await expect(page.getByRole('radio', { name: 'Button', exact: true })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Pattern text' })).toHaveValue(
    /^Button: 10 mm, between R\d+ and R\d+\.$/m,
  );
});

test('the shelf stands in columns and the whole toy beside its parts; of many toys one is found by its name', async ({
  page,
}) => {
  await openDemo(page);
  const toys = page.getByRole('list', { name: 'Toys' }).getByRole('listitem');
  await expect(toys).toHaveCount(5);
  const [first, second] = await Promise.all([toys.nth(0).boundingBox(), toys.nth(1).boundingBox()]);
  expect(second!.y).toBeCloseTo(first!.y, 0);
  expect(second!.x).toBeGreaterThan(first!.x + first!.width - 1);
  await expect(page.getByRole('textbox', { name: 'Find a toy' })).toBeHidden();
  for (let i = 0; i < 3; i += 1) {
    await page.getByRole('button', { name: 'Start a blank part' }).click();
    await page.getByRole('button', { name: 'Back to the shelf' }).click();
  }
  const names = page.getByRole('link', { name: /^Open / });
  await page.getByRole('radio', { name: 'By name' }).click();
  await expect(names.first()).toHaveAccessibleName('Open New toy');
  await expect(names.last()).toHaveAccessibleName('Open Pondside toadstool');
  await page.getByRole('radio', { name: 'Oldest first' }).click();
  await expect(names.last()).toHaveAccessibleName('Open New toy');
  await page.getByRole('textbox', { name: 'Find a toy' }).fill('babies OWL');
  await expect(toys).toHaveCount(1);
  await page.getByRole('textbox', { name: 'Find a toy' }).fill('unicorn');
  await expect(page.getByText('No toy on the shelf is called so.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Find a toy' }).fill('otter');
  await page.getByRole('link', { name: 'Open Pondside otter' }).click();
  await expect(page.getByRole('img', { name: 'Pondside otter, put together' })).toBeVisible();
  await expectAccessible(page);
});

test('the sheet stands beside the toy, and the text beside what was found in it', async ({ page }) => {
  await openOtter(page);
  await page.getByRole('tab', { name: 'Sheet' }).click();
  const toy = page.getByRole('img', { name: 'Pondside otter, put together' });
  const sheet = page.getByRole('region', { name: 'The sheet' });
  await expect(toy).toBeVisible();
  const [left, right] = [await toy.boundingBox(), await sheet.boundingBox()];
  expect(left!.x + left!.width).toBeLessThanOrEqual(right!.x);
  await expectAccessible(page);
  // On paper the sheet is alone.
  await page.emulateMedia({ media: 'print' });
  await expect(toy).toBeHidden();
  await expect(sheet).toBeVisible();
  await page.emulateMedia({ media: 'screen' });

  await page.goto('/new');
  const text = page.getByRole('textbox', { name: 'The pattern' });
  await text.fill('Ear (make 2)\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]');
  const found = page.getByRole('heading', { name: 'One part found' });
  const [written, beside] = [await text.boundingBox(), await found.boundingBox()];
  expect(written!.x + written!.width).toBeLessThanOrEqual(beside!.x);
  await expectAccessible(page);
});
