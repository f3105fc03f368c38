import { expect, test } from './support/test';
import { copyOf, fillIn, onTicket } from './support/ticket';

test('the bench shows each ticket, its stage and its worst finding, and finds one', {
  tag: '@wide-deep',
}, async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText(/15 pieces, \d+ min of stitching/)).toBeVisible();
  const rows = page.getByRole('link', { name: /: / });
  await expect(rows).toHaveCount(15);
  await expect(
    page.getByRole('link', {
      name: 'Guest hand towel, Piece: Still to measure: hem to far edge of the band.',
    }),
  ).toBeVisible();
  await expect(
    page.getByRole('link', { name: /Allotment hand towel, Place: The design lies over the border band\./ }),
  ).toBeVisible();
  await fillIn(page.getByRole('textbox', { name: 'Find a ticket' }), 'rowing');
  await expect(rows).toHaveCount(3);
});

test('a ticket taken off the bench can be put back', async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.startByHand('Hand towel');
  await ticket.fill('Name of the ticket', 'Mistaken towel');
  await ticket.saved();
  await page.getByRole('button', { name: 'Take this ticket off the bench' }).click();
  await ticket.reads('The ticket is off the bench.');
  await expect(page.getByRole('link', { name: /^Mistaken towel/ }).filter({ visible: true })).toHaveCount(0);
  await page.getByRole('button', { name: 'Put it back' }).click();
  const row = page.getByRole('link', { name: /^Mistaken towel/ }).filter({ visible: true });
  await row.click();
  await ticket.stage('Piece');
  await page.getByRole('button', { name: 'Take this ticket off the bench' }).click();
  await ticket.reads('The ticket is off the bench.');
});

test('the logbook filters by piece, fabric, method and outcome, and opens an entry', {
  tag: '@wide',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/logbook');
  await page.getByRole('button', { name: 'Filters' }).click();
  await page.getByRole('checkbox', { name: /^spoilt, / }).click();
  await expect(page.getByText('1 piece: 0 good, 0 slight, 0 plain, 1 spoilt')).toBeVisible();
  // What would leave nothing is not offered: of bath towels none was spoilt.
  await expect(page.getByRole('checkbox', { name: /^Bath towel, / })).toHaveCount(0);
  await page.getByRole('button', { name: 'Show all' }).click();
  await page.getByRole('checkbox', { name: /^Linen, / }).click();
  await expect(page.getByRole('link', { name: /Tea towel, carrot/ })).toHaveCount(2);
  await page.getByRole('link', { name: 'Tea towel, carrot, slight' }).click();
  await ticket.reads('Ring marks: slight');
  await ticket.reads('Hooped it. Float it.');
  await ticket.reads('How it was marked');
});

test('a hoop is added to the shelf, measured, judged, taken off and put back', {
  tag: ['@wide', '@deep'],
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/shelf');
  await expect(page.getByRole('heading', { name: 'Hoops: 10' })).toBeVisible();
  await page.getByRole('button', { name: 'Add a hoop' }).click();
  await expect(page.getByRole('heading', { name: 'Hoops: 11' })).toBeVisible();
  await ticket.fill('Name', '75 × 75 little one');
  await ticket.fill('stitch field, width', '75 mm');
  await page.getByRole('button', { name: /^Change stitch field, height/ }).click();
  await ticket.fill('stitch field, height', '275 mm');
  await ticket.reads(
    'Its ring is shorter than its stitch field: measure the ring outside, from edge to edge.',
  );
  await ticket.fill('stitch field, height', '75 mm');
  await expect(page.getByText(/^Its ring is shorter/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^75 × 75.*field 2 15\/16 in × 2 15\/16 in/ })).toBeVisible();
  await ticket.saved();
  await page.goto('/ticket/demo-ticket-01/hoop');
  await expect(page.getByRole('radio', { name: /75 × 75 little one/ })).toBeVisible();
  await page.goto('/shelf');
  await page.getByRole('button', { name: /75 × 75 little one/ }).click();
  await page.getByRole('button', { name: 'Take it off the shelf' }).click();
  await ticket.reads('75 × 75 little one is off the shelf.');
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(page.getByRole('heading', { name: 'Hoops: 11' })).toBeVisible();
  await page.getByRole('button', { name: /75 × 75 little one/ }).click();
  await page.getByRole('button', { name: 'Take it off the shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Hoops: 10' })).toBeVisible();
});

test('a house rule changes every plan, and a number keeps its reason', { tag: '@deep' }, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/rules');
  await page.getByRole('radiogroup', { name: 'Topper' }).getByRole('radio', { name: 'always' }).click();
  await page.getByRole('radio', { name: 'by armhole' }).click();
  await ticket.saved();
  await page.goto('/ticket/demo-ticket-01/layers');
  await ticket.reads('This shop lays a film on everything.');
  await ticket.stage('Place');
  await page.getByRole('button', { name: 'why this place?' }).click();
  await ticket.reads(
    'Level with the middle of the armhole, halfway from the centre line to the armhole seam.',
  );
  await page.goto('/rules');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await page.getByRole('button', { name: /^Numbers/ }).click();
  await ticket.fill('Find a number', 'bath towel: above the band');
  await ticket.reads('Reads as sitting on the band once the towel is folded over the rail.');
  await ticket.fill('Bath towel: above the band', '50');
  await ticket.saved();
  await page.goto('/ticket/demo-ticket-02/place');
  await ticket.reads('From the end hem up 187.5 mm: chalk a level line.');
});

test('the cards at the table go on with a tap or space, in figures to be read from afar', async ({
  page,
}) => {
  await page.goto(`${await copyOf(page, 'demo-ticket-01')}/place`);
  await page.getByRole('button', { name: 'At the table' }).click();
  await expect(page.getByTestId('card-text')).toHaveText(/^Wash and press it first/);
  await page.getByRole('button', { name: 'Next step' }).click();
  await expect(page.getByTestId('card-text')).toContainText('Tape across, underarm to underarm');
  const figure = page.getByTestId('card-figure');
  await expect(figure).toHaveText('10 1/4 in');
  const size = await figure.evaluate((element) => Number.parseFloat(getComputedStyle(element).fontSize));
  expect(size).toBeGreaterThanOrEqual(48);
  await page.keyboard.press(' ');
  await page.getByRole('button', { name: 'Next step' }).click();
  await expect(figure).toHaveText('7 5/8 in');
  await page.getByRole('button', { name: 'Step back' }).click();
  await page.getByRole('button', { name: 'Stop here' }).click();
  await expect(page.getByRole('heading', { name: 'Left chest' })).toBeVisible();
});

test('a backup is made from House rules, listed with its time, and fetched', async ({ page }) => {
  await page.goto('/rules');
  await page.getByRole('button', { name: 'Backups' }).click();
  await expect(
    page.getByText(/makes one a day and one a week, and keeps the last 7 and 8 of them in /),
  ).toBeVisible();
  const byHand = page.getByText(/^made here, [\d.]+ MB$/);
  const before = await byHand.count();
  await page.getByRole('button', { name: 'Make one now' }).click();
  await expect(byHand).toHaveCount(before + 1);
  const waiting = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Fetch it' }).first().click();
  expect((await waiting).suggestedFilename()).toMatch(/^by-hand_.*\.zip$/);
});
