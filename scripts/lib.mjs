import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..');
/** What is made here and can be made again. */
export const BUILT = join(ROOT, '.build');

/** Runs a command with its output shown; ends this process when it fails and `must` is set. */
export function run(command, args, { must = true, cwd = ROOT, env = {} } = {}) {
  const { status } = spawnSync(command, args, { cwd, stdio: 'inherit', env: { ...process.env, ...env } });
  if (must && status !== 0) process.exit(status ?? 1);
  return status ?? 1;
}

export const bin = (name) => join(ROOT, 'node_modules/.bin', name);

const SKIPPED = ['node_modules', 'dist', '.expo', 'public'];

export function filesUnder(path, skipped = SKIPPED) {
  if (!existsSync(path)) return [];
  if (statSync(path).isFile()) return [path];
  return readdirSync(path)
    .filter((name) => !skipped.includes(name))
    .sort()
    .flatMap((name) => filesUnder(join(path, name), skipped));
}

/** Tests are no part of what is built. */
const IS_TEST = /\.test\.tsx?$|\/testing\//;

function fingerprint(paths) {
  const hash = createHash('sha256');
  for (const file of paths.flatMap((path) => filesUnder(join(ROOT, path))))
    if (!IS_TEST.test(file)) hash.update(file.slice(ROOT.length)).update(readFileSync(file));
  return hash.digest('hex');
}

/** Does work only when what it reads has changed since it was last done, or what it makes is gone. */
export async function onceFor(name, { reads, makes }, work) {
  const stamp = join(BUILT, `${name}.stamp`);
  const now = fingerprint(reads);
  if (existsSync(join(ROOT, makes)) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  await work();
  mkdirSync(BUILT, { recursive: true });
  writeFileSync(stamp, now);
}

/** Says which of so many steps is being done, and after each how long it took. */
export function stepsOf(all) {
  let done = 0;
  return async (what, work) => {
    done += 1;
    const begun = performance.now();
    process.stdout.write(`${done} of ${all}: ${what} …`);
    const result = await work();
    console.log(` ${((performance.now() - begun) / 1000).toFixed(1)} s`);
    return result;
  };
}
