import { assert } from '../../../base/assert';
import { phrase } from '../../../base/units/phrase';
import { STABILIZERS } from '../../../catalogue/materials';
import type { Act, DeedName, DeedOf } from '../../../model/deed';
import type { HouseRules } from '../../../model/houseRules';
import type { Sheet } from '../../../model/ticket/layers';
import { type HoopFacts, hoopFacts } from '../../../planner/hands/acts/hoop';
import type { Plan } from '../../../planner/planned';
import { calledKeys } from '../../../stages/mount/copyKeys';
import type { Words } from '../step';

/** What a deed is said with: the act it is, and the plan that has the names of things. */
export interface Said<D extends DeedName> {
  deed: DeedOf<D>;
  act: Act;
  plan: Plan;
  rules: HouseRules;
}

/** What every deed is said with. */
export type AnySaid = Pick<Said<DeedName>, 'act' | 'plan' | 'rules'>;

/** The words of one kind of deed. */
export type SayDeed<D extends DeedName> = (said: Said<D>) => Words;
export type SayDeeds<D extends DeedName> = { readonly [N in D]: SayDeed<N> };

/** What the deeds at the hoop are planned from; there is none of them without it. */
export function atHoop({ plan, rules }: Omit<AnySaid, 'act'>): HoopFacts {
  const facts = hoopFacts(plan, rules);
  assert(facts, 'a deed at the hoop has a hoop');
  return facts;
}

export const SNIPS = phrase`Scissors away from you.`;
export const IRON = phrase`Iron and steam burn: keep fingers off the edge.`;
export const SPRAY = phrase`On the sheet, not on the cloth; outdoors or well aired, away from the machine and any flame. Read the label.`;
export const MOVING = phrase`Hands away from the moving hoop; never reach in while it runs.`;

/** A material's name inside a sentence. */
export const within = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);

/** A sheet's name inside a sentence. */
export const nameOf = ({ stabilizer }: Pick<Sheet, 'stabilizer'>): string =>
  within(STABILIZERS[stabilizer].name);

/** The sheets of a stack by their places, in words of a step: "the cut-away and the tear-away". */
export function sheetsInWords(places: readonly number[], plan: Pick<Plan, 'layers'>): string {
  return places.map((place) => `the ${nameAt(place, plan)}`).join(' and ');
}

/** A sheet of a stack by its place, inside a sentence. */
export function nameAt(place: number, { layers }: Pick<Plan, 'layers'>): string {
  const sheet = layers?.sheets[place];
  return sheet ? nameOf(sheet) : 'sheet';
}

/** What is in the hoop: a copy, or a part of one. */
export const calledOf = ({ hooping: { part }, copy }: Pick<Act, 'hooping' | 'copy'>): string =>
  calledKeys({ copy, part });

/** "no. 2", "no. 2 and 3", "no. 2, 3 and 4"; a part of a split design by its own name. */
export function allOf(act: Act): string {
  const all = act.hooping.copies.map(String);
  if (act.hooping.part !== null || all.length < 2) return calledOf(act);
  const last = all.pop() ?? '';
  return `no. ${all.join(', ')} and ${last}`;
}

/** Whether it is done in the hooping of the first copy: then it is said in full. */
export const isFirst = ({ phase }: Pick<Act, 'phase'>): boolean => phase !== 'further copies';
