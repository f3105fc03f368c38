import { type Box, boxOf, inflate } from '../base/geometry/box';
import type { Point } from '../base/geometry/point';

/** What is drawn on paper, in mm, y down, in the frame of the drawing. */
export type PaperMark =
  | {
      kind: 'line';
      points: readonly Point[];
      closed: boolean;
      /** Line width in mm. */
      widthMm: number;
      dashMm?: readonly number[];
      colour: string;
      fill?: string;
    }
  /** Path data about its own origin, moved to `at`, turned clockwise and scaled. */
  | {
      kind: 'art';
      d: string;
      at: Point;
      turnDeg: number;
      scale: number;
      fill: string | null;
      stroke: { colour: string; widthMm: number } | null;
    }
  | {
      kind: 'text';
      at: Point;
      text: string;
      /** Height of the type in mm. */
      sizeMm: number;
      anchor: 'start' | 'middle' | 'end';
      bold: boolean;
      colour: string;
    };

/** A drawing at true size with the room it takes. */
export interface PaperDrawing {
  box: Box;
  marks: readonly PaperMark[];
}

export const INK = '#1F2B3A';
export const CHALK = '#2D6A99';
export const GRAPHITE = '#59626E';
/** Width of plain lines, mm. */
export const THIN_MM = 0.2;

type LineRest = Partial<Omit<Extract<PaperMark, { kind: 'line' }>, 'kind' | 'points'>>;

export const line = (points: readonly Point[], rest: LineRest = {}): PaperMark => ({
  kind: 'line',
  points,
  closed: false,
  widthMm: THIN_MM,
  colour: INK,
  ...rest,
});

export const text = (
  at: Point,
  words: string,
  rest: Partial<Omit<Extract<PaperMark, { kind: 'text' }>, 'kind' | 'at' | 'text'>> = {},
): PaperMark => ({
  kind: 'text',
  at,
  text: words,
  sizeMm: 3.6,
  anchor: 'start',
  bold: false,
  colour: INK,
  ...rest,
});

/** A cross of two lines through a point, each reaching so far. */
export const crossAt = (at: Point, reachMm: number, rest: LineRest = {}): PaperMark[] => [
  line(
    [
      { x: at.x - reachMm, y: at.y },
      { x: at.x + reachMm, y: at.y },
    ],
    rest,
  ),
  line(
    [
      { x: at.x, y: at.y - reachMm },
      { x: at.x, y: at.y + reachMm },
    ],
    rest,
  ),
];

/** An arrow with a notch at a third, the grain arrow of pattern paper. */
export function grainArrow(from: Point, to: Point): PaperMark[] {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const [ux, uy] = length === 0 ? [0, -1] : [(to.x - from.x) / length, (to.y - from.y) / length];
  const at = (along: number, across: number): Point => ({
    x: to.x - ux * along - uy * across,
    y: to.y - uy * along + ux * across,
  });
  const notch = length * 0.66;
  return [
    line([from, to], { widthMm: 0.35 }),
    line([at(5, 3), to, at(5, -3)], { widthMm: 0.35 }),
    line([at(notch, 2.5), at(notch, -2.5)], { widthMm: 0.35 }),
  ];
}

/** The drawing's box from its lines, with some margin; text is taken to lie within. */
export function drawingOf(marks: readonly PaperMark[], marginMm: number): PaperDrawing {
  const points = marks.flatMap((m) => (m.kind === 'line' ? m.points : m.kind === 'text' ? [m.at] : []));
  return { box: inflate(boxOf(points), marginMm), marks };
}
