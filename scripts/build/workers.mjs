import { readdirSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { basename, join, resolve } from 'node:path';
import { build } from 'esbuild';
import { ROOT } from '../lib.mjs';

const { isLeftOut } = createRequire(import.meta.url)(join(ROOT, 'app/bundling/packages.cjs'));

const SOURCES = join(ROOT, 'app/src/workers');
const ENDING = '.worker.ts';

/** What the app leaves out of packages is left out here too. */
const lean = {
  name: 'lean',
  setup({ onResolve, onLoad }) {
    onResolve({ filter: /^fs$|\.c?js$/ }, ({ path, importer }) =>
      isLeftOut(path, importer) ? { path, namespace: 'left-out' } : undefined,
    );
    onLoad({ filter: /.*/, namespace: 'left-out' }, () => ({ contents: 'module.exports = {}' }));
  },
};

/**
 * Builds all workers as one graph, so that what several need is in a file that they share. They reckon and have no
 * interface: nothing of them needs what the app's own bundler does. With `hashed`, a file's name tells what it holds.
 * Returns where each worker is, by its name, and the modules that are in them.
 */
export async function buildWorkers(folder, { hashed }) {
  rmSync(folder, { recursive: true, force: true });
  const names = readdirSync(SOURCES).filter((name) => name.endsWith(ENDING));
  const { metafile } = await build({
    entryPoints: Object.fromEntries(names.map((name) => [basename(name, ENDING), join(SOURCES, name)])),
    outdir: folder,
    entryNames: hashed ? '[name]-[hash]' : '[name]',
    chunkNames: 'shared-[hash]',
    bundle: true,
    splitting: true,
    minify: true,
    format: 'esm',
    target: 'es2022',
    metafile: true,
    logLevel: 'warning',
    plugins: [lean],
    define: { 'process.env.NODE_ENV': '"production"', __DEV__: 'false' },
  });
  const files = Object.fromEntries(
    Object.entries(metafile.outputs).flatMap(([file, { entryPoint }]) =>
      entryPoint ? [[basename(entryPoint, ENDING), basename(file)]] : [],
    ),
  );
  return { files, modules: Object.keys(metafile.inputs).map((file) => resolve(file)) };
}
