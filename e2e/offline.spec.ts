import { expect, test } from '@playwright/test';
import { openDemo } from './helpers';

test.use({ serviceWorkers: 'allow' });

test('once opened, every screen works after a reload with the network off', async ({ page, context }) => {
  await openDemo(page);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (!navigator.serviceWorker.controller)
      await new Promise((taken) =>
        navigator.serviceWorker.addEventListener('controllerchange', taken, { once: true }),
      );
  });
  await context.setOffline(true);
  await page.reload();
  await page.getByRole('link', { name: 'Open Pondside otter' }).click();
  const toy = page.url();
  await page.getByRole('tab', { name: 'Make' }).click();
  await page.getByRole('button', { name: 'Begin making' }).click();
  await page.getByRole('button', { name: 'Round 1 done' }).click();
  await page.reload();
  await expect(page.getByRole('img', { name: 'Round 2 of 25' })).toBeVisible();
  for (const name of ['together', 'yarn', 'sheet', 'safety', 'make']) {
    await page.goto(`${toy}/${name}`);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await expect(page.getByText('Pondside otter').first()).toBeVisible();
  }
  await page.goto(toy);
  await page.getByRole('link', { name: 'Open Head' }).click();
  await page.reload();
  await expect(page.getByRole('tab', { name: 'Map' })).toBeVisible();
  await page.getByRole('tab', { name: 'Form' }).click();
  await expect(page.getByText(/mm/).first()).toBeVisible();
  await page.goto('/notation');
  await expect(page.getByRole('heading').first()).toBeVisible();
});
