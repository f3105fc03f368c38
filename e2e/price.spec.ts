import { expect, test } from './support/test';

/** €1,234.50 in cents. */
const centsIn = (text: string | null): number =>
  Math.round(Number((text ?? '').replace(/[^\d.]/g, '')) * 100);

test('a price is taken apart to its lines, tried, and what nobody has priced is named', {
  tag: '@wide',
}, async ({ page }) => {
  await page.goto('/ticket/demo-ticket-01/piece');
  await page.getByRole('button', { name: 'What it costs' }).click();
  const lines = page.getByRole('group', { name: 'Line by line' });
  await expect(lines.getByRole('button', { name: /^Overhead: €/ })).toBeVisible();
  // What the logbook says of spoilt pieces comes late, to a line and the total alike.
  await expect(async () => {
    const shown = await lines
      .getByRole('button')
      .evaluateAll((all) => all.map((e) => e.getAttribute('aria-label')));
    expect(shown.length).toBeGreaterThan(10);
    const total = centsIn(await page.getByTestId('total').textContent());
    expect(shown.reduce((sum, label) => sum + centsIn(label?.split(': ')[1] ?? null), 0)).toBe(total);
  }).toPass();

  await lines.getByRole('button', { name: /^Sheets and films/ }).click();
  await expect(
    lines.getByText(/^Cut-away, medium, 5 of .* abreast on .*: [\d.]+ m × €2\.35 a metre$/),
  ).toBeVisible();
  await lines.getByRole('button', { name: /^Blank/ }).click();
  await expect(lines.getByText('5 × €4.80')).toBeVisible();
  await expect(page.getByTestId('left')).toHaveText(/^In truth €[\d.]+ a piece is left, 3\d % of the price/);

  const price = page.getByLabel('Try a price for one, EUR');
  await price.fill('9');
  await expect(page.getByTestId('left')).toHaveText(/^In truth €[\d.]+ a piece is put in/);
  await expect(page.getByText('Price minus blank says €4.20 a piece.')).toBeVisible();
  await expect(page.getByText(/however many are made/)).toBeVisible();
  await price.fill('nine');
  await expect(page.getByText('An amount is written as 12.50.')).toBeVisible();
  await expect(page.getByTestId('left')).toHaveCount(0);

  await page.getByRole('button', { name: 'By how many: the figures' }).click();
  await expect(page.getByRole('table', { name: 'Price by quantity' }).getByText('200')).toBeVisible();
  await expect(page.getByText(/off a roll .* wide, at the same price for its area/)).toBeVisible();
});

test('what the bare piece costs is typed on its ticket, in the shop’s money; what it is then made of', {
  tag: '@deep',
}, async ({ page }) => {
  await page.goto('/ticket/demo-ticket-03/price');
  await expect(page.getByText('It costs more than this: not all of it has a price.')).toHaveCount(0);
  await page.goto('/ticket/demo-ticket-03/piece');
  const field = page.getByLabel('One bare piece costs, EUR');
  await field.fill('7,255');
  await field.blur();
  await expect(
    page.getByText('“7,255” was not taken: EUR has 2 places behind the point.', { exact: true }),
  ).toBeVisible();
  await page.goto('/ticket/demo-ticket-03/price');
  await expect(page.getByText(/^the bare piece\./)).toBeVisible();
  await page.goto('/ticket/demo-ticket-03/piece');
  await expect(field).toHaveValue('7,255');
  await field.fill('7.25');
  await field.blur();
  await page.goto('/ticket/demo-ticket-03/price');
  await page.getByRole('button', { name: /^Blank: €7\.25$/ }).click();
  await expect(page.getByText('1 × €7.25')).toBeVisible();
});

test('what an hour of hands costs stands among the house numbers', async ({ page }) => {
  await page.goto('/rules');
  await page.getByRole('button', { name: /^Numbers: / }).click();
  await page.getByLabel('Find a number').fill('hour of hands');
  await expect(page.getByLabel('An hour of hands EUR')).toHaveValue('18');
});

test('what is cheaper is one tap, and the price follows; what was paid for a thread stands on the shelf', {
  tag: '@deep',
}, async ({ page }) => {
  const kept = await page.request.get('/api/tickets/demo-ticket-06');
  const { ticket } = (await kept.json()) as { ticket: { id: string } };
  const id = crypto.randomUUID();
  const copy = { ...ticket, id, name: 'Two blues', orderId: null };
  expect((await page.request.put(`/api/tickets/${id}`, { data: { ticket: copy, rev: 0 } })).ok()).toBe(true);
  // What the logbook says of spoilt pieces comes late, and counts.
  await page.goto(`/ticket/${id}/price`, { waitUntil: 'networkidle' });
  const total = page.getByTestId('total');
  await expect(page.getByText('Planning what could be changed.')).toHaveCount(0);
  const before = centsIn(await total.textContent());
  const offer = page.getByRole('button', { name: /^One colour less: / });
  const saves = /saves €([\d.]+)/.exec((await offer.textContent()) ?? '')?.[1] ?? '';
  await offer.click();
  await expect.poll(async () => centsIn(await total.textContent())).toBe(before - centsIn(saves));

  await page.goto('/shelf');
  await page.getByRole('button', { name: /^navy/ }).first().click();
  const paid = page.getByLabel('paid, EUR');
  await expect(paid).toHaveValue('4.60');
  await expect(page.getByLabel('bought from')).toHaveValue('Capstan Threads');
  await paid.fill('5,20');
  await paid.blur();
  const minor = async () => {
    const shelf = (await (await page.request.get('/api/shelf')).json()) as {
      threads: { name: string; paid?: { minor: number } }[];
    };
    return shelf.threads.find(({ name }) => name === 'navy')?.paid?.minor;
  };
  await expect.poll(minor).toBe(520);
});
