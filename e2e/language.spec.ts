import { readdirSync, readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './helpers';

const english = JSON.parse(readFileSync('src/languages/english.json', 'utf8')) as Record<string, string>;

/** A language with a letter of its own for each of ours: what is not said in it can be told from what is. */
const ours = 'abcdefghijklmnopqrstuvwxyz';
const theirs = 'ȧḃċḋėḟġḣıȷķḷṁṅȯṗɋṙṡṫụṿẇẋẏż';
const foreign = (words: string): string =>
  words
    .split(/(\{\{\w+\}\})/)
    .map((piece) =>
      piece.startsWith('{{')
        ? piece
        : piece.replace(/[a-z]/gi, (letter) => {
            const own = theirs[ours.indexOf(letter.toLowerCase())] ?? letter;
            return letter === letter.toLowerCase() ? own : own.toUpperCase();
          }),
    )
    .join('');

/** Lays a translation beside the app, as the build does with each file of `src/languages`. */
async function layBeside(page: Page, translation: string): Promise<void> {
  await page.route('**/languages/nl.json', (route) =>
    route.fulfill({ contentType: 'application/json', body: translation }),
  );
  await page.route(
    (url) => !/\.\w+$/.test(url.pathname),
    async (route) => {
      if (route.request().resourceType() !== 'document') return route.continue();
      const response = await route.fetch();
      const body = (await response.text()).replace('data-languages=""', 'data-languages="nl"');
      return route.fulfill({ response, body });
    },
  );
}

const whole = JSON.stringify(
  Object.fromEntries(Object.entries(english).map(([message, words]) => [message, foreign(words)])),
);

/** Everything a page says: what is read on it, and what is read aloud. */
const saidOn = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const said: string[] = [];
    const nodes = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT | NodeFilter.SHOW_ELEMENT);
    while (nodes.nextNode()) {
      const node = nodes.currentNode;
      if (node instanceof Element)
        said.push(
          ...['aria-label', 'placeholder', 'title', 'alt'].map((name) => node.getAttribute(name) ?? ''),
        );
      else if (!node.parentElement?.closest('script, style, noscript')) said.push(node.textContent ?? '');
    }
    return said.filter(Boolean);
  });

const wordsIn = (text: string): string[] => text.toLowerCase().match(/[a-z]{2,}/g) ?? [];

/** Dates are as the browser has them, whatever Hoppla speaks. */
const dates = Array.from({ length: 366 }, (_, day) =>
  new Date(2026, 0, 1 + day).toLocaleString('nl-NL', { dateStyle: 'full', timeStyle: 'short' }),
);

/** What no translation touches: the demo’s own texts and what its maker wrote, names, stitches, units, dates. */
const own = new Set(
  readdirSync('demo')
    .filter((file) => file.endsWith('.txt'))
    .map((file) => readFileSync(`demo/${file}`, 'utf8'))
    .concat(dates, [
      'Eyes looked at from both sides before pressing: level. Fibre from the old cushion, washed twice.',
      'Hoppla GLB OBJ English Nederlands left right single crochet row',
      'mm cm ml kg min us uk en iso cfr astm',
    ])
    .flatMap(wordsIn),
);

/** What a page says in English all the same. */
async function leftInEnglish(page: Page): Promise<string[]> {
  const said = await saidOn(page);
  return said.filter((words) => wordsIn(words).some((word) => !own.has(word)));
}

test.use({ locale: 'nl-NL' });

test('a translation is one file: every page speaks it, and patterns stay as they are written', async ({
  page,
}) => {
  test.slow();
  await layBeside(page, whole);
  // All pages are looked at, so that one run tells all that is left.
  const inOurs = async (where: string) =>
    expect
      .configure({ soft: true })
      .poll(() => leftInEnglish(page), { message: `${where} is in the other language`, timeout: 6000 })
      .toEqual([]);
  await page.goto('/');
  await expect(page.getByText(foreign('Bring a pattern')).first()).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('lang', 'nl');
  await inOurs('the empty shelf');
  await page.getByRole('button', { name: foreign('Look at the Pondside demo toys') }).click();
  await page.getByRole('link', { name: `${foreign('Open')} Pondside otter` }).click();
  await expect(page.getByRole('link', { name: `${foreign('Open')} Head` })).toBeVisible();
  await inOurs('the toy');
  const toy = page.url();
  for (const below of [
    '/together',
    '/make',
    '/yarn',
    '/sheet',
    '/safety',
    '/record',
    '/pattern',
    '/templates',
    '/log',
    '/hand-on',
    '/versions',
    '/stretch',
    '/write',
  ]) {
    await page.goto(`${toy}${below}`);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
    await inOurs(below);
  }
  for (const view of ['rounds', 'map', 'form', 'stops']) {
    await page.goto(`${toy}/p1?view=${view}`);
    await expect(page.getByRole('tab').first()).toBeVisible();
    await inOurs(view);
  }
  for (const address of [
    '/hands',
    '/yarns',
    '/yarns/new',
    '/buy',
    '/box',
    '/fair',
    '/new',
    '/shape',
    '/receive',
    '/nowhere',
  ]) {
    await page.goto(address);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
    await inOurs(address);
  }
  // Her pattern is hers.
  await page.goto(`${toy}/p1?view=text`);
  await expect(page.getByText('6 sc in magic ring').first()).toBeVisible();
});

test('what is missing in a translation, or would lose a number, is said in English', async ({ page }) => {
  await layBeside(
    page,
    JSON.stringify({ 'Your shelf': 'Uw plank', '{{a}} parts': 'delen', 'More for {{a}}': 'Meer voor {{a}}' }),
  );
  await page.goto('/');
  await expect(page.getByText('Uw plank')).toBeVisible();
  await page.getByRole('button', { name: 'Look at the Pondside demo toys' }).click();
  await expect(page.getByRole('button', { name: 'Meer voor Pondside otter' })).toBeVisible();
  await expect(page.getByText(/^\d+ parts/).first()).toBeVisible();
});

test('a language is chosen among those that are there, and one that can’t be had is no hindrance', async ({
  page,
}) => {
  await layBeside(page, whole);
  await page.goto('/hands');
  const language = page.getByRole('group', { name: foreign('Language') });
  await expect(language.getByRole('radio', { name: 'Nederlands' })).toBeChecked();
  await expectAccessible(page);
  await language.getByRole('radio', { name: 'English' }).click();
  await expect(
    page.getByRole('group', { name: 'Language' }).getByRole('radio', { name: 'English' }),
  ).toBeChecked();
  await page.goto('/');
  await expect(page.getByText('Your shelf')).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('lang', 'en');

  await page.goto('/hands');
  await page.getByRole('radio', { name: 'Nederlands' }).click();
  await expect(page.getByText(foreign('How you measure')).first()).toBeVisible();
  for (const answer of [
    { status: 404, body: '' },
    { status: 200, body: '{"Your shelf": "U' },
    { status: 200, body: '[]' },
  ]) {
    await page.route('**/languages/nl.json', (route) => route.fulfill(answer));
    await page.goto('/');
    await expect(page.getByText('Your shelf')).toBeVisible();
  }
});
