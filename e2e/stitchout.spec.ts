import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { readCsv } from '@zt/core/files/stitchFiles/csv';
import { readJson } from '@zt/core/files/stitchFiles/json';
import { readSvgStitches } from '@zt/core/files/stitchFiles/svg';
import { EMPTY_PART } from '@zt/core/model/ticket/part';
import { expect, expectAccessible, expectNoSidewaysScroll, test } from './support/test';
import { copyOf, fillIn, onTicket } from './support/ticket';

const stitchAt = (page: Page) => page.getByTestId('stitch-at');

test('a stitch-out is made, played and scrubbed on the sheet, and its thickness shown', {
  tag: '@wide-deep',
}, async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-01/stitch');
  await expect(stitchAt(page)).toHaveText(/^stitch (\d+) of \1, colour 4, chalk blue$/);
  await expect(page.getByTestId('thread')).toBeVisible();
  await expectAccessible(page);
  await expectNoSidewaysScroll(page);

  const scrub = page.getByRole('slider', { name: 'How far it is stitched' });
  await scrub.fill('300');
  await expect(stitchAt(page)).toHaveText(/^stitch 300 of \d+, colour 1/);
  await expect(page.getByRole('img', { name: /^The design at stitch 300 of/ })).toBeVisible();
  await scrub.press('ArrowRight');
  await expect(stitchAt(page)).toHaveText(/^stitch 301 of/);

  await page.getByRole('button', { name: 'Play the stitch-out' }).click();
  await expect(page.getByRole('button', { name: 'Stand still' })).toBeVisible();
  await expect
    .poll(async () => Number(/^stitch (\d+)/.exec((await stitchAt(page).textContent()) ?? '')?.[1]))
    .toBeGreaterThan(400);
  await page.getByRole('button', { name: 'Stand still' }).click();
  await expect(page.getByRole('button', { name: 'Play the stitch-out' })).toBeVisible();

  await page.getByRole('radio', { name: 'how thick it lies' }).click();
  await ticket.reads(/^The darker, the thicker: at most [\d.]+ mm of thread on a mm²\./);
  await expect(page.getByRole('img', { name: /^How thick the thread lies: at most/ })).toBeVisible();
});

