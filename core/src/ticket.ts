import { z } from 'zod';
import { DesignInputSchema } from './design/schema';
import { FinishInputSchema } from './finish/schema';
import { HoopInputSchema } from './hoop/schema';
import { IdSchema } from './ids';
import { LayersInputSchema } from './layers/schema';
import { LogInputSchema } from './log/schema';
import { MountInputSchema } from './mount/schema';
import { PieceInputSchema } from './piece/schema';
import { PlaceInputSchema } from './place/schema';
import { STAGES } from './stages';
import { StitchInputSchema } from './stitch/schema';
import { PhraseSchema } from './units/phrase';

/** One piece of work: what the maker entered, and nothing that can be worked out. */
export const TicketSchema = z.object({
  id: IdSchema,
  name: z.string().max(120),
  customer: z.string().max(120),
  /** ISO date, or null when it is not promised for a day. */
  due: z.iso.date().nullable(),
  /** The stages the maker has settled. */
  settled: z.array(z.enum(STAGES)),
  /** What a settled stage answered then, so that a later change of it is told. */
  settledAs: z.partialRecord(z.enum(STAGES), z.array(PhraseSchema).max(400)).default({}),
  piece: PieceInputSchema,
  design: DesignInputSchema,
  place: PlaceInputSchema,
  hoop: HoopInputSchema,
  layers: LayersInputSchema,
  mount: MountInputSchema,
  stitch: StitchInputSchema,
  finish: FinishInputSchema,
  log: LogInputSchema,
});
export type Ticket = z.infer<typeof TicketSchema>;

const changeOf = <S extends string, T extends z.ZodRawShape>(stage: S, schema: z.ZodObject<T>) =>
  z.object({ stage: z.literal(stage), set: schema.partial() });

/** A change to one stage's inputs: the fields named in `set` replace the old ones. */
export const ChangeSchema = z.discriminatedUnion('stage', [
  changeOf('piece', PieceInputSchema),
  changeOf('design', DesignInputSchema),
  changeOf('place', PlaceInputSchema),
  changeOf('hoop', HoopInputSchema),
  changeOf('layers', LayersInputSchema),
  changeOf('mount', MountInputSchema),
  changeOf('stitch', StitchInputSchema),
  changeOf('finish', FinishInputSchema),
  changeOf('log', LogInputSchema),
]);
export type Change = z.infer<typeof ChangeSchema>;

/** The ticket after a change; the one given is left as it was. */
export function applyChange(ticket: Ticket, change: Change): Ticket {
  return { ...ticket, [change.stage]: { ...ticket[change.stage], ...change.set } };
}
