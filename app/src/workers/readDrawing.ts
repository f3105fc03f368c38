import type { ReadSvg, SvgRefusal } from '@zt/core';
import type { HowWide } from '@zt/core/stages/design/svg/readSvg';
import { MOST_CHARACTERS } from '@zt/core/stages/design/svg/refuse';
import type { DesignWorker, HowToRead } from './design.worker';
import { inWorker, type WorkerJob } from './inWorker';

/** A drawing that takes longer is none that anyone stitches. */
const LIMIT_MS = 20_000;

/** Reads an SVG file in a worker of its own: outline, colours, centre and the stitches it would take. */
export const readDrawing = (file: File, how: HowToRead): WorkerJob<ReadSvg | SvgRefusal | HowWide> =>
  inWorker<DesignWorker, ReadSvg | SvgRefusal | HowWide>({
    make: () => new Worker(new URL('./design.worker.ts', import.meta.url)),
    ask: async (remote) => {
      const text = file.size > MOST_CHARACTERS ? ' '.repeat(MOST_CHARACTERS + 1) : await file.text();
      return remote.readSvg({ text, fileName: file.name, ...how });
    },
    limitMs: LIMIT_MS,
    what: 'The drawing',
  });
