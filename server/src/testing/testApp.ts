import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ShelfNoun } from '@zt/core/model/shelf';
import { type Context, createContext } from '../context';
import { createApp } from '../create-app';
import { type Access, openStore } from '../db/client';
import { startDatabaseServer } from '../standIn/databaseServer';

const MIGRATIONS = join(process.cwd(), 'server/src/db/migrations');

/** An answer whose body the tests look into. */
function readable(response: Response) {
  return {
    status: response.status,
    text: () => response.text(),
    json: async () => JSON.parse(await response.text()),
  };
}

const TOKEN = 'token-of-the-tests';

/** Set by jest: whether the tests keep their data in a file, or at a database server over one. */
declare const ENGINE: 'file' | 'server';

/** Where the tests keep their data. */
async function engine(file: string): Promise<{ url: string; access: Access; stop: () => Promise<void> }> {
  if (ENGINE === 'file') return { url: `file:${file}`, access: {}, stop: async () => undefined };
  const { url, stop } = await startDatabaseServer(file, TOKEN);
  return { url, access: { token: TOKEN }, stop };
}

/** The whole server over real data of its own; `close` takes them away. */
export async function openTestApp(overrides: Partial<Context> = {}) {
  const folder = mkdtempSync(join(tmpdir(), 'thimble-server-'));
  const { url, access, stop } = await engine(join(folder, 'shop.db'));
  const store = await openStore(url, MIGRATIONS, access);
  let minute = 0;
  const now = () => new Date(Date.UTC(2026, 4, 4, 10, minute++)).toISOString();
  const context = await createContext(
    {
      port: 0,
      host: '127.0.0.1',
      databaseUrl: url,
      access,
      photos: { at: join(folder, 'photos') },
      webRoot: folder,
      demo: false,
    },
    { store, now, remote: () => '127.0.0.1', backups: join(folder, 'backups'), ...overrides },
  );
  const app = createApp(context);
  const send = async (method: string, path: string, body?: unknown) => {
    const headers = { 'content-type': 'application/json' };
    const text = typeof body === 'string' ? body : JSON.stringify(body);
    return readable(
      await app.request(path, { method, headers, ...(body === undefined ? {} : { body: text }) }),
    );
  };
  return {
    context,
    store,
    folder,
    url,
    access,
    /** The answer as it came, with its headers. */
    raw: async (path: string, headers: Record<string, string> = {}, signal?: AbortSignal) =>
      app.request(path, { headers, ...(signal ? { signal } : {}) }),
    /** Bytes, sent as what they are. */
    sendBytes: async (path: string, bytes: Uint8Array, type: string) =>
      readable(
        await app.request(path, {
          method: 'PUT',
          headers: { 'content-type': type },
          body: new Blob([bytes as Uint8Array<ArrayBuffer>]),
        }),
      ),
    get: async (path: string) => readable(await app.request(path)),
    put: (path: string, body: unknown) => send('PUT', path, body),
    post: (path: string, body?: unknown) => send('POST', path, body),
    remove: (path: string) => send('DELETE', path),
    /** The first page of the bench, and of the logbook. */
    bench: async () => (await readable(await app.request('/api/tickets')).json()).tickets,
    logged: async () => (await readable(await app.request('/api/logbook')).json()).entries,
    putItem: (noun: ShelfNoun, item: unknown, more: object = {}) =>
      send('POST', '/api/shelf', { put: [{ noun, item }], ...more }),
    takeOff: (noun: ShelfNoun, id: string) => send('POST', '/api/shelf', { remove: [{ noun, id }] }),
    close: async () => {
      await store.close();
      await stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

export type TestApp = Awaited<ReturnType<typeof openTestApp>>;
