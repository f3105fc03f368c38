import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { BUILT, bin, ROOT, run } from './lib.mjs';

const STAMP = join(BUILT, 'packages.stamp');
const LOCK = join(ROOT, 'package-lock.json');

/** What is installed: which lock file, and whether what only tests and development need is among it. */
function installed() {
  if (!existsSync(STAMP) || !existsSync(bin('esbuild'))) return null;
  return JSON.parse(readFileSync(STAMP, 'utf8'));
}

/**
 * Installs the packages of the lock file when they are not there, or not these: all, or those that building and running
 * need. `install`, not `ci`: a lock file made behind a mirror lacks the optional binaries of other platforms, which `ci`
 * takes for a fault.
 */
export function ensurePackages({ all: isAllWanted = true } = {}) {
  const lock = readFileSync(LOCK, 'utf8');
  const now = installed();
  if (now?.lock === lock && (now.all || !isAllWanted)) return;
  // What somebody installed for tests is left there.
  const all = isAllWanted || existsSync(bin('jest'));
  const args = ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'];
  const { status, stderr } = spawnSync('npm', [...args, ...(all ? [] : ['--omit=dev'])], {
    cwd: ROOT,
    stdio: ['ignore', 'ignore', 'pipe'],
    encoding: 'utf8',
  });
  if (status !== 0) {
    console.error(`\nThe packages could not be installed. npm says:\n${stderr}`);
    process.exit(1);
  }
  mkdirSync(BUILT, { recursive: true });
  writeFileSync(STAMP, JSON.stringify({ lock, all }));
}

export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium';

/** Installs Debian's Chromium where this may be done; says so where not. */
export function ensureChromium() {
  if (existsSync(CHROMIUM)) return true;
  if (process.getuid?.() === 0 && existsSync('/usr/bin/apt-get')) {
    console.log('Installing Chromium for the browser tests.');
    run('apt-get', ['update', '-qq'], { must: false });
    run('apt-get', ['install', '-y', '-qq', 'chromium'], {
      must: false,
      env: { DEBIAN_FRONTEND: 'noninteractive' },
    });
  }
  if (existsSync(CHROMIUM)) return true;
  console.error(
    `There is no browser at ${CHROMIUM}: install Debian's package "chromium", or set CHROMIUM to one.`,
  );
  return false;
}
