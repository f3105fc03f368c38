import type { Box } from '../base/geometry/box';
import { heightOf, widthOf } from '../base/geometry/box';
import type { Point } from '../base/geometry/point';
import { GRAPHITE, line, type PaperDrawing, type PaperMark, text } from './drawing';
import { provingRulers } from './provingRulers';

export const PAPERS = {
  a4: { name: 'A4', widthMm: 210, heightMm: 297 },
  letter: { name: 'Letter', widthMm: 215.9, heightMm: 279.4 },
} as const;
export type PaperId = keyof typeof PAPERS;
export const PAPER_IDS = Object.keys(PAPERS) as [PaperId, ...PaperId[]];

/** Cards are set on a page as it is, so that a small one does too. */
export const CARD_PAPERS = { a5: { name: 'A5', widthMm: 148, heightMm: 210 }, ...PAPERS } as const;
export type CardPaperId = keyof typeof CARD_PAPERS;
export const CARD_PAPER_IDS = Object.keys(CARD_PAPERS) as [CardPaperId, ...CardPaperId[]];

/** What printers leave white all round. */
const MARGIN_MM = 10;
/** Room at the foot of every page for the proving rulers. */
const FOOT_MM = 20;
/** How far neighbouring pages overlap. */
export const OVERLAP_MM = 12;

/** One sheet of paper: the part of the drawing that lies on it, and where. mm from the page's top left. */
export interface Page {
  widthMm: number;
  heightMm: number;
  /** The part of the drawing on this page. */
  window: Box;
  /** Where the window's top left corner lies on the page. */
  at: Point;
  /** Drawn in page coordinates: rulers, the page's name, where it joins its neighbours. */
  marks: PaperMark[];
}

const room = (paper: PaperId) => ({
  width: PAPERS[paper].widthMm - 2 * MARGIN_MM,
  height: PAPERS[paper].heightMm - 2 * MARGIN_MM - FOOT_MM,
});

/** Pages needed along one side: the first takes the whole room, each further one the room less the overlap. */
export const pagesAlong = (lengthMm: number, roomMm: number): number =>
  lengthMm <= roomMm ? 1 : 1 + Math.ceil((lengthMm - roomMm) / (roomMm - OVERLAP_MM) - 1e-9);

/** The most pages of one print, a metre by three quarters of one: beyond, the design lies off the piece. */
export const MOST_PAGES = 20;

/** How many pages a drawing takes at true size. */
export const pageCount = ({ box }: PaperDrawing, paper: PaperId): number =>
  pagesAlong(widthOf(box), room(paper).width) * pagesAlong(heightOf(box), room(paper).height);

/** A dashed line down the middle of an overlap, with what it joins; in page coordinates. */
function join(points: [Point, Point], words: string): PaperMark[] {
  const [a, b] = points;
  const mid = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  const diamond = [
    { x: mid.x - 3, y: mid.y },
    { x: mid.x, y: mid.y - 3 },
    { x: mid.x + 3, y: mid.y },
    { x: mid.x, y: mid.y + 3 },
  ];
  return [
    line(points, { dashMm: [3, 2], colour: GRAPHITE }),
    line(diamond, { closed: true, colour: GRAPHITE }),
    text({ x: mid.x + 4, y: mid.y - 2 }, words, { sizeMm: 2.8, colour: GRAPHITE }),
  ];
}

interface Grid {
  columns: number;
  rows: number;
  width: number;
  height: number;
}

function joinsOf(column: number, row: number, grid: Grid): PaperMark[] {
  const number = (c: number, r: number) => String(r * grid.columns + c + 1);
  const half = OVERLAP_MM / 2;
  const [left, top] = [MARGIN_MM, MARGIN_MM];
  const [right, foot] = [left + grid.width, top + grid.height];
  const upright = (x: number): [Point, Point] => [
    { x, y: top },
    { x, y: foot },
  ];
  const level = (y: number): [Point, Point] => [
    { x: left, y },
    { x: right, y },
  ];
  return [
    ...(column > 0 ? join(upright(left + half), `page ${number(column - 1, row)} lies under here`) : []),
    ...(column + 1 < grid.columns ? join(upright(right - half), `page ${number(column + 1, row)}`) : []),
    ...(row > 0 ? join(level(top + half), `page ${number(column, row - 1)} lies under here`) : []),
    ...(row + 1 < grid.rows ? join(level(foot - half), `page ${number(column, row + 1)}`) : []),
  ];
}

/**
 * Lays a drawing over as many pages as it needs at true size, centred when it needs one. Neighbours overlap by
 * 12 mm; the dashed lines in the overlap come to lie on each other. Every page has its own proving rulers.
 */
export function pagesFor({ box }: PaperDrawing, paper: PaperId, title: string): Page[] {
  const { width, height } = room(paper);
  const grid: Grid = {
    columns: pagesAlong(widthOf(box), width),
    rows: pagesAlong(heightOf(box), height),
    width,
    height,
  };
  const slack = {
    x: grid.columns === 1 ? (width - widthOf(box)) / 2 : 0,
    y: grid.rows === 1 ? (height - heightOf(box)) / 2 : 0,
  };
  const { widthMm, heightMm } = PAPERS[paper];
  const of = grid.columns * grid.rows;
  return Array.from({ length: of }, (_, i) => {
    const [column, row] = [i % grid.columns, Math.floor(i / grid.columns)];
    const left = box.left - slack.x + column * (width - OVERLAP_MM);
    const top = box.top - slack.y + row * (height - OVERLAP_MM);
    const foot = heightMm - MARGIN_MM;
    return {
      widthMm,
      heightMm,
      window: { left, top, right: left + width, bottom: top + height },
      at: { x: MARGIN_MM, y: MARGIN_MM },
      marks: [
        ...joinsOf(column, row, grid),
        ...provingRulers({ x: MARGIN_MM, y: foot - 5 }),
        text({ x: widthMm - MARGIN_MM, y: foot - 8 }, of === 1 ? title : `${title}: page ${i + 1} of ${of}`, {
          anchor: 'end',
          sizeMm: 3,
        }),
      ],
    };
  });
}
