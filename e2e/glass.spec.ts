import type { Locator, Page } from '@playwright/test';
import { expect, test } from './support/test';
import { copyOf, onTicket, unfold } from './support/ticket';

/** The middle of something drawn, px of the page. */
async function middleOf(drawn: Locator) {
  const box = await drawn.boundingBox();
  if (!box) throw new Error('nothing is drawn there');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** Takes hold of something drawn and moves it, without letting go. */
async function takeAndMove(page: Page, drawn: Locator, by: { x: number; y: number }) {
  const from = await middleOf(drawn);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let i = 1; i <= 10; i++) await page.mouse.move(from.x + (by.x * i) / 10, from.y + (by.y * i) / 10);
}

test('a chalked mark is dragged on the drawn hoop under a glass, then nudged by half a millimetre', {
  tag: '@wide-deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto(`${await copyOf(page, 'demo-ticket-01')}/mount`);
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await page.getByRole('button', { name: 'How it sits in the hoop' }).click();
  await page.getByRole('button', { name: 'Read three marks' }).click();
  await expect(page.getByTestId('crooked')).toHaveText('It lies as it should.');
  // The sheet is in sight where the crosses are dragged.
  await ticket.sheet().click({ position: { x: 6, y: 6 } });
  const glass = page.getByTestId('magnified');
  await expect(glass).toHaveCount(0);
  await takeAndMove(page, page.getByTestId('read left'), { x: 9, y: 9 });
  await expect(glass).toHaveText(/mm (left|right), [\d.]+ mm (towards|away)/);
  const under = (await glass.textContent()) ?? '';
  await page.mouse.up();
  await expect(glass).toHaveCount(0);
  await expect(page.getByTestId('crooked')).toHaveText(/It lies [\d.]+° (counter-)?clockwise/);
  // What the glass said is what was read.
  await ticket.reads(under);
  const nudge = (way: string) =>
    page.getByRole('button', { name: `left axis end: half a millimetre ${way}`, exact: true }).click();
  await page.getByRole('button', { name: 'Type the left axis end' }).click();
  const across = page.getByRole('textbox', { name: 'left axis end across' });
  const before = Number.parseFloat(await across.inputValue());
  await nudge('left');
  await expect(across).not.toHaveValue(`${before} mm`);
  expect(Math.abs(Number.parseFloat(await across.inputValue()) - before)).toBeCloseTo(0.5, 6);
  await nudge('right');
  await expect(across).toHaveValue(`${before} mm`);
  await ticket.saved();
});

test('the edges of an unevenly cut piece are dragged to where the tape finds them', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto(`${await copyOf(page, 'demo-ticket-01')}/piece`);
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await unfold(page.getByRole('button', { name: 'Is it cut straight?' }));
  await page.getByRole('button', { name: 'Add a height' }).click();
  const edge = page.getByTestId('edge 1 right');
  const right = page.getByRole('textbox', { name: 'middle to your right edge 1' });
  const before = Number.parseFloat(await right.inputValue());
  await ticket.sheet().click({ position: { x: 6, y: 6 } });
  await takeAndMove(page, edge, { x: -12, y: 4 });
  await expect(page.getByTestId('magnified')).toHaveText(/[\d.]+ mm right/);
  const said = Number.parseFloat((await page.getByTestId('magnified').textContent()) ?? '');
  await page.mouse.up();
  expect(said).toBeLessThan(before);
  await expect(right).toHaveValue(`${said} mm`);
  await ticket.reads(/Unevenly cut: the edges' middle/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(right).toHaveValue(new RegExp(`^${before}`));
});

test('the sheet is drawn larger and smaller by buttons too', async ({ page }) => {
  await page.goto('/ticket/demo-ticket-01/hoop');
  const tee = page.getByTestId('sheet').locator('path').nth(1);
  const widthOf = async () => (await tee.boundingBox())?.width ?? 0;
  const before = await widthOf();
  await page.getByRole('button', { name: 'Draw it larger' }).click();
  await expect.poll(widthOf).toBeGreaterThan(before * 1.2);
  await page.getByRole('button', { name: 'Show all of the drawing' }).click();
  await expect.poll(widthOf).toBeCloseTo(before, 1);
  await page.getByRole('button', { name: 'Draw it smaller' }).click();
  await expect.poll(widthOf).toBeLessThan(before * 0.85);
});
