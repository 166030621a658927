import { expect, test } from '@playwright/test';
import { bearHead, bringPattern, expectAccessible, saved } from './helpers';

test('a part is composed by thumb alone: ring, increase, plain, decrease', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start a blank part' }).click();
  await page.getByRole('link', { name: 'Open Head' }).click();
  await page.getByRole('tab', { name: 'Rounds' }).click();
  const add = () => page.getByRole('button', { name: 'Add a round' }).click();
  const put = () => page.getByRole('button', { name: 'Add it' }).click();
  await add();
  await page.getByRole('button', { name: 'One more' }).click();
  await put();
  await expect(page.getByRole('button', { name: 'R1: 7 sc in magic ring, 7 stitches' })).toBeVisible();
  await add();
  await page.getByRole('radio', { name: 'Increase' }).click();
  await put();
  await add();
  await page.getByRole('radio', { name: 'Increase' }).click();
  await page.getByRole('button', { name: 'One fewer' }).click();
  await expect(page.getByText('[20]')).toBeVisible();
  await page.getByRole('button', { name: 'One more' }).click();
  await expectAccessible(page);
  await put();
  await add();
  await put();
  await add();
  await page.getByRole('radio', { name: 'Decrease' }).click();
  await put();
  await expect(page.getByRole('button', { name: /^R5: \(sc, dec\) x 7, 14 stitches$/ })).toBeVisible();
  await expect(page.getByText('every round adds up')).toBeVisible();
  await saved(page);
  await page.getByRole('tab', { name: 'Text' }).click();
  await expect(page.getByRole('textbox', { name: 'Pattern text' })).toHaveValue(
    /R1: 7 sc in magic ring \[7\]\nR2: inc around \[14\]\nR3: \(sc, inc\) x 7 \[21\]\nR4: sc around \[21\]\nR5: \(sc, dec\) x 7 \[14\]/,
  );
});

test('cards are changed, duplicated, moved and deleted, and the text follows', async ({ page }) => {
  await bringPattern(page, bearHead);
  const card = (name: RegExp) => page.getByRole('button', { name });
  await card(/^R6–13/).click();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(card(/^R14–21: Sc in each st around, 35/)).toBeVisible();
  await card(/^R14–21/).click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(card(/^R14: \(sc in next 3 sts, sc2tog\) 7 times, 28/)).toBeVisible();
  await card(/^R5:/).click();
  await page.getByRole('button', { name: 'Change' }).click();
  await page.getByRole('textbox', { name: 'What R5 says' }).fill('(3 sc, inc) x 6');
  await page.getByRole('button', { name: 'Write it' }).click();
  await expect(page.getByText(/Round 5 works 24 of the 28 stitches/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('every round adds up')).toBeVisible();
});

test('what is wrong is marked in the text itself', async ({ page }) => {
  await bringPattern(page, bearHead.replace('(28)', '(27)'));
  await page.getByRole('tab', { name: 'Text' }).click();
  await expect(page.getByText('!', { exact: true })).toHaveCount(1);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'One line needs a look' }).click();
  await expect(page.getByText('Round 4 says 27, but makes 28.')).toBeVisible();
});

test('a shape becomes rounds, on a new toy and on one that is there', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start from a shape' }).click();
  await expect(page.getByText('42 stitches at the widest')).toBeVisible();
  await page.getByRole('radio', { name: '8', exact: true }).click();
  await expect(page.getByText('R2: sc around', { exact: false })).toBeVisible();
  await expect(page.getByText('40 stitches at the widest')).toBeVisible();
  await page.getByRole('radio', { name: 'Any' }).click();
  await expect(page.getByText('44 stitches at the widest')).toBeVisible();
  await page.getByRole('button', { name: 'Width: 5 mm more' }).click();
  await expect(page.getByText('47 stitches at the widest')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Take these rounds' }).click();
  await expect(page.getByText('every round adds up')).toBeVisible();
  await page.getByRole('button', { name: /^Back to/ }).click();
  await page.getByRole('button', { name: 'Add a shape' }).click();
  await page.getByRole('radio', { name: 'Leg with foot' }).click();
  await page.getByRole('button', { name: 'Take these rounds' }).click();
  await expect(page.getByRole('heading', { name: 'Leg with foot' })).toBeVisible();
  await expect(page.getByText('every round adds up')).toBeVisible();
});

test('a pattern is mended before it is on the shelf, and the mending undone', async ({ page }) => {
  await page.goto('/new');
  const text = page.getByRole('textbox', { name: 'The pattern' });
  await text.fill('Ball\nR1: 6 dc in ring\nR2: 2 dc in each st\nR3: (dc, inc) x 5, dc\nLove');
  await expect(page.getByText(/Which words is this written in/)).toBeVisible();
  await page.getByRole('button', { name: 'It is in UK terms' }).click();
  await expect(text).toHaveValue(/^Terms: UK\n/);
  await expect(page.getByText(/no round says how many/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(text).toHaveValue(/^Ball\n/);
  await expect(page.getByText('line 5, “Love”')).toBeVisible();
});

test('the page of what is read is a tap away', async ({ page }) => {
  await page.goto('/new');
  await page.getByRole('link', { name: 'What can be read?' }).click();
  await expect(page.getByRole('heading', { name: 'Starts' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByRole('textbox', { name: 'The pattern' })).toBeVisible();
});

test('what is worked along a line, and what lies inside: holes by number, and the moment before the opening is too small', async ({
  page,
}) => {
  await page.goto('/new');
  await page
    .getByRole('textbox', { name: 'The pattern' })
    .fill(
      'Toy: Pond lizard\nTerms: US\nLean: 0.25\n\nBody\nR1: 6 sc in magic ring [6]\nR2: inc x 6 [12]\nR3: (sc, inc) x 6 [18]\nR4: (sc 2, inc) x 6 [24]\nR5: (sc 3, inc) x 6 [30]\nR6-R14: sc around [30]\nR15: (sc 3, dec) x 6 [24]\nR16: (sc 2, dec) x 6 [18]\nR17: (sc, dec) x 6 [12]\nR18: dec x 6 [6]\nWork a crest along the back from R5 to R12.\nPut a 20 mm bell inside.\n',
    );
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await page.getByRole('tab', { name: /Stops/ }).click();
  await expect(page.getByText('Put the bell in').first()).toBeVisible();
  await expect(page.getByText('Crest along the middle of the back, from round 5 to round 12')).toBeVisible();
  await expect(page.getByText(/^7 holes, so 6 stitches from hole to hole\./)).toBeVisible();
  await page.getByRole('button', { name: 'Every hole by its number' }).click();
  await expect(page.getByRole('list', { name: 'Holes in their order' }).getByRole('listitem')).toHaveCount(7);
  await expectAccessible(page);
});
