import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { build } from 'esbuild';
import { filesUnder, ROOT } from '../lib.mjs';

/** A file whose name tells what it holds. */
const HASHED = /[-.]([0-9a-f]{32}|[0-9A-Z]{8})\.\w+$/;
const NOT_KEPT = /\.(br|gz|map|part)$|^(metadata\.json|serviceWorker\.js)$/;

/** Builds the app's service worker into a folder, with the list of all files there: it keeps them. Returns its modules. */
export async function buildServiceWorker(folder) {
  const manifest = filesUnder(folder, [])
    .map((file) => ({ file, url: relative(folder, file) }))
    .filter(({ url }) => !NOT_KEPT.test(url))
    .map(({ file, url }) => ({
      url: `/${url}`,
      revision: HASHED.test(url) ? null : createHash('sha256').update(readFileSync(file)).digest('hex'),
    }));
  const { metafile } = await build({
    entryPoints: [join(ROOT, 'app/shell/serviceWorker.ts')],
    outfile: join(folder, 'serviceWorker.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    target: 'es2022',
    define: {
      'self.__WB_MANIFEST': JSON.stringify(manifest),
      'process.env.NODE_ENV': '"production"',
    },
    metafile: true,
  });
  return Object.keys(metafile.inputs);
}
