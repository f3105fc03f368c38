import type { Point } from '../../../base/geometry/point';
import type { Mend } from '../../../model/finding';
import type { Artwork } from '../../../model/ticket/design';
import type { HoopInput, Method } from '../../../model/ticket/hoop';
import type { DesignFacts } from '../../design/planDesign';
import type { HoopSetting, HoopVerdict } from '../judgeHoop';
import { judgeHoop, whyNotClosed } from '../judgeHoop';
import type { LaidHoop } from '../layHoop';
/** What keeps a hoop from stitching a design: past its field, not let into the piece, its ring not closing. */
export type HoopFault = 'misses' | 'opening' | 'closing';

/** A way out, with the faults that are gone once it is taken. */
export type Rescue = Mend & { removes: readonly HoopFault[] };

export const WHERE_IT_LIES: readonly HoopFault[] = ['misses', 'closing'];
export const ALL_FAULTS: readonly HoopFault[] = ['misses', 'opening', 'closing'];

/** What the ways out of a hoop's trouble depend on. */
export interface RescueQuestion {
  /** The hoop where it lies; null where none was chosen. */
  laid: LaidHoop | null;
  /** The hoop that comes nearest, where none was chosen. */
  nearest?: HoopVerdict;
  verdicts: readonly HoopVerdict[];
  method: Method;
  input: HoopInput;
  q: HoopSetting;
  scalePercent: number;
  /** The drawing as it came, where there is one that can be rearranged. */
  artwork: Artwork | null;
  /** How far the design is off its rule already, piece frame. */
  offset: Point;
  /** Where the design's centre comes to lie on the piece when it is another size or another outline. */
  centreFor: (facts: DesignFacts) => Point;
}

/** A rescue question with the hoop it is about. */
export interface Asked extends RescueQuestion {
  verdict: HoopVerdict;
}

export type HoopSet = Partial<HoopInput>;
export const set = (change: HoopSet): Mend['change'] => ({ stage: 'hoop', set: change });
export const forHoop = ({ verdict, input }: Asked, rest: HoopSet = {}): HoopSet => ({
  ...(input.hoopId === verdict.hoop.id ? {} : { hoopId: verdict.hoop.id }),
  ...rest,
});

/** The turns in which a hoop can be used by the method, the design as judged. */
export const turnsOf = (verdict: HoopVerdict, method: Method) => {
  if (verdict.whyNotUsed !== null || (method === 'hooped' && verdict.whyNotHooped.length > 0)) return [];
  return verdict.turns.filter((t) => t.miss === null && (method === 'floated' || t.designAt !== null));
};
export const works = (verdict: HoopVerdict, method: Method): boolean => turnsOf(verdict, method).length > 0;

export const scaledBy = (facts: DesignFacts, by: number): DesignFacts => ({
  ...facts,
  widthMm: facts.widthMm * by,
  heightMm: facts.heightMm * by,
  hull: facts.hull.map((p) => ({ x: p.x * by, y: p.y * by })),
});

/** A hoop judged for the design changed, where its rule then puts it. */
export const judgeChanged = ({ verdict, q, centreFor }: Asked, facts: DesignFacts): HoopVerdict =>
  judgeHoop(verdict.hoop, { ...q, facts, designCentre: centreFor(facts) });

/** Whether this hoop's ring could close on the cloth at all, wherever it lay. */
export const canClose = ({ verdict, q }: Asked): boolean => whyNotClosed(verdict.hoop, q).length === 0;
