import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { bearHead, bringPattern, expectAccessible, openDemo, saved } from './helpers';

const withEyes = `${bearHead}\nEyes: 9 mm, between R9 and R10, 6 showing`;

const scripts = /\/_expo\/static\/js\/web\/[^/]+\.js$/;

/** The app as if one expression in it threw, known by its words: what a slip of ours would do. */
async function breakAt(page: Page, words: string): Promise<void> {
  let found = false;
  await mend(page);
  await page.route(scripts, async (route) => {
    const pieces = (await (await route.fetch({ maxRetries: 3 })).text()).split(
      new RegExp(`(?:[\\w$]+\\.t)?["'\`]${words}["'\`](?!:\\(\\{)`),
    );
    found ||= pieces.length > 1;
    await route.fulfill({
      contentType: 'text/javascript',
      body: pieces.join('(()=>{throw new Error("broken on purpose")})()'),
    });
  });
  await page.reload();
  await expect.poll(() => found, `“${words}” is in the app`).toBe(true);
}

/** What is still on its way is let be: once nothing is held back, the browser answers it by itself. */
const mend = (page: Page) => page.unrouteAll({ behavior: 'ignoreErrors' });

/** Makes the browser refuse every write until `heal()` is called in the page. */
const refuseWrites = (page: Page) =>
  page.evaluate(() => {
    const real = IDBObjectStore.prototype.put;
    (window as unknown as { heal: () => void }).heal = () => {
      IDBObjectStore.prototype.put = real;
    };
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });

// What is still on its way when a test ends is nobody's any more.
test.afterEach(({ page }) => mend(page));

const typedText = (page: Page) => page.getByRole('textbox', { name: 'Pattern text' });

test('the edit that once took the whole shelf away', async ({ page }) => {
  await bringPattern(page, 'Toy: Dot\nHead\nR1: 6 sc in ring\nR2: inc x 6\n10 mm eyes\nFelt cheeks, 8 mm\n');
  await page.getByRole('tab', { name: 'Text' }).click();
  const text = typedText(page);
  await text.press('Control+Home');
  for (let i = 0; i < 3; i += 1) await text.press('ArrowDown');
  await text.press('End');
  for (let i = 0; i < ' inc x 6'.length; i += 1) await text.press('Backspace');
  await expect(text).toHaveValue(/R2:\n10 mm eyes/);
  await saved(page);
  await page.getByRole('tab', { name: 'Map' }).click();
  await expect(page.getByText('NaN')).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Head', level: 1 })).toBeVisible();
  await page.goto('/');
  await page.getByRole('link', { name: 'Open Dot' }).click();
  await expect(page.getByRole('link', { name: 'Open Head' })).toBeVisible();
});

/** Each panel of a part: the words at which it breaks, what it is called, and a view that still works beside it. */
const panels = [
  { view: 'Rounds', at: 'Add a round', what: 'The rounds' },
  { view: 'Map', at: 'Closer look', what: 'The map' },
  { view: 'Map', at: 'Features', what: 'The line of features' },
  { view: 'Form', at: 'Measuring tape', what: 'The form' },
  { view: 'Stops', at: 'The tail', what: 'The stops' },
] as const;

test('a panel that breaks leaves everything beside it, and the text is a tap away', async ({ page }) => {
  // The app is loaded anew for each panel, with its scripts changed on the way.
  test.slow();
  await bringPattern(page, withEyes);
  await saved(page);
  for (const { view, at, what } of panels) {
    await breakAt(page, at);
    await page.getByRole('tab', { name: view }).click();
    const alert = page.getByRole('alert').filter({ hasText: `${what} could not be shown. Nothing is lost` });
    await expect(alert).toBeVisible();
    await expectAccessible(page);
    await alert.getByRole('button', { name: 'To the text' }).click();
    await expect(typedText(page)).toHaveValue(/Rnds 6 to 13/);
  }
});

test('where the marked text breaks, the plain text can still be changed, undone and saved to a file', async ({
  page,
}) => {
  await bringPattern(page, withEyes);
  await saved(page);
  await breakAt(page, 'The text');
  await page.getByRole('tab', { name: 'Text' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'The marked text could not be shown' }),
  ).toBeVisible();
  await typedText(page).press('Control+End');
  await typedText(page).pressSequentially('\nAnd on.');
  await saved(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the text to a file' }).click();
  expect(readFileSync(await (await download).path(), 'utf8')).toMatch(/And on\.$/);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(typedText(page)).not.toHaveValue(/And on\.$/);
});

test('a page that breaks offers the text, and the shelf stays', async ({ page }) => {
  await bringPattern(page, withEyes);
  const toy = page.url().replace(/\/p1.*$/, '');
  await saved(page);
  await page.goto(toy);
  await breakAt(page, 'Add a part');
  await expect(page.getByRole('alert').filter({ hasText: 'This page could not be shown' })).toBeVisible();
  await expectAccessible(page);
  await typedText(page).press('Control+End');
  await typedText(page).pressSequentially('\nStill written.');
  await page.getByRole('button', { name: 'To the shelf' }).click();
  await expect(page.getByRole('link', { name: /^Open Bear/ })).toBeVisible();
  await mend(page);
  await page.goto(`${toy}/p1?view=text`);
  await expect(typedText(page)).toHaveValue(/Still written\.$/);
});

