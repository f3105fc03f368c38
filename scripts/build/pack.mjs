import { readFile, rename, writeFile } from 'node:fs/promises';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { filesUnder } from '../lib.mjs';

/** What gets smaller when it is packed. */
const PACKED = /\.(js|ttf|html|css|json|svg|wasm)$/;
/** Files that are packed at once: one for each core of a small box. */
const AT_ONCE = 2;

/** Puts a file in its place when it is whole: it may be asked for meanwhile. */
async function put(file, bytes) {
  await writeFile(`${file}.part`, bytes);
  await rename(`${file}.part`, file);
}

async function packFile(file, quality) {
  const bytes = await readFile(file);
  const params = { [constants.BROTLI_PARAM_QUALITY]: quality };
  const level = quality === constants.BROTLI_MAX_QUALITY ? constants.Z_BEST_COMPRESSION : 6;
  await put(`${file}.br`, await promisify(brotliCompress)(bytes, { params }));
  await put(`${file}.gz`, await promisify(gzip)(bytes, { level }));
}

/** Qualities of packing: in a second, while nobody has the app yet, and as small as can be. */
export const QUICKLY = 4;
export const SMALLEST = constants.BROTLI_MAX_QUALITY;

/** Packs each file of a folder beside itself, once for all who fetch it. */
export async function packFolder(folder, quality) {
  const files = filesUnder(folder, []).filter((name) => PACKED.test(name));
  const next = async () => {
    for (let file = files.pop(); file; file = files.pop()) await packFile(file, quality);
  };
  await Promise.all(Array.from({ length: AT_ONCE }, next));
}
