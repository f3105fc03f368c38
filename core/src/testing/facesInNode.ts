import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { FACES } from '../catalogue/faces';
import type { FaceId } from '../model/ticket/lettering';
import { loadShaper, type OpenTypeface, type Typeface } from '../stages/design/lettering/typeface';

const here = createRequire(import.meta.url);
const bytesOf = async (name: string) => new Uint8Array(await readFile(here.resolve(name)));

let shaper: Promise<OpenTypeface> | null = null;

/** A typeface opened outside a browser. */
export async function faceInNode(id: FaceId): Promise<Typeface> {
  shaper ??= bytesOf('harfbuzzjs/hb.wasm').then(loadShaper);
  const entry = FACES.find((face) => face.id === id);
  if (!entry) throw new Error(`assertion failed: no typeface ${id}`);
  return (await shaper)(await bytesOf(entry.file));
}
