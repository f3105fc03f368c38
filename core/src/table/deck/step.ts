import type { Point } from '../../base/geometry/point';
import type { Phrase, Quantity } from '../../base/units/phrase';
import type { Act, Phase } from '../../model/deed';

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

/** What is said and shown of a deed, besides the sentence itself what it needs of the rest. */
export interface Words extends Partial<Omit<Step, 'id' | 'phase' | 'text'>> {
  text: Phrase;
}

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
  /** Where the hoop lies in a further hooping, piece frame, mm, clockwise; null for where the plan lays it. */
  hoop: { centre: Point; onPieceDeg: number } | null;
  /** The marks that the hoop is laid on, piece frame, mm. */
  marks: Point[];
  /** The reading that is taken in this step, by its id. */
  reading: string | null;
  /** What is chosen in this step, where there is more than one way. */
  choice: 'method' | 'way round' | null;
  /** What it is done for whose machine settings are shown with it: a copy or part by its number; null where none are. */
  keys: number | null;
  /** The sides of what is cut in this step, mm. */
  cut: { widthMm: number; heightMm: number } | null;
}

/** A step of an act with its words. */
export const deckStep = ({ id, phase }: Pick<Act, 'id' | 'phase'>, words: Words): Step => ({
  id,
  phase,
  figure: null,
  hint: null,
  caution: null,
  tape: null,
  cross: null,
  face: null,
  ring: null,
  hoop: null,
  marks: [],
  reading: null,
  choice: null,
  keys: null,
  cut: null,
  ...words,
});
