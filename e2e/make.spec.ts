import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './helpers';

const pattern = `Toy: Pondside mouse
Head
R1: 6 sc in magic ring [6]
R2: inc x 6 [12]
R3: (sc, inc) x 6 [18]
R4-R6: sc around [18]
Insert 7 mm safety eyes between R4 and R5, 4 stitches showing.
R7: (sc, dec) x 6 [12]
R8: dec x 6 [6]

Ear (make 2)
R1: 5 sc in magic ring [5]
R2: inc x 5 [10]
Do not stuff.
Sew the ears to the head on round 3, one on each side.
`;

async function bring(page: Page) {
  await page.goto('/new');
  await page.getByRole('textbox').first().fill(pattern);
  await page.getByRole('button', { name: /shelf/i }).last().click();
  await page.getByRole('tab', { name: /^Make/ }).click();
}
const next = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().click();

/** How many taps lie in the browser's database. */
const tapsKept = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const opening = indexedDB.open('hoppla-runs');
        opening.onerror = () => reject(new Error('the taps could not be read'));
        opening.onsuccess = () => {
          const database = opening.result;
          const counting = database.transaction('events').objectStore('events').count();
          counting.onsuccess = () => {
            database.close();
            resolve(counting.result);
          };
        };
      }),
  );

/** A tap that is in the database when this ends: it shows at once, and a slow machine keeps it a moment later. */
async function tapKept(page: Page, name: string): Promise<void> {
  const before = await tapsKept(page);
  await next(page, name);
  await expect.poll(() => tapsKept(page)).toBe(before + 1);
}

