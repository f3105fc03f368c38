import type { Browser } from '@playwright/test';
import { someOf } from '@zt/core/testing/cases';
import { expect, test } from './support/test';

/** Scripts, fonts and answers on the wire, kB: a whole set of icons or a font that is not cut would not pass. */
const MOST_FIRST_KB = 750;
const MOST_AGAIN_KB = 40;

/** The scripts that each place needs, packed, kB at most: what it has no use for would not pass. */
const SCRIPTS_KB: Record<string, number> = {
  '/ticket/demo-ticket-02/place': 680,
  '/': 630,
  '/day': 645,
  '/orders': 628,
  '/shelf': 648,
  '/logbook': 632,
  '/rules': 637,
  '/new': 630,
};

/** A page that fetches nothing for so long is at rest. */
const REST_MS = 500;

const PHONE = { width: 390, height: 844 };

/** A page that was never here, and how many bytes of what it fetches were loaded on the wire, of scripts and in all. */
async function freshPage(browser: Browser, baseURL: string) {
  const context = await browser.newContext({ baseURL, viewport: PHONE, serviceWorkers: 'block' });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  const bytes = { all: 0, scripts: 0 };
  const scripts = new Set<string>();
  session.on('Network.requestWillBeSent', ({ requestId, type }) => {
    if (type === 'Script') scripts.add(requestId);
  });
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    bytes.all += encodedDataLength;
    if (scripts.has(requestId)) bytes.scripts += encodedDataLength;
  });
  const visit = async (path: string) => {
    Object.assign(bytes, { all: 0, scripts: 0 });
    await page.goto(path);
    const heading = (name?: RegExp) => page.getByRole('heading', { level: 1, name });
    await expect(heading().first()).toBeVisible();
    await expect(heading(/^(Zealous Thimble|Opening the shop|Loading)/)).toHaveCount(0);
    // What the page still fetches once it is there counts: until nothing more comes.
    const more = async () => {
      const before = bytes.all;
      await page.waitForTimeout(REST_MS);
      return bytes.all - before;
    };
    await expect.poll(more).toBe(0);
    return { allKb: bytes.all / 1000, scriptsKb: bytes.scripts / 1000 };
  };
  return { visit, close: () => context.close() };
}

test('the first visit of a ticket is light, and the next fetches next to nothing', async ({
  browser,
  shop,
}) => {
  const { visit, close } = await freshPage(browser, shop.url);
  const path = '/ticket/demo-ticket-02/place';
  const first = await visit(path);
  const again = await visit(path);
  console.log(`first visit: ${first.allKb.toFixed(0)} kB on the wire, the next ${again.allKb.toFixed(0)} kB`);
  expect(first.allKb).toBeGreaterThan(100);
  expect(first.allKb).toBeLessThan(MOST_FIRST_KB);
  expect(again.allKb).toBeLessThan(MOST_AGAIN_KB);
  await close();
});

test('no place fetches more scripts than it has use for', { tag: '@long' }, async ({ browser, shop }) => {
  const over: string[] = [];
  for (const [path, mostKb] of someOf(Object.entries(SCRIPTS_KB), 4)) {
    const { visit, close } = await freshPage(browser, shop.url);
    const { scriptsKb } = await visit(path);
    console.log(`  ${path}: ${scriptsKb.toFixed(0)} kB of scripts (${mostKb} at most)`);
    if (scriptsKb > mostKb) over.push(`${path}: ${scriptsKb.toFixed(0)} kB`);
    await close();
  }
  expect(over).toEqual([]);
});
