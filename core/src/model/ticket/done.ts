import { z } from 'zod';

/** So many ticks are kept; of a longer job the earliest are let go. */
export const MOST_DONE = 1000;

/** Steps at the table that are done, by their ids and figures: a set, so that two hands may tick at once. */
export const DoneSchema = z.array(z.string().max(80)).max(MOST_DONE).default([]);
