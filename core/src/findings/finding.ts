import { z } from 'zod';
import { PointSchema } from '../geometry/schema';
import { QUESTION_IDS, QUESTIONS, type QuestionId, schoolsOf } from '../rules/schools';
import { STAGES } from '../stages';
import { ChangeSchema } from '../ticket';
import { type Phrase, PhraseSchema } from '../units/phrase';

/** `stop`: the plan cannot be right. `warn`: it will show. `note`: worth knowing. */
export const SEVERITIES = ['stop', 'warn', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** A way out of a finding: what the button says, what will then be true, and the change it makes. */
export const MendSchema = z.object({ label: PhraseSchema, result: PhraseSchema, change: ChangeSchema });
export type Mend = z.infer<typeof MendSchema>;

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

/** Why a figure or a choice is what it is: the sentence, the arithmetic, and the school that decided. */
export const ReasonSchema = z.object({
  about: z.string(),
  text: PhraseSchema,
  arithmetic: z.array(PhraseSchema),
  school: z
    .object({ question: z.enum(QUESTION_IDS), chosen: z.string(), others: z.array(z.string()) })
    .optional(),
});
export type Reason = z.infer<typeof ReasonSchema>;

/** The school part of a reason, in words. */
export function schoolReason(question: QuestionId, chosen: string): NonNullable<Reason['school']> {
  const schools = schoolsOf(question);
  return {
    question,
    chosen: schools.find(([id]) => id === chosen)?.[1] ?? chosen,
    others: schools.filter(([id]) => id !== chosen).map(([, name]) => name),
  };
}

/** The question a school belongs to, in words. */
export const questionText = (question: QuestionId): string => QUESTIONS[question].question;

/** The gravest finding first; equal ones keep the order of work. */
export function byGravity(findings: readonly Finding[]): Finding[] {
  return [...findings].sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity));
}

/** A reason without a school. */
export function because(about: string, text: Phrase, arithmetic: Phrase[] = []): Reason {
  return { about, text, arithmetic };
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
