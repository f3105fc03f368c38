import { randomUUID } from 'node:crypto';
import { mkdir, readdir, readFile, rename, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';

/**
 * Where photos are kept, each once, under the SHA-256 of what it is: what is kept under a name never changes. Beside the
 * database, or with a store of objects.
 */
export interface PhotoStore {
  put: (id: string, bytes: Uint8Array) => Promise<void>;
  /** Null where there is none of that name. */
  get: (id: string) => Promise<Uint8Array | null>;
  /** How many there are and how large they are in all; null where that is not known. */
  held: () => Promise<{ photos: number; bytes: number } | null>;
}

/** Photos in a folder, in folders of their first two letters. */
export function photoFolder(folder: string): PhotoStore {
  const pathOf = (id: string): string => join(folder, id.slice(0, 2), `${id}.jpg`);
  const names = async (at: string): Promise<string[]> => readdir(at).catch(() => []);
  return {
    put: async (id, bytes) => {
      const path = pathOf(id);
      if (await stat(path).catch(() => null)) return;
      await mkdir(join(folder, id.slice(0, 2)), { recursive: true });
      // It stands under its name only once it is whole.
      const draft = `${path}.${randomUUID()}`;
      await writeFile(draft, bytes, { flush: true });
      await rename(draft, path);
    },
    get: (id) => readFile(pathOf(id)).catch(() => null),
    held: async () => {
      let [photos, bytes] = [0, 0];
      for (const inner of await names(folder))
        for (const name of await names(join(folder, inner))) {
          if (!name.endsWith('.jpg')) continue;
          photos += 1;
          bytes += (await stat(join(folder, inner, name))).size;
        }
      return { photos, bytes };
    },
  };
}

/** Photos with a store of objects that is asked by plain HTTP: PUT and GET under an address, with a token where it wants one. */
export function photoServer(address: string, token: string | undefined): PhotoStore {
  const urlOf = (id: string): string => `${address.replace(/\/$/, '')}/${id}.jpg`;
  const headers: Record<string, string> = token ? { authorization: `Bearer ${token}` } : {};
  const failed = (status: number): Error => new Error(`The store of photos answers ${status}.`);
  return {
    put: async (id, bytes) => {
      const answer = await fetch(urlOf(id), {
        method: 'PUT',
        headers: { ...headers, 'content-type': 'image/jpeg' },
        body: new Blob([bytes as Uint8Array<ArrayBuffer>]),
      });
      if (!answer.ok) throw failed(answer.status);
    },
    get: async (id) => {
      const answer = await fetch(urlOf(id), { headers });
      if (answer.status === 404) return null;
      if (!answer.ok) throw failed(answer.status);
      return new Uint8Array(await answer.arrayBuffer());
    },
    held: async () => null,
  };
}

/** Photos with a copy of each beside the backups: one that is lost is there again from its copy. */
export const withCopies = (photos: PhotoStore, copies: PhotoStore): PhotoStore => ({
  put: async (id, bytes) => {
    await photos.put(id, bytes);
    await copies.put(id, bytes);
  },
  get: async (id) => {
    const found = await photos.get(id);
    if (found) return found;
    const copy = await copies.get(id);
    if (copy) await photos.put(id, copy);
    return copy;
  },
  held: () => copies.held(),
});
