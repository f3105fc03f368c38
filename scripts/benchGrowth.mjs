import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bin, ROOT, run } from './lib.mjs';
import { CHROMIUM } from './packages.mjs';

/** What many years in one file cost: bench and logbook with 100 entries, then with 20 000 and 500 open tickets. */
const SIZES = [
  { logged: 100, open: 16 },
  { logged: 20_000, open: 500 },
];
const TIMES = 9;
const PAGES = [
  { name: 'bench', api: '/api/tickets', page: '/', shows: 'a[href^="/ticket/"]' },
  { name: 'logbook', api: '/api/logbook', page: '/logbook', shows: 'a[href^="/logbook/"]' },
];

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

await import('./build/main.mjs');
const { chromium } = await import('@playwright/test');
const browser = await chromium.launch({ executablePath: CHROMIUM, args: ['--no-sandbox', '--disable-gpu'] });

/** How long the interface takes to answer, and what it sends. */
async function asked(url) {
  const times = [];
  let bytes = 0;
  for (let i = 0; i < TIMES; i += 1) {
    const begun = performance.now();
    const answer = await fetch(url, { headers: { 'accept-encoding': 'identity' } });
    await answer.arrayBuffer();
    times.push(performance.now() - begun);
  }
  const session = await (await browser.newPage()).context().newCDPSession(browser.contexts()[0].pages()[0]);
  await session.send('Network.enable');
  session.on('Network.loadingFinished', ({ encodedDataLength }) => {
    bytes = Math.max(bytes, encodedDataLength);
  });
  const [page] = browser.contexts()[0].pages();
  await page.goto(url);
  await page.waitForTimeout(300);
  await page.close();
  return { ms: median(times), kB: bytes / 1000 };
}

/** How long until its first line is on the screen, and what the page then holds. */
async function shown(url, selector) {
  const times = [];
  let heapMB = 0;
  for (let i = 0; i < TIMES; i += 1) {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    const begun = performance.now();
    await page.goto(url);
    await page.locator(selector).first().waitFor();
    times.push(performance.now() - begun);
    if (i === TIMES - 1) {
      const session = await page.context().newCDPSession(page);
      await session.send('HeapProfiler.collectGarbage');
      heapMB = (await session.send('Runtime.getHeapUsage')).usedSize / 1_000_000;
    }
    await page.close();
  }
  return { ms: median(times), heapMB };
}

const first = {};
for (const { logged, open } of SIZES) {
  const folder = mkdtempSync(join(tmpdir(), 'thimble-growth-'));
  const file = join(folder, 'shop.db');
  run(bin('tsx'), [join(ROOT, 'server/bench/fill.ts'), file, String(logged), String(open)]);
  const server = spawn(bin('tsx'), [join(ROOT, 'server/src/main.ts')], {
    env: { ...process.env, PORT: '0', ZT_DATA: file, ZT_WEB: join(ROOT, 'app/dist') },
  });
  const url = await new Promise((ready) =>
    server.stdout.on('data', (chunk) => {
      const found = /http:\S+/.exec(chunk)?.[0];
      if (found) ready(found);
    }),
  );
  for (const { name, api, page, shows } of PAGES) {
    const answer = await asked(`${url}${api}`);
    const screen = await shown(`${url}${page}`, shows);
    first[name] ??= screen.ms;
    console.log(
      `${name}, ${logged} logged and ${open} open: answered in ${answer.ms.toFixed(1)} ms with ${answer.kB.toFixed(0)} kB packed; on screen after ${Math.round(screen.ms)} ms (${(screen.ms / first[name]).toFixed(2)} x), heap ${screen.heapMB.toFixed(0)} MB`,
    );
  }
  server.kill();
  rmSync(folder, { recursive: true, force: true });
}
await browser.close();
process.exit(0);
