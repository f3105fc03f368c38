import { spawn } from 'node:child_process';
import { bin, ROOT } from './lib.mjs';
import { ensurePackages } from './packages.mjs';

/**
 * The inner loop: types, lint and units, side by side; says how long each took. What enumerates for seconds stands in
 * `*.long.test.ts` and is left to `npm test`.
 */
ensurePackages();

const begun = Date.now();
const seconds = () => `${((Date.now() - begun) / 1000).toFixed(0)} s`;

/** Runs a command to its end; what it said is shown only where it failed. */
function check(name, command, args) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: ROOT, env: { ...process.env, FORCE_COLOR: '0' } });
    let said = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => {
        said += chunk;
      });
    child.on('exit', (code) => {
      console.log(`${code === 0 ? 'passed' : 'FAILED'} ${name}, after ${seconds()}`);
      if (code !== 0) console.log(said);
      done(code === 0);
    });
  });
}

const all = await Promise.all([
  check('types', 'npm', ['run', '--silent', 'types']),
  check('lint', 'npm', ['run', '--silent', 'lint']),
  check('units', bin('jest'), ['--silent', '--testPathPattern', '^((?!\\.long\\.test\\.).)*$']),
]);
process.exit(all.every(Boolean) ? 0 : 1);
