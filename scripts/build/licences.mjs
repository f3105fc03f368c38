import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { ROOT } from '../lib.mjs';

const IN_PACKAGE = /^(.*node_modules\/(?:@[^/]+\/)?[^/]+)/;
const IS_LICENCE = /^(licen[cs]e|copying|ofl)([._-].*)?$/i;

/** The folders of the packages that files are of; what is ours, or made by a bundler, is of none. */
export const packagesOf = (files) => {
  const there = files.map((file) => resolve(ROOT, file)).filter((file) => existsSync(file));
  return [...new Set(there.flatMap((file) => IN_PACKAGE.exec(file)?.[1] ?? []))].sort();
};

/** The folder of a package by its name, as the server or the app has it. */
export function folderNamed(name) {
  const folder = ['server', 'app', 'core', '.']
    .map((at) => join(ROOT, at, 'node_modules', name))
    .find((at) => existsSync(join(at, 'package.json')));
  if (!folder) throw new Error(`The package ${name} is not there.`);
  return folder;
}

/** A package within another has its own words; one without any has those of the one it is in. */
function wordsOf(folder) {
  const names = existsSync(folder) ? readdirSync(folder).filter((name) => IS_LICENCE.test(name)) : [];
  return names.map((name) => readFileSync(join(folder, name), 'utf8').trim());
}

function licenceOf(folder) {
  const { name, version, license, licenses, author } = JSON.parse(
    readFileSync(join(folder, 'package.json'), 'utf8'),
  );
  const called = license?.type ?? license ?? licenses?.map(({ type }) => type).join(', ') ?? '';
  const words = wordsOf(folder);
  if (called === '' && words.length === 0) throw new Error(`The package ${name} tells no licence.`);
  const by = typeof author === 'string' ? author : author?.name;
  const said = words.length > 0 ? words.join('\n\n') : `${called}${by ? `, ${by}` : ''}`;
  return { title: `${name} ${version}: ${called || 'see below'}`, words: said };
}

/** The licences of packages, each in its own words; those that say the same in the same words stand together. */
export function licencesOf(folders) {
  const byWords = new Map();
  const seen = new Set();
  for (const folder of folders.map((one) => (existsSync(join(one, 'package.json')) ? one : dirname(one)))) {
    const { title, words } = licenceOf(folder);
    if (seen.has(title)) continue;
    seen.add(title);
    byWords.set(words, [...(byWords.get(words) ?? []), title]);
  }
  return [...byWords].map(([words, titles]) => `${titles.sort().join('\n')}\n\n${words}\n`).sort();
}
