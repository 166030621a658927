import { expect, test } from '@playwright/test';
import { bearHead, bringPattern, expectAccessible, saved } from './helpers';

const answer = (name: string) => new RegExp(`^${name}: round \\d+\\|\\d+, holes`);

test('a whole face on a new head, by thumb alone', async ({ page }) => {
  await bringPattern(page, bearHead);
  await page.getByRole('tab', { name: 'Map' }).click();
  const began = Date.now();
  let taps = 0;
  const tap = async (role: 'button' | 'radio', name: string | RegExp) => { taps += 1; await page.getByRole(role, { name }).first().click(); };
  await tap('button', 'Add eyes');
  await tap('button', 'One stitch wider');
  await tap('button', 'Add nose');
  await expect(page.getByRole('status').filter({ hasText: answer('Nose') })).toBeVisible();
  await tap('button', 'One round down');
  await tap('button', 'Add mouth');
  await expect(page.getByRole('status').filter({ hasText: answer('Mouth') })).toBeVisible();
  await tap('button', 'One round down');
  await tap('button', 'Add cheeks');
  await tap('radio', 'Felt');
  await tap('button', 'One stitch wider');
  await expect(page.getByRole('status').filter({ hasText: answer('Cheeks') })).toBeVisible();
  await tap('button', 'Add brows');
  await tap('button', 'One round up');
  await expect(page.getByRole('status').filter({ hasText: answer('Brows') })).toBeVisible();
  await expectAccessible(page);
  // A thumb needs about two seconds for a tap; the machine's own time comes on top.
  expect(taps * 2).toBeLessThan(60);
  expect(Date.now() - began).toBeLessThan(120_000);
  await saved(page);
  await page.getByRole('tab', { name: 'Text' }).click();
  const text = await page.getByRole('textbox', { name: /pattern/i }).inputValue();
  for (const sentence of [/^Eyes: \d/m, /^Nose: satin triangle, 2 rounds below the eyes/m, /^Mouth: embroidered smile, \d rounds below the eyes/m, /^Cheeks: felt, .* 2 stitches outside the eyes/m, /^Brows: .* 4 rounds above the eyes/m]) expect(text).toMatch(sentence);
});

test('moving the eyes moves what hangs on them; a conflict names its remedy', async ({ page }) => {
  await bringPattern(page, `${bearHead}\nEyes: 8 mm, between R8 and R9, 8 apart.\nMouth: embroidered smile, 3 rounds below the eyes, 3 stitches wide.`);
  await page.getByRole('tab', { name: 'Map' }).click();
  await page.getByRole('radio', { name: 'Mouth' }).click();
  const mouth = page.getByRole('status').filter({ hasText: answer('Mouth') });
  await expect(mouth).toContainText('round 11|12');
  await expect(page.getByText(/An even and an odd number can't share a middle there/)).toBeVisible();
  await page.getByRole('button', { name: /^[24] wide$/ }).first().click();
  await expect(page.getByText(/in the middle of the front, within/)).toBeVisible();
  await page.getByRole('radio', { name: 'Eyes' }).click();
  await page.getByRole('button', { name: 'One round down' }).click();
  await page.getByRole('radio', { name: 'Mouth' }).click();
  await expect(mouth).toContainText('round 12|13');
  await expect(page.getByText(/^1\. out at hole \d+ between 12 and 13$/)).toBeVisible();
});

test('arrangements side by side, proportion, and a check on the real piece', async ({ page }) => {
  await bringPattern(page, `${bearHead}\nEyes: 8 mm, between R8 and R9, 7 apart.`);
  await page.getByRole('tab', { name: 'Map' }).click();
  const cards = page.getByRole('group', { name: 'Arrangements' }).getByRole('radio');
  await expect(cards).toHaveCount(3);
  await expect(cards.first()).toHaveAttribute('aria-label', /8\|9, 7 apart.*as it is/);
  const other = (await cards.nth(1).getAttribute('aria-label'))!;
  await cards.nth(1).click();
  await expect(cards.first()).toHaveAttribute('aria-label', `${other}, as it is`);
  await page.getByRole('button', { name: 'Eyes down from the top of the head: more' }).click();
  await page.getByRole('button', { name: 'Check what you did' }).click();
  await expect(page.getByText(/they are level and centred/)).toBeVisible();
  await page.getByRole('button', { name: /^Stitches from the marker to the left eye: more/ }).click();
  await expect(page.getByText(/Move the left eye 1 stitch to the left\./)).toBeVisible();
  await expectAccessible(page);
});
