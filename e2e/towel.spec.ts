import { expect, test } from './support/test';
import { onTicket } from './support/ticket';

/** Worked example B: a bath towel carried from new to log. */
test('a bath towel with a dense monogram above the border, from bare cloth to the logbook', {
  tag: ['@wide', '@deep'],
}, async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.startByHand('Bath towel');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.fill('side to side', '68 cm');
  await ticket.fill('hem to hem', '1350');
  await ticket.fill('border band, height', '60');
  await ticket.fill('hem to far edge of the band', '90 mm');
  await ticket.fill('Name of the ticket', 'Example B');
  await ticket.onTo('Design');

  await ticket.fill('design width', '95');
  await ticket.fill('design height', '95');
  await page.getByRole('radio', { name: 'heavy', exact: true }).click();
  await page.getByRole('button', { name: /^colour 1/ }).click();
  await page.getByRole('button', { name: 'Colour 1: sea blue', exact: true }).click();
  await ticket.reads('17148 stitches, heavy');
  await ticket.onTo('Place');

  await ticket.reads('Tape across, side to side: it reads 680 mm. Mark half, 340 mm from either side edge.');
  await ticket.reads('From the end hem up 182.5 mm: chalk a level line.');
  await ticket.reads("That is 92.5 mm above the band's far edge; measure it there too.");
  await ticket.reads('Nearest: border band, 45 mm clear.');
  await page.getByRole('button', { name: 'why this place?' }).click();
  await ticket.reads("90 mm + 45 mm = 135 mm: the design's bottom, above the hem");
  await page.getByRole('radio', { name: 'fold and press' }).click();
  await ticket.reads('Fold it in half lengthwise: side edges matched, hem to hem.');
  await ticket.onTo('Hoop');

  await expect(page.getByRole('heading', { name: '100 × 100 screw, floated' })).toBeVisible();
  await page.getByRole('button', { name: 'why this hoop and method?' }).click();
  await ticket.reads(/Floated: .*mark this cloth/);
  await ticket.onTo('Layers');

  await ticket.reads(
    'Tear-away, light, fusible, on the piece only, fused to the cloth + Tear-away, self-adhesive, in the ring, stuck to the cloth, taped',
  );
  await ticket.reads('Water-soluble film');
  await expect(ticket.sheet()).toContainText('in the ring, stuck to the cloth');
  await ticket.onTo('Mount');
  // No room for a basting box in this field: the film reaches past it, and is pinned there.
  await ticket.reads(/film on top: pin its edges outside the field/);
  await ticket.onTo('Stitch');
  await ticket.reads(/min in all, 1 colour/);
  await ticket.onTo('Finish');
  const film = page.getByText(/Pull the film off/);
  const tear = page.getByText(/Tear the tear-away off, one sheet at a time/);
  await expect(film).toBeVisible();
  const [filmBox, tearBox] = [await film.boundingBox(), await tear.boundingBox()];
  expect(filmBox?.y ?? 0).toBeLessThan(tearBox?.y ?? 0);
  await ticket.onTo('Log');
  await page.getByRole('button', { name: 'Measured, timed, used otherwise than planned' }).click();
  await page.getByRole('radio', { name: '75/11 sharp' }).click();
  await page
    .getByRole('radiogroup', { name: 'Sheet 2, from the cloth down' })
    .getByRole('radio', { name: 'Wash-away, self-adhesive' })
    .click();
  await ticket.saved();
  await page.getByRole('button', { name: 'Came out well' }).click();
  await page.getByRole('button', { name: 'Open the entry' }).click();
  await ticket.reads('It came out well.');
  await ticket.reads('planned: 75/11 embroidery');
  await ticket.reads(
    /^Tear-away, light, fusible, on the piece only, fused to the cloth \+ Wash-away, self-adhesive, in the ring, stuck to the cloth/,
  );
  await ticket.reads('From the end hem up 182.5 mm: press or chalk a level line.');
});

test('a waffle hand towel whose design lies over the band is mended with one tap, and undone', async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-05/place');
  await ticket.reads('The design lies over the border band.');
  await expect(page.getByTestId('offset')).toContainText('Off the rule');
  await page.getByRole('button', { name: /^Back to the rule/ }).click();
  await expect(page.getByText('The design lies over the border band.')).toHaveCount(0);
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  await page.getByRole('button', { name: 'Undo' }).click();
  await ticket.reads('The design lies over the border band.');
  await page.getByRole('button', { name: 'Redo' }).click();
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  await page.getByRole('button', { name: 'Undo' }).click();
  await ticket.saved();
});
