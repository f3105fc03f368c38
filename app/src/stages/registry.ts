import type { Stage } from '@zt/core';
import type { ComponentType } from 'react';
import { DesignDrawing } from './design/DesignDrawing';
import { DesignPanel } from './design/DesignPanel';
import { FinishPanel } from './finish/FinishPanel';
import { HoopDrawing } from './hoop/HoopDrawing';
import { HoopPanel } from './hoop/HoopPanel';
import { LayersDrawing } from './layers/LayersDrawing';
import { LayersPanel } from './layers/LayersPanel';
import { LogAction } from './log/LogAction';
import { LogPanel } from './log/LogPanel';
import { MountDrawing } from './mount/MountDrawing';
import { MountPanel } from './mount/MountPanel';
import { PieceDrawing } from './piece/PieceDrawing';
import { PiecePanel } from './piece/PiecePanel';
import { PlaceDrawing } from './place/PlaceDrawing';
import { PlacePanel } from './place/PlacePanel';
import { StitchDrawing } from './stitch/StitchDrawing';
import { StitchPanel } from './stitch/StitchPanel';

interface StageView {
  Drawing: ComponentType;
  Panel: ComponentType;
  /** The stage's own last step, in the foot. */
  Action?: ComponentType;
}

/** What each stage draws and what its panel says. */
export const STAGE_VIEWS: Record<Stage, StageView> = {
  piece: { Drawing: PieceDrawing, Panel: PiecePanel },
  design: { Drawing: DesignDrawing, Panel: DesignPanel },
  place: { Drawing: PlaceDrawing, Panel: PlacePanel },
  hoop: { Drawing: HoopDrawing, Panel: HoopPanel },
  layers: { Drawing: LayersDrawing, Panel: LayersPanel },
  mount: { Drawing: MountDrawing, Panel: MountPanel },
  stitch: { Drawing: StitchDrawing, Panel: StitchPanel },
  finish: { Drawing: LayersDrawing, Panel: FinishPanel },
  log: { Drawing: PlaceDrawing, Panel: LogPanel, Action: LogAction },
};
