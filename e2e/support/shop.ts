import { type ChildProcess, spawn } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '../..');
/** The server and the web app as they were built, or those of a folder that `npm run release` made and RELEASED names. */
const RELEASED = process.env.RELEASED;
const SERVER = RELEASED ? join(RELEASED, 'server/main.mjs') : join(ROOT, '.build/server/main.mjs');
export const WEB = RELEASED ? join(RELEASED, 'web') : join(ROOT, 'app/dist');
/** A data folder with the demo's shop in it, as it is before anybody was there; made once for a run (seeded.ts). */
export const SEEDED = join(ROOT, '.build/e2e-seeded');
const READY = /ready: (http:\/\/\S+)/;

export interface Shop {
  url: string;
  /** Its database file. */
  file: string;
  /** Switches the shop's computer off; `up` starts it again under the same address. */
  down: () => Promise<void>;
  up: () => Promise<void>;
  /** Puts it back to how it was opened, under the same address. */
  anew: () => Promise<void>;
  stop: () => Promise<void>;
}

interface ShopSetting {
  web?: string;
  host?: string;
  /** Whether the demo's data is in it, or nothing. */
  demo?: boolean;
  /** Where its data is made, in place of a copy of what was made once. */
  folder?: string;
}

/** A real server over a real file of its own, on a free port. */
export async function openShop({
  web = WEB,
  host = '127.0.0.1',
  demo = true,
  folder = mkdtempSync(join(tmpdir(), 'thimble-')),
}: ShopSetting = {}): Promise<Shop> {
  const file = join(folder, 'shop.db');
  const fill = () => {
    mkdirSync(folder, { recursive: true });
    if (demo && existsSync(join(SEEDED, 'shop.db'))) cpSync(SEEDED, folder, { recursive: true });
  };
  const start = (port: string) =>
    spawn(process.execPath, [SERVER], {
      cwd: ROOT,
      env: { ...process.env, PORT: port, ZT_DEMO: demo ? '1' : '0', ZT_DATA: file, ZT_WEB: web, HOST: host },
    });
  fill();
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
  const anew = async () => {
    await down();
    rmSync(folder, { recursive: true, force: true });
    fill();
    await up();
  };
  const stop = async () => {
    await down();
    rmSync(folder, { recursive: true, force: true });
  };
  return { url, file, down, up, anew, stop };
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
