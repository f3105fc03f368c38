import type { Page } from '@playwright/test';
import { exampleA, exampleB } from '@zt/core/testing/samples';
import { expect, expectAccessible, expectNoSidewaysScroll, onEmptyShop, test } from './support/test';
import { copyOf, onTicket, putTicket } from './support/ticket';

const cardText = (page: Page) => page.getByTestId('card-text');
const nextStep = (page: Page) => page.getByRole('button', { name: 'Next step' });

test('one deck goes from where the job stands to the logbook, ticks what was gone through, and is resumed elsewhere', {
  tag: '@wide-deep',
}, async ({ page, context }) => {
  const at = await putTicket(page, { ...exampleA(), id: 'deck-from-end-to-end', name: 'All the way' });
  await page.goto(`${at}/place`);
  await page.getByRole('button', { name: 'At the table' }).click();
  await expect(cardText(page)).toHaveText(/^Wash and press it first/);
  // A tap anywhere on the card goes on, as the button does, and the keys.
  await cardText(page).click();
  await page.keyboard.press('PageDown');
  await page.keyboard.press(' ');
  const here = await cardText(page).textContent();
  await page.getByRole('button', { name: 'Step back' }).click();
  await expect(page.getByTestId('card-done')).toBeVisible();
  await page.getByRole('button', { name: 'Stop here' }).click();
  await expect(page.getByRole('heading', { name: 'Left chest' })).toBeVisible();
  await onTicket(page).saved();

  // Another device goes on where this one stopped, and is followed.
  const other = await context.newPage();
  await other.goto(`${at}/card/place`);
  await expect(cardText(other)).toHaveText(here ?? '');
  await page.goto(`${at}/card/place`);
  await expect(cardText(page)).toHaveText(here ?? '');
  await nextStep(other).click();
  const then = (await cardText(other).textContent()) ?? '';
  expect(then).not.toBe(here);
  await expect(cardText(page)).toHaveText(then);
  await other.close();

  // To the end of the job: the keys are on a card of their own, large.
  let keysSeen = false;
  for (let i = 0; i < 70; i += 1) {
    const text = (await cardText(page).textContent()) ?? '';
    if (text.startsWith('Off the table')) break;
    if (text.startsWith('Call the design up')) {
      keysSeen = true;
      await expect(page.getByText('Turn', { exact: true })).toBeVisible();
    }
    await nextStep(page).click();
    await expect(cardText(page)).not.toHaveText(text);
  }
  expect(keysSeen).toBe(true);
  await page.getByRole('button', { name: 'Came out well' }).click();
  await page.getByRole('button', { name: 'Open the entry' }).click();
  await onTicket(page).reads('It came out well.');
});

test('the checks and colours that were gone through at the table are ticked in their stages', async ({
  page,
}) => {
  const at = await putTicket(page, { ...exampleB(), id: 'deck-ticks-stages', name: 'Ticked' });
  await page.goto(`${at}/card/mount`);
  await expect(cardText(page)).toHaveText(/laid out in order/);
  await nextStep(page).click();
  await expect(cardText(page)).toHaveText(/needle in\.$/);
  await page.getByRole('button', { name: 'Stop here' }).click();
  await expect(page.getByRole('checkbox', { name: /laid out in order/ })).toBeChecked();
  await expect(page.getByRole('checkbox', { name: /needle in\.$/ })).not.toBeChecked();
});

