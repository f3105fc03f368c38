import { type Phrase, phrase } from '../../base/units/phrase';
import { schoolReason } from '../../catalogue/schools';
import type { Way } from '../../model/way';
import { BELIEFS, type Belief } from './beliefs';
import type { LayerFacts } from './facts';
import { type ChoiceRule, type Decision, type SupportRule, schoolAgrees } from './rule';

const BY_ID = new Map(BELIEFS.map((belief) => [belief.id, belief]));

const told = new Map<string, Phrase>();

/** Why a rule that spoke did not decide: its school is not followed here, or a more particular one spoke. */
function whyNot({ on, concludes, school }: Belief, winner: Belief, agrees: boolean): Phrase {
  const said = phrase`${on}: ${concludes}`;
  if (school && !agrees)
    return phrase`${said}; only where the shop holds “${schoolReason(school.question, school.id).chosen}”`;
  if (concludes === winner.concludes) return phrase`${said}; it says the same`;
  return phrase`${said}; gives way to the rule for ${winner.on}`;
}

/** The rules that spoke beside the deciding one, the highest first, each with why it did not decide. */
export function gaveWay({ rule, others }: Decision<SupportRule | ChoiceRule>, facts: LayerFacts): Phrase[] {
  const winner = BY_ID.get(rule.id);
  return others.flatMap((other) => {
    const agrees = schoolAgrees(other, facts);
    const key = `${other.id} ${rule.id} ${agrees}`;
    const belief = BY_ID.get(other.id);
    if (!belief || !winner) return [];
    const before = told.get(key) ?? whyNot(belief, winner, agrees);
    told.set(key, before);
    return [before];
  });
}

/** Ways of the shop's own that apply here and are not followed, since their stacks must never be on this piece. */
export const refusedWays = (ways: readonly Way[]): Phrase[] =>
  ways.map((way) => phrase`our ${way.name} way: not on this piece, where its stack must never be`);
