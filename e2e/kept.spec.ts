import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { bearHead, bringPattern, expectAccessible, holes, openDemo, openOtter, saved } from './helpers';

test('a reload keeps everything, also on a deep link, and the undo history', async ({ page }) => {
  await bringPattern(page, `${bearHead}\nEyes: 9 mm, between R9 and R10, 6 showing`);
  await page.getByRole('tab', { name: 'Map' }).click();
  const before = await holes(page);
  await page.getByRole('button', { name: 'One stitch wider' }).click();
  await expect.poll(() => holes(page)).not.toEqual(before);
  const after = await holes(page);
  await saved(page);
  await page.reload();
  await expect.poll(() => holes(page)).toEqual(after);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => holes(page)).toEqual(before);
});

test('toys are renamed, duplicated, deleted and put back', async ({ page }) => {
  await bringPattern(page, bearHead);
  await page.goto('/');
  const toys = page.getByRole('list', { name: 'Toys' }).getByRole('listitem');
  await page.getByRole('button', { name: /^More for/ }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Rename' }).click();
  await page.getByRole('textbox', { name: 'New name' }).fill('Honey bear');
  await page.getByRole('button', { name: 'Save the name' }).click();
  await expect(page.getByRole('link', { name: 'Open Honey bear' })).toBeVisible();
  await page.getByRole('button', { name: 'Duplicate' }).click();
  await expect(toys).toHaveCount(2);
  await page
    .getByRole('button', { name: /^(More|Less) for Honey bear$/ })
    .first()
    .click();
  if (!(await page.getByRole('button', { name: 'Delete' }).isVisible()))
    await page.getByRole('button', { name: 'More for Honey bear', exact: true }).click();
  await page.getByRole('button', { name: 'Delete' }).first().click();
  await expect(toys).toHaveCount(1);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(toys).toHaveCount(2);
  await page.reload();
  await expect(toys).toHaveCount(2);
});

test('an export comes back by import; broken files say why and change nothing', async ({ page }) => {
  await bringPattern(page, bearHead);
  await page.goto('/');
  const toys = page.getByRole('list', { name: 'Toys' }).getByRole('listitem');
  await expect(toys).toHaveCount(1);
  await page.getByRole('button', { name: /^More for/ }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export' }).click();
  const file = await (await download).path();
  expect((await download).suggestedFilename()).toMatch(/\.hoppla\.json$/);
  const { readFile } = await import('node:fs/promises');
  const contents = await readFile(file);

  const open = async (name: string, buffer: Buffer) => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Open a file' }).click();
    await (await chooser).setFiles({ name, mimeType: 'application/json', buffer });
  };
  await open('cut.hoppla.json', contents.subarray(0, 60));
  await expect(page.getByText(/may be cut off/)).toBeVisible();
  await open('other.json', Buffer.from('{"colour":"red"}'));
  await expect(page.getByText(/was not made by Hoppla/)).toBeVisible();
  await open('newer.hoppla.json', Buffer.from(contents.toString().replace('"version": 2', '"version": 7')));
  await expect(page.getByText(/newer Hoppla/)).toBeVisible();
  await open('photo.json', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0x00, 0x10]));
  await expect(page.getByText(/not text/)).toBeVisible();
  await expect(toys).toHaveCount(1);
  await open('good.hoppla.json', contents);
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Bear');
  await page.goto('/');
  await expect(toys).toHaveCount(2);
});

test('two tabs do not overwrite each other silently', async ({ context, page }) => {
  await bringPattern(page, bearHead);
  await saved(page);
  const other = await context.newPage();
  await other.goto(page.url());
  await other.getByRole('tab', { name: 'Text' }).click();
  await page.getByRole('tab', { name: 'Text' }).click();
  const mine = page.getByRole('textbox', { name: 'Pattern text' });
  const theirs = other.getByRole('textbox', { name: 'Pattern text' });
  // A clean tab follows.
  await theirs.press('Control+End');
  await theirs.pressSequentially('\nFirst from the other.');
  await saved(other);
  await expect(mine).toHaveValue(/First from the other\./);
  // Two tabs that both typed: the later one is asked.
  await Promise.all([
    theirs.pressSequentially(' Theirs.'),
    mine.press('Control+End').then(() => mine.pressSequentially('\nMine.')),
  ]);
  const asked = (tab: Page) =>
    tab
      .getByText(/changed in another tab/)
      .waitFor()
      .then(() => tab);
  const either = await Promise.any([asked(page), asked(other)]);
  await either.getByRole('button', { name: 'Keep both' }).click();
  await expect(either.getByText(/changed in another tab/)).toBeHidden();
  await either.goto('/');
  await expect(either.getByRole('list', { name: 'Toys' }).getByRole('listitem')).toHaveCount(2);
});

