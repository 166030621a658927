import { expect, test } from '@playwright/test';
import { bearHead, bringPattern, expectAccessible, feature, holes, saved } from './helpers';

const answer = (name: string) => new RegExp(`^${name}: round \\d+\\|\\d+, hole`);

test('a whole face on a new head, by thumb alone', async ({ page }) => {
  await bringPattern(page, bearHead);
  await page.getByRole('tab', { name: 'Map' }).click();
  const began = Date.now();
  let taps = 0;
  const tap = async (role: 'button' | 'radio', name: string | RegExp) => {
    taps += 1;
    await page.getByRole(role, { name }).first().click();
  };
  await tap('button', 'Add eyes');
  await tap('button', 'One stitch wider');
  await tap('button', 'Add nose');
  await expect(page.getByRole('status').filter({ hasText: answer('Nose') })).toBeVisible();
  await tap('button', 'One round down');
  await tap('button', 'Add mouth');
  await expect(page.getByRole('status').filter({ hasText: answer('Mouth') })).toBeVisible();
  await tap('button', 'One round down');
  await tap('button', 'Add cheeks');
  await tap('radio', /^Felt$/);
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
  for (const sentence of [
    /^Eyes: \d/m,
    /^Nose: satin triangle, 2 rounds below the eyes/m,
    /^Mouth: embroidered smile, \d rounds below the eyes/m,
    /^Cheeks: felt, .* 2 stitches outside the eyes/m,
    /^Brows: .* 4 rounds above the eyes/m,
  ])
    expect(text).toMatch(sentence);
});

test('moving the eyes moves what hangs on them; a conflict names its remedy', async ({ page }) => {
  await bringPattern(
    page,
    `${bearHead}\nEyes: 8 mm, between R8 and R9, 8 apart.\nMouth: embroidered smile, 2 rounds below the eyes, 4 stitches wide.`,
  );
  await page.getByRole('tab', { name: 'Map' }).click();
  await feature(page, 'Mouth').click();
  const mouth = page.getByRole('status').filter({ hasText: answer('Mouth') });
  await expect(mouth).toContainText('round 10|11');
  await expect(page.getByText(/The middle of the mouth falls .* of the middle line/)).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Mouth, to settle' })).toBeVisible();
  await page
    .getByRole('button', { name: /^[35] wide$/ })
    .first()
    .click();
  await expect(page.getByText(/in the middle of the front, within/)).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Mouth, to settle' })).toBeHidden();
  await feature(page, 'Eyes').click();
  await page.getByRole('button', { name: 'One round down' }).click();
  await feature(page, 'Mouth').click();
  await expect(mouth).toContainText('round 11|12');
  await expect(page.getByText(/^1\. out at hole \d+ between 11 and 12$/)).toBeVisible();
});

test('arrangements side by side, proportion, and a check on the real piece', async ({ page }) => {
  await bringPattern(page, `${bearHead}\nEyes: 8 mm, between R8 and R9, 7 apart.`);
  await page.getByRole('tab', { name: 'Map' }).click();
  const cards = page.getByRole('radiogroup', { name: 'Arrangements' }).getByRole('radio');
  await expect(cards).toHaveCount(3);
  await expect(cards.first()).toHaveAttribute('aria-label', /8\|9, 7 apart.*as it is/);
  const other = (await cards.nth(1).getAttribute('aria-label'))!;
  await cards.nth(1).click();
  await expect(cards.first()).toHaveAttribute('aria-label', `${other}, as it is`);
  const down = page.getByRole('slider', { name: 'How far down' });
  const words = (await down.getAttribute('aria-valuetext'))!;
  for (let press = 0; press < 10; press += 1) await down.press('ArrowRight');
  await expect(down).not.toHaveAttribute('aria-valuetext', words);
  await page.getByRole('button', { name: 'Check what you did' }).click();
  await expect(page.getByText(/they are level and centred/)).toBeVisible();
  await page.getByRole('button', { name: /^Stitches from the marker to the left eye: more/ }).click();
  await expect(page.getByText(/Move the left eye 1 stitch to the left\./)).toBeVisible();
  await expectAccessible(page);
});

