import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, openDemo } from './helpers';

const savedText = async (page: Page, name: string): Promise<string> => {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name }).click();
  return readFileSync(await (await download).path(), 'utf8');
};

test('a list for several toys: what is there is taken off, what it costs is summed, a toy that is gone is told', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'To buy' }).click();
  await page.getByRole('button', { name: 'Add Pondside otter' }).click();
  await page.getByRole('button', { name: 'Add Pondside hedgehog' }).click();
  await page.getByRole('textbox', { name: 'Pondside otter, in toy' }).fill('3');

  const brown = page.getByRole('button', { name: /brown \(medium, chestnut brown\): what is there/ });
  await expect(brown).toHaveAccessibleName(/^1\d\d g, brown/);
  await brown.click();
  const settings = page.getByRole('group', { name: 'brown (medium, chestnut brown)' });
  await settings.getByRole('textbox', { name: 'There already, in g' }).fill('400');
  await expect(brown).toHaveAccessibleName(/^All there, brown/);
  await settings.getByRole('textbox', { name: /^Price, / }).fill('3');
  await expectAccessible(page);
  await page.getByRole('textbox', { name: 'Your work is to bring, in an hour' }).fill('10');
  const otter = page.getByRole('group', { name: 'Cost of Pondside otter' });
  await expect(otter.getByText(/Without a price, and not in it: cream/)).toBeVisible();
  await expect(otter.getByText(/of it materials/)).toBeVisible();

  const text = await savedText(page, 'Save the list');
  expect(text).toContain('To make\n- 3 × Pondside otter\n- 1 × Pondside hedgehog\n');
  expect(text).toContain('- 6 × safety eye, 9 mm\n');
  expect(text).toContain('There already\n- brown (medium, chestnut brown)\n');
  expect(await savedText(page, 'Save it for a spreadsheet')).toMatch(
    /^"?brown \(medium, chestnut brown\)"?,g,\d+,400,0,3,50,0\r?$/m,
  );

  await page.getByRole('textbox', { name: 'You ask for Pondside otter' }).fill('24');
  await page.getByRole('button', { name: 'Labels and a table for the fair' }).click();
  await expect(page.getByRole('region', { name: /^Pondside otter, \d of 3$/ })).toHaveCount(3);
  await expect(page.getByRole('row', { name: /^Pondside otter, 1 of 3 .*24\.00$/ })).toBeVisible();
  await expectAccessible(page);
  expect(await savedText(page, 'Save the table for a spreadsheet')).toMatch(
    /^Pondside otter,3,3,.*,24\.00\r?$/m,
  );
  await page.getByRole('button', { name: 'Back to the list' }).click();

  await page.reload();
  await expect(brown).toHaveAccessibleName(/^All there, brown/);
  await page.getByRole('button', { name: 'Back to the toys' }).click();
  await page.getByRole('button', { name: 'More for Pondside hedgehog' }).click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'To buy' }).click();
  await expect(page.getByText(/One toy of the list can’t be read, or is on the shelf no more/)).toBeVisible();
  await page.getByRole('button', { name: 'Take it off the list' }).click();
  await expect(page.getByText(/on the shelf no more/)).toHaveCount(0);
  await page.getByRole('textbox', { name: 'Pondside otter, in toys' }).fill('0');
  await expect(page.getByRole('list', { name: 'What they take' })).toHaveCount(0);
});

test('felt is asked for by area, tools stand apart; both are found in the box', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'To buy' }).click();
  await page.getByRole('button', { name: 'Add Pondside pocket frog' }).click();
  await page.getByRole('textbox', { name: 'Pondside pocket frog, in toy' }).fill('5');
  const taken = page.getByRole('list', { name: 'What they take' });
  // Ten cheeks of 8 mm, each from a square of 12 mm: 14.4 cm².
  await expect(taken.getByRole('button', { name: /^15 cm², Felt: / })).toBeVisible();
  const tools = page.getByRole('list', { name: 'To have at hand' });
  await expect(tools.getByRole('button', { name: /^1 ×, Crochet hook, 3 mm: / })).toBeVisible();
  await expect(tools.getByRole('button', { name: /^7 ×, Stitch markers: / })).toBeVisible();
  await page.getByRole('button', { name: 'My box' }).click();
  await page.getByRole('radio', { name: 'Felt' }).click();
  await page.getByRole('button', { name: 'Put it in' }).click();
  await expect(page.getByRole('textbox', { name: 'Felt, in cm²' })).toHaveValue('600');
  await page.getByRole('radio', { name: 'Tools' }).click();
  await page.getByRole('textbox', { name: 'Size, in mm' }).fill('3');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Put it in' }).click();
  await page.getByRole('button', { name: 'Back to the list' }).click();
  await expect(taken.getByRole('button', { name: /^All there, Felt: / })).toBeVisible();
  await expect(tools.getByRole('button', { name: /^All there, Crochet hook, 3 mm: / })).toBeVisible();
  const text = await savedText(page, 'Save the list');
  expect(text).toContain('To have at hand\n- 1 × Darning needle, blunt\n');
  expect(text).not.toContain('cheeks');
});

test('a batch reserves from the box; once a toy is made, what it took is gone', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'To buy' }).click();
  await page.getByRole('button', { name: 'My box' }).click();
  await expect(page.getByText(/^Nothing yet\. Put in/)).toBeVisible();
  await page.getByRole('radio', { name: 'By the piece' }).click();
  await page.getByRole('textbox', { name: 'Size, in mm' }).fill('9');
  await page.getByRole('textbox', { name: 'How much, in pieces' }).fill('12');
  await page.getByRole('button', { name: 'Put it in' }).click();
  const eyes = page.getByRole('textbox', { name: 'Safety eye, 9 mm, in pieces' });
  await expect(eyes).toHaveValue('12');
  await expect(page.getByText('None of it is spoken for.')).toBeVisible();
  await page.getByRole('radio', { name: 'Yarn' }).click();
  await expect(page.getByRole('button', { name: 'Put it in' })).toBeDisabled();
  await expectAccessible(page);

  await page.getByRole('button', { name: 'Back to the list' }).click();
  await page.getByRole('button', { name: 'Add Pondside otter' }).click();
  await page.getByRole('textbox', { name: 'Pondside otter, in toy' }).fill('4');
  await expect(page.getByRole('button', { name: /^All there, safety eye, 9 mm/ })).toBeVisible();
  await page.getByRole('button', { name: 'One Pondside otter is made' }).click();
  await expect(page.getByRole('textbox', { name: 'Pondside otter, in toys' })).toHaveValue('3');
  await page.getByRole('button', { name: 'My box' }).click();
  await expect(page.getByRole('textbox', { name: 'safety eye, 9 mm, in pieces' })).toHaveValue('10');
  await expect(page.getByText('6 × for what you mean to make; 4 × free.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'safety eye, 9 mm, in pieces' })).toHaveValue('10');
});
