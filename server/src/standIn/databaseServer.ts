import { randomUUID } from 'node:crypto';
import { serve } from '@hono/node-server';
import { Hono } from 'hono';
import { Connection, faultOf } from './connection';
import { PipelineSchema } from './protocol';

/** A stream that is not heard of for so long is closed; what it had begun is undone. */
const STREAM_MS = 10_000;

interface Stream {
  connection: Connection;
  expires: NodeJS.Timeout;
}

export interface DatabaseServer {
  url: string;
  stop: () => Promise<void>;
}

/**
 * A stand-in for a database server, for tests: it speaks the open HTTP protocol of this program's client over one
 * SQLite file. It is no engine to run a shop on: it has no replicas, and one process serves it all.
 */
export async function startDatabaseServer(file: string, token: string): Promise<DatabaseServer> {
  const streams = new Map<string, Stream>();
  const close = (baton: string) => {
    const stream = streams.get(baton);
    streams.delete(baton);
    if (!stream) return;
    clearTimeout(stream.expires);
    stream.connection.close();
  };
  const keep = (connection: Connection): string => {
    const baton = randomUUID();
    streams.set(baton, { connection, expires: setTimeout(() => close(baton), STREAM_MS).unref() });
    return baton;
  };
  /** The connection of a stream; its baton is good for one request. */
  const taken = (baton: string): Connection | null => {
    const stream = streams.get(baton);
    streams.delete(baton);
    clearTimeout(stream?.expires);
    return stream?.connection ?? null;
  };

  const app = new Hono().post('/v2/pipeline', async (c) => {
    if (c.req.header('authorization') !== `Bearer ${token}`) return c.text('Wrong token.', 401);
    const read = PipelineSchema.safeParse(await c.req.json());
    if (!read.success) return c.text(read.error.issues[0]?.message ?? 'Unreadable.', 400);
    const { baton, requests } = read.data;
    const connection = baton ? taken(baton) : new Connection(file);
    if (!connection) return c.text('There is no such stream.', 404);
    const results: object[] = [];
    for (const request of requests) {
      try {
        results.push({ type: 'ok', response: await connection.answer(request) });
      } catch (error) {
        results.push({ type: 'error', error: faultOf(error) });
      }
    }
    const isOver = requests.some(({ type }) => type === 'close');
    if (isOver) connection.close();
    return c.json({ baton: isOver ? null : keep(connection), base_url: null, results });
  });

  return new Promise((ready) => {
    const server = serve({ fetch: app.fetch, port: 0, hostname: '127.0.0.1' }, ({ port }) =>
      ready({
        url: `http://127.0.0.1:${port}`,
        stop: async () => {
          for (const baton of [...streams.keys()]) close(baton);
          await new Promise((done) => server.close(done));
        },
      }),
    );
  });
}
