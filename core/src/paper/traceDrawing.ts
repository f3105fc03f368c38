import { boxAbout, cornersOf } from '../base/geometry/box';
import type { Point } from '../base/geometry/point';
import { placed } from '../base/geometry/polygon';
import type { Hoop } from '../model/shelf';
import type { Obstacle } from '../model/ticket/mount';
import { obstacleOutline } from '../stages/mount/obstacles';
import type { TracePlan } from '../stages/mount/trace';
import { CHALK, crossAt, drawingOf, GRAPHITE, line, type PaperDrawing, type PaperMark } from './drawing';

const ROUND = 24;

/** Where the foot's edge reaches at every corner of the path. */
function footEdge(path: readonly Point[], footMm: number): Point[][] {
  const disc = Array.from({ length: ROUND }, (_, i) => {
    const t = (2 * Math.PI * i) / ROUND;
    return { x: footMm * Math.cos(t), y: footMm * Math.sin(t) };
  });
  return path.map((p) => placed(disc, 0, p));
}

/** The boundary the needle follows, the field and the things on the hoop; hoop frame, mm, at true size. */
export function traceDrawing(trace: TracePlan, hoop: Hoop, obstacles: readonly Obstacle[]): PaperDrawing {
  const rectangle = (w: number, h: number) => cornersOf(boxAbout({ x: 0, y: 0 }, w, h));
  const marks: PaperMark[] = [
    line(rectangle(hoop.ringWidthMm, hoop.ringHeightMm), { closed: true, widthMm: 0.6 }),
    line(rectangle(hoop.fieldWidthMm, hoop.fieldHeightMm), {
      closed: true,
      dashMm: [6, 2, 1, 2],
      colour: CHALK,
    }),
    ...footEdge(trace.path, trace.footMm).map((edge) =>
      line(edge, { closed: true, widthMm: 0.1, colour: GRAPHITE }),
    ),
    ...obstacles.map((o) => line(obstacleOutline(o), { closed: true, widthMm: 0.4 })),
    line(trace.path, { closed: true, widthMm: 0.3 }),
    ...crossAt({ x: 0, y: 0 }, 5),
  ];
  return drawingOf(marks, 6);
}
