import { expect, test } from '@playwright/test';
import { expectAccessible, openOtter } from './helpers';

test('for whom it is, what stops it, and the eyes in thread instead; figures are hers', async ({ page }) => {
  await openOtter(page);
  await expect(page.getByRole('link', { name: 'Child-safe' })).toContainText('For whom is it?');
  await page.getByRole('link', { name: 'Child-safe' }).click();
  await page.getByRole('radio', { name: 'Under 3' }).click();
  await expect(page.getByText('One thing stops it')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: /^Embroider instead: The eyes of the head/ }).click();
  await expect(page.getByText('One thing stops it')).toBeHidden();
  const found = page.getByRole('list', { name: 'What was found' });
  await expect(found).toContainText('fits the cylinder of 31.7 mm');

  // Every small part is sewn twice by one tap, and once again by another.
  await expect(page.getByText('things to look at')).toBeVisible();
  await page.getByRole('button', { name: /^Sew twice round: The ear/ }).click();
  await expect(found).toContainText('The text has it sewn twice round.');
  const ears = page.getByRole('radiogroup', { name: 'Left ear, Right ear' });
  await expect(ears.getByRole('radio', { name: 'Twice round' })).toBeChecked();
  await ears.getByRole('radio', { name: 'Once round' }).click();
  await expect(ears.getByRole('radio', { name: 'Once round' })).toBeChecked();
  await ears.getByRole('radio', { name: 'Twice round' }).click();

  // A rule weighs what she says, and what differs is marked.
  await page.getByRole('button', { name: 'How much each rule weighs' }).click();
  const once = page.getByRole('radiogroup', { name: 'A seam gone round once' });
  await once.getByRole('radio', { name: 'Nothing' }).click();
  await expect(page.getByText('Changed; it came as Look.')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Close the rules' }).click();

  // A narrower cylinder lets the tail pass; it is marked as changed, and set back.
  await page.getByRole('textbox', { name: /width of the cylinder/ }).fill('5');
  await expect(page.getByText('Nothing found')).toBeVisible();
  await expect(page.getByText('Changed; it came as 31.7 mm.')).toBeVisible();
  await page.getByRole('button', { name: 'As they came' }).click();
  await expect(page.getByText('Changed; it came as')).toBeHidden();

  await page.getByRole('button', { name: 'Back to the parts' }).click();
  await expect(page.getByRole('link', { name: 'Child-safe' })).toContainText('For under 3');
  await page.getByRole('tab', { name: 'Sheet' }).click();
  await expect(page.getByText('Made for: under 3.')).toBeVisible();
  await expect(page.getByText('it certifies nothing')).toBeVisible();
});

test('what is tried is written down: a failure stays, mended and held; it goes with the toy’s file', async ({
  page,
}) => {
  await openOtter(page);
  await page.getByRole('link', { name: 'Child-safe' }).click();
  await page.getByRole('link', { name: 'Try it, and write it down' }).click();
  await expect(page.getByText('Nothing tried yet')).toBeVisible();
  const trials = page.getByRole('list', { name: 'What to try' });
  await expect(trials.getByRole('listitem')).toHaveCount(17);

  await page.getByRole('button', { name: 'Try: Pull, left eye of the head' }).click();
  await page.getByRole('textbox', { name: /How hard/ }).fill('50');
  await page.getByRole('textbox', { name: 'A note, if you like' }).fill('the washer sat askew');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'It failed' }).click();
  await expect(page.getByText('1 failed')).toBeVisible();

  await page.getByRole('button', { name: 'Try: Pull, left eye of the head' }).click();
  await page.getByRole('button', { name: 'It held' }).click();
  await expect(trials.getByText('held, after it had failed and was mended')).toBeVisible();
  await page.reload();
  await expect(trials.getByText('held, after it had failed and was mended')).toBeVisible();
  await expect(page.getByText('1 of 17 tried')).toBeVisible();

  await page.getByRole('textbox', { name: 'Made by' }).fill('Rowan of Pondside');
  await page.getByRole('textbox', { name: /^Lots of yarn/ }).fill('brown 4711');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByRole('button', { name: 'Written down' })).toBeDisabled();
  await page.getByRole('link', { name: 'The record on paper' }).click();
  const paper = page.getByRole('article');
  await expect(paper).toContainText('Made by: Rowan of Pondside');
  await expect(paper).toContainText('held, after it had failed and was mended');
  await expect(paper).toContainText('no certificate');
  await expectAccessible(page);
  const [record] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the record as text' }).click(),
  ]);
  const text = await (await record.createReadStream()).toArray();
  expect(Buffer.concat(text).toString()).toContain('FAILED at 50 N: the washer sat askew');

  // Exported and opened again the toy has its record; the one on the shelf keeps its own.
  await page.goto('/');
  await page.getByRole('button', { name: 'More for Pondside otter' }).click();
  const [toy] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export', exact: true }).click(),
  ]);
  const file = JSON.parse(Buffer.concat(await (await toy.createReadStream()).toArray()).toString()) as {
    record: { result?: string; maker?: string }[];
  };
  expect(file.record.map(({ result, maker }) => result ?? maker)).toEqual([
    'failed',
    'held',
    'Rowan of Pondside',
  ]);
});

