import { z } from 'zod';
import { CurrencySchema, USUAL_CURRENCY } from '../base/units/money';
import { atMost } from '../base/units/schema';
import type { Reader } from './fields/readField';
import { UnreadSchema } from './fields/unread';
import { OffersSchema } from './offer';
import { OpeningHoursSchema, USUAL_HOURS } from './openingHours';
import { QUESTION_IDS, type QuestionId, SCHOOL_IDS, type SchoolOf } from './schoolIds';
import { WaySchema } from './way';

export const DisplayUnitsSchema = z.union([
  z.object({ system: z.literal('in'), denominator: z.union([z.literal(8), z.literal(16)]) }),
  z.object({ system: z.literal('mm') }),
]);

const SchoolsSchema = z
  .partialRecord(z.enum(QUESTION_IDS), z.string().max(60))
  .superRefine((chosen, context) => {
    for (const [question, school] of Object.entries(chosen)) {
      if ((SCHOOL_IDS[question as QuestionId] as readonly string[]).includes(school)) continue;
      context.addIssue({ code: 'custom', path: [question], message: `There is no school “${school}”.` });
    }
  });

/** So many ways a shop keeps. */
export const MOST_WAYS = 60;

/** What this shop believes: units, one school to each question, and its own numbers where they differ. */
export const HouseRulesSchema = z.object({
  units: DisplayUnitsSchema,
  schools: SchoolsSchema,
  numbers: z
    .record(z.string().min(1).max(60), z.number().min(0).max(100_000))
    .refine(atMost(500), 'At most 500 numbers.'),
  /** Ways of the shop's own, the latest first: each counts as a school. */
  ways: z.array(WaySchema).max(MOST_WAYS).default([]),
  /** What the shop counts its money in. */
  currency: CurrencySchema.default(USUAL_CURRENCY),
  /** What stands at the head of a quote or a receipt, a line each. */
  heading: z.string().max(600).default(''),
  /** When somebody is there to work. */
  hours: OpeningHoursSchema.default(USUAL_HOURS),
  /** What was typed for a number and could not be taken. */
  unread: UnreadSchema.optional(),
  /** What was entered on another device where this one was changed too. */
  offers: OffersSchema.optional(),
});
export type HouseRules = z.infer<typeof HouseRulesSchema>;

export const DEFAULT_HOUSE_RULES: HouseRules = {
  units: { system: 'in', denominator: 16 },
  schools: {},
  numbers: {},
  ways: [],
  currency: USUAL_CURRENCY,
  heading: '',
  hours: USUAL_HOURS,
};

/** In what this shop's people read and type lengths and money. */
export const readerOf = ({ units, currency }: Pick<HouseRules, 'units' | 'currency'>): Reader => ({
  ...units,
  currency,
});

/** The school followed on every question. */
export type QuestionSchools = { [Q in QuestionId]: SchoolOf<Q> };

/** The school this shop follows on a question: its own choice, or the first of the list. */
export function schoolFor<Q extends QuestionId>(rules: HouseRules, question: Q): SchoolOf<Q> {
  return (rules.schools[question] ?? SCHOOL_IDS[question][0]) as SchoolOf<Q>;
}

/** The shop's school on every question. */
export function schoolsOfShop(rules: HouseRules): QuestionSchools {
  return Object.fromEntries(
    QUESTION_IDS.map((q) => [q, schoolFor(rules, q) as string]),
  ) as unknown as QuestionSchools;
}
