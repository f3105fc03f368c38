import type { Stage } from '@zt/core/model/stages';
import type { Plan } from '@zt/core/planner/planned';
import type { ComponentType } from 'react';
import { useShownPlan } from '../hooks/useTicket';
import { DesignDrawing } from './design/DesignDrawing';
import { DesignPanel } from './design/DesignPanel';
import { FinishDrawing } from './finish/FinishDrawing';
import { FinishPanel } from './finish/FinishPanel';
import { HoopDrawing } from './hoop/HoopDrawing';
import { HoopPanel } from './hoop/HoopPanel';
import { LayersDrawing } from './layers/LayersDrawing';
import { LayersPanel } from './layers/LayersPanel';
import { LogAction } from './log/LogAction';
import { LogDrawing } from './log/LogDrawing';
import { LogPanel } from './log/LogPanel';
import { MountDrawing } from './mount/MountDrawing';
import { MountPanel } from './mount/MountPanel';
import { PieceDrawing } from './piece/PieceDrawing';
import { PiecePanel } from './piece/PiecePanel';
import { PlaceDrawing } from './place/PlaceDrawing';
import { PlacePanel } from './place/PlacePanel';
import { StitchDrawing } from './stitch/StitchDrawing';
import { StitchPanel } from './stitch/StitchPanel';

/** A drawing, and whether there is something to draw. */
interface StageDrawing {
  Drawing: ComponentType;
  isDrawn: (plan: Plan) => boolean;
}

const PIECE: StageDrawing = { Drawing: PieceDrawing, isDrawn: () => true };
const DESIGN: StageDrawing = { Drawing: DesignDrawing, isDrawn: ({ design }) => design.facts !== null };
const PLACE: StageDrawing = { Drawing: PlaceDrawing, isDrawn: ({ place }) => place !== null };
const HOOP: StageDrawing = {
  Drawing: HoopDrawing,
  isDrawn: ({ hoop, place }) => place !== null && (hoop?.laid ?? null) !== null,
};
const LAYERS: StageDrawing = { Drawing: LayersDrawing, isDrawn: ({ layers }) => layers !== null };
const FINISH: StageDrawing = { Drawing: FinishDrawing, isDrawn: ({ layers }) => layers !== null };
const MOUNT: StageDrawing = { Drawing: MountDrawing, isDrawn: ({ mount }) => mount !== null };
const STITCH: StageDrawing = { Drawing: StitchDrawing, isDrawn: ({ stitch }) => stitch !== null };

const LOG: StageDrawing = { Drawing: LogDrawing, isDrawn: ({ place }) => place !== null };

interface StageView {
  /** What it draws: the first of these that there is something of. */
  drawings: readonly StageDrawing[];
  Panel: ComponentType;
  /** The stage's own last step, in the foot. */
  Action?: ComponentType;
}

/** What each stage draws and what its panel says. */
export const STAGE_VIEWS: Record<Stage, StageView> = {
  piece: { drawings: [PIECE], Panel: PiecePanel },
  design: { drawings: [DESIGN, PIECE], Panel: DesignPanel },
  place: { drawings: [PLACE, PIECE], Panel: PlacePanel },
  hoop: { drawings: [HOOP, PLACE, PIECE], Panel: HoopPanel },
  layers: { drawings: [LAYERS, PLACE, PIECE], Panel: LayersPanel },
  mount: { drawings: [MOUNT, PLACE, PIECE], Panel: MountPanel },
  stitch: { drawings: [STITCH, PLACE, PIECE], Panel: StitchPanel },
  finish: { drawings: [FINISH, PLACE, PIECE], Panel: FinishPanel },
  log: { drawings: [LOG, PIECE], Panel: LogPanel, Action: LogAction },
};

/** What a stage draws of the plan that is shown. */
export const useDrawing = (stage: Stage): ComponentType =>
  useShownPlan((plan) => (STAGE_VIEWS[stage].drawings.find(({ isDrawn }) => isDrawn(plan)) ?? PIECE).Drawing);
