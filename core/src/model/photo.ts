import { z } from 'zod';

/** When a photo of a piece was taken. */
export const PHOTO_MOMENTS = ['before hooping', 'in the hoop', 'front', 'back'] as const;
export type PhotoMoment = (typeof PHOTO_MOMENTS)[number];

/** What a photo is called: the SHA-256 of what it is kept as. */
export const PhotoIdSchema = z
  .string()
  .max(64)
  .regex(/^[0-9a-f]{64}$/, 'No photo is called so.');

/** A photo of a piece, by its name. */
export const PhotoSchema = z.object({ id: PhotoIdSchema, moment: z.enum(PHOTO_MOMENTS) });
export type Photo = z.infer<typeof PhotoSchema>;

/** The most photos of one ticket. */
export const MOST_PHOTOS = 24;

/** As it is kept: a JPEG no larger than this on its longer side, px, and in all, bytes. */
export const KEPT_PHOTO = { px: 1600, bytes: 2_000_000 } as const;

/** A file that is taken for a photo is no larger than this: bytes, and points. */
export const MOST_OF_A_FILE = { bytes: 60_000_000, points: 120_000_000 } as const;
