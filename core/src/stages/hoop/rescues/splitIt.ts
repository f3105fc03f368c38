import { boxOf, contains, inflate } from '../../../base/geometry/box';
import { count, mm, phrase } from '../../../base/units/phrase';
import type { QuarterTurn } from '../../../model/ticket/hoop';
import { whyNotClosed } from '../judgeHoop';
import { layPart, splitsOf } from '../layHoop';
import type { Split, SplitPart } from '../split';
import type { HoopSet, Rescue, RescueQuestion } from './rescue';
import { forHoop, set, WHERE_IT_LIES } from './rescue';

/** How many elements of the drawing lie in no part whole. */
function elementsCut({ setting: { facts } }: RescueQuestion, parts: readonly SplitPart[]): number {
  if (!facts.artwork) return 0;
  const boxes = parts.map((part) => inflate(boxOf(part.hull), 0.01));
  return facts.elements.filter((hull) => !boxes.some((box) => contains(box, boxOf(hull)))).length;
}

/** The split with the fewest parts whose rings all lie clear; floated where they do not, or the ring cannot close. */
function bestSplit({
  verdict,
  setting,
  method,
}: RescueQuestion): { turnDeg: QuarterTurn; split: Split; floats: boolean } | null {
  const splits = splitsOf(verdict, setting);
  const lying =
    method === 'hooped' && whyNotClosed(verdict.hoop, setting).length === 0
      ? splits.find(
          ({ turnDeg, split }) => layPart(verdict, turnDeg, { split, index: 0 }, setting)?.split?.lies,
        )
      : undefined;
  const [best] = lying ? [lying] : splits;
  return best ? { ...best, floats: method === 'hooped' && !lying } : null;
}

/** Stitch it in parts that overlap: with the hoop in hand, or the nearest; never another one for that. */
export function splitIt(asked: RescueQuestion): Rescue[] {
  const { verdict, input, isAnother } = asked;
  if (isAnother || verdict.fits || verdict.whyNotUsed !== null || input.split) return [];
  const best = bestSplit(asked);
  if (!best) return [];
  const { parts, overlapMm, byPositions } = best.split;
  const floated: HoopSet = best.floats ? { method: 'floated' } : {};
  const cut = elementsCut(asked, parts);
  const and = [
    ...(cut > 0 ? phrase`; ${count(cut)} of its elements ${cut === 1 ? 'is' : 'are'} cut through` : []),
    ...(best.floats ? phrase`; floated, since the ring cannot close on every part` : []),
  ];
  return [
    {
      label: byPositions
        ? phrase`Stitch it in ${count(parts.length)} places of this hoop`
        : phrase`Split it into ${count(parts.length)} hoopings`,
      result: phrase`each inside the field, overlapping ${mm(overlapMm)}, laid by registration crosses`,
      cost: byPositions
        ? phrase`the file is saved in ${count(parts.length)} parts${and}`
        : phrase`${count(parts.length - 1)} more ${parts.length === 2 ? 'hooping' : 'hoopings'}; the file is saved in ${count(parts.length)} parts${and}`,
      change: set(forHoop(asked, { split: true, part: 0, turnDeg: best.turnDeg, shift: null, ...floated })),
      removes: WHERE_IT_LIES,
    },
  ];
}
