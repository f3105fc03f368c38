import { type ReadSetting, readSvg } from '@zt/core/stages/design/svg/readSvg';
import { drawingTools } from '@zt/core/stages/design/svg/tools';
import { expose } from 'comlink';

/** How a drawing is to be read; what it is read with is loaded here. */
export type HowToRead = Omit<ReadSetting, 'tools'>;
interface DrawingQuestion extends HowToRead {
  text: string;
  fileName: string;
}

const bytesOf = (name: string) => async () => {
  const answer = await fetch(new URL(`/wasm/${name}`, self.location.origin));
  if (!answer.ok) throw new Error(`${name} is not there: ${answer.status}`);
  return new Uint8Array(await answer.arrayBuffer());
};

/** Reads drawings away from the screen's thread. */
const designWorker = {
  readSvg: async ({ text, fileName, ...setting }: DrawingQuestion) => {
    const tools = await drawingTools({ resvg: bytesOf('resvg.wasm'), clipper: bytesOf('clipper.wasm') });
    return readSvg(text, fileName, { ...setting, tools });
  },
};
export type DesignWorker = typeof designWorker;

expose(designWorker);
