import type { Point } from '../../base/geometry/point';
import type { Thing } from '../../model/deed';
import type { Bond } from '../../model/ticket/layers';

/** What is stitched: a colour of the design, or all of them, on a copy, in a part. Numbers from 1, colours from 0. */
export interface Stitched {
  copy: number;
  part: number | null;
  stop: number | 'all';
}

/** What is on the table, on the piece, in the hoop and on the machine while one piece is worked on. */
export interface WorkState {
  /** What was cut, how large, and how many of it are not used yet, for one piece. */
  cut: Map<Thing, { widthMm: number; heightMm: number; left: number }>;
  /** Places of appliqué cloths that are cut, and of those with web on them. */
  clothsCut: Set<number>;
  webbed: Set<number>;
  isMarked: boolean;
  /** Marks that heat would set. */
  areMarksInk: boolean;
  /** A pin through the centre holds the place on the wrong side. */
  isPinned: boolean;
  openSeams: Set<string>;
  /** Sheets in the hoop, on the piece and slipped under it, by their places, each for the hooping of now. */
  inHoop: Set<number>;
  onPiece: Map<number, Bond>;
  under: Set<number>;
  /** Sheets whose paper is off, or that are sprayed, in the hoop. */
  tacky: Set<number>;
  scored: Set<number>;
  /** Whether the hoop is closed: on the sheets alone, or on the cloth. */
  closed: 'no' | 'on sheets' | 'on cloth';
  isLoaded: boolean;
  /** The hoop centre where it was marked, and where the hoop lies, piece frame, mm; null before. */
  foundAt: Point | null;
  hoopAt: Point | null;
  /** How far the hoop is turned on the piece, clockwise. */
  onPieceDeg: number;
  /** What holds a floated piece. */
  holds: Set<'tack' | 'fused' | 'pins' | 'tape' | 'basting'>;
  topper: 'basting box' | 'pins' | 'tape' | null;
  isOnMachine: boolean;
  isNeedleIn: boolean;
  keys: { turnDeg: number; mirror: boolean; move: Point } | null;
  isTraced: boolean;
  isWet: boolean;
  /** Colours of a copy after which its cloth was laid, and trimmed. */
  laid: Set<string>;
  trimmed: Set<string>;
  stitched: Stitched[];
  /** What is still on the piece when it is taken out, by the places of its sheets; how many times. */
  left: { sheets: Map<number, number>; topper: boolean; filmRest: boolean; boxes: number; crosses: boolean };
}

/** The table before anything is done. */
export const atStart = (): WorkState => ({
  cut: new Map(),
  clothsCut: new Set(),
  webbed: new Set(),
  isMarked: false,
  areMarksInk: false,
  isPinned: false,
  openSeams: new Set(),
  inHoop: new Set(),
  onPiece: new Map(),
  under: new Set(),
  tacky: new Set(),
  scored: new Set(),
  closed: 'no',
  isLoaded: false,
  foundAt: null,
  hoopAt: null,
  onPieceDeg: 0,
  holds: new Set(),
  topper: null,
  isOnMachine: false,
  isNeedleIn: false,
  keys: null,
  isTraced: false,
  isWet: false,
  laid: new Set(),
  trimmed: new Set(),
  stitched: [],
  left: { sheets: new Map(), topper: false, filmRest: false, boxes: 0, crosses: false },
});
