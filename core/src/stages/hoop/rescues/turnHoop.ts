import { fullTurnDeg } from '../../../base/geometry/point';
import { mm, phrase } from '../../../base/units/phrase';
import type { Rescue, RescueQuestion } from './rescue';
import { set, turnsOf, WHERE_IT_LIES } from './rescue';
/** Turn the hoop on the piece. */
export function turnHoop({ verdict, method, input, laid }: RescueQuestion): Rescue[] {
  if (input.turnDeg === null || laid?.verdict !== verdict) return [];
  const [other] = turnsOf(verdict, method).sort((a, b) => b.spareMm - a.spareMm);
  if (!other || other.turnDeg === input.turnDeg) return [];
  const by = fullTurnDeg(other.turnDeg - input.turnDeg);
  return [
    {
      label: phrase`Turn the hoop ${String(by)}°`,
      result: phrase`fits with ${mm(other.spareMm)} to spare each side`,
      cost: phrase`none: the design stays where it is`,
      change: set({ turnDeg: other.turnDeg, shift: null }),
      removes: WHERE_IT_LIES,
    },
  ];
}
