import { FACES } from '@zt/core/catalogue/faces';
import type { FaceId, Lettering } from '@zt/core/model/ticket/lettering';
import type { LettersRefused } from '@zt/core/stages/design/lettering/placedLetters';
import { missingIn } from '@zt/core/stages/design/lettering/placedLetters';
import { type LettersSet, setLetters } from '@zt/core/stages/design/lettering/setLetters';
import { loadShaper, type Typeface } from '@zt/core/stages/design/lettering/typeface';
import type { StitchFigures } from '@zt/core/stages/design/svg/estimate';
import { type ReadSetting, readSvg } from '@zt/core/stages/design/svg/readSvg';
import { clipperFrom, drawingTools } from '@zt/core/stages/design/svg/tools';
import { expose } from 'comlink';

/** How a drawing is to be read; what it is read with is loaded here. */
export type HowToRead = Omit<ReadSetting, 'tools'>;
interface DrawingQuestion extends HowToRead {
  text: string;
  fileName: string;
}

export interface LettersQuestion {
  letters: Lettering;
  figures: StitchFigures;
}

/** Letters as they were set, or why they cannot be, with the typefaces that do have what is missing. */
export type LettersAnswer = LettersSet | (LettersRefused & { inFaces: FaceId[] });

const bytesOf = (path: string) => async () => {
  const answer = await fetch(new URL(path, self.location.origin));
  if (!answer.ok) throw new Error(`${path} is not there: ${answer.status}`);
  return new Uint8Array(await answer.arrayBuffer());
};
const clipperBytes = bytesOf('/wasm/clipper.wasm');

/** Typefaces, each opened when it is first asked for. */
async function openedFaces(): Promise<(id: FaceId) => Promise<Typeface>> {
  const open = await loadShaper(await bytesOf('/wasm/harfbuzz.wasm')());
  return async (id) => {
    const entry = FACES.find((face) => face.id === id);
    if (!entry) throw new Error(`assertion failed: no typeface ${id}`);
    return open(await bytesOf(`/faces/${entry.file.split('/').at(-1)}`)());
  };
}

/** Reads drawings and sets letters away from the screen's thread. */
const designWorker = {
  readSvg: async ({ text, fileName, ...setting }: DrawingQuestion) => {
    const tools = await drawingTools({ resvg: bytesOf('/wasm/resvg.wasm'), clipper: clipperBytes });
    return readSvg(text, fileName, { ...setting, tools });
  },
  setLetters: async ({ letters, figures }: LettersQuestion): Promise<LettersAnswer> => {
    const [clip, faceOf] = await Promise.all([clipperFrom(clipperBytes), openedFaces()]);
    const set = setLetters(letters, { face: await faceOf(letters.face), clip, figures });
    if (set.ok) return set;
    const inFaces: FaceId[] = [];
    if (set.code === 'missing')
      for (const { id } of FACES)
        if (missingIn(letters.text, await faceOf(id)).length === 0) inFaces.push(id);
    return { ...set, inFaces };
  },
};
export type DesignWorker = typeof designWorker;

expose(designWorker);
