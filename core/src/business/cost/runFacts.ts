import { numberFor } from '../../catalogue/houseNumber';
import { WORK_NUMBERS as W } from '../../catalogue/numbers/work';
import type { Act, DeedName } from '../../model/deed';
import type { HouseRules } from '../../model/houseRules';
import { hoopingsOn } from '../../planner/hands/hoopings';
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

/** While it is not known how a piece is mounted: as often as the hoop reaches its copies. */
function beforeMount(plan: Plan): TimesOfHands {
  const hoopings = hoopingsOn(plan);
  return { hooped: hoopings, latched: hoopings, takenOff: hoopings };
}

/** How long hands take for each thing once, minutes. */
export function minutesOfHands(method: 'hooped' | 'floated', rules: HouseRules) {
  const minutes = (id: keyof Numbers): number => numberFor(rules, W[id]);
  return {
    prepare: minutes('prepareMinutes'),
    hoop: minutes(method === 'floated' ? 'floatMinutes' : 'hoopMinutes'),
    mount: minutes('mountMinutes'),
    takeOff: minutes('takeOffMinutes'),
    finish: minutes('finishMinutes'),
  };
}

/** What hands do to one piece, in the order of work. */
function handsWork(method: 'hooped' | 'floated', times: TimesOfHands, rules: HouseRules): HandsWork[] {
  const { prepare, hoop, mount, takeOff, finish } = minutesOfHands(method, rules);
  return [
    { what: 'prepare', minutes: prepare, times: 1 },
    { what: method === 'floated' ? 'float' : 'hoop', minutes: hoop, times: times.hooped },
    { what: 'put on the machine', minutes: mount, times: times.latched },
    { what: 'take off', minutes: takeOff, times: times.takenOff },
    { what: 'finish', minutes: finish, times: 1 },
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
  const times = plan.mount ? timesOfHands(jobActs(plan, rules)) : beforeMount(plan);
  const { pieces } = piece;
  return {
    pieces,
    hoopings: times.hooped,
    hands: handsWork(hoop.method, times, rules),
    ...atMachine(stitch, pieces),
  };
}
