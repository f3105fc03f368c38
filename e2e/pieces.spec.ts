import { expect, test } from './support/test';
import { fillIn, onTicket } from './support/ticket';

test('a hoodie with a pocket is measured reading by reading, and its chest mark found', {
  tag: '@wide-deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Hoodie with a pocket');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.reads('Lay it flat. Tape straight across, from underarm seam to underarm seam.');
  await expect(ticket.sheet()).toContainText('?');
  const readings: [string, string][] = [
    ['underarm to underarm', '54,5 cm'],
    ['collar seam to pocket', '390'],
    // These could wait until the ring closes.
    ['collar seam to hem', '655'],
    ['shoulder seam', '6 in'],
    ['armhole depth', '240 mm'],
    ['pocket, top edge', '215'],
  ];
  for (const [name, value] of readings) {
    const field = page.getByRole('textbox', { name, exact: true });
    await fillIn(field, value);
    await field.press('Enter');
  }
  // What may be left out is asked of nobody; whoever likes to opens it.
  await ticket.fill('hem, edge to edge', '49 cm');
  await expect(page.getByRole('button', { name: 'shoulder seam: 152.4 mm' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'pocket, top edge: 215 mm' })).toBeVisible();
  await ticket.onTo('Design');
  await ticket.fill('design width', '180');
  await ticket.fill('design height', '120');
  await page.getByRole('radio', { name: 'light', exact: true }).click();
  await ticket.onTo('Place');
  await expect(page.getByRole('heading', { name: 'Centre chest' })).toBeVisible();
  await ticket.reads(/From the collar seam at centre front straight down 156 mm: chalk a level line/);
  await page.getByRole('button', { name: 'why this place?' }).click();
  await ticket.reads('collar seam to pocket 390 mm; half is 195 mm');
  await ticket.reads('raised by 39 mm: centre 156 mm below the collar seam');
  await page.getByRole('radio', { name: 'on the person' }).click();
  await ticket.reads(/Step back and look in a mirror/);
  await page.getByRole('radio', { name: 'join landmarks' }).click();
  await ticket.reads(/Find the middle of the collar seam, and the middle of the far edge opposite/);
  await page.getByRole('radio', { name: 'paper template' }).click();
  await ticket.reads(/100 mm must measure 100 mm/);
});

test('two readings that cannot both be right are questioned at once, with both numbers', async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Hoodie with a pocket');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.fill('underarm to underarm', '545');
  await ticket.fill('hem, edge to edge', '240');
  await ticket.reads(
    'hem, edge to edge 240 mm and underarm to underarm 545 mm cannot both be right: the hem would be narrower than half the chest.',
  );
  await ticket.fill('hem, edge to edge', '490');
  await expect(page.getByText(/cannot both be right/)).toHaveCount(0);
});

test('a bread cloth: the same corner rule in all four corners, upright and at 45°', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-12/place');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await expect(page.getByRole('heading', { name: 'All four corners, at 45°' })).toBeVisible();
  await ticket.reads(/No. 3: upper left corner, turned 180°: /);
  await page.getByRole('radio', { name: 'fold and press' }).click();
  await ticket.reads(/From the corner's point .* along the crease: chalk the centre/);
  const change = page.getByRole('button', { name: 'Change the placement' });
  const upright = page.getByRole('radio', { name: 'All four corners', exact: true });
  if (!(await upright.isVisible())) await change.click();
  await upright.click();
  await page.getByRole('button', { name: 'why this place?' }).click();
  await ticket.reads('Upright in the corner; its nearest stitches 30 mm from both hems.');
  await ticket.saved();
});

test('a closed hem of 148 cm: ten repeats at 148.0 mm, gap 28.0, each with its reading and its hooping', async ({
  page,
}) => {
  const ticket = onTicket(page);
  await ticket.start('Dress or skirt hem');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.fill('hem, all round', '148 cm');
  await ticket.fill('hem, depth', '30');
  await ticket.onTo('Design');
  await ticket.fill('design width', '120');
  await ticket.fill('design height', '60');
  await page.getByRole('radio', { name: 'open', exact: true }).click();
  await ticket.onTo('Place');
  await ticket.fill('wished gap', '35');
  await expect(page.getByTestId('run')).toHaveText('10 at 148 mm pitch');
  await ticket.reads('gap 28 mm');
  await ticket.reads('No. 2: 148 mm to your right of the middle. Chalk its centre.');
  await ticket.reads('No. 10: turned over, at the middle of the back. Chalk its centre.');
  await ticket.reads(/10 copies in \d+ hoopings of the/);
  await page.getByRole('button', { name: 'why this place?' }).click();
  await ticket.reads('1480 mm ÷ (120 mm + 35 mm) = 9.55: 10 of them');
  await ticket.saved();
});