test('a reading is taken on its card, and a step is read aloud by the device’s own voice', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const said: string[] = [];
    const voice = { name: 'of the test', lang: 'en-GB', localService: true, default: true, voiceURI: '' };
    class Words {
      voice: unknown;
      lang = '';
      rate = 1;
      constructor(readonly text: string) {}
    }
    Object.assign(window, { said, SpeechSynthesisUtterance: Words });
    Object.defineProperty(window, 'speechSynthesis', {
      value: {
        getVoices: () => [voice],
        speak: (words: Words) => said.push(`${words.rate} ${words.text}`),
        cancel: () => undefined,
        addEventListener: () => undefined,
      },
    });
  });
  const said = () => page.evaluate(() => (window as unknown as { said: string[] }).said.at(-1) ?? '');
  const bare = exampleB();
  const at = await putTicket(page, {
    ...bare,
    id: 'deck-takes-readings',
    piece: { ...bare.piece, readings: {} },
  });
  await page.goto(`${at}/card/piece`);
  await expect(cardText(page)).toHaveText(/side hem to side hem|Tape straight across/i);
  await page.getByRole('button', { name: 'Read the steps aloud' }).click();
  await expect.poll(said).toMatch(/^1 .*side to side/);
  await page.getByRole('button', { name: 'Read at a calm pace' }).click();
  await expect.poll(said).toMatch(/^0.8 /);
  const field = page.getByRole('textbox', { name: 'side to side' });
  await field.fill('27');
  await field.press('Enter');
  await expect(page.getByRole('textbox', { name: 'hem to far edge of the band' })).toBeVisible();
  await expect.poll(said).toMatch(/hem to far edge/);
  await page.getByRole('button', { name: 'Stop reading aloud' }).click();
  await page.getByRole('button', { name: 'Stop here' }).click();
  await expect(page.getByRole('textbox', { name: 'side to side' })).toHaveValue('27 in');
});

test('what is chosen in a step is chosen on its card, and the steps after it follow', {
  tag: '@deep',
}, async ({ page }) => {
  const at = await copyOf(page, 'demo-ticket-02');
  await page.goto(`${at}/card/place`);
  await expect(cardText(page)).toHaveText(/^Wash and press it first/);
  await page.getByRole('radio', { name: 'fold and press' }).click();
  await expect(page.getByRole('radio', { name: 'fold and press' })).toBeChecked();
  await expect(cardText(page)).toHaveText(/^Wash and press it first/);
  await nextStep(page).click();
  await expect(cardText(page)).toHaveText(/^Fold it in half/);
  await page.goto(`${at}/place`);
  await expect(page.getByRole('radio', { name: 'fold and press' })).toBeChecked();
  // So is the way round, at the bracket.
  await page.goto(`${at}/card/hoop`);
  const ways = page.getByRole('radiogroup', { name: 'Way round' });
  for (let i = 0; i < 20 && (await ways.count()) === 0; i++) {
    const was = (await cardText(page).textContent()) ?? '';
    await nextStep(page).click();
    await expect(cardText(page)).not.toHaveText(was);
  }
  const other = ways.getByRole('radio', { checked: false }).first();
  const top = /^top ([^,]+),/.exec((await other.getAttribute('aria-label')) ?? '')?.[1] ?? '?';
  await other.click();
  await expect(cardText(page)).toContainText(`the piece's top will point ${top}.`);
});

/** What the cards of a stage say, one after the other, to the last of them. */
async function cardsFrom(page: Page, address: string, isLast: RegExp): Promise<string[]> {
  await page.goto(address);
  await expect(cardText(page)).toBeVisible();
  const all: string[] = [];
  for (;;) {
    const text = (await cardText(page).textContent()) ?? '';
    all.push(text);
    if (isLast.test(text) || all.length > 120) return all;
    await nextStep(page).click();
    await expect(cardText(page)).not.toHaveText(text);
  }
}

/** That the cards say these one after the other, whatever stands between. */
function inTurn(cards: readonly string[], wanted: readonly RegExp[]): void {
  let from = 0;
  for (const one of wanted) {
    const at = cards.findIndex((text, i) => i >= from && one.test(text));
    expect(at, `${one} after card ${from} of:\n${cards.join('\n')}`).toBeGreaterThanOrEqual(0);
    from = at + 1;
  }
}

