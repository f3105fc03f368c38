import type { Page } from '@playwright/test';
import { STAGES, type Stage } from '@zt/core/model/stages';
import { LONG, someOf } from '@zt/core/testing/cases';
import { expect, expectAccessible, expectContrast, expectNoSidewaysScroll, test } from './support/test';

const PAGES = [
  '/',
  '/new',
  '/shelf',
  '/logbook',
  '/logbook/demo-entry-04',
  '/rules',
  '/keys',
  '/first',
  '/ticket/demo-ticket-01/card/place',
  '/ticket/demo-ticket-01/sizes',
  '/ticket/demo-ticket-01/names',
  '/ticket/demo-ticket-01/print',
  '/ticket/demo-ticket-01/practice',
  '/ticket/demo-ticket-01/price',
  '/orders',
  '/orders/demo-order-regatta',
  '/customers',
  '/customers/demo-customer-regatta',
  '/day',
  '/cutting',
  '/weeks',
  '/ticket/demo-ticket-01/card/hoop',
];
/** What each is made of is on other pages too, or gone through by other tests; those that are most of a drawing are seen every time. */
const EVERY_TIME: readonly Stage[] = ['place', 'hoop', 'layers'];
const TICKETS = (LONG ? STAGES : EVERY_TIME).map((stage) => `/ticket/demo-ticket-02/${stage}`);
/** Stages of other pieces, and of those with a fault: the same pages with another drawing. */
const OTHERS = [
  '/ticket/demo-ticket-06/hoop',
  '/ticket/demo-ticket-08/place',
  '/ticket/demo-ticket-07/piece',
  '/ticket/demo-ticket-10/piece',
  '/ticket/demo-ticket-11/place',
  '/ticket/demo-ticket-13/place',
  '/ticket/demo-ticket-14/hoop',
  '/ticket/demo-ticket-15/hoop',
];

for (const scheme of ['light', 'dark'] as const)
  test.describe(`before the shop answers, ${scheme}`, () => {
    test.use({ colorScheme: scheme });
    test('the page that waits for it reads well', async ({ page }) => {
      await page.route('**/api/rules', () => undefined);
      await page.goto('/shelf');
      await expect(page.getByRole('heading', { name: 'Opening the shop…' })).toBeVisible();
      await expectAccessible(page);
      await expectNoSidewaysScroll(page);
    });
    test('so does a ticket that is fetched', async ({ page }) => {
      await page.route('**/api/tickets/demo-ticket-02', () => undefined);
      await page.goto('/ticket/demo-ticket-02/layers');
      await expect(page.getByRole('heading', { name: 'Loading the ticket…' })).toBeVisible();
      await expectAccessible(page);
    });
  });

/** What a list page asks for, and what it must not say before that is known. */
const NOT_KNOWN = [
  ['/', '**/api/tickets', /\b0 (piece|min)/],
  ['/orders', '**/api/orders*', /\b0 orders|No order/],
  ['/logbook', '**/api/logbook*', /\b0 (piece|good)|Each piece that leaves/],
  ['/day', '**/api/day', /Nothing to be made|\b0 pieces/],
  ['/weeks', '**/api/weeks*', /\b0 pieces/],
  ['/customers', '**/api/customers', /\b0 in all/],
] as const;
test('what is not known yet is said to be so, never none; a shop that is slow is named, with what works', {
  tag: '@long',
}, async ({ page }) => {
  for (const [path, asked, never] of someOf(NOT_KNOWN, 6)) {
    await page.route(asked, () => undefined);
    await page.goto(path);
    await expect(page.getByText('Loading…', { exact: true })).toBeVisible();
    await expect(page.getByText(never)).toHaveCount(0);
    await expect(page.getByText(/^The shop’s computer has not answered yet\. What you change/)).toBeVisible();
    await expectAccessible(page);
    await page.unroute(asked);
  }
});

test('the frame of the page is there before any script, and leads to the places', async ({ page }) => {
  await page.route('**/*.js', () => undefined);
  await page.goto('/shelf', { waitUntil: 'commit' });
  await expect(page.getByRole('heading', { name: 'Zealous Thimble' })).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Places' }).getByRole('link')).toHaveText([
    'Bench',
    'Day',
    'Orders',
    'Shelf',
    'Logbook',
    'House rules',
  ]);
  await page.unroute('**/*.js');
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Zealous Thimble' })).toHaveCount(0);
});

const SIZES = [
  { width: 390, height: 844 },
  { width: 1280, height: 800 },
] as const;

/** So long a page of many drawings may take to be drawn in other colours, ms. */
const DRAWN_MS = 20_000;

/** The page drawn in the size it has now. */
const drawn = (page: Page) =>
  page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));

/** The looks of the app: by day, by evening, and for eyes that need more, where text is read at seven to one. */
const LOOKS = [
  { colorScheme: 'light', contrast: 'no-preference' },
  { colorScheme: 'dark', contrast: 'no-preference' },
  { colorScheme: 'light', contrast: 'more' },
] as const;

/**
 * All pages are made of the same parts in the same pairs of colours: beside the long run, which goes through every look of
 * every page at both sizes, these are seen in every look, each at one size, and the others by day.
 */
const [PHONE, WIDE] = SIZES;
const SEEN_AT = { light: SIZES, dark: [PHONE], more: [WIDE] };
const IN_EVERY_LOOK = ['/ticket/demo-ticket-02/place'];

for (const path of [...PAGES, ...TICKETS, ...(LONG ? OTHERS : [])])
  test(`${path} reads well and stays within the page, on a phone and wide, in every look`, {
    tag: '@long',
  }, async ({ page }) => {
    await page.goto(path);
    await expect(page.getByRole('main').last()).toBeVisible();
    await expect(page.getByRole('heading', { name: /^Opening the shop|^Loading the/ })).toHaveCount(0);
    // What is planned in a worker comes last.
    for (const work of ['planning', 'cutting']) await expect(page.getByTestId(work)).toHaveCount(0);
    await expect(page.getByRole('heading').last()).toBeVisible();
    for (const look of LOOKS) {
      await page.emulateMedia(look);
      const seenAt = SEEN_AT[look.contrast === 'more' ? 'more' : look.colorScheme];
      const isSeen = look === LOOKS[0] || IN_EVERY_LOOK.includes(path);
      const sizes = IN_EVERY_LOOK.includes(path) ? seenAt : [PHONE];
      for (const size of LONG ? SIZES : isSeen ? sizes : []) {
        await page.setViewportSize(size);
        await drawn(page);
        // Names and roles are the same in all colours.
        if (look === LOOKS[0]) {
          if (LONG || size === PHONE || IN_EVERY_LOOK.includes(path)) await expectAccessible(page);
          await expectNoSidewaysScroll(page);
        } else
          await expect(() => expectContrast(page, look.contrast === 'more')).toPass({ timeout: DRAWN_MS });
      }
    }
  });
