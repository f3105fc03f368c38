import type { Point } from '../geometry/point';
import type { Polygon } from '../geometry/polygon';
import type { PieceKindId } from './schema';

/** A line a hand can find on the piece, in the piece frame. */
export interface Seam {
  id: string;
  name: string;
  line: readonly Point[];
  style: 'seam' | 'hem' | 'fold';
}

/** Where neither stitch nor ring may go. */
export interface NoGoArea {
  id: string;
  name: string;
  area: Polygon;
}

/** The piece drawn from its measurements: piece frame, mm, x to the viewer's right, y down. */
export interface PieceOutline {
  outline: Polygon;
  /** The face on which a ring may close. */
  hoopable: Polygon;
  seams: readonly Seam[];
  noGo: readonly NoGoArea[];
  landmarks: Readonly<Record<string, Point>>;
  /** The way a hoop goes in; null for a flat piece. */
  opening: { name: string; widthMm: number } | null;
  /** Heights between which the centre line is drawn. */
  centreFrom: number;
  centreTo: number;
}

/** One tape reading of a kind of piece. Limits in mm. */
export interface Reading {
  id: string;
  name: string;
  how: string;
  leastMm: number;
  mostMm: number;
  typicalMm: number;
  /** Two landmarks between which the tape lies, for the drawing. */
  from: string;
  to: string;
}

/** Two readings that cannot both be right. */
export interface Contradiction {
  field: string;
  a: { name: string; mm: number };
  b: { name: string; mm: number };
  why: string;
}

/** A kind of piece: data and one outline function. */
export interface PieceKind {
  id: PieceKindId;
  name: string;
  /** Height of the evenness readings is counted from here. */
  datum: string;
  /** -1 where heights are counted upwards from the datum, 1 downwards. */
  datumSign: 1 | -1;
  form: 'tubular' | 'flat';
  worn: boolean;
  readings: readonly Reading[];
  contradictions: (readings: Readonly<Record<string, number>>) => Contradiction[];
  outlineOf: (readings: Readonly<Record<string, number>>) => PieceOutline;
}