test('each of four corners has its hoop centre, settings, trace and stitches on cards of its own', {
  tag: '@deep',
}, async ({ page }) => {
  const at = await copyOf(page, 'demo-ticket-12');
  const cards = await cardsFrom(page, `${at}/card/stitch`, /^Off the table|is off the table/);
  inTurn(
    cards,
    [2, 3, 4].flatMap((n) => [
      /out of the hoop/,
      new RegExp(`notches with .* of no\\. ${n}\\.$`),
      /^Latch the hoop/,
      new RegExp(`no\\. ${n} and enter its settings`),
      new RegExp(`^Trace no\\. ${n}:`),
      new RegExp(`^Basting box .* no\\. ${n},`),
      new RegExp(`^Stitch no\\. ${n}:`),
    ]),
  );
});

test('the second part of a split design is laid on its crosses, on cards of its own', {
  tag: '@deep',
}, async ({ page }) => {
  const at = await copyOf(page, 'demo-ticket-15');
  await page.goto(`${at}/hoop`);
  await page.getByRole('button', { name: /^Split it into 2 hoopings/ }).click();
  await page.getByRole('button', { name: 'Do it: Split it into 2 hoopings' }).click();
  await onTicket(page).reads(/Stitched in 2 hoopings/);
  await onTicket(page).saved();
  const cards = await cardsFrom(page, `${at}/card/stitch`, /^Off the table|is off the table/);
  inTurn(cards, [/^Colour 1: /, /unhoop|out of the hoop/i, /part 2/]);
});

test('where the device has no voice of its own it says so, and goes on in silence', async ({ page }) => {
  await page.goto(`${await copyOf(page, 'demo-ticket-01')}/card/place`);
  await page.getByRole('button', { name: 'Read the steps aloud' }).click();
  await expect(page.getByText(/^This device has no voice of its own/)).toBeVisible();
  await expect(nextStep(page)).toBeVisible();
});

test('a length that is touched is taken by the tape keypad; keys of a keyboard go there too', {
  tag: '@deep',
}, async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Start a piece' }).click();
  await page.getByRole('button', { name: 'Hand towel', exact: true }).click();
  const field = page.getByRole('textbox', { name: 'side to side' });
  await field.tap();
  const pad = page.getByTestId('keypad');
  await expect(pad).toBeVisible();
  await expect(field).toHaveAttribute('inputmode', 'none');
  await expectNoSidewaysScroll(page);
  const key = (name: string) => pad.getByRole('button', { name, exact: true }).tap();
  for (const name of ['1', '5', '1/2', '1/16']) await key(name);
  await expect(page.getByTestId('keypad-text')).toHaveText('15 9/16');
  await key('Plus another tape');
  await page.keyboard.press('1');
  await expect(page.getByTestId('keypad-text')).toHaveText('15 9/16 + 1');
  for (const box of await pad.getByRole('button').all())
    expect((await box.boundingBox())?.height ?? 0).toBeGreaterThanOrEqual(44);
  await key('Take this length');
  await expect(pad).toHaveCount(0);
  await expect(field).toHaveValue('16 9/16 in');
  await page.getByRole('button', { name: 'Next: hem to far edge of the band' }).tap();
  await page.getByRole('textbox', { name: 'hem to far edge of the band' }).tap();
  await key('Same as last');
  await key('Half of it');
  await expect(page.getByTestId('keypad-text')).toHaveText('8 9/32 in');
  // On its side a phone shows the keys over the sheet: the field beside them stays in sight.
  await page.setViewportSize({ width: 844, height: 390 });
  const far = page.getByRole('textbox', { name: 'hem to far edge of the band' });
  await far.tap();
  await expect(pad).toBeVisible();
  const [padBox, fieldBox] = [await pad.boundingBox(), await far.boundingBox()];
  expect((padBox?.x ?? 0) + (padBox?.width ?? 0)).toBeLessThanOrEqual(fieldBox?.x ?? 0);
  await expectNoSidewaysScroll(page);
  await key('Take this length');
  // Half of 16 9/16, as a tape of sixteenths shows it: what was in the hand when the phone was turned is kept.
  await expect(far).toHaveValue('8 5/16 in');
  await page.setViewportSize({ width: 390, height: 844 });
  await far.tap();
  // Whoever wants letters has them.
  await key('Letters instead');
  await expect(pad).toHaveCount(0);
  await expect(page.getByRole('textbox', { name: 'hem to far edge of the band' })).toHaveAttribute(
    'inputmode',
    'text',
  );
});

