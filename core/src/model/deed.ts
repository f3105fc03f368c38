import type { Point } from '../base/geometry/point';
import type { Bond, Fastening } from './ticket/layers';

/** The order of the hands: every deed of a job is in one of these, and they follow one another. */
export const PHASES = [
  'measure',
  'prepare',
  'mark',
  'transfer',
  'measure the rest',
  'cut',
  'bond',
  'hoop',
  'check',
  'stitch',
  'further copies',
  'finish',
] as const;
export type Phase = (typeof PHASES)[number];

/**
 * What hands cut, lay and take off: a sheet by its place in the stack from the cloth down, the cloth of an appliqué by its place
 * among those of the design, both from 0.
 */
export type Thing = `sheet ${number}` | `cloth ${number}` | 'topper' | 'cover';

/** A way along the axis line of the design or square to it, as the piece lies with its top up. */
export interface Leg {
  mm: number;
  way: 'left' | 'right' | 'up' | 'down';
  along: 'axis' | 'square';
}

/** What is done before the hoop is closed. Lengths in mm. */
type DeedBefore =
  | { do: 'measure'; reading: string }
  | { do: 'prepare' }
  /** A mark of the marking list, by its place. Where heat follows it must be one that heat does not set. */
  | { do: 'mark'; mark: number; heatFollows: boolean }
  | { do: 'cut'; thing: Thing; widthMm: number; heightMm: number; count: number }
  | { do: 'fuse web'; cloth: number }
  | { do: 'cut cloth'; cloth: number; pieces: number }
  /** A sheet made one with what lies above it: the cloth, or another sheet. */
  | {
      do: 'bond';
      sheet: number;
      onto: number | 'cloth';
      by: Bond;
      fastening: Fastening;
    }
  | { do: 'choose needle and thread' };

/** What is done at the hoop. Copies count from 1; points lie in the piece frame, mm. */
type DeedAtHoop =
  | { do: 'open seam'; seam: string }
  | { do: 'set hoop parts' }
  /** Which way the hoop lies: a quarter turn from the design, clockwise on the piece. */
  | { do: 'turn bracket'; turnDeg: number }
  | { do: 'loosen' }
  | { do: 'hoop sheets'; sheets: readonly number[]; paperUp: number | null }
  | { do: 'feel sheets' }
  | { do: 'score'; sheet: number }
  | { do: 'peel'; sheet: number }
  | { do: 'spray'; sheet: number }
  | { do: 'load'; how: 'own' | 'inside' | 'inside out'; own: string | null }
  | { do: 'lay under'; sheets: readonly number[] }
  /** Where the hoop centre lies, from the centre mark of a copy. */
  | {
      do: 'find hoop centre';
      from: number;
      legs: readonly Leg[];
      at: Point;
      onPieceDeg: number;
    }
  /** The hoop turned further on the piece than it lay for the first copy, clockwise. */
  | { do: 'turn hoop'; deg: number }
  | { do: 'lay hoop'; on: 'marks' | 'hoop centre'; at: Point; onPieceDeg: number }
  | { do: 'smooth'; basteMm: number | null }
  | { do: 'close' }
  | { do: 'see it flush' }
  | { do: 'fuse in hoop'; sheets: readonly number[] }
  | { do: 'fasten'; by: 'pins' | 'tape' }
  | { do: 'feel cloth' }
  | { do: 'test stretch'; apartMm: number; mostMm: number }
  | { do: 'slip'; sheet: number; by: Bond; fastening: Fastening }
  | { do: 'roll'; overMm: number }
  /** A part of a split design, from 1, taken up: on the crosses of the part before it. */
  | { do: 'take up part'; part: number; of: number }
  | { do: 'take off and unhoop' };

/** What is seen to at the machine before the first stitch. */
export type MachineDeed =
  | { do: 'lay out threads' }
  | { do: 'fit needle' }
  | { do: 'fill bobbin' }
  | { do: 'free the carriage' }
  | { do: 'reach under' }
  /** In which place of a hoop that has several, from 1; null for one that has one. */
  | { do: 'latch'; place: number | null }
  | { do: 'needle over mark' }
  | { do: 'see the top' }
  | { do: 'clear the field' }
  | { do: 'lay topper'; by: 'basting box' | 'pins' | 'tape' }
  | { do: 'trace' }
  | { do: 'baste'; mm: number };

/** What is entered and stitched. */
type DeedAtMachine =
  | MachineDeed
  | { do: 'enter keys'; keys: { turnDeg: number; mirror: boolean; move: Point } }
  /** A colour of the design, from 0, or all of them. */
  | { do: 'stitch'; stop: number | 'all' }
  /** The hoop off the machine with the cloth in it, behind a colour, and on it again: the machine keeps its place. */
  | { do: 'take hoop off'; stop: number }
  | { do: 'put hoop back'; stop: number }
  | { do: 'lay cloth'; stop: number; isFused: boolean }
  | { do: 'trim cloth'; stop: number };

/** What is done when all is stitched. Sheets by their place in the stack. */
export type FinishDeed =
  | { do: 'take off' }
  | { do: 'pick out crosses' }
  | { do: 'pick out basting' }
  /** What is left of it then, if anything, is damped or ironed off later. */
  | { do: 'pull topper'; isAllOff: boolean }
  | { do: 'trim threads' }
  | { do: 'trim appliqué' }
  | { do: 'tear'; sheets: readonly number[] }
  | { do: 'trim sheets'; sheets: readonly number[] }
  | { do: 'soak'; sheets: readonly number[] }
  | { do: 'remove marks' }
  | { do: 'iron topper' }
  | { do: 'damp topper'; isIroned: boolean }
  | { do: 'dry' }
  | { do: 'cover'; by: 'fused' | 'sewn' }
  | { do: 'press'; what: 'back' | 'appliqué' }
  | { do: 'close seam'; seam: string }
  | { do: 'look over' };

/** One thing that hands do, with what it is done to: data that words, pictures and checks are made from. */
export type Deed = DeedBefore | DeedAtHoop | DeedAtMachine | FinishDeed;
export type DeedName = Deed['do'];
export type DeedOf<D extends DeedName> = Extract<Deed, { do: D }>;

/** A time that the piece is in the hoop, from 1: what is stitched in it, copies by their numbers from 1. */
export interface Hooping {
  number: number;
  copies: readonly number[];
  /** The part of a split design, from 1; null where it is stitched whole. */
  part: number | null;
}

/** A deed in its place in the job. */
export interface Act<D extends Deed = Deed> {
  /** Its own within the job. */
  id: string;
  phase: Phase;
  hooping: Hooping;
  /** The copy it is done for, from 1. */
  copy: number;
  deed: D;
}