test('faces side by side on the form: one is kept', async ({ page }) => {
  await bringPattern(page, `${bearHead}\nEyes: 8 mm, between R8 and R9, 7 post to post.`);
  await page.getByRole('tab', { name: 'Map' }).click();
  await page.getByRole('button', { name: 'Compare them on the form' }).click();
  const side = page.getByRole('group', { name: 'Faces side by side' });
  await expect(side.getByRole('img')).toHaveCount(3);
  const keep = side.getByRole('button', { name: /^Keep / }).nth(1);
  const name = (await keep.getAttribute('aria-label'))!.replace('Keep ', '');
  await expectAccessible(page);
  await keep.click();
  await expect(side).toBeHidden();
  await expect(
    page.getByRole('radiogroup', { name: 'Arrangements' }).getByRole('radio').first(),
  ).toHaveAttribute('aria-label', new RegExp(`^${name.replace('|', '\\|')}.*as it is`));
});

test('what “8 apart” means is asked once, and kept for the next pattern', async ({ page }) => {
  const text = `${bearHead}\nEyes: 8 mm, between R8 and R9, 8 apart.`;
  await bringPattern(page, text);
  await page.getByRole('tab', { name: 'Map' }).click();
  await page.getByRole('button', { name: '8 showing' }).click();
  await expect(page.getByText('Do you mean that, or 8 showing?')).toBeHidden();
  const figures = page.getByText('show between', { exact: true }).locator('..');
  await expect(figures).toContainText('8');
  await saved(page);
  await bringPattern(page, text);
  await page.getByRole('tab', { name: 'Map' }).click();
  await expect(page.getByText('show between', { exact: true }).locator('..')).toContainText('8');
  await expect(page.getByText('Do you mean that, or 8 showing?')).toBeHidden();
});

test('several buttons, moved on the map by keys, each with its own sentence', async ({ page }) => {
  await bringPattern(page, `${bearHead}\nEyes: 8 mm, between R7 and R8, 7 post to post.`);
  await page.getByRole('tab', { name: 'Map' }).click();
  await page.getByRole('button', { name: 'Add button' }).click();
  await page.getByRole('button', { name: 'Add button' }).click();
  const second = page.getByRole('button', { name: /^Button 2, between round/ });
  const before = (await second.getAttribute('aria-label'))!;
  await second.press('ArrowUp');
  await expect(second).not.toHaveAttribute('aria-label', before);
  await expect(page.getByRole('status').filter({ hasText: answer('Button 2') })).toBeVisible();
  await page.getByRole('tab', { name: 'Text' }).click();
  await expect(page.getByRole('textbox', { name: /pattern/i })).toHaveValue(
    /Button: 10 mm, 5 rounds below the eyes\.\nButton: 10 mm, 4 rounds below the eyes\./,
  );
});

test('taps faster than the screen all count', async ({ page }) => {
  await bringPattern(
    page,
    `${bearHead}\nEyes: 8 mm, between R7 and R8, 7 post to post.\nMouth: embroidered smile, 3 rounds below the eyes, 3 stitches wide.`,
  );
  await page.getByRole('tab', { name: 'Map' }).click();
  const thrice = (name: string) =>
    page.getByRole('button', { name }).evaluate((button: HTMLElement) => {
      for (let tap = 0; tap < 3; tap += 1) button.click();
    });
  await thrice('One stitch wider');
  await expect(
    page.getByRole('radiogroup', { name: 'Arrangements' }).getByRole('radio').first(),
  ).toHaveAttribute('aria-label', /7\|8, 10 apart/);
  await feature(page, 'Mouth').click();
  await thrice('One stitch wider');
  await page.getByRole('tab', { name: 'Text' }).click();
  await expect(page.getByRole('textbox', { name: /pattern/i })).toHaveValue(
    /3 rounds below the eyes, 6 stitches wide/,
  );
});

