import type { Shelf } from '@zt/core/model/shelf';
import { expect, expectAccessible, expectNoSidewaysScroll, test } from './support/test';
import { fillIn, onTicket, unfold } from './support/ticket';

test('a list as a spreadsheet writes it: the encoding is asked about, bad lines are named, one step undoes it', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/shelf');
  const latin = Buffer.from(
    'Name;Hex;Metres\r\nTannengr\u00fcn no. 7;234a37;812,5\r\nbroken;#12;\r\n;;\r\n',
    'latin1',
  );
  const bring = () =>
    page
      .getByLabel('Thread list')
      .setInputFiles({ name: 'threads.csv', mimeType: 'text/csv', buffer: latin });
  await bring();
  await ticket.reads('Which of these reads right?');
  await expectAccessible(page);
  await page.getByRole('button', { name: /Tannengrün no\. 7.*Western European/ }).click();
  await ticket.reads('1 thread brought in.');
  await page.getByRole('button', { name: 'Lines that were not taken' }).click();
  await ticket.reads('Line 3: “#12” is no colour: six figures are wanted, #1F3A5F.');
  await expect(
    page.getByRole('button', { name: /^Tannengrün no\. 7: 40 wt polyester, 812.5 m/ }),
  ).toBeVisible();
  await expectNoSidewaysScroll(page);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('button', { name: /^Tannengrün no\. 7/ })).toHaveCount(0);
});

test('a list is one request, however long it is', { tag: '@deep' }, async ({ page }) => {
  const ticket = onTicket(page);
  const asked: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET') asked.push(`${request.method()} ${new URL(request.url()).pathname}`);
  });
  await page.goto('/shelf');
  const rows = Array.from({ length: 120 }, (_, i) => `row ${i},#${(0x101010 + i).toString(16)}`);
  await page.getByLabel('Thread list').setInputFiles({
    name: 'threads.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['name,hex', ...rows].join('\n')),
  });
  await ticket.reads('120 threads brought in.');
  await ticket.saved();
  expect(asked).toEqual(['POST /api/shelf']);
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('button', { name: /^row 7:/ })).toHaveCount(0);
});

test('an order of twenty counts in time and thread; logging says what it took, and the entry too', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-02/stitch');
  const heading = page.getByRole('heading', { name: /min in all/ });
  await expect(heading).toBeVisible();
  const minutes = async () => Number.parseFloat((await heading.textContent()) ?? '');
  const one = await minutes();
  await ticket.stage('Piece');
  await ticket.fill('How many pieces', '20');
  await ticket.stage('Stitch');
  await expect(heading).toContainText('20 pieces');
  expect(Math.abs((await minutes()) - 20 * one)).toBeLessThan(2);
  await ticket.stage('Log');
  await ticket.saved();
  await page.getByRole('button', { name: 'Came out well' }).click();
  await ticket.reads('Taken off the shelf');
  await expect(page.getByTestId('took').filter({ visible: true })).toContainText('h on its needles');
  await page.getByRole('button', { name: 'Open the entry' }).click();
  await ticket.reads('20 pieces');
  await ticket.reads('Taken off the shelf');
  await expectNoSidewaysScroll(page);
  await page.goto('/logbook');
  await ticket.reads(/, 20 pieces$/);
  await page.goto('/ticket/demo-ticket-02/log');
  await ticket.reads('Taken off the shelf');
  await page.getByRole('button', { name: 'Take it back out of the logbook' }).click();
  await expect(page.getByRole('button', { name: 'Came out well' })).toBeVisible();
});

test('a name is kept once', async ({ page, request, baseURL }) => {
  const ticket = onTicket(page);
  const { blanks } = (await (await request.get(`${baseURL}/api/shelf`)).json()) as {
    blanks: { name: string }[];
  };
  const name = blanks[0]?.name ?? '';
  await page.goto('/ticket/demo-ticket-01/piece');
  await page.getByRole('button', { name: 'Measurements kept under a name' }).click();
  await fillIn(page.getByRole('textbox', { name: 'Keep these measurements as' }), name.toUpperCase());
  await ticket.reads(`There is a “${name.toUpperCase()}” already. Keep this one under another name.`);
  await expect(page.getByRole('button', { name: 'Keep these measurements as: keep' })).toBeDisabled();
});

test('what was bought is added, and stands in the ledger of the thread with its first count', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/shelf');
  await page.getByRole('button', { name: /^slate: / }).click();
  const left = page.getByRole('textbox', { name: 'metres left' });
  const metres = Number(await left.inputValue());
  await ticket.fill('Bought, m', 'half');
  await ticket.reads(/^“half” was not taken: a number/);
  await ticket.fill('Bought, m', '250');
  await page.getByRole('button', { name: 'Add what was bought' }).click();
  await expect(left).toHaveValue(String(metres + 250));
  await ticket.saved();
  await page.getByRole('button', { name: 'What came and went' }).click();
  await ticket.reads(/^bought 250 m$/);
  await ticket.reads(/^first count: /);
  await expectNoSidewaysScroll(page);
});

test('a thread renamed on two devices is asked about once, and has the name that is chosen; how it was is there', {
  tag: '@deep',
}, async ({ page, request }) => {
  const ticket = onTicket(page);
  const { threads } = (await (await request.get('/api/shelf')).json()) as Shelf;
  const base = threads.find(({ name }) => name === 'white') ?? threads[0];
  for (const [device, name] of [
    ['laptop', 'chalk white'],
    ['phone', 'bright white'],
  ])
    await request.post('/api/shelf', {
      data: {
        put: [{ noun: 'threads', item: { ...base, name }, base }],
        sending: { id: `sending-${device}-${base?.id}`, device: `device-${device}`, name: device },
      },
    });
  await page.goto('/shelf');
  await page.getByRole('button', { name: /^chalk white: .*changed on two devices: say which$/ }).click();
  const asked = page.getByRole('group', { name: 'name was changed on two devices: say which is right.' });
  await expect(asked).toContainText('From phone, ');
  await asked.getByRole('button', { name: 'Use the other' }).click();
  await expect(asked).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^bright white: / })).toBeVisible();
  await ticket.saved();
  await unfold(page.getByRole('button', { name: 'How it was earlier' }));
  await page.getByRole('button', { name: /^before \d\d:\d\d/ }).click();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(page.getByRole('button', { name: new RegExp(`^${base?.name}: `) })).toBeVisible();
});

test('what is to be bought is listed though tickets went off the bench elsewhere while it was read', async ({
  page,
}) => {
  await page.route(/\/api\/tickets(\?.*)?$/, async (route) => {
    const response = await route.fetch();
    const read = await response.json();
    await route.fulfill({ response, json: { ...read, total: read.total + 2 } });
  });
  await page.goto('/shelf');
  await expect(page.getByRole('heading', { name: 'Shopping list' })).toBeVisible();
  await expect(page.getByTestId('to-buy').first()).toBeVisible();
});