test('a gauge and a scale beside the phone: a pull is read, every fault is told, and nothing read is lost', async ({
  page,
  request,
}) => {
  test.setTimeout(240_000);
  const pull = (course: object) => request.post('/bench/gauge/course', { data: course });
  await openOtter(page);
  await page.getByRole('link', { name: 'Child-safe' }).click();
  await page.getByRole('link', { name: 'Try it, and write it down' }).click();
  await page.getByRole('button', { name: 'Try: Pull, left eye of the head' }).click();
  await pull({ load: 0 });
  await page.getByRole('button', { name: 'Read the simulated force gauge' }).click();
  const gauge = page.getByRole('group', { name: 'Simulated force gauge' });
  const take = gauge.getByRole('button', { name: /^Take/ });
  await expect(take).toBeDisabled();

  for (const [fault, words] of [
    ['stuck', 'it is stuck'],
    ['noise', 'it jumps too much'],
    ['overload', 'beyond what the instrument can show'],
  ] as const) {
    expect((await pull({ load: 92, fault })).ok()).toBe(true);
    await expect(gauge.getByText(words)).toBeVisible();
    await expect(take).toBeDisabled();
  }

  // A line that is cut every two and a half seconds loses nothing of twelve seconds.
  await pull({ load: 92, holdSeconds: 12, fault: 'dropped' });
  await expect(gauge.getByText(/for 1[12](\.\d)? of 10 seconds/)).toBeVisible({ timeout: 60_000 });
  // Set to pounds it is counted in newton all the same.
  await pull({ load: 92, holdSeconds: 11, fault: 'wrong-unit' });
  await expect(gauge.getByText('It shows lbf; counted as N.')).toBeVisible();

  // Let go too early it has not held.
  await pull({ load: 95, holdSeconds: 3 });
  await expect(gauge.getByText(/for 3(\.\d)? of 10 seconds/)).toBeVisible({ timeout: 30_000 });
  await take.click();
  await expect(page.getByText('Held for 3 of 10 seconds.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'It held' })).toBeDisabled();
  await pull({ load: 95, holdSeconds: 11 });
  await expect(gauge.getByText(/for 1[01](\.\d)? of 10 seconds/)).toBeVisible({ timeout: 30_000 });
  await take.click();
  await page.getByRole('button', { name: 'It held' }).click();
  await expect(page.getByText('1 of 17 tried')).toBeVisible();

  await page.getByRole('button', { name: 'Try: Weigh, the whole toy' }).click();
  await request.post('/bench/scale/course', { data: { load: 84, holdSeconds: 60 } });
  await page.getByRole('button', { name: 'Read the simulated kitchen scale' }).click();
  await expect(page.getByRole('button', { name: /^Take 84(\.1)? g|^Take 83\.9 g/ })).toBeVisible({
    timeout: 20_000,
  });
  await page.getByRole('button', { name: /^Take/ }).click();
  await page.getByRole('button', { name: 'As heavy as it was' }).click();
  await expect(page.getByText('2 of 17 tried')).toBeVisible();
  await page.getByRole('link', { name: 'The record on paper' }).click();
  const paper = page.getByRole('article');
  await expect(paper).toContainText(
    /Pull, left eye of the head: held at 9[45](\.\d)? N: Simulated force gauge, held 1[01] s/,
  );
  await expect(paper).toContainText(/Weigh, the whole toy: held at 8[34](\.\d)? g/);
});
