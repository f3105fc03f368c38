import { type Box, boxOf, cornersOf, inflate } from '../base/geometry/box';
import { ORIGIN, type Point } from '../base/geometry/point';
import { type DisplayUnits, formatLength } from '../base/units/length';
import {
  CHALK,
  crossAt,
  GRAPHITE,
  grainArrow,
  line,
  type PaperDrawing,
  type PaperMark,
  text,
} from './drawing';
import type { Slot } from './rulerSlots';

/** A ruler as drawn, with the edge that goes to the landmark and the points to prick. Its own frame, mm. */
export interface RulerDrawing extends PaperDrawing {
  /** The level of the edge that is laid at the landmark; the centre line is x = 0. */
  datumY: number;
  pricks: readonly Point[];
}

/** Paper beyond the outermost slot; words at the far end stand in it. */
const MARGIN_MM = 24;
const LABEL_MM = 3.2;
const LEADING_MM = 4.6;
const SLOT = { halfWidthMm: 8, halfHeightMm: 0.8 };

/** Heights of labels in the order of their slots, from the top down, none nearer to the one before than a line. */
function labelHeights(slots: readonly Slot[]): number[] {
  let last = Number.NEGATIVE_INFINITY;
  return slots.map(({ at }) => {
    last = Math.max(at.y - 1.6, last + LEADING_MM);
    return last;
  });
}

/** A slot to cut out, level, and the point in its middle to prick through. */
const slotMarks = (at: Point): PaperMark[] => [
  line(
    cornersOf({
      left: at.x - SLOT.halfWidthMm,
      right: at.x + SLOT.halfWidthMm,
      top: at.y - SLOT.halfHeightMm,
      bottom: at.y + SLOT.halfHeightMm,
    }),
    { closed: true, widthMm: 0.3 },
  ),
  ...crossAt(at, 6, { widthMm: 0.4 }),
];

/** Where words go that belong to the edge at the landmark, and those at the far end. */
function wordHeights(edge: Box, downwards: boolean): { datum: number; far: readonly [number, number] } {
  return downwards
    ? { datum: edge.top + 5, far: [edge.bottom - 9, edge.bottom - 4] }
    : { datum: edge.bottom - 3.5, far: [edge.top + 6, edge.top + 11] };
}

/**
 * A placement ruler of paper: laid on the centre line with one edge at the landmark, it has a slot for each size.
 * Origin where the landmark's level meets the centre line, x to the viewer's right, y down. Counted down from a
 * landmark its top edge is laid there, counted up its bottom edge; slots on both sides of the landmark leave it inside.
 */
export function placementRuler(
  slots: readonly Slot[],
  words: { title: string; landmark: string; units: DisplayUnits },
): RulerDrawing {
  const sorted = [...slots].sort((a, b) => a.at.y - b.at.y);
  const downwards = slots.every((s) => s.at.y >= 0);
  const reach = inflate(boxOf([ORIGIN, ...slots.map((s) => s.at), { x: 62, y: 0 }]), MARGIN_MM);
  const edge: Box = { ...reach, ...(downwards ? { top: 0 } : { bottom: 0 }) };
  const length = (mm: number) => formatLength(Math.abs(mm), words.units);
  const labelOf = ({ name, at }: Slot) => {
    const along = `${length(at.y)} ${downwards ? 'down' : 'up'}`;
    return Math.abs(at.x) < 0.5 ? `${name}: ${along}` : `${name}: ${length(at.x)} across, ${along}`;
  };
  const heights = labelHeights(sorted);
  const at = wordHeights(edge, downwards);
  const marks: PaperMark[] = [
    line(cornersOf(edge), { closed: true, widthMm: 0.4 }),
    line(
      [
        { x: 0, y: edge.top },
        { x: 0, y: edge.bottom },
      ],
      { dashMm: [8, 2, 1, 2], colour: CHALK, widthMm: 0.4 },
    ),
    ...sorted.flatMap((slot, i) => [
      line([{ x: 0, y: slot.at.y }, slot.at], { colour: GRAPHITE }),
      ...slotMarks(slot.at),
      text(
        {
          x: slot.at.x < 0 ? slot.at.x - SLOT.halfWidthMm - 2 : slot.at.x + SLOT.halfWidthMm + 2,
          y: heights[i] ?? 0,
        },
        labelOf(slot),
        { bold: true, sizeMm: LABEL_MM, anchor: slot.at.x < 0 ? 'end' : 'start' },
      ),
    ]),
    ...grainArrow(
      { x: edge.left + 8, y: edgeMiddle(edge) + 17 },
      { x: edge.left + 8, y: edgeMiddle(edge) - 17 },
    ),
    text(
      { x: edge.left + 3, y: at.datum },
      `This edge to ${words.landmark}; the dashed line on the centre line.`,
      {
        sizeMm: 2.8,
      },
    ),
    text({ x: edge.left + 3, y: at.far[0] }, words.title, { bold: true, sizeMm: 4 }),
    text(
      { x: edge.left + 3, y: at.far[1] },
      'Cut along the outer line and out the slots; prick or chalk where the cross stands in its slot.',
      { sizeMm: 2.8 },
    ),
  ];
  return { box: inflate(withLabels(edge, slots), 4), marks, datumY: 0, pricks: sorted.map((s) => s.at) };
}

/** The level halfway down a ruler. */
const edgeMiddle = (edge: Box): number => (edge.top + edge.bottom) / 2;

/** Room for the words beside the outermost slots. */
const LABEL_ROOM_MM = 70;
const withLabels = (edge: Box, slots: readonly Slot[]): Box => ({
  ...edge,
  left: Math.min(edge.left, ...slots.filter((s) => s.at.x < 0).map((s) => s.at.x - LABEL_ROOM_MM)),
  right: Math.max(edge.right, ...slots.filter((s) => s.at.x >= 0).map((s) => s.at.x + LABEL_ROOM_MM)),
});
