import { createHash } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { z } from 'zod';
import { Unusable } from '../unusable';

const DATABASE = 'workshop.db';
const MANIFEST = 'manifest.json';

const ManifestSchema = z.object({
  format: z.literal(1),
  program: z.literal('zealous-thimble'),
  madeAt: z.string(),
  /** How many migrations the database had. */
  migrations: z.number().int().min(0),
  files: z.array(z.object({ name: z.string(), bytes: z.number().int(), sha256: z.string() })),
});
export type Manifest = z.infer<typeof ManifestSchema>;

const sha256 = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** Writes a backup: the database and a manifest that says what is in it, in one file. */
export function writeBundle(
  to: string,
  database: Uint8Array,
  about: Pick<Manifest, 'madeAt' | 'migrations'>,
): void {
  const manifest: Manifest = {
    format: 1,
    program: 'zealous-thimble',
    ...about,
    files: [{ name: DATABASE, bytes: database.length, sha256: sha256(database) }],
  };
  writeFileSync(
    to,
    zipSync({ [MANIFEST]: strToU8(JSON.stringify(manifest, null, 1)), [DATABASE]: database }),
  );
}

function unpacked(path: string): Record<string, Uint8Array> {
  try {
    return unzipSync(readFileSync(path));
  } catch {
    throw new Unusable(
      `${path} cannot be read as a backup: it is torn, or another kind of file. Nothing was changed.`,
    );
  }
}

/** Reads a backup and checks every file of it against the manifest. Nothing of it is used unless all of it is whole. */
export function readBundle(path: string): { manifest: Manifest; database: Uint8Array } {
  const files = unpacked(path);
  const text = files[MANIFEST];
  const manifest = text && ManifestSchema.safeParse(JSON.parse(strFromU8(text))).data;
  if (!manifest)
    throw new Unusable(`${path} is no backup of a shop, or one of a newer program. Nothing was changed.`);
  for (const { name, bytes, sha256: expected } of manifest.files) {
    const file = files[name];
    if (!file || file.length !== bytes || sha256(file) !== expected)
      throw new Unusable(`${path} is damaged: ${name} in it is not as it was written. Nothing was changed.`);
  }
  const database = files[DATABASE];
  if (!database) throw new Unusable(`${path} holds no database. Nothing was changed.`);
  return { manifest, database };
}
