import { phrase } from '../../base/units/phrase';
import { readCsv } from './csv';
import { readJson } from './json';
import { type FileRead, refuseLine } from './stitchFile';
import { readSvgStitches } from './svg';

/** Larger files are not read, characters: 2 000 000 stitches in the wordiest of the three. */
export const MOST_FILE_CHARACTERS = 120_000_000;

/** Reads a stitch file of any of the three forms, by what it begins with. Never throws. */
export function readStitchFile(text: string): FileRead {
  if (text.length > MOST_FILE_CHARACTERS)
    return refuseLine('too-many', phrase`The file is larger than any design: it is not read.`);
  const begun = text.slice(0, 400).trimStart();
  if (begun.startsWith('{') || begun.startsWith('[')) return readJson(text);
  return begun.startsWith('<') ? readSvgStitches(text) : readCsv(text);
}
