import { expect, test } from '@playwright/test';
import { expectAccessible } from './helpers';

test('for whom it is, what stops it, and the eyes in thread instead; figures are hers', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look at the Pondside demo toys' }).click();
  await page.getByRole('link', { name: 'Open Pondside otter' }).click();
  await expect(page.getByRole('link', { name: 'Child-safe' })).toContainText('For whom is it?');
  await page.getByRole('link', { name: 'Child-safe' }).click();
  await page.getByRole('radio', { name: 'Under 3' }).click();
  await expect(page.getByText('One thing stops it')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Embroider them instead' }).click();
  await expect(page.getByText('One thing stops it')).toBeHidden();
  await expect(page.getByRole('list', { name: 'What was found' })).toContainText(
    'fits the cylinder of 31.7 mm',
  );

  // A narrower cylinder lets the tail pass; it is marked as changed, and set back.
  await page.getByRole('textbox', { name: /width of the cylinder/ }).fill('5');
  await expect(page.getByText('Nothing found')).toBeVisible();
  await expect(page.getByText('Changed; it came as 31.7 mm.')).toBeVisible();
  await page.getByRole('button', { name: 'As they came' }).click();
  await expect(page.getByText('Changed; it came as')).toBeHidden();

  await page.getByRole('button', { name: 'Back to the parts' }).click();
  await expect(page.getByRole('link', { name: 'Child-safe' })).toContainText('For under 3');
  await page.getByRole('tab', { name: 'Sheet' }).click();
  await expect(page.getByText('Made for: under 3.')).toBeVisible();
  await expect(page.getByText('it certifies nothing')).toBeVisible();
});
