import type { Page } from '@playwright/test';
import { expect, test } from './support/test';
import { onTicket } from './support/ticket';

const PAST = /(for|past) the field of 130 × 180 screw/;

test('a design that misses its hoop states each rescue, tries it out, and takes it', {
  tag: '@wide',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-06/hoop');
  await ticket.reads(PAST);
  await page.getByRole('button', { name: /^Shrink to 98 %: fits 130 × 180 screw/ }).click();
  await ticket.reads('Trial, nothing changed yet: Shrink to 98 %');
  await ticket.reads(/Cost: 4 % denser with the same stitches/);
  await page.getByRole('button', { name: 'Leave it' }).click();
  await ticket.reads(PAST);
  await page.getByRole('button', { name: /^Shrink to 98 %/ }).click();
  await page.getByRole('button', { name: 'Do it: Shrink to 98 %' }).click();
  await expect(page.getByText(PAST)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await ticket.reads(PAST);
  await page.getByRole('button', { name: /^Use 150 × 240 screw: fits with/ }).click();
  await page.getByRole('button', { name: 'Do it: Use 150 × 240 screw' }).click();
  await expect(page.getByRole('heading', { name: /150 × 240 screw/ })).toBeVisible();
  await expect(page.getByText(PAST)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await ticket.saved();
});

test('every hoop of the shelf has its verdict with figures', async ({ page }) => {
  await page.goto('/ticket/demo-ticket-01/hoop');
  const hoops = page.getByRole('radiogroup', { name: 'Hoops on the shelf' }).getByRole('radio');
  await expect(hoops).toHaveCount(10);
  for (const line of await hoops.allTextContents()) expect(line).toMatch(/(Fits|Misses|Turn 90°).*\d/);
});

test('floating instead of hooping is the maker’s choice, with the reason kept', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/hoop');
  await page.getByRole('radio', { name: 'Floated', exact: true }).click();
  await ticket.fill('Why this method (goes into the log)', 'Ring marks on the last one');
  await ticket.reads(/Baste a box 3\/16 in outside the design/);
  await ticket.stage('Layers');
  await ticket.reads('Cut-away, medium, in the ring, sprayed, with a basting box');
  await ticket.stage('Hoop');
  await expect(page.getByRole('textbox', { name: 'Why this method (goes into the log)' })).toHaveValue(
    'Ring marks on the last one',
  );
  await page.getByRole('button', { name: 'as proposed' }).click();
  await expect(page.getByRole('heading', { name: /100 × 100 screw, hooped/ })).toBeVisible();
  await ticket.saved();
});

test('overruling the layers is checked again and taken back', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-04/layers');
  await page.getByRole('button', { name: 'change the support' }).click();
  await page.getByRole('radio', { name: 'Wash-away cloth' }).click();
  await ticket.reads(/Wash-away alone under a dense design on a knit/);
  await ticket.fill('Why this support (goes into the log)', 'She wants it soft');
  await ticket.reads('Because: She wants it soft');
  await page.getByRole('button', { name: /^Back to the proposal/ }).click();
  await expect(page.getByText(/Wash-away alone under a dense design/)).toHaveCount(0);
  await page.getByRole('button', { name: 'another needle' }).click();
  await page.getByRole('button', { name: /^90\/14:/ }).click();
  await ticket.reads('90/14 · your choice');
  await ticket.reads(/90\/14 in place of 75\/11 ballpoint: it may catch a loop of the knit/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await ticket.reads('75/11 ballpoint');
  await ticket.saved();
});

test('mounting says which way round, what to key, and never mirrors letters', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-02/mount');
  await expect(page.getByRole('heading', { name: /Top of the piece/ })).toBeVisible();
  await ticket.reads('Turn');
  await page.getByRole('radio', { name: /top away from you/ }).click();
  await ticket.reads(/Nothing to key in: centred, upright|Key in/);
  await page
    .getByRole('checkbox', { name: /Mirror the design/ })
    .first()
    .click();
  await ticket.reads('Mirrored lettering reads backwards.');
  await page.getByRole('button', { name: /Take the mirror off/ }).click();
  await expect(page.getByText('Mirrored lettering reads backwards.')).toHaveCount(0);
  await page.getByRole('radio', { name: 'Six-needle, free arm' }).click();
  await ticket.reads(/Six-needle, free arm|No machine/);
});

