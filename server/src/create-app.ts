import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { serveStatic } from '@hono/node-server/serve-static';
import { OpenAPIHono } from '@hono/zod-openapi';
import type { Context as Asked, MiddlewareHandler } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { compress } from 'hono/compress';
import { etag } from 'hono/etag';
import { HTTPException } from 'hono/http-exception';
import type { Context } from './context';
import { StoreBusy, speaksOf } from './db/client';
import { whatWasNotDone } from './defaultHook';
import { ApiError, type ErrorBody, shortened } from './errors';
import { backupRoutes } from './features/backups/routes';
import { changesRoutes, isQuestion, tellingChanges } from './features/changes/routes';
import { customerRoutes } from './features/customers/routes';
import { cutterRoutes } from './features/cutter/routes';
import { dayRoutes } from './features/day/routes';
import { devicesRoutes } from './features/devices/routes';
import { drawingRoutes } from './features/drawings/routes';
import { drillRoutes } from './features/drills/routes';
import { exportedRoutes } from './features/exported/routes';
import { historyRoutes } from './features/history/routes';
import { LogMemory } from './features/logbook/memory';
import { logbookRoutes } from './features/logbook/routes';
import { orderRoutes } from './features/orders/routes';
import { paperRoutes } from './features/paper/routes';
import { photoRoutes } from './features/photos/routes';
import { planRoutes } from './features/plan/routes';
import { practiceRoutes } from './features/practice/routes';
import { rulesRoutes } from './features/rules/routes';
import { searchesRoutes } from './features/searches/routes';
import { setAsideRoutes } from './features/setAside/routes';
import { shelfRoutes } from './features/shelf/routes';
import { ticketRoutes } from './features/tickets/routes';
import { weeksRoutes } from './features/weeks/routes';
import { onlyOwnPages, pageHeaders } from './http/guard';
import { notTooOften } from './http/rates';
import { onlyPaired, whoAsks } from './http/whoAsks';
import { stitchFileJsonSchema } from './stitchFileSchema';
import { Unusable } from './unusable';

const MEGABYTE = 1024 * 1024;
const MOST_BODY_MB = 8;
/** All data of a shop. */
const MOST_EXPORT_MB = 256;

/** A file that bears the hash of what it holds: under this name it is never another. */
const HASHED = /[-.]([0-9a-f]{32}|[0-9A-Z]{8})\.\w+$/;

const API_DOCUMENT = {
  openapi: '3.1.0',
  info: {
    title: 'Zealous Thimble',
    version: '1',
    description:
      'Tickets, shelf, house rules, logbook, and the plan worked out from them. Lengths are millimetres.',
  },
};

/** What the disk does not let be written. What was sent waits on its device until it does. */
const DISK = [
  {
    what: /SQLITE_FULL|ENOSPC/,
    code: 'full',
    message: 'The disk of the shop’s computer is full. Nothing was saved; make room, and it is tried again.',
  },
  {
    what: /SQLITE_READONLY|EROFS/,
    code: 'not-writable',
    message:
      'The data file of the shop’s computer cannot be written to. Nothing was saved; look who may write there.',
  },
] as const;

function answerError(
  error: Error,
  path: string,
): { status: 400 | 401 | 403 | 404 | 409 | 413 | 429 | 500 | 503; body: ErrorBody } {
  if (error instanceof ApiError) {
    const { code, message, issues } = error;
    return { status: error.status, body: { code, message, ...(issues ? { issues } : {}) } };
  }
  if (error instanceof Unusable) return { status: 400, body: { code: 'unusable', message: error.message } };
  if (error instanceof HTTPException && error.status < 500) {
    const message = `${whatWasNotDone(path)} ${shortened(error.message)}`;
    return { status: 400, body: { code: 'unreadable', message } };
  }
  if (error instanceof StoreBusy) {
    const message = `${error.message} Nothing was saved; it can be tried again.`;
    return { status: 503, body: { code: 'busy', message } };
  }
  const disk = DISK.find(({ what }) => speaksOf(error, what));
  if (disk) return { status: 503, body: { code: disk.code, message: disk.message } };
  return {
    status: 500,
    body: { code: 'failed', message: 'Something failed here. What was saved before is safe; try again.' },
  };
}

/** Refuses what is longer. A length that is told is believed, since no more than that is read; else it is counted. */
function atMost(megabytes: number): MiddlewareHandler {
  const maxSize = megabytes * MEGABYTE;
  const onError = (c: Asked) =>
    c.json(
      {
        code: 'too-large',
        message: `This is over ${megabytes} MB. ${whatWasNotDone(c.req.path)}`,
      } satisfies ErrorBody,
      413,
    );
  const counted = bodyLimit({ maxSize, onError });
  return async (c, next) => {
    const told = c.req.header('content-length');
    if (told === undefined || c.req.header('transfer-encoding') !== undefined) return counted(c, next);
    return Number(told) > maxSize ? onError(c) : next();
  };
}