test('a face told under Assembly, by the numbers of stitches: what is left open is asked, one tap answers', async ({
  page,
}) => {
  await bringPattern(
    page,
    `${bearHead}\n\nAssembly\nInsert 8 mm safety eyes between rounds 8 and 9 of the head at stitches 12 and 19.\nEmbroider a satin nose under the eyes, 3 stitches wide, a bit crooked, slanting to one side.`,
  );
  await page.getByRole('tab', { name: 'Map' }).click();
  expect(await holes(page)).toEqual([12, 19]);
  await feature(page, 'Nose').click();
  await expect(
    page.getByText('“slanting to one side” could not be read and is left out for the nose.', {
      exact: false,
    }),
  ).toBeVisible();
  await expect(page.getByText('“under the eyes” does not say how far', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: '2 rounds below' }).click();
  await expect(page.getByText('“under the eyes” does not say how far', { exact: false })).toBeHidden();
  await expect(page.getByRole('status').filter({ hasText: /^Nose: round 10\|11, hole/ })).toBeVisible();
  // Wider by thumb, and the face stays where its eyes were.
  await feature(page, 'Eyes').click();
  await page.getByRole('button', { name: 'One stitch wider' }).click();
  await page.getByRole('button', { name: 'One stitch wider' }).click();
  await expect.poll(() => holes(page)).toEqual([11, 20]);
  await page.getByRole('tab', { name: 'Text' }).click();
  await expect(page.getByRole('textbox', { name: /pattern/i })).toHaveValue(
    /Eyes: 8 mm, between R8 and R9, 9 apart \(8 showing\), in the holes, on the bear's head\.\nNose: satin stitch, 2 rounds below the eyes/,
  );
});

test('what a feature goes by is chosen by thumb: it stays, and from then on follows that', async ({
  page,
}) => {
  await bringPattern(
    page,
    `${bearHead}\nEyes: 8 mm, between R8 and R9, 7 post to post.\nMouth: embroidered smile, 4 rounds below the eyes, 3 stitches wide, 1 round high.`,
  );
  await page.getByRole('tab', { name: 'Map' }).click();
  await feature(page, 'Mouth').click();
  const mouth = page.getByRole('status').filter({ hasText: answer('Mouth') });
  await expect(mouth).toContainText('round 12|13');
  const from = page.getByRole('radiogroup', { name: 'Counted up and down from' });
  await expect(from.getByRole('radio', { name: 'The eyes' })).toHaveAttribute('aria-checked', 'true');
  await from.getByRole('radio', { name: 'The last round' }).click();
  await expect(from.getByRole('radio', { name: 'The last round' })).toHaveAttribute('aria-checked', 'true');
  await expect(mouth).toContainText('round 12|13');
  await page
    .getByRole('radiogroup', { name: 'How wide' })
    .getByRole('radio', { name: 'As the eyes, middle' })
    .click();
  await page.getByRole('radio', { name: 'Straight line' }).click();
  await feature(page, 'Eyes').click();
  await page.getByRole('button', { name: 'One round up' }).click();
  await feature(page, 'Mouth').click();
  // Seventeen rounds: five from the last is where it stays now, as wide as the eyes.
  await expect(mouth).toContainText('round 12|13');
  await page.getByRole('tab', { name: 'Text' }).click();
  await expect(page.getByRole('textbox', { name: /pattern/i })).toHaveValue(
    /Mouth: one straight stitch, 5 rounds from the live edge, as wide as the middle of the eyes, \d+ stitches wide/,
  );
});

