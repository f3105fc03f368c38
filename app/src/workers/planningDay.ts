import type { BenchCut } from '@zt/core/business/cutPlan/planCutting';
import type { DayPlan } from '@zt/core/business/day/dayPlan';
import type { DayAsked } from '@zt/core/business/day/fromTickets';
import type { DayProgress } from '@zt/core/business/day/planDay';
import { proxy } from 'comlink';
import type { DayWorker } from './day.worker';
import { inWorker, type WorkerJob } from './inWorker';
import { startWorker } from './startWorker';

/** Either ends long before; what takes longer is stuck. */
const LIMIT_MS = 60_000;

/** Plans a day in a worker of its own. */
export const planningDay = (
  asked: DayAsked & { zone: string },
  onProgress: (progress: DayProgress) => void,
): WorkerJob<DayPlan> =>
  inWorker<DayWorker, DayPlan>({
    make: () => startWorker('day'),
    ask: (remote) => remote.plan(asked, proxy(onProgress)),
    limitMs: LIMIT_MS,
    what: 'The plan of the day',
  });

/** Plans the cutting of a bench in a worker of its own. */
export const planningCuts = (
  asked: Parameters<DayWorker['cut']>[0],
  onProgress: Parameters<DayWorker['cut']>[1],
): WorkerJob<BenchCut> =>
  inWorker<DayWorker, BenchCut>({
    make: () => startWorker('day'),
    ask: (remote) => remote.cut(asked, proxy(onProgress)),
    limitMs: LIMIT_MS,
    what: 'The cut plan',
  });
