import type { DayPlan } from './dayPlan';

/** Pieces of the machine that a piece is stitched on, in the order they go onto it. */
export function orderOnMachine({ works, hands }: Pick<DayPlan, 'works' | 'hands'>, work: number): number[] {
  const machine = works[work]?.machine;
  return hands.flatMap((one) =>
    one.what === 'mount' && works[one.work]?.machine === machine ? [one.work] : [],
  );
}

/**
 * The pins with a piece at another place in the order of its machine, from 0: it and everything before it stay in that
 * order, what comes after is free. What is on the machine already has no place in it. Pins of other machines stay.
 */
export function pinnedAt(
  plan: Pick<DayPlan, 'works' | 'hands'>,
  { work, at }: { work: number; at: number },
  pinned: readonly string[],
): string[] {
  const order = orderOnMachine(plan, work);
  if (!order.includes(work)) return [...pinned];
  const others = order.filter((one) => one !== work);
  const place = Math.min(Math.max(0, at), others.length);
  const kept = [...others.slice(0, place), work].flatMap((one) => plan.works[one]?.id ?? []);
  const own = new Set(order.map((one) => plan.works[one]?.id));
  // Pins behind it stay behind it.
  const behind = pinned.filter((id) => own.has(id) && !kept.includes(id));
  return [...pinned.filter((id) => !own.has(id)), ...kept, ...behind];
}

/** Where a piece that is let go at a time comes in the order of its machine: behind those whose middle lies before it. */
export function placeAt(
  plan: Pick<DayPlan, 'works' | 'hands' | 'machines'>,
  { work, atMs }: { work: number; atMs: number },
): number {
  const middle = (one: number): number => {
    const on = plan.machines.flatMap((machine) => machine.on).filter((stretch) => stretch.work === one);
    return ((on[0]?.fromMs ?? 0) + (on.at(-1)?.toMs ?? 0)) / 2;
  };
  return orderOnMachine(plan, work).filter((one) => one !== work && middle(one) < atMs).length;
}
