import { readStitchFile } from '@zt/core/files/stitchFiles/read';
import type { FileRead } from '@zt/core/files/stitchFiles/stitchFile';
import { type DensityMap, densityMap } from '@zt/core/stages/design/stitches/density';
import { expose, transfer } from 'comlink';

export type FileShown = FileRead & { map: DensityMap | null };

/** Reads a stitch file away from the screen's thread. */
const fileWorker = {
  read: (text: string): FileShown => {
    const read = readStitchFile(text);
    if (!read.ok) return { ...read, map: null };
    const map = densityMap(read.stitches);
    const { x, y, kind, stop, element } = read.stitches;
    const arrays = [x, y, kind, stop, element, ...(map ? [map.cover] : [])];
    return transfer(
      { ...read, map },
      arrays.map(({ buffer }) => buffer as ArrayBuffer),
    );
  },
};
export type FileWorker = typeof fileWorker;

expose(fileWorker);
