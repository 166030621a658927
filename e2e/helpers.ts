import { AxeBuilder } from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/** A head in a wording of its own: seven to the round, numbers in words, sentences with stops. */
export const bearHead = `Bear's head
Work in US terms
Rnd 1. Begin with 7 sc in an adjustable ring (7)
Rnd 2. 2 sc in each st around (14)
Rnd 3. *sc in next st, 2 sc in next st; repeat from * around (21)
Rnd 4. [sc in next 2 sts, 2 sc in next st] seven times (28)
Rnd 5. *3 sc, inc* 7 times (35)
Rnds 6 to 13. Sc in each st around (35)
Rnd 14. (sc in next 3 sts, sc2tog) 7 times (28)
Rnd 15. (2 sc, inv dec) around (21)
Rnd 16. (sc, dec) x 7 (14)
Rnd 17. 7 dec (7)
Stuff it well and gather the hole.`;

/** Fails on anything serious that axe finds on the page as it stands. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(
    serious.map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .map((node) => node.html)
          .slice(0, 3)
          .join(' ')}`,
    ),
  ).toEqual([]);
}

/** The shelf with the demo toys on it. */
export async function openDemo(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look at the Pondside demo toys' }).click();
  await expect(page.getByRole('link', { name: 'Open Pondside otter' })).toBeVisible();
}

/** The otter of the demo, with what it is made of. */
export async function openOtter(page: Page): Promise<void> {
  await openDemo(page);
  await page.getByRole('link', { name: 'Open Pondside otter' }).click();
}

/** Brings a pattern from the shelf to its first part. */
export async function bringPattern(page: Page, text: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Paste a pattern' }).click();
  await page.getByRole('textbox', { name: 'The pattern' }).fill(text);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('tab', { name: 'Map' })).toBeVisible();
}

/** The holes in the answer, as numbers. */
export async function holes(page: Page): Promise<number[]> {
  const text = await page.getByRole('status').filter({ hasText: /Round/ }).innerText();
  return (/(\d+) and (\d+)$/.exec(text.trim()) ?? []).slice(1).map(Number);
}

/** The holes in the answer once they no longer change: a busy machine works the last of a drag out a moment later. */
export async function settled(page: Page): Promise<number[]> {
  const seen: string[] = [];
  await expect
    .poll(
      async () => {
        seen.push(String(await holes(page)));
        return seen.length > 4 && new Set(seen.slice(-5)).size === 1;
      },
      { intervals: [400] },
    )
    .toBe(true);
  return holes(page);
}

export const saved = (page: Page) => expect(page.getByText(/· saved$/)).toBeVisible();

/** A feature in the line below the map, whether or not it has something to settle. */
export const feature = (page: Page, name: string) =>
  page
    .getByRole('group', { name: 'Features' })
    .getByRole('radio', { name: new RegExp(`^${name}(, to settle)?$`) });
