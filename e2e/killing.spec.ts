import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type BrowserContext, chromium, type Page, type Route } from '@playwright/test';
import type { BenchPage } from '@zt/core/model/api';
import type { Shelf } from '@zt/core/model/shelf';
import { casesOf } from '@zt/core/testing/cases';
import { openShop } from './support/shop';
import { expect, test } from './support/test';
import { onTicket } from './support/ticket';

/** So often the browser is killed; `npm run drill -- browser 60` for long. */
const KILLS = Number(process.env.BROWSER_KILLS ?? casesOf(6, 3));
const CYCLE_MS = 40_000;

/** What becomes of something that is sent as the browser is killed. */
const ENDS = ['never arrives', 'arrives, and its answer never', 'arrives'] as const;
const meets = (end: (typeof ENDS)[number]) => async (route: Route) => {
  if (route.request().method() === 'GET' || end === 'arrives') return route.continue();
  if (end !== 'never arrives') await route.fetch().catch(() => undefined);
};

/** Kills the browser that has a profile, with all its processes. */
function killAll(profile: string): void {
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name)))
    try {
      const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8');
      if (command.includes(`--user-data-dir=${profile}`)) process.kill(Number(pid), 'SIGKILL');
    } catch {
      // It has ended with the others.
    }
}

/** All that the outbox of this browser holds, as text. */
const heldIn = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string>((done) => {
        const opening = indexedDB.open('zealous-thimble');
        opening.onsuccess = () => {
          const rows = opening.result.transaction('outbox').objectStore('outbox').getAll();
          rows.onsuccess = () => {
            opening.result.close();
            done(JSON.stringify(rows.result));
          };
        };
      }),
  );

test(
  'killed while its outbox is sending, the browser sends all of it once it is opened again, and nothing twice',
  { tag: ['@long', '@deep'] },
  async ({ browserName: _ }, { project }) => {
    test.setTimeout(KILLS * CYCLE_MS + 60_000);
    const shop = await openShop();
    const profile = mkdtempSync(join(tmpdir(), 'thimble-profile-'));
    const { launchOptions, viewport = null } = project.use;
    const open = () =>
      chromium.launchPersistentContext(profile, { ...launchOptions, viewport, baseURL: shop.url });
    const asked = async <T>(path: string): Promise<T> => (await fetch(`${shop.url}/api${path}`)).json() as T;
    const names = async () => (await asked<BenchPage>('/tickets')).tickets.map(({ ticket }) => ticket.name);
    const navy = async () => (await asked<Shelf>('/shelf')).threads.find(({ name }) => /navy/.test(name));
    const before = (await navy())?.metresLeft ?? 0;
    let context: BrowserContext | null = null;
    try {
      for (let kill = 1; kill <= KILLS; kill += 1) {
        const end = ENDS[kill % ENDS.length] ?? 'arrives';
        context = await open();
        const page = await context.newPage();
        const ticket = onTicket(page);
        await page.goto('/shelf');
        await page.getByRole('button', { name: /^navy: / }).click();
        await context.route('**/api/**', meets(end));
        await ticket.fill('Bought, m', '10');
        await page.getByRole('button', { name: 'Add what was bought' }).click();
        await page.getByRole('link', { name: 'Bench' }).click();
        await page
          .getByRole('link', { name: /^Crew tee|^Killed/ })
          .first()
          .click();
        await ticket.stage('Piece');
        await ticket.fill('Name of the ticket', `Killed ${kill}`);
        if (end !== 'arrives') await expect.poll(() => heldIn(page)).toContain(`Killed ${kill}`);
        else await ticket.saved();
        // The browser is gone as it is, in the middle of whatever it does.
        killAll(profile);
        await context.close().catch(() => undefined);

        context = await open();
        const next = await context.newPage();
        await next.goto('/');
        await expect.poll(names).toContain(`Killed ${kill}`);
        await expect.poll(async () => (await navy())?.metresLeft).toBe(before + 10 * kill);
        await expect.poll(() => heldIn(next)).toBe('[]');
        await context.close();
      }
      const id = (await navy())?.id;
      const came = await asked<{ movements: { kind: string }[] }>(`/shelf/${id}/movements`);
      expect(JSON.stringify(came).match(/"bought"/g)).toHaveLength(KILLS);
    } finally {
      await context?.close().catch(() => undefined);
      await shop.stop();
      rmSync(profile, { recursive: true, force: true });
    }
  },
);
