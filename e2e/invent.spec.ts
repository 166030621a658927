import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './helpers';

const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).click();
const inHand = (page: Page, number: number) => page.getByRole('status', { name: `Round ${number}` });

test('a ball is invented by taps: rounds are written and counted, a reload keeps the stitch, Hoppla closes it', async ({
  page,
}) => {
  await page.goto('/');
  await press(page, 'Write as I go');
  await press(page, 'Head');
  const plain = page.getByRole('button', { name: 'sc: one plain' });
  for (let i = 0; i < 6; i += 1) await plain.click();
  await expect(inHand(page, 1)).toContainText('6');
  await press(page, 'The ring is closed: 6 stitches');

  // Two in each of the six, said once.
  await press(page, 'inc: two in one');
  await press(page, 'Same to the end');
  await expect(inHand(page, 2)).toContainText('inc x 6');
  await press(page, 'Round 2 done: 12');

  // A slip taken back, and the page loaded again in the middle of the round.
  await plain.click();
  await press(page, 'dec: two together');
  await press(page, 'Take one back');
  await press(page, 'inc: two in one');
  await expect(inHand(page, 3)).toContainText('10 stitches left to work into');
  await page.reload();
  await expect(inHand(page, 3)).toContainText('sc, inc');
  await expect(inHand(page, 3)).toContainText('10 stitches left to work into');
  await expectAccessible(page);
  await press(page, 'Same to the end');
  await press(page, 'Round 3 done: 18');

  await press(page, 'Write: The same step again: 24');
  await expect(inHand(page, 5)).toContainText('24 stitches left to work into');
  await press(page, 'Write: Close it as round as a ball');
  await expect(page.getByText(/^\d+ rounds, 6 stitches in the last$/)).toBeVisible();
  await press(page, 'This piece is finished');
  await expect(page.getByText('every round adds up.')).toBeVisible();
  await expect(page.getByText('(sc 2, inc) x 6').first()).toBeVisible();
});

test('undo takes the taps of a round at once; a second part meets the edge of the first', async ({
  page,
}) => {
  await page.goto('/');
  await press(page, 'Write as I go');
  await page.getByRole('textbox', { name: 'Or a name of your own' }).fill('Body');
  await press(page, 'Begin');
  const plain = page.getByRole('button', { name: 'sc: one plain' });
  await press(page, '5 sc');
  await plain.click();
  await press(page, 'The ring is closed: 6 stitches');
  await press(page, 'inc: two in one');
  await press(page, 'Same to the end');
  await press(page, 'Round 2 done: 12');
  await plain.click();
  await plain.click();
  await press(page, 'Undo');
  await expect(inHand(page, 3)).toContainText('12 stitches left to work into');
  await press(page, 'Plain to the end');
  await press(page, 'Round 3 done: 12');
  await press(page, 'Back to Body');
  await press(page, /^Back to/);
  await press(page, 'Write a part as I go');
  await press(page, 'Leg');
  await press(page, '5 sc');
  await press(page, 'The ring is closed: 5 stitches');
  await press(page, 'Write: To meet the edge of the body: 12');
  await expect(page.getByText(/12 stitches in the last/)).toBeVisible();
});

test('loops and a colour are said of a round, and a flat piece goes to and fro', async ({ page }) => {
  await page.goto('/');
  await press(page, 'Write as I go');
  await press(page, 'Ear');
  await press(page, '5 sc');
  await press(page, 'The ring is closed: 5 stitches');
  await press(page, 'Loops and colour of this round');
  await page.getByRole('radio', { name: 'Back', exact: true }).click();
  await page.getByRole('textbox', { name: 'Or another colour' }).fill('moss');
  await expectAccessible(page);
  await press(page, 'Change to it');
  await press(page, 'Loops and colour of this round');
  await expect(page.getByRole('radio', { name: 'Back', exact: true })).toBeChecked();
  await press(page, 'Loops and colour: close');
  await press(page, 'inc: two in one');
  await press(page, 'Same to the end');
  await press(page, 'Round 2 done: 10');
  await press(page, 'This piece is finished');
  await expect(page.getByText('change to moss, BLO inc around').first()).toBeVisible();

  await press(page, /^Back to/);
  await press(page, 'Write a part as I go');
  await page.getByRole('textbox', { name: 'Or a name of your own' }).fill('Scarf');
  await press(page, 'Begin');
  await page.getByRole('radio', { name: 'To and fro' }).click();
  await press(page, '5 sc');
  await page.reload();
  await press(page, 'Row 1 done: 5');
  await press(page, 'Plain to the end');
  await press(page, 'Row 2 done: 5');
  await press(page, 'This piece is finished');
  await expect(page.getByText('ch 1, turn, sc across').first()).toBeVisible();
});
