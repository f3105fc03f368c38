import { numberFor } from '../../catalogue/houseNumber';
import { LAYER_NUMBERS } from '../../catalogue/numbers/layers';
import type { HouseRules } from '../../model/houseRules';
import type { Fabric } from '../../model/ticket/piece';

/** Whether a cloth gives under the needle as knits do: the one place that says so, by the house number. */
export const isKnit = (fabric: Pick<Fabric, 'structure' | 'stretchPercent'>, rules: HouseRules): boolean =>
  fabric.structure === 'knit' && fabric.stretchPercent >= numberFor(rules, LAYER_NUMBERS.knitStretchPercent);
