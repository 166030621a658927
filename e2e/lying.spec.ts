import { expect, test } from '@playwright/test';
import { bearHead, bringPattern, expectAccessible, feature, saved } from './helpers';

const eyes = (page: import('@playwright/test').Page) =>
  page.getByRole('status').filter({ hasText: /^Left \d+\|\d+, hole \d+\s*Right \d+\|\d+, hole \d+$/ });

test('a head worked from the side: said by thumb, the face set, counted on the piece', async ({ page }) => {
  await bringPattern(page, bearHead);
  await page.getByRole('tab', { name: 'Map' }).click();
  await page.getByRole('button', { name: 'Add eyes' }).click();
  await page.getByRole('radio', { name: 'At the left' }).click();
  await expect(eyes(page)).toBeVisible();
  await page.getByRole('button', { name: 'One stitch up' }).click();
  await page.getByRole('button', { name: 'One round wider' }).click();
  await page.getByRole('button', { name: 'Add mouth' }).click();
  await expect(
    page.getByRole('status').filter({ hasText: /^Mouth: \d+\|\d+ hole \d+, \d+\|\d+ hole \d+$/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'One stitch down' }).click();
  await page.getByRole('button', { name: 'One round wider' }).click();
  await page.getByRole('button', { name: 'Add cheeks' }).click();
  await page.getByRole('radio', { name: 'Felt', exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /^Cheeks: \d+\|\d+ hole/ })).toBeVisible();
  await expectAccessible(page);
  await saved(page);

  // An eye by the arrow keys, and the other follows on its own line.
  await feature(page, 'Eyes').click();
  const left = page.getByRole('button', { name: /^Left eye, hole/ });
  const before = (await eyes(page).textContent()) ?? '';
  await left.focus();
  await page.keyboard.press('ArrowUp');
  await expect(eyes(page)).not.toHaveText(before);

  await page.getByRole('button', { name: 'Check what you did' }).click();
  const check = page.getByRole('region', { name: 'Check what you did' });
  await expect(check.getByText(/level and centred as planned/)).toBeVisible();
  await check
    .getByRole('button', { name: /right eye/ })
    .last()
    .click();
  await expect(check.getByText(/Move the right eye 1 stitch down\./)).toBeVisible();

  await page.getByRole('tab', { name: 'Text' }).click();
  const text = await page.getByRole('textbox', { name: /pattern/i }).inputValue();
  expect(text).toMatch(/^Start: left$/m);
  expect(text).toMatch(
    /^Eyes: \d+ mm, between R\d+ and R\d+ and between R\d+ and R\d+, 2 stitches above the front line, in the holes\.$/m,
  );
  expect(text).toMatch(
    /^Mouth: embroidered smile, 5 stitches below the eyes, \d+ rounds wide, 1 stitch high\.$/m,
  );
});

test('sentences about such a head are read, and what does not fit is asked about', async ({ page }) => {
  await bringPattern(
    page,
    `${bearHead.replace('\n', '\nStart: right\n')}\nPut the 8 mm eyes between rounds 7 and 8 and between rounds 10 and 11.\nMouth 3 rounds below the eyes, 3 rounds wide.`,
  );
  await page.getByRole('tab', { name: 'Map' }).click();
  await expect(eyes(page)).toHaveText(/^Left 10\|11, hole \d+\s*Right 7\|8, hole \d+$/);
  await expect(
    page.getByText(/^Left eye hole \d+ between rounds 10 and 11, right eye hole \d+ between rounds 7 and 8/),
  ).toBeVisible();
  await feature(page, 'Mouth').click();
  await expect(page.getByText(/counted in stitches: 3 stitches are taken/)).toBeVisible();
  await page.getByRole('button', { name: 'Say it in stitches' }).click();
  await expect(page.getByText(/counted in stitches: 3/)).toBeHidden();
  // One more turn: the other end of the work is at the left, and the eyes change sides.
  await feature(page, 'Eyes').click();
  await page.getByRole('radio', { name: 'At the left' }).click();
  await expect(page.getByText(/^Left eye hole \d+ between rounds 7 and 8/)).toBeVisible();
  // With the start at the left numbers run upwards. The front lies at hole 17.6 of the first line; by half stitches it goes to 18, 18½ and 19.
  const holes = async () =>
    [...((await eyes(page).textContent()) ?? '').matchAll(/hole (\d+)/g)].map(([, hole]) => Number(hole));
  const before = await holes();
  for (let press = 0; press < 3; press += 1)
    await page.getByRole('button', { name: 'Turn the front half a stitch up' }).click();
  await expect.poll(holes).toEqual(before.map((hole) => hole + 1));
});

test('on such a head, too, what a feature is counted from is chosen by thumb', async ({ page }) => {
  await bringPattern(
    page,
    `${bearHead.replace('\n', '\nStart: left\n')}\nEyes: 8 mm, between R7 and R8 and between R10 and R11.\nMouth: embroidered smile, 4 stitches below the eyes, 3 rounds wide, 1 stitch high.`,
  );
  await page.getByRole('tab', { name: 'Map' }).click();
  await feature(page, 'Mouth').click();
  const mouth = page.getByRole('status').filter({ hasText: /^Mouth: \d+\|\d+ hole/ });
  const from = page.getByRole('radiogroup', { name: 'Counted up and down from' });
  await expect(from.getByRole('radio', { name: 'The eyes' })).toHaveAttribute('aria-checked', 'true');
  await from.getByRole('radio', { name: 'The front line' }).click();
  await expect(from.getByRole('radio', { name: 'The front line' })).toHaveAttribute('aria-checked', 'true');
  // As near as whole stitches come to it.
  await expect(mouth).toHaveText(/^Mouth: 7\|8 hole 1[345], 10\|11 hole 1[456]$/);
  await page.getByRole('tab', { name: 'Text' }).click();
  await expect(page.getByRole('textbox', { name: /pattern/i })).toHaveValue(
    /Mouth: embroidered smile, \d stitches below the front line, 3 rounds wide/,
  );
});