test('a short bobbin is seen before it runs out', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-03/stitch');
  await ticket.reads(/The bobbin runs out in colour 2, slate: 1.6 m left/);
  await page.getByRole('checkbox', { name: /^Colour 1: brick red/ }).click();
  await expect(page.getByRole('checkbox', { name: /^Colour 1: brick red.*done/ })).toBeVisible();
  await page.getByRole('button', { name: /^Put in a full bobbin/ }).click();
  await expect(page.getByText(/The bobbin runs out/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await ticket.reads(/The bobbin runs out in colour 2/);
  await ticket.saved();
});

test('the colours to tick stand still while the stitches are made', async ({ page }) => {
  await page.goto('/ticket/demo-ticket-03/stitch');
  const row = page.getByRole('checkbox', { name: /^Colour 1: / });
  await expect(row).toBeVisible();
  const before = await row.evaluate((e) => e.getBoundingClientRect().top);
  await expect(page.getByRole('button', { name: 'Play the stitch-out' })).toBeVisible();
  expect(await row.evaluate((e) => e.getBoundingClientRect().top)).toBe(before);
});

/** Where a mark is read on the hoop, mm right and towards you, as its fields stand. */
async function markOf(page: Page, name: string): Promise<{ x: number; y: number }> {
  const read = async (axis: 'across' | 'along', positive: string) => {
    const value = await page.getByRole('textbox', { name: `${name} ${axis}` }).inputValue();
    const ways = page.getByRole('radiogroup', { name: `${name} ${axis}, which way` });
    const more = await ways.getByRole('radio', { name: positive }).getAttribute('aria-checked');
    return Number.parseFloat(value) * (more === 'true' ? 1 : -1);
  };
  return { x: await read('across', 'right'), y: await read('along', 'towards you') };
}

test('a cloth hooped 3.4° crooked: marks read off the hoop give the keys, or how to hoop it again', {
  tag: '@wide-deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Napkin');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.fill('side to side', '400');
  await ticket.fill('hem to hem', '400');
  await ticket.fill('hem, depth', '12');
  await ticket.stage('Design');
  await ticket.fill('design width', '80');
  await ticket.fill('design height', '54');
  await page.getByRole('radio', { name: 'light', exact: true }).click();
  await ticket.stage('Mount');
  await page.getByRole('button', { name: 'How it sits in the hoop' }).click();
  await page.getByRole('button', { name: 'Read three marks' }).click();
  await expect(page.getByTestId('crooked')).toHaveText('It lies as it should.');
  const crooked = (3.4 * Math.PI) / 180;
  for (const name of ['left axis end', 'right axis end']) {
    await page.getByRole('button', { name: `Type the ${name}` }).click();
    const { x, y } = await markOf(page, name);
    const moved = {
      x: x * Math.cos(crooked) - y * Math.sin(crooked),
      y: x * Math.sin(crooked) + y * Math.cos(crooked),
    };
    const put = async (axis: 'across' | 'along', value: number, [less, more]: [string, string]) => {
      await ticket.fill(`${name} ${axis}`, `${Math.abs(value).toFixed(1)} mm`);
      const ways = page.getByRole('radiogroup', { name: `${name} ${axis}, which way` });
      await ways.getByRole('radio', { name: value < 0 ? less : more }).click();
    };
    await put('across', moved.x, ['left', 'right']);
    await put('along', moved.y, ['away', 'towards you']);
  }
  await expect(page.getByTestId('crooked')).toHaveText('It lies 3.4° clockwise of how it should.');
  await ticket.reads(
    /The machine turns by 90°: .* are left at the farthest corner\. Hoop it again: hold the centre and bring the/,
  );
  const address = page.url();
  const turnsBy = async (step: string) => {
    await page.goto('/shelf');
    await page.getByRole('button', { name: /^Single-needle, flat bed:/ }).click();
    await page.getByRole('radio', { name: step, exact: true }).click();
    await ticket.saved();
  };
  await ticket.saved();
  await turnsBy('by 1°');
  await page.goto(address);
  await expect(page.getByTestId('crooked')).toHaveText(/It lies 3.4°/);
  await expect(page.getByText(/The machine turns by 90°/)).toHaveCount(0);
  await page.getByRole('button', { name: 'why how it sits?' }).click();
  await ticket.reads(/the readings agree within/);
  await page.getByRole('button', { name: 'Leave the readings out' }).click();
  await expect(page.getByTestId('crooked')).toHaveCount(0);
  await ticket.saved();
  await turnsBy('by 90° only');
});

test('a trace that meets a pin says by how much, and no longer when the pin is dragged away', async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-02/mount');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await expect(page.getByTestId('trace')).toHaveText(/^Foot to ring: .* clear\.$/);
  await page.getByRole('button', { name: 'Things on the hoop' }).click();
  await page.getByRole('button', { name: 'Put down a pin' }).click();
  await expect(page.getByTestId('trace')).toHaveText(/^Foot to pin: [\d.]+ mm too near\.$/);
  await ticket.reads(/The foot meets the pin: .* A needle on it can shatter/);
  const pin = await ticket.sheet().locator('path[stroke-width="1.6"]').last().boundingBox();
  const at = { x: (pin?.x ?? 0) + (pin?.width ?? 0) / 2, y: (pin?.y ?? 0) + (pin?.height ?? 0) / 2 };
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  await page.mouse.move(at.x + 40, at.y + 2, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByText(/The foot meets the pin/)).toHaveCount(0);
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'The needle’s path as SVG' }).click();
  expect((await waiting).suggestedFilename()).toBe('trace.svg');
  await page.getByRole('button', { name: 'Take pin 1 off' }).click();
  await expect(page.getByTestId('trace')).toHaveText(/^Foot to ring/);
  await ticket.saved();
});

test('how far the design may still go in its hoop is drawn and said', async ({ page }) => {
  await page.goto('/ticket/demo-ticket-01/hoop');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await expect(page.getByTestId('room')).toHaveText(
    /In this hoop it can still go [\d.]+ mm up, [\d.]+ mm down/,
  );
});
