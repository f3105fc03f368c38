import { expect, test } from './support/test';
import { copyOf, onTicket } from './support/ticket';

test('the cloth on this ticket differs from the library’s, and every plan follows', { tag: '@deep' }, async ({
  page,
}) => {
  const ticket = onTicket(page);
  await ticket.start('T-shirt');
  await ticket.fill('underarm to underarm', '52 cm');
  await ticket.fill('collar seam to hem', '64 cm');
  await ticket.fill('shoulder seam', '14.5 cm');
  await ticket.fill('armhole depth', '22 cm');
  await page.getByRole('button', { name: 'Change this cloth’s properties' }).click();
  await ticket.fill('weight, g/m²', '150');
  await ticket.reads(/Jersey tee: 150 g\/m², 22 % stretch/);
  await ticket.fill('stretch, %', 'lots');
  await ticket.reads('“lots” was not taken: a number from 0 to 200.');
  await ticket.fill('stretch, %', '4');
  await page.getByRole('radio', { name: 'no iron' }).click();
  await page.getByRole('checkbox', { name: 'A hoop ring marks it' }).click();
  await page.getByRole('button', { name: 'Colour of the piece: navy' }).click();
  await ticket.reads('Colour of the piece: navy');
  await ticket.stage('Design');
  await ticket.fill('design width', '60 mm');
  await ticket.fill('design height', '50 mm');
  await page.getByRole('radio', { name: 'light', exact: true }).click();
  await ticket.stage('Hoop');
  await expect(page.getByRole('heading', { name: /hooped|floated/ })).toBeVisible();
  await ticket.stage('Layers');
  await ticket.reads(/Tear-away, medium/);
  await ticket.saved();
});

test('an uneven piece: heights are added, read and taken away again', { tag: '@deep' }, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/piece');
  await page.getByRole('button', { name: 'Is it cut straight?' }).click();
  await page.getByRole('button', { name: 'Add a height' }).click();
  await ticket.fill('height 1', '200 mm');
  await ticket.fill('middle to your left edge 1', '250 mm');
  await ticket.fill('middle to your right edge 1', '262 mm');
  await ticket.reads(/Unevenly cut: the edges' middle leans 0° and lies 1\/4 in to your right/);
  await page.getByRole('button', { name: 'why the centre line?' }).click();
  await ticket.reads(/÷ 2 = 1\/4 in/);
  await page.getByRole('button', { name: 'Read the grain too' }).click();
  await ticket.fill('grain wanders by', '9 mm');
  await ticket.reads(
    /The grain leans 1.7°\. Placed by the wearer's line; the seams' line and the grain's line are drawn too/,
  );
  await page.getByRole('button', { name: 'Leave the grain out' }).click();
  await page.getByRole('button', { name: 'Take the last away' }).click();
  await expect(page.getByText(/Unevenly cut/)).toHaveCount(0);
  await ticket.saved();
});

test('colours are added, named, chosen and taken away; the design is resized on the machine', async ({
  page,
}) => {
  const ticket = onTicket(page);
  await ticket.start('Hand towel');
  await ticket.stage('Design');
  await ticket.fill('design width', '50 mm');
  await ticket.fill('design height', '40 mm');
  await ticket.fill('stitches', '2400');
  await ticket.reads('2400 stitches, medium');
  await page.getByRole('button', { name: 'Add a colour' }).click();
  await ticket.reads('Colours in the order they are stitched: 2');
  await page.getByRole('button', { name: /^colour 2 yellow/ }).click();
  await ticket.fill('name of colour 2', 'lamp light');
  await expect(page.getByRole('button', { name: /^colour 2 lamp light/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take the last away' }).click();
  await ticket.reads('Colours in the order they are stitched: 1');
  await ticket.fill('resized on the machine, %', '85');
  await ticket.reads('Shrunk to 85 % with the same stitches it is 38 % denser.');
  await ticket.fill('resized on the machine, %', '70');
  await ticket.reads(/it is 104 % denser: get the design in this size/);
  await page.getByRole('checkbox', { name: 'It has lettering' }).click();
  await ticket.fill('height of the smallest letters', '6 mm');
  await ticket.reads(/Letters 3\/16 in high|Letters 1\/8 in high/);
});

test('machines, rolls and threads of the shelf can be changed', { tag: '@deep' }, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/shelf');
  await page.getByRole('button', { name: /^Single-needle, flat bed:/ }).click();
  await ticket.fill('hours on the needle', '8.5');
  await page.getByRole('button', { name: /^Single-needle, flat bed:/ }).click();
  await page.getByRole('button', { name: /^Tear-away, medium: 14 m left/ }).click();
  await ticket.fill('metres left', '12');
  await expect(page.getByRole('button', { name: /^Tear-away, medium: 12 m left/ })).toBeVisible();
  await page.getByRole('button', { name: /^Tear-away, medium: 12 m left/ }).click();
  await page.getByRole('button', { name: /^navy: 40 wt polyester/ }).click();
  await page.getByRole('radio', { name: '60 wt' }).click();
  await expect(page.getByRole('button', { name: /^navy: 60 wt polyester/ })).toBeVisible();
  await ticket.saved();
  await page.goto('/ticket/demo-ticket-04/stitch');
  await ticket.reads('The needle has 8.5 hours; change it after 8. Power off first.');
  await page.goto('/shelf');
  await page.getByRole('button', { name: /^Single-needle, flat bed:/ }).click();
  await ticket.fill('hours on the needle', '5.5');
});

test('a deck of cards for each stage that has one', { tag: '@deep' }, async ({ page }) => {
  const first: [string, RegExp][] = [
    // All of it is measured: the hands go on with the next.
    ['piece', /^Straight across the hem/],
    ['hoop', /^Cut 5 of the cut-away, medium: 7 1\/16 in × /],
    ['place', /^Wash and press it first/],
    ['layers', /^Cut 5 of the cut-away, medium/],
    ['mount', /laid out in order/],
    ['stitch', /^Colour 1:/],
    ['finish', /Off the machine; loosen the ring/],
  ];
  const ticket = await copyOf(page, 'demo-ticket-01');
  for (const [stage, words] of first) {
    await page.goto(`${ticket}/card/${stage}`);
    await expect(page.getByTestId('card-text')).toHaveText(words);
  }
  await page.goto(`${ticket}/card/stitch`);
  await expect(
    page.getByText('Hands away from the moving hoop; never reach in while it runs.'),
  ).toBeVisible();
});

test('an address that leads nowhere says so and leads back', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/nonsense');
  await expect(page.getByRole('heading', { name: 'Measure the T-shirt' })).toBeVisible();
  await ticket.saved();
});

test.describe('a ticket that is not there', () => {
  test.use({ allowed: [/Failed to load resource/] });

  test('is said in words, with the way back', async ({ page }) => {
    await page.goto('/ticket/no-such-ticket/place');
    await expect(page.getByRole('heading', { name: 'This ticket cannot be opened' })).toBeVisible();
    await page.getByRole('button', { name: 'Back to the bench' }).click();
    await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();
  });
});