/** What is done with answers that may be long; the answer to a change is a line. */
const ofQuestions =
  (way: MiddlewareHandler): MiddlewareHandler =>
  (c, next) =>
    isQuestion(c.req) ? way(c, next) : next();

/** The whole server: the interface under /api, the web app for everything else. */
export function createApp(context: Context) {
  const app = new OpenAPIHono();
  app.use(pageHeaders());
  app.use(onlyOwnPages(context.reach));
  app.use('/api/*', whoAsks(context), notTooOften(context), onlyPaired());
  // Before what waits for the end of an answer: this one has none.
  app.route('/api/changes', changesRoutes(context));
  app.use(ofQuestions(compress()));
  // Asked for again, an answer that is the same is not sent again.
  app.use('/api/*', ofQuestions(etag()), async (c, next) => {
    await next();
    c.header('cache-control', c.res.headers.get('cache-control') ?? 'no-cache');
  });
  const [limit, exportLimit] = [atMost(MOST_BODY_MB), atMost(MOST_EXPORT_MB)];
  app.use('/api/*', (c, next) => (c.req.path === '/api/export' ? exportLimit : limit)(c, next));
  app.use('/api/*', async (c, next) => {
    if (context.readOnly && !isQuestion(c.req)) throw new ApiError(403, 'read-only', context.readOnly);
    await next();
  });
  app.onError((error, c) => {
    const { status, body } = answerError(error, c.req.path);
    if (status === 500) process.stderr.write(`${error.stack ?? error.message}\n`);
    return c.json(body, status);
  });
  for (const noun of ['shelf', 'rules', 'logbook', 'orders', 'customers', 'day'] as const)
    app.use(`/api/${noun}/*`, tellingChanges(context, noun));
  app.get('/api/health', (c) => c.json({ ok: true }));
  app.get('/api/certificate', (c) =>
    context.reach.secure
      ? c.body(context.reach.secure.authority, 200, {
          'content-type': 'application/x-x509-ca-cert',
          'content-disposition': 'attachment; filename="shop.crt"',
        })
      : c.json({ code: 'not-found', message: 'Https is not spoken here.' } satisfies ErrorBody, 404),
  );
  app.route('/api/tickets', ticketRoutes(context));
  app.route('/api/drawings', drawingRoutes(context));
  const memory = new LogMemory(context.store);
  app.route('/api/shelf', shelfRoutes(context));
  app.route('/api/rules', rulesRoutes(context));
  app.route('/api/logbook', logbookRoutes(context, memory));
  app.route('/api/orders', orderRoutes(context, memory));
  app.route('/api/customers', customerRoutes(context));
  app.route('/api/day', dayRoutes(context, memory));
  app.route('/api/weeks', weeksRoutes(context));
  app.route('/api/searches', searchesRoutes(context));
  app.route('/api/set-aside', setAsideRoutes(context));
  app.route('/api/drills', drillRoutes(context));
  app.route('/api/history', historyRoutes(context));
  app.route('/api/devices', devicesRoutes(context));
  app.route('/api/export', exportedRoutes(context));
  app.route('/api/backups', backupRoutes(context));
  app.route('/api/photos', photoRoutes(context));
  app.route('/api/plan', planRoutes(context));
  app.route('/api/paper', paperRoutes(context));
  app.route('/api/practice', practiceRoutes(context));
  app.route('/api/cutter', cutterRoutes());
  app.doc31('/api/openapi.json', API_DOCUMENT);
  app.get('/api/schemas/stitches.json', (c) => c.json(stitchFileJsonSchema()));
  app.all('/api/*', (c) =>
    c.json({ code: 'not-found', message: 'There is no such address.' } satisfies ErrorBody, 404),
  );
  app.use('*', async (c, next) => {
    await next();
    if (!c.req.path.startsWith('/api/'))
      c.header(
        'cache-control',
        HASHED.test(c.req.path) && c.res.ok ? 'public, max-age=31536000, immutable' : 'no-cache',
      );
  });
  app.use('*', serveStatic({ root: context.config.webRoot, precompressed: true }));
  // Browsers ask for it unasked.
  app.get('/favicon.ico', (c) => c.body(null, 204));
  // A page of the app has no dot in its name; what has one is a file, and it is missing.
  app.get('*', async (c, next) =>
    /\.[^/]*$/.test(c.req.path) ? c.text('There is no such file.', 404) : next(),
  );
  app.get('*', async (c) => c.html(await readFile(join(context.config.webRoot, 'index.html'), 'utf8')));
  return app;
}
