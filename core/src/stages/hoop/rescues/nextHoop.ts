import { mm, percent, phrase } from '../../../base/units/phrase';
import { otherHoop } from '../../../model/ticket/hoop';
import type { Rescue, RescueQuestion } from './rescue';
import { ALL_FAULTS, set, turnsOf, works } from './rescue';
/** The next hoop up that works. */
export function nextHoop({ verdict, verdicts, method }: RescueQuestion): Rescue[] {
  const other = verdicts.find((v) => v.hoop.id !== verdict.hoop.id && works(v, method));
  if (!other) return [];
  const best = Math.max(...turnsOf(other, method).map((t) => t.spareMm));
  const more =
    (other.hoop.ringWidthMm * other.hoop.ringHeightMm) /
      (verdict.hoop.ringWidthMm * verdict.hoop.ringHeightMm) -
    1;
  return [
    {
      label: phrase`Use ${other.hoop.name}`,
      result: phrase`fits with ${mm(best)} to spare each side`,
      cost: more > 0 ? phrase`${percent(more * 100)} more stabilizer` : phrase`none`,
      change: set(otherHoop(other.hoop.id)),
      removes: ALL_FAULTS,
    },
  ];
}
