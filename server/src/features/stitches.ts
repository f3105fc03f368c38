import { boxOf, heightOf, widthOf } from '@zt/core/base/geometry/box';
import type { HouseRules } from '@zt/core/model/houseRules';
import type { Ticket } from '@zt/core/model/ticket';
import type { Plan } from '@zt/core/planner/planned';
import { ringsOfPath } from '@zt/core/stages/design/pathData';
import { stitchesAlone } from '@zt/core/stages/design/stitches/answer';
import { stitchesAsked } from '@zt/core/stages/design/stitches/asked';
import type { StitchQuestion } from '@zt/core/stages/design/stitches/question';
import type { Stitches } from '@zt/core/stages/design/stitches/stitches';
import { clipperHere } from '../compiled';
import { inTurns } from '../inTurns';

/** So long the computer stitches at most, ms: as long as anybody waits, on a busy one too. */
const LIMIT_MS = 5_000;
/** More is more than anybody practises stitch by stitch. */
const MOST_STITCHES = 150_000;
const MOST_MM2 = 160_000;

/** Whether there are no more of them, as far as is said of a design, than are worth waiting for. */
const isFew = ({ design }: Plan): boolean => (design.facts?.stitches ?? 0) <= MOST_STITCHES;

/** Whether its shapes, whatever is said of them, are small enough to be stitched while somebody waits. */
function isSmall({ shapes }: StitchQuestion): boolean {
  const box = boxOf(shapes.flatMap(({ d }) => ringsOfPath(d)).flat());
  const widest = Math.max(0, ...shapes.map(({ strokeMm }) => strokeMm ?? 0));
  return (widthOf(box) + widest) * (heightOf(box) + widest) <= MOST_MM2;
}

/**
 * The stitches of a ticket's design; null for sizes off a machine, and where they take longer than anybody waits. Others
 * are answered in between.
 */
export async function stitchesOf(
  { design }: Ticket,
  plan: Plan,
  rules: HouseRules,
): Promise<Stitches | null> {
  const question = isFew(plan) ? stitchesAsked(design, { fabric: plan.piece.fabric, rules }) : null;
  if (!question || !isSmall(question)) return null;
  return inTurns(stitchesAlone(question, await clipperHere()), LIMIT_MS);
}
