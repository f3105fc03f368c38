import { add, distance, type Point, subtract } from '../base/geometry/point';
import type { MarkAct } from '../stages/place/marks/acts';

/** The piece on the table as a hand finds it: where both edges are at a level. */
export interface PieceOnTable {
  edgesAt: (y: number) => { left: number; right: number };
}

type Line = (y: number) => number;

const through = (a: Point, b: Point): Line =>
  a.y === b.y ? () => (a.x + b.x) / 2 : (y) => a.x + ((y - a.y) / (b.y - a.y)) * (b.x - a.x);

const middleAt = ({ edgesAt }: PieceOnTable, y: number): Point => {
  const { left, right } = edgesAt(y);
  return { x: (left + right) / 2, y };
};

/** Far apart on any piece, mm: two levels at which a crease is seen. */
const CREASE_MM = 100;

/**
 * Where the chalk of the centre lands when a person does the acts in their order on a piece as it lies; null when
 * they lead to no centre. Of several centres the last one stays.
 */
export function followActs(acts: readonly MarkAct[], piece: PieceOnTable): Point | null {
  const marks: Point[] = [];
  let [line, level, centre] = [null as Line | null, null as number | null, null as Point | null];
  for (const act of acts) {
    switch (act.do) {
      case 'level':
        level = act.from.y + (act.way === 'down' ? act.mm : -act.mm);
        break;
      case 'halve':
        marks.push(middleAt(piece, act.y));
        break;
      case 'from left':
        marks.push({ x: piece.edgesAt(act.y).left + act.mm, y: act.y });
        break;
      case 'beside':
        marks.push({ x: act.at.x + act.mm, y: act.at.y });
        break;
      case 'join': {
        const [a, b] = marks.slice(-2);
        line = a && b ? through(a, b) : line;
        break;
      }
      case 'crease':
        line = through(middleAt(piece, 0), middleAt(piece, CREASE_MM));
        break;
      case 'from line':
        centre = line && level !== null ? { x: line(level) + act.mm, y: level } : null;
        break;
      case 'from edge':
        centre = level === null ? null : { x: act.x + act.mm, y: level };
        break;
      case 'along crease': {
        const way = subtract(act.towards, act.corner);
        const share = act.mm / distance(act.corner, act.towards);
        centre = add(act.corner, { x: way.x * share, y: way.y * share });
        break;
      }
    }
  }
  return centre;
}
