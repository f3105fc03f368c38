import type { Point } from '../../base/geometry/point';
import type { HouseRules } from '../../model/houseRules';
import type { MarkId, MountInput } from '../../model/ticket/mount';
import type { Fabric } from '../../model/ticket/piece';
import type { DesignFacts } from '../design/designFacts';
import type { Field } from '../hoop/fit';

/** What is asked about a piece that sits in its hoop as it does. */
export interface CrookedQuestion {
  readings: MountInput['readings'];
  /** Where each mark was chalked, piece frame. */
  marks: Readonly<Record<MarkId, Point>>;
  designCentre: Point;
  designTurnDeg: number;
  /** Where the design's centre was planned in the hoop, mm. */
  plannedAt: Point;
  /** How far the design is off its rule on the piece, and at what share of its size, in percent. */
  offset: Point;
  scalePercent: number;
  /** The hoop's planned turn on the piece. */
  hoopOnPieceDeg: number;
  facts: DesignFacts;
  field: Field;
  turnStepDeg: number;
  mirror: boolean;
  fabric: Fabric;
  rules: HouseRules;
}
