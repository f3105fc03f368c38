import { FACES } from '@zt/core/catalogue/faces';
import type { FaceId, Lettering } from '@zt/core/model/ticket/lettering';
import type { LettersRefused } from '@zt/core/stages/design/lettering/placedLetters';
import { missingIn } from '@zt/core/stages/design/lettering/placedLetters';
import { type LettersSet, setLetters } from '@zt/core/stages/design/lettering/setLetters';
import { loadShaper, type Typeface } from '@zt/core/stages/design/lettering/typeface';
import { type NameAnswer, type NameAsked, setName } from '@zt/core/stages/design/names/setName';
import type { StitchFigures } from '@zt/core/stages/design/stitchFigures';
import { type ReadSetting, readSvg } from '@zt/core/stages/design/svg/readSvg';
import { clipperFrom, drawingTools } from '@zt/core/stages/design/svg/tools';
import { expose } from 'comlink';
import { bytesOf } from './bytes';

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

export interface NamesQuestion {
  names: readonly { id: string; asked: NameAsked }[];
  figures: StitchFigures;
}

/** Of each name how it was set, or why it cannot be. */
export type NamesAnswer = readonly {
  id: string;
  answer: Extract<NameAnswer, { ok: true }> | Extract<LettersAnswer, { ok: false }>;
}[];

/** Letters as they were set, or why they cannot be, with the typefaces that do have what is missing. */
export type LettersAnswer = LettersSet | (LettersRefused & { inFaces: FaceId[] });

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

type FaceOf = (id: FaceId) => Promise<Typeface>;

/** What was not set, with the typefaces that do have what is missing. */
async function inOtherFaces(refused: LettersRefused, text: string, faceOf: FaceOf) {
  const inFaces: FaceId[] = [];
  if (refused.code === 'missing')
    for (const { id } of FACES) if (missingIn(text, await faceOf(id)).length === 0) inFaces.push(id);
  return { ...refused, inFaces };
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
    return set.ok ? set : inOtherFaces(set, letters.text, faceOf);
  },
  setNames: async ({ names, figures }: NamesQuestion): Promise<NamesAnswer> => {
    const [clip, faceOf] = await Promise.all([clipperFrom(clipperBytes), openedFaces()]);
    const faces = new Map<FaceId, Typeface>();
    const made: NamesAnswer[number][] = [];
    for (const { id, asked } of names) {
      const { text, face: faceId } = asked.letters;
      const face = faces.get(faceId) ?? (await faceOf(faceId));
      faces.set(faceId, face);
      const answer = setName(asked, { face, clip, figures });
      made.push({ id, answer: answer.ok ? answer : await inOtherFaces(answer, text, faceOf) });
    }
    return made;
  },
};
export type DesignWorker = typeof designWorker;

expose(designWorker);
