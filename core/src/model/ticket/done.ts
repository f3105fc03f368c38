import { z } from 'zod';

/** Steps at the table that are done, by their ids and figures: a set, so that two hands may tick at once. */
export const DoneSchema = z.array(z.string().max(80)).max(200).default([]);
