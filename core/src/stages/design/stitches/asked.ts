import type { HouseRules } from '../../../model/houseRules';
import type { DesignInput } from '../../../model/ticket/design';
import type { Fabric } from '../../../model/ticket/piece';
import { centreOfParts } from '../designFacts';
import { partsOnTable } from '../names/onTable';
import { drawnPart } from '../parts/drawnPart';
import { stopsOfDesign } from '../parts/stopsOfDesign';
import { type StitchQuestion, stitchQuestion } from './question';

/**
 * What is to be stitched of a design as it lies, of names the one on the table; null while a part of it is not known, and
 * for sizes off a machine alone.
 */
export function stitchesAsked(
  input: DesignInput,
  { fabric, rules }: { fabric: Fabric; rules: HouseRules },
): StitchQuestion | null {
  const shown = partsOnTable(input);
  const parts = shown.flatMap((part) => drawnPart(part) ?? []);
  if (parts.length < shown.length || parts.every(({ part }) => part.artwork === null)) return null;
  const { stops } = stopsOfDesign(parts, input.order);
  return stitchQuestion({
    parts,
    stops,
    centre: centreOfParts(parts),
    stitching: input.stitching,
    fabric,
    rules,
  });
}
