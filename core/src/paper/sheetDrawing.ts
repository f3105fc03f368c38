import type { Plan } from '../plan';
import { type DisplayUnits, formatLength } from '../units/length';
import { artMarks } from './artMarks';
import {
  CHALK,
  crossAt,
  drawingOf,
  GRAPHITE,
  grainArrow,
  INK,
  line,
  type PaperDrawing,
  type PaperMark,
  text,
} from './drawing';

/** A dimension: a thin line with end strokes and its figure. */
function dimension(
  from: { x: number; y: number },
  to: { x: number; y: number },
  figure: string,
): PaperMark[] {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length < 0.5) return [];
  const [nx, ny] = [(-(to.y - from.y) / length) * 4, ((to.x - from.x) / length) * 4];
  const end = (p: { x: number; y: number }) =>
    line([
      { x: p.x - nx, y: p.y - ny },
      { x: p.x + nx, y: p.y + ny },
    ]);
  const mid = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  return [
    line([from, to], { widthMm: 0.4 }),
    end(from),
    end(to),
    text({ x: mid.x + 3, y: mid.y - 3 }, figure, { bold: true, sizeMm: 9 }),
  ];
}

/** The ticket's pattern sheet in mm: the piece, the design in its colours, the marks with their tape readings. */
export function sheetDrawing({ piece, design, place }: Plan, units: DisplayUnits): PaperDrawing {
  const outline = piece.geometry ?? piece.sketch;
  const marks: PaperMark[] = [
    line(outline.outline, { closed: true, widthMm: 1, colour: INK, fill: piece.colour }),
    ...outline.noGo.map(({ area }) =>
      line(area, { closed: true, widthMm: 0.3, dashMm: [1, 1], colour: GRAPHITE }),
    ),
    ...outline.seams.map((s) => line(s.line, { widthMm: 0.5, dashMm: [4, 3] })),
    ...(outline.folds ?? []).map((s) => line(s.line, { widthMm: 0.4, dashMm: [2, 2] })),
    line(
      [outline.centreFrom, outline.centreTo].map((y) => ({
        x: piece.centreLine.used.offset + piece.centreLine.used.slope * y,
        y,
      })),
      { widthMm: 0.7, dashMm: [14, 4, 2, 4], colour: CHALK },
    ),
  ];
  if (place && design.facts) {
    const { facts } = design;
    const poses = place.copies.length > 0 ? place.copies : [{ centre: place.centre, turnDeg: place.turnDeg }];
    marks.push(...poses.flatMap(({ centre, turnDeg }) => artMarks(facts, centre, turnDeg, true)));
    marks.push(...poses.flatMap(({ centre }) => crossAt(centre, 8, { widthMm: 0.9, colour: CHALK })));
    const from = { x: place.centre.x, y: place.depthFrom.y };
    marks.push(
      ...dimension(from, place.centre, formatLength(place.depthMm, units)),
      ...dimension(
        place.acrossFrom,
        place.centre,
        formatLength(Math.abs(place.centre.x - place.acrossFrom.x), units),
      ),
    );
  }
  const drawing = drawingOf(marks, 20);
  const { left, bottom } = drawing.box;
  return {
    ...drawing,
    marks: [...marks, ...grainArrow({ x: left + 8, y: bottom - 6 }, { x: left + 8, y: bottom - 66 })],
  };
}
