import { resolve } from 'node:path';
import { bin, ensurePackages, run } from './lib.mjs';

/** Runs one of the server's commands; a file is named from where it was typed. */
const [name, file] = process.argv.slice(2);
ensurePackages();
const from = process.env.INIT_CWD ?? process.cwd();
run(bin('tsx'), [`server/src/commands/${name}.ts`, ...(file ? [resolve(from, file)] : [])]);
