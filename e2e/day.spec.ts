import type { Page } from '@playwright/test';
import type { DayAnswer, DaySheet } from '@zt/core/model/day';
import type { Ticket } from '@zt/core/model/ticket';
import { exampleA, exampleB, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { expect, onEmptyShop as test } from './support/test';

const NINE = new Date('2026-11-27T09:00:00Z');
const WEEK = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const rulesOpen = (text: string) => ({
  units: { system: 'mm' },
  schools: {},
  numbers: {},
  hours: { zone: 'UTC', week: Object.fromEntries(WEEK.map((day) => [day, text])), closed: '' },
});

/** A shop with the sample shelf, these tickets, and hours, at nine on a Friday. */
async function shopAtNine(page: Page, tickets: Ticket[], hours = '9:00–12:30, 13:30–17:00') {
  const nouns = ['machines', 'hoops', 'materials', 'threads'] as const;
  const put = nouns.flatMap((noun) => SAMPLE_SHELF[noun].map((item) => ({ noun, item })));
  const sent = [
    await page.request.post('/api/shelf', { data: { put } }),
    await page.request.put('/api/rules', { data: { rules: rulesOpen(hours) } }),
  ];
  for (const ticket of tickets)
    sent.push(await page.request.put(`/api/tickets/${ticket.id}`, { data: { ticket, rev: 0 } }));
  expect(sent.map((answer) => answer.status())).toEqual(sent.map(() => 200));
  await page.clock.install({ time: NINE });
  await page.goto('/day');
  await planned(page);
}
const day = async (page: Page): Promise<DayAnswer> => (await page.request.get('/api/day')).json();
const now = (page: Page) => page.getByTestId('now').filter({ visible: true });
/** Until what is shown is planned from what was said last. */
async function planned(page: Page) {
  await expect(now(page)).toBeVisible();
  await expect(page.getByTestId('planning')).toHaveCount(0);
}
const crests = (quantity: number): Ticket => ({
  ...exampleA(),
  piece: { ...exampleA().piece, quantity },
});

test('a day is planned, done step by step, and planned anew when it runs late', async ({ page }) => {
  await shopAtNine(page, [{ ...crests(2), due: '2026-11-27' }]);
  await expect(page.getByRole('heading', { name: 'Friday 27 November: 2 pieces done' })).toBeVisible();
  await expect(page.getByTestId('worth')).toHaveText(
    /^No other order is done sooner\. \d threads? put on\.$/,
  );
  await expect(now(page)).toHaveText('Prepare no. 1, Rowing club crest, 1 of 2.');
  const until = () => page.getByText(/^2 pieces, done Friday 27 November at /).textContent();
  const first = await until();

  // Nobody was there for twenty minutes: it is planned anew from now, and ends later.
  await page.clock.fastForward('20:00');
  await expect(page.getByText(/^2 pieces, done Friday 27 November at /)).not.toHaveText(first ?? '');
  await planned(page);
  const minutesOf = (text: string | null) => {
    const [, hours, minutes] = / at (\d+):(\d+)$/.exec(text ?? '') ?? [];
    return Number(hours) * 60 + Number(minutes);
  };
  const later = minutesOf(await until()) - minutesOf(first);
  expect(later).toBeGreaterThanOrEqual(20);
  expect(later).toBeLessThan(24);

  for (const done of ['prepared', 'in its hoop', 'on the machine']) {
    await page.getByRole('button', { name: `No. 1 is ${done}` }).click();
    await planned(page);
  }
  await page.getByRole('button', { name: 'Undo: no. 1 is on the machine' }).click();
  await expect(now(page)).toContainText('Put on the machine no. 1');
  await planned(page);
  await page.getByRole('button', { name: 'No. 1 is on the machine' }).click();
  await planned(page);
  await expect(now(page)).toHaveText(
    /^Prepare no\. 2, Rowing club crest, 2 of 2 while no\. 1 stitches: \d min left\.$/,
  );
  await expect
    .poll(async () => Object.values((await day(page)).sheet.stands))
    .toMatchObject([{ at: 'machine', hoop: 'hoop-100x100', run: 0 }]);

  // At the table the deck follows it.
  await page.goto('/ticket/ticket-example-a/card/hoop');
  await expect(now(page)).toContainText('Prepare no. 2');
  await page.getByRole('button', { name: 'No. 2 is prepared' }).click();
  await expect(now(page)).toContainText(/Hoop no\. 2|At the machine, no\. 1, .*: change to yellow/);
});

test('what is promised and cannot be done is said; it is put off, and put back', { tag: '@deep' }, async ({
  page,
}) => {
  await shopAtNine(page, [{ ...crests(40), due: '2026-11-27' }, exampleB()]);
  await expect(
    page.getByText(
      /Rowing club crest: \d+ of 40 are done after Friday 27 November, for which it is promised/,
    ),
  ).toBeVisible();
  await page
    .getByTestId(/^on-machine-/)
    .first()
    .click();
  await page
    .getByRole('region', { name: /^No\. \d+$/ })
    .getByRole('button', { name: 'Another day' })
    .click();
  await expect(page.getByText('It waits for another day.')).toBeVisible();
  await expect(page.getByText(/^1 piece, done Friday 27 November at/)).toBeVisible();
  await page.getByRole('button', { name: 'Put Rowing club crest on the day' }).click();
  await expect(page.getByText(/^41 pieces, done /)).toBeVisible();
});

test('a piece is dragged to the front and stays pinned there, and a calendar takes the day', {
  tag: ['@wide', '@deep'],
}, async ({ page }) => {
  await shopAtNine(page, [crests(3), exampleB()]);
  const last = page.getByTestId('on-machine-4');
  await last.scrollIntoViewIfNeeded();
  const box = await last.boundingBox();
  const start = await page.getByTestId('on-machine-1').boundingBox();
  if (!box || !start) throw new Error('both are drawn');
  await page.mouse.move(box.x + 6, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(start.x - 20, box.y + 10, { steps: 8 });
  await page.mouse.up();
  await expect.poll(async () => (await day(page)).sheet.pinned).toHaveLength(1);
  await planned(page);
  const [pinned = ''] = (await day(page)).sheet.pinned;
  await expect(page.getByTestId('on-machine-1')).toContainText('⚲ 1');
  await page.getByTestId('on-machine-1').click();
  await page.getByRole('button', { name: 'Unpin it' }).click();
  await expect.poll(async () => (await day(page)).sheet.pinned).not.toContain(pinned);
  await planned(page);

  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Calendar file' }).click();
  expect((await file).suggestedFilename()).toBe('day.ics');
  // By keys alone: a step leads to its piece, and that goes one place back and forth on its machine.
  await page.getByRole('button', { name: 'Step by step' }).press('Enter');
  await expect(page.getByRole('button', { name: /^9:00 +Prepare no\. 1/ })).toBeVisible();
  await page.getByRole('button', { name: /Take off no\. 3, / }).press('Enter');
  const acts = page.getByRole('region', { name: 'No. 3' });
  const called = (await acts.getByText(/^No\. 3: /).textContent())?.replace('No. 3: ', '') ?? '';
  await acts.getByRole('button', { name: 'Earlier' }).press('Enter');
  await planned(page);
  await expect(page.getByRole('region', { name: 'No. 2' })).toContainText(called);
  await page.getByRole('region', { name: 'No. 2' }).getByRole('button', { name: 'Later' }).press('Enter');
  await planned(page);
  await expect(page.getByRole('region', { name: 'No. 3' })).toContainText(called);
});

test('two benches that plan at once lose nothing; a shop that is closed says so', { tag: '@deep' }, async ({
  page,
  browser,
  baseURL,
}) => {
  await shopAtNine(page, [crests(2)]);
  const sheet: DaySheet = { ...(await day(page)).sheet, later: [] };
  // Another bench says something of the second piece, without having heard what this one says of the first.
  const stands = { 'ticket-example-a:1:0': { at: 'prepared' as const, sinceMs: NINE.getTime() } };
  await page.getByRole('button', { name: 'No. 1 is prepared' }).click();
  await expect.poll(async () => Object.keys((await day(page)).sheet.stands).length).toBe(1);
  await page.request.put('/api/day', { data: { sheet: { ...sheet, stands }, base: sheet } });
  await expect.poll(async () => Object.keys((await day(page)).sheet.stands).length).toBe(2);

  const other = await browser.newPage({ baseURL: baseURL ?? '' });
  await other.request.put('/api/rules', { data: { rules: rulesOpen('closed') } });
  await other.goto('/day');
  await expect(other.getByText(/The shop is closed on every day ahead/)).toBeVisible();
  await other.getByRole('link', { name: 'Opening hours' }).click();
  await other.getByRole('button', { name: 'Opening hours' }).click();
  const friday = other.getByLabel('Friday', { exact: true });
  await friday.fill('nine to five');
  await friday.blur();
  await expect(
    other.getByText('“nine to five” was not taken: hours like 9:00–12:30, 13:30–17:00, or closed.').first(),
  ).toBeVisible();
  await friday.fill('9–17');
  await friday.blur();
  await expect
    .poll(async () => (await (await other.request.get('/api/rules')).json()).hours.week.Friday)
    .toBe('9–17');
  await other.close();
});

test('the sheets of the bench are laid out together, cut by cut, and printed; bare pieces are bought with spares', {
  tag: ['@wide', '@deep'],
}, async ({ page }) => {
  const order = { id: 'order-of-crests', name: 'Regatta', state: 'agreed' };
  const ordered = {
    ...crests(12),
    orderId: order.id,
    piece: { ...crests(12).piece, sizes: [{ name: 'L', count: 8, readings: {} }] },
  };
  await page.request.put(`/api/orders/${order.id}`, { data: { order } });
  await shopAtNine(page, [ordered, exampleB()]);
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Cut and buy for the bench' }).click();
  await expect(page.getByTestId('cut-saved')).toHaveText(
    /^\d(\.\d+)? m off the rolls(; cut ticket by ticket it would be \d(\.\d+)? m)?\.$/,
  );
  const source = page.getByTestId('cut-source').filter({ hasText: 'cut-away' });
  await expect(source).toContainText(
    /cut-away, \d+ mm off the roll of 500 mm: 20 pieces, \d+(\.\d+)? % wasted/,
  );
  await expect(source).toContainText('No. 1–20: Rowing club crest');
  await expect(page.getByTestId('left-afterwards').filter({ hasText: 'cut-away' })).toHaveText(
    /^cut-away: \d(\.\d+)? m/,
  );
  await source.getByRole('button', { name: /^Cut by cut, cut-away/ }).click();
  await expect(source).toContainText(/1\. Cut \d+ mm off the roll/);
  await expect(page.getByTestId('blank-to-buy')).toHaveText([
    /^1\d × T-shirt: 12 for Rowing club crest, \d spare$/,
    /^\d+ × T-shirt, L: 8 for Rowing club crest, \d spare$/,
  ]);
  const printed = await page.request.get(
    (await page.getByRole('link', { name: 'Cut plan for A4' }).getAttribute('href')) ?? '',
  );
  expect([printed.status(), printed.headers()['content-type']]).toEqual([200, 'application/pdf']);
  const table = await page.request.get('/api/day/shopping.csv');
  expect(await table.text()).toMatch(/^supplier,what,needed,here,to buy,unit,why,for,runs out\r\n/);
  await expect(page.getByRole('link', { name: 'Shopping list as a table (CSV)' })).toBeVisible();
});

test('an order of thousands: what is too much for one ticket, one day or one cut plan is said, and counted', {
  tag: '@deep',
}, async ({ page }) => {
  const thousands = [1, 2, 3].map((n) => ({ ...crests(1000), id: `ticket-of-thousand-${n}` }));
  await shopAtNine(page, thousands);
  await expect(page.getByText(/^60 pieces, done /)).toBeVisible();
  await expect(
    page.getByText('2 940 more pieces come after these: they are planned as these are done.'),
  ).toBeVisible();

  await page.goto('/cutting');
  await expect(page.getByText(/^Nothing on the shelf is large enough, or long enough, for$/)).toBeVisible();
  await expect(
    page.getByText('2 400 more sheets come after these: planned once these are cut.'),
  ).toBeVisible();
  // Of what is not all cut, nothing is said to be spared.
  await expect(page.getByTestId('cut-saved')).toHaveText(/^\d+(\.\d+)? m off the rolls\.$/);

  await page.goto('/ticket/ticket-of-thousand-1/piece');
  const pieces = page.getByRole('textbox', { name: 'How many pieces' });
  await pieces.fill('5000');
  await pieces.blur();
  await expect(
    page.getByText('“5000” was not taken: a whole number from 1 to 1 000.', { exact: true }),
  ).toBeVisible();
  await expect(pieces).toHaveValue('5000');
});
