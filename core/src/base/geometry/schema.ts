import { z } from 'zod';
import { alongMm, FARTHEST_MM } from '../units/schema';
import type { Point } from './point';

/** A point in mm within so much of its origin. Kept apart from the geometry, so that workers need no schemas. */
export const pointWithin = (mostMm: number) =>
  z.object({ x: alongMm(mostMm), y: alongMm(mostMm) }) satisfies z.ZodType<Point, Point>;

/** A point on or about a piece, mm. */
export const PointSchema = pointWithin(FARTHEST_MM);
