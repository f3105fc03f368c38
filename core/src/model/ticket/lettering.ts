import { z } from 'zod';
import { lengthMm } from '../../base/units/schema';
import { CAP_MM, MOST_DESIGN_MM, MOST_LETTERS } from './designBounds';

/** The typefaces that come with the program, by what they are for. */
export const FACE_IDS = [
  'plain',
  'slab',
  'rounded',
  'plump',
  'script',
  'blackletter',
  'typewriter',
  'capitals',
  'children',
] as const;
export type FaceId = (typeof FACE_IDS)[number];

/** What letters stand on: a line, an arch (the middle highest), a bowl (the middle lowest), or a whole circle. */
export const BASELINES = ['line', 'arch', 'bowl', 'circle'] as const;
export type Baseline = (typeof BASELINES)[number];

export const ALIGNMENTS = ['left', 'middle', 'right'] as const;
export type Alignment = (typeof ALIGNMENTS)[number];

/** What goes round a monogram. */
export const FRAMES = ['none', 'ring', 'lozenge'] as const;
export type Frame = (typeof FRAMES)[number];

/** How letters are set: the recipe, from which their outlines are made. Lengths in mm. */
export const LetteringSchema = z.object({
  /** Lines are parted by line feeds. */
  text: z.string().max(MOST_LETTERS),
  face: z.enum(FACE_IDS),
  /** Height of a capital. */
  capMm: lengthMm(CAP_MM.least, CAP_MM.most),
  /** What is added between two letters; below zero they stand closer. */
  spacingMm: lengthMm(-20, 50),
  /** From baseline to baseline, as a share of the height of a capital. */
  linePercent: z.number().min(80).max(400),
  align: z.enum(ALIGNMENTS),
  baseline: z.enum(BASELINES),
  /** Of the arc or circle that the first line stands on. */
  radiusMm: lengthMm(5, MOST_DESIGN_MM),
  /** One to three letters, the middle one of three larger; null for plain lettering. */
  monogram: z.object({ frame: z.enum(FRAMES) }).nullable(),
});
export type Lettering = z.infer<typeof LetteringSchema>;

/** Letters as they are begun: 12 mm high on a line. */
export const USUAL_LETTERING: Lettering = {
  text: '',
  face: 'plain',
  capMm: 12,
  spacingMm: 0,
  linePercent: 160,
  align: 'middle',
  baseline: 'line',
  radiusMm: 60,
  monogram: null,
};

/** A monogram as it is begun: carved capitals 30 mm high in a ring. */
export const USUAL_MONOGRAM: Lettering = {
  ...USUAL_LETTERING,
  face: 'capitals',
  capMm: 30,
  monogram: { frame: 'ring' },
};
