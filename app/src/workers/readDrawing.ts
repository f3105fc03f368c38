import type { ReadSvg, StitchFigures, SvgRefusal } from '@zt/core';
import { MOST_CHARACTERS } from '@zt/core/design/svg/refuse';
import { type Remote, wrap } from 'comlink';
import type { DesignWorker } from './design.worker';

let remote: Remote<DesignWorker> | null = null;
let worker: Worker | null = null;

/** Reads an SVG file in a worker of its own: outline, colours, centre and the stitches it would take. */
export async function readDrawing(file: File, figures: StitchFigures): Promise<ReadSvg | SvgRefusal> {
  worker ??= new Worker(new URL('./design.worker.ts', import.meta.url));
  remote ??= wrap<DesignWorker>(worker);
  const text = file.size > MOST_CHARACTERS ? ' '.repeat(MOST_CHARACTERS + 1) : await file.text();
  return remote.readSvg(text, file.name, figures);
}

/** Lets a reading go that takes too long; the next one starts afresh. */
export function stopReading(): void {
  worker?.terminate();
  worker = null;
  remote = null;
}
