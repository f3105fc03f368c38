import { type BenchCut, type CuttingAsked, planCutting } from '@zt/core/business/cutPlan/planCutting';
import type { DayPlan } from '@zt/core/business/day/dayPlan';
import type { DayAsked } from '@zt/core/business/day/fromTickets';
import { type DayProgress, planDay } from '@zt/core/business/day/planDay';
import { expose } from 'comlink';

/** At most so often is progress told. */
const TELL_EVERY_MS = 100;
/** After so long the best plan so far is taken. */
const ENOUGH_MS = 10_000;

/** Plans a day away from the screen's thread, telling how far it has come. */
const dayWorker = {
  plan: async (
    asked: DayAsked & { zone: string },
    tell: (progress: DayProgress) => void,
  ): Promise<DayPlan> => {
    const work = planDay(asked);
    const begun = performance.now();
    let told = 0;
    let step = work.next();
    while (!step.done) {
      const now = performance.now();
      if (now - told > TELL_EVERY_MS) {
        told = now;
        await tell(step.value);
      }
      step = work.next(now - begun > ENOUGH_MS);
    }
    return step.value;
  },
  cut: async (
    asked: CuttingAsked,
    tell: (progress: { read: number; of: number }) => void,
  ): Promise<BenchCut> => {
    const work = planCutting(asked);
    let step = work.next();
    while (!step.done) {
      await tell(step.value);
      step = work.next();
    }
    return step.value;
  },
};
export type DayWorker = typeof dayWorker;

expose(dayWorker);
