import { spawn } from 'node:child_process';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { BUILT, bin, onceFor, ROOT } from '../lib.mjs';
import { putModules } from './modules.mjs';
import { packFolder, QUICKLY } from './pack.mjs';
import { putPublicFiles } from './publicFiles.mjs';
import { buildServiceWorker } from './serviceWorker.mjs';
import { buildWorkers } from './workers.mjs';

const APP = join(ROOT, 'app');
const PUBLIC = join(APP, 'public');
export const DIST = join(APP, 'dist');

/** Exports the app as Expo does; what it says is shown only where it fails. */
function exportApp() {
  const child = spawn(bin('expo'), ['export', '-p', 'web'], {
    cwd: APP,
    env: { ...process.env, CI: '1' },
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (chunk) => {
      said += chunk;
    });
  return new Promise((done, failed) =>
    child.once('exit', (code) =>
      code === 0 ? done() : failed(new Error(`The app could not be built.\n${said}`)),
    ),
  );
}

/** The page's head says what each worker's file is called: its name tells what it holds. */
function nameWorkers(workers) {
  const page = join(DIST, 'index.html');
  const named = `<meta name="workers" content="${Object.values(workers).join(' ')}">`;
  writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${named}</head>`));
}

/** Builds the web app when its sources have changed, packed for the way to the browser. */
export const ensureWebApp = () =>
  onceFor(
    'web',
    { reads: ['app', 'core/src', 'package-lock.json', 'scripts/build'], makes: 'app/dist/serviceWorker.js' },
    async () => {
      putPublicFiles(PUBLIC);
      const workers = await buildWorkers(join(PUBLIC, 'workers'), { hashed: true });
      await exportApp();
      nameWorkers(workers);
      putModules(DIST);
      await buildServiceWorker(DIST);
      await packFolder(DIST, QUICKLY);
      rmSync(join(BUILT, 'packed.stamp'), { force: true });
    },
  );
