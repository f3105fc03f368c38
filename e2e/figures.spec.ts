import type { Ticket } from '@zt/core/model/ticket';
import { PIECE_KINDS } from '@zt/core/stages/piece/kinds/index';
import { measuredTicket } from '@zt/core/testing/samples';
import { test as base, expect } from './support/test';
import { onTicket } from './support/ticket';

const TOTE_PLACE = PIECE_KINDS.tote.placements[0].id;

/** A ticket made for one test, kept by the shop, and taken off its bench again. */
const test = base.extend<{ keep: (ticket: Ticket) => Promise<string> }>({
  keep: async ({ request, baseURL }, use, { testId }) => {
    const ids: string[] = [];
    await use(async (ticket) => {
      const id = `${ticket.id}-${testId}`;
      const put = await request.put(`${baseURL}/api/tickets/${id}`, {
        data: { ticket: { ...ticket, id }, rev: 0 },
      });
      expect(put.ok()).toBe(true);
      ids.push(id);
      return `/ticket/${id}`;
    });
    for (const id of ids) await request.delete(`${baseURL}/api/tickets/${id}`);
  },
});

test('a closed hem of 58 in is taped flat: it reads 29 in', async ({ page, keep }) => {
  const ticket = onTicket(page);
  const skirt = measuredTicket('skirt-hem', 'hem-border', [90, 60]);
  const path = await keep({
    ...skirt,
    piece: { ...skirt.piece, readings: { circumference: 58 * 25.4, hemDepth: 30 } },
  });
  await page.goto(`${path}/place`);
  await ticket.reads(
    'Tape across, laid flat, side seam to side seam: it reads 29 in. Mark half, 14 1/2 in from either side seam.',
  );
});

test('a motif lies 7 in below the top edge of a tote', async ({ page, keep }) => {
  const ticket = onTicket(page);
  const tote = measuredTicket('tote', TOTE_PLACE, [100, 100]);
  const path = await keep(tote);
  await page.goto(`${path}/place`);
  await page.getByRole('button', { name: 'Set the depth yourself' }).click();
  await page
    .getByRole('radiogroup', { name: 'Measured from' })
    .getByRole('radio', { name: 'the top edge' })
    .click();
  await ticket.fill('its centre, below the top edge', '7');
  await ticket.reads('From the top edge straight down 7 in: chalk a level line.');
  await page.getByRole('button', { name: 'back to the rule’s own depth' }).click();
  await expect(page.getByText('From the top edge straight down 7 in: chalk a level line.')).toHaveCount(0);
  await ticket.saved();
});

test('a strip along the side of an 18 × 12 cushion is cut 13 in long, and is drawn', async ({
  page,
  keep,
}) => {
  const ticket = onTicket(page);
  const cushion = measuredTicket('cushion', 'centre', [100, 80]);
  const path = await keep({
    ...cushion,
    piece: { ...cushion.piece, readings: { ...cushion.piece.readings, width: 457.2, height: 304.8 } },
  });
  await page.goto(`${path}/piece`);
  await page.getByRole('button', { name: /strip.*: what to cut/i }).click();
  await page
    .getByRole('radiogroup', { name: 'The strip lies on the edge' })
    .getByRole('radio', { name: 'left' })
    .click();
  await ticket.reads(/^Cut the .*13 in/);
  await expect(page.getByText(/^Cut the .*19 in/)).toHaveCount(0);
  await ticket.saved();
});

test('a design moved after it was chalked: Place is not ticked any more, and says so', async ({
  page,
  keep,
}) => {
  const ticket = onTicket(page);
  const tee = measuredTicket('t-shirt', 'left-chest', [88, 51]);
  await page.goto(`${await keep(tee)}/place`);
  const place = page
    .getByRole('navigation', { name: 'Stages' })
    .getByRole('link', { name: /^3 Place: settled/ });
  await expect(place).toHaveCount(0);
  await ticket.onTo('Hoop');
  await expect(place).toHaveCount(1);
  await ticket.stage('Place');
  await page.getByRole('button', { name: 'Move it by typed lengths' }).click();
  await page.getByRole('button', { name: 'Nudge down 1/16 in' }).click();
  await ticket.reads(/The chalk no longer holds: .* was marked; .* it is now\./);
  await expect(place).toHaveCount(0);
  await ticket.onTo('Hoop');
  await expect(place).toHaveCount(1);
  await ticket.saved();
});

test('hooped 30 mm off, the hoop turned on the piece: it says which way the whole piece goes', async ({
  page,
  keep,
  request,
  baseURL,
}) => {
  const ticket = onTicket(page);
  const tee = measuredTicket('t-shirt', 'left-chest', [88, 51]);
  const { hoop } = await (await request.post(`${baseURL}/api/plan`, { data: { ticket: tee } })).json();
  const turn = (-hoop.laid.onPieceDeg * Math.PI) / 180;
  expect(Math.abs(Math.sin(turn))).toBeCloseTo(1, 6);
  const read = (mark: 'centre' | 'left' | 'right', x: number) => ({
    mark,
    x: 30 + x * Math.cos(turn),
    y: x * Math.sin(turn),
  });
  const readings = [read('centre', 0), read('left', -44), read('right', 44)];
  const path = await keep({ ...tee, mount: { ...tee.mount, readings } });
  await page.goto(`${path}/mount`);
  await ticket.reads(/the whole piece 1 3\/16 in to the left/);
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.reads(/the whole piece 30 mm to the left/);
  await page.getByRole('radio', { name: 'inches' }).click();
  await ticket.saved();
});

test('an entry keeps what was read off the hoop, what was keyed, the design and its threads', async ({
  page,
  keep,
}) => {
  const ticket = onTicket(page);
  const tee = measuredTicket('t-shirt', 'left-chest', [60, 40]);
  const readings = [{ mark: 'centre' as const, x: 3, y: 0 }];
  await page.goto(`${await keep({ ...tee, name: 'Read off', mount: { ...tee.mount, readings } })}/log`);
  await page.getByRole('button', { name: 'Came out well' }).click();
  await page.getByRole('button', { name: 'Open the entry' }).click();
  await expect(page.getByRole('heading', { name: 'Read off' })).toBeVisible();
  await ticket.reads('centre 3 mm right');
  await ticket.reads(/^turn \d+°/);
  await ticket.reads(/^2 3\/8 in × 1 9\/16 in, \d+ stitches$/);
  await expect(page.getByText(/\b0 mm (right|left|away|towards)/)).toHaveCount(0);
});

test('a piece that came out spoilt is told the patch that saves it', async ({ page, keep }) => {
  const ticket = onTicket(page);
  await page.goto(`${await keep(measuredTicket('t-shirt', 'left-chest', [60, 40]))}/log`);
  await page.getByRole('button', { name: 'Puckering' }).click();
  await page.getByRole('radio', { name: 'Puckering: spoilt' }).click();
  await ticket.reads(/sew it over the place as a patch/);
  await page.getByRole('radio', { name: 'Puckering: none' }).click();
  await expect(page.getByText(/sew it over the place as a patch/)).toHaveCount(0);
  await ticket.saved();
});
