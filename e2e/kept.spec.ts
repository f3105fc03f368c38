import { createClient } from '@libsql/client';
import { DAY_ID } from '@zt/core/model/day';
import { expect, expectAccessible, expectNoSidewaysScroll, test } from './support/test';
import { fillIn, onTicket } from './support/ticket';

test('what goes past a bound stays in its field, is named, and the ticket around it saves', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Hand towel');
  await ticket.fill('Promised for', '2026-02-31');
  await ticket.reads('“2026-02-31” was not taken: a day, written 2026-12-24.');
  await ticket.fill('side to side', '1000 m m');
  await ticket.fill('Name of the ticket', 'Typed after it');
  await ticket.saved();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Name of the ticket' })).toHaveValue('Typed after it');
  await expect(page.getByRole('textbox', { name: 'Promised for' })).toHaveValue('2026-02-31');
  await ticket.reads(/side to side: “1000 m m” does not read as a length/);
  await expectAccessible(page);
  await expectNoSidewaysScroll(page);
  await page.getByRole('button', { name: 'Leave it out' }).first().click();
  await page.getByRole('button', { name: 'Leave it out' }).first().click();
  await expect(page.getByText(/was not taken|does not read/)).toHaveCount(0);
  await ticket.saved();
});

test('a mark read far off the hoop’s grid is kept as typed and stops the keys, not the saving', async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/mount');
  await page.getByRole('button', { name: 'How it sits in the hoop' }).click();
  await page.getByRole('button', { name: 'Read three marks' }).click();
  await page.getByRole('button', { name: 'Type the centre' }).click();
  await ticket.fill('centre across', '30');
  await ticket.reads('“30” was not taken: a length from 0 in to 23 5/8 in.');
  await ticket.reads(/centre across: “30” was not taken/);
  await ticket.saved();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'centre across' })).toHaveValue('30');
  await ticket.fill('centre across', '0');
  await expect(page.getByText(/was not taken/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Leave the readings out' }).click();
  await ticket.saved();
});

test('a length typed slowly is taken whole, never half', { tag: '@deep' }, async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Bath towel');
  const field = page.getByRole('textbox', { name: 'side to side', exact: true });
  await field.pressSequentially('44', { delay: 20 });
  await ticket.reads('understood as 44 in');
  await field.pressSequentially('.2 mm', { delay: 20 });
  await ticket.reads('understood as 44.2 mm');
  await field.press('Enter');
  await ticket.saved();
  await page.reload();
  await ticket.reads('1 3/4 in');
});

test.describe('a ticket that the server does not take', () => {
  test.use({ allowed: [/Failed to load resource/] });

  test('is told with the field and where to go, holds up no other, and saves once it is changed', async ({
    page,
  }) => {
    const ticket = onTicket(page);
    await ticket.start('Bath towel');
    await ticket.saved();
    const issues = [{ path: 'ticket.design.parts.0.widthMm', message: 'At most 2000 mm.' }];
    let puts = 0;
    await page.route('**/api/tickets/*', (route) => {
      if (route.request().method() !== 'PUT') return route.continue();
      puts += 1;
      return route.fulfill({
        status: 400,
        json: { code: 'unreadable', message: 'Nothing was saved.', issues },
      });
    });
    await ticket.fill('Name of the ticket', 'Refused');
    await ticket.reads('design width takes a length from 0 in to 78 3/4 in.');
    await expect(page.getByTestId('save-state').filter({ visible: true })).toContainText('not saved');
    const asked = puts;
    await page.unroute('**/api/tickets/*');
    await page.getByRole('button', { name: 'Go to Design' }).click();
    await expect(page.getByRole('heading', { name: 'What goes on it' })).toBeVisible();
    expect(asked).toBe(1);
    await page.getByRole('button', { name: 'Back to the bench' }).click();
    await page.getByRole('button', { name: 'Start a piece' }).click();
    await page.getByRole('button', { name: 'Bib', exact: true }).click();
    await ticket.fill('Name of the ticket', 'The other one');
    await ticket.saved();
    await page.getByRole('button', { name: 'Back to the bench' }).click();
    await ticket.reads('“Refused” is not saved: something on it is not taken.');
    await page.getByRole('button', { name: 'Open it' }).click();
    await ticket.fill('Name of the ticket', 'Taken');
    await ticket.saved();
  });
});

test('a figure on the shelf past its bound stays with its item, and the hoop is not planned with', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Add a hoop' }).click();
  await fillIn(page.getByRole('textbox', { name: 'thickest stack it closes on' }), '9 in');
  await ticket.reads('“9 in” was not taken: a length from 1/32 in to 1 3/16 in.');
  await ticket.reads('One of its figures was typed and could not be taken');
  await expect(page.getByTestId('save-state').filter({ visible: true })).toContainText('saved');
  await page.reload();
  const row = page.getByRole('button', { name: /^New hoop: .*“9 in” is not used/ });
  await row.click();
  await fillIn(page.getByRole('textbox', { name: 'thickest stack it closes on' }), '9 mm');
  await expect(page.getByText(/was not taken/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Take it off the shelf' }).click();
});

test('a ticket taken off the bench elsewhere is kept, stays off, and is put back', { tag: '@deep' }, async ({
  page,
  request,
  baseURL,
}) => {
  const ticket = onTicket(page);
  await ticket.start('Bib');
  await ticket.saved();
  const id = page.url().split('/').at(-2);
  await request.delete(`${baseURL}/api/tickets/${id}`);
  await ticket.fill('Name of the ticket', 'Still here');
  await ticket.reads('This ticket was taken off the bench. What you change is kept, and it stays off.');
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByText('This ticket was taken off the bench')).toHaveCount(0);
  await page.getByRole('button', { name: 'Back to the bench' }).click();
  await ticket.reads('Still here');
});