test('eyes of felt are sewn on: no washer, nothing to press, felt on the list', async ({ page }) => {
  await bringPattern(page, `${bearHead}\nSew black felt eyes, 9 mm, between R8 and R9, 6 showing.`);
  await page.getByRole('tab', { name: 'Map' }).click();
  await expect(page.getByText('9 mm across, sewn on')).toBeVisible();
  await expect(page.getByRole('radio', { name: 'Felt', exact: true })).toBeChecked();
  await expect(page.getByRole('button', { name: 'Check what you did' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Larger eyes' }).click();
  await expect(page.getByText('10 mm across, sewn on')).toBeVisible();
  await page.getByRole('radio', { name: 'Pressed in', exact: true }).click();
  await expect(page.getByText('10 mm, washer about 15 mm')).toBeVisible();
  await page.getByRole('radio', { name: 'Buttons', exact: true }).click();
  await page.getByRole('tab', { name: 'Text' }).click();
  await expect(page.getByRole('textbox', { name: /pattern/i })).toHaveValue(/^Button eyes: 10 mm, /m);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: /^Back to/ }).click();
  await page.getByRole('tab', { name: 'Yarn' }).click();
  const taken = page.getByRole('list', { name: 'What it takes', exact: true });
  await expect(taken.getByText('2 × felt for eyes, 10 mm')).toBeVisible();
  await expect(taken.getByText(/washer/)).toHaveCount(0);
  await expectAccessible(page);
});

test('the eyes in other sizes and looks, with rings, and stitched for a small child', async ({ page }) => {
  await bringPattern(
    page,
    `${bearHead}\nEyes: 10 mm, between R8 and R9, 7 post to post.\nMouth: embroidered smile, 4 rounds below the eyes, 3 stitches wide, 1 round high.`,
  );
  await page.getByRole('tab', { name: 'Map' }).click();
  await page.getByRole('button', { name: 'Larger eyes' }).click();
  await expect(page.getByText('12 mm, washer about 18 mm')).toBeVisible();
  await page.getByRole('radio', { name: 'Crocheted rings' }).click();
  await page.getByRole('button', { name: 'The rings across: more' }).click();
  await page.getByRole('tab', { name: 'Text' }).click();
  const text = page.getByRole('textbox', { name: /pattern/i });
  await expect(text).toHaveValue(/^Eyes: 12 mm, .*, with crocheted rings of 19 mm\.$/m);
  await page.getByRole('tab', { name: 'Map' }).click();
  await page.getByRole('radio', { name: 'Sleeping' }).click();
  await expect(page.getByRole('status').filter({ hasText: /^Eyes: round 8\|9, holes/ })).toBeVisible();
  await expect(page.getByText(/^1\. out at hole \d+ between 8 and 9$/)).toBeVisible();
  await expectAccessible(page);
  await feature(page, 'Mouth').click();
  await expect(page.getByRole('status').filter({ hasText: /^Mouth: round 12\|13/ })).toBeVisible();
  // And pressed again.
  await feature(page, 'Eyes').click();
  await page.getByRole('radio', { name: 'Pressed in' }).click();
  await expect.poll(() => holes(page)).toHaveLength(2);
  await page.getByRole('tab', { name: 'Text' }).click();
  await expect(text).toHaveValue(/^Eyes: \d+ mm, between R8 and R9, 7 apart \(6 showing\)/m);
});

test('a miscount on the real piece is found before anything is moved', async ({ page }) => {
  await bringPattern(page, `${bearHead}\nEyes: 8 mm, between R8 and R9, 7 post to post.`);
  await page.getByRole('tab', { name: 'Map' }).click();
  await page.getByRole('button', { name: 'Check what you did' }).click();
  const check = page.getByRole('region', { name: 'Check what you did' });
  await check.getByRole('button', { name: 'Count on to the marker too' }).click();
  await expect(check.getByText(/they are level and centred/)).toBeVisible();
  await check.getByRole('button', { name: /^Stitches from the marker to the left eye: more/ }).click();
  await expect(
    check.getByText(
      /The round has 35 stitches, and what you counted comes to 36, with the two over the holes\. Count once more/,
    ),
  ).toBeVisible();
  await check.getByRole('button', { name: /^Stitches from the right eye on to the marker: less/ }).click();
  await expect(
    check.getByText(/Move the left eye 1 stitch to the left\. Move the right eye 1 stitch to the left\./),
  ).toBeVisible();
});