test('a small toy is made by taps: repeats, a reload, a skipped stop, two rounds more, the ears, a seam', async ({
  page,
}) => {
  await bring(page);
  await expect(page.getByRole('list', { name: 'Order of work' })).toContainText('Seat the eyes');
  await expectAccessible(page);
  await next(page, 'Begin making');
  await expect(page.getByRole('img', { name: 'Round 1 of 8' })).toBeVisible();
  await next(page, 'Round 1 done');
  await next(page, 'Round 2 done');
  await expect(page.getByRole('img', { name: 'Repeat 1 of 6' })).toBeVisible();
  for (let i = 0; i < 3; i += 1) await next(page, 'Repeat done');
  await expectAccessible(page);

  // In the middle of a repeat the phone is switched off.
  await next(page, 'Beside the work');
  await page.getByRole('radio', { name: 'A stitch' }).click();
  await expect(
    page.getByText(/You are in the very first round|From the start on you find 2 whole rounds/),
  ).toBeVisible();
  await expectAccessible(page);
  await next(page, 'Back to the work');
  await tapKept(page, 'Stitch done');
  await expect(page.getByRole('img', { name: 'Stitch 11 of 18' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('img', { name: 'Stitch 11 of 18' })).toBeVisible();
  await next(page, 'One step back');
  await expect(page.getByRole('img', { name: 'Stitch 10 of 18' })).toBeVisible();

  await next(page, 'Beside the work');
  await page.getByRole('radio', { name: 'A round' }).click();
  await next(page, 'Back to the work');
  for (const round of [3, 4, 5]) await next(page, `Round ${round} done`);

  // Two rounds more than the pattern has, for this toy only: the eyes' place follows.
  await next(page, 'Beside the work');
  await next(page, 'Rounds more: more');
  await expect(page.getByRole('list', { name: 'What that changes' })).toContainText('Head');
  await next(page, 'For this toy only');
  await expect(page.getByRole('img', { name: 'Round 6 of 10' })).toBeVisible();
  for (const round of [6, 7, 8]) await next(page, `Round ${round} done`);

  // The stop holds her: not ticked, so it asks why.
  await expect(page.getByRole('checkbox', { name: 'Seat the eyes' })).toBeVisible();
  await expect(page.getByText(/Between round 4 and 5|between round 4 and 5/i).first()).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('checkbox', { name: 'Seat the eyes' }).click();
  await next(page, 'Go on');
  await page.getByRole('radio', { name: 'Later, from outside' }).click();
  await expect(page.getByRole('img', { name: 'Round 9 of 10' })).toBeVisible();
  await next(page, 'Round 9 done');
  await page.getByRole('checkbox').first().click();
  await next(page, 'Go on');
  await next(page, 'Round 10 done');
  await page.getByRole('checkbox').first().click();
  await next(page, 'Go on');

  // Both ears, by the keyboard.
  await expect(page.getByRole('heading', { name: 'Left ear' })).toBeVisible();
  await page.keyboard.press('Space');
  await page.keyboard.press('Space');
  await page.getByRole('checkbox').first().click();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: 'Right ear' })).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByRole('heading', { name: 'Left ear' })).toBeVisible();
  await page.getByRole('checkbox').first().click();
  await page.keyboard.press('ArrowRight');

  // The second ear to its end, then both seams, pin by pin and stitch by stitch.
  await expect(page.getByRole('heading', { name: 'Right ear' })).toBeVisible();
  await page.keyboard.press('Space');
  await page.keyboard.press('Space');
  await page.getByRole('checkbox').first().click();
  await page.keyboard.press('ArrowRight');
  const seam = page.getByText('Sew it onto the head');
  await expect(seam).toBeVisible();
  await expectAccessible(page);
  await next(page, 'Next');
  await expect(page.getByText(/^Pins first\./)).toBeVisible();
  await next(page, 'Next');
  await expect(page.getByText(/^Edge stitch 1 to /)).toBeVisible();
  const goOn = page.getByRole('button', { name: /^(?:Next|Done)$/ });
  for (let taps = 0; taps < 80 && (await goOn.count()) > 0; taps += 1) await goOn.click();
  await expect(page.getByText('All done.')).toBeVisible();

  // What went otherwise is in the logbook, and its sheet has the rounds that were worked.
  await page.getByRole('button', { name: 'Leave the work' }).click();
  await expect(page.getByRole('heading', { name: 'All done' })).toBeVisible();
  await page.getByRole('link', { name: 'Logbook' }).click();
  await expect(page.getByText(/Went on without: Stuff the bulk\. Later, from outside\./)).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save its sheet as it was made' }).click();
  const sheet = readFileSync(await (await download).path(), 'utf8');
  expect(sheet).toMatch(/R9\b.*\b12\b/);
  expect(sheet).toMatch(/R10\b.*\b6\b/);
  expect(sheet).toContain('Later, from outside.');
});

test('kept by the tap: closed without a word, it goes on at the same stitch; two tabs are told of each other', async ({
  page,
  context,
}) => {
  await bring(page);
  await next(page, 'Begin making');
  await next(page, 'Round 1 done');
  await next(page, 'Round 2 done');
  await next(page, 'Repeat done');
  const address = page.url();
  const other = await context.newPage();
  await other.goto(address);
  await expect(other.getByRole('img', { name: 'Repeat 2 of 6' })).toBeVisible();
  await next(other, 'Repeat done');
  await expect(other.getByRole('img', { name: 'Repeat 3 of 6' })).toBeVisible();
  await next(page, 'Repeat done');
  await expect(page.getByText('has moved on there')).toBeVisible();
  await next(page, 'Show where it is');
  await expect(page.getByRole('img', { name: 'Repeat 3 of 6' })).toBeVisible();
  await tapKept(page, 'Repeat done');
  await expect(page.getByRole('img', { name: 'Repeat 4 of 6' })).toBeVisible();
  await page.close();
  await other.reload();
  await expect(other.getByRole('img', { name: 'Repeat 4 of 6' })).toBeVisible();
});