test('storage that says no is shown, and tried again', async ({ page }) => {
  await bringPattern(page, bearHead);
  await saved(page);
  await page.evaluate(() => {
    const real = IDBObjectStore.prototype.put;
    (window as unknown as { heal: () => void }).heal = () => {
      IDBObjectStore.prototype.put = real;
    };
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await page.getByRole('tab', { name: 'Text' }).click();
  const text = page.getByRole('textbox', { name: 'Pattern text' });
  await text.press('Control+End');
  await text.pressSequentially('\nA last word.');
  await expect(page.getByText(/would not save this/)).toBeVisible();
  await page.evaluate(() => (window as unknown as { heal: () => void }).heal());
  await page.getByRole('button', { name: 'Try again now' }).click();
  await saved(page);
  await page.reload();
  await expect(text).toHaveValue(/A last word\./);
});

test('a toy that is not here says so', async ({ page }) => {
  await page.goto('/toy/nowhere/0');
  await expect(page.getByText(/not on the shelf of this browser/)).toBeVisible();
  await page.getByRole('button', { name: 'To the shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Bring a pattern' })).toBeVisible();
});

test('starting blank, and the demo toys', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start a blank part' }).click();
  await expect(page.getByRole('heading', { name: 'New toy' })).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Open New toy' })).toBeVisible();
  await page.getByRole('button', { name: /^More for/ }).click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await page.getByRole('button', { name: 'Look at the Pondside demo toys' }).click();
  await expect(page.getByRole('heading', { name: 'Pondside otter' })).toBeVisible();
  await expectAccessible(page);
});

test('the page of a part outlives a new name, and a part put in above it', async ({ page }) => {
  await bringPattern(page, bearHead);
  await page.getByRole('tab', { name: 'Text' }).click();
  const text = page.getByRole('textbox', { name: 'Pattern text' });
  await text.fill(
    `Hat\nR1: 6 sc in magic ring\nR2: inc x 6\n\n${bearHead.replace("Bear's head", "Otter's head")}`,
  );
  await expect(page.getByRole('heading', { name: "Otter's head", exact: true })).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('heading', { name: "Otter's head", exact: true })).toBeVisible();
});

test('the whole shelf goes into one file and comes back, also where a toy has changed meanwhile', async ({
  page,
}) => {
  await openDemo(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the whole shelf' }).click();
  const file = await (await download).path();
  const openFile = async () => {
    const chosen = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Open a file' }).click();
    await (
      await chosen
    ).setFiles({
      name: 'hoppla-shelf.zip',
      mimeType: 'application/zip',
      buffer: readFileSync(file),
    });
  };
  await openFile();
  await expect(page.getByText('No toy was new. 5 toys were here already, just so.')).toBeVisible();
  await page.getByRole('button', { name: 'More for Pondside otter' }).click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByRole('link', { name: 'Open Pondside otter' })).toBeHidden();
  await page.getByRole('button', { name: 'More for Pondside toadstool' }).click();
  await page.getByRole('button', { name: 'Rename' }).click();
  await page.getByRole('textbox', { name: 'New name' }).fill('My toadstool');
  await page.getByRole('button', { name: 'Save the name' }).click();
  await expect(page.getByRole('link', { name: 'Open My toadstool' })).toBeVisible();
  await openFile();
  await expect(page.getByText('1 toy of this file is on your shelf with another text')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Bring copies of them' }).click();
  await expect(page.getByText('2 toys came to the shelf. 3 toys were here already')).toBeVisible();
  for (const name of ['Pondside otter', 'Pondside toadstool', 'My toadstool'])
    await expect(page.getByRole('link', { name: `Open ${name}` })).toBeVisible();
});

test('a page of a toy keeps its address while it opens: loaded anew just then it is the same page', async ({
  page,
}) => {
  await openOtter(page);
  await expect(page.getByRole('link', { name: 'Open Head' })).toBeVisible();
  const sheet = `${page.url()}/sheet`;
  // Every address the page has from its beginning on, also those that are there for a moment only.
  await page.addInitScript(() => {
    const own = history.replaceState.bind(history);
    const had: string[] = [];
    (window as unknown as { had: string[] }).had = had;
    history.replaceState = (state, title, address) => {
      had.push(String(address));
      own(state, title, address);
    };
  });
  const addresses = () => page.evaluate(() => (window as unknown as { had: string[] }).had);
  let release = () => {};
  const held = new Promise<void>((resolve) => (release = resolve));
  await page.route('**/workbench-*.js', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(sheet, { waitUntil: 'commit' });
  await expect(page.getByText('Opening …')).toBeVisible();
  expect(page.url()).toBe(sheet);
  await page.reload({ waitUntil: 'commit' });
  await expect(page.getByText('Opening …')).toBeVisible();
  release();
  await expect(page.getByRole('region', { name: 'The sheet' })).toBeVisible();
  expect(page.url()).toBe(sheet);
  for (const address of await addresses()) expect(address).toMatch(/\/sheet$/);
});
