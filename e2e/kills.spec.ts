import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test';
import { bringPattern } from './helpers';
import { keptTexts } from './storage';

/** How often each thing is tried. `RUNS=50 npx playwright test kills` shows it at length. */
const runs = Number(process.env.RUNS ?? 3);

const words =
  'and the ears are sewn on before the head is stuffed, two rounds below the crown, with the tail of the ear itself ';

/** Numbers from a seed, 0 to below 1: the same moments in every run. */
function chance(seed: number): () => number {
  let state = seed * 2654435761 + 1;
  return () => {
    state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff;
    return state / 0x80000000;
  };
}

/** How much longer than the pauses between the signs the typing takes on a machine that keeps up. */
const usualShare = 1.5;

/** A browser with a shelf of its own that outlives it. */
class Machine {
  readonly folder = mkdtempSync(join(tmpdir(), 'hoppla-kill-'));

  constructor(
    private readonly base: string,
    private readonly args: string[],
  ) {}

  open(): Promise<BrowserContext> {
    return chromium.launchPersistentContext(this.folder, {
      executablePath: '/usr/bin/chromium',
      args: this.args,
      baseURL: this.base,
      reducedMotion: 'reduce',
      viewport: { width: 390, height: 844 },
    });
  }

  /** Ends the browser as a flat battery would: nothing in it is told. */
  kill(): void {
    spawnSync('pkill', ['-KILL', '-f', this.folder]);
  }

  gone(): void {
    rmSync(this.folder, { recursive: true, force: true, maxRetries: 5 });
  }
}

const typedText = (page: Page) => page.getByRole('textbox', { name: 'Pattern text' });

test('killed at any moment of typing, at most the last second is lost', async ({
  baseURL,
  launchOptions,
}, info) => {
  test.setTimeout(runs * 60_000);
  const losses: number[] = [];
  const typedLast: number[] = [];
  for (let run = 0; run < runs; run += 1) {
    const random = chance(run + 1);
    const machine = new Machine(baseURL ?? '', launchOptions.args ?? []);
    const context = await machine.open();
    const page = context.pages()[0] ?? (await context.newPage());
    await bringPattern(page, 'Ball\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]');
    await page.getByRole('tab', { name: 'Text' }).click();
    const before = await typedText(page).inputValue();
    await typedText(page).press('Control+End');
    const startedAt = Date.now();
    const killAt = startedAt + 1500 + random() * 4000;
    let waited = 0;
    const times: number[] = [];
    let typed = '';
    while (Date.now() < killAt) {
      const sign = words[typed.length % words.length] ?? ' ';
      await page.keyboard.insertText(sign);
      typed += sign;
      times.push(Date.now());
      const pause = 20 + random() * 120;
      await page.waitForTimeout(pause);
      waited += pause;
    }
    const killedAt = Date.now();
    // A busy machine takes longer over each sign, and so does the page: its second is longer by as much.
    const slowness = Math.max(1, (killedAt - startedAt) / (usualShare * waited));
    machine.kill();
    await context.close().catch(() => undefined);

    const again = await machine.open();
    const reopened = again.pages()[0] ?? (await again.newPage());
    await reopened.goto('/');
    await reopened.getByRole('link', { name: 'Open Ball' }).click();
    await reopened.getByRole('link', { name: 'Open Ball' }).click();
    await reopened.getByRole('tab', { name: 'Text' }).click();
    const found = await typedText(reopened).inputValue();
    await again.close();
    machine.gone();
    expect(
      `${before}${typed}`.startsWith(found),
      `run ${run}: what is there is what was typed, from its beginning`,
    ).toBe(true);
    losses.push(before.length + typed.length - found.length);
    typedLast.push(times.filter((time) => time > killedAt - 1000 * slowness).length);
  }
  process.stdout.write(
    `${runs} kills while typing: signs lost ${losses.join(' ')}; typed in the last second ${typedLast.join(' ')}\n`,
  );
  info.annotations.push({ type: 'lost', description: losses.join(' ') });
  losses.forEach((lost, run) => expect(lost, `run ${run}`).toBeLessThanOrEqual(typedLast[run] ?? 0));
});

test('left or reloaded in the middle of a word, nothing is lost', async ({ page }) => {
  test.setTimeout(60_000 + runs * 15_000);
  await bringPattern(page, 'Ball\nR1: 6 sc in ring [6]\nR2: inc x 6 [12]');
  await page.getByRole('tab', { name: 'Text' }).click();
  const address = page.url();
  const random = chance(99);
  const leave = [
    () => page.reload(),
    () => page.goto('/'),
    () => page.goto('about:blank'),
    async () => {
      await page.getByRole('button', { name: /^Back to/ }).click();
    },
    async () => {
      await page.goBack();
    },
  ];
  let expected = await typedText(page).inputValue();
  for (let run = 0; run < Math.max(runs, leave.length); run += 1) {
    await typedText(page).press('Control+End');
    for (let i = 0; i < 6 + random() * 30; i += 1) {
      const sign = words[i] ?? '.';
      await page.keyboard.insertText(sign);
      expected += sign;
      await page.waitForTimeout(random() * 60);
    }
    await leave[run % leave.length]?.();
    await page.goto(address);
    await page.getByRole('tab', { name: 'Text' }).click();
    await expect(typedText(page), `run ${run}`).toHaveValue(expected);
  }
});

test('a first visit killed at any moment ends with all demo toys or none', async ({
  baseURL,
  launchOptions,
}) => {
  test.setTimeout(runs * 60_000);
  const found: number[] = [];
  for (let run = 0; run < runs; run += 1) {
    const machine = new Machine(baseURL ?? '', launchOptions.args ?? []);
    const boot = (context: BrowserContext, demo: boolean) =>
      context.route('**/boot.json', (route) => route.fulfill({ json: { demo } }));
    const context = await machine.open();
    await boot(context, true);
    const page = context.pages()[0] ?? (await context.newPage());
    void page.goto('/').catch(() => undefined);
    await new Promise((resolve) => {
      setTimeout(resolve, 300 + chance(run + 7)() * 7000);
    });
    machine.kill();
    await context.close().catch(() => undefined);

    const again = await machine.open();
    await boot(again, false);
    const reopened = again.pages()[0] ?? (await again.newPage());
    await reopened.goto('/');
    await expect(reopened.getByRole('button', { name: 'Paste a pattern' })).toBeVisible();
    found.push((await keptTexts(reopened)).length);
    await again.close();

    // The next visit that wants them has all of them.
    const last = await machine.open();
    await boot(last, true);
    const shelf = last.pages()[0] ?? (await last.newPage());
    await shelf.goto('/');
    await expect(shelf.getByRole('list', { name: 'Toys' }).getByRole('listitem')).toHaveCount(5);
    await last.close();
    machine.gone();
  }
  process.stdout.write(`${runs} first visits killed: toys found ${found.join(' ')}\n`);
  for (const toys of found) expect([0, 5]).toContain(toys);
});
