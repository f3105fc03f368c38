import { expect, test } from './support/test';
import { onTicket } from './support/ticket';

test('every change saves itself and is there after a reload', async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Hand towel');
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
    await ticket.start('Bath towel');
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

  test('the shop opens when it can, and a first tap on its units keeps its own rules', async ({
    page,
    request,
    baseURL,
  }) => {
    const own = {
      units: { system: 'in', denominator: 16 },
      schools: { layerCount: 'alwaysTwo' },
      numbers: { needleHours: 6 },
    };
    await request.put(`${baseURL}/api/rules`, { data: own });
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
    await expect.poll(kept).toEqual({ ...own, units: { system: 'mm' }, ways: [] });
  });

  test('a ticket changed in two places is never overwritten unseen', async ({ page, context }) => {
    const ticket = onTicket(page);
    await ticket.start('Bath towel');
    await ticket.saved();
    const other = await context.newPage();
    await other.goto(page.url());
    await expect(other.getByRole('heading', { name: 'Measure the Bath towel' })).toBeVisible();
    await ticket.fill('Name of the ticket', 'First hand');
    await ticket.saved();
    await onTicket(other).fill('Name of the ticket', 'Second hand');
    await expect(other.getByTestId('save-state')).toContainText('not saved: changed elsewhere');
    await page.reload();
    await expect(page.getByRole('heading', { name: 'First hand' })).toBeVisible();
  });
});
