import { z } from 'zod';

/** Ids are made by the client: unique, and sorting by time. */
export const IdSchema = z
  .string()
  .min(8)
  .max(64)
  .regex(/^[\w-]+$/, 'An id is letters, digits and dashes.');
