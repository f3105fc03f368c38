import type { DesignFacts } from '../design/planDesign';
import type { PieceOutline } from '../piece/geometry';
import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import type { ScatterQuestion } from './scatter';
import type { PlaceInput } from './schema';

/** Rounds of spreading out, to the motif: more hardly moves them. */
const ROUNDS_EACH = 60;

/** What is asked of the scatter search for this design on this piece, with the shop's own inset and gap. */
export function scatterQuestionFor(
  on: { facts: DesignFacts; outline: PieceOutline },
  input: PlaceInput['scatter'],
  rules: HouseRules,
): ScatterQuestion {
  return {
    hull: on.facts.hull,
    within: on.outline.within?.area ?? on.outline.outline,
    insetMm: numberFor(rules, 'scatterInsetMm'),
    gapMm: input.gapMm ?? numberFor(rules, 'scatterGapMm'),
    count: input.count,
    seed: input.seed,
    turns: input.turns,
    rounds: input.count * ROUNDS_EACH,
  };
}
