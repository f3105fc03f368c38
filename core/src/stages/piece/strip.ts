import { boxOf, cornersOf } from '../../base/geometry/box';
import type { StripEdge } from '../../model/ticket/piece';
import type { PieceOutline } from './geometry';

/** A finished contrast strip along one edge of the face. */
export interface Strip {
  edge: StripEdge;
  widthMm: number;
}

/** The face with a strip along one edge: drawn, and neither stitch nor ring goes over it or its seam. */
export function withStrip(outline: PieceOutline, { edge, widthMm }: Strip): PieceOutline {
  const face = boxOf(outline.outline);
  const box = {
    ...face,
    ...(edge === 'left' ? { right: face.left + widthMm } : {}),
    ...(edge === 'right' ? { left: face.right - widthMm } : {}),
    ...(edge === 'top' ? { bottom: face.top + widthMm } : {}),
    ...(edge === 'bottom' ? { top: face.bottom - widthMm } : {}),
  };
  const upright = edge === 'left' || edge === 'right';
  const at =
    edge === 'left' ? box.right : edge === 'right' ? box.left : edge === 'top' ? box.bottom : box.top;
  const line = upright
    ? [
        { x: at, y: box.top },
        { x: at, y: box.bottom },
      ]
    : [
        { x: box.left, y: at },
        { x: box.right, y: at },
      ];
  return {
    ...outline,
    seams: [...outline.seams, { id: 'stripSeam', name: 'seam of the strip', line, style: 'seam' }],
    noGo: [...outline.noGo, { id: 'strip', name: 'contrast strip', area: cornersOf(box) }],
  };
}
