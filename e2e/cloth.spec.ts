import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { readCutFile } from '@zt/core/files/cutFile/cutFile';
import type { Ticket } from '@zt/core/model/ticket';
import { EMPTY_PART } from '@zt/core/model/ticket/part';
import { expect, expectAccessible, expectNoSidewaysScroll, test } from './support/test';
import { copyOf, fillIn, onTicket } from './support/ticket';

/** Files that the cutter refuses are told by the browser too. */
test.use({ allowed: [/status of 400/] });

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });
const says = (page: Page) => page.getByTestId('cutter-says');
const stops = (page: Page) => page.getByRole('checkbox', { name: /^Colour \d+: / });

/** Nothing on it yet. */
const bare = (ticket: Ticket): Ticket => ({
  ...ticket,
  design: { ...ticket.design, name: 'Mia', parts: [EMPTY_PART], order: null, names: null, made: null },
});

test('a word of cloth, cut before: from Design to the cut file, the cutter, the stops, and Finish', {
  tag: ['@wide', '@deep'],
}, async ({ page }) => {
  const ticket = onTicket(page);
  const at = await copyOf(page, 'demo-ticket-02', bare);
  await page.goto(`${at}/design`);
  await button(page, 'Add letters').click();
  await fillIn(page.getByRole('textbox', { name: 'letters' }), 'Mia');
  await ticket.fill('height of a capital', '45 mm');
  await button(page, 'appliqué of this part').click();
  await page.getByRole('checkbox', { name: /is of cloth$/ }).click();
  await ticket.reads('Colours in the order they are stitched: 3');
  await ticket.fill('Cloth', 'gingham');
  await ticket.fill('width of the satin', '3 mm');
  await ticket.reads('Appliqué of gingham: close');
  await expect(page.getByTestId('cloth-cut')).toHaveText(
    /^Cut .+ outside the line: its satin reaches .+ out and covers it\.$/,
  );

  await button(page, 'Cut the cloth').click();
  await expect(page.getByRole('heading', { name: /^gingham: .+ × .+/ })).toBeVisible();
  // An M, an a, and an i with its dot.
  await expect(page.getByTestId('cloth-taken')).toHaveText(/^4 pieces · along the grain · .*a mirror/);
  await expect(page.getByRole('img', { name: /^4 pieces on gingham/ })).toBeVisible();
  await ticket.reads('Take the hoop off the machine; the cloth stays in it.');
  await ticket.reads('Latch the hoop on the machine again.');
  await expectAccessible(page);
  await expectNoSidewaysScroll(page);

  const download = page.waitForEvent('download');
  await button(page, 'Cut file of the gingham').click();
  const file = await readFile(await (await download).path(), 'utf8');
  const read = readCutFile(file);
  expect(read.ok && read.pieces.length).toBe(4);
  // The eye of the a is cut with it.
  expect(read.ok && read.pieces.some(({ rings }) => rings.length === 2)).toBe(true);

  await button(page, 'Put the gingham on the cutter').click();
  await expect(says(page)).toHaveText(/^4 pieces on .+: \d+ seconds to cut\.$/);
  await button(page, 'Cut one').click();
  await expect(says(page)).toHaveText(/^1 of 4 pieces cut, /);
  await expect(page.getByRole('img', { name: /1 of 4 pieces cut\.$/ })).toBeVisible();
  await expectAccessible(page);
  await button(page, 'Cut all').click();
  await expect(says(page)).toHaveText(/^All 4 pieces are cut, in \d+ seconds\.$/);

  const chooser = page.getByLabel('Another cut file');
  const give = (text: string) =>
    chooser.setInputFiles({ name: 'given.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(text) });
  await give(file.replace(/L[\d.]+ [\d.]+Z/, 'Lhere Z'));
  await expect(says(page)).toHaveText(/^Path 1 .*: only closed lines of straight pieces can be cut\.$/);
  await give(file.replace(/width="[\d.]+mm"/, 'width="900mm"'));
  await expect(says(page)).toHaveText(/the mat takes 600 mm × 900 mm/);
  await give('no drawing at all');
  await expect(says(page)).toHaveText('This is no SVG that can be read.');
  await button(page, 'Lay it on again').click();
  await expect(says(page)).toHaveText(/^4 pieces on /);

  await page.goto(`${at}/stitch`);
  await expect(page.getByTestId('stitch-at')).toHaveText(/^stitch \d+ of \d+/);
  await expect(stops(page)).toHaveCount(3);
  await button(page, 'When somebody must be there').click();
  await ticket.reads(/^[\d.]+ min: lay the gingham on its line$/);
  await page.goto(`${at}/card/stitch`);
  for (const card of [
    /placement line\.$/,
    'Take the hoop off the machine; the cloth stays in it.',
    'Lay the gingham on its line.',
    'Latch the hoop on the machine again.',
    /tack-down\.$/,
    /film.* on top: (pin|tape) its edges outside the field/,
    /satin edge\.$/,
  ]) {
    await ticket.reads(card);
    await button(page, /^(Done|Next)/)
      .first()
      .click();
  }
  await page.goto(`${at}/finish`);
  await expect(
    page.getByRole('checkbox', { name: /Snip off what of the appliqué stands out/ }),
  ).toBeVisible();
  await ticket.reads('No raw edge of the appliqué looks out past its stitches, and none of it lifts.');
});

test('shapes are put to the cloth one by one, trimmed in the hoop, and patterns are printed', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  const at = await copyOf(page, 'demo-ticket-03');
  await page.goto(`${at}/design`);
  await button(page, 'appliqué of this part').click();
  const ofCloth = page.getByRole('checkbox', { name: /is of cloth$/ });
  await ofCloth.last().click();
  const shapes = page.getByRole('checkbox', { name: /^Shape \d+ of cloth$/ });
  await expect(shapes.first()).toBeChecked();
  const many = await shapes.count();
  await shapes.first().click();
  await ticket.reads(`${many - 1} of ${many} shapes of cloth: tap one to change it`);
  await page.getByRole('radio', { name: /^trimmed in the hoop/ }).click();
  await expectAccessible(page);
  await ticket.saved();
  await page.goto(`${at}/stitch`);
  await expect(page.getByTestId('stitch-at')).toHaveText(/^stitch \d+ of \d+/);
  await button(page, 'When somebody must be there').click();
  await ticket.reads(/^[\d.]+ min: trim the cotton close to its tack-down$/);
  await page.goto(`${at}/print?what=pattern`);
  await expect(
    page.getByRole('img', { name: 'patterns for the cloth, as it will be printed' }),
  ).toBeVisible();

  // Back to thread alone, in one step each way.
  await page.goto(`${at}/design`);
  await button(page, 'appliqué of this part').click();
  await ofCloth.last().click();
  await ticket.reads('Cloth in place of a fill: a line to lay it by, a tack-down, an edge.');
  await button(page, 'Undo').click();
  await ticket.reads(`${many - 1} of ${many} shapes of cloth: tap one to change it`);
});

test('of a design of thread alone there is no cloth to cut', async ({ page }) => {
  await page.goto('/ticket/demo-ticket-01/cloth');
  await expect(page.getByText(/^No shape of this design is of cloth\./)).toBeVisible();
});
