import { MOST_CHARACTERS } from '@zt/core/model/drawing';
import type { HowWide, ReadSvg } from '@zt/core/stages/design/svg/readSvg';
import type { SvgRefusal } from '@zt/core/stages/design/svg/refuse';
import type { DesignWorker, HowToRead } from './design.worker';
import { inWorker, type WorkerJob } from './inWorker';
import { startWorker } from './startWorker';

/** A drawing that takes longer is none that anyone stitches. */
const LIMIT_MS = 20_000;

type Reading = WorkerJob<ReadSvg | SvgRefusal | HowWide>;

const reading = (textOf: () => Promise<string>, fileName: string, how: HowToRead): Reading =>
  inWorker<DesignWorker, ReadSvg | SvgRefusal | HowWide>({
    make: () => startWorker('design'),
    ask: async (remote) => remote.readSvg({ text: await textOf(), fileName, ...how }),
    limitMs: LIMIT_MS,
    what: 'The drawing',
  });

/** The text of a file; of one that is too large only so much that it is seen to be. */
const textOfFile = async (file: File): Promise<string> =>
  file.size > MOST_CHARACTERS ? ' '.repeat(MOST_CHARACTERS + 1) : file.text();

/** Reads an SVG file in a worker of its own: outline, colours, centre and the stitches it would take. */
export const readDrawing = (file: File, how: HowToRead): Reading =>
  reading(() => textOfFile(file), file.name, how);

/** Reads a drawing that was kept. */
export const readKeptDrawing = (text: string, fileName: string, how: HowToRead): Reading =>
  reading(async () => text, fileName, how);
