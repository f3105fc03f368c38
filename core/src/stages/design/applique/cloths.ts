import { type Point, subtract } from '../../../base/geometry/point';
import type { Applique } from '../../../model/ticket/applique';
import type { DrawnPart } from '../parts/drawnPart';
import { nameOfPart } from '../parts/drawnPart';
import { mappedPath } from '../pathData';

/** A shape that is of cloth: its outline, mm at 100 % about the design's visible centre. */
export interface ClothShape {
  /** What it is called: by its part, and by its place where the part has several. */
  name: string;
  d: string;
  /** Line width in mm; null for a filled shape. */
  strokeMm: number | null;
  applique: Applique;
}

/** The shapes of a design that are of cloth, in the order they are drawn; empty where it is all thread. */
export const clothsOf = (parts: readonly DrawnPart[], centre: Point): ClothShape[] =>
  parts.flatMap(({ part, paths }) => {
    if (part.appliques.length === 0) return [];
    const own = paths.filter(({ step }) => step === 'placement');
    return own.flatMap(({ d, strokeMm, applique }, i): ClothShape[] =>
      applique
        ? [
            {
              name: own.length > 1 ? `${nameOfPart(part)} ${i + 1}` : nameOfPart(part),
              d: mappedPath(d, (p) => subtract(p, centre)),
              strokeMm,
              applique,
            },
          ]
        : [],
    );
  });