test('an order in five sizes looks alike, and the size that does not is flagged', { tag: '@wide' }, async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/place');
  await page.getByRole('button', { name: 'See it on all 5 sizes' }).click();
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.reads('The run looks alike.');
  const row = (name: string) => page.getByRole('row', { name, exact: true });
  await expect(row('youth M')).toContainText('395');
  await expect(row('L')).toContainText('107.2');
  await expect(row('Crew tee, crossed oars')).toContainText('193.4');
  await expect(page.getByRole('row')).toHaveCount(6);
  await page.getByRole('button', { name: 'Other readings of S' }).click();
  await ticket.fill('shoulder seam, size 2', '100');
  await ticket.reads(/shoulder seam 100 mm: the other sizes would make it 133.6 mm. Measure it again./);
  await page.getByRole('button', { name: 'Take S out of the run' }).click();
  await expect(page.getByRole('row')).toHaveCount(5);
  await page.getByRole('button', { name: 'Add our S tee' }).click();
  await expect(row('our S tee')).toContainText('470');
  await page.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Left chest' })).toBeVisible();
  await ticket.saved();
});

test('motifs are scattered inside the seam line, with progress, a stop, and the same throw again', async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-13/place');
  await ticket.reads(/Throw no. 7/);
  await ticket.fill('how many', '20');
  await page.getByRole('button', { name: 'Scatter them' }).click();
  await ticket.reads(/No. 20: .* turned \d+°. Chalk its centre./);
  const words = () =>
    page
      .getByText(/^No\. 20: /)
      .filter({ visible: true })
      .first()
      .textContent();
  const first = await words();
  await page.getByRole('button', { name: 'Another throw' }).click();
  await ticket.reads(/Throw no. 8/);
  await expect.poll(words).not.toBe(first);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(words).toBe(first);
  await ticket.fill('how many', '120');
  await page.getByRole('button', { name: 'Scatter them' }).click();
  await expect(page.getByRole('progressbar', { name: 'Scattering' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop, keep what was found' }).click();
  await ticket.reads(/Room was found for \d+ of 120\.|No\. \d+: /);
  await ticket.saved();
});

test('a blank is kept under a name, and measures the next piece', async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Bib');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.fill('side to side', '210');
  await ticket.fill('neck binding to hem', '190');
  await page.getByRole('button', { name: 'Measurements kept under a name' }).click();
  await ticket.fill('Keep these measurements as', 'our bib');
  await page.getByRole('button', { name: 'Keep these measurements as: keep' }).click();
  await ticket.reads('“our bib” is on the shelf.');
  await ticket.saved();
  await ticket.start('Bib');
  await page.getByRole('button', { name: 'Measurements kept under a name' }).click();
  await page.getByRole('button', { name: /^Take our bib/ }).click();
  await expect(
    page.getByRole('button', { name: /^neck binding to hem: 7 1\/2 in|^neck binding to hem: 190 mm/ }),
  ).toBeVisible();
});

test('a place of our own is kept from where it was moved, and grows with the size', { tag: '@deep' }, async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-04/place');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.reads('On the rule. Drag it on the sheet to move it.');
  await ticket.sheet().focus();
  await page.keyboard.press('Shift+ArrowDown');
  await page.keyboard.press('Shift+ArrowDown');
  await expect(page.getByTestId('offset')).toContainText('10 mm lower');
  await page.getByRole('button', { name: 'Keep it as our place' }).click();
  await ticket.fill('Name of our place', 'Library chest');
  await page.getByRole('button', { name: 'Name of our place: keep' }).click();
  await ticket.reads('“Library chest” is on the shelf.');
  await page.goto('/ticket/demo-ticket-01/place');
  const ours = page.getByRole('radio', { name: 'Library chest' });
  const change = page.getByRole('button', { name: 'Change the placement' });
  await expect(change).toBeVisible();
  if (!(await ours.isVisible())) await change.click();
  await ours.click();
  await expect(page.getByRole('heading', { name: 'Library chest' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'Left chest' })).toBeVisible();
  await ticket.saved();
});

