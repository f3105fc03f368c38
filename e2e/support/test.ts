import AxeBuilder from '@axe-core/playwright';
import { test as base, expect, type Page } from '@playwright/test';
import { openShop, type Shop } from './shop';

const RULES_IN = { units: { system: 'in', denominator: 16 }, schools: {}, numbers: {} };

interface Fixtures {
  /** Console lines that a test provokes on purpose. */
  allowed: RegExp[];
  quiet: undefined;
}

/** Tests against a shop of their own worker; no page error and no console warning goes unseen. */
/** What the browser says where these tests let the app keep no copy of itself (playwright.config.ts). */
const BLOCKED = /^Service Worker registration blocked/;

export const test = base.extend<Fixtures, { shop: Shop }>({
  shop: [
    async ({ browserName: _ }, use) => {
      const shop = await openShop();
      await use(shop);
      await shop.stop();
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ shop }, use) => use(shop.url),
  allowed: [[], { option: true }],
  quiet: [
    async ({ page, allowed, shop, request }, use) => {
      await request.put(`${shop.url}/api/rules`, { data: { rules: RULES_IN } });
      const heard: string[] = [];
      page.on('pageerror', (error) => heard.push(`page error: ${error.message}`));
      page.on('console', (message) => {
        if (message.type() === 'error' || message.type() === 'warning') heard.push(message.text());
      });
      await use(undefined);
      const known = [...allowed, BLOCKED];
      expect(heard.filter((line) => !known.some((pattern) => pattern.test(line)))).toEqual([]);
    },
    { auto: true },
  ],
});

/** Tests on a shop where nobody has been yet, each on one of its own. */
export const onEmptyShop = base.extend<{ emptyShop: Shop }>({
  emptyShop: async ({ browserName: _ }, use) => {
    const shop = await openShop({ demo: false });
    await use(shop);
    await shop.stop();
  },
  baseURL: async ({ emptyShop }, use) => use(emptyShop.url),
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
