import { EMPTY_DESIGN } from '@zt/core/model/ticket/design';
import { measuredTicket } from '@zt/core/testing/samples';
import { PDFDocument } from 'pdf-lib';
import { expect, expectAccessible, expectNoSidewaysScroll, test } from './support/test';
import { onTicket, putTicket } from './support/ticket';

const NAMES = [
  'Alma',
  'Bo',
  'Cid',
  'Dora',
  'Edda',
  'Finn',
  'Gro',
  'Hanne',
  'Ida',
  'Jon',
  'Anna Katharina',
  'Kai',
];

test('twelve names for napkins come from a pasted list, one too long: each with its own marks, page and stops', {
  tag: ['@wide', '@deep'],
}, async ({ page, request }) => {
  test.setTimeout(240_000);
  const ticket = onTicket(page);
  const id = `napkin-names`;
  const measured = measuredTicket('napkin', 'corner', [50, 12]);
  const napkin = { ...measured, id, name: `Napkins`, design: EMPTY_DESIGN };
  expect((await request.put(`/api/tickets/${id}`, { data: { ticket: napkin, rev: 0 } })).ok()).toBe(true);
  await page.goto('/rules');
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await page.goto(`/ticket/${id}/design`);
  await page.getByRole('button', { name: 'Add names, one on every piece' }).click();
  const list = page.getByRole('textbox', { name: 'Names, each on a line of its own' });
  await list.fill(NAMES.join('\n'));
  await page.getByRole('button', { name: 'Put them on the list' }).click();
  await ticket.reads('12 names put on the list.');
  const lines = page.getByTestId('name-line');
  await expect(lines).toHaveCount(12);
  await expect(page.getByText('being set')).toHaveCount(0);
  await ticket.fill('No name wider than', '95 mm');
  await ticket.reads(/^Mind\. “Anna Katharina” is [\d.]+ mm wide, [\d.]+ mm more than the 95 mm allowed\.$/);
  await expectNoSidewaysScroll(page);
  await expectAccessible(page);

  // Every name is as high as the others, and has figures of its own.
  const alma = lines.filter({ hasText: 'Alma' });
  const long = lines.filter({ hasText: 'Anna Katharina' });
  const across = async (line: typeof alma) =>
    /centre ([\d.]+) mm across/.exec((await line.textContent()) ?? '')?.[1];
  expect(Number(await across(alma))).toBeGreaterThan(Number(await across(long)));
  await alma.getByRole('button', { name: 'Marks of Alma' }).click();
  await expect(alma).toContainText(/chalk|mark/i);

  // The one that is too long is set in two lines; then nothing is told of it.
  await long.getByRole('button', { name: /^In two lines/ }).click();
  await expect(page.getByText(/more than the 95 mm allowed/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await ticket.reads(/^Mind\. “Anna Katharina” is /);
  await long.getByRole('button', { name: /^This one lower/ }).click();
  await expect(page.getByText(/more than the 95 mm allowed/)).toHaveCount(0);

  // A page for each.
  await page.getByRole('button', { name: 'Print a template for each' }).click();
  const file = page.getByRole('link', { name: 'Save the template as PDF' });
  await expect(file).toBeVisible();
  const pdf = await request.get((await file.getAttribute('href')) ?? '');
  expect(pdf.ok()).toBe(true);
  expect((await PDFDocument.load(await pdf.body())).getPageCount()).toBe(12);
  await expect(page.getByRole('img', { name: 'template, as it will be printed' })).toBeVisible();

  // At the table: one piece after the other.
  await page.goto(`/ticket/${id}/design`);
  await ticket.reads('Alma, 1 of 12 names');
  await page.goto(`/ticket/${id}/card/finish`);
  const words = page.getByTestId('card-text');
  for (;;) {
    const text = await words.textContent();
    if (text?.includes('is off the table')) break;
    await page.getByRole('button', { name: 'Next step' }).click();
    await expect(words).not.toHaveText(text ?? '');
  }
  await expect(words).toHaveText('“Alma” is off the table, 1 of 12.');
  await page.getByRole('button', { name: 'Made. Next: Bo' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('· Bo');
  await page.getByRole('button', { name: 'Stop here' }).click();
  await page.goto(`/ticket/${id}/names`);
  await expect(page.getByRole('checkbox', { name: 'Alma is made' })).toBeChecked();
  await expect(page.getByRole('checkbox', { name: 'Bo is made' })).not.toBeChecked();
  await ticket.reads(/12 names, 1 made, \d+ min in all/);
  await expect(lines.filter({ hasText: 'Bo' }).getByText('on the table')).toBeVisible();

  // Logged, it is twelve pieces, each by its name.
  await page.goto(`/ticket/${id}/log`);
  await ticket.reads('11 of 12 names are not ticked as made: it is logged as 12 pieces.');
  await page.getByRole('button', { name: 'Came out well' }).click();
  await page.getByRole('button', { name: 'Open the entry' }).click();
  await ticket.reads('12 pieces');
  await ticket.reads(NAMES.join(', '));
});

test('a list that is broken in places is taken but for those, and letters that no face has are told', {
  tag: '@deep',
}, async ({ page, request }) => {
  const ticket = onTicket(page);
  const id = `broken-names`;
  const tee = measuredTicket('t-shirt', 'left-chest', [90, 60]);
  const sizes = [{ name: 'L', count: 1, readings: { chestWidth: 560 } }];
  const made = { ...tee, id, name: `Team`, piece: { ...tee.piece, sizes } };
  expect((await request.put(`/api/tickets/${id}`, { data: { ticket: made, rev: 0 } })).ok()).toBe(true);
  await page.goto(`/ticket/${id}/names`);
  await page.getByLabel('List of names', { exact: true }).setInputFiles({
    name: 'names.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Name;Size\nAda;L\n"Bea;L\nCleo;XXL\n;L\nDaphne 🧵;\nשרה;\n'),
  });
  await ticket.reads('3 names put on the list.');
  await ticket.reads('Line 3: a quotation mark is opened and not closed.');
  await ticket.reads('Line 4: the order has no size “XXL”; it has L.');
  await ticket.reads('Line 5: there is no name on it.');
  await expect(page.getByRole('textbox', { name: 'More names, each on a line' })).toHaveValue(
    '"Bea;L\nCleo;XXL\n;L',
  );
  const lines = page.getByTestId('name-line');
  await expect(lines.filter({ hasText: 'Ada' })).toContainText('Ada · L');
  await expect(lines.filter({ hasText: 'Daphne' })).toContainText('This typeface has no “🧵”.');
  await expect(lines.filter({ hasText: 'Daphne' })).toContainText('not set');

  // What another typeface has is set in that, all names with it.
  const hebrew = lines.filter({ hasText: 'שרה' });
  await expect(hebrew).toContainText('This typeface has no');
  await hebrew.getByRole('button', { name: 'Set all in plump' }).click();
  await expect(hebrew).toContainText(/ · [\d /]+in/);

  // Mended where it stands.
  await lines
    .filter({ hasText: 'Daphne' })
    .getByRole('button', { name: /^Change Daphne/ })
    .click();
  await ticket.fill('name 2', 'Daphne');
  await expect(lines.filter({ hasText: 'Daphne' })).not.toContainText('This typeface has no');
  await expect(lines.filter({ hasText: 'Daphne' })).toContainText(/Daphne · [\d /]+in/);
  await page.reload();
  await expect(lines).toHaveCount(3);

  // Out of its turn, on another size, as the others again, off the list and back.
  await page.getByRole('button', { name: 'Take Daphne to the table' }).click();
  const daphne = lines.filter({ hasText: 'Daphne' });
  await expect(daphne.getByText('on the table')).toBeVisible();
  await daphne.getByRole('button', { name: 'Change Daphne' }).click();
  const height = daphne.getByRole('textbox', { name: 'its height, % of all' });
  await height.fill('80');
  await height.blur();
  await page.getByRole('button', { name: 'Daphne as all the others' }).click();
  await expect(height).toHaveValue('100');
  await page.getByRole('radiogroup', { name: 'Size of Daphne' }).getByRole('radio', { name: 'L' }).click();
  await expect(daphne).toContainText('Daphne · L · ');
  await page.getByRole('button', { name: 'Take Daphne off the list' }).click();
  await expect(lines).toHaveCount(2);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(daphne).toContainText('Daphne · L · ');
  await page.goto(`/ticket/${id}/sizes`);
  await ticket.reads('Ada, Daphne');
  await page.goto(`/ticket/${id}/names`);
  await expect(lines).toHaveCount(3);
  await page.getByRole('button', { name: 'One design for all pieces again' }).click();
  await expect(lines).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(lines).toHaveCount(3);
});

test('names of two lengths: hooped in groups they take less stabilizer, and a group gets a ticket of its own', {
  tag: '@deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  const measured = measuredTicket('napkin', 'corner', [50, 12]);
  const at = await putTicket(page, {
    ...measured,
    id: 'napkins-in-groups',
    name: 'Napkins in groups',
    design: EMPTY_DESIGN,
  });
  await page.goto(`${at}/design`);
  await page.getByRole('button', { name: 'Add names, one on every piece' }).click();
  await page
    .getByRole('textbox', { name: 'Names, each on a line of its own' })
    .fill(['Jo', 'Bo', 'Al', 'Cy', 'Bartholomew', 'Maximilian'].join('\n'));
  await page.getByRole('button', { name: 'Put them on the list' }).click();
  await ticket.reads('6 names put on the list.');
  const groups = page.getByRole('group', { name: 'Names in groups' });
  await expect(groups).toContainText(/In 3 groups they take \d+ % less stabilizer/);
  await groups.getByRole('button', { name: 'A ticket of their own for these 4' }).click();
  await expect(page).not.toHaveURL(/napkins-in-groups/);
  await expect(page.getByTestId('name-line')).toHaveCount(4);
  await page.goto(`${at}/design`);
  await ticket.saved();
  await page.goto(`${at}/names`);
  await expect(page.getByTestId('name-line')).toHaveCount(2);
  await expect(groups.getByRole('button', { name: 'A ticket of its own for Maximilian' })).toBeVisible();
});
