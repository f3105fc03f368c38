import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { amountsOf } from '@zt/core/ledger/amounts';
import type { Shelf } from '@zt/core/model/shelf';
import type { Ticket } from '@zt/core/model/ticket';
import { casesOf } from '@zt/core/testing/cases';
import { report } from '@zt/core/testing/report';
import { exampleA, SAMPLE_SHELF } from '@zt/core/testing/samples';

/** How often the program is killed; `npm run drill -- kill 300` for a long one. */
const CYCLES = Number(process.env.KILLS ?? casesOf(20, 3));
const WRITERS = 8;
const ROOT = join(__dirname, '../..');
const NAVY = 'thread-navy';

let folder: string;
let port: number;
let child: ChildProcess;
const data = () => join(folder, 'shop.db');
const url = (path: string) => `http://127.0.0.1:${port}/api${path}`;

const freePort = () =>
  new Promise<number>((found) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => found(typeof address === 'object' && address ? address.port : 0));
    });
  });

/** Starts the program, as it is built, on what it left behind; ready once it answers. */
async function start() {
  // Whoever kills it knows that it is gone; others wait until its lock is stale.
  rmSync(`${data()}.lock`, { recursive: true, force: true });
  child = spawn(process.execPath, [join(ROOT, '.build/server/main.mjs')], {
    cwd: ROOT,
    env: { ...process.env, ZT_DATA: data(), ZT_WEB: folder, PORT: String(port), ZT_DEMO: '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise<void>((ready, failed) => {
    child.stdout?.once('data', () => ready());
    child.once('exit', () => failed(new Error('The program ended before it answered.')));
  });
}
async function kill() {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((done) => child.once('exit', done));
  child.kill('SIGKILL');
  await ended;
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

let over = false;
let acknowledged = 0;
/** Sends until it is answered, as the outbox of a page does; the same sending each time. */
async function sent(method: string, path: string, body: unknown): Promise<unknown> {
  for (;;) {
    try {
      const answer = await fetch(url(path), {
        method,
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
      const json = await answer.json();
      if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${JSON.stringify(json)}`);
      acknowledged += 1;
      return json;
    } catch (error) {
      if (error instanceof Error && /^\w+ \//.test(error.message)) throw error;
      await pause(60);
    }
  }
}

interface Kept {
  ticket: Ticket;
  bought: number;
  entries: string[];
}

/** One at work: names its ticket anew, buys thread by the metre, logs pieces; everything once, and in order. */
async function work(n: number): Promise<Kept> {
  const device = `device-${1000 + n}`;
  const kept: Kept = { ticket: { ...exampleA(), id: `ticket-${1000 + n}` }, bought: 0, entries: [] };
  let rev = 0;
  for (let turn = 0; !over; turn += 1) {
    const sending = () => ({
      id: `${device}-${turn}-${Math.round(performance.now() * 1000)}`,
      device,
      name: device,
    });
    const ticket = { ...kept.ticket, name: `turn ${turn}` };
    const saved = (await sent('PUT', `/tickets/${ticket.id}`, {
      ticket,
      rev,
      base: kept.ticket,
      sending: sending(),
    })) as { rev: number };
    rev = saved.rev;
    kept.ticket = ticket;
    const navy = { ...(SAMPLE_SHELF.threads.find(({ id }) => id === NAVY) ?? SAMPLE_SHELF.threads[0]) };
    const more = { ...navy, metresLeft: (navy.metresLeft ?? 0) + 1 };
    await sent('POST', '/shelf', {
      put: [{ noun: 'threads', item: more, base: navy }],
      as: 'bought',
      sending: sending(),
    });
    kept.bought += 1;
    if (turn % 5 === 4) {
      const piece = { ...exampleA(), id: `piece-${n}-${turn}` };
      await sent('PUT', `/tickets/${piece.id}`, { ticket: piece, rev: 0, sending: sending() });
      await sent('POST', '/logbook', { id: `entry-${n}-${turn}`, ticket: piece });
      kept.entries.push(`entry-${n}-${turn}`);
    }
  }
  return kept;
}

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'thimble-kill-'));
  port = await freePort();
});
afterAll(async () => {
  await kill();
  rmSync(folder, { recursive: true, force: true });
});

it(
  `killed ${CYCLES} times under ${WRITERS} writers, nothing acknowledged is lost, torn or counted twice`,
  async () => {
    await start();
    for (const noun of ['machines', 'hoops', 'materials', 'threads'] as const)
      await sent('POST', '/shelf', { put: SAMPLE_SHELF[noun].map((item) => ({ noun, item })) });
    const working = Array.from({ length: WRITERS }, (_, n) => work(n));
    for (let cycle = 0; cycle < CYCLES; cycle += 1) {
      await pause(150 + ((cycle * 97) % 500));
      await kill();
      await start();
    }
    await pause(200);
    over = true;
    const all = await Promise.all(working);

    const read = async <T>(path: string): Promise<T> => (await (await fetch(url(path))).json()) as T;
    for (const { ticket } of all)
      expect((await read<{ ticket: Ticket }>(`/tickets/${ticket.id}`)).ticket).toEqual(ticket);
    await kill();
    const db = createClient({ url: `file:${data()}` });
    const rows = async (sql: string) => (await db.execute(sql)).rows;
    expect(await rows('PRAGMA integrity_check')).toMatchObject([{ integrity_check: 'ok' }]);
    const entries = (await rows('SELECT id FROM log_entries ORDER BY id')).map(({ id }) => id);
    expect(entries).toEqual(all.flatMap((kept) => kept.entries).sort());
    // The ledger: what was bought, each once; what entries took, each once; and the amounts are its sums.
    const [bought] = await rows("SELECT total(amount) AS m FROM movements WHERE kind = 'bought'");
    expect(bought?.m).toBeCloseTo(
      all.reduce((sum, kept) => sum + kept.bought, 0),
      4,
    );
    const [took] = await rows(
      `SELECT total(json_extract(use.value, '$.metres')) AS m FROM log_entries, json_each(log_entries.taken) AS use WHERE json_extract(use.value, '$.id') = '${NAVY}'`,
    );
    const [used] = await rows(
      `SELECT -total(amount) AS m FROM movements WHERE kind = 'used' AND item_id = '${NAVY}'`,
    );
    expect(Number(used?.m)).toBeCloseTo(Number(took?.m), 3);
    const sums = new Map(
      (await rows('SELECT item_id, figure, total(amount) AS m FROM movements GROUP BY item_id, figure')).map(
        (row) => [`${row.item_id} ${row.figure}`, Number(row.m)],
      ),
    );
    for (const row of await rows('SELECT noun, item FROM shelf_items')) {
      const item = JSON.parse(String(row.item)) as Shelf['threads'][number];
      for (const [figure, amount] of Object.entries(amountsOf(row.noun as 'threads', item)))
        expect([item.id, figure, sums.get(`${item.id} ${figure}`) ?? 0]).toEqual([
          item.id,
          figure,
          expect.closeTo(amount, 3),
        ]);
    }
    db.close();
    report(
      `${CYCLES} kills, ${acknowledged} acknowledged writes: 0 lost, 0 torn, ${entries.length} pieces logged once`,
    );
  },
  CYCLES * 20_000 + 60_000,
);
