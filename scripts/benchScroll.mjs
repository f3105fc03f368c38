import { framesWhile, median, ms, p95, row, SLOWER, slowPage } from './benchKit.mjs';
import { openDemo } from './serve.mjs';

/**
 * How long lists scroll on a phone, its processor at a quarter: 200 open orders and their 2 000 tickets, beside a bare page
 * with the same rows in it.
 */
const ORDERS = 200;
const TICKETS = 10;
const SCROLL_MS = 4000;
/** A frame longer than this is felt. */
const LONG_MS = 50;

const { url, browser, close } = await openDemo();

async function put(path, body) {
  const answer = await fetch(`${url}/api/${path}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
}
const got = async (path) => (await fetch(`${url}/api/${path}`)).json();

const { ticket } = await got('tickets/demo-ticket-01');
const [{ order }] = (await got('orders')).orders;
for (let n = 0; n < ORDERS; n += 1) {
  const own = { ...order, id: `bench-order-${n}`, name: `Order ${n}`, state: 'agreed' };
  await put(`orders/${own.id}`, { order: own, rev: 0 });
  for (let t = 0; t < TICKETS; t += 1) {
    const id = `bench-ticket-${n}-${t}`;
    await put(`tickets/${id}`, { ticket: { ...ticket, id, orderId: own.id }, rev: 0 });
  }
}

/** A finger that flings a list on, again and again; its frames meanwhile. */
async function scrolled(page, list) {
  await list.hover();
  const frames = framesWhile(page, SCROLL_MS);
  const until = Date.now() + SCROLL_MS;
  while (Date.now() < until) {
    await page.mouse.wheel(0, 300);
    await page.evaluate(() => new Promise((shown) => requestAnimationFrame(shown)));
  }
  return frames;
}

console.log(`\nLong lists on a phone, its processor at 1/${SLOWER}:`);
for (const { name, path, first } of [
  { name: 'orders', path: '/orders', first: 'a[href^="/orders/"]' },
  { name: 'bench', path: '/', first: 'a[href^="/ticket/"]' },
]) {
  const { page } = await slowPage(browser);
  await page.goto(url + path);
  await page.locator(first).first().waitFor();
  await page.waitForLoadState('networkidle');
  const rows = await page.locator(first).evaluateAll((all) => all.map((one) => one.outerHTML).join(''));
  const own = await scrolled(page, page.getByRole('main'));
  const { page: bare } = await slowPage(browser);
  await bare.setContent(`<main style="height:100vh;overflow-y:auto">${rows.repeat(20)}</main>`);
  const plain = await scrolled(bare, bare.getByRole('main'));
  const long = (frames) => `${frames.filter((frame) => frame > LONG_MS).length} of ${frames.length}`;
  row(
    `${name}, a frame while scrolled`,
    ms(median(own)),
    `${(median(own) / median(plain)).toFixed(2)} × a bare page; p95 ${ms(p95(own))} (${ms(p95(plain))}), longest ${ms(Math.max(...own))} (${ms(Math.max(...plain))}); longer than ${LONG_MS} ms: ${long(own)} (${long(plain)})`,
  );
}
await close();
