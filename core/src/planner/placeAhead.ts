import type { HouseRules } from '../model/houseRules';
import type { PlaceInput } from '../model/ticket/place';
import { type PlacePlan, planPlace } from '../stages/place/planPlace';
import type { Plan } from './planned';

/**
 * Where the design comes to lie with other inputs of Place, while it is in the hand and the plan has not followed yet.
 * Null where nothing is placed.
 */
export function placeAhead(
  { piece, design, place }: Pick<Plan, 'piece' | 'design' | 'place'>,
  input: PlaceInput,
  rules: HouseRules,
): PlacePlan | null {
  const { geometry } = piece;
  const { facts } = design;
  if (!place || !geometry || !facts) return null;
  return planPlace({ placement: place.placement, input, piece: { ...piece, geometry }, facts, rules });
}
