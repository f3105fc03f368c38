import { z } from 'zod';
import { PhraseSchema, QuantitySchema } from '../base/units/phrase';
import { METHODS } from './ticket/hoop';
import { KeptSheetSchema, SheetSchema } from './ticket/layers';

const choice = z.looseObject({ choice: z.looseObject({ id: z.string(), name: z.string() }) });
const move = z.looseObject({ x: z.number(), y: z.number() });
const polygon = z.array(move);

/** A part of a plan that an older planner may not have made, or made otherwise: then there is none. */
const part = <T extends z.ZodType>(schema: T) =>
  z.preprocess((kept) => (schema.safeParse(kept).success ? kept : null), schema.nullable());

const PieceSchema = z.looseObject({
  colour: z.string(),
  sketch: z.looseObject({ outline: polygon, seams: z.array(z.unknown()), noGo: z.array(z.unknown()) }),
});

/**
 * A plan as it was kept with a log entry: what the planner of that day made, and which planner it was. All of it is
 * kept; only what pages of today read is looked at, and what does not read is taken as not there. Figures in mm and
 * degrees. Plans kept before planners were counted are of planner 1.
 */
export const FrozenPlanSchema = z.looseObject({
  planner: z.number().int().min(1).default(1),
  piece: part(PieceSchema),
  design: part(
    z.looseObject({
      facts: z.looseObject({ widthMm: z.number(), heightMm: z.number(), stitches: z.number() }).nullable(),
    }),
  ),
  place: part(
    z.looseObject({
      marks: z.array(z.looseObject({ text: PhraseSchema, figure: QuantitySchema.nullable() })),
    }),
  ),
  hoop: part(
    z.looseObject({
      method: z.enum(METHODS),
      laid: z
        .looseObject({ verdict: z.looseObject({ hoop: z.looseObject({ name: z.string() }) }) })
        .nullable(),
    }),
  ),
  layers: part(
    z.looseObject({
      sheets: z.array(z.union([SheetSchema, KeptSheetSchema])),
      parts: z.looseObject({ topper: choice, needle: choice, bobbin: choice }),
    }),
  ),
  mount: part(
    z.looseObject({
      keys: z.looseObject({ turnDeg: z.number(), mirror: z.boolean(), move }),
      crooked: part(z.looseObject({ crookedDeg: z.number().nullable() })),
    }),
  ),
  stitch: part(
    z.looseObject({
      stops: z.array(
        z.looseObject({ name: z.string(), thread: z.looseObject({ name: z.string() }).nullable() }),
      ),
    }),
  ),
});
export type FrozenPlan = z.infer<typeof FrozenPlanSchema>;
