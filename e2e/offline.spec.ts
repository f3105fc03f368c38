import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BrowserContext, Page } from '@playwright/test';
import type { BenchPage, LogPage } from '@zt/core/model/api';
import type { Shelf } from '@zt/core/model/shelf';
import { openShop, type Shop, WEB } from './support/shop';
import { expect, test } from './support/test';
import { onTicket } from './support/ticket';

let shop: Shop;
let context: BrowserContext;
let web: string;

test.beforeEach(async ({ browser }, { project }) => {
  web = mkdtempSync(join(tmpdir(), 'thimble-web-'));
  cpSync(WEB, web, { recursive: true });
  shop = await openShop({ web });
  const { viewport = null, hasTouch = false } = project.use;
  context = await browser.newContext({ baseURL: shop.url, serviceWorkers: 'allow', viewport, hasTouch });
});
test.afterEach(async () => {
  await context.close();
  await shop.stop();
  rmSync(web, { recursive: true, force: true });
});

/** A page whose app is kept on the device. */
async function keptPage(address: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(address);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
    if (!navigator.serviceWorker.controller)
      await new Promise((done) => navigator.serviceWorker.addEventListener('controllerchange', done));
  });
  return page;
}

const asked = async <T>(path: string): Promise<T> =>
  (await context.request.get(`${shop.url}/api${path}`)).json();

test('with the shop’s computer off a piece is worked on, closed, opened again, and all of it arrives', async () => {
  const page = await keptPage('/');
  await expect(page.getByRole('link', { name: /^Crew tee/ }).first()).toBeVisible();
  // What is looked at once can be read later.
  await page.goto('/shelf');
  await expect(page.getByRole('heading', { name: /^Threads: / })).toBeVisible();
  await page.goto('/ticket/demo-ticket-02/place');
  await expect(page.getByTestId('sheet')).toBeVisible();
  await shop.down();

  const ticket = onTicket(page);
  await ticket.reads('The shop’s computer does not answer: you see it all as it was last heard.');
  await ticket.stage('Piece');
  await ticket.fill('Name of the ticket', 'Named in the dark');
  await ticket.reads('One change waits for the shop’s computer. It is kept on this device.');
  await page.close();

  const next = await context.newPage();
  await next.goto('/ticket/demo-ticket-02/piece');
  await expect(next.getByRole('heading', { name: 'Named in the dark' })).toBeVisible();
  const again = onTicket(next);
  await again.stage('Place');
  await next.getByRole('button', { name: /^Print: template/ }).click();
  await again.reads(/Pages are made by the shop’s computer, which does not answer/);
  const download = next.waitForEvent('download');
  await next.getByRole('button', { name: 'Template as SVG' }).click();
  expect(readFileSync(await (await download).path(), 'utf8')).toMatch(/^<svg[^>]* width="[\d.]+mm"/);

  await again.startByHand('Bath towel');
  await again.fill('Name of the ticket', 'Begun in the dark');
  await next.goto('/');
  await expect(next.getByRole('link', { name: /^Begun in the dark/ })).toBeVisible();
  await next.goto('/shelf');
  await next.getByRole('button', { name: /^navy: / }).click();
  await again.fill('Name', 'dark navy');
  await again.reads(/^3 changes wait for the shop’s computer\./);
  await next.goto('/ticket/demo-ticket-02/log');
  await next.getByRole('button', { name: 'Came out well' }).click();
  await again.reads('On its way into the logbook.');

  await shop.up();
  await next.getByRole('button', { name: 'Open the entry' }).waitFor();
  await expect(next.getByText(/for the shop’s computer/)).toHaveCount(0);
  const tickets = (await asked<BenchPage>('/tickets')).tickets.map((kept) => kept.ticket.name);
  expect(tickets).toContain('Begun in the dark');
  expect((await asked<Shelf>('/shelf')).threads.map(({ name }) => name)).toContain('dark navy');
  expect((await asked<LogPage>('/logbook')).entries.map(({ name }) => name)).toContain('Named in the dark');
});

test('a newer app is offered in the middle of a deck, changes nothing there, and is taken when somebody says so', {
  tag: '@deep',
}, async () => {
  const page = await keptPage('/ticket/demo-ticket-01/card/hoop');
  const step = page.getByTestId('card-text').filter({ hasText: /^Fuse|^Spray|^Needle|^Loosen|^Cut/ });
  await page.getByRole('button', { name: 'Next step' }).click();
  await expect(step).toBeVisible();
  await page.evaluate(() => Object.assign(window, { sameDocument: true }));
  const index = join(web, 'index.html');
  writeFileSync(index, readFileSync(index, 'utf8').replace('<html', '<html data-anew="yes"'));
  rmSync(`${index}.br`);
  rmSync(`${index}.gz`);
  const script = join(web, 'serviceWorker.js');
  writeFileSync(script, readFileSync(script, 'utf8').replace(/(\/index\.html",revision:")\w/, '$1x'));
  rmSync(`${script}.br`);
  rmSync(`${script}.gz`);
  await page.evaluate(async () => void (await (await navigator.serviceWorker.ready).update()));
  const offer = page.getByRole('status').filter({ hasText: 'A newer version of this app is here.' });
  await expect(offer).toBeVisible();
  expect(await page.evaluate(() => 'sameDocument' in window)).toBe(true);
  await expect(step).toBeVisible();
  await offer.getByRole('button', { name: 'Take it now' }).click();
  await expect(page.locator('html[data-anew]')).toHaveCount(1);
  await expect(offer).toHaveCount(0);
});

test('from House rules the shop goes back to a backup, on every open page, and its data comes as one document', {
  tag: '@deep',
}, async () => {
  const page = await context.newPage();
  await page.goto('/rules');
  await page.getByRole('button', { name: 'Backups' }).click();
  await page.getByRole('button', { name: 'Make one now' }).click();
  await expect(page.getByText(/^made here, [\d.]+ MB$/)).toBeVisible();
  const other = await context.newPage();
  await other.goto('/ticket/demo-ticket-02/piece');
  await onTicket(other).fill('Name of the ticket', 'After the backup');
  await onTicket(other).saved();
  await page
    .getByRole('button', { name: /^Go back to the backup of/ })
    .first()
    .click();
  await expect(other.getByRole('heading', { name: 'Bath towel, monogram' })).toBeVisible();
  await page.getByRole('button', { name: 'Backups' }).click();
  await expect(page.getByText(/^before going back to another, /)).toBeVisible();
  await page.getByRole('button', { name: 'All data as a document' }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'All data as JSON' }).click();
  const file = await (await download).path();
  await page.getByLabel('All data of a shop', { exact: true }).setInputFiles(file);
  await expect(
    page.getByText(/^Brought in: 0 tickets, 0 things on the shelf, 0 log entries.* were here already\.$/),
  ).toBeVisible();
});
