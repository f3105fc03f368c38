import type { HouseNumber } from '../../catalogue/houseNumber';
import { STAGES } from '../../model/stages';
import { STAGE_CONTRACTS } from '../../planner/stage';

/** Every number a shop may change: the numbers of each stage in the order of work. */
export const HOUSE_NUMBERS: readonly HouseNumber[] = STAGES.flatMap((stage) =>
  Object.values(STAGE_CONTRACTS[stage].numbers),
);
