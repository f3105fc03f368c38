import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { exampleA } from '@zt/core/testing/samples';

/**
 * Fifty devices that save their tickets by themselves, beside a plain server of the same parts: at the pace of people
 * (half a second between two saves of one device), and as fast as they are answered.
 */
const CLIENTS = 50;
const SECONDS = Number(process.env.SECONDS ?? 15);
const PACE_MS = 500;
const HERE = dirname(fileURLToPath(import.meta.url));

interface Server {
  url: string;
  stop: () => void;
}

async function started(...how: string[]): Promise<Server> {
  const folder = mkdtempSync(join(tmpdir(), 'thimble-load-'));
  const child = spawn(process.execPath, how, {
    env: { ...process.env, ZT_DATA: join(folder, 'shop.db'), ZT_WEB: folder, PORT: '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const url = await new Promise<string>((ready) =>
    child.stdout.on('data', (chunk) => {
      const found = /http:\S+/.exec(String(chunk))?.[0];
      if (found) ready(found);
    }),
  );
  const stop = () => {
    child.kill('SIGKILL');
    rmSync(folder, { recursive: true, force: true });
  };
  return { url, stop };
}

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));
const at = (sorted: number[], share: number): number =>
  sorted[Math.floor(sorted.length * share)] ?? Number.NaN;

/** What fifty devices see in so many seconds. */
async function load({ url }: Server, paceMs: number) {
  const until = performance.now() + SECONDS * 1000;
  const times: number[] = [];
  let failed = 0;
  await Promise.all(
    Array.from({ length: CLIENTS }, async (_, n) => {
      const id = `load-ticket-${n}`;
      let rev = 0;
      let base: unknown;
      await pause((paceMs * n) / CLIENTS);
      for (let turn = 0; performance.now() < until; turn += 1) {
        const ticket = { ...exampleA(), id, name: `turn ${turn}` };
        const sending = { id: `load-${paceMs}-${n}-${turn}`, device: `load-device-${n}`, name: 'bench' };
        const begun = performance.now();
        const answer = await fetch(`${url}/api/tickets/${id}`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ ticket, rev, sending, ...(rev > 0 || !base ? {} : { base }) }),
        });
        if (answer.status === 409) base = ticket;
        else if (answer.ok) ({ rev } = (await answer.json()) as { rev: number });
        else failed += 1;
        const took = performance.now() - begun;
        times.push(took);
        if (paceMs > took) await pause(paceMs - took);
      }
    }),
  );
  times.sort((a, b) => a - b);
  return { p50: at(times, 0.5), p99: at(times, 0.99), aSecond: times.length / SECONDS, failed };
}

const servers = {
  // As it is built (scripts/bench.mjs sees to it that it is).
  ours: await started(join(HERE, '../../.build/server/main.mjs')),
  plain: await started('--import', 'tsx', join(HERE, 'plainServer.ts')),
};
for (const [how, paceMs] of [
  ['at the pace of people', PACE_MS],
  ['as fast as answered', 0],
] as const) {
  const plain = await load(servers.plain, paceMs);
  const ours = await load(servers.ours, paceMs);
  const said = ({ p50, p99, aSecond, failed }: typeof ours) =>
    `p50 ${p50.toFixed(1)} ms, p99 ${p99.toFixed(1)} ms, ${Math.round(aSecond)} saves a second, ${failed} failed`;
  console.log(`${CLIENTS} devices, ${how}: ours ${said(ours)}; plain ${said(plain)}`);
  console.log(
    `  ratio: p50 ${(ours.p50 / plain.p50).toFixed(1)} x, saves a second ${(ours.aSecond / plain.aSecond).toFixed(2)} x`,
  );
}
for (const { stop } of Object.values(servers)) stop();
process.exit(0);
