import { lightnessOf } from '../base/colour/colour';
import { boxOf, cornersOf, heightOf, widthOf } from '../base/geometry/box';
import type { Point } from '../base/geometry/point';
import { type DisplayUnits, formatLength } from '../base/units/length';
import type { Plan } from '../planner/planned';
import type { PiecePlan } from '../stages/piece/planPiece';
import { posesOf } from '../stages/place/moveCopy';
import { artMarks } from './artMarks';
import {
  CHALK,
  crossAt,
  drawingOf,
  grainArrow,
  INK,
  line,
  type PaperDrawing,
  type PaperMark,
  text,
} from './drawing';

const TAPE = '#EFBF45';
/** Ink and chalk that are seen on dark cloth. */
const ON_DARK = { ink: '#F7F2E8', chalk: '#8FC1E6' };
const ON_PALE = { ink: INK, chalk: CHALK };
/** Cloth darker than this, CIE L*, takes pale lines. */
const DARK_BELOW = 52;

/** A figure on tape yellow; `unit` is the height of its type in mm. */
function tag(at: Point, figure: string, unit: number): PaperMark[] {
  const [w, h] = [(figure.length * 0.56 + 1) * unit, unit * 1.5];
  const box = { left: at.x - w / 2, right: at.x + w / 2, top: at.y - h / 2, bottom: at.y + h / 2 };
  return [
    line(cornersOf(box), { closed: true, fill: TAPE, widthMm: unit / 14 }),
    text({ x: at.x, y: at.y + unit * 0.35 }, figure, { bold: true, sizeMm: unit, anchor: 'middle' }),
  ];
}

/** A dimension: a thin line with end strokes and its figure. */
function dimension(from: Point, to: Point, figure: string, pen: { unit: number; ink: string }): PaperMark[] {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length < 0.5) return [];
  const reach = pen.unit / 2;
  const [nx, ny] = [(-(to.y - from.y) / length) * reach, ((to.x - from.x) / length) * reach];
  const stroke = { widthMm: pen.unit / 16, colour: pen.ink };
  const end = (p: Point) =>
    line(
      [
        { x: p.x - nx, y: p.y - ny },
        { x: p.x + nx, y: p.y + ny },
      ],
      stroke,
    );
  const mid = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  return [line([from, to], stroke), end(from), end(to), ...tag(mid, figure, pen.unit)];
}

function pieceMarks(piece: PiecePlan, unit: number, { ink, chalk }: typeof ON_PALE): PaperMark[] {
  const outline = piece.geometry ?? piece.sketch;
  const { used } = piece.centreLine;
  const thin = unit / 20;
  return [
    line(outline.outline, { closed: true, widthMm: unit / 9, fill: piece.colour }),
    ...outline.noGo.map(({ area }) =>
      line(area, { closed: true, widthMm: thin / 2, dashMm: [unit / 8, unit / 8], colour: ink }),
    ),
    ...outline.seams.map((s) => line(s.line, { widthMm: thin, dashMm: [unit / 2, unit / 3], colour: ink })),
    ...(outline.folds ?? []).map((s) =>
      line(s.line, { widthMm: thin, dashMm: [unit / 5, unit / 4], colour: ink }),
    ),
    line(
      [outline.centreFrom, outline.centreTo].map((y) => ({ x: used.offset + used.slope * y, y })),
      { widthMm: thin * 1.5, dashMm: [1.4 * unit, 0.4 * unit, 0.2 * unit, 0.4 * unit], colour: chalk },
    ),
  ];
}

/**
 * The ticket's pattern sheet in mm: the piece, the design in its colours, the marks with their tape readings. `figureMm`
 * is how high its figures are, for a sheet that is drawn smaller afterwards.
 */
export function sheetDrawing(
  { piece, design, place }: Plan,
  units: DisplayUnits,
  figureMm: number | null = null,
): PaperDrawing {
  const whole = boxOf((piece.geometry ?? piece.sketch).outline);
  const unit = figureMm ?? Math.max(4, Math.max(widthOf(whole), heightOf(whole)) / 50);
  const pens = lightnessOf(piece.colour) < DARK_BELOW ? ON_DARK : ON_PALE;
  const marks = pieceMarks(piece, unit, pens);
  if (place && design.facts) {
    const { facts } = design;
    const poses = posesOf(place);
    marks.push(...poses.flatMap(({ centre, turnDeg }) => artMarks(facts, centre, turnDeg, true)));
    const chalk = { widthMm: unit / 8, colour: pens.chalk };
    marks.push(...poses.flatMap(({ centre }) => crossAt(centre, unit * 0.8, chalk)));
    const beside = boxOf(place.footprint).right + unit * 1.6;
    const across = Math.abs(place.centre.x - place.acrossFrom.x);
    // Below the design: the depth stands above it.
    const level = boxOf(place.footprint).bottom + unit * 1.4;
    const pen = { unit, ink: pens.ink };
    marks.push(
      ...dimension(
        { x: beside, y: place.depthFrom.y },
        { x: beside, y: place.centre.y },
        formatLength(place.depthMm, units),
        pen,
      ),
      ...dimension(
        { x: place.acrossFrom.x, y: level },
        { x: place.centre.x, y: level },
        formatLength(across, units),
        pen,
      ),
    );
  }
  const drawing = drawingOf(marks, unit * 2);
  const foot = { x: drawing.box.left + unit * 0.9, y: drawing.box.bottom - unit / 2 };
  return { ...drawing, marks: [...marks, ...grainArrow(foot, { x: foot.x, y: foot.y - unit * 5 })] };
}
