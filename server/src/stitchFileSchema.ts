import { StitchFileSchema } from '@zt/core/files/stitchFiles/json';
import { z } from 'zod';

/** The JSON Schema by which anybody can check a stitch file, draft 2020-12. */
export const stitchFileJsonSchema = () => z.toJSONSchema(StitchFileSchema);