test('how a colour is stitched changes its stitches, and is undone', { tag: '@deep' }, async ({ page }) => {
  await page.goto('/ticket/demo-ticket-04/stitch');
  await expect(stitchAt(page)).toHaveText(/^stitch \d+ of \d+/);
  const before = await stitchAt(page).textContent();
  await page.getByRole('button', { name: 'How it is stitched' }).click();
  await page.getByRole('checkbox', { name: 'Rows beneath the fills' }).click();
  await expect(stitchAt(page)).not.toHaveText(before ?? '');
  await expect(stitchAt(page)).toHaveText(/^stitch \d+ of \d+/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(stitchAt(page)).toHaveText(before ?? '');
});

test('the bobbin ends at a stitch; a full one is put in', async ({ page }) => {
  const ticket = onTicket(page);
  await page.goto('/ticket/demo-ticket-03/stitch');
  await expect(stitchAt(page)).toHaveText(/^stitch \d+ of \d+/);
  await ticket.reads(/^One design: machine [\d.]+ min by itself, hands [\d.]+ min$/);
  await page.getByRole('button', { name: 'When somebody must be there' }).click();
  await ticket.reads(/^0 min: thread .*, and start$/);
  await ticket.reads(/^[\d.]+ min: take it off$/);
  const ends = page.getByTestId('bobbin-ends');
  await expect(ends).toHaveText(/bobbin ends at stitch \d+, in .*\. Change it before/);
  const at = /ends at stitch (\d+)/.exec((await ends.textContent()) ?? '')?.[1];
  await page.getByRole('button', { name: 'Show where it ends' }).click();
  await expect(stitchAt(page)).toHaveText(new RegExp(`^stitch ${at} of`));
  await page
    .getByRole('button', { name: /^Put in a full bobbin/ })
    .first()
    .click();
  await expect(ends).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(ends).toBeVisible();
});

test('stitches go out as CSV, JSON and SVG, and each brings the same ones back', async ({ page }) => {
  await page.goto('/ticket/demo-ticket-01/stitch');
  await expect(stitchAt(page)).toHaveText(/^stitch \d+ of \d+/);
  const count = Number(/of (\d+)/.exec((await stitchAt(page).textContent()) ?? '')?.[1]);
  await page.getByRole('button', { name: 'Stitches as a file' }).click();
  const textOf = async (form: string): Promise<string> => {
    const download = page.waitForEvent('download');
    await page.getByRole('button', { name: `Stitches as ${form}` }).click();
    return readFile(await (await download).path(), 'utf8');
  };
  const found = [
    readCsv(await textOf('CSV')),
    readJson(await textOf('JSON')),
    readSvgStitches(await textOf('SVG')),
  ];
  for (const file of found) {
    expect(file.ok && [file.stitches.x.length, file.stops.length]).toEqual([count, 4]);
    expect(file).toEqual(found[0]);
  }
});

test('the machine’s own count teaches the shop how it counts', async ({ page, request }) => {
  const address = await copyOf(page, 'demo-ticket-03');
  await page.goto(`${address}/design`);
  const field = page.getByRole('textbox', { name: 'stitches', exact: true });
  await expect(field).toHaveValue(/\d{3,}/);
  await fillIn(field, String(Math.round(Number(await field.inputValue()) * 1.2)));
  const teach = page.getByRole('button', {
    name: /^The machine counts .*: count fills 1\d\d.* of ours from now on$/,
  });
  await teach.click();
  await expect(teach).toHaveCount(0);
  await expect
    .poll(async () => (await (await request.get('/api/rules')).json()).numbers.countFillPercent)
    .toBeGreaterThan(110);
});

/** A part that is a bar of satin, turned about its middle. */
function bar(id: string, deg: number) {
  const [cos, sin] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)];
  const ring = [
    [-25, -1.5],
    [25, -1.5],
    [25, 1.5],
    [-25, 1.5],
  ].map(([x = 0, y = 0]) => ({ x: x * cos - y * sin, y: x * sin + y * cos }));
  const at = (p: { x: number; y: number }) => `${p.x.toFixed(2)} ${p.y.toFixed(2)}`;
  const sides = [0, 1].map((axis) => {
    const along = ring.map((p) => (axis === 0 ? p.x : p.y));
    return Math.max(...along) - Math.min(...along);
  });
  return {
    ...EMPTY_PART,
    id,
    widthMm: sides[0] ?? null,
    heightMm: sides[1] ?? null,
    stitches: 300,
    colours: [{ hex: '#A93F36', name: 'madder', stitches: 300 }],
    artwork: {
      fileName: 'bar.svg',
      paths: [{ d: `M${ring.map(at).join('L')}Z`, stop: 0, strokeMm: null }],
      hull: ring,
      fileCentre: { x: 0, y: 0 },
      remarks: [],
      letters: [],
      madeFrom: '',
      source: null,
    },
  };
}

test('three columns that cross are a hot spot, and what is offered mends it', { tag: '@deep' }, async ({
  page,
}) => {
  const address = await copyOf(page, 'demo-ticket-01', (ticket) => ({
    ...ticket,
    design: {
      ...ticket.design,
      parts: [bar('crossing-bar-a', 0), bar('crossing-bar-b', 60), bar('crossing-bar-c', 120)],
      order: null,
      made: null,
    },
  }));
  await page.goto(`${address}/stitch`);
  const alert = page.getByRole('note', { name: /layers lie on each other here/ });
  await expect(alert).toContainText(
    /^Stop\. 3 layers lie on each other here: [\d.]+ mm of thread on a mm², more than the 7/,
  );
  await page
    .getByRole('button', { name: /^Remove what is hidden: the thickest place then has/ })
    .first()
    .click();
  await page.getByRole('button', { name: /^Do it: Remove what is hidden/ }).click();
  await expect(alert).toHaveCount(0);
  await expect(stitchAt(page)).toHaveText(/^stitch \d+ of \d+/);
  await expect(alert).toHaveCount(0);
});

/** A part of so many round shapes in rows: much to stitch. */
function dots(many: number) {
  const across = Math.ceil(Math.sqrt(many));
  const circle = (i: number): string => {
    const [cx, cy] = [(i % across) * 2 - across, Math.floor(i / across) * 2 - across];
    const points = Array.from({ length: 24 }, (_, k) => {
      const a = (2 * Math.PI * k) / 24;
      return `${(cx + 0.8 * Math.cos(a)).toFixed(2)} ${(cy + 0.8 * Math.sin(a)).toFixed(2)}`;
    });
    return `M${points.join('L')}Z`;
  };
  const hull = [
    { x: -across, y: -across },
    { x: across, y: -across },
    { x: across, y: across },
    { x: -across, y: across },
  ];
  const part = bar('many-dots', 0);
  return {
    ...part,
    widthMm: 2 * across,
    heightMm: 2 * across,
    artwork: {
      ...part.artwork,
      hull,
      paths: Array.from({ length: many }, (_, i) => ({ d: circle(i), stop: 0, strokeMm: null })),
    },
  };
}

