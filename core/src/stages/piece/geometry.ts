import type { Point } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import type { Reading, Readings } from './readings';
import type { SewingSumId } from './sewing';
import type { UsualPlacement } from './usualPlacement';

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
  /** Where the design must stay inside, and what its edge is called; the outline itself when absent. */
  within?: { name: string; area: Polygon };
  seams: readonly Seam[];
  noGo: readonly NoGoArea[];
  /** Pressed folds, for finding the way; a design may lie over them. */
  folds?: readonly Seam[];
  landmarks: Readonly<Record<string, Point>>;
  /** The way a hoop goes in; null for a flat piece. */
  opening: { name: string; widthMm: number } | null;
  /** Heights between which the centre line is drawn. */
  centreFrom: number;
  centreTo: number;
}

/** Two readings that cannot both be right. */
export interface Contradiction {
  /** The reading beside which it is asked. */
  field: string;
  /** Both readings' ids. */
  readings: readonly [string, string];
  a: { name: string; mm: number };
  b: { name: string; mm: number };
  why: string;
}

/** How the middle of a face is found with the tape: the width between two landmarks, halved. */
export interface Halving {
  /** What is read, e.g. "underarm to underarm". */
  name: string;
  left: string;
  right: string;
  /** What either end is called, e.g. "side seam". */
  edge: string;
  /** How the fold is matched, e.g. "shoulder seams and side seams matched". */
  fold: string;
  /** The second point of the centre line: a landmark with its name, or null to halve again higher up. */
  second: { landmark: string; name: string } | null;
}

/** One face of a piece as it lies on the table. */
export interface PieceView {
  id: string;
  name: string;
  /** Height of the evenness readings is counted from here. */
  datum: string;
  /** -1 where heights are counted upwards from the datum, 1 downwards. */
  datumSign: 1 | -1;
  /** Where the wearer's left lies as you look at it; null when nobody wears it. */
  wearersLeft: 'right' | 'left' | null;
  halving: Halving;
  /** The landmarks its whole width lies between, where halving does not go from edge to edge. */
  span?: { left: string; right: string };
  outlineOf: (readings: Readings) => PieceOutline;
}

/** The landmark that heights are counted from on a face, by its name: "the collar seam". */
export const datumName = ({ datum }: Pick<PieceView, 'datum'>): string =>
  datum.replace(/^(above|below) /, '');

/** What rules may know of a kind of piece. */
export const PIECE_TRAITS = [
  'worn',
  'against skin',
  'baby',
  'sleeves',
  'table linen',
  'sat on',
  'carried',
  'toy',
  'ornament',
] as const;
export type PieceTrait = (typeof PIECE_TRAITS)[number];

/** Whether a kind of piece has a trait. */
export const isA = (kind: Pick<PieceKind, 'traits'>, trait: PieceTrait): boolean =>
  kind.traits.includes(trait);

/** A kind of piece: data and an outline function for each face. The registry's key is its id. */
export interface PieceKind {
  name: string;
  family: PieceFamily;
  form: 'tubular' | 'flat';
  /** What it is, as far as rules ask; rules never look at names or ids. */
  traits: readonly PieceTrait[];
  /** The cloth and the colour a new ticket starts from. */
  usual: { fabricId: string; colour: string };
  readings: readonly Reading[];
  contradictions: (readings: Readings) => Contradiction[];
  /** The faces, the usual one first. */
  views: readonly [PieceView, ...PieceView[]];
  /** How it goes onto a hoop, step by step, where it does not go on like others. */
  loading?: readonly string[];
  /** Sewing sums that arise on it. */
  sews?: readonly SewingSumId[];
  /** The usual places, the commonest first. */
  placements: readonly [UsualPlacement, ...UsualPlacement[]];
}

/** Families under which kinds are offered, in this order. */
export const PIECE_FAMILIES = [
  'Garments',
  'Baby and children',
  'Towels',
  'Table and kitchen',
  'Bags, cushions, toys',
  'Animals',
  'Cloth still to be sewn',
] as const;
export type PieceFamily = (typeof PIECE_FAMILIES)[number];
