import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { type DatabaseServer, startDatabaseServer } from './databaseServer';

let folder: string;
let server: DatabaseServer;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'thimble-standin-'));
  server = await startDatabaseServer(join(folder, 'data.db'), 'a-token');
});
afterEach(async () => {
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});
const client = (authToken = 'a-token') => createClient({ url: server.url, authToken });

it('answers what it is asked as the file itself would, for every kind of value', async () => {
  const db = client();
  await db.execute('CREATE TABLE t (a, b, c, d, e)');
  const args = [null, 12, 1.5, 'words “in” quotes', new Uint8Array([0, 255, 7])];
  await db.execute({ sql: 'INSERT INTO t VALUES (?, ?, ?, ?, ?)', args });
  const { rows, columns } = await db.execute('SELECT * FROM t');
  expect(columns).toEqual(['a', 'b', 'c', 'd', 'e']);
  const [row] = rows;
  expect([row?.a, row?.b, row?.c, row?.d]).toEqual([null, 12, 1.5, 'words “in” quotes']);
  expect(new Uint8Array(row?.e as ArrayBuffer)).toEqual(args[4]);
  const { rowsAffected } = await db.execute("UPDATE t SET a = 'x' RETURNING a");
  expect(rowsAffected).toBe(0);
  await expect(db.execute('SELECT missing FROM t')).rejects.toThrow(/no such column/);
  db.close();
});

it('has transactions that are seen by others once they are committed, and undone when they are rolled back or left', async () => {
  const db = client();
  await db.execute('PRAGMA journal_mode = WAL');
  await db.execute('CREATE TABLE t (a)');
  const count = async () => Number((await db.execute('SELECT count(*) AS n FROM t')).rows[0]?.n);
  const tx = await db.transaction('write');
  await tx.execute('INSERT INTO t VALUES (1)');
  expect(await count()).toBe(0);
  await tx.execute('SAVEPOINT s');
  await tx.execute('INSERT INTO t VALUES (2)');
  await tx.execute('ROLLBACK TO s');
  await tx.commit();
  expect(await count()).toBe(1);
  const undone = await db.transaction('write');
  await undone.execute('INSERT INTO t VALUES (3)');
  await undone.rollback();
  expect(await count()).toBe(1);
  db.close();
});

it('lets one writer wait for the other, and does a batch whole or not at all', async () => {
  const [first, second] = [client(), client()];
  await first.execute('PRAGMA journal_mode = WAL');
  await first.execute('CREATE TABLE t (a UNIQUE)');
  const tx = await first.transaction('write');
  await tx.execute('INSERT INTO t VALUES (1)');
  const waiting = second.execute('INSERT INTO t VALUES (2)');
  await tx.commit();
  await waiting;
  const batch = second.batch(['INSERT INTO t VALUES (3)', 'INSERT INTO t VALUES (1)'], 'write');
  await expect(batch).rejects.toThrow(/UNIQUE/);
  const { rows } = await first.execute('SELECT a FROM t ORDER BY a');
  expect(rows.map(({ a }) => a)).toEqual([1, 2]);
  first.close();
  second.close();
});

it('answers nobody without its token, and no stream that it does not know', async () => {
  await expect(client('another').execute('SELECT 1')).rejects.toThrow(/401/);
  const answer = await fetch(`${server.url}/v2/pipeline`, {
    method: 'POST',
    headers: { authorization: 'Bearer a-token', 'content-type': 'application/json' },
    body: JSON.stringify({ baton: 'no-such-stream', requests: [] }),
  });
  expect(answer.status).toBe(404);
});
