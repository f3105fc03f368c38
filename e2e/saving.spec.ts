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
