import type { Shelf } from '@zt/core/model/shelf';
import { expect, test } from './support/test';
import { onTicket } from './support/ticket';

/** Worked example A: a T-shirt carried from new to log, with its figures as they stand on the screen. */
test('a T-shirt with a left chest design, from bare cloth to the logbook', { tag: '@wide-deep' }, async ({
  page,
  request,
}) => {
  const ticket = onTicket(page);
  // Other tests leave what is left of their bobbins in the machines.
  const { machines } = (await (await request.get('/api/shelf')).json()) as Shelf;
  const put = machines.map((item) => ({ noun: 'machines', item: { ...item, bobbinLeftM: null } }));
  await request.post('/api/shelf', { data: { put } });
  await ticket.startByHand('T-shirt');
  await ticket.fill('underarm to underarm', '20 1/2');
  await ticket.fill('collar seam to hem', '62 cm');
  await ticket.fill('shoulder seam', '145 mm');
  await ticket.fill('armhole depth', '8 5/8');
  await page.getByRole('button', { name: 'Choose another cloth' }).click();
  await page.getByRole('radio', { name: 'Jersey tee' }).click();
  await ticket.fill('Name of the ticket', 'Example A');
  await ticket.fill('For whom', 'Pennyscar Rowing Club');
  await ticket.reads(/Jersey tee: 170 g\/m², 22 % stretch/);
  await ticket.onTo('Design');

  await ticket.fill('Name of the design', 'Crossed oars');
  await ticket.fill('design width', '88 mm');
  await ticket.fill('design height', '51 mm');
  await ticket.fill('stitches', '6400');
  await page.getByRole('button', { name: 'Add a colour' }).click();
  await ticket.reads('6400 stitches, medium');
  await page.getByRole('button', { name: 'why this density?' }).click();
  await ticket.reads('6 400 ÷ 44.88 = 142.6 to the cm²');
  await ticket.onTo('Place');

  await expect(page.getByRole('heading', { name: 'Left chest' })).toBeVisible();
  await ticket.reads("Wearer's left chest, on your right as it faces you");
  await ticket.reads(
    'Tape across, underarm to underarm: it reads 20 1/2 in. Mark half, 10 1/4 in from either side seam.',
  );
  await ticket.reads(/straight down 7 5\/8 in: chalk a level line/);
  await ticket.reads('From the centre line, 4 in to your right: chalk the centre.');
  await ticket.reads(/Mark both axis ends, 1 3\/4 in either side of the centre/);
  await expect(ticket.sheet()).toContainText('10 1/4');
  await expect(ticket.sheet()).toContainText('7 5/8');
  await page.getByRole('button', { name: 'why this place?' }).click();
  await ticket.reads('at your 20 1/2 in: 4 in from the centre line');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.reads(/straight down 193.4 mm: chalk a level line/);
  await ticket.reads('From the centre line, 102 mm to your right: chalk the centre.');
  await page.getByRole('radio', { name: 'inches' }).click();
  await ticket.onTo('Hoop');

  await expect(page.getByRole('heading', { name: '100 × 100 screw, hooped' })).toBeVisible();
  await expect(
    page.getByRole('radio', { name: /60 × 40 screw: Misses: 1 1\/8 in too wide and 7\/16 in too high/ }),
  ).toBeVisible();
  await ticket.onTo('Layers');

  await expect(page.getByRole('heading', { name: 'Support: 1 sheet' })).toBeVisible();
  await ticket.reads('Cut-away, medium, in the ring, sprayed');
  await ticket.reads('75/11 ballpoint');
  await ticket.reads('No topper');
  await page.getByRole('button', { name: 'another topper' }).click();
  await expect(page.getByRole('button', { name: /Water-soluble film/ })).toBeVisible();
  await page.getByRole('button', { name: 'why topper?' }).click();
  await ticket.reads(/Topper: where stitches could sink. Others: always/);
  await ticket.onTo('Mount');

  await expect(page.getByRole('heading', { name: /Top of the piece/ })).toBeVisible();
  const checks = page.getByRole('checkbox', { name: 'Carriage free before you mount the hoop.' }).first();
  await checks.click();
  await ticket.reads('Before the first stitch: 1 of 10');
  await ticket.onTo('Stitch');

  await ticket.reads(/min in all, 2 colours/);
  await expect(page.getByTestId('thread-sum')).toContainText(
    'Top thread 25.9 m · bobbin 10.4 m needed, 70 m left',
  );
  await ticket.onTo('Finish');
  await ticket.reads(/Trim what stays to between 1\/4 in and 1\/2 in, corners rounded/);
  await ticket.onTo('Log');

  await page.getByRole('button', { name: 'Puckering' }).click();
  await expect(page.getByRole('radio', { name: 'Puckering: slight' })).toBeChecked();
  await ticket.reads(/Usually: stretched in the hoop/);
  await page.getByRole('button', { name: 'Measured, timed, used otherwise than planned' }).click();
  await ticket.fill('middle, up or down', '2 mm');
  await expect(page.getByTestId('off-by')).toHaveText('It lies 1/16 in off its place.');
  await ticket.fill('Note', 'Flat enough for rowing.');
  await ticket.saved();
  await page.getByRole('button', { name: 'Put it in the logbook' }).click();
  await page.getByRole('button', { name: 'Open the entry' }).click();
  await expect(page.getByRole('heading', { name: 'Example A' })).toBeVisible();
  await ticket.reads('Puckering: slight');
  await ticket.reads('It lies 1/16 in off its place.');
  await ticket.reads('Flat enough for rowing.');
  await ticket.reads('100 × 100 screw');
  await page.goto('/');
  await ticket.reads('Crew tee, crossed oars');
  await expect(page.getByText('Example A')).toHaveCount(0);
});

test('a reading that is no length stays as typed, and nothing is planned from it', { tag: '@deep' }, async ({
  page,
}) => {
  const ticket = onTicket(page);
  await ticket.start('T-shirt');
  await ticket.fill('underarm to underarm', 'two feet');
  await ticket.reads(/underarm to underarm: “two feet” does not read as a length/);
  await ticket.fill('collar seam to hem', '-5');
  await ticket.reads(/collar seam to hem: “-5” is below zero; a length cannot be/);
  await ticket.fill('shoulder seam', '4 m');
  await ticket.reads(/shoulder seam: “4 m” does not read as a length/);
  await ticket.saved();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'underarm to underarm' })).toHaveValue('two feet');
  await ticket.stage('Hoop');
  await expect(page.getByRole('heading', { name: 'Hoop waits for Piece' })).toBeVisible();
  await page.getByRole('button', { name: 'Go to Piece' }).click();
  await ticket.fill('underarm to underarm', '4000 mm');
  await ticket.reads(/for underarm to underarm cannot be right: it lies between/);
});

test('a tee that leans is placed by the wearer’s line, or the seams’ when the shop says so', async ({
  page,
  request,
  baseURL,
}) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-07/piece');
  await ticket.reads(/Unevenly cut: the edges' middle leans/);
  await ticket.reads("Placed by the wearer's line; the seams' line is drawn too.");
  await ticket.stage('Place');
  await ticket.reads(/Its halves are not alike/);
  await request.put(`${baseURL}/api/rules`, {
    data: { rules: { units: { system: 'mm' }, schools: { centreLine: 'seams' }, numbers: {} } },
  });
  await page.goto('/ticket/demo-ticket-07/piece');
  await ticket.reads("Placed by the seams' line");
});
