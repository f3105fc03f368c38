import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '../..');
/** The web app as it was built. */
export const WEB = join(ROOT, 'app/dist');
const READY = /ready: (http:\/\/\S+)/;

export interface Shop {
  url: string;
  /** Its database file. */
  file: string;
  /** Switches the shop's computer off; `up` starts it again under the same address. */
  down: () => Promise<void>;
  up: () => Promise<void>;
  stop: () => Promise<void>;
}

/** A real server over a real file of its own, with the demo's data unless it is to be empty, on a free port. */
export async function openShop({ web = WEB, host = '127.0.0.1', demo = true } = {}): Promise<Shop> {
  const folder = mkdtempSync(join(tmpdir(), 'thimble-'));
  const file = join(folder, 'shop.db');
  const start = (port: string) =>
    spawn(join(ROOT, 'node_modules/.bin/tsx'), [join(ROOT, 'server/src/main.ts')], {
      cwd: ROOT,
      env: { ...process.env, PORT: port, ZT_DEMO: demo ? '1' : '0', ZT_DATA: file, ZT_WEB: web, HOST: host },
    });
  let child = start('0');
  const url = await addressOf(child);
  const down = async () => {
    const ended = new Promise((done) => child.once('exit', done));
    child.kill('SIGTERM');
    await ended;
  };
  const up = async () => {
    child = start(new URL(url).port);
    await addressOf(child);
  };
  const stop = async () => {
    await down();
    rmSync(folder, { recursive: true, force: true });
  };
  return { url, file, down, up, stop };
}

function addressOf(child: ChildProcess): Promise<string> {
  return new Promise((found, failed) => {
    let said = '';
    child.stdout?.on('data', (chunk) => {
      said += chunk;
      const url = READY.exec(said)?.[1];
      if (url) found(url);
    });
    child.stderr?.on('data', (chunk) => {
      said += chunk;
    });
    child.once('exit', (code) => failed(new Error(`The server ended with ${code}: ${said}`)));
  });
}
