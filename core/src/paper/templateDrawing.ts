import { boxOf, inflate } from '../base/geometry/box';
import { add, fullTurnDeg, ORIGIN, type Point, rotate } from '../base/geometry/point';
import type { DisplayUnits } from '../base/units/length';
import { formatLength } from '../base/units/length';
import type { DesignFacts } from '../stages/design/designFacts';
import type { PlacePlan } from '../stages/place/planPlace';
import { artMarks } from './artMarks';
import { CHALK, crossAt, grainArrow, line, type PaperDrawing, type PaperMark, text } from './drawing';

/** How far the axis lines reach beyond the design. */
const BEYOND_MM = 14;
const HOLE_MM = 1.5;

/** A small ring to prick a hole through. */
function hole(at: Point): PaperMark {
  const ring = Array.from({ length: 16 }, (_, i) => {
    const t = (i * Math.PI) / 8;
    return add(at, { x: HOLE_MM * Math.cos(t), y: HOLE_MM * Math.sin(t) });
  });
  return line(ring, { closed: true, colour: CHALK });
}

/** Copies that are turned otherwise than the first, each with what the template must be turned by. */
function turnedCopies({
  turnDeg,
  copies = [],
}: Pick<PlacePlan, 'turnDeg'> & Partial<Pick<PlacePlan, 'copies'>>): string[] {
  const turned = copies.flatMap((copy, i) => {
    const by = Math.round(fullTurnDeg(copy.turnDeg - turnDeg));
    return i === 0 || by === 0 ? [] : [`no. ${i + 1}: ${by}°`];
  });
  return turned.length === 0 || turned.length > 6
    ? []
    : [`Turned clockwise from how it lies for no. 1: ${turned.join(', ')}.`];
}

/**
 * The design's paper template about its visible centre, upright as it will be read: outline, centre cross, both
 * axis ends as holes, an arrow to the piece's top, name and size. The arrow leans when the design is turned.
 */
export function templateDrawing(
  facts: DesignFacts,
  place: Pick<PlacePlan, 'turnDeg'> & Partial<Pick<PlacePlan, 'copies'>>,
  words: { name: string; where: string; units: DisplayUnits },
): PaperDrawing {
  const box = boxOf(facts.hull);
  const half = facts.widthMm / 2;
  const [left, right] = [box.left - BEYOND_MM, box.right + BEYOND_MM];
  const up = rotate({ x: 0, y: -1 }, -place.turnDeg);
  const arrowAt = { x: right + 6, y: 0 };
  const reach = Math.max(18, Math.min(40, facts.heightMm / 2));
  const size = `${formatLength(facts.widthMm, words.units)} × ${formatLength(facts.heightMm, words.units)}`;
  const foot = box.bottom + BEYOND_MM;
  const marks: PaperMark[] = [
    ...artMarks(facts, ORIGIN, 0, false),
    line(
      [
        { x: left, y: 0 },
        { x: right, y: 0 },
      ],
      { colour: CHALK },
    ),
    line(
      [
        { x: 0, y: box.top - BEYOND_MM },
        { x: 0, y: foot },
      ],
      { colour: CHALK },
    ),
    ...crossAt(ORIGIN, 5, { widthMm: 0.5 }),
    hole(ORIGIN),
    hole({ x: -half, y: 0 }),
    hole({ x: half, y: 0 }),
    ...grainArrow(
      { x: arrowAt.x - up.x * reach, y: arrowAt.y - up.y * reach },
      { x: arrowAt.x + up.x * reach, y: arrowAt.y + up.y * reach },
    ),
    text({ x: left, y: foot + 6 }, words.name, { bold: true, sizeMm: 4.4 }),
    text({ x: left, y: foot + 11 }, `${size}, ${words.where}`),
    text({ x: left, y: foot + 15.5 }, 'The arrow points to the top of the piece. Prick all three holes.', {
      sizeMm: 3,
    }),
    ...turnedCopies(place).map((words, i) => text({ x: left, y: foot + 20 + i * 4.5 }, words, { sizeMm: 3 })),
  ];
  const lines = {
    left: Math.min(left, -45),
    right: arrowAt.x + 5,
    top: box.top - BEYOND_MM,
    bottom: foot + 18 + turnedCopies(place).length * 4.5,
  };
  return { box: inflate(lines, 4), marks };
}
