/// <reference path="./clipper2z.d.ts" />
import { initWasm, Resvg } from '@resvg/resvg-wasm';
import clipperFactory from 'clipper2-wasm/dist/umd/clipper2z.js';
import { type Clipper, loadClipper } from '../../../base/geometry/clip';

/** What a drawing is read with: both are compiled code that is loaded only where drawings are read. */
export interface DrawingTools {
  /**
   * A drawing as plain paths: styles, units, `use`, nested viewports, switches and markers resolved, as a browser
   * shows it. Throws on what is no SVG, and on drawings that multiply. Nothing is run or fetched.
   */
  simplify: (svg: string) => string;
  clip: Clipper;
}

let loaded: Promise<DrawingTools> | null = null;
let clipper: Promise<Clipper> | null = null;

/** The clipper, from its compiled bytes; loaded once, however often it is asked for. */
export function clipperFrom(bytes: () => Promise<Uint8Array>): Promise<Clipper> {
  clipper ??= bytes().then((wasm) => loadClipper(clipperFactory, wasm));
  return clipper;
}

/** The tools, from their compiled bytes; loaded once, however often they are asked for. */
export function drawingTools(bytes: {
  resvg: () => Promise<Uint8Array>;
  clipper: () => Promise<Uint8Array>;
}): Promise<DrawingTools> {
  loaded ??= (async () => {
    const [clip] = await Promise.all([clipperFrom(bytes.clipper), bytes.resvg().then(startResvg)]);
    return {
      simplify: (svg: string) => new Resvg(svg, { font: { loadSystemFonts: false } as never }).toString(),
      clip,
    };
  })();
  return loaded;
}

/** Starts the renderer. It may be started once in a process: whoever comes second finds it started. */
export async function startResvg(wasm: Uint8Array): Promise<void> {
  try {
    await initWasm(wasm);
  } catch (error) {
    if (!/already initialized/i.test(String(error))) throw error;
  }
}
