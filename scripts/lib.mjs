import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { basename, dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const STAMPS = join(ROOT, '.build');

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

function fingerprint(paths) {
  const hash = createHash('sha256');
  for (const file of paths.flatMap((path) => filesUnder(join(ROOT, path))))
    hash.update(file.slice(ROOT.length)).update(readFileSync(file));
  return hash.digest('hex');
}

/** Does work only when what it reads has changed since it was last done, or what it makes is gone. */
export function onceFor(name, { reads, makes }, work) {
  const stamp = join(STAMPS, name);
  const now = fingerprint(reads);
  if (existsSync(join(ROOT, makes)) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  work();
  mkdirSync(STAMPS, { recursive: true });
  writeFileSync(stamp, now);
}

/**
 * Installs the packages of the lock file when they are not there, or not these. `install`, not `ci`: a lock
 * file made behind a mirror lacks the optional binaries of other platforms, which `ci` takes for a fault.
 */
export function ensurePackages() {
  onceFor('packages', { reads: ['package-lock.json'], makes: 'node_modules/.bin/tsx' }, () => {
    console.log('Installing packages (once, about a minute).');
    run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error']);
  });
}

/** What gets smaller when it is packed. */
const PACKED = /\.(js|ttf|html|css|json|svg|wasm)$/;

/** Packs a file beside itself, once for all who fetch it. */
function pack(file) {
  const bytes = readFileSync(file);
  const params = { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY };
  writeFileSync(`${file}.br`, brotliCompressSync(bytes, { params }));
  writeFileSync(`${file}.gz`, gzipSync(bytes, { level: constants.Z_BEST_COMPRESSION }));
}

/** Compiled code that drawings are read and letters are set with, each fetched by the worker that needs it. */
const WASM = {
  'resvg.wasm': '@resvg/resvg-wasm/index_bg.wasm',
  'clipper.wasm': 'clipper2-wasm/dist/umd/clipper2z.wasm',
  'harfbuzz.wasm': 'harfbuzzjs/hb.wasm',
};

/** The files of the typefaces, as core names them. */
const faceFiles = () =>
  readFileSync(join(ROOT, 'core/src/catalogue/faces.ts'), 'utf8').match(/@expo-google-fonts\/[\w/-]+\.ttf/g);

/** Puts compiled code and typefaces where Expo takes files from as they are. */
export function ensurePublic() {
  const inCore = createRequire(join(ROOT, 'core/package.json'));
  const put = (folder, name, module) => {
    mkdirSync(join(ROOT, 'app/public', folder), { recursive: true });
    copyFileSync(inCore.resolve(module), join(ROOT, 'app/public', folder, name));
  };
  for (const [name, module] of Object.entries(WASM)) put('wasm', name, module);
  for (const file of faceFiles()) put('faces', basename(file), file);
}

/** Exports the web app when its sources have changed, packed as browsers take it. */
export function ensureWebApp() {
  onceFor('web', { reads: ['app', 'core/src', 'package-lock.json'], makes: 'app/dist/index.html' }, () => {
    console.log('Building the web app (about a minute).');
    ensurePublic();
    run(bin('expo'), ['export', '-p', 'web'], { cwd: join(ROOT, 'app'), env: { CI: '1' } });
    run('node', [join(ROOT, 'scripts/serviceWorker.mjs')]);
    for (const file of filesUnder(join(ROOT, 'app/dist'), []).filter((name) => PACKED.test(name))) pack(file);
  });
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

/** Starts the server as a child; its environment decides data, port and demo. */
export function startServer(env, { watch = false } = {}) {
  const args = [...(watch ? ['watch'] : []), join(ROOT, 'server/src/main.ts')];
  const child = spawn(bin('tsx'), args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal));
  child.on('exit', (code) => process.exit(code ?? 0));
  return child;
}

/** A shop of its own with the demo's data, and a browser to look at it, in this web app; `close` takes both away. */
export async function openDemo({ web } = {}) {
  ensurePackages();
  ensureWebApp();
  if (!ensureChromium()) process.exit(1);
  const { chromium } = await import('@playwright/test');
  const folder = mkdtempSync(join(tmpdir(), 'thimble-demo-'));
  const server = spawn(bin('tsx'), [join(ROOT, 'server/src/main.ts')], {
    cwd: ROOT,
    env: {
      ...process.env,
      PORT: '0',
      ZT_DEMO: '1',
      ZT_DATA: join(folder, 'shop.db'),
      ...(web ? { ZT_WEB: web } : {}),
    },
  });
  const url = await new Promise((ready) =>
    server.stdout.on('data', (chunk) => ready(/http:\S+/.exec(chunk)?.[0])),
  );
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const close = async () => {
    await browser.close();
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  };
  return { url, browser, close };
}
