import { ORIGIN, rotate, subtract } from '../../../base/geometry/point';
import { phrase } from '../../../base/units/phrase';
import type { Rescue, RescueQuestion } from './rescue';
import { set, WHERE_IT_LIES } from './rescue';
import { wayInWords } from './wayInWords';
/** Hoop it again, so many mm over: the design stays on its rule. */
export function rehoop(asked: RescueQuestion): Rescue[] {
  const { laid, input, verdict, method } = asked;
  if (!laid || !input.shift) return [];
  const way = verdict.turns.find((t) => t.turnDeg === laid.turnDeg);
  if (!way || way.miss || (method === 'hooped' && way.designAt === null)) return [];
  const to = way.designAt ?? ORIGIN;
  const by = rotate(subtract(laid.designAt, to), laid.onPieceDeg);
  return [
    {
      label: phrase`Hoop it again ${wayInWords(by)}`,
      result: phrase`the design stays on its rule, inside the field`,
      cost: phrase`the hoop comes off: one more hooping`,
      change: set({ shift: null }),
      removes: WHERE_IT_LIES,
    },
  ];
}
