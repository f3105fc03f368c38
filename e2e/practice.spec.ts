import type { Page } from '@playwright/test';
import { expect, test } from './support/test';
import { onTicket } from './support/ticket';

const machine = (page: Page) => {
  const says = page.getByTestId('machine-says');
  const tap = (name: string | RegExp) => page.getByRole('button', { name }).first().click();
  return {
    says,
    tap,
    putOn: async (hoop: RegExp) => {
      await page.getByRole('radiogroup', { name: 'Put on' }).getByRole('radio', { name: hoop }).click();
      await expect(says).toHaveText(/on the carriage, not latched yet/);
    },
    latch: async () => {
      await tap('Latch it');
      await expect(says).toHaveText('Latched.');
    },
  };
};

test('a full run on the practice machine: refusals, trace, colours, and a bobbin change', {
  tag: '@wide-deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-03/mount');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.saved();
  await page.getByRole('button', { name: 'Practise it on the stand-in machine' }).click();
  const { says, tap, putOn, latch } = machine(page);
  await expect(page.getByTestId('bobbin')).toHaveText(/^Bobbin 1.6 m/);
  await tap('Trace');
  await expect(says).toHaveText('There is no hoop on the carriage.');
  await putOn(/^150 × 240 screw/);
  await latch();
  await tap('Trace');
  await expect(says).toHaveText('This is 150 × 240 screw; the machine is set to 100 × 100 screw.');
  await tap('Take it off');
  await putOn(/^100 × 100 screw/);
  await tap('Trace');
  await expect(says).toHaveText('The hoop is not latched.');
  await latch();
  await ticket.reads('Key in, from “centred, upright”:');
  await tap('Turn 90°');
  await expect(says).toHaveText('Turned.');
  await tap('Trace');
  await expect(says).toHaveText('Traced: the foot clears everything.');
  await tap('Start');
  await expect(says).toHaveText(/^Thread .* first\.$/);
  for (let guard = 0; guard < 8; guard++) {
    const thread = page.getByRole('button', { name: /^Thread / });
    if ((await thread.count()) > 0) await thread.click();
    await expect(says).toHaveText(/^Threaded|^Back by/);
    await tap('Start');
    await expect(says).toHaveText(/^Colour change|^The bobbin is empty|^Finished/, { timeout: 60_000 });
    const said = (await says.textContent()) ?? '';
    if (said.startsWith('Finished')) break;
    if (said.startsWith('The bobbin is empty')) {
      await tap('New bobbin');
      await tap('Back 8 stitches');
    }
  }
  await expect(says).toHaveText('Finished.');
  await expect(page.getByRole('heading', { name: 'All colours stitched' })).toBeVisible();
  await expect(page.getByTestId('bobbin')).toHaveText(/changed once/);
  await expect(page.getByTestId('outcome')).toHaveText(/^On its marks: \d(\.\d)? mm off\.$/);
});

test('a hoodie loaded upside down, its figure facing the pocket: the display says so, the machine shows it', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-10/place');
  const placements = page.getByRole('button', { name: 'Change the placement' });
  if ((await placements.getAttribute('aria-expanded')) !== 'true') await placements.click();
  await page.getByRole('radio', { name: 'Left chest', exact: true }).click();
  await ticket.stage('Design');
  await page.getByRole('radio', { name: 'to the right', exact: true }).click();
  await ticket.stage('Mount');
  await page.getByRole('radio', { name: /^top towards you/ }).click();
  await ticket.reads('Its figure looks away from the pocket.');
  await page.getByRole('button', { name: /^Mirror it: it looks towards the pocket/ }).click();
  await expect(page.getByText('Its figure looks away from the pocket.')).toHaveCount(0);
  await expect(page.getByTestId('display')).toHaveText(
    'Its top points down, its figure looks to the right, mirrored',
  );
  await expect(page.getByRole('heading', { name: 'Top of the piece towards you' })).toBeVisible();
  await ticket.saved();
  await page.getByRole('button', { name: 'Practise it on the stand-in machine' }).click();
  const { says, tap } = machine(page);
  await expect(page.getByTestId('design-at')).toHaveText(/turned 0°/);
  for (const turned of [90, 180]) {
    await tap('Turn 90°');
    await expect(page.getByTestId('design-at')).toHaveText(new RegExp(`turned ${turned}°`));
  }
  await tap('Mirror');
  await expect(says).toHaveText('Mirrored.');
  await expect(page.getByTestId('design-at')).toHaveText(/mirrored/);
  await page.goto('/ticket/demo-ticket-10/mount');
  await page
    .getByRole('checkbox', { name: /Mirror the design/ })
    .first()
    .click();
  await page.getByRole('radio', { name: /^top away from you/ }).click();
  await ticket.saved();
});

test('marks read off the practice machine’s needle, and by tapping the drawn hoop, give the keys', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Handkerchief');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.fill('side to side', '400');
  await ticket.fill('hem to hem', '400');
  await ticket.fill('hem, depth', '8');
  await ticket.stage('Design');
  await ticket.fill('design width', '60');
  await ticket.fill('design height', '40');
  await page.getByRole('radio', { name: 'light', exact: true }).click();
  await ticket.stage('Mount');
  await ticket.saved();
  await page.getByRole('button', { name: 'Practise it on the stand-in machine' }).click();
  const { putOn, latch, tap } = machine(page);
  await putOn(/^100 × 100/);
  await latch();
  await tap('Needle over the centre');
  for (const arrow of ['jog left', 'jog left', 'jog away']) await tap(arrow);
  await expect(page.getByTestId('needle-at')).toHaveText('Needle 2 mm left, 1 mm away.');
  await tap('Needle over the left axis end');
  await ticket.reads('2 read. With two or more, Mount says how crooked it lies and what to key.');
  await tap('Back to Mount');
  await page.getByRole('button', { name: 'Type the left axis end' }).click();
  await expect(page.getByRole('textbox', { name: 'left axis end across' })).toHaveValue('2 mm');
  await page.getByRole('button', { name: 'Tap the left axis end on the hoop' }).click();
  await ticket.reads('now tap it on the hoop');
  const sheet = await ticket.sheet().boundingBox();
  if (!sheet) throw new Error('no sheet is drawn');
  await page.mouse.click(sheet.x + sheet.width * 0.15, sheet.y + sheet.height * 0.5);
  await expect(page.getByRole('textbox', { name: 'left axis end across' })).not.toHaveValue('2 mm');
  await expect(page.getByText('now tap it on the hoop')).toHaveCount(0);
  await ticket.saved();
});

test('a script plays the practice machine over its own interface', async ({ request, baseURL }) => {
  const laid = await (
    await request.put(`${baseURL}/api/practice`, { data: { ticketId: 'demo-ticket-01' } })
  ).json();
  const press = async (command: object) =>
    (await request.post(`${baseURL}/api/practice/press`, { data: { run: laid.run, ...command } })).json();
  expect(laid.job.machine.name).toBe('Single-needle, flat bed');
  expect((await press({ press: 'turn', deg: 45 })).message).toBe('This machine turns by 90° only.');
  await press({ press: 'put-on', hoopId: laid.job.hoopId });
  await press({ press: 'latch' });
  expect((await press({ press: 'trace' })).ok).toBe(true);
});
