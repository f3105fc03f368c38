import { z } from 'zod';
import { PointSchema } from '../../base/geometry/schema';
import { IdSchema } from '../../base/ids';
import { alongMm, lengthMm } from '../../base/units/schema';
import { FAULT_IDS } from '../faults';
import { MOST_PHOTOS, PhotoSchema } from '../photo';
import { STAGES } from '../stages';
import { METHODS } from './hoop';
import { CHOICE_IDS, SheetsSchema } from './layers';

/** What was keyed at the machine: the turn clockwise, and how far right and towards you. */
export const KeyedSchema = z.object({
  turnDeg: z.number().min(-360).max(360),
  x: alongMm(600),
  y: alongMm(600),
});

/** What was really used; null means: as planned. */
export const UsedSchema = z.object({
  method: z.enum([...METHODS, 'partly']).nullable(),
  hoopId: z.string().max(64).nullable(),
  sheets: SheetsSchema.nullable(),
  topper: z.enum(CHOICE_IDS.topper).nullable(),
  needle: z.enum(CHOICE_IDS.needle).nullable(),
  bobbin: z.enum(CHOICE_IDS.bobbin).nullable(),
  keyed: KeyedSchema.nullable().default(null),
});
export type Used = z.infer<typeof UsedSchema>;

/** The most letters of what to do next time. */
export const MOST_NEXT_TIME = 1000;

const severity = z.number().int().min(0).max(3);

/** The most places that are marked on one piece. */
export const MOST_SPOTS = 60;

/** Where a fault was seen on the piece, piece frame, mm. */
export const SpotSchema = z.object({ fault: z.enum(FAULT_IDS), at: PointSchema });
export type Spot = z.infer<typeof SpotSchema>;

/**
 * Where the stitched design lies against where it was to lie, by the tape: its middle to the right and down, and its
 * right end down, mm. Null where it was not measured.
 */
export const OffSchema = z.object({
  right: alongMm(500).nullable(),
  down: alongMm(500).nullable(),
  endDown: alongMm(500).nullable(),
});
export type Off = z.infer<typeof OffSchema>;

/** Nothing measured. */
export const NOT_MEASURED: Off = { right: null, down: null, endDown: null };

/** How one piece came out. Faults not named have not been seen (severity 0). */
const RESULT = {
  faults: z.partialRecord(z.enum(FAULT_IDS), severity),
  spots: z.array(SpotSchema).max(MOST_SPOTS).default([]),
  off: OffSchema.default(NOT_MEASURED),
};

/** A piece of a run that came out otherwise than the others: which, counted from 1, and how. */
export const OtherPieceSchema = z.object({
  piece: z.number().int().min(1).max(2000),
  ...RESULT,
  note: z.string().max(400).default(''),
});
export type OtherPiece = z.infer<typeof OtherPieceSchema>;

/** The most pieces of a run that are told one by one. */
export const MOST_OTHERS = 200;
/** The most ticks whose time is kept. */
export const MOST_TICKS = 400;

/** What can be tried by itself. */
export const TRIED = ['support', 'method', 'topper', 'needle'] as const;
export type Tried = (typeof TRIED)[number];

/** One thing that is tried, all else as on another ticket: so that it can be told what it does. */
export const TrialSchema = z.object({
  /** The ticket that it is tried for, and what that is called. */
  of: IdSchema,
  name: z.string().max(120),
  tried: z.enum(TRIED),
  was: z.string().max(400),
  is: z.string().max(400),
  /** What everything that could be tried was, by its ids. */
  kept: z.record(z.enum(TRIED), z.string().max(400)),
  /** So many clean pieces in a row decide for it, so many bad ones against it; null where no number would. */
  clean: z.number().int().min(1).nullable(),
  bad: z.number().int().min(1).nullable(),
});
export type Trial = z.infer<typeof TrialSchema>;

export const CountedSchema = z.object({
  stitches: z.number().int().min(0).max(2_000_000).nullable(),
  topM: z.number().min(0).max(100_000).nullable(),
  bobbinM: z.number().min(0).max(100_000).nullable(),
});
export type CountedAtMachine = z.infer<typeof CountedSchema>;

/** Nothing counted. */
export const NOT_COUNTED: CountedAtMachine = { stitches: null, topM: null, bobbinM: null };

/** The maker's report: on all pieces of the ticket, and on those that came out otherwise. */
export const LogInputSchema = z.object({
  used: UsedSchema,
  ...RESULT,
  others: z.array(OtherPieceSchema).max(MOST_OTHERS).default([]),
  /** How far off its place, as older reports say it: without a direction. */
  misplacementMm: lengthMm(0, 500).nullable(),
  /** When steps of the deck were ticked, s since 1970, each with its stage: `1772359200 stitch`. A set. */
  ticks: z.array(z.string().max(60)).max(MOST_TICKS).default([]),
  /** What was counted at the machine for one piece: stitches as its display has them, thread and bobbin, m. */
  counted: CountedSchema.default(NOT_COUNTED),
  photos: z.array(PhotoSchema).max(MOST_PHOTOS).default([]),
  /** What is tried on it; null on most. */
  trial: TrialSchema.nullable().default(null),
  /** A trial on a scrap: nothing to hand over, but something to learn from. */
  swatch: z.boolean().default(false),
  minutes: z.partialRecord(z.enum(STAGES), z.number().min(0).max(10_000)),
  note: z.string().max(4000),
  nextTime: z.string().max(MOST_NEXT_TIME),
  by: z.string().max(80),
});
export type LogInput = z.infer<typeof LogInputSchema>;

/** The gravest fault, 0 to 3. */
export function worstFault(log: Pick<LogInput, 'faults'>): number {
  return Math.max(0, ...Object.values(log.faults));
}

export const OUTCOMES = ['good', 'slight', 'plain', 'spoilt'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** How it came out, in one word: as the worst of its pieces did. */
export function outcomeOf(log: Pick<LogInput, 'faults' | 'others'>): Outcome {
  return OUTCOMES[worstOfAll(log)] ?? 'good';
}

/** The gravest fault of any piece of a report, 0 to 3. */
export const worstOfAll = ({ faults, others }: Pick<LogInput, 'faults' | 'others'>): number =>
  Math.max(worstFault({ faults }), ...others.map(worstFault));

/** How far a piece is off its place, mm, and how far turned, clockwise; null where it was not measured. */
export function offBy(
  { off, misplacementMm }: { off: Off; misplacementMm?: number | null },
  widthMm: number,
): { mm: number | null; turnDeg: number | null } {
  const { right, down, endDown } = off;
  const mm = right === null && down === null ? (misplacementMm ?? null) : Math.hypot(right ?? 0, down ?? 0);
  const turned = endDown !== null && widthMm > 0;
  return {
    mm,
    turnDeg: turned ? (Math.atan2(endDown - (down ?? 0), widthMm / 2) * 180) / Math.PI : null,
  };
}

/** Nothing reported: everything as planned, no fault seen. */
export const EMPTY_LOG: LogInput = {
  used: {
    method: null,
    hoopId: null,
    sheets: null,
    topper: null,
    needle: null,
    bobbin: null,
    keyed: null,
  },
  faults: {},
  spots: [],
  off: NOT_MEASURED,
  others: [],
  ticks: [],
  counted: NOT_COUNTED,
  photos: [],
  trial: null,
  swatch: false,
  misplacementMm: null,
  minutes: {},
  note: '',
  nextTime: '',
  by: '',
};