test('twelve toys over days: what to make each day, whether it will do, and into a calendar', async ({
  page,
}) => {
  await page.clock.setFixedTime(new Date('2026-12-01T09:00:00'));
  await bring(page);
  await page.getByRole('textbox', { name: /^How many toys/ }).fill('12');
  await page.getByRole('button', { name: 'Plan it over days' }).click();
  const over = page.getByRole('region', { name: 'Over days' });
  await over.getByLabel('Done by').fill('2026-12-03');
  await expect(over.getByRole('status')).toContainText(/too little/);
  const enough = /(?:(\d+) hours? ?)?(\d+)?/.exec(
    (await over.getByText(/a day would do/).innerText()).replace(' minutes', ''),
  )!;
  await over
    .getByRole('textbox', { name: 'Time a day, in minutes' })
    .fill(String(60 * Number(enough[1] ?? 0) + Number(enough[2] ?? 0)));
  await expect(over.getByRole('status')).toContainText('Done on');
  const days = over.getByRole('list', { name: 'What to make each day' });
  await expect(days.getByRole('listitem')).toHaveCount(3);
  await expect(days.getByRole('listitem').first()).toContainText('Head, toy 1');
  await over.getByRole('radio', { name: 'The same piece of all in one go' }).click();
  await expect(days.getByRole('listitem').first()).toContainText(/Head, toys 1 to \d/);
  await over.getByRole('switch').first().click();
  await expectAccessible(page);
  const download = page.waitForEvent('download');
  await over.getByRole('button', { name: 'Save it for a calendar' }).click();
  const calendar = readFileSync(await (await download).path(), 'utf8');
  expect(calendar).toContain('DTSTART;VALUE=DATE:20261201');
  expect(calendar).toContain('12 × Pondside mouse');
  await over.getByLabel('Done by').fill('2026-12-01');
  await page.getByRole('textbox', { name: /^How many toys/ }).fill('60');
  await expect(over.getByRole('status')).toContainText('No day is long enough');
  await over.getByLabel('Done by').fill('2026-11-01');
  await expect(over.getByRole('status')).toContainText('There is no day to work on until then');
});