test('each other page that breaks says so and leads back', async ({ page }) => {
  await bringPattern(page, withEyes);
  const toy = page.url().replace(/\/p1.*$/, '');
  await saved(page);
  const pages = [
    [`${toy}/sheet`, 'Download as Markdown'],
    [`${toy}/yarn`, 'From your yarn shelf'],
    [`${toy}/shape`, 'Take these rounds'],
    ['/shape', 'Take these rounds'],
    ['/notation', 'What Hoppla reads'],
    ['/yarns', 'Measured once, used by every toy'],
    ['/yarns/new', 'What you call it'],
    ['/new', 'Paste it as it is'],
  ] as const;
  for (const [address, at] of pages) {
    await mend(page);
    await page.goto(address);
    await breakAt(page, at);
    await expect(
      page.getByText(/could not be shown\. Nothing is lost/),
      `${address} broken at “${at}”`,
    ).toBeVisible();
    await page.getByRole('button', { name: 'To the shelf' }).click();
    await expect(page.getByRole('link', { name: /^Open Bear/ })).toBeVisible();
  }
});

test('where the core itself breaks, the rest of the toy counts, and the shelf shows its name', async ({
  page,
}) => {
  await bringPattern(page, withEyes);
  await page.getByRole('tab', { name: 'Text' }).click();
  await typedText(page).fill(
    `Toy: Two\n\n${withEyes}\n\nTail\nR1: 6 sc in ring [6]\nR2: sc around [7]\nR3: sc around [6]`,
  );
  await saved(page);
  await page.goto('/');
  await page.getByRole('link', { name: 'Open Two' }).click();
  await breakAt(page, 'count-mismatch');
  await page.getByRole('link', { name: 'Open Tail' }).click();
  await page.getByRole('tab', { name: /^Rounds/ }).click();
  await expect(page.getByText(/could not work out Tail, though it should have/)).toBeVisible();
  await page.getByRole('button', { name: /^Back to/ }).click();
  await page.getByRole('link', { name: /^Open Bear/ }).click();
  await expect(page.getByRole('button', { name: /35 stitches/ }).first()).toBeVisible();
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Open Two' })).toBeVisible();
});

test('a form that can’t be worked out says so, and comes when it can', async ({ page }) => {
  await bringPattern(page, withEyes);
  await page.route(/relaxWorker/, (route) => route.abort());
  await page.getByRole('tab', { name: 'Form' }).click();
  await expect(page.getByText(/The form could not be/)).toBeVisible({ timeout: 30_000 });
  await expectAccessible(page);
  await page.unroute(/relaxWorker/);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText(/The form could not be/)).toBeHidden();
  await expect(page.getByText('wide', { exact: true })).toBeVisible({ timeout: 60_000 });
});

test('a browser whose storage can’t be read says so, on the shelf and in a toy, and goes on when it can', async ({
  page,
}) => {
  await bringPattern(page, withEyes);
  const toy = page.url();
  await saved(page);
  await page.addInitScript(() => {
    const real = IDBFactory.prototype.open;
    (window as unknown as { heal: () => void }).heal = () => {
      IDBFactory.prototype.open = real;
    };
    IDBFactory.prototype.open = () => {
      throw new DOMException('broken on purpose', 'UnknownError');
    };
  });
  await page.goto('/');
  await expect(
    page.getByText('The shelf could not be read from this browser. Nothing was changed.'),
  ).toBeVisible();
  await expectAccessible(page);
  await page.evaluate(() => (window as unknown as { heal: () => void }).heal());
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('link', { name: /^Open Bear/ })).toBeVisible();
  await page.goto(toy);
  await expect(page.getByText(/could not be read from the browser just now/)).toBeVisible();
  await page.evaluate(() => (window as unknown as { heal: () => void }).heal());
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('tab', { name: 'Map' })).toBeVisible();
});

test('a deleted toy comes back also when the storage refuses at first', async ({ page }) => {
  await bringPattern(page, withEyes);
  await saved(page);
  await page.goto('/');
  await page.getByRole('button', { name: /^More for/ }).click();
  await page.getByRole('button', { name: 'Delete' }).click();
  await refuseWrites(page);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByText(/would not take .* back\. It is not lost/)).toBeVisible();
  await page.evaluate(() => (window as unknown as { heal: () => void }).heal());
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('link', { name: /^Open Bear/ })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('link', { name: /^Open Bear/ })).toBeVisible();
});

