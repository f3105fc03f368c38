import { z } from 'zod';
import { type DesignInput, DesignInputSchema } from './design/schema';
import { FinishInputSchema } from './finish/schema';
import { HoopInputSchema } from './hoop/schema';
import { LayersInputSchema } from './layers/schema';
import { LogInputSchema } from './log/schema';
import { MountInputSchema } from './mount/schema';
import { PIECE_KINDS } from './piece/kinds';
import { PieceInputSchema, type PieceKindId } from './piece/schema';
import { placementsFor } from './place/placements';
import { PlaceInputSchema } from './place/schema';
import { STAGES } from './stages';
import { StitchInputSchema } from './stitch/schema';

export const IdSchema = z
  .string()
  .min(8)
  .max(64)
  .regex(/^[\w-]+$/, 'An id is letters, digits and dashes.');

/** One piece of work: what the maker entered, and nothing that can be worked out. */
export const TicketSchema = z.object({
  id: IdSchema,
  name: z.string().max(120),
  customer: z.string().max(120),
  /** ISO date, or null when it is not promised for a day. */
  due: z.iso.date().nullable(),
  /** The stages the maker has settled. */
  settled: z.array(z.enum(STAGES)),
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

const EMPTY_DESIGN: DesignInput = {
  name: '',
  widthMm: null,
  heightMm: null,
  unread: {},
  stitches: null,
  densityClass: null,
  colours: [{ hex: '#1F4E79', name: 'navy', stitches: null }],
  hasUp: true,
  lettering: false,
  letterHeightMm: null,
  scalePercent: 100,
  artwork: null,
};

/** A bare ticket for a kind of piece; the id is the caller's. */
export function newTicket(id: string, kind: PieceKindId): Ticket {
  const worn = PIECE_KINDS[kind].worn;
  return {
    id,
    name: '',
    customer: '',
    due: null,
    settled: [],
    piece: {
      kind,
      fabricId: worn ? 'jersey-tee' : 'terry-towel',
      fabricChanges: {},
      colour: worn ? '#C9D6DF' : '#EFE6D2',
      readings: {},
      unread: {},
      evenness: [],
    },
    design: EMPTY_DESIGN,
    place: {
      placement: placementsFor(kind)[0]?.id ?? 'above-border',
      school: null,
      offset: { x: 0, y: 0 },
      turnDeg: 0,
      method: 'tape',
    },
    hoop: { hoopId: null, turnDeg: null, shift: null, method: null, methodWhy: '' },
    layers: { support: null, choices: {} },
    mount: { machineId: null, mirror: false, checked: [] },
    stitch: { bobbinLeftM: null, threadIds: [], stopsDone: 0 },
    finish: { done: [] },
    log: {
      used: { method: null, hoopId: null, sheets: null, topper: null, needle: null, bobbin: null },
      faults: {},
      misplacementMm: null,
      minutes: {},
      note: '',
      nextTime: '',
      by: '',
    },
  };
}
