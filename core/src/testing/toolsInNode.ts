import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { type DrawingTools, drawingTools } from '../stages/design/svg/tools';

const here = createRequire(import.meta.url);
const bytesOf = (name: string) => async () => new Uint8Array(await readFile(here.resolve(name)));

/** What drawings are read with, outside a browser. */
export const toolsInNode = (): Promise<DrawingTools> =>
  drawingTools({
    resvg: bytesOf('@resvg/resvg-wasm/index_bg.wasm'),
    clipper: bytesOf('clipper2-wasm/dist/umd/clipper2z.wasm'),
  });
