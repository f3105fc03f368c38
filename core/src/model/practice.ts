import { z } from 'zod';
import { PointSchema } from '../base/geometry/schema';
import { HoopSchema, MachineSchema } from './shelf';
import { MOST_STOPS } from './ticket/designBounds';
import { ObstacleSchema } from './ticket/mount';
import { HexSchema } from './ticket/piece';

/** How the piece really sits in the hoop, against how it was planned: turned clockwise, then moved, mm. */
export const PracticePoseSchema = z.object({ turnDeg: z.number().min(-180).max(180), shift: PointSchema });
export type PracticePose = z.infer<typeof PracticePoseSchema>;

const PracticeStopSchema = z.object({
  hex: HexSchema,
  name: z.string(),
  stitches: z.number().int(),
  /** The way the needle goes, mm about the file's centre, straight from point to point. */
  path: z.array(PointSchema),
  /** The points that are reached without thread: it was cut. Each point is a stitch then; null where the way is all that is known. */
  cutBefore: z.array(z.number().int()).nullable(),
  /** Whether its thread is that of the stop before. */
  sameThread: z.boolean(),
  /** What hands do with the cloth of an appliqué once it is stitched; null for nothing. */
  handsAfter: z.string().nullable(),
});

/** What lies on the practice machine's table: a ticket's design and all it will meet. Lengths in mm. */
export const PracticeJobSchema = z.object({
  ticketId: z.string(),
  name: z.string(),
  machine: MachineSchema,
  /** The hoops that go on it. */
  hoops: z.array(HoopSchema),
  /** The hoop the ticket asks for. */
  hoopId: z.string(),
  /** The design's convex hull about the file's own centre. */
  hull: z.array(PointSchema),
  stops: z.array(PracticeStopSchema),
  obstacles: z.array(ObstacleSchema),
  footMm: z.number(),
  bobbinM: z.number(),
  bobbinMPerStitch: z.number(),
  /** Where the chalked marks are in the hoop, by name. */
  marks: z.record(z.string(), PointSchema),
  /** The piece's outline in the hoop. */
  cloth: z.array(PointSchema),
  clothHex: HexSchema,
  /** Where the file's centre must come to lie, and how, for the design to sit on its marks. */
  wanted: z.object({ turnDeg: z.number(), mirror: z.boolean(), move: PointSchema }),
});
export type PracticeJob = z.infer<typeof PracticeJobSchema>;

/** Why the machine stands still. */
export const HALTS = [
  'stopped',
  'colour-change',
  'hands-at-cloth',
  'bobbin-out',
  'needle-broken',
  'foot-touches',
  'finished',
] as const;

export const PracticeStateSchema = z.object({
  powered: z.boolean(),
  /** The hoop on the carriage; null for none. */
  onId: z.string().nullable(),
  latched: z.boolean(),
  /** The hoop the machine is set to. */
  setId: z.string(),
  /** Where the file's centre lies in the hoop, right and towards the operator. */
  move: PointSchema,
  turnDeg: z.number(),
  mirror: z.boolean(),
  scalePercent: z.number(),
  /** The point of the hoop that is under the needle. */
  needle: PointSchema,
  needleWhole: z.boolean(),
  traced: z.boolean(),
  running: z.boolean(),
  halt: z.enum(HALTS),
  /** What the foot or the needle met, by name. */
  met: z.string().nullable(),
  /** The colour stop being stitched, from 0, and how many of its stitches are done. */
  stop: z.number().int(),
  done: z.number().int(),
  /** The colour stop whose thread is in the needle; null for none. */
  threaded: z.number().int().nullable(),
  bobbinM: z.number(),
  bobbinChanges: z.number().int(),
  seconds: z.number(),
});
export type PracticeState = z.infer<typeof PracticeStateSchema>;

const by = z.number().min(-1000).max(1000);
const plain = <T extends string>(press: T) => z.object({ press: z.literal(press) });

/** What can be done at the machine. */
export const PracticeCommandSchema = z.discriminatedUnion('press', [
  z.object({ press: z.literal('power'), on: z.boolean() }),
  z.object({ press: z.literal('put-on'), hoopId: z.string() }),
  plain('take-off'),
  plain('latch'),
  plain('unlatch'),
  z.object({ press: z.literal('set-hoop'), hoopId: z.string() }),
  z.object({ press: z.literal('jog'), x: by, y: by }),
  plain('needle-to-centre'),
  z.object({ press: z.literal('move'), x: by, y: by }),
  z.object({ press: z.literal('turn'), deg: z.number().min(-360).max(360) }),
  plain('mirror'),
  z.object({ press: z.literal('resize'), percent: z.number().min(10).max(400) }),
  plain('trace'),
  z.object({
    press: z.literal('thread'),
    stop: z
      .number()
      .int()
      .min(0)
      .max(MOST_STOPS - 1),
  }),
  plain('new-bobbin'),
  plain('new-needle'),
  z.object({ press: z.literal('back'), stitches: z.number().int().min(1).max(500) }),
  plain('start'),
  plain('stop'),
  z.object({ press: z.literal('sew'), seconds: z.number().positive().max(3600) }),
]);
export type PracticeCommand = z.infer<typeof PracticeCommandSchema>;

/** Why the machine does not do what was pressed. */
export const PRACTICE_REFUSALS = [
  'power-off',
  'power-on',
  'running',
  'no-hoop',
  'hoop-on',
  'not-latched',
  'wrong-hoop',
  'unknown-hoop',
  'outside-field',
  'turn-step',
  'cannot-mirror',
  'cannot-resize',
  'wrong-thread',
  'no-bobbin',
  'needle-broken',
  'not-running',
  'started',
  'finished',
  'unknown-stop',
  'at-start',
] as const;
export type KeyRefusal = (typeof PRACTICE_REFUSALS)[number];

export const PracticeAnswerSchema = z.object({
  ok: z.boolean(),
  code: z.enum(PRACTICE_REFUSALS).nullable(),
  /** What the machine says, for a person. */
  message: z.string(),
  state: PracticeStateSchema,
});
export type PracticeAnswer = z.infer<typeof PracticeAnswerSchema>;
