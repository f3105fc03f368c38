import type { Mend } from '../../../model/finding';
import type { HoopInput, Method } from '../../../model/ticket/hoop';
import type { DesignFacts } from '../../design/designFacts';
import type { HoopVerdict } from '../judgeHoop';
import { judgeHoop, whyNotClosed } from '../judgeHoop';
import type { LaidHoop } from '../layHoop';
import type { HoopSetting } from '../setting';

/** What keeps a hoop from stitching a design: past its field, not let into the piece, its ring not closing. */
export type HoopFault = 'misses' | 'opening' | 'closing';

/** A way out, with the faults that are gone once it is taken. */
export type Rescue = Mend & { removes: readonly HoopFault[] };

export const WHERE_IT_LIES: readonly HoopFault[] = ['misses', 'closing'];
export const ALL_FAULTS: readonly HoopFault[] = ['misses', 'opening', 'closing'];

/** A hoop as it was chosen and laid, with what it was chosen by. */
export interface HoopState {
  setting: HoopSetting;
  input: HoopInput;
  method: Method;
  verdicts: readonly HoopVerdict[];
  /** The hoop where it lies; null where none was chosen. */
  laid: LaidHoop | null;
}

/** What a way out is asked about: the state, and the hoop it is about, laid or the nearest. */
export interface RescueQuestion extends HoopState {
  verdict: HoopVerdict;
  /** It is neither the hoop in hand nor the nearest. */
  isAnother: boolean;
}

export type HoopSet = Partial<HoopInput>;
export const set = (change: HoopSet): Mend['change'] => ({ stage: 'hoop', set: change });
export const forHoop = ({ verdict, input }: RescueQuestion, rest: HoopSet = {}): HoopSet => ({
  ...(input.hoopId === verdict.hoop.id ? {} : { hoopId: verdict.hoop.id }),
  ...rest,
});

/** The turns in which a hoop can be used by the method, the design as judged. */
export const turnsOf = (verdict: HoopVerdict, method: Method) => {
  if (verdict.whyNotUsed !== null || (method === 'hooped' && verdict.whyNotHooped.length > 0)) return [];
  return verdict.turns.filter(
    (t) => t.miss === null && t.tooWideMm === null && (method === 'floated' || t.designAt !== null),
  );
};
export const works = (verdict: HoopVerdict, method: Method): boolean => turnsOf(verdict, method).length > 0;

export const scaledBy = (facts: DesignFacts, by: number): DesignFacts => ({
  ...facts,
  widthMm: facts.widthMm * by,
  heightMm: facts.heightMm * by,
  hull: facts.hull.map((p) => ({ x: p.x * by, y: p.y * by })),
});

/** A hoop judged for the design changed, where its rule then puts it. */
export const judgeChanged = ({ verdict, setting }: RescueQuestion, facts: DesignFacts): HoopVerdict =>
  judgeHoop(verdict.hoop, { ...setting, facts, designCentre: setting.centreFor(facts) });

/** Whether this hoop's ring could close on the cloth at all, wherever it lay. */
export const canClose = ({ verdict, setting }: RescueQuestion): boolean =>
  whyNotClosed(verdict.hoop, setting).length === 0;
