import { numberFor } from '../../catalogue/houseNumber';
import { WORK_NUMBERS as W } from '../../catalogue/numbers/work';
import type { Act, DeedName } from '../../model/deed';
import type { HouseRules } from '../../model/houseRules';
import { jobActs } from '../../planner/hands/jobActs';
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

/** How often one piece is laid into a hoop, latched and taken off. */
export interface TimesOfHands {
  hooped: number;
  latched: number;
  takenOff: number;
}

/** By the acts of its job. */
export function timesOfHands(acts: readonly Act[]): TimesOfHands {
  const times = (...deeds: DeedName[]): number => acts.filter(({ deed }) => deeds.includes(deed.do)).length;
  return {
    hooped: times('lay hoop'),
    latched: times('latch'),
    takenOff: times('take off', 'take off and unhoop'),
  };
}

/** What hands do to one piece, in the order of work. */
export function handsWork(
  { method, hooped, latched, takenOff }: TimesOfHands & { method: 'hooped' | 'floated' },
  rules: HouseRules,
): HandsWork[] {
  const work = (id: keyof Numbers, what: string, times: number): HandsWork => ({
    what,
    minutes: numberFor(rules, W[id]),
    times,
  });
  return [
    work('prepareMinutes', 'prepare', 1),
    method === 'floated' ? work('floatMinutes', 'float', hooped) : work('hoopMinutes', 'hoop', hooped),
    work('mountMinutes', 'put on the machine', latched),
    work('takeOffMinutes', 'take off', takenOff),
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
export function runFacts(plan: Plan, rules: HouseRules): RunFacts | null {
  const { piece, hoop, stitch } = plan;
  if (!hoop?.laid || !stitch) return null;
  const times = timesOfHands(jobActs(plan, rules));
  const { pieces } = piece;
  return {
    pieces,
    hoopings: times.hooped,
    hands: handsWork({ method: hoop.method, ...times }, rules),
    ...atMachine(stitch, pieces),
  };
}
