import { z } from 'zod';
import { QUESTION_IDS, QUESTIONS, type QuestionId, schoolsOf } from '../rules/schools';
import { type Phrase, PhraseSchema } from '../units/phrase';

/** Why a figure or a choice is what it is: the sentence, the arithmetic, and the school that decided. */
export const ReasonSchema = z.object({
  about: z.string(),
  text: PhraseSchema,
  arithmetic: z.array(PhraseSchema),
  school: z
    .object({ question: z.enum(QUESTION_IDS), chosen: z.string(), others: z.array(z.string()) })
    .optional(),
  /** Other rules that spoke for the same thing and did not decide it, each with why not. */
  gaveWay: z.array(PhraseSchema).optional(),
});
export type Reason = z.infer<typeof ReasonSchema>;

const told = new Map<string, NonNullable<Reason['school']>>();

/** The school part of a reason, in words. Every plan says the same few: each is put together once. */
export function schoolReason(question: QuestionId, chosen: string): NonNullable<Reason['school']> {
  const key = `${question} ${chosen}`;
  const before = told.get(key);
  if (before) return before;
  const said = inWords(question, chosen);
  told.set(key, said);
  return said;
}

function inWords(question: QuestionId, chosen: string): NonNullable<Reason['school']> {
  const schools = schoolsOf(question);
  return {
    question,
    chosen: schools.find(([id]) => id === chosen)?.[1] ?? chosen,
    others: schools.filter(([id]) => id !== chosen).map(([, name]) => name),
  };
}

/** The question a school belongs to, in words. */
export const questionText = (question: QuestionId): string => QUESTIONS[question].question;

/** A reason without a school. */
export function because(about: string, text: Phrase, arithmetic: Phrase[] = []): Reason {
  return { about, text, arithmetic };
}
