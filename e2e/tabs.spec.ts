import { expect, test, type Page } from '@playwright/test';
import { bringPattern, saved } from './helpers';
import { keptTexts } from './storage';

/** `RUNS=50 npx playwright test tabs` shows it at length. */
const runs = Number(process.env.RUNS ?? 3);

/** Numbers from a seed, 0 to below 1. */
function chance(seed: number): () => number {
  let state = seed * 2246822519 + 3;
  return () => {
    state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff;
    return state / 0x80000000;
  };
}

const typedText = (page: Page) => page.getByRole('textbox', { name: 'Pattern text' });
const conflict = (page: Page) => page.getByText(/changed in another tab/);

/** Types some words with pauses, answering a conflict with *Keep both*. Returns what was typed. */
async function typeIn(page: Page, name: string, random: () => number): Promise<string[]> {
  const typed: string[] = [];
  for (let i = 0; i < 4; i += 1) {
    await keepBoth(page);
    const word = `${name}${i}x`;
    await typedText(page).press('Control+End');
    await page.keyboard.insertText(`\n${word}.`);
    typed.push(word);
    await page.waitForTimeout(random() * 900);
  }
  return typed;
}

async function keepBoth(page: Page): Promise<void> {
  while (await conflict(page).isVisible()) {
    await page.getByRole('button', { name: 'Keep both' }).click();
    await expect(conflict(page)).toBeHidden();
  }
}

test('two tabs on one toy, a third that brings and deletes toys: nothing lost, nothing back from the dead, nothing hidden', async ({
  browser,
  baseURL,
}) => {
  test.setTimeout(60_000 * runs + 60_000);
  let asked = 0;
  for (let run = 0; run < runs; run += 1) {
    const random = chance(run + 1);
    const context = await browser.newContext({
      baseURL,
      viewport: { width: 390, height: 844 },
      reducedMotion: 'reduce',
    });
    const [mine, third] = [await context.newPage(), await context.newPage()];
    await bringPattern(third, 'Toy: Doomed\nDoomed\nR1: 6 sc in ring [6]');
    await bringPattern(mine, 'Toy: Shared\nBall\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]');
    await saved(mine);
    const theirs = await context.newPage();
    await theirs.goto(mine.url());
    await mine.getByRole('tab', { name: 'Text' }).click();
    await theirs.getByRole('tab', { name: 'Text' }).click();
    await expect(typedText(theirs)).toHaveValue(/Shared/);
    await third.goto('/');

    const [a, b] = await Promise.all([
      typeIn(mine, 'mine', chance(run * 2 + 5)),
      typeIn(theirs, 'theirs', chance(run * 2 + 6)),
      (async () => {
        await third.waitForTimeout(random() * 800);
        await third.getByRole('button', { name: 'More for Doomed' }).click();
        await third.getByRole('button', { name: 'Delete' }).click();
        await expect(third.getByText('Doomed is off the shelf.')).toBeVisible();
        await bringPattern(third, 'Toy: Newborn\nTail\nR1: 4 sc in ring [4]');
      })(),
    ]);
    for (const page of [mine, theirs, mine, theirs]) {
      await expect(page.getByText(/· (saved|not saved)$/)).toBeVisible();
      await page.waitForTimeout(600);
      if (await conflict(page).isVisible()) asked += 1;
      await keepBoth(page);
      await saved(page);
    }
    await Promise.all([mine.goto('/'), theirs.goto('/'), third.goto('/')]);
    const kept = await keptTexts(mine);
    for (const word of [...a, ...b])
      expect(
        kept.some((text) => text.includes(word)),
        `run ${run}: ${word} is kept`,
      ).toBe(true);
    expect(
      kept.filter((text) => text.includes('Doomed')),
      `run ${run}: what was deleted stays so`,
    ).toEqual([]);
    for (const page of [mine, theirs, third]) {
      await expect(page.getByRole('list', { name: 'Toys' }).getByRole('listitem')).toHaveCount(kept.length);
      await expect(page.getByRole('link', { name: 'Open Newborn' })).toBeVisible();
    }
    await context.close();
  }
  process.stdout.write(
    `${runs} runs of two tabs: ${asked} conflicts left to the end and asked about, nothing lost\n`,
  );
});

test('a toy that is deleted in one tab does not come back from another, unless it is wanted', async ({
  context,
  page,
}) => {
  await bringPattern(page, 'Toy: Shared\nBall\nR1: 6 sc in ring [6]');
  await saved(page);
  await page.getByRole('tab', { name: 'Text' }).click();
  const other = await context.newPage();
  await other.goto('/');
  await other.getByRole('button', { name: 'More for Shared' }).click();
  await other.getByRole('button', { name: 'Delete' }).click();
  await typedText(page).press('Control+End');
  await page.keyboard.insertText('\nStill typing.');
  await expect(page.getByText(/was deleted in another tab/)).toBeVisible();
  expect(await keptTexts(page)).toEqual([]);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await saved(page);
  expect(await keptTexts(page)).toEqual(['Toy: Shared\nBall\nR1: 6 sc in ring [6]\nStill typing.']);
  await expect(other.getByRole('link', { name: 'Open Shared' })).toBeVisible();
});
