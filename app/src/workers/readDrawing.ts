import type { ReadSvg, StitchFigures, SvgRefusal } from '@zt/core';
import { type Remote, wrap } from 'comlink';
import type { DesignWorker } from './design.worker';

let remote: Remote<DesignWorker> | null = null;
let worker: Worker | null = null;

/** Reads an SVG file in a worker of its own: outline, colours, centre and the stitches it would take. */
export async function readDrawing(file: File, figures: StitchFigures): Promise<ReadSvg | SvgRefusal> {
  worker ??= new Worker(new URL('./design.worker.ts', import.meta.url));
  remote ??= wrap<DesignWorker>(worker);
  const text = file.size > MOST_BYTES ? ' '.repeat(MOST_BYTES + 1) : await file.text();
  return remote.readSvg(text, file.name, figures);
}

/** Lets a reading go that takes too long; the next one starts afresh. */
export function stopReading(): void {
  worker?.terminate();
  worker = null;
  remote = null;
}

/** Files above this are refused before they are read into memory. */
const MOST_BYTES = 5 * 1024 * 1024;
