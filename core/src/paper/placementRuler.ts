import { boxOf, cornersOf, grown } from '../geometry/box';
import { ORIGIN } from '../geometry/point';
import { type DisplayUnits, formatLength } from '../units/length';
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

/**
 * A placement ruler of paper: laid on the centre line with its edge at the landmark, it has a slot for each size.
 * Origin where the landmark's level meets the centre line, x to the viewer's right, y down.
 */
export function placementRuler(
  slots: readonly Slot[],
  words: { title: string; landmark: string; units: DisplayUnits },
): PaperDrawing {
  const box = grown(boxOf([ORIGIN, ...slots.map((s) => s.at), { x: 50, y: 0 }]), 24);
  const downwards = slots.every((s) => s.at.y >= 0);
  const edge = { ...box, ...(downwards ? { top: 0 } : { bottom: 0 }) };
  const length = (mm: number) => formatLength(Math.abs(mm), words.units);
  const slotWords = (name: string, at: Slot['at']) =>
    Math.abs(at.x) < 0.5
      ? `${name}: ${length(at.y)} ${downwards ? 'down' : 'up'}`
      : `${name}: ${length(at.x)} across, ${length(at.y)} ${downwards ? 'down' : 'up'}`;
  const marks: PaperMark[] = [
    line(cornersOf(edge), { closed: true, widthMm: 0.4 }),
    line(
      [
        { x: 0, y: edge.top },
        { x: 0, y: edge.bottom },
      ],
      { dashMm: [8, 2, 1, 2], colour: CHALK, widthMm: 0.4 },
    ),
    ...slots.flatMap(({ name, at }) => [
      line([{ x: 0, y: at.y }, at], { dashMm: [1, 1.5], colour: GRAPHITE }),
      ...crossAt(at, 6, { widthMm: 0.4 }),
      text({ x: at.x < 0 ? -3 : 3, y: at.y - 1.2 }, slotWords(name, at), {
        bold: true,
        sizeMm: 3.2,
        anchor: at.x < 0 ? 'end' : 'start',
      }),
    ]),
    ...grainArrow({ x: edge.left + 8, y: edge.bottom - 16 }, { x: edge.left + 8, y: edge.bottom - 50 }),
    text({ x: edge.left + 3, y: edge.bottom - 8 }, words.title, { bold: true, sizeMm: 4 }),
    text(
      { x: edge.left + 3, y: edge.bottom - 3.5 },
      `This edge to ${words.landmark}, the dashed line on the centre line.`,
      {
        sizeMm: 2.8,
      },
    ),
    text(
      { x: 2, y: downwards ? edge.top + 5 : edge.bottom - 14 },
      downwards ? 'edge to the landmark' : 'foot to the landmark',
      {
        sizeMm: 2.8,
        colour: GRAPHITE,
      },
    ),
  ];
  return { box: grown(edge, 4), marks };
}