test('what cannot be read is set aside on its page, mended or taken away and put back; all else is there', async ({
  page,
  shop,
}) => {
  const ticket = onTicket(page);
  const database = createClient({ url: `file:${shop.file}`, timeout: 5000 });
  const put = (sql: string, item: object) => database.execute({ sql, args: [JSON.stringify(item)] });
  const supply = { id: 'supply-past-1', name: 'Too many needles', type: '90', left: 9e9, machineId: null };
  await put("INSERT INTO shelf_items (id, noun, item) VALUES ('supply-past-1', 'supplies', ?)", supply);
  await put("INSERT INTO tickets (id, ticket, rev, updated_at) VALUES ('ticket-damaged-1', ?, 1, '')", {
    name: 'Half a ticket',
  });
  database.close();
  await page.goto('/shelf');
  await ticket.reads('“Too many needles” cannot be read, and is set aside');
  await ticket.reads('left takes a number from 0 to 1 000 000. All else is as it was.');
  await expect(page.getByRole('heading', { name: 'Threads: 40' })).toBeVisible();
  await expectAccessible(page);
  await expectNoSidewaysScroll(page);
  await page.getByRole('button', { name: /^Mend Too many needles/ }).click();
  await expect(page.getByText('is set aside')).toHaveCount(0);
  await page.getByRole('button', { name: /^Too many needles: .*“9000000000” is not used/ }).click();
  await page.getByRole('button', { name: 'Take it off the shelf' }).click();
  await ticket.reads('Too many needles is off the shelf.');
  await page.goto('/');
  await ticket.reads('“Half a ticket” cannot be read, and is set aside');
  await ticket.reads('Crew tee, crossed oars');
  await page.getByRole('button', { name: 'Take Half a ticket away' }).click();
  await ticket.reads('“Half a ticket” is taken away.');
  await expect(page.getByText('is set aside')).toHaveCount(0);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await ticket.reads('“Half a ticket” cannot be read, and is set aside');
  await page.getByRole('button', { name: 'Take Half a ticket away' }).click();
  await expect(page.getByText('is set aside')).toHaveCount(0);
});

test('a row of any noun that cannot be read is named on its own page, taken away and put back', {
  tag: '@deep',
}, async ({ page, shop }) => {
  const ticket = onTicket(page);
  const database = createClient({ url: `file:${shop.file}`, timeout: 5000 });
  for (const [name, sql] of [
    ['Half a customer', "customers (id, customer, name, updated_at) VALUES ('customer-damaged', ?, '', '')"],
    [
      'Half an order',
      "orders (id, \"order\", name, state, updated_at) VALUES ('order-damaged', ?, '', 'asked', '')",
    ],
    ['Half a search', "searches (id, name, filter) VALUES ('search-damaged', 'Half a search', ?)"],
    ['', `day_sheets (id, sheet, updated_at) VALUES ('${DAY_ID}', ?, '')`],
  ] as const)
    await database.execute({
      sql: `INSERT OR REPLACE INTO ${sql}`,
      args: [JSON.stringify({ name, due: 7, customer: 7, later: 7 })],
    });
  database.close();
  for (const [address, words] of [
    ['/customers', '“Half a customer” cannot be read, and is set aside'],
    ['/orders', '“Half an order” cannot be read, and is set aside'],
    ['/logbook', '“Half a search” cannot be read, and is set aside'],
    ['/day', 'The day’s plan cannot be read, and is set aside'],
  ] as const) {
    await page.goto(address);
    await ticket.reads(words);
    await expectAccessible(page);
    await page.getByRole('button', { name: /^Take .* away$/ }).click();
    await ticket.reads(/is taken away\.$/);
    await expect(page.getByText(words)).toHaveCount(0);
    await page.getByRole('button', { name: 'Put it back' }).click();
    await ticket.reads(words);
  }
});

test('a house number past its bound stays in its field, and the one before is followed', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/rules');
  await page.getByRole('button', { name: /^Numbers/ }).click();
  await ticket.fill('Find a number', 'bath towel: above the band');
  await ticket.fill('Bath towel: above the band', '9 km');
  await ticket.reads('“9 km” does not read as a length. Try 7 1/2 in, 19 cm or 190 mm.');
  await page.reload();
  await page.getByRole('button', { name: /^Numbers/ }).click();
  await ticket.fill('Find a number', 'bath towel: above the band');
  const field = page.getByRole('textbox', { name: 'Bath towel: above the band' });
  await expect(field).toHaveValue('9 km');
  await fillIn(field, '');
  await expect(page.getByText(/does not read as a length/)).toHaveCount(0);
  await expect(field).toHaveValue(/ in$/);
});

test('a drawing no hoop takes is refused in words, and one with edges on each other is read', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Hand towel');
  await ticket.stage('Design');
  const drawing = (d: string) => ({
    name: 'drawing.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="200mm" viewBox="0 0 200 200"><path d="${d}"/></svg>`,
    ),
  });
  const chooser = page.getByLabel('SVG drawing', { exact: true });
  await chooser.setInputFiles(drawing('M0 0H1000000V1000000H500000L0 1000000Z'));
  await ticket.reads(/^This drawing is over 2000 mm wide or high, .* your ticket is as it was\.$/);
  await chooser.setInputFiles(drawing('M153.9 0L184.4 0L196.7 0L126.3 0L0 0L152.1 0L0 173.6Z'));
  await expect(page.getByText(/^This drawing is over/)).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'design width' })).toHaveValue('6 1/16 in');
});
