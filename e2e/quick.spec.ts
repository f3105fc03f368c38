import { expect, type Locator, type Page } from '@playwright/test';
import { test } from './support/test';

/** Taps as a newcomer makes them: each a touch or a click; what is typed into a field is one reading. */
function hands(page: Page) {
  const count = { taps: 0, readings: 0 };
  const tap = async (target: Locator) => {
    count.taps++;
    await target.click();
  };
  return {
    count,
    tap,
    /** Goes to a field, types what the tape says, and Enter. */
    read: async (label: string, value: string) => {
      const field = page.getByRole('textbox', { name: label, exact: true });
      count.taps++;
      count.readings++;
      await field.click();
      await field.fill(value);
      await field.press('Enter');
    },
    press: (name: string | RegExp) => tap(page.getByRole('button', { name, exact: true })),
  };
}

/** What the card asks to do with chalk first. */
const firstChalk = async (page: Page, press: (name: string) => Promise<void>) => {
  const text = page.getByTestId('card-text');
  await expect(text).toBeVisible();
  for (let i = 0; i < 4 && !/chalk|mark/i.test((await text.textContent()) ?? ''); i++) {
    const was = await text.textContent();
    await press('Next step');
    await expect(text).not.toHaveText(was ?? '');
  }
  return text;
};

test('a newcomer marks a chest logo after at most 12 taps and 3 readings', async ({ page }) => {
  const { count, read, press, tap } = hands(page);
  await page.goto('/');
  await press('Start a piece');
  await press('T-shirt');
  await read('underarm to underarm', '20 1/2');
  await press('On to Design');
  await read('design width', '88 mm');
  await read('design height', '51 mm');
  await tap(page.getByRole('radio', { name: 'light', exact: true }));
  await press('On to Place');
  await expect(page.getByRole('heading', { name: 'Left chest' })).toBeVisible();
  await press('At the table');
  await expect(await firstChalk(page, press)).toContainText('10 1/4 in');
  expect(count.readings).toBeLessThanOrEqual(3);
  expect(count.taps).toBeLessThanOrEqual(12);
});

test('a newcomer marks a towel after at most 12 taps and 3 readings, of which sizes are taken as usual', async ({
  page,
}) => {
  const { count, read, press, tap } = hands(page);
  await page.goto('/');
  await press('Start a piece');
  await press('Hand towel');
  await press(/^usual size, 18 /);
  await expect(
    page.getByText(/Taken as usual, not read on this piece: side to side 18/).first(),
  ).toBeVisible();
  await press('On to Design');
  await read('design width', '70 mm');
  await read('design height', '50 mm');
  await tap(page.getByRole('radio', { name: 'light', exact: true }));
  await press('On to Place');
  await press('At the table');
  // What was taken as usual is read on the piece first: the marks go by it.
  const field = page.getByRole('textbox', { name: 'side to side' });
  await expect(field).toHaveValue('');
  await read('side to side', '19');
  await expect(page.getByRole('textbox', { name: 'hem to far edge of the band' })).toBeVisible();
  await expect(await firstChalk(page, press)).toContainText(/9 1\/2 in/);
  expect(count.readings).toBeLessThanOrEqual(3);
  expect(count.taps).toBeLessThanOrEqual(12);
});

test('what can wait is asked for at the table once the marks are made, and then judged', {
  tag: '@deep',
}, async ({ page }) => {
  const { read, press } = hands(page);
  await page.goto('/');
  await press('Start a piece');
  await press('T-shirt');
  await press(/^adult M, 20 1\/2 in$/);
  await press('It reads 20 1/2 in here too');
  await expect(page.getByText(/^Mind\. Taken as usual/)).toHaveCount(0);
  await expect(
    page.getByText(/Still to read before the ring closes: collar seam to hem 24/).first(),
  ).toBeVisible();
  await press('On to Design');
  await read('design width', '60 mm');
  await read('design height', '50 mm');
  await page.getByRole('radio', { name: 'light', exact: true }).click();
  await press('On to Place');
  await press('On to Hoop');
  await expect(page.getByText(/^Note\. The ring’s room is judged by usual lengths/).first()).toBeVisible();
  await page.getByRole('button', { name: 'At the table' }).click();
  const length = page.getByRole('textbox', { name: 'collar seam to hem' });
  await expect(length).toHaveValue('');
  await length.fill('25');
  await length.press('Enter');
  for (const name of ['shoulder seam', 'armhole depth']) {
    const field = page.getByRole('textbox', { name });
    await field.fill(name === 'shoulder seam' ? '5 3/4' : '8 1/2');
    await field.press('Enter');
  }
  await page.getByRole('button', { name: 'Stop here' }).click();
  await expect(page.getByText(/^Note\. The ring’s room is judged by usual lengths/)).toHaveCount(0);
});

test('what the shop makes most stands first when a piece is started', async ({ page }) => {
  await page.goto('/new');
  const headings = page.getByRole('heading', { level: 2 });
  await expect(headings.filter({ hasText: 'What you make most' })).toBeVisible();
  const names = await headings.allTextContents();
  expect(names.indexOf('What you make most')).toBeLessThan(names.indexOf('Garments'));
  await page.getByRole('textbox', { name: 'Find a kind' }).fill('towel');
  await expect(headings.filter({ hasText: 'What you make most' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Bath towel', exact: true })).toHaveCount(1);
});
