import { copyFileSync, mkdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { basename, join } from 'node:path';
import { ROOT } from '../lib.mjs';

/** Compiled code that drawings are read and letters are set with, each fetched by the worker that needs it. */
const WASM = {
  'resvg.wasm': '@resvg/resvg-wasm/index_bg.wasm',
  'clipper.wasm': 'clipper2-wasm/dist/umd/clipper2z.wasm',
  'harfbuzz.wasm': 'harfbuzzjs/hb.wasm',
};

/** The files of the typefaces, as core names them. */
const faceFiles = () =>
  readFileSync(join(ROOT, 'core/src/catalogue/faces.ts'), 'utf8').match(/@expo-google-fonts\/[\w/-]+\.ttf/g);

/** Puts compiled code and typefaces into a folder of files that are shipped as they are. Returns where they are from. */
export function putPublicFiles(folder) {
  const inCore = createRequire(join(ROOT, 'core/package.json'));
  const from = [];
  const put = (kind, name, module) => {
    mkdirSync(join(folder, kind), { recursive: true });
    copyFileSync(inCore.resolve(module), join(folder, kind, name));
    from.push(inCore.resolve(module));
  };
  for (const [name, module] of Object.entries(WASM)) put('wasm', name, module);
  for (const file of faceFiles()) put('faces', basename(file), file);
  return from;
}
