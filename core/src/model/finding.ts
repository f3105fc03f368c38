import { z } from 'zod';
import { PointSchema } from '../base/geometry/schema';
import { type Phrase, PhraseSchema } from '../base/units/phrase';
import { STAGES } from './stages';
import { applyChange, ChangeSchema, type Ticket } from './ticket';

/** `stop`: the plan cannot be right. `next`: not entered yet. `warn`: it will show. `note`: worth knowing. */
export const SEVERITIES = ['stop', 'next', 'warn', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** A way out of a finding: what the button says, what will then be true, and the change it makes. */
export const MendSchema = z.object({
  label: PhraseSchema,
  result: PhraseSchema,
  change: ChangeSchema,
  /** A second stage's change that goes with it. */
  also: ChangeSchema.optional(),
  /** What it costs; a mend that costs something is tried out on the sheet before it is taken. */
  cost: PhraseSchema.optional(),
});
export type Mend = z.infer<typeof MendSchema>;

/** The ticket once a mend is taken; the one given is left as it was. */
export function applyMend(ticket: Ticket, { change, also }: Mend): Ticket {
  const changed = applyChange(ticket, change);
  return also ? applyChange(changed, also) : changed;
}

/** Something the maker should know, beside the place it speaks of (piece frame, mm). */
export const FindingSchema = z.object({
  code: z.string(),
  stage: z.enum(STAGES),
  severity: z.enum(SEVERITIES),
  text: PhraseSchema,
  /** The input it speaks of, where it speaks of one. */
  field: z.string().optional(),
  at: PointSchema.optional(),
  mends: z.array(MendSchema),
});
export type Finding = z.infer<typeof FindingSchema>;

/** Whether later stages wait until this is seen to: something is wrong, or not entered yet. */
export const isInTheWay = ({ severity }: Pick<Finding, 'severity'>): boolean =>
  severity === 'stop' || severity === 'next';

/** The gravest finding first; equal ones keep the order of work. */
export function byGravity(findings: readonly Finding[]): Finding[] {
  const gravity = ({ severity, stage }: Finding) =>
    SEVERITIES.indexOf(severity) * STAGES.length + STAGES.indexOf(stage);
  return [...findings].sort((a, b) => gravity(a) - gravity(b));
}

/** A finding without mends, unless `rest` brings some. */
export function finding(
  stage: Finding['stage'],
  code: string,
  severity: Severity,
  text: Phrase,
  rest: Partial<Pick<Finding, 'field' | 'at' | 'mends'>> = {},
): Finding {
  return { code, stage, severity, text, mends: [], ...rest };
}
