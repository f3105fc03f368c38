import { axisStep } from './axis';
import { centreStep, depthStep } from './centre';
import { centreLineSteps } from './lineSteps';
import type { MarkingWay } from './markMethod';
/** With the tape alone: along a level from an edge, or from the centre line. */
export const TAPE: MarkingWay = {
  id: 'tape',
  serves: () => true,
  steps: (q) =>
    q.spot.edge
      ? [depthStep(q, 'chalk'), centreStep(q, 'edge'), axisStep(q)]
      : [...centreLineSteps(q), depthStep(q, 'chalk'), centreStep(q, 'centre line'), axisStep(q)],
};
