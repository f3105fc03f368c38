import { expect, test } from './support/test';
import { onTicket } from './support/ticket';

test('a stack is kept from Layers as a way of ours, decides the tickets it applies to, and is switched off', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/layers');
  await page.getByRole('button', { name: 'change the support' }).click();
  await page
    .getByRole('radiogroup', { name: 'Sheet 1, from the cloth down' })
    .getByRole('radio', { name: 'Light mesh cut-away', exact: true })
    .click();
  await page.getByRole('button', { name: 'keep this stack as a way of the shop' }).click();
  await expect(page.getByRole('button', { name: 'Keep this way' })).toBeDisabled();
  await ticket.fill('Name of the way', 'club '.repeat(20));
  await ticket.reads('At most 80 letters; 99 are typed.');
  await expect(page.getByRole('button', { name: 'Keep this way' })).toBeDisabled();
  await ticket.fill('Name of the way', 'rowing club');
  await ticket.fill('Why this way', 'Forty tees, none came back.');
  await page.getByRole('button', { name: 'Keep this way' }).click();
  await ticket.reads('Our rowing club way is kept; it is followed wherever it applies.');
  await ticket.saved();
  await page.getByRole('button', { name: 'why this support?' }).click();
  await ticket.reads(/Our rowing club way, since \w+ \d{4}\. Forty tees, none came back\./);

  await page.goto('/rules');
  await ticket.reads(/^Our rowing club way, since \w+ \d{4}$/);
  await ticket.reads('Because: Forty tees, none came back.');
  await ticket.reads(/^Decides \d+: .*Crew tee, crossed oars/);
  await page
    .getByRole('radiogroup', { name: 'Our rowing club way' })
    .getByRole('radio', { name: 'not now' })
    .click();
  await expect(page.getByTestId('changed')).toHaveText(/change/);
  await ticket.saved();
  await page.goto('/ticket/demo-ticket-01/layers');
  await page.getByRole('button', { name: 'why this support?' }).click();
  await expect(page.getByText(/Our rowing club way/)).toHaveCount(0);
});

test('a way that other shops hold is taken on, taken off the list and put back', { tag: '@deep' }, async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/rules');
  await page.getByRole('button', { name: /^Ways other shops hold: \d+ to take on/ }).click();
  const offer = page.getByRole('button', { name: /^The .* way: / }).first();
  const name = /^The (.*?) way: /.exec(
    (await offer.getAttribute('aria-label')) ?? (await offer.textContent()) ?? '',
  )?.[1];
  await offer.click();
  await ticket.reads(new RegExp(`^Our ${name} way, since`));
  await page.getByRole('button', { name: `Our ${name} way: take it off the list` }).click();
  await page.getByRole('button', { name: `Put our ${name} way back` }).click();
  await ticket.reads(new RegExp(`^Our ${name} way, since`));
  await ticket.saved();
});
