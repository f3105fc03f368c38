import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import { type BrowserContext, test as base, expect, type Page } from '@playwright/test';
import { openShop, type Shop } from './shop';

const RULES_IN = { units: { system: 'in', denominator: 16 }, schools: {}, numbers: {} };

interface Fixtures {
  /** Console lines that a test provokes on purpose. */
  allowed: RegExp[];
  quiet: undefined;
}

interface OfWorker {
  /** A browser whose compiled scripts stay from one test to the next, and nothing else does. */
  browsing: BrowserContext;
  shop: Shop;
}

/** What the browser says where these tests let the app keep no copy of itself (playwright.config.ts). */
const BLOCKED = /^Service Worker registration blocked/;

/** What a page leaves behind in the browser. */
const LEFT = 'cookies,local_storage,indexeddb,cache_storage,service_workers';

/** Takes away what a test left in the browser, so that the next one finds it as a new one. */
async function tidy(browsing: BrowserContext, origin: string): Promise<void> {
  const [first, ...others] = browsing.pages();
  for (const page of others) await page.close();
  const page = first ?? (await browsing.newPage());
  await browsing.setOffline(false);
  await browsing.unrouteAll({ behavior: 'ignoreErrors' });
  await browsing.clearPermissions();
  await page.goto('about:blank');
  const session = await browsing.newCDPSession(page);
  await session.send('Storage.clearDataForOrigin', { origin, storageTypes: LEFT });
  await session.detach();
}

/** Tests of a worker that share a shop, as they find it or emptied before each, and a browser that is tidied after each. */
const inKeptBrowser = base.extend<object, OfWorker & { demo: boolean }>({
  demo: [true, { scope: 'worker', option: true }],
  shop: [
    async ({ demo }, use) => {
      const shop = await openShop({ demo });
      await use(shop);
      await shop.stop();
    },
    { scope: 'worker' },
  ],
  browsing: [
    async ({ playwright, launchOptions, shop }, use, { project }) => {
      const folder = mkdtempSync(join(tmpdir(), 'thimble-browser-'));
      const { viewport = null, hasTouch = false } = project.use;
      const browsing = await playwright.chromium.launchPersistentContext(folder, {
        ...launchOptions,
        viewport,
        hasTouch,
        baseURL: shop.url,
        serviceWorkers: 'block',
      });
      await use(browsing);
      await browsing.close();
      rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ shop }, use) => use(shop.url),
  context: async ({ browsing, shop }, use) => {
    await use(browsing);
    await tidy(browsing, shop.url);
  },
  page: async ({ context, colorScheme, contextOptions }, use) => {
    const page = await context.newPage();
    await page.emulateMedia({ colorScheme, ...contextOptions });
    await use(page);
  },
});

/** So long a page is given to answer before it counts as hanging, ms. */
const ANSWERS_MS = 5_000;

const within = <T>(work: Promise<T>): Promise<T | null> =>
  Promise.race([work, new Promise<null>((done) => setTimeout(() => done(null), ANSWERS_MS))]);

/** Where the scripts of a page that does not answer are: what they were doing when they were held. */
async function heldAt(page: Page): Promise<string[]> {
  const session = await page.context().newCDPSession(page);
  const held = new Promise<string[]>((done) =>
    session.on('Debugger.paused', ({ callFrames }) =>
      done(callFrames.map((f) => `${f.functionName || '?'} ${f.url}:${f.location.lineNumber + 1}`)),
    ),
  );
  await within(session.send('Debugger.enable'));
  await within(session.send('Debugger.pause'));
  const frames = await within(held);
  await within(session.send('Debugger.resume'));
  return frames ?? ['no script runs: the page itself hangs'];
}

/** Of a page whose test failed: whether it answers, what it waits for from the shop's computer, and where it hangs. */
async function howItStands(page: Page, open: ReadonlySet<string>): Promise<string> {
  const state = await within(page.evaluate(() => document.readyState).catch(String));
  const frames = state === null ? await heldAt(page).catch((error) => [String(error)]) : [];
  return [
    `${page.url()}: ${state ?? 'does not answer'}`,
    ...[...open].map((one) => `waits for ${one}`),
    ...frames,
  ].join('\n');
}

/** Tests against a shop of their own worker; no page error and no console warning goes unseen. */
export const test = inKeptBrowser.extend<Fixtures>({
  allowed: [[], { option: true }],
  quiet: [
    async ({ page, allowed, shop, request }, use, info) => {
      await request.put(`${shop.url}/api/rules`, { data: { rules: RULES_IN } });
      const heard: string[] = [];
      page.on('pageerror', (error) => heard.push(`page error: ${error.message}`));
      page.on('console', (message) => {
        if (message.type() === 'error' || message.type() === 'warning') heard.push(message.text());
      });
      const open = new Set<string>();
      page.on('request', (one) => open.add(`${one.method()} ${one.url()}`));
      for (const ended of ['requestfinished', 'requestfailed'] as const)
        page.on(ended as 'requestfinished', (one) => open.delete(`${one.method()} ${one.url()}`));
      await use(undefined);
      if (info.status !== info.expectedStatus)
        await info.attach('how-it-stands', {
          body: await howItStands(page, open),
          contentType: 'text/plain',
        });
      const known = [...allowed, BLOCKED];
      expect(heard.filter((line) => !known.some((pattern) => pattern.test(line)))).toEqual([]);
    },
    { auto: true },
  ],
});

/** Tests on a shop where nobody has been yet: each leaves it empty for the next. */
export const onEmptyShop = inKeptBrowser.extend<{ emptied: undefined }>({
  demo: [false, { scope: 'worker' }],
  emptied: [
    async ({ shop }, use) => {
      await use(undefined);
      await shop.anew();
    },
    { auto: true },
  ],
});

export { expect };

const faultsIn = async (axe: AxeBuilder): Promise<string[]> =>
  (await axe.analyze()).violations.map(
    (v) => `${v.id}: ${v.nodes.map((n) => n.html.slice(0, 160)).join(' | ')}`,
  );

/** No fault in names, roles or contrast on the screen as it stands. */
export async function expectAccessible(page: Page): Promise<void> {
  const axe = new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'best-practice']);
  expect(await faultsIn(axe)).toEqual([]);
}

/** Words stand out from their ground in the colours of now: 4.5 to 1 and large ones 3 to 1; `more` asks for 7 and 4.5. */
export async function expectContrast(page: Page, more: boolean): Promise<void> {
  const axe = new AxeBuilder({ page }).withRules(more ? ['color-contrast-enhanced'] : ['color-contrast']);
  expect(await faultsIn(axe)).toEqual([]);
}

/** The page, as it comes to rest, does not scroll sideways, and nothing is cut off at the side of what scrolls up and down in it. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  const over = () =>
    page.evaluate(() =>
      Math.max(
        document.documentElement.scrollWidth - window.innerWidth,
        ...Array.from(document.querySelectorAll('*'))
          .filter(
            (e) => /auto|scroll/.test(getComputedStyle(e).overflowY) && e.scrollHeight > e.clientHeight + 1,
          )
          .map((e) => e.scrollWidth - e.clientWidth - 1),
      ),
    );
  await expect.poll(over).toBeLessThanOrEqual(0);
}
