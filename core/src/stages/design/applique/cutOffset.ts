import { mm, type Phrase, phrase } from '../../../base/units/phrase';
import { numberFor } from '../../../catalogue/houseNumber';
import { DESIGN_NUMBERS as N } from '../../../catalogue/numbers/design';
import type { HouseRules } from '../../../model/houseRules';
import type { Applique } from '../../../model/ticket/applique';

/**
 * How far outside the outline the cloth is cut, mm. Cut before: half its satin less a little, so that the satin covers the
 * cut; at the line under a blanket stitch. In the hoop: enough to hold. Raw: at the line. Turned: the fold.
 */
export function cutOffsetMm({ way, edge, edgeMm }: Applique, scale: number, rules: HouseRules): number {
  if (way === 'trimmed') return numberFor(rules, N.cutInHoopMm);
  if (way === 'turned') return numberFor(rules, N.turnedMm);
  if (way === 'rawEdge' || edge === 'blanket') return 0;
  return (edgeMm * scale) / 2 - numberFor(rules, N.cutShortMm);
}

/** Where the cloth is cut, with the figure, and why there. */
export function cutWords(applique: Applique, scale: number, rules: HouseRules): Phrase {
  const far = mm(cutOffsetMm(applique, scale, rules));
  if (applique.way === 'trimmed')
    return phrase`Cut ${far} past the line all round: it is cut back in the hoop.`;
  if (applique.way === 'turned')
    return phrase`Cut ${far} outside the line: that is folded under and pressed.`;
  if (applique.way === 'rawEdge') return phrase`Cut along the line: the edge stays to be seen.`;
  if (applique.edge === 'blanket') return phrase`Cut along the line: the blanket stitch runs on it.`;
  return phrase`Cut ${far} outside the line: its satin reaches ${mm((applique.edgeMm * scale) / 2)} out and covers it.`;
}
