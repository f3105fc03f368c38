import { z } from 'zod';
import { type Phrase, PhraseSchema } from '../base/units/phrase';
import { QUESTION_IDS } from './schoolIds';

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

/** A reason without a school. */
export function because(about: string, text: Phrase, arithmetic: Phrase[] = []): Reason {
  return { about, text, arithmetic };
}
