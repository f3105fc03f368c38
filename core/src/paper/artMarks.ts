import type { Point } from '../base/geometry/point';
import { placed } from '../base/geometry/polygon';
import type { DesignFacts } from '../stages/design/designFacts';
import { GRAPHITE, INK, line, type PaperMark } from './drawing';

/**
 * The design where it lies: its shapes where a drawing is known, else its outline. `coloured` fills them in thread
 * colours; otherwise they are thin outlines, so that little ink is used and marks stay readable.
 */
export function artMarks(facts: DesignFacts, at: Point, turnDeg: number, coloured: boolean): PaperMark[] {
  const outline = line(placed(facts.hull, turnDeg, at), {
    closed: true,
    widthMm: 0.3,
    dashMm: [4, 2],
    colour: INK,
    ...(coloured && !facts.artwork ? { fill: facts.stops[0]?.hex ?? GRAPHITE } : {}),
  });
  const shapes = (facts.artwork?.paths ?? []).map(({ d, stop, strokeMm, clothHex }): PaperMark => {
    const hex = clothHex ?? facts.stops[stop]?.hex ?? GRAPHITE;
    const pose = { kind: 'art' as const, d, at, turnDeg, scale: facts.scale };
    if (!coloured) return { ...pose, fill: null, stroke: { colour: GRAPHITE, widthMm: 0.2 } };
    return strokeMm === null
      ? { ...pose, fill: hex, stroke: null }
      : { ...pose, fill: null, stroke: { colour: hex, widthMm: strokeMm } };
  });
  return coloured && facts.artwork ? shapes : [...shapes, outline];
}
