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

test('whether a ball is enough is told, piece by piece; a weighed piece counts from then on', async ({
  page,
}) => {
  await bringPattern(page, bearHead);
  await page.getByRole('button', { name: /^Back to/ }).click();
  await page.getByRole('tab', { name: 'Yarn' }).click();
  const there = page.getByRole('textbox', { name: /^What is there of .*, in g$/ });
  await expect(page.getByText('Enough for one toy')).toBeVisible();
  await there.fill('3');
  await expect(page.getByText(/It ends at the bear.s head/)).toBeVisible();
  await expect(page.getByText(/^Round \d+ can’t be finished\. At least \d+ g more are needed/)).toBeVisible();
  // A head is one piece: with 5 g a stripe of it is in another.
  const ways = page.getByRole('list', { name: 'What could be in another colour' });
  await expect(page.getByText(/It is too little for any piece of it/)).toBeVisible();
  await there.fill('5');
  await expect(ways.getByText(/^Rounds? \d+( to \d+)? of the bear.s head$/)).toBeVisible();
  await expect(ways.getByText(/^takes \d+ g of the other, as thick as this; /)).toBeVisible();
  await there.fill('200');
  await expect(ways).toHaveCount(0);
  await expect(
    page
      .getByRole('list', { name: 'What it is made with' })
      .getByText('1 stitch marker: 1 where a round begins'),
  ).toBeVisible();
  const taken = page.getByRole('list', { name: 'What it takes' });
  const before = await taken.innerText();
  await page.getByRole('button', { name: 'I weighed a piece' }).click();
  const scale = page.getByRole('textbox', { name: 'The scale says, in g' });
  const expected = Number(await scale.inputValue());
  await scale.fill('900');
  await expect(page.getByText(/No hands differ so much/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Count with this' })).toBeDisabled();
  await scale.fill(String(Math.round(expected * 1.2)));
  await expect(page.getByText(/Your hands take \d+ % more yarn than the formula says/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Count with this' }).click();
  await page.reload();
  await expect(page.getByText(/Your hands take \d+ % more yarn than the formula says/)).toBeVisible();
  expect(await taken.innerText()).not.toBe(before);
  await page.getByRole('button', { name: 'Back to the formula' }).click();
  await expect(taken).toHaveText(before.replaceAll('\n', ''));

  // The same from a piece pulled undone, along a tape.
  await page.getByRole('button', { name: 'I unravelled one' }).click();
  const tape = page.getByRole('textbox', { name: 'The tape says, in m' });
  await tape.fill(String(Number(await tape.inputValue()) * 0.8));
  await expect(page.getByText(/Your hands take (19|20|21) % less yarn than the formula says/)).toBeVisible();
  await page.getByRole('button', { name: 'Count with this' }).click();
  await expect(taken).not.toHaveText(before.replaceAll('\n', ''));
});
