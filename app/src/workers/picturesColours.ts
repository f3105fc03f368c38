import type { DominantColour } from '@zt/core/colour/dominant';
import { wrap } from 'comlink';
import type { ColoursWorker } from './colours.worker';

/** The colours of a picture, found in a worker of its own; null for a file that is no picture. */
export async function picturesColours(file: Blob, count: number): Promise<DominantColour[] | null> {
  const worker = new Worker(new URL('./colours.worker.ts', import.meta.url));
  try {
    return await wrap<ColoursWorker>(worker).coloursOf(file, count);
  } finally {
    worker.terminate();
  }
}
