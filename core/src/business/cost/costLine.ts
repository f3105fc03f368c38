import { wholeMinor } from '../../base/units/money';
import type { Phrase } from '../../base/units/phrase';
import type { HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import type { Ticket } from '../../model/ticket';
import type { Plan } from '../../planner/planned';

export const COST_IDS = [
  'blank',
  'sheets',
  'adhesive',
  'thread',
  'bobbin',
  'needle',
  'hoop',
  'machineWear',
  'hands',
  'machine',
  'setUp',
  'spoilt',
  'overhead',
] as const;
export type CostId = (typeof COST_IDS)[number];

/** What sorts of cost there are: goods, wear, work, and what all of it shares. */
export const COST_SORTS = ['goods', 'wear', 'work', 'shared'] as const;
export type CostSort = (typeof COST_SORTS)[number];
export const SORT_OF: Readonly<Record<CostId, CostSort>> = {
  blank: 'goods',
  sheets: 'goods',
  adhesive: 'goods',
  thread: 'goods',
  bobbin: 'goods',
  needle: 'wear',
  hoop: 'wear',
  machineWear: 'wear',
  hands: 'work',
  machine: 'work',
  setUp: 'work',
  spoilt: 'shared',
  overhead: 'shared',
};

/** One line of what a run costs, and the sum that it is. */
export interface CostLine {
  id: CostId;
  name: string;
  /** In whole smallest coins, as it is shown and added up. */
  minor: number;
  /** Before it was rounded. */
  exact: number;
  /** Whether it comes once, however many pieces the run has. */
  once: boolean;
  sum: Phrase[];
  /** What of it has no price yet, and is not counted. */
  unpriced: string[];
}

/** What a line is worked out with. */
export interface CostOf {
  ticket: Ticket;
  plan: Plan;
  shelf: Shelf;
  rules: HouseRules;
}

/** A line with its amount rounded: what is shown is what is added up. */
export const costLine = (line: Omit<CostLine, 'minor'>): CostLine => ({
  ...line,
  minor: wholeMinor(line.exact),
});

/** A figure of a sum to its thousandth, so that whoever works the sum again comes to the same. */
export const figure = (value: number): string => String(Number(value.toFixed(3)));
