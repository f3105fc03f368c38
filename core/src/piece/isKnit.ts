import { numberFor } from '../rules/numbers';
import type { HouseRules } from '../rules/schema';
import type { Fabric } from './schema';

/** Whether a cloth gives under the needle as knits do: the one place that says so, by the house number. */
export const isKnit = (fabric: Pick<Fabric, 'structure' | 'stretchPercent'>, rules: HouseRules): boolean =>
  fabric.structure === 'knit' && fabric.stretchPercent >= numberFor(rules, 'knitStretchPercent');