test('a toy whose document is damaged stays on the shelf, is saved as it is, mended, deleted and put back', async ({
  page,
}) => {
  await bringPattern(page, `Toy: Cracked\n${withEyes}`);
  await saved(page);
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Open Cracked' })).toBeVisible();
  await page.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const opening = indexedDB.open('hoppla');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = () => {
          const store = opening.result.transaction('entries', 'readwrite').objectStore('entries');
          const cursor = store.openCursor();
          cursor.onsuccess = () => {
            const at = cursor.result;
            if (!at) {
              opening.result.close();
              resolve();
              return;
            }
            // Cut off in the middle of the pattern.
            if (String(at.key).startsWith('hoppla/toy/')) at.update(String(at.value).slice(0, 260));
            at.continue();
          };
        };
      }),
  );
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Cracked' })).toBeVisible();
  await expect(page.getByText('Can’t be read')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'More for Cracked' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it as it is' }).click();
  expect(readFileSync(await (await download).path(), 'utf8')).toHaveLength(260);
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('Can’t be read')).toBeHidden();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await page.getByRole('button', { name: 'See and mend Cracked' }).click();
  await expect(page.getByText(/Rnd 1\. Begin with 7 sc/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Mend it' }).click();
  await expect(page.getByRole('textbox', { name: 'The pattern' })).toHaveValue(/^Toy: Cracked\nBear/);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await page.goto('/');
  await expect(page.getByRole('list', { name: 'Toys' }).getByRole('listitem')).toHaveCount(2);
});

test('a text too long for one toy is refused before it is saved, and nothing is lost', async ({ page }) => {
  await bringPattern(page, withEyes);
  await saved(page);
  await page.getByRole('tab', { name: 'Text' }).click();
  await typedText(page).fill(`${withEyes}\n${'and on and on '.repeat(14_700)}`);
  await expect(page.getByText(/signs too long for one toy/)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/signs too long for one toy/)).toBeVisible();
  await typedText(page).fill(`${withEyes}\nCut shorter.`);
  await saved(page);
  await page.reload();
  await expect(typedText(page)).toHaveValue(/Cut shorter\.$/);
});

test('an opened file stands on its page and not in the address, with its changes, over a reload', async ({
  page,
}) => {
  await page.goto('/');
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Open a file' }).click();
  await (
    await chooser
  ).setFiles({
    name: 'head.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from(`${withEyes}\n${'A note. '.repeat(2000)}`),
  });
  const text = page.getByRole('textbox', { name: 'The pattern' });
  await expect(text).toHaveValue(/Rnds 6 to 13/);
  expect(page.url().length).toBeLessThan(60);
  await text.press('Control+Home');
  await text.pressSequentially('Toy: Changed here\n');
  await page.reload();
  await expect(text).toHaveValue(/^Toy: Changed here\n/);
});

test('fonts that come late do not move what the thumb is about to touch', async ({ page }) => {
  await page.route(/\.ttf$/, async (route) => {
    await new Promise((later) => setTimeout(later, 2500));
    await route.continue();
  });
  await page.goto('/');
  const button = page.getByRole('button', { name: 'Look at the Pondside demo toys' });
  await button.waitFor();
  const before = await button.boundingBox();
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(3000);
  expect(await button.boundingBox()).toEqual(before);
});

test('the demo toys are asked for again where the request is lost on its way', async ({ page }) => {
  let lost = 0;
  await page.route('**/demo.json', (route) => {
    lost += 1;
    return lost === 1 ? route.abort() : route.continue();
  });
  await openDemo(page);
  expect(lost).toBe(2);
});

test('an address that is none has a page of ours', async ({ page }) => {
  await page.goto('/no/such/page');
  await expect(page.getByRole('heading', { name: 'Nothing here' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'To the shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Bring a pattern' })).toBeVisible();
});

test('the controls of the form stay within it on small and on lying phones', async ({ page }) => {
  await bringPattern(page, withEyes);
  await page.getByRole('tab', { name: 'Form' }).click();
  for (const size of [
    { width: 320, height: 568 },
    { width: 740, height: 360 },
  ]) {
    await page.setViewportSize(size);
    await page.getByRole('button', { name: 'Save the form' }).click();
    await expect(
      page.getByRole('group', { name: 'Save as' }).getByRole('button', { name: 'Form, OBJ' }),
    ).toBeInViewport({ ratio: 1 });
    await page.getByRole('button', { name: 'Save the form' }).click();
    for (const name of ['Cut open', 'Measuring tape']) {
      const control = page.getByRole('switch', { name });
      await control.click();
      await control.click();
    }
  }
});

test('a drawing context that is lost is said, and the form stays as strokes', async ({ page }) => {
  await bringPattern(page, withEyes);
  await page.getByRole('tab', { name: 'Form' }).click();
  const canvas = page.locator('canvas[data-ready=yes]');
  await expect(canvas).toBeVisible();
  await canvas.evaluate((element: HTMLCanvasElement) =>
    (element.getContext('webgl2') ?? element.getContext('webgl'))
      ?.getExtension('WEBGL_lose_context')
      ?.loseContext(),
  );
  await expect(page.getByText(/stopped drawing in three dimensions/)).toBeVisible();
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.locator('canvas')).toBeVisible();
});

test('a page whose script did not come is asked for again', async ({ page }) => {
  await page.goto('/');
  await page.route('**/workbench-*.js', (route) => route.abort());
  await page.goto('/notation');
  await expect(page.getByRole('alert')).toContainText('could not be shown');
  await page.unroute('**/workbench-*.js');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('heading').first()).toBeVisible();
  await expect(page.getByRole('alert')).toHaveCount(0);
});
