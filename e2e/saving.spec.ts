import { USUAL_HOURS } from '@zt/core/model/openingHours';
import { expect, test } from './support/test';
import { onTicket, unfold } from './support/ticket';

test('every change saves itself and is there after a reload', async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.startByHand('Hand towel');
  await ticket.fill('Name of the ticket', 'Kept towel');
  await ticket.fill('side to side', '19 cm');
  await expect(page.getByRole('textbox', { name: 'side to side' })).toHaveValue('7 1/2 in');
  await ticket.saved();
  await page.reload();
  await page.getByRole('button', { name: 'side to side: 7 1/2 in' }).click();
  await page.getByRole('button', { name: 'side to side: more' }).click();
  await expect(page.getByRole('textbox', { name: 'side to side' })).toHaveValue('7 9/16 in');
  await ticket.saved();
});

test.describe('when the shop’s computer does not answer', () => {
  test.use({ allowed: [/Failed to load resource/] });

  test('it says so, keeps the change, and saves it once it can', async ({ page }) => {
    const ticket = onTicket(page);
    await ticket.startByHand('Bath towel');
    await ticket.saved();
    await page.route('**/api/tickets/*', (route) =>
      route.request().method() === 'PUT' ? route.abort() : route.continue(),
    );
    await ticket.fill('side to side', '700 mm');
    await expect(page.getByTestId('save-state')).toContainText('not saved, trying again');
    await page.unroute('**/api/tickets/*');
    await ticket.saved();
    await page.reload();
    await expect(page.getByRole('button', { name: 'side to side: 27 9/16 in' })).toBeVisible();
  });

  test('the shop opens when it can, and a first tap on its units keeps its own rules', {
    tag: '@deep',
  }, async ({ page, request, baseURL }) => {
    const own = {
      units: { system: 'in', denominator: 16 },
      schools: { layerCount: 'alwaysTwo' },
      numbers: { needleHours: 6 },
    };
    await request.put(`${baseURL}/api/rules`, { data: { rules: own } });
    await page.route('**/api/rules', (route) => route.abort());
    await page.goto('/shelf');
    await expect(page.getByRole('heading', { name: 'The shop’s computer does not answer' })).toBeVisible();
    await expect(page.getByRole('radio', { name: 'millimetres' })).toHaveCount(0);
    await page.unroute('**/api/rules');
    await page.route('**/api/rules', async (route) => {
      if (route.request().method() === 'GET') await new Promise((later) => setTimeout(later, 1500));
      await route.continue();
    });
    await page.getByRole('button', { name: 'Try again' }).click();
    await page.getByRole('radio', { name: 'millimetres' }).click();
    await expect(page.getByRole('radio', { name: 'millimetres' })).toHaveAttribute('aria-checked', 'true');
    const kept = async () => (await (await request.get(`${baseURL}/api/rules`)).json()) as object;
    await expect.poll(kept).toEqual({
      ...own,
      units: { system: 'mm' },
      ways: [],
      currency: 'EUR',
      heading: '',
      hours: USUAL_HOURS,
    });
  });

  test('what a page had not sent when it was closed is sent by the next one', async ({ page, context }) => {
    const ticket = onTicket(page);
    await ticket.startByHand('Bath towel');
    await ticket.saved();
    const address = page.url();
    await context.route('**/api/tickets/*', (route) =>
      route.request().method() === 'PUT' ? route.abort() : route.continue(),
    );
    await ticket.fill('Name of the ticket', 'Kept on this device');
    await ticket.reads('One change waits for the shop’s computer. It is kept on this device.');
    await page.close();
    await context.unroute('**/api/tickets/*');
    const next = await context.newPage();
    await next.goto(address);
    await expect(next.getByRole('heading', { name: 'Kept on this device' })).toBeVisible();
    await onTicket(next).saved();
  });
});

test.describe('two pages on one ticket', () => {
  test.use({ allowed: [/status of 409/] });

  test('each has what the other changes, as it happens; different fields go together', async ({
    page,
    context,
  }) => {
    const ticket = onTicket(page);
    await ticket.start('Bath towel');
    await ticket.saved();
    const other = await context.newPage();
    await other.goto(page.url());
    await expect(other.getByRole('heading', { name: 'Measure the Bath towel' })).toBeVisible();
    await ticket.fill('Name of the ticket', 'First hand');
    await expect(other.getByRole('heading', { name: 'First hand' })).toBeVisible();
    await expect(other.getByTestId('save-state')).toContainText('with changes from another device');
    await onTicket(other).fill('side to side', '700 mm');
    await expect(page.getByRole('textbox', { name: 'side to side' })).toHaveValue('27 9/16 in');
    await expect(page.getByRole('heading', { name: 'First hand' })).toBeVisible();
  });

  test('one field changed on both is asked about once, with both values', async ({ page, context }) => {
    const ticket = onTicket(page);
    await ticket.start('Bath towel');
    await ticket.saved();
    const other = await context.newPage();
    await other.goto(page.url());
    await expect(other.getByRole('heading', { name: 'Measure the Bath towel' })).toBeVisible();
    await other.route('**/api/**', (route) => route.abort());
    await onTicket(other).fill('Name of the ticket', 'Second hand');
    await expect(other.getByTestId('save-state')).toContainText('not saved');
    await ticket.fill('Name of the ticket', 'First hand');
    await ticket.saved();
    await other.unroute('**/api/**');
    const asked = page.getByRole('group', {
      name: /^name of the ticket was changed on two devices: say which/,
    });
    await expect(asked).toContainText('Here stands “First hand”.');
    await expect(asked).toContainText(/From a (computer|phone), .*: “Second hand”\./);
    await asked.getByRole('button', { name: 'Use the other' }).click();
    for (const one of [page, other]) {
      await expect(one.getByRole('heading', { name: 'Second hand' })).toBeVisible();
      await expect(one.getByRole('group', { name: /was changed on two devices/ })).toHaveCount(0);
    }
  });
});

test('how a ticket was before it was changed is seen, brought back, and undone', async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Bath towel');
  await ticket.fill('Name of the ticket', 'Morning towel');
  await ticket.fill('side to side', '700 mm');
  await ticket.saved();
  await page.reload();
  await unfold(page.getByRole('button', { name: 'How it was earlier' }));
  await page.getByRole('button', { name: /^before \d\d:\d\d, when a (phone|computer) changed it$/ }).click();
  await ticket.reads(/^name: nothing, now “Morning towel”$/);
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await ticket.reads(/^It is as it was before \d\d:\d\d\.$/);
  await expect(page.getByRole('heading', { name: /^New: / })).toBeVisible();
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('heading', { name: 'Morning towel' })).toBeVisible();
  await ticket.saved();
});