test('the back and the sleeve ask for their own readings', { tag: '@deep' }, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-04/piece');
  await expect(page.getByRole('button', { name: /^sleeve hem/ })).toHaveCount(0);
  await page.getByRole('radio', { name: 'sleeve' }).click();
  await expect(page.getByRole('textbox', { name: 'sleeve hem, edge to edge' })).toBeVisible();
  await expect(ticket.sheet()).toContainText('Sleeve');
  await page.getByRole('radio', { name: 'back' }).click();
  await ticket.stage('Place');
  await expect(page.getByRole('heading', { name: 'Upper back' })).toBeVisible();
  await ticket.stage('Piece');
  await page.getByRole('radio', { name: 'front' }).click();
  await ticket.stage('Place');
  await page.getByRole('button', { name: 'Change the placement' }).waitFor();
  const centre = page.getByRole('radio', { name: 'Centre chest' });
  if (!(await centre.isVisible())) await page.getByRole('button', { name: 'Change the placement' }).click();
  await centre.click();
  await ticket.saved();
});

test('a cushion: a gap from the edge, its strip cut to size, its seam opened and closed again', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await ticket.start('Cushion cover');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.fill('side to side', '400');
  await ticket.fill('top to bottom', '400');
  await page.getByRole('button', { name: 'Contrast strip: what to cut' }).click();
  await ticket.reads('Cut the strip: 425.4 mm × 175.4 mm');
  await ticket.reads('width: 150 mm + 12.7 mm turned under + 12.7 mm seam = 175.4 mm');
  await page.getByRole('button', { name: 'Seams opened for the hoop' }).click();
  await page.getByRole('checkbox', { name: 'top seam' }).click();
  await ticket.onTo('Design');
  await ticket.fill('design width', '150');
  await ticket.fill('design height', '90');
  await page.getByRole('radio', { name: 'light', exact: true }).click();
  await ticket.onTo('Place');
  const gap = page.getByRole('radio', { name: 'A gap from the bottom edge' });
  await page.getByRole('button', { name: 'Change the placement' }).waitFor();
  if (!(await gap.isVisible())) await page.getByRole('button', { name: 'Change the placement' }).click();
  await gap.click();
  await ticket.fill('gap from the edge', '55');
  await ticket.reads(/From the bottom seam up 100 mm: chalk a level line/);
  await page.getByRole('radio', { name: 'A gap from the left edge' }).click();
  await ticket.reads(/measure 130 mm from the side seam on your left: chalk the centre/);
  await ticket.stage('Finish');
  await ticket.reads('Close again what was opened: top seam.');
  await ticket.saved();
});

test('the shop’s own cloth is added to the shelf and offered on a ticket', { tag: '@deep' }, async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/shelf');
  await expect(page.getByRole('heading', { name: 'Our own cloths: 1' })).toBeVisible();
  await page.getByRole('button', { name: /^Club interlock, 240 g:/ }).click();
  await ticket.fill('stretch, %', '21');
  await expect(
    page.getByRole('button', { name: /^Club interlock, 240 g: knit, 240 g\/m², 21 % stretch/ }),
  ).toBeVisible();
  await ticket.saved();
  await expect(page.getByRole('heading', { name: /^Blanks we know: \d/ })).toBeVisible();
  await expect(
    page.getByRole('button', { name: /^our youth M tee: T-shirt, underarm to underarm/ }),
  ).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Our own places: \d/ })).toBeVisible();
  await page.goto('/ticket/demo-ticket-03/piece');
  await page.getByRole('button', { name: 'Choose another cloth' }).click();
  await page.getByRole('radio', { name: 'Club interlock, 240 g' }).click();
  await ticket.reads('Club interlock, 240 g: 240 g/m², 21 % stretch');
  await page.getByRole('button', { name: 'Undo' }).click();
  await ticket.saved();
});

test('a kind is found by its name', async ({ page }) => {
  await page.goto('/new');
  await fillIn(page.getByRole('textbox', { name: 'Find a kind' }), 'bread');
  await expect(page.getByRole('button', { name: 'Bread cloth' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'T-shirt' })).toHaveCount(0);
  await fillIn(page.getByRole('textbox', { name: 'Find a kind' }), 'umbrella');
  await expect(page.getByText(/Nothing here is called “umbrella”/)).toBeVisible();
});

test('repeats that lie over the side seams are mended to the count that clears them, and back', async ({
  page,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-11/place');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  const trouble = /^Mind\. \d of them lie over a side seam\.$/;
  const seen = page.getByRole('note').filter({ hasText: 'lie over a side seam' });
  await expect(seen).toBeVisible();
  await expect(seen.getByRole('button')).toHaveText(
    /^Make it \d+both side seams fall in a gap; true gap [\d.]+ mm$/,
  );
  const to = /Make it (\d+)/.exec((await seen.getByRole('button').textContent()) ?? '')?.[1];
  await seen.getByRole('button').click();
  await expect(seen).toHaveCount(0);
  await expect(page.getByText(trouble)).toHaveCount(0);
  await ticket.reads(new RegExp(`^${to} copies in \\d+ hoopings of the `));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(seen).toBeVisible();
  await ticket.saved();
});
