import { count, mm, type Phrase, phrase } from '../../base/units/phrase';
import { MOST_DESIGN_MM, MOST_STITCHES, MOST_STOPS } from '../../model/ticket/designBounds';
import { codeOf, STITCH_KINDS, type Stitches, type StitchKind } from '../../stages/design/stitches/stitches';

/** A colour stop of a stitch file. */
export interface FileStop {
  hex: string;
  name: string;
}

/** A design as it is stitched, to hand on: penetrations in mm about its visible centre, y down, and its colour stops. */
export interface StitchFile {
  name: string;
  stops: FileStop[];
  stitches: Stitches;
}

export const STITCH_FILE_REFUSALS = [
  'not-a-stitch-file',
  'broken',
  'no-such-stop',
  'no-such-kind',
  'outside',
  'too-many',
] as const;

/** Why a file cannot be taken, and where in it. */
export interface FileRefused {
  ok: false;
  code: (typeof STITCH_FILE_REFUSALS)[number];
  message: Phrase;
}
export type FileRead = ({ ok: true } & StitchFile) | FileRefused;

export const refuseLine = (code: FileRefused['code'], message: Phrase): FileRefused => ({
  ok: false,
  code,
  message,
});

/** No hoop reaches farther from its middle, mm. */
export const FARTHEST_STITCH_MM = MOST_DESIGN_MM / 2;

/** One penetration as a file has it. */
export interface StitchRow {
  stop: number;
  element: number;
  kind: string;
  x: number;
  y: number;
}

const isKind = (kind: string): kind is StitchKind => STITCH_KINDS.some((known) => known === kind);
const isCount = (value: number): boolean => Number.isInteger(value) && value >= 0;

/** What is wrong with a penetration, said with where it stands; null where nothing is. */
export function whyRowIsRefused(row: StitchRow, stops: number, where: Phrase): FileRefused | null {
  if (![row.x, row.y].every(Number.isFinite) || !isCount(row.element) || !isCount(row.stop))
    return refuseLine('broken', phrase`${where}: not all of its figures can be read.`);
  if (!isKind(row.kind))
    return refuseLine('no-such-kind', phrase`${where}: there is no kind of stitch “${row.kind}”.`);
  if (row.stop >= stops)
    return refuseLine(
      'no-such-stop',
      phrase`${where}: colour stop ${count(row.stop + 1)} is not there; the file has ${count(stops)}.`,
    );
  const far = Math.max(Math.abs(row.x), Math.abs(row.y));
  if (far > FARTHEST_STITCH_MM)
    return refuseLine('outside', phrase`${where}: ${mm(far)} from the centre lies outside any hoop.`);
  return null;
}

export const whyTooMany = (rows: number, stops: number): FileRefused | null => {
  if (rows > MOST_STITCHES)
    return refuseLine(
      'too-many',
      phrase`${count(rows)} stitches are more than the ${count(MOST_STITCHES)} that a design may have.`,
    );
  if (stops > MOST_STOPS)
    return refuseLine(
      'too-many',
      phrase`${count(stops)} colour stops are more than the ${count(MOST_STOPS)} that a design may have.`,
    );
  return null;
};

/** Rows that were found in order, as typed arrays. */
export function stitchesOf(rows: readonly StitchRow[]): Stitches {
  return {
    x: Float32Array.from(rows, ({ x }) => x),
    y: Float32Array.from(rows, ({ y }) => y),
    kind: Uint8Array.from(rows, ({ kind }) => codeOf(isKind(kind) ? kind : 'run')),
    stop: Uint16Array.from(rows, ({ stop }) => stop),
    element: Uint32Array.from(rows, ({ element }) => element),
  };
}

/** A figure in as few digits as bring the very same one back: positions are kept in 32 bits. */
export function shortest(value: number): string {
  for (const digits of [3, 4, 5, 6, 7, 8]) {
    const text = String(Number(value.toPrecision(digits)));
    if (Math.fround(Number(text)) === Math.fround(value)) return text;
  }
  return String(Number(value.toPrecision(9)));
}
