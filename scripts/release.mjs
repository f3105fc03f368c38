import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { BUILT, filesUnder, ROOT, stepsOf } from './lib.mjs';
import { ensurePackages } from './packages.mjs';

/**
 * `npm run release`: one folder, and the same as a .tgz, with all that a shop's computer needs beside Node.js itself. Its
 * name has the version; what it is started with is in scripts/release.
 */
const { name, version } = JSON.parse(readFileSync(join(ROOT, 'package.json'), 'utf8'));
const folder = join(ROOT, 'release', `${name}-${version}`);
const inMb = (bytes) => `${(bytes / 1e6).toFixed(1)} MB`;
const step = stepsOf(5);

await step('packages', () => ensurePackages());
const { buildServer } = await import('./build/server.mjs');
const { DIST, ensureWebApp, WEB_PACKAGES } = await import('./build/webApp.mjs');
const { packFolder, SMALLEST } = await import('./build/pack.mjs');
const { folderNamed, licencesOf, packagesOf } = await import('./build/licences.mjs');

rmSync(folder, { recursive: true, force: true });
mkdirSync(folder, { recursive: true });
const server = await step('server', () => buildServer(join(folder, 'server')));
await step('web app', async () => {
  rmSync(join(BUILT, 'web.stamp'), { force: true });
  await ensureWebApp();
  cpSync(DIST, join(folder, 'web'), { recursive: true });
});
await step('packing', () => packFolder(join(folder, 'web'), SMALLEST));
await step('papers', () => {
  for (const file of ['LICENSE', 'CHANGELOG.md']) cpSync(join(ROOT, file), join(folder, file));
  cpSync(join(ROOT, 'docs/run-it.md'), join(folder, 'run-it.md'));
  cpSync(join(ROOT, 'scripts/release'), folder, { recursive: true });
  writeFileSync(
    join(folder, 'package.json'),
    `${JSON.stringify({ name, version, private: true, type: 'module', license: 'MIT', engines: { node: '>=20' }, scripts: { start: 'node start.mjs' } }, null, 2)}\n`,
  );
  const copied = server.copied.map((one) =>
    one
      .split('/')
      .slice(0, one.startsWith('@') ? 2 : 1)
      .join('/'),
  );
  const packages = [
    ...packagesOf(server.inputs),
    ...copied.map(folderNamed),
    ...JSON.parse(readFileSync(WEB_PACKAGES, 'utf8')),
  ];
  writeFileSync(join(folder, 'licences.txt'), licencesOf(packages).join(`\n${'-'.repeat(78)}\n\n`));
});

const archive = `${folder}.tgz`;
const { status, stderr } = spawnSync(
  'tar',
  ['-czf', archive, '-C', join(ROOT, 'release'), basename(folder)],
  {
    encoding: 'utf8',
  },
);
if (status !== 0) {
  console.error(`The archive could not be made. tar says:\n${stderr}`);
  process.exit(1);
}
const bytes = filesUnder(folder, []).reduce((sum, file) => sum + statSync(file).size, 0);
console.log(`${folder}: ${inMb(bytes)}; ${basename(archive)}: ${inMb(statSync(archive).size)}`);
