import { numberFor } from '../../catalogue/houseNumber';
import { PLACE_NUMBERS } from '../../catalogue/numbers/place';
import type { HouseRules } from '../../model/houseRules';
import type { PlaceInput } from '../../model/ticket/place';
import type { DesignFacts } from '../design/designFacts';
import type { PieceOutline } from '../piece/geometry';
import type { ScatterQuestion } from './scatter';

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
    insetMm: numberFor(rules, PLACE_NUMBERS.scatterInsetMm),
    gapMm: input.gapMm ?? numberFor(rules, PLACE_NUMBERS.scatterGapMm),
    count: input.count,
    seed: input.seed,
    turns: input.turns,
    rounds: input.count * ROUNDS_EACH,
  };
}
