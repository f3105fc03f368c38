import { serve } from '@hono/node-server';
import { createClient } from '@libsql/client';
import { Hono } from 'hono';

/** Puts a body into a row and answers: the least that a save can be, of the same parts as ours. */
const client = createClient({ url: `file:${process.env.ZT_DATA}` });
await client.execute('PRAGMA journal_mode = WAL');
await client.execute('CREATE TABLE kept (id TEXT PRIMARY KEY, body TEXT NOT NULL)');
const app = new Hono().put('/api/tickets/:id', async (c) => {
  const body = JSON.stringify(await c.req.json());
  await client.execute({
    sql: 'INSERT INTO kept VALUES (?, ?) ON CONFLICT DO UPDATE SET body = excluded.body',
    args: [c.req.param('id'), body],
  });
  return c.json({ rev: 1 });
});
serve({ fetch: app.fetch, port: 0, hostname: '127.0.0.1' }, ({ port }) =>
  console.log(`ready: http://127.0.0.1:${port}`),
);
