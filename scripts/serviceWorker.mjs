import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { build } from 'esbuild';
import { filesUnder, ROOT } from './lib.mjs';

const DIST = join(ROOT, 'app/dist');
const HASHED = /[-.][0-9a-f]{32}\.\w+$/;
const NOT_KEPT = /\.(br|gz|map)$|^(metadata\.json|serviceWorker\.js)$/;

// The app's service worker, with the list of all files that it keeps.

const manifest = filesUnder(DIST, [])
  .map((file) => ({ file, url: relative(DIST, file) }))
  .filter(({ url }) => !NOT_KEPT.test(url))
  .map(({ file, url }) => ({
    url: `/${url}`,
    revision: HASHED.test(url) ? null : createHash('sha256').update(readFileSync(file)).digest('hex'),
  }));
await build({
  entryPoints: [join(ROOT, 'app/shell/serviceWorker.ts')],
  outfile: join(DIST, 'serviceWorker.js'),
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  define: {
    'self.__WB_MANIFEST': JSON.stringify(manifest),
    'process.env.NODE_ENV': '"production"',
  },
});
