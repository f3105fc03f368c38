import type { Finding } from '../model/finding';
import type { Reason } from '../model/reason';
import type { DesignPlan } from '../stages/design/planDesign';
import type { FinishPlan } from '../stages/finish/planFinish';
import type { HoopPlan } from '../stages/hoop/planHoop';
import type { LayersPlan } from '../stages/layers/planLayers';
import type { LogPlan } from '../stages/log/planLog';
import type { MountPlan } from '../stages/mount/planMount';
import type { PiecePlan } from '../stages/piece/planPiece';
import type { PlacePlan } from '../stages/place/planPlace';
import type { StitchPlan } from '../stages/stitch/planStitch';

/** What each stage works out. A stage is null while an earlier one cannot be. */
export interface Results {
  piece: PiecePlan;
  design: DesignPlan;
  place: PlacePlan | null;
  hoop: HoopPlan | null;
  layers: LayersPlan | null;
  mount: MountPlan | null;
  stitch: StitchPlan | null;
  finish: FinishPlan | null;
  log: LogPlan;
}

/** Everything worked out from a ticket. */
export interface Plan extends Results {
  /** All findings, the gravest first, equal ones in the order of work. */
  findings: Finding[];
  reasons: Reason[];
}