test('notes and a photo stand in the logbook, are searched, and go with the toy and back', async ({
  page,
}) => {
  await bring(page);
  await expect(page.getByRole('link', { name: 'Logbook' })).toHaveCount(0);
  await next(page, 'Begin making');
  await next(page, 'Round 1 done');
  await next(page, 'Beside the work');
  await page.getByRole('textbox', { name: 'A note' }).fill('Hook 2.5 mm holds better');
  await next(page, 'Keep the note');
  await next(page, 'Beside the work');
  await page.getByRole('textbox', { name: 'A note' }).fill('The first round');
  const chooser = page.waitForEvent('filechooser');
  await next(page, 'Add a photo');
  await (
    await chooser
  ).setFiles({ name: 'mouse.txt.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByText('This file is not a picture. Choose a photo.')).toBeVisible();
  const again = page.waitForEvent('filechooser');
  await next(page, 'Add a photo');
  await (await again).setFiles('docs/screenshots/shelf.png');
  await expect(page.getByRole('img', { name: 'Photo: The first round' })).toBeVisible();
  await expectAccessible(page);

  await next(page, 'Back to the work');
  await next(page, 'Leave the work');
  await page.getByRole('link', { name: 'Logbook' }).click();
  await expect(page.getByRole('heading', { name: 'Logbook', level: 1 })).toBeVisible();
  const log = page.getByRole('list', { name: 'Log' });
  await expect(log.getByRole('listitem')).toHaveCount(2);
  await expect(page.getByRole('list', { name: 'Sessions' })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('textbox', { name: 'Search the logbook' }).fill('better hook');
  await expect(log.getByRole('listitem')).toHaveText([/^Hook 2.5 mm holds better/]);
  await page.getByRole('textbox', { name: 'Search the logbook' }).fill('felt');
  await expect(page.getByText('Nothing in it says that.')).toBeVisible();

  const download = page.waitForEvent('download');
  await next(page, 'Save the toy with its logbook');
  const saved = await download;
  expect(saved.suggestedFilename()).toBe('pondside-mouse.hoppla.zip');
  const file = await saved.path();
  await page.goto('/');
  await next(page, 'More for Pondside mouse');
  await next(page, 'Delete');
  await page.reload();
  const opened = page.waitForEvent('filechooser');
  await page
    .getByRole('button', { name: /A file|Open a file/ })
    .first()
    .click();
  await (
    await opened
  ).setFiles({ name: 'mouse.hoppla.zip', mimeType: 'application/zip', buffer: readFileSync(file) });
  await page.getByRole('link', { name: 'Open Pondside mouse' }).click();
  await page.getByRole('tab', { name: /^Make/ }).click();
  await page.getByRole('link', { name: 'Logbook' }).click();
  await expect(page.getByRole('img', { name: 'Photo: The first round' })).toBeVisible();
});

test('how a round is done is drawn on its own stitches: a tap away, or at once for who learns', async ({
  page,
}) => {
  await bring(page);
  await next(page, /^Begin/);
  await next(page, 'How is this done?');
  const ring = page.getByRole('region', { name: 'The ring to begin with' });
  await expect(
    ring.getByText('2. Work 6 sc into the ring, over the ring and its end together.'),
  ).toBeVisible();
  await ring.getByRole('button', { name: 'Practice on a scrap: one more' }).click();
  await expect(ring.getByRole('status', { name: '1 tried' })).toBeVisible();
  await expectAccessible(page);
  await next(page, 'Beside the work');
  await page.getByRole('switch', { name: 'Show how it is done' }).click();
  await next(page, 'Back to the work');
  // The counter of the practice moves nothing in the toy.
  await expect(page.getByRole('img', { name: 'Round 1 of 8' })).toBeVisible();
  await next(page, 'Round 1 done');
  const increase = page.getByRole('region', { name: 'An increase' });
  await expect(
    increase.getByText('1. Stitch 1 of round 1 takes two. The first goes in as always.'),
  ).toBeVisible();
  // A card of the pattern shows the same.
  await next(page, 'Leave the work');
  await page.getByRole('tab', { name: 'Parts' }).click();
  await page.getByRole('link', { name: /^Open Head/ }).click();
  await page.getByRole('tab', { name: /^Rounds/ }).click();
  await next(page, /^R7/);
  await next(page, 'How is this done?');
  await expect(page.getByRole('region', { name: 'A decrease that hardly shows' })).toBeVisible();
});

test('the demo has an otter half made and owls begun: both are gone on with, and the rest is planned', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: /demo/i }).click();
  await page.getByRole('link', { name: 'Open Pondside otter' }).click();
  await page.getByRole('tab', { name: /^Make/ }).click();
  await page.getByRole('button', { name: 'Go on making' }).click();
  await expect(page.getByRole('heading', { name: 'Body' })).toBeVisible();
  await expect(page.getByText(/^Round 9\b/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Leave the work' }).click();
  await page.getByRole('link', { name: 'Logbook' }).click();
  await expect(page.getByText(/Fibre from the old cushion/)).toBeVisible();

  await page.goto('/');
  await page.getByRole('link', { name: 'Open Pondside owl for babies' }).click();
  await page.getByRole('tab', { name: /^Make/ }).click();
  await page.getByRole('button', { name: 'Go on making' }).click();
  await expect(page.getByText(/toy 3 of 6/)).toBeVisible();
  await page.getByRole('button', { name: 'Beside the work' }).click();
  await page.getByRole('button', { name: 'Plan the rest over days' }).click();
  const days = page.getByRole('list', { name: 'What to make each day' });
  await expect(days.getByRole('listitem').first()).toContainText('Body, toy 3');
  await expect(days).not.toContainText('toy 1');
  await expectAccessible(page);
});
