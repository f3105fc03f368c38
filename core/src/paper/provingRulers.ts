import type { Point } from '../base/geometry/point';
import { MM_PER_INCH } from '../base/units/length';
import { line, type PaperMark, text } from './drawing';

/** Heights of the strokes: ends, whole steps, half steps. mm. */
const STROKES = { end: 6, whole: 4, half: 2.5 } as const;

const stroke = (at: Point, heightMm: number): PaperMark => line([at, { x: at.x, y: at.y - heightMm }]);

/** A ruler from a point to the right, with a stroke at every step. */
function ruler(at: Point, stepMm: number, steps: number, label: string): PaperMark[] {
  const strokes = Array.from({ length: 2 * steps + 1 }, (_, i) => {
    const height = i === 0 || i === 2 * steps ? STROKES.end : i % 2 === 0 ? STROKES.whole : STROKES.half;
    return stroke({ x: at.x + (i * stepMm) / 2, y: at.y }, height);
  });
  const end = { x: at.x + steps * stepMm, y: at.y };
  return [line([at, end]), ...strokes, text({ x: at.x, y: at.y + 4.2 }, label, { sizeMm: 3 })];
}

/** Gap between the two rulers. */
const APART_MM = 16;
export const PROVING_MM = 100;

/**
 * The two rulers that prove a print: 100 mm and 1 in, side by side from a point to the right. The outer strokes
 * of the first stand exactly 100 mm apart, middle to middle.
 */
export const provingRulers = (at: Point): PaperMark[] => [
  ...ruler(at, 10, 10, '100 mm: if this is not 100 mm on your ruler, print again at 100 %'),
  ...ruler({ x: at.x + PROVING_MM + APART_MM, y: at.y }, MM_PER_INCH / 8, 8, '1 in'),
];
