import { join, resolve } from 'node:path';
import { BUILT, run } from './lib.mjs';
import { ensurePackages } from './packages.mjs';

/** Runs one of the server's commands; a file is named from where it was typed. */
const [name, file] = process.argv.slice(2);
ensurePackages({ all: false });
const { ensureServer } = await import('./build/server.mjs');
await ensureServer();
const from = process.env.INIT_CWD ?? process.cwd();
run(process.execPath, [join(BUILT, `server/${name}.mjs`), ...(file ? [resolve(from, file)] : [])]);
