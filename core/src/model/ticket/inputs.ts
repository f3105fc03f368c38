import type { z } from 'zod';
import { DesignInputSchema } from './design';
import { FinishInputSchema } from './finish';
import { HoopInputSchema } from './hoop';
import { LayersInputSchema } from './layers';
import { LogInputSchema } from './log';
import { MountInputSchema } from './mount';
import { PieceInputSchema } from './piece';
import { PlaceInputSchema } from './place';
import { StitchInputSchema } from './stitch';

/** What is entered at each stage, as it is kept and as the server checks it. */
export const INPUT_SCHEMAS = {
  piece: PieceInputSchema,
  design: DesignInputSchema,
  place: PlaceInputSchema,
  hoop: HoopInputSchema,
  layers: LayersInputSchema,
  mount: MountInputSchema,
  stitch: StitchInputSchema,
  finish: FinishInputSchema,
  log: LogInputSchema,
} as const;

/** The inputs of every stage. */
export type Inputs = { [S in keyof typeof INPUT_SCHEMAS]: z.infer<(typeof INPUT_SCHEMAS)[S]> };
