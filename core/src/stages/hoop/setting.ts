import type { Point } from '../../base/geometry/point';
import type { Polygon } from '../../base/geometry/polygon';
import type { HouseRules } from '../../model/houseRules';
import type { Shelf } from '../../model/shelf';
import type { DesignInput } from '../../model/ticket/design';
import type { MountInput } from '../../model/ticket/mount';
import type { Fabric } from '../../model/ticket/piece';
import type { DesignFacts } from '../design/designFacts';
import type { PieceOutline } from '../piece/geometry';

/** What hoops are judged, laid and rescued by: what earlier stages found and the maker entered, and the shop. */
export interface HoopSetting {
  shelf: Shelf;
  rules: HouseRules;
  /** The design; of an order of names as large as they come. */
  facts: DesignFacts;
  /** The name that reaches farthest, where there are names. */
  largest?: string | null;
  /** Where the design's centre lies on the piece and how far it is turned there, clockwise. */
  designCentre: Point;
  designTurnDeg: number;
  outline: PieceOutline;
  fabric: Fabric;
  /** Seams opened to let a hoop in, by name: then the opening does not bind. */
  opened: readonly string[];
  /** Footprints of all copies of the design, piece frame, mm; empty where there is one. */
  copies: readonly Polygon[];
  /** Whether the copies run round a closed hem, which has no end at the edge of the drawing. */
  closedHem: boolean;
  /** The design as it was entered: at what share of its size it is stitched, and of what parts. */
  design: Pick<DesignInput, 'scalePercent' | 'parts'>;
  /** How far the design is off its rule already, piece frame. */
  offset: Point;
  /** Where the design's centre comes to lie on the piece when it is another size or another outline. */
  centreFor: (facts: DesignFacts) => Point;
  /** What the maker chose of the machine: which turn is best depends on where its body stands. */
  mount: Pick<MountInput, 'machineId'>;
  /** A place of the design in the hoop that the maker chose: tried before any other. */
  chosenAt?: Point;
}
