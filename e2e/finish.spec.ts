import { expect, expectAccessible, test } from './support/test';
import { copyOf, onTicket } from './support/ticket';

test('the drawing loses a layer as its step is ticked', async ({ page }) => {
  const address = await copyOf(page, 'demo-ticket-02');
  await page.goto(`${address}/finish`);
  const sheet = page.getByTestId('sheet');
  await expect(sheet).toHaveAttribute('aria-label', /Water-soluble film.*Terry towel/);
  await page.getByRole('checkbox', { name: /Pull the film off/ }).click();
  await expect(sheet).not.toHaveAttribute('aria-label', /Water-soluble film/);
  await page.getByRole('checkbox', { name: /Tear the tear-away off/ }).click();
  await expect(sheet).not.toHaveAttribute('aria-label', /[Tt]ear-away/);
  await expect(sheet).toHaveAttribute('aria-label', /Terry towel/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(sheet).toHaveAttribute('aria-label', /[Tt]ear-away/);
});

test('a clock runs on through a reload, and rings', async ({ page }) => {
  await page.clock.install();
  const address = await copyOf(page, 'demo-ticket-01');
  await page.goto(`${address}/finish`);
  await page.getByRole('button', { name: /^Press from the back .*: start 0:15$/ }).click();
  const clock = page.getByRole('timer', { name: /^Press from the back .*, time left$/ });
  await expect(clock).toHaveText('0:15');
  await page.clock.runFor(6000);
  await expect(clock).toHaveText('0:09');
  await page.reload();
  await expect(clock).toHaveText(/^0:0\d$/);
  await page.clock.runFor(12_000);
  await expect(page.getByText(/^Time is up: Press from the back/)).toBeVisible();
  await page.getByRole('button', { name: /^Press from the back .* is done$/ }).click();
  await expect(page.getByRole('checkbox', { name: /Press from the back/, checked: true })).toBeVisible();
  await expect(clock).toHaveCount(0);
});

test('a fault is traced to its cause by the ticket’s own figures, and put in the log', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  const address = await copyOf(page, 'demo-ticket-02');
  await page.goto(`${address}/finish`);
  await page.getByRole('button', { name: 'Something went wrong?' }).click();
  await page.getByRole('button', { name: 'Stitches sink' }).click();
  const causes = page.getByRole('list', { name: 'Causes of: Stitches sink' });
  await expect(causes.getByRole('listitem').first()).toContainText(
    /The pile is higher than a film .*: likely/,
  );
  await expect(causes.getByRole('listitem').first()).toContainText('Next time: A permanent film.');
  await expectAccessible(page);
  await causes.getByRole('button', { name: /^It was this: The pile is higher/ }).click();
  await ticket.reads('In the log: Stitches sink. Next time: A permanent film.');
  await ticket.stage('Log');
  await expect(page.getByRole('button', { name: 'Stitches sink', pressed: true })).toBeVisible();
});
