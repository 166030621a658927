import { expect, test } from '@playwright/test';
import { bearHead, bringPattern } from './helpers';

test('tabs and choices are one stop of the Tab key each, and arrows go through them', async ({ page }) => {
  await bringPattern(page, bearHead);
  const tabs = page.getByRole('tablist', { name: 'Views of this part' });
  const chosen = (name: string) => tabs.getByRole('tab', { name: new RegExp(`^${name}`), selected: true });
  await chosen('Rounds').focus();
  await page.keyboard.press('ArrowRight');
  await expect(chosen('Map')).toBeFocused();
  await page.keyboard.press('End');
  await expect(chosen('Stops')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(chosen('Text')).toBeFocused();
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await expect(chosen('Map')).toBeFocused();
  await expect(tabs.locator('[tabindex="0"]')).toHaveCount(1);

  const hands = page.getByRole('radiogroup', { name: 'You crochet' });
  const hand = (name: string) => hands.getByRole('radio', { name });
  await hand('Right-handed').focus();
  await page.keyboard.press('ArrowDown');
  await expect(hand('Left-handed')).toBeFocused();
  await expect(hand('Left-handed')).toHaveAttribute('aria-checked', 'true');
  await page.keyboard.press('ArrowDown');
  await expect(hand('Right-handed')).toHaveAttribute('aria-checked', 'true');
  await page.keyboard.press('Shift+Tab');
  await page.keyboard.press('Tab');
  await expect(hand('Right-handed')).toBeFocused();
});
