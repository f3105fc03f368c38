import type { Page } from '@playwright/test';
import type { Order } from '@zt/core/model/order';
import type { Ticket } from '@zt/core/model/ticket';
import { expect, test } from './support/test';
import { putTicket } from './support/ticket';

const asked = async <T>(page: Page, path: string): Promise<T> =>
  (await (await page.request.get(`/api${path}`)).json()) as T;
/** The order that is open, once the shop's computer has it so. */
const kept = (page: Page, field: keyof Order) =>
  expect.poll(async () => {
    const id = /\/orders\/([\w-]+)/.exec(page.url())?.[1] ?? '';
    return (await asked<{ order?: Order }>(page, `/orders/${id}`)).order?.[field];
  });
const fill = async (page: Page, label: string, text: string) => {
  const field = page.getByLabel(label, { exact: true }).filter({ visible: true });
  await field.fill(text);
  await field.blur();
};

test('an order from asked to paid: a new customer, tickets from the bench, the price it needs, quote and receipt', {
  tag: '@wide-deep',
}, async ({ page }) => {
  const bench = await asked<{ tickets: { ticket: Ticket }[] }>(page, '/tickets');
  const free = bench.tickets.find(({ ticket }) => ticket.orderId === null);
  if (!free) throw new Error('a ticket of the bench is in no order');
  const name = `Tees for ${crypto.randomUUID().slice(0, 6)}`;
  await page.goto('/orders');
  await page.getByRole('button', { name: 'New order' }).click();
  await fill(page, 'What it is', name);
  await kept(page, 'name').toBe(name);
  const who = `Slipway ${crypto.randomUUID().slice(0, 6)}`;
  await page.getByLabel('For whom').fill(who);
  await page.getByRole('button', { name: `New: ${who}` }).click();
  await expect(page.getByText('their page')).toBeVisible();
  await fill(page, 'Promised for', '2026-02-31');
  await expect(
    page.getByText('“2026-02-31” was not taken: a day, written 2026-12-24.').first(),
  ).toBeVisible();
  await fill(page, 'Promised for', '2020-05-01');
  await expect(page.getByText(/is past, and it is not handed over/)).toBeVisible();
  await fill(page, 'Promised for', '2099-05-01');
  await expect(page.getByText(/is past, and it is not handed over/)).toHaveCount(0);
  await kept(page, 'due').toBe('2099-05-01');

  // A ticket that is a copy of what costs something, so that no other test misses it.
  const ticket = { ...free.ticket, id: crypto.randomUUID(), name: `${name}, crew`, blankMinor: 480 };
  expect((await page.request.put(`/api/tickets/${ticket.id}`, { data: { ticket, rev: 0 } })).ok()).toBe(true);
  await page.reload();
  await page.getByRole('button', { name: 'Take a ticket from the bench' }).click();
  await page.getByRole('button', { name: ticket.name }).click();
  await expect(page.getByRole('link', { name: new RegExp(`^${ticket.name}: `) })).toBeVisible();
  await expect(page.getByRole('heading', { name: /^It costs (at least )?€/ })).toBeVisible();
  const carried = await asked<{ ticket: Ticket }>(page, `/tickets/${ticket.id}`);
  expect(carried.ticket.customer).toBe(ticket.customer || who);

  await fill(page, 'Promised price, all of it, EUR', '3');
  await kept(page, 'promisedMinor').toBe(300);
  await expect(page.getByTestId('order-left')).toHaveText(/^In truth (at least )?€[\d.]+ is put in\.$/);
  await page.getByRole('button', { name: 'The order line by line' }).click();
  await expect(page.getByText('Set-up, once for the run')).toBeVisible();

  const id = /\/orders\/([\w-]+)/.exec(page.url())?.[1];
  const quote = await page.request.get(`/api/orders/${id}/quote.pdf`);
  expect([quote.status(), quote.headers()['content-type']]).toEqual([200, 'application/pdf']);
  expect((await page.request.get(`/api/orders/${id}/receipt.pdf`)).status()).toBe(409);
  for (const state of ['agreed', 'handed over', 'paid']) {
    await page.getByRole('radio', { name: state, exact: true }).click();
    await kept(page, 'state').toBe(state);
  }
  await expect(page.getByRole('link', { name: 'Receipt as PDF' })).toBeVisible();
  expect((await page.request.get(`/api/orders/${id}/receipt.pdf`)).status()).toBe(200);

  // Taken off the book and put back.
  await page.getByRole('button', { name: 'Take this order off the book' }).click();
  await expect(page.getByText('The order is off the book; its tickets stay on the bench.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await page.getByRole('radio', { name: 'paid', exact: true }).click();
  await expect(page.getByRole('link', { name: new RegExp(`^${name}; ${who}; paid`) })).toBeVisible();
});

test('a piece is started for an order, and is for whom and until when the order is', async ({ page }) => {
  await page.goto('/orders/demo-order-vet');
  await page.getByRole('button', { name: 'Start a piece for it' }).click();
  await expect(page.getByText('For the order “Tunics for the practice”: what is it?')).toBeVisible();
  await page.getByRole('button', { name: 'T-shirt', exact: true }).first().click();
  await expect(page.getByLabel('For whom').filter({ visible: true })).toHaveValue(
    'Harbour Road veterinary practice',
  );
  await expect(page.getByLabel('Promised for').filter({ visible: true })).not.toHaveValue('');
});

test.describe('refused', () => {
  test.use({ allowed: [/status of 409/] });
  test('a customer has a page, and is erased once nothing is open for them', async ({ page }) => {
    const id = crypto.randomUUID();
    const name = `Mina Brackwater ${id.slice(0, 4)}`;
    const order = {
      id: crypto.randomUUID(),
      name: 'Napkins',
      customerId: id,
      state: 'agreed',
      brought: 'six napkins',
    };
    await page.request.put(`/api/customers/${id}`, { data: { customer: { id, name } } });
    await page.request.put(`/api/orders/${order.id}`, { data: { order } });
    await page.goto('/customers');
    await page.getByRole('link', { name: `${name}: 1 order, 1 open` }).click();
    await fill(page, 'How to reach them', 'at the mill');
    await expect
      .poll(
        async () =>
          (await asked<{ customer: { contact: string } }>(page, `/customers/${id}`)).customer.contact,
      )
      .toBe('at the mill');
    await page.getByRole('button', { name: 'Their data: export, erase' }).click();
    await page.getByRole('button', { name: `Erase ${name} for good` }).click();
    await expect(
      page.getByText('For them an order is open: hand it over, or take it off first. Nothing was erased.'),
    ).toBeVisible();
    await page.getByRole('link', { name: 'Napkins' }).click();
    await page.getByRole('radio', { name: 'handed over', exact: true }).click();
    await kept(page, 'state').toBe('handed over');
    await page.getByText('their page').click();
    await page.getByRole('button', { name: 'Their data: export, erase' }).click();
    await page.getByRole('button', { name: `Erase ${name} for good` }).click();
    await expect(
      page.getByText(/^Gone from 1 order, 0 tickets and 0 entries of the logbook\./),
    ).toBeVisible();
    await page.getByRole('button', { name: 'Back to the customers' }).click();
    await expect(page.getByRole('link', { name: new RegExp(name) })).toHaveCount(0);
    expect((await page.request.get(`/api/customers/${id}`)).status()).toBe(404);
    expect(JSON.stringify(await asked(page, `/orders/${order.id}`))).not.toMatch(/Brackwater|napkins/i);
  });
});

test.describe('away', () => {
  test.use({ allowed: [/Failed to load resource|net::ERR/] });
  test('the order book without the shop’s computer: what is changed waits, and is sent', async ({ page }) => {
    const bench = await asked<{ tickets: { ticket: Ticket }[] }>(page, '/tickets');
    const free = bench.tickets.find(({ ticket: { orderId } }) => orderId === null)?.ticket;
    if (!free) throw new Error('a ticket of the bench is in no order');
    const ticket = { ...free, id: crypto.randomUUID(), name: 'Cushion of the far window' };
    await putTicket(page, ticket);
    await page.goto('/orders/demo-order-library');
    await expect(page.getByLabel('Note')).toBeVisible();
    await expect(page.getByRole('button', { name: 'Take a ticket from the bench' })).toBeVisible();
    await page.context().setOffline(true);
    await fill(page, 'Note', 'cushions by the window');
    await expect(page.getByLabel('Note')).toHaveValue('cushions by the window');
    // A ticket of the bench that is put on it stands there at once.
    await page.getByRole('button', { name: 'Take a ticket from the bench' }).click();
    await page.getByRole('button', { name: ticket.name }).click();
    const line = page.getByRole('link', { name: new RegExp(`^${ticket.name}: `) });
    await expect(line).toBeVisible();
    await expect(page.getByRole('button', { name: ticket.name })).toHaveCount(0);
    await page.context().setOffline(false);
    await kept(page, 'note').toBe('cushions by the window');
    await expect
      .poll(async () => (await asked<{ ticket: Ticket }>(page, `/tickets/${ticket.id}`)).ticket.orderId)
      .toBe('demo-order-library');
    await expect(line).toBeVisible();
  });
});
