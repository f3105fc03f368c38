import type { Point } from '../../base/geometry/point';
import type { Phrase, Quantity } from '../../base/units/phrase';

/** The order of the hands: every step of a job is in one of these, and they follow one another. */
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

/** Small drawings of a ring that a step can show; the app draws them to the hoop's own sides. */
export const RING_PICTURES = [
  'sheet',
  'arrows',
  'loosen',
  'inside',
  'sides',
  'notches',
  'flush',
  'drum',
  'score',
  'peel',
  'roll',
  'bracket',
] as const;
export type RingPicture = (typeof RING_PICTURES)[number];

/** One step of the job: read at arm's length, one figure, one small drawing. Points in the piece frame, mm. */
export interface Step {
  /** Its own within the job. */
  id: string;
  phase: Phase;
  text: Phrase;
  figure: Quantity | null;
  hint: Phrase | null;
  caution: Phrase | null;
  tape: { from: Point; to: Point } | null;
  cross: Point | null;
  /** The face of the piece it is drawn on; null for the one the design goes on. */
  face: string | null;
  /** A picture of the ring in place of the piece; null for the piece. */
  ring: RingPicture | null;
  /** The reading that is taken in this step, by its id. */
  reading: string | null;
  /** What is chosen in this step, where there is more than one way. */
  choice: 'method' | 'way round' | null;
  /** The copy whose keys of the machine are shown with it, from 1; null where none are. */
  keys: number | null;
  /** The sides of what is cut in this step, mm. */
  cut: { widthMm: number; heightMm: number } | null;
}

/** A step with nothing but its words, unless `rest` brings more. */
export const stepOf = (phase: Phase, id: string, text: Phrase, rest: Partial<Step> = {}): Step => ({
  id,
  phase,
  text,
  figure: null,
  hint: null,
  caution: null,
  tape: null,
  cross: null,
  face: null,
  ring: null,
  reading: null,
  choice: null,
  keys: null,
  cut: null,
  ...rest,
});
