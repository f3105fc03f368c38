import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { z } from 'zod';
import type { Access } from '../db/client';
import { Unusable } from '../unusable';

const EnvSchema = z.object({
  PORT: z.coerce.number().int().min(0).max(65_535).default(0),
  HOST: z.string().default('127.0.0.1'),
  ZT_DATA: z.string().default('data/workshop.db'),
  ZT_TOKEN: z.string().optional(),
  ZT_REPLICA: z.string().optional(),
  ZT_PHOTOS: z.string().optional(),
  ZT_PHOTOS_TOKEN: z.string().optional(),
  ZT_WEB: z.string().default('app/dist'),
  ZT_DEMO: z.enum(['0', '1']).default('0'),
});

export interface Config {
  port: number;
  host: string;
  /** `file:` or the address of a libSQL server. */
  databaseUrl: string;
  /** How a database server is asked; empty for a file. */
  access: Access;
  /** Where photos are kept: a folder, or the address of a store of objects and its token. */
  photos: { at: string; token?: string | undefined };
  /** Folder of the exported web app. */
  webRoot: string;
  demo: boolean;
}

function madeFolder(folder: string) {
  try {
    mkdirSync(folder, { recursive: true });
  } catch {
    throw new Unusable(
      `The folder ${folder} cannot be made: look who may write there, or name another with ZT_DATA.`,
    );
  }
}

const isUrl = (text: string) => /^(file|libsql|https?|wss?):/.test(text);

/** Beside the data file, where nothing else is said; without one, in `data`. */
function photosAt({ ZT_PHOTOS, ZT_DATA }: z.infer<typeof EnvSchema>): string {
  if (ZT_PHOTOS !== undefined) return /^https?:/.test(ZT_PHOTOS) ? ZT_PHOTOS : resolve(ZT_PHOTOS);
  const file = ZT_DATA.replace(/^file:/, '');
  return isUrl(file) ? resolve('data/photos') : resolve(dirname(file), 'photos');
}

/** Reads the environment; an unreadable variable is named in the error. Makes the data folder. */
export function readConfig(env: Record<string, string | undefined>): Config {
  const parsed = EnvSchema.safeParse(env);
  if (!parsed.success)
    throw new Unusable(
      parsed.error.issues
        .map(({ path, message }) => `The setting ${path.join('.')} cannot be used: ${message}`)
        .join('\n'),
    );
  const read = parsed.data;
  if (!isUrl(read.ZT_DATA)) madeFolder(dirname(resolve(read.ZT_DATA)));
  return {
    port: read.PORT,
    host: read.HOST,
    databaseUrl: isUrl(read.ZT_DATA) ? read.ZT_DATA : `file:${resolve(read.ZT_DATA)}`,
    access: {
      token: read.ZT_TOKEN,
      replica: read.ZT_REPLICA === undefined ? undefined : resolve(read.ZT_REPLICA),
    },
    photos: { at: photosAt(read), token: read.ZT_PHOTOS_TOKEN },
    webRoot: resolve(read.ZT_WEB),
    demo: read.ZT_DEMO === '1',
  };
}
