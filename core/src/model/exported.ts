import { z } from 'zod';
import { KeptEntrySchema, SavedSearchSchema, SetAsideSchema } from './api';
import { CustomerSchema } from './customer';
import { DaySheetSchema, EMPTY_DAY } from './day';
import { KeptDrawingSchema } from './drawing';
import { isTheDrawing } from './drawingId';
import { HouseRulesSchema } from './houseRules';
import { MovementSchema } from './movement';
import { OrderSchema } from './order';
import { ShelfSchema } from './shelf';
import { TicketSchema } from './ticket';

/** All data of a shop as one document, to take elsewhere: what people entered, and what was logged of it. */
export const ExportedSchema = z.object({
  /** 2 since its lines bear marks; before, 1. */
  format: z.literal(2),
  /** When what is in it was changed last: the same data is the same document. */
  exportedAt: z.string(),
  tickets: z.array(z.object({ ticket: TicketSchema, updatedAt: z.string(), onBench: z.boolean() })),
  shelf: ShelfSchema,
  rules: HouseRulesSchema,
  logbook: z.array(KeptEntrySchema),
  /** The ledger of the stock. */
  movements: z.array(MovementSchema),
  /** The drawings that designs were read from. */
  drawings: z
    .array(KeptDrawingSchema.refine(isTheDrawing, 'This is not the drawing of that id.'))
    .default([]),
  customers: z.array(CustomerSchema).default([]),
  orders: z.array(OrderSchema).default([]),
  /** What was said of the work that is planned. */
  day: DaySheetSchema.default(EMPTY_DAY),
  /** Kept searches of the logbook. */
  searches: z.array(SavedSearchSchema).default([]),
  /** What is kept and could not be read, as it stands: nothing of it is lost, and nothing of it is brought in. */
  setAside: z
    .array(SetAsideSchema.pick({ place: true, id: true, why: true }).extend({ text: z.string() }))
    .default([]),
});
export type Exported = z.infer<typeof ExportedSchema>;

/** What of a document was brought in, and how much was here already and stayed as it was. */
export const BroughtInSchema = z.object({
  tickets: z.number().int(),
  items: z.number().int(),
  entries: z.number().int(),
  rules: z.boolean(),
  known: z.number().int(),
});
export type BroughtIn = z.infer<typeof BroughtInSchema>;
