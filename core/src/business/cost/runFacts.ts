import { numberFor } from '../../catalogue/houseNumber';
import { WORK_NUMBERS as W } from '../../catalogue/numbers/work';
import type { HouseRules } from '../../model/houseRules';
import { hoopingsOn } from '../../planner/hands/hoopings';
import type { Plan } from '../../planner/planned';
import type { StitchPlan } from '../../stages/stitch/planStitch';

type Numbers = typeof W;

/** One thing that hands do to each piece, minutes; `times` over for one piece. */
export interface HandsWork {
  what: string;
  minutes: number;
  times: number;
}

/** What a whole run comes to in pieces, hoopings and minutes. */
export interface RunFacts {
  pieces: number;
  /** Hoopings of one piece. */
  hoopings: number;
  /** What hands do to one piece beside the machine. */
  hands: HandsWork[];
  /** Hands at the machine, of one piece: threads, trims, cloths. */
  handsAtMachineMinutes: number;
  /** The machine by itself, of one piece. */
  machineAloneMinutes: number;
}

/** What hands do to one piece, in the order of work. */
export function handsWork(
  { method, hoopings }: { method: 'hooped' | 'floated'; hoopings: number },
  rules: HouseRules,
): HandsWork[] {
  const work = (id: keyof Numbers, what: string, times: number): HandsWork => ({
    what,
    minutes: numberFor(rules, W[id]),
    times,
  });
  return [
    work('prepareMinutes', 'prepare', 1),
    method === 'floated' ? work('floatMinutes', 'float', hoopings) : work('hoopMinutes', 'hoop', hoopings),
    work('mountMinutes', 'put on the machine', hoopings),
    work('takeOffMinutes', 'take off', hoopings),
    work('finishMinutes', 'finish', 1),
  ];
}

/** Minutes of one piece: what the machine does by itself, and hands at it, all its stitchings together. */
function atMachine({ timeline, stitchings }: StitchPlan, pieces: number) {
  const each = stitchings / pieces;
  return {
    machineAloneMinutes: timeline.machineMinutes * each,
    handsAtMachineMinutes: timeline.handsMinutes * each,
  };
}

/** What a run comes to; null while it is not known how it is held or stitched. */
export function runFacts({ piece, hoop, mount, stitch }: Plan, rules: HouseRules): RunFacts | null {
  if (!hoop?.laid || !stitch) return null;
  const hoopings = hoopingsOn({ hoop, mount });
  const { pieces } = piece;
  return {
    pieces,
    hoopings,
    hands: handsWork({ method: hoop.method, hoopings }, rules),
    ...atMachine(stitch, pieces),
  };
}
