import { BARE_APP, weighBareApp } from './bareApp.mjs';
import { framesWhile, median, ms, PHONE, p95, row, SLOWER, slowPage } from './benchKit.mjs';
import { openDemo } from './serve.mjs';

/**
 * How the sheet keeps up on a phone: with the processor at a quarter, a drag's frames, what a keystroke takes, how long
 * until a ticket can be worked on, and what the first visit weighs. Beside it a bare page that moves the same drawing.
 */
const TICKET = '/ticket/demo-ticket-01/place';
const MOVES = 60;

const bareScripts = await weighBareApp();
const { url, browser, close } = await openDemo();

/** Milliseconds from an event to the frame that shows what it did, for each act that makes one. */
async function responses(page, event, acts) {
  const times = [];
  for (const act of acts) {
    await page.evaluate((name) => {
      window.shown_ = new Promise((done) => {
        const begin = () => {
          const begun = performance.now();
          requestAnimationFrame(() => setTimeout(() => done(performance.now() - begun)));
        };
        window.addEventListener(name, begin, { once: true, capture: true });
      });
    }, event);
    await act();
    times.push(await page.evaluate(() => window.shown_));
  }
  return times;
}

/** Where the design is on the sheet. */
async function designAt(page) {
  const sheet = page.getByTestId('sheet');
  await sheet.waitFor();
  const box = await sheet.boundingBox();
  const moved = await page
    .locator('[data-testid="sheet"] g[transform*="rotate"]')
    .first()
    .getAttribute('transform');
  const [x, y] = /translate\(([-\d.]+)[ ,]+([-\d.]+)\)/.exec(moved).slice(1).map(Number);
  return { x: box.x + x, y: box.y + y };
}

async function drag(page, from) {
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  const moves = Array.from(
    { length: MOVES },
    (_, i) => () => page.mouse.move(from.x + i * 0.6, from.y + i * 0.8),
  );
  const times = await responses(page, 'pointermove', moves.slice(1));
  await page.mouse.up();
  return times;
}

/** A page with nothing but a drawing, which it moves with the finger, and a field, of which it shows what is typed. */
async function barePage(drawing) {
  const { page } = await slowPage(browser);
  await page.setContent(
    `<body style="margin:0;touch-action:none"><input aria-label="words"><p></p>${drawing}</body>`,
  );
  await page.evaluate(() => {
    document.querySelector('input').addEventListener('input', ({ target }) => {
      document.querySelector('p').textContent = target.value;
    });
    const group = document.querySelector('g[transform*="rotate"]');
    const was = group.getAttribute('transform');
    let from = null;
    window.addEventListener('pointerdown', (e) => {
      from = e;
    });
    window.addEventListener('pointermove', (e) => {
      if (from) group.setAttribute('transform', `translate(${e.x - from.x} ${e.y - from.y}) ${was}`);
    });
  });
  return page;
}

const WORDS = 'oars and waves';
const keystrokes = (page) =>
  responses(
    page,
    'keydown',
    [...WORDS].map((key) => () => page.keyboard.press(key)),
  );

/** Until a page shows what it is for and rests, ms. */
async function usableAfter(page, address, shown) {
  const begun = Date.now();
  await page.goto(address);
  await shown().waitFor();
  await page.evaluate(() => new Promise((idle) => requestIdleCallback(idle)));
  return Date.now() - begun;
}

/** Until the bare app's one word is shown, ms, first and again. */
async function bareAppUsable() {
  const bare = await openDemo({ web: BARE_APP });
  const { page } = await slowPage(bare.browser);
  const word = () => page.getByText('Bare');
  const times = [await usableAfter(page, bare.url, word), await usableAfter(page, bare.url, word)];
  await bare.close();
  return times;
}

console.log(`\nA phone, its processor at 1/${SLOWER}:`);
const { page, session } = await slowPage(browser);
let bytes = 0;
let scripts = 0;
const isScript = new Set();
session.on('Network.responseReceived', ({ requestId, type }) => type === 'Script' && isScript.add(requestId));
session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
  bytes += encodedDataLength;
  if (isScript.has(requestId)) scripts += encodedDataLength;
});
const [bareFirst, bareAgain] = await bareAppUsable();
const timesBare = (time, bare) => `${(time / bare).toFixed(2)} × a bare app (${ms(bare)})`;
const first = await usableAfter(page, url + TICKET, () => page.getByTestId('sheet'));
row('a ticket is usable after', ms(first), timesBare(first, bareFirst));
await page.waitForLoadState('networkidle');
const kB = (value) => `${(value / 1000).toFixed(0)} kB`;
row('fetched at the first visit of a ticket', kB(bytes));
row(
  'of that scripts',
  kB(scripts),
  `${(scripts / bareScripts).toFixed(2)} × a bare app (${kB(bareScripts)})`,
);

