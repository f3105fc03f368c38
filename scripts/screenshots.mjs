import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './lib.mjs';
import { openDemo } from './serve.mjs';

/** A hoop put on the practice machine, latched, and the first colour stitched. */
async function practise(page) {
  const tap = (name) => page.getByRole('button', { name }).first().click();
  await page
    .getByRole('radio', { name: /^100 × 100/ })
    .first()
    .click();
  await tap('Latch it');
  await tap(/^Thread/);
  await tap('Start');
  await page.getByText(/^Colour change/).waitFor();
}

/** A stitch-out, played some way. */
async function halfStitched(page) {
  const scrub = page.getByRole('slider', { name: 'How far it is stitched' });
  const total = Number(await scrub.getAttribute('max'));
  await scrub.fill(String(Math.round(total * 0.8)));
  await page
    .getByTestId('stitch-at')
    .filter({ hasText: /colour [34]/ })
    .waitFor();
  // Painted a frame later.
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
}

/** A name on an arch below the drawing. */
async function lettered(page) {
  await page.getByRole('button', { name: 'Add letters' }).click();
  await page.getByRole('radio', { name: 'plump' }).click();
  await page.getByRole('radio', { name: 'an arch' }).click();
  await page.getByLabel('letters', { exact: true }).fill('Slipway');
  await page.getByLabel('letters', { exact: true }).blur();
  await page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]').nth(9).waitFor();
  await page.getByTestId('sheet').click({ position: { x: 6, y: 6 } });
  await page.locator('[data-testid="sheet"] path[fill-rule="evenodd"]').nth(9).click({ force: true });
}

/** The day, once it is planned. */
async function planned(page) {
  await page.getByTestId('worth').waitFor();
  await page.getByTestId('planning').waitFor({ state: 'hidden' });
}

/** A word of cloth, its pieces laid on it. */
async function ofCloth(page) {
  await page.getByRole('button', { name: 'Add letters' }).click();
  await page.getByLabel('letters', { exact: true }).fill('Mira');
  await page.getByLabel('letters', { exact: true }).blur();
  const high = page.getByRole('textbox', { name: 'height of a capital' });
  await high.fill('2 in');
  await high.blur();
  await page.getByRole('button', { name: 'appliqué of this part' }).click();
  await page.getByRole('checkbox', { name: /is of cloth$/ }).click();
  const cloth = page.getByRole('textbox', { name: 'Cloth', exact: true });
  await cloth.fill('gingham');
  await cloth.blur();
  await page
    .getByRole('button', { name: /^Colour of the cloth/ })
    .nth(6)
    .click();
  await page.getByRole('button', { name: 'Cut the cloth' }).click();
  await page.getByTestId('cloth-taken').waitFor();
}

/** The screen is there: the page as it was sent is taken down once more while its fonts are fetched. */
async function shown(page) {
  await page
    .locator('h1, h2, [role="heading"], [data-testid="card-text"]')
    .filter({ visible: true })
    .first()
    .waitFor();
  await page.getByText(/^Loading|^Opening the shop/).waitFor({ state: 'hidden' });
}

/** The picture that no longer changes, with the screen still there. */
async function stillPicture(page) {
  let last = Buffer.alloc(0);
  for (;;) {
    await shown(page);
    await page.waitForTimeout(400);
    const picture = await page.screenshot();
    if (picture.equals(last)) return picture;
    last = picture;
  }
}

/** Takes the README's pictures from the demo's data. */
const PHONE = { width: 390, height: 844 };
const WIDE = { width: 1280, height: 800 };
const SHOTS = [
  ['bench', PHONE, '/'],
  ['orders', PHONE, '/orders/demo-order-guesthouse'],
  ['price', PHONE, '/ticket/demo-ticket-01/price'],
  ['piece', PHONE, '/ticket/demo-ticket-01/piece'],
  ['design', PHONE, '/ticket/demo-ticket-05/design', lettered],
  ['place', PHONE, '/ticket/demo-ticket-01/place'],
  ['card', PHONE, '/ticket/demo-ticket-01/card/place'],

  ['cutting', PHONE, '/cutting'],
  ['weeks', PHONE, '/weeks'],
  [
    'hoop',
    PHONE,
    '/ticket/demo-ticket-14/hoop',
    (page) => page.getByRole('button', { name: /^Shift the design/ }).click(),
  ],
  ['layers', PHONE, '/ticket/demo-ticket-02/layers'],
  ['mount', PHONE, '/ticket/demo-ticket-02/mount'],
  ['stitch', PHONE, '/ticket/demo-ticket-01/stitch', halfStitched],
  ['log', PHONE, '/ticket/demo-ticket-09/log'],
  ['shelf', PHONE, '/shelf'],
  ['wide-day', WIDE, '/day', planned],
  ['wide-practice', WIDE, '/ticket/demo-ticket-01/practice', practise],
  ['wide-logbook', WIDE, '/logbook'],
  ['cloth', PHONE, '/ticket/demo-ticket-04/design', ofCloth],
];

const { url, browser, close } = await openDemo();
const out = join(ROOT, 'docs/screenshots');
mkdirSync(out, { recursive: true });
for (const [name, viewport, path, steps] of SHOTS) {
  const page = await browser.newPage({ viewport });
  await page.goto(url + path, { waitUntil: 'networkidle' });
  await shown(page);
  await steps?.(page);
  writeFileSync(join(out, `${name}.png`), await stillPicture(page));
  await page.close();
}
await close();
console.log(`${SHOTS.length} pictures in docs/screenshots`);
