const fs = require('node:fs');
const path = require('node:path');
const { build } = require('esbuild');

const ROOT = path.resolve(__dirname, '../..');

/**
 * Packages that only reckon, by their file that the app asks: it becomes one module of what the app uses of them, and
 * nothing else of them is shipped.
 */
const SHAKEN = {
  'zod/index.js': 'zod',
  'uuid/dist/esm-browser/index.js': 'uuid',
  'd3-array/dist/d3-array.mjs': 'd3-array',
  'culori/src/index-fn.js': 'culori/fn',
};

/** All modules of the app and of core but their tests. */
function sources(folder) {
  return fs.readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const at = path.join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'testing' ? [] : sources(at);
    return /(?<!\.test)\.tsx?$/.test(entry.name) ? [fs.readFileSync(at, 'utf8')] : [];
  });
}

/**
 * The names that are imported from a package anywhere, or handed on from it. Throws where it is asked in another way: what
 * is used of it then cannot be told.
 */
function namesUsed(name, texts) {
  const asked = new RegExp(`\\b(import|export)( type)? \\{([^}]*)\\} from '${name}'`, 'g');
  const named = texts.flatMap((text) => {
    const all = [...text.matchAll(asked)];
    if (all.length !== text.split(`'${name}'`).length - 1)
      throw new Error(`Of ${name} what is used must be named: import { … } from '${name}'.`);
    return all.flatMap(([, , isType, list]) =>
      isType ? [] : list.split(',').map((one) => one.trim().split(' ')[0]),
    );
  });
  return [...new Set(named)].filter((one) => one !== '' && one !== 'type').sort();
}

let known;
/** What is used of each package. Names of types are among them: they are left out where a package has no such value. */
function usedOfPackages() {
  if (known) return known;
  const texts = ['app/src', 'core/src'].flatMap((folder) => sources(path.join(ROOT, folder)));
  const ofZ = texts.flatMap((text) => [...text.matchAll(/\bz\.(\w+)/g)].map(([, name]) => name));
  known = Object.fromEntries(Object.values(SHAKEN).map((name) => [name, namesUsed(name, texts)]));
  known['z of zod'] = [...new Set(ofZ)].sort();
  return known;
}

/** A module that hands on what is used. Of zod its one object is made of that. */
async function handingOn(name) {
  const used = usedOfPackages();
  if (name !== 'zod') return `export { ${used[name].join(', ')} } from '${name}';`;
  const all = await import('zod');
  const properties = used['z of zod'].filter((one) => one in all).map((one) => `${one}: all.${one}`);
  return `import * as all from 'zod';\nexport const z = { ${properties.join(', ')} };`;
}

const shakenName = (file) => {
  const [, inPackages] = /node_modules\/((?!.*node_modules\/).+)$/.exec(file) ?? [];
  return SHAKEN[inPackages];
};

/** The one module that a package becomes, by the file that is asked for; null where a file is none of such a package. */
async function shaken(file) {
  const name = shakenName(file);
  if (!name) return null;
  const { outputFiles } = await build({
    stdin: { contents: await handingOn(name), resolveDir: path.join(ROOT, 'app') },
    bundle: true,
    write: false,
    format: 'esm',
    platform: 'browser',
    mainFields: ['browser', 'module', 'main'],
    target: 'es2022',
    legalComments: 'none',
    logLevel: 'warning',
  });
  return outputFiles[0].text;
}

/** The packages that are within those by their names: what they say they depend on. */
const withinShaken = () =>
  Object.keys(SHAKEN).flatMap((file) => {
    const folder = path.join(ROOT, 'node_modules', file.split('/')[0]);
    const { dependencies = {} } = JSON.parse(fs.readFileSync(path.join(folder, 'package.json'), 'utf8'));
    return Object.keys(dependencies);
  });

module.exports = { shaken, usedOfPackages, withinShaken };
