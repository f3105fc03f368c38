import { spawn } from 'node:child_process';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';
import { BUILT, bin, onceFor, ROOT } from '../lib.mjs';
import { folderNamed, packagesOf } from './licences.mjs';
import { packFolder, QUICKLY } from './pack.mjs';
import { makePage } from './page.mjs';
import { putPublicFiles } from './publicFiles.mjs';
import { buildServiceWorker } from './serviceWorker.mjs';
import { buildWorkers } from './workers.mjs';

const APP = join(ROOT, 'app');
const PUBLIC = join(APP, 'public');
const inApp = createRequire(join(APP, 'package.json'));
const { LIST } = inApp('./bundling/shipped.cjs');
const { withinShaken } = inApp('./bundling/shaken.cjs');
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

/** Which packages are in the web app as it was built: their folders. */
export const WEB_PACKAGES = join(BUILT, 'webPackages.json');

/** Builds the web app when its sources have changed, packed for the way to the browser. */
export const ensureWebApp = () =>
  onceFor(
    'web',
    { reads: ['app', 'core/src', 'package-lock.json', 'scripts/build'], makes: 'app/dist/serviceWorker.js' },
    async () => {
      const files = putPublicFiles(PUBLIC);
      const workers = await buildWorkers(join(PUBLIC, 'workers'), { hashed: true });
      await exportApp();
      makePage(DIST, workers.files);
      const modules = await buildServiceWorker(DIST);
      const bundled = JSON.parse(readFileSync(LIST, 'utf8'));
      const shipped = packagesOf([...files, ...workers.modules, ...modules, ...bundled]);
      writeFileSync(WEB_PACKAGES, JSON.stringify([...shipped, ...withinShaken().map(folderNamed)]));
      await packFolder(DIST, QUICKLY);
      rmSync(join(BUILT, 'packed.stamp'), { force: true });
    },
  );
