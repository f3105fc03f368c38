import { z } from 'zod';
import type { Point } from './point';

/** A point in mm, kept apart from the geometry so that workers need no schemas. */
export const PointSchema: z.ZodType<Point, Point> = z.object({ x: z.number(), y: z.number() });
