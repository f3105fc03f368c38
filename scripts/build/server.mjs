import { copyFileSync, cpSync, existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { build } from 'esbuild';
import { BUILT, onceFor, ROOT } from '../lib.mjs';

const SERVER = join(ROOT, 'server');
const require = createRequire(join(SERVER, 'package.json'));

/** Files of packages that the server reads as it runs, by the names under which it asks for them. */
const READ = [
  '@resvg/resvg-wasm/index_bg.wasm',
  'clipper2-wasm/dist/umd/clipper2z.wasm',
  '@expo-google-fonts/atkinson-hyperlegible-next/400Regular/AtkinsonHyperlegibleNext_400Regular.ttf',
  '@expo-google-fonts/atkinson-hyperlegible-next/700Bold/AtkinsonHyperlegibleNext_700Bold.ttf',
];
/** The database's own code, compiled for this kind of computer, and what finds it. */
const DATABASE = ['libsql', '@neon-rs/load', 'detect-libc'];

/** The folder that a package is in, as seen from another's. */
function folderOf(name, from = SERVER) {
  for (let at = from; ; at = dirname(at)) {
    const folder = join(at, 'node_modules', name);
    if (existsSync(folder)) return folder;
    if (at === dirname(at)) throw new Error(`The package ${name} is not there.`);
  }
}

/** The database's compiled code in this installation: one for each kind of computer that it was installed for. */
function compiledDatabases() {
  const scope = dirname(folderOf('@libsql/client'));
  return readdirSync(scope)
    .filter((name) => /^(linux|darwin|win32)-/.test(name))
    .map((name) => `@libsql/${name}`);
}

/** What a bundle of modules needs for those in it that are none. */
const BANNER = `import { createRequire as requireHere } from 'node:module';
const require = requireHere(import.meta.url);
const __dirname = import.meta.dirname ?? new URL('.', import.meta.url).pathname;`;

/**
 * Builds the server into a folder of its own: its files, and what it reads as it runs. Plain `node main.mjs` starts it,
 * with no other package there. Returns the packages whose code is in it, for their licences.
 */
export async function buildServer(folder) {
  rmSync(folder, { recursive: true, force: true });
  const { metafile } = await build({
    entryPoints: ['main', 'commands/backup', 'commands/restore'].map((name) =>
      join(SERVER, `src/${name}.ts`),
    ),
    outdir: folder,
    // All in one folder: what is read beside the code is found from any of them.
    entryNames: '[name]',
    outExtension: { '.js': '.mjs' },
    chunkNames: 'shared-[hash]',
    bundle: true,
    splitting: true,
    minifySyntax: true,
    minifyWhitespace: true,
    sourcemap: 'linked',
    sourcesContent: false,
    platform: 'node',
    // Some packages' older form finds its own files only where it stands.
    mainFields: ['module', 'main'],
    format: 'esm',
    target: 'node20',
    external: ['libsql'],
    banner: { js: BANNER },
    metafile: true,
    logLevel: 'warning',
  });
  cpSync(join(SERVER, 'src/db/migrations'), join(folder, 'migrations'), { recursive: true });
  for (const name of READ) {
    const to = join(folder, 'node_modules', name);
    mkdirSync(dirname(to), { recursive: true });
    copyFileSync(require.resolve(name), to);
  }
  const database = [...DATABASE, ...compiledDatabases()];
  for (const name of database)
    cpSync(folderOf(name), join(folder, 'node_modules', name), { recursive: true });
  return { inputs: Object.keys(metafile.inputs), copied: [...READ, ...database] };
}

/** Where the server is that is started here. */
export const SERVER_MAIN = join(BUILT, 'server/main.mjs');

/** Builds the server when its sources have changed. */
export const ensureServer = () =>
  onceFor(
    'server',
    {
      reads: ['server/src', 'core/src', 'package-lock.json', 'scripts/build'],
      makes: '.build/server/main.mjs',
    },
    () => buildServer(join(BUILT, 'server')),
  );
