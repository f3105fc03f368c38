import type { Point } from '../../base/geometry/point';
import type { HouseRules } from '../../model/houseRules';
import type { Machine } from '../../model/shelf';
import type { Fabric } from '../../model/ticket/piece';
import type { DesignFacts } from '../design/designFacts';
import type { LaidHoop } from '../hoop/layHoop';
import type { HoopPlan } from '../hoop/planHoop';
import type { LayersPlan } from '../layers/planLayers';
import type { PieceKind, PieceOutline } from '../piece/geometry';
import type { PlacePlan } from '../place/planPlace';

/** What mounting is planned from, besides what is entered for it. */
export interface MountQuestion {
  /** What is stitched in this hooping, of a split design the part in hand. */
  facts: DesignFacts;
  /** The whole design. */
  design: DesignFacts;
  hoop: HoopPlan & { laid: LaidHoop };
  layers: LayersPlan;
  machine: Machine | null;
  /** The thread of every colour, as the shelf calls it. */
  threads: readonly string[];
  kind: PieceKind;
  place: PlacePlan;
  /** How far the design is off its rule on the piece, mm, and at what share of its size, in percent. */
  offset: Point;
  scalePercent: number;
  outline: PieceOutline;
  fabric: Fabric;
  rules: HouseRules;
}
