import { Hono, type MiddlewareHandler } from 'hono';
import { streamSSE } from 'hono/streaming';
import type { Context } from '../../context';

/** A line now and then, so that neither side takes a still connection for a lost one, ms. */
const HEARTBEAT_MS = 20_000;

/** What is asked by POST and changes nothing of the data. */
const QUESTIONS = /^\/api\/(plan|paper|logbook\/advice$|backups$)/;
export const isQuestion = ({ method, path }: { method: string; path: string }): boolean =>
  method === 'GET' || QUESTIONS.test(path);

/** Tells open pages of every change that was answered well, of nouns whose routes do not tell themselves. */
export const tellingChanges =
  (
    { changes }: Context,
    noun: 'shelf' | 'rules' | 'logbook' | 'orders' | 'customers' | 'day',
  ): MiddlewareHandler =>
  async (c, next) => {
    await next();
    if (isQuestion(c.req) || !c.res.ok) return;
    changes.tell({ noun, id: null, rev: null, device: c.req.header('x-device') ?? null });
  };

/** What others change, as it happens (server-sent events). Ends when the page is left. */
export const changesRoutes = ({ changes, store }: Context) =>
  new Hono().get('/', (c) => {
    const { deviceId } = c.get('asker');
    c.header('cache-control', 'no-store');
    return streamSSE(c, async (stream) => {
      const unlisten = changes.listen((change) => void stream.writeSSE({ data: JSON.stringify(change) }));
      const beat = setInterval(() => void stream.writeSSE({ event: 'still', data: '' }), HEARTBEAT_MS);
      await stream.writeSSE({ event: 'listening', data: String(store.era) });
      let keep: () => void = () => undefined;
      await new Promise<void>((left) => {
        stream.onAbort(left);
        keep = changes.onRevoked(deviceId, left);
      });
      clearInterval(beat);
      unlisten();
      keep();
    });
  });
