import type { HouseNumber } from '../../catalogue/houseNumber';
import { MONEY_NUMBERS } from '../../catalogue/numbers/money';
import { WORK_NUMBERS } from '../../catalogue/numbers/work';
import { STAGES } from '../../model/stages';
import { STAGE_CONTRACTS } from '../../planner/stage';

/** Every number a shop may change: those of each stage in the order of work, then of hands and of money. */
export const HOUSE_NUMBERS: readonly HouseNumber[] = [
  ...STAGES.flatMap((stage) => Object.values(STAGE_CONTRACTS[stage].numbers)),
  ...Object.values(WORK_NUMBERS),
  ...Object.values(MONEY_NUMBERS),
];
