import type { Page } from '@playwright/test';
import type { Order } from '@zt/core/model/order';
import { EMPTY_DESIGN } from '@zt/core/model/ticket/design';
import { exampleA, measuredTicket, SAMPLE_SHELF } from '@zt/core/testing/samples';
import { expect, onEmptyShop as test } from './support/test';
import { onTicket } from './support/ticket';

const SIZES = ['S', 'L', 'XL', 'XXL'];
const CREW = [
  ['Alma', ''],
  ['Bo', 'S'],
  ['Cid', 'L'],
  ['Dora', 'XL'],
  ['Edda', 'XXL'],
  ['Finn', ''],
  ['Gro', 'S'],
  ['Hanne', 'L'],
  ['Ida', 'XL'],
  ['Jon', 'XXL'],
  ['Kai', ''],
  ['Lena', 'S'],
  ['Mats', 'L'],
  ['Nils', 'XL'],
  ['Ole', 'XXL'],
  ['Pia', ''],
  ['Rune', 'S'],
  ['Siv', 'L'],
  ['Tor', 'XL'],
  ['Una', 'XXL'],
] as const;
const WEEK = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

const fill = async (page: Page, label: string, text: string) => {
  const field = page.getByLabel(label, { exact: true }).filter({ visible: true });
  await field.fill(text);
  await field.blur();
};
const orderNow = async (page: Page, id: string): Promise<Order> =>
  (await (await page.request.get(`/api/orders/${id}`)).json()).order;

