import type { FileRefused, StitchFile } from '@zt/core/files/stitchFiles/stitchFile';
import { type Told, toldBy } from '@zt/core/files/stitchFiles/told';
import type { DensityMap } from '@zt/core/stages/design/stitches/density';
import { useEffect, useRef, useState } from 'react';
import { newId } from '../../hooks/newId';
import { showAll } from '../../stitches/playhead';
import { readingStitches } from '../../workers/readingStitches';

/** A stitch file that was read: its stitches, how thick they lie, and what they come to. */
export interface Opened {
  key: string;
  fileName: string;
  file: StitchFile;
  map: DensityMap | null;
  told: Told;
}

export type FileState =
  | { state: 'none' }
  | { state: 'reading'; fileName: string; stop: () => void }
  | { state: 'refused'; fileName: string; message: FileRefused['message'] }
  | { state: 'failed'; fileName: string; message: string }
  | ({ state: 'open' } & Opened);

/** Reads a stitch file in a worker; what was open before stays until another is read. */
export function useStitchFile(): { now: FileState; read: (file: File) => void } {
  const [now, setNow] = useState<FileState>({ state: 'none' });
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => () => stop.current(), []);
  const read = (given: File) => {
    stop.current();
    const fileName = given.name;
    setNow({ state: 'reading', fileName, stop: () => stop.current() });
    void given.text().then(async (text) => {
      const job = readingStitches(text);
      stop.current = job.stop;
      const worked = await job.done;
      if (worked.state === 'stopped') return setNow({ state: 'none' });
      if (worked.state === 'failed') return setNow({ state: 'failed', fileName, message: worked.message });
      const { value } = worked;
      if (!value.ok) return setNow({ state: 'refused', fileName, message: value.message });
      const { name, stops, stitches, map } = value;
      const file = { name, stops, stitches };
      const key = newId();
      showAll(key, stitches.x.length);
      setNow({ state: 'open', key, fileName, file, map, told: toldBy(file) });
    });
  };
  return { now, read };
}
