import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { bin, ensurePackages, ensureWebApp, ROOT, startServer } from './lib.mjs';

/** Work on it: the server restarts on changes; Expo serves the app with fast refresh and sends /api to the server. */
ensurePackages();
ensureWebApp();
const port = process.env.PORT ?? '4601';
startServer({ ZT_DEMO: '1', ZT_DATA: process.env.ZT_DATA ?? 'data/dev.db', PORT: port }, { watch: true });
spawn(bin('expo'), ['start', '--web', '--port', '4602'], {
  cwd: join(ROOT, 'app'),
  stdio: 'inherit',
  env: { ...process.env, ZT_API: `http://127.0.0.1:${port}` },
});
