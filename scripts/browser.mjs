import { chromium } from '@playwright/test';

/** Debian's Chromium, for what is measured and photographed. */
export const openBrowser = () =>
  chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] });

/** A page as large as a phone where the demo's otter waits to be gone on with. */
export async function halfMadeOtter(browser, port) {
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto(`http://127.0.0.1:${port}/`);
  // What the demo has half made is begun once the shelf has nothing else to do.
  await page.waitForTimeout(5000);
  await page.getByRole('link', { name: 'Open Pondside otter' }).click();
  await page.getByRole('tab', { name: /^Make/ }).click();
  await page.getByRole('button', { name: 'Go on making' }).waitFor();
  return page;
}