onEmptyShop('an empty shop is set up by pictures, or by the piece that first asks', async ({ page }) => {
  await page.goto('/');
  await page.goto('/logbook');
  await expect(page.getByText(/^Each piece that leaves the table is kept here/)).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Start a piece' }).click();
  await expect(page.getByRole('textbox', { name: 'Find a kind' })).toBeVisible();
  await page.goto('/shelf');
  await expect(page.getByText(/^Here lie your machines/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add a hoop' })).toHaveCount(0);
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Add one by one' }).click();
  await expect(page.getByRole('button', { name: 'Add a hoop' })).toBeVisible();
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Say what you work with' }).click();
  await expect(page.getByRole('checkbox', { name: 'One needle, free arm' })).toBeVisible();
  await page.goto('/');
  await expect(page.getByText('Nothing on the bench.')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Say what you work with' }).click();
  await page.getByRole('checkbox', { name: 'One needle, free arm' }).click();
  await page.getByRole('checkbox', { name: /Tear-away, medium/ }).click();
  await expect(page.getByRole('checkbox', { name: /Tear-away, medium/ })).toBeChecked();
  await expectAccessible(page);
  await expectNoSidewaysScroll(page);
  await page.getByRole('button', { name: 'Start a piece' }).click();

  // Hoops were left out: the piece asks once it needs them.
  const ticket = onTicket(page);
  await page.getByRole('button', { name: 'Handkerchief', exact: true }).click();
  await page.getByRole('radio', { name: 'millimetres' }).click();
  await ticket.fill('side to side', '450');
  await ticket.fill('hem to hem', '450');
  await ticket.fill('hem, depth', '8');
  await ticket.stage('Design');
  await ticket.fill('design width', '60');
  await ticket.fill('design height', '40');
  await page.getByRole('radio', { name: 'light', exact: true }).click();
  await ticket.stage('Hoop');
  await expect(page.getByRole('heading', { name: 'Which hoops do you have?' })).toBeVisible();
  await page.getByRole('checkbox', { name: '100 × 100 screw' }).click();
  await expect(page.getByRole('heading', { name: /^100 × 100 screw, / })).toBeVisible();
  await page.goto('/shelf');
  await expect(page.getByRole('button', { name: /^One needle, free arm: / })).toBeVisible();
});

onEmptyShop(
  'the usual kit is one tap, marked as taken as usual until somebody looks',
  { tag: '@deep' },
  async ({ page }) => {
    await page.goto('/first');
    await page.getByRole('button', { name: 'Take the usual kit' }).click();
    await expect(page.getByRole('button', { name: 'Take the usual kit' })).toHaveCount(0);
    // A second tap undoes the first: it is the very thing that was there.
    const flatBed = page.getByRole('checkbox', { name: 'One needle, flat bed' });
    await flatBed.click();
    await expect(flatBed).not.toBeChecked();
    await flatBed.click();
    await expect(flatBed).toBeChecked();
    await page.goto('/shelf');
    const machine = page.getByRole('button', { name: /^One needle, flat bed: .*taken as usual/ });
    await machine.click();
    await page.getByRole('button', { name: 'One needle, flat bed is so' }).click();
    await expect(machine).toHaveCount(0);
    await expect(page.getByRole('button', { name: /^130 × 180 screw: .*taken as usual/ })).toBeVisible();
  },
);

test('a piece of the logbook is made again, measured and placed as it was', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/new');
  const offer = page.getByRole('button', { name: /^Again: / }).first();
  const name = ((await offer.getAttribute('aria-label')) ?? '').replace('Again: ', '');
  await offer.click();
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
  await expect(page).toHaveURL(/\/place$/);
  await ticket.saved();
  await ticket.stage('Finish');
  for (const tick of await page.getByRole('checkbox').all()) await expect(tick).not.toBeChecked();
});

test('what must be keyed in at the machine stands in sight, whatever the design asks', async ({ page }) => {
  for (const id of ['demo-ticket-01', 'demo-ticket-02', 'demo-ticket-03']) {
    await page.goto(`${await copyOf(page, id)}/mount`);
    const foot = await page.getByRole('button', { name: 'On to Stitch' }).boundingBox();
    for (const key of ['Turn', 'Mirror', 'Move']) {
      const box = await page
        .getByText(new RegExp(`^(\\d\\. )?${key}$`))
        .first()
        .boundingBox();
      expect((box?.y ?? 9999) + (box?.height ?? 0)).toBeLessThan(foot?.y ?? 0);
    }
  }
});

test('a wide screen is a workbench: a board by what is next, a rail, and a sheet as wide as is wished', {
  tag: '@only-wide',
}, async ({ page }) => {
  await page.goto('/');
  const hooping = page.getByRole('region', { name: 'Hoop and mount' });
  await expect(hooping.getByRole('heading', { name: /^Hoop and mount: \d+$/ })).toBeVisible();
  await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible();
  await page.goto('/ticket/demo-ticket-01/place');
  const line = page.getByRole('separator', { name: 'Width of the sheet' });
  const before = (await line.boundingBox())?.x ?? 0;
  await line.focus();
  await page.keyboard.press('ArrowLeft');
  await expect.poll(async () => (await line.boundingBox())?.x ?? 0).toBeLessThan(before - 20);
  await page.reload();
  await expect.poll(async () => (await line.boundingBox())?.x ?? 0).toBeLessThan(before - 20);
});

test('shelf and logbook are tables with pictures on a wide screen, sorted by their columns, and gone through by arrows', {
  tag: ['@only-wide', '@deep'],
}, async ({ page }) => {
  await page.goto('/shelf');
  const hoops = page.getByRole('table', { name: 'Hoops' });
  const firstCells = async (at: number) =>
    (await hoops.getByRole('row').allTextContents()).slice(1).map((text) => text.slice(0, at));
  await hoops.getByRole('button', { name: 'Sort by field' }).click();
  await expect(hoops.getByRole('columnheader', { name: 'Sort by field' })).toHaveAttribute(
    'aria-sort',
    'ascending',
  );
  expect((await firstCells(7))[0]).toBe('60 × 40');
  await hoops.getByRole('button', { name: 'Sort by field' }).click();
  await expect.poll(async () => (await firstCells(9))[0]).toBe('330 × 400');
  await hoops.getByRole('button', { name: /^330 × 400/ }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(hoops.getByRole('button', { name: /^240 × 360/ })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(hoops.getByRole('textbox', { name: 'Name' })).toHaveValue(/^240 × 360/);
  await expectAccessible(page);
  await expectNoSidewaysScroll(page);

  await page.goto('/logbook');
  const pieces = page.getByRole('table', { name: 'Pieces' });
  const outcomes = async () =>
    (await pieces.getByRole('row').allTextContents())
      .slice(1)
      .map((text) => /(good|slight|plain|spoilt)(?: ·|$)/.exec(text)?.[1] ?? text);
  await pieces.getByRole('button', { name: 'Sort by how it came out' }).click();
  await expect.poll(async () => (await outcomes())[0]).toBe('good');
  await pieces.getByRole('button', { name: 'Sort by how it came out' }).click();
  await expect.poll(async () => (await outcomes())[0]).toBe('spoilt');
  const order = ['spoilt', 'plain', 'slight', 'good'];
  const ranks = (await outcomes()).map((outcome) => order.indexOf(outcome));
  expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
  await expectAccessible(page);
  await expectNoSidewaysScroll(page);
});
