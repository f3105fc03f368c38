import { designOnSheet } from './support/sheet';
import { expect, test } from './support/test';
import { onTicket } from './support/ticket';

test('the design is dragged on the sheet, snaps, and one undo takes it back', { tag: '@wide' }, async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/place');
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  const from = await designOnSheet(page);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(from.x + 36, from.y + 54, { steps: 12 });
  await page.mouse.up();
  await expect(page.getByTestId('offset')).toContainText(/Off the rule: .* to your right, .* lower/);
  const to = await designOnSheet(page);
  expect(Math.abs(to.x - (from.x + 36))).toBeLessThan(8);
  expect(Math.abs(to.y - (from.y + 54))).toBeLessThan(8);
  const words = (await page.getByTestId('offset').textContent()) ?? '';
  expect(words).toMatch(/(\d+ )?(\d\/8|\d\/4|\d\/2|\d+) in to your right/);

  await page.mouse.move(to.x, to.y);
  await page.mouse.down();
  await page.mouse.move(to.x - 20, to.y - 20, { steps: 4 });
  await page.mouse.move(from.x + 1, from.y - 1, { steps: 6 });
  await page.mouse.up();
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByTestId('offset')).toContainText('Off the rule');
  await page.getByRole('button', { name: 'Undo' }).click();
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  await ticket.saved();
});

test('the sheet pans and zooms without moving the design on the cloth', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/place');
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  const before = await designOnSheet(page);
  const box = await ticket.sheet().boundingBox();
  await page.mouse.move((box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) + (box?.height ?? 0) / 2);
  await page.mouse.wheel(0, -300);
  await expect.poll(async () => Math.abs((await designOnSheet(page)).x - before.x)).toBeGreaterThan(5);
  const zoomed = await designOnSheet(page);
  await page.mouse.move((box?.x ?? 0) + 30, (box?.y ?? 0) + 20);
  await page.mouse.down();
  await page.mouse.move((box?.x ?? 0) + 70, (box?.y ?? 0) + 50, { steps: 5 });
  await page.mouse.up();
  const panned = await designOnSheet(page);
  expect(panned.x - zoomed.x).toBeCloseTo(40, -1);
  expect(panned.y - zoomed.y).toBeCloseTo(30, -1);
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
});

test('the keyboard nudges, turns, changes stage and units', { tag: '@wide' }, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-04/place');
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  await page.keyboard.press('u');
  // A key means the sheet only where the sheet has the focus.
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('4');
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  await ticket.sheet().focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByTestId('offset')).toContainText('Off the rule: 1 mm to your right, 5 mm lower');
  await page.keyboard.press(']');
  await expect(page.getByTestId('offset')).toContainText('turned 1°');
  await page.keyboard.press('4');
  await expect(page.getByRole('heading', { name: /screw, hooped|quick-release, hooped/ })).toBeVisible();
  await ticket.sheet().focus();
  await page.keyboard.press('3');
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  await page.keyboard.press('?');
  await expect(page.getByRole('heading', { name: 'Keys' })).toBeVisible();
});