test('making is stopped and begun again; the ticket stays, and its figures are told', async ({ page }) => {
  const address = await copyOf(page, 'demo-ticket-01', (ticket) => ({
    ...ticket,
    design: { ...ticket.design, parts: [dots(2600)], order: null, made: null },
  }));
  await page.goto(`${address}/stitch`);
  await expect(page.getByRole('progressbar', { name: 'Stitches being made' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await onTicket(page).reads(/^Its stitches are not made: the figures are those of its parts/);
  await expect(page.getByTestId('thread-sum')).toHaveText(/^Top thread [\d.]+ m/);
  await page.getByRole('button', { name: 'Make the stitches' }).click();
  await expect(page.getByRole('progressbar', { name: 'Stitches being made' })).toBeVisible();
  // The page answers while they are made.
  await onTicket(page).stage('Finish');
  await expect(page.getByRole('heading', { name: /^Finish: / })).toBeVisible();
});

test.describe('where something fails', () => {
  test.use({ allowed: [/Failed to load resource|ERR_FAILED|Worker/i] });

  test('stitches that cannot be made here are said not to be, and can be tried again', {
    tag: '@deep',
  }, async ({ page }) => {
    await page.route(/\/workers\/stitch-\w+\.js/, (route) => route.abort());
    await page.goto('/ticket/demo-ticket-01/stitch');
    await onTicket(page).reads(/^The stitching could not be worked on here\. Your ticket is as it was\.$/);
    await page.unroute(/\/workers\/stitch-\w+\.js/);
    await page.getByRole('button', { name: 'Make the stitches' }).click();
    await expect(stitchAt(page)).toHaveText(/^stitch \d+ of \d+/);
  });
});

test('a stitch file comes in again, is played, and its figures go onto the ticket; a broken one is told by its line', {
  tag: ['@wide', '@deep'],
}, async ({ page }) => {
  const ticket = onTicket(page);
  const address = await copyOf(page, 'demo-ticket-01');
  await page.goto(`${address}/stitch`);
  await expect(stitchAt(page)).toHaveText(/^stitch \d+ of \d+/);
  const count = Number(/of (\d+)/.exec((await stitchAt(page).textContent()) ?? '')?.[1]);
  await page.getByRole('button', { name: 'Stitches as a file' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Stitches as CSV' }).click();
  const csv = await readFile(await (await download).path(), 'utf8');
  await page.getByRole('button', { name: 'Open a stitch file' }).click();
  await expect(page.getByRole('heading', { name: 'A stitch file' })).toBeVisible();
  const give = (name: string, text: string) =>
    page
      .getByLabel('Stitch file', { exact: true })
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

  const lines = csv.split('\n');
  const last = lines.findLastIndex((line) => line.trim() !== '');
  const withLast = (change: (cells: string[]) => string[]): string =>
    lines.map((line, i) => (i === last ? change(line.split(',')).join(',') : line)).join('\n');
  const refused = page.getByTestId('file-refused');
  // Figures of four digits and more are set apart by a narrow space.
  const line = new RegExp(`^Line ${[...String(last + 1)].join('\\s?')}`);
  for (const [name, text, why] of [
    ['broken.csv', withLast((cells) => cells.slice(0, 2)), line],
    ['far.csv', withLast((cells) => cells.map((cell, i) => (i === cells.length - 1 ? '99999' : cell))), line],
    ['none.csv', 'just, some, words', /./],
    ['none.json', '{"format":"stitches"', /./],
  ] as const) {
    await give(name, text);
    await expect(page.getByText(`${name} was not taken.`)).toBeVisible();
    await expect(refused).toHaveText(why);
  }

  await give('gull.csv', csv);
  await expect(page.getByTestId('file-told')).toHaveText(/^\d+ stitches in 4 stops, /);
  await expect(stitchAt(page)).toHaveText(new RegExp(`^stitch ${count} of ${count}, colour 4, `));
  await page.getByRole('slider', { name: 'How far it is stitched' }).fill('300');
  await expect(
    page.getByRole('img', { name: `The stitches of gull.csv at stitch 300 of ${count}.` }),
  ).toBeVisible();
  await expectAccessible(page);
  await expectNoSidewaysScroll(page);
  await page.getByRole('button', { name: 'Put its figures on the ticket' }).click();
  await ticket.reads('Parts, the lowest first: 2');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Parts, the lowest first: 2')).toHaveCount(0);
});
