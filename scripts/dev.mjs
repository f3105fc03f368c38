import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { bin, ROOT } from './lib.mjs';
import { ensurePackages } from './packages.mjs';
import { serveSources } from './serve.mjs';

/** Work on it: the server restarts on changes; Expo serves the app with fast refresh and sends /api to the server. */
ensurePackages();
const { buildWorkers } = await import('./build/workers.mjs');
const { putPublicFiles } = await import('./build/publicFiles.mjs');
putPublicFiles(join(ROOT, 'app/public'));
await buildWorkers(join(ROOT, 'app/public/workers'), { hashed: false });
const port = process.env.PORT ?? '4601';
serveSources({ ZT_DEMO: '1', ZT_DATA: process.env.ZT_DATA ?? 'data/dev.db', PORT: port });
spawn(bin('expo'), ['start', '--web', '--port', '4602'], {
  cwd: join(ROOT, 'app'),
  stdio: 'inherit',
  env: { ...process.env, ZT_API: `http://127.0.0.1:${port}` },
});