test('twenty tees in five sizes with names, from the quote to being handed over and paid', {
  tag: '@deep',
}, async ({ page }) => {
  test.setTimeout(240_000);
  const put = (['machines', 'hoops', 'materials', 'threads'] as const).flatMap((noun) =>
    SAMPLE_SHELF[noun].map((item) => ({ noun, item })),
  );
  await page.request.post('/api/shelf', { data: { put } });
  const hours = { zone: 'UTC', week: Object.fromEntries(WEEK.map((day) => [day, '0–24'])), closed: '' };
  const rules = { units: { system: 'mm' }, schools: {}, numbers: {}, hours };
  await page.request.put('/api/rules', { data: { rules } });

  // The order is asked for.
  await page.goto('/orders');
  await page.getByRole('button', { name: 'New order' }).click();
  await fill(page, 'What it is', 'Tees for the crew');
  await page.getByLabel('For whom').fill('Pennyscar Rowing Club');
  await page.getByRole('button', { name: 'New: Pennyscar Rowing Club' }).click();
  await fill(page, 'Promised for', '2099-06-04');
  const id = /\/orders\/([\w-]+)/.exec(page.url())?.[1] ?? '';
  await expect.poll(async () => (await orderNow(page, id)).due).toBe('2099-06-04');

  // Its ticket: one tee measured, four more sizes, a name on each of twenty.
  const measured = measuredTicket('t-shirt', 'left-chest', [90, 30]);
  const sizes = SIZES.map((name) => ({ name, count: 0, readings: {} }));
  const ticket = {
    ...measured,
    id: 'ticket-of-the-crew',
    name: 'Crew tees',
    orderId: id,
    blankMinor: 420,
    design: EMPTY_DESIGN,
    piece: { ...measured.piece, sizes },
  };
  expect((await page.request.put(`/api/tickets/${ticket.id}`, { data: { ticket, rev: 0 } })).ok()).toBe(true);
  await page.goto(`/ticket/${ticket.id}/design`);
  await page.getByRole('button', { name: 'Add names, one on every piece' }).click();
  const lines = CREW.map(([name, size]) => (size ? `${name}, ${size}` : name));
  await page.getByRole('textbox', { name: 'Names, each on a line of its own' }).fill(lines.join('\n'));
  await page.getByRole('button', { name: 'Put them on the list' }).click();
  await onTicket(page).reads('20 names put on the list.');
  await expect(page.getByTestId('name-line')).toHaveCount(20);
  // Set in their letters, and kept so.
  const sets = async () => {
    const kept = await (await page.request.get(`/api/tickets/${ticket.id}`)).json();
    return Object.keys(kept.ticket.design.nameSets).length;
  };
  await expect.poll(sets, { timeout: 60_000 }).toBe(20);

  // What it costs, what is promised, and the quote for it.
  await page.goto(`/orders/${id}`);
  await expect(page.getByRole('link', { name: 'Crew tees: 20, not begun' })).toBeVisible();
  await expect(page.getByRole('heading', { name: /^It costs at least €\d+\.\d\d/ })).toBeVisible();
  await fill(page, 'Promised price, all of it, EUR', '400');
  await expect.poll(async () => (await orderNow(page, id)).promisedMinor).toBe(40_000);
  const quote = await page.request.get(`/api/orders/${id}/quote.pdf?paper=a5`);
  expect([quote.status(), quote.headers()['content-type']]).toEqual([200, 'application/pdf']);

  // Only asked for, it is not planned; agreed, it is: every tee with its name and size.
  await page.goto('/day');
  await expect(
    page.getByText('1 ticket of orders that are only asked for: planned once they are agreed.'),
  ).toBeVisible();
  await page.goto(`/orders/${id}`);
  await page.getByRole('radio', { name: 'agreed', exact: true }).click();
  await expect.poll(async () => (await orderNow(page, id)).state).toBe('agreed');
  await page.goto('/cutting');
  await expect(page.getByTestId('blank-to-buy')).toHaveCount(5);
  await page.goto('/day');
  await expect(page.getByText(/^20 pieces, done /)).toBeVisible();
  await page.getByRole('button', { name: 'Step by step' }).click();
  await expect(
    page.getByRole('button', { name: /Prepare no\. \d+, Crew tees, Bo, S, 2 of 20/ }).first(),
  ).toBeVisible();
  await expect(page.getByTestId('planning')).toHaveCount(0);
  await page.getByRole('button', { name: /^No\. 1 is prepared$/ }).click();
  await expect
    .poll(async () => Object.keys((await (await page.request.get('/api/day')).json()).sheet.stands).length)
    .toBe(1);

  // Made, logged as twenty, handed over with what it cost, and paid.
  await page.goto(`/ticket/${ticket.id}/log`);
  await page.getByRole('button', { name: 'Came out well' }).click();
  await page.getByRole('button', { name: 'Open the entry' }).click();
  await onTicket(page).reads('20 pieces');
  await page.goto(`/orders/${id}`);
  await expect(page.getByRole('heading', { name: /^It costs at least €/ })).toBeVisible();
  for (const state of ['done', 'handed over', 'paid']) {
    await page.getByRole('radio', { name: state, exact: true }).click();
    await expect.poll(async () => (await orderNow(page, id)).state).toBe(state);
  }
  expect((await orderNow(page, id)).costMinor).toBeGreaterThan(20 * 420);
  expect((await page.request.get(`/api/orders/${id}/receipt.pdf`)).status()).toBe(200);

  // And it stands in how the shop does.
  await page.goto('/orders');
  await page.getByRole('button', { name: 'How the shop does' }).click();
  await expect(page.getByTestId('in-short')).toHaveText(/^20 pieces, 0 spoilt\./);
  await expect(
    page.getByText(/^: €400\.00 promised, €\d+\.\d\d cost: €\d+\.\d\d (left|put in)$/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Pieces as a table' }).click();
  await expect(page.getByText(/^Week of .*: well made 20, spoilt 0$/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'The weeks as a table (CSV)' })).toBeVisible();
});

test('two designs go on one piece: one bare piece for both', { tag: '@deep' }, async ({ page }) => {
  const order = { id: 'order-of-two-sides', name: 'Front and back', state: 'agreed' };
  await page.request.put(`/api/orders/${order.id}`, { data: { order } });
  for (const [id, name] of [
    ['ticket-of-the-front', 'Front'],
    ['ticket-of-the-back', 'Back'],
  ]) {
    const ticket = { ...measuredTicket('t-shirt', 'left-chest', [90, 60]), id, name, orderId: order.id };
    await page.request.put(`/api/tickets/${id}`, { data: { ticket, rev: 0 } });
  }
  await page.goto(`/orders/${order.id}`);
  await page.getByRole('button', { name: 'Several designs on one piece' }).click();
  await page
    .getByRole('radiogroup', { name: 'Back goes on' })
    .getByRole('radio', { name: 'that of Front' })
    .click();
  await expect(page.getByRole('link', { name: /^Back: on the same piece, / })).toBeVisible();
  const kept = await (await page.request.get('/api/tickets/ticket-of-the-back')).json();
  expect(kept.ticket.samePieceAs).toBe('ticket-of-the-front');
  await page.goto('/orders');
  await expect(page.getByRole('link', { name: /1 piece on 2 tickets/ })).toBeVisible();
});

test('the first piece of a run is measured, the rest is keyed against it, and its bobbins are counted', async ({
  page,
}) => {
  const put = (['machines', 'hoops', 'materials', 'threads'] as const).flatMap((noun) =>
    SAMPLE_SHELF[noun].map((item) => ({ noun, item })),
  );
  await page.request.post('/api/shelf', { data: { put } });
  await page.request.put('/api/rules', {
    data: { rules: { units: { system: 'mm' }, schools: {}, numbers: {} } },
  });
  const run = { ...exampleA(), piece: { ...exampleA().piece, quantity: 40 } };
  await page.request.put(`/api/tickets/${run.id}`, { data: { ticket: run, rev: 0 } });
  const ticket = onTicket(page);
  await page.goto(`/ticket/${run.id}/mount`);
  await page.getByRole('button', { name: 'The first piece of the run' }).click();
  await ticket.fill('middle, sideways', '3 mm');
  await expect(page.getByTestId('carried')).toHaveText(
    'The first piece of the run lay 3 mm to the right of its marks: the rest is keyed so much the other way.',
  );
  await page
    .getByRole('radiogroup', { name: 'middle, sideways, which way' })
    .getByRole('radio', { name: 'left' })
    .click();
  await expect(page.getByTestId('carried')).toContainText('3 mm to the left');
  await ticket.saved();
  expect((await (await page.request.get(`/api/tickets/${run.id}`)).json()).ticket.mount.sample).toEqual({
    right: -3,
    down: null,
  });
  await page.goto(`/ticket/${run.id}/stitch`);
  await ticket.reads(/^Wind \d+ bobbins for the run\. Change it after pieces \d+(, \d+)+\.$/);
});

test('a currency and a heading of the shop are typed in House rules, and what is none is kept as typed', {
  tag: '@deep',
}, async ({ page }) => {
  await page.goto('/rules');
  await page.getByRole('button', { name: 'Money, and the shop’s heading' }).click();
  await fill(page, 'Currency, by its three letters', 'shells');
  await expect(
    page.getByText('“shells” was not taken: the three letters of a currency, as EUR or JPY.').first(),
  ).toBeVisible();
  await fill(page, 'Currency, by its three letters', 'JPY');
  await fill(page, 'Heading of quotes and receipts', 'Slipway Stitching');
  const kept = async () => {
    const { currency, heading } = await (await page.request.get('/api/rules')).json();
    return { currency, heading };
  };
  await expect.poll(kept).toEqual({ currency: 'JPY', heading: 'Slipway Stitching' });
  await page.goto('/orders');
  await page.getByRole('button', { name: 'New order' }).click();
  await expect(page.getByLabel('Promised price, all of it, JPY')).toBeVisible();
});
