import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import type { Clipper } from '@zt/core/base/geometry/clip';
import { clipperFrom, type DrawingTools, drawingTools } from '@zt/core/stages/design/svg/tools';

const bytesOf = (name: string) => async () =>
  new Uint8Array(await readFile(createRequire(import.meta.url).resolve(name)));

/** Compiled code that comes with its packages: what draws pictures, and what puts regions together. */
export const resvgWasm = bytesOf('@resvg/resvg-wasm/index_bg.wasm');
const clipperWasm = bytesOf('clipper2-wasm/dist/umd/clipper2z.wasm');

/** What drawings are read with on the shop's computer. */
export const toolsHere = (): Promise<DrawingTools> =>
  drawingTools({ resvg: resvgWasm, clipper: clipperWasm });

/** What regions are put together with on the shop's computer. */
export const clipperHere = (): Promise<Clipper> => clipperFrom(clipperWasm);
