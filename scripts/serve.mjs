import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { bin, ROOT, stepsOf } from './lib.mjs';
import { CHROMIUM, ensureChromium, ensurePackages } from './packages.mjs';

/** Builds what is served and needs building, saying how far it has come. Returns the server's script. */
export async function ensureServed() {
  const step = stepsOf(3);
  await step('packages (the first time about a minute)', () => ensurePackages({ all: false }));
  const { ensureServer, SERVER_MAIN } = await import('./build/server.mjs');
  const { ensureWebApp } = await import('./build/webApp.mjs');
  await step('server', ensureServer);
  await step('web app (the first time about a minute)', ensureWebApp);
  return SERVER_MAIN;
}

/** Starts the server as a child that ends with this process, and this process with it. */
function runServer(command, args, env) {
  const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
  return child;
}

/** Builds and serves; what is served is packed smaller while it is served already. Its environment decides data, port and demo. */
export async function serve(env) {
  const main = await ensureServed();
  const server = runServer(process.execPath, ['--enable-source-maps', main], env);
  const packing = spawn(process.execPath, [join(ROOT, 'scripts/build/packSmallest.mjs')], {
    cwd: ROOT,
    stdio: 'inherit',
  });
  server.once('exit', () => packing.kill());
  process.once('exit', () => packing.kill());
}

/** Serves from the sources, and anew when one of them changes. */
export const serveSources = (env) => runServer(bin('tsx'), ['watch', join(ROOT, 'server/src/main.ts')], env);

/** A shop of its own with the demo's data, and a browser to look at it, in this web app; `close` takes both away. */
export async function openDemo({ web } = {}) {
  ensurePackages();
  const main = await ensureServed();
  if (!ensureChromium()) process.exit(1);
  const { chromium } = await import('@playwright/test');
  const folder = mkdtempSync(join(tmpdir(), 'thimble-demo-'));
  const server = spawn(process.execPath, [main], {
    cwd: ROOT,
    env: {
      ...process.env,
      PORT: '0',
      ZT_DEMO: '1',
      ZT_DATA: join(folder, 'shop.db'),
      ...(web ? { ZT_WEB: web } : {}),
    },
  });
  const url = await new Promise((ready) =>
    server.stdout.on('data', (chunk) => ready(/http:\S+/.exec(chunk)?.[0])),
  );
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const close = async () => {
    await browser.close();
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  };
  return { url, browser, close };
}