const at = await designAt(page);
const own = await drag(page, at);
const bare = await barePage(await page.getByTestId('sheet').innerHTML());
const plain = await drag(bare, { x: PHONE.width / 2, y: 200 });
const beside = `${(median(own) / median(plain)).toFixed(2)} × a bare page (${ms(median(plain))})`;
row('from a move to its frame, median', ms(median(own)), beside);
row('from a move to its frame, p95', ms(p95(own)));

await page.goto(`${url}/ticket/demo-ticket-01/design`);
const name = page.getByRole('textbox').first();
await name.click();
const typed = await keystrokes(page);
await bare.getByRole('textbox').click();
const plainTyped = await keystrokes(bare);
const besidePlain = (of) =>
  `${(of(typed) / of(plainTyped)).toFixed(2)} × a bare page (${ms(of(plainTyped))})`;
row('a keystroke, median', ms(median(typed)), besidePlain(median));
row('a keystroke, p95', ms(p95(typed)), besidePlain(p95));

bytes = 0;
const again = await usableAfter(page, url + TICKET, () => page.getByTestId('sheet'));
row('a ticket is usable again after', ms(again), timesBare(again, bareAgain));
await page.waitForLoadState('networkidle');
row('fetched at the next visit', kB(bytes));

/** A design of so many squares: much thread to lay. */
const squares = (many) =>
  Array.from({ length: many }, (_, i) => {
    const [x, y] = [(i % 18) * 25 - 220, Math.floor(i / 18) * 25 - 220];
    return { d: `M${x} ${y}L${x + 22} ${y}L${x + 22} ${y + 22}L${x} ${y + 22}Z`, stop: 0, strokeMm: null };
  });

/** A ticket whose design is so many squares, laid over the demo's own. */
async function ticketOfSquares(many) {
  const kept = await (await page.request.get(`${url}/api/tickets/demo-ticket-01`)).json();
  const id = `bench-squares-${many}`;
  const [part] = kept.ticket.design.parts;
  const artwork = { ...part.artwork, paths: squares(many), source: null, madeFrom: '' };
  const own = {
    ...part,
    widthMm: 450,
    heightMm: 450,
    stitches: 600 * many,
    artwork,
    elementMoves: [],
    ways: [],
  };
  const colours = [{ ...part.colours[0], stitches: null }];
  const design = { ...kept.ticket.design, parts: [{ ...own, colours }], order: null, made: null };
  await page.request.put(`${url}/api/tickets/${id}`, {
    data: { ticket: { ...kept.ticket, id, design }, rev: 0 },
  });
  return `${url}/ticket/${id}/stitch`;
}

console.log('\nA stitch-out, scrubbed and played, the processor as it is:');
const stitching = await browser.newPage({ viewport: PHONE });
const still = await browser.newPage({ viewport: PHONE });
await still.setContent('<body>still</body>');
const stillFrames = await framesWhile(still, 1500);
for (const many of [18, 90, 340]) {
  await stitching.goto(await ticketOfSquares(many));
  const word = stitching.getByTestId('stitch-at');
  await word.waitFor({ timeout: 120_000 });
  const count = /of (\d+)/.exec(await word.textContent())[1];
  await stitching.getByRole('button', { name: 'Play the stitch-out' }).click();
  const played = await framesWhile(stitching, 3000);
  const stop = stitching.getByRole('button', { name: 'Stand still' });
  if ((await stop.count()) > 0) await stop.click();
  const scrub = stitching.getByRole('slider', { name: 'How far it is stitched' });
  const box = await scrub.boundingBox();
  await stitching.mouse.move(box.x + 4, box.y + box.height / 2);
  await stitching.mouse.down();
  const scrubbed = framesWhile(stitching, 2500);
  for (let i = 0; i < 100; i++)
    await stitching.mouse.move(box.x + 4 + ((box.width - 8) * i) / 100, box.y + box.height / 2);
  await stitching.mouse.up();
  const times = await scrubbed;
  const besideStill = (frames) => `${(median(frames) / median(stillFrames)).toFixed(2)} × a still page`;
  row(
    `${count} stitches, a frame while played`,
    ms(median(played)),
    `${besideStill(played)}; p95 ${ms(p95(played))}`,
  );
  row(
    `${count} stitches, a frame while scrubbed`,
    ms(median(times)),
    `${besideStill(times)}; p95 ${ms(p95(times))}`,
  );
}
await close();
