import { copyFileSync, mkdirSync, mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openStore, type Store } from '../src/db/client';
import { seedDemo } from '../src/demo/seedDemo';
import { readBench } from '../src/features/tickets/reader';
import { saveTicket } from '../src/features/tickets/writer';

/**
 * A service with many shops, one small database each: what opening a shop takes in time and memory, and how quickly
 * shops are answered whose databases are opened when they are asked for and closed when they were idle longest.
 */
const SHOPS = Number(process.env.SHOPS ?? 2000);
const MOST_OPEN = 100;
const ASKED = 3;

const folder = mkdtempSync(join(tmpdir(), 'thimble-many-'));
const at = (sorted: number[], share: number): number =>
  sorted[Math.floor(sorted.length * share)] ?? Number.NaN;
const spread = (times: number[]): string => {
  times.sort((a, b) => a - b);
  return `p50 ${at(times, 0.5).toFixed(1)} ms, p99 ${at(times, 0.99).toFixed(1)} ms`;
};

const first = join(folder, 'first.db');
const store = await openStore(`file:${first}`);
await seedDemo({ store, now: () => new Date().toISOString() });
await store.close();
const fileOf = (n: number) => join(folder, String(n % 50), `${n}.db`);
for (let n = 0; n < SHOPS; n += 1) {
  mkdirSync(join(folder, String(n % 50)), { recursive: true });
  copyFileSync(first, fileOf(n));
}
console.log(
  `${SHOPS} shops of the demo's size: ${(statSync(first).size / 1024).toFixed(0)} KB each, ${((SHOPS * statSync(first).size) / 1e9).toFixed(2)} GB together`,
);

/** Shops that are open; the one idle longest is closed when there are more than so many. */
const open = new Map<number, Store>();
async function shop(n: number): Promise<Store> {
  // As between two requests: what was closed is given back then.
  await new Promise((turn) => setImmediate(turn));
  const here = open.get(n) ?? (await openStore(`file:${fileOf(n)}`));
  open.delete(n);
  open.set(n, here);
  const [idle] = open;
  if (open.size > MOST_OPEN && idle) {
    open.delete(idle[0]);
    await idle[1].close();
  }
  return here;
}

const before = process.memoryUsage().rss;
const opening: number[] = [];
for (let n = 0; n < MOST_OPEN; n += 1) {
  const begun = performance.now();
  await readBench((await shop(n)).db, {});
  opening.push(performance.now() - begun);
}
const each = (process.memoryUsage().rss - before) / MOST_OPEN / 1024;
console.log(`opening one and reading its bench: ${spread(opening)}; ${each.toFixed(0)} KB of memory each`);

/** Shops in turn, as bad as it can be: none is still open when it is asked again. */
for (const how of ['in turn', 'one in five busy'] as const) {
  const reads: number[] = [];
  const saves: number[] = [];
  for (let round = 0; round < ASKED; round += 1)
    for (let n = 0; n < SHOPS; n += 1) {
      const which = how === 'in turn' || n % 5 === 0 ? n : (n * 7) % Math.min(SHOPS, MOST_OPEN);
      let begun = performance.now();
      const bench = await readBench((await shop(which)).db, {});
      reads.push(performance.now() - begun);
      if (n % 10 !== 0) continue;
      const [kept] = bench.tickets;
      if (!kept) continue;
      begun = performance.now();
      const ticket = { ...kept.ticket, name: `${how} ${round}` };
      await (await shop(which)).write((tx) =>
        saveTicket(tx, { ticket, rev: kept.rev }, new Date().toISOString()),
      );
      saves.push(performance.now() - begun);
    }
  const memory = (process.memoryUsage().rss / 1e6).toFixed(0);
  console.log(
    `${SHOPS} shops ${how}, at most ${MOST_OPEN} open: bench ${spread(reads)}; save ${spread(saves)}; ${memory} MB`,
  );
}
for (const one of open.values()) await one.close();
rmSync(folder, { recursive: true, force: true });
