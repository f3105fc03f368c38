import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { serveStatic } from '@hono/node-server/serve-static';
import { OpenAPIHono } from '@hono/zod-openapi';
import { bodyLimit } from 'hono/body-limit';
import { compress } from 'hono/compress';
import { HTTPException } from 'hono/http-exception';
import type { Context } from './context';
import { whatWasNotDone } from './defaultHook';
import { ApiError, type ErrorBody } from './errors';
import { logbookRoutes } from './features/logbook/routes';
import { paperRoutes } from './features/paper/routes';
import { planRoutes } from './features/plan/routes';
import { practiceRoutes } from './features/practice/routes';
import { rulesRoutes } from './features/rules/routes';
import { shelfRoutes } from './features/shelf/routes';
import { ticketRoutes } from './features/tickets/routes';

const MOST_BODY_BYTES = 8 * 1024 * 1024;

const API_DOCUMENT = {
  openapi: '3.1.0',
  info: {
    title: 'Zealous Thimble',
    version: '1',
    description:
      'Tickets, shelf, house rules, logbook, and the plan worked out from them. Lengths are millimetres.',
  },
};

function answerError(error: Error, path: string): { status: 400 | 404 | 409 | 413 | 500; body: ErrorBody } {
  if (error instanceof ApiError)
    return { status: error.status, body: { code: error.code, message: error.message } };
  if (error instanceof HTTPException && error.status < 500) {
    return { status: 400, body: { code: 'unreadable', message: `${whatWasNotDone(path)} ${error.message}` } };
  }
  return {
    status: 500,
    body: { code: 'failed', message: 'Something failed here. What was saved before is safe; try again.' },
  };
}

/** The whole server: the interface under /api, the web app for everything else. */
export function createApp(context: Context) {
  const app = new OpenAPIHono();
  app.use(compress());
  app.use(
    '/api/*',
    bodyLimit({
      maxSize: MOST_BODY_BYTES,
      onError: (c) =>
        c.json(
          {
            code: 'too-large',
            message: `This is over 8 MB. ${whatWasNotDone(c.req.path)}`,
          } satisfies ErrorBody,
          413,
        ),
    }),
  );
  app.onError((error, c) => {
    const { status, body } = answerError(error, c.req.path);
    if (status === 500) process.stderr.write(`${error.stack ?? error.message}\n`);
    return c.json(body, status);
  });
  app.get('/api/health', (c) => c.json({ ok: true }));
  app.route('/api/tickets', ticketRoutes(context));
  app.route('/api/shelf', shelfRoutes(context));
  app.route('/api/rules', rulesRoutes(context));
  app.route('/api/logbook', logbookRoutes(context));
  app.route('/api/plan', planRoutes(context));
  app.route('/api/paper', paperRoutes(context));
  app.route('/api/practice', practiceRoutes(context));
  app.doc31('/api/openapi.json', API_DOCUMENT);
  app.all('/api/*', (c) =>
    c.json({ code: 'not-found', message: 'There is no such address.' } satisfies ErrorBody, 404),
  );
  app.use('*', serveStatic({ root: context.config.webRoot }));
  app.get('*', async (c) => c.html(await readFile(join(context.config.webRoot, 'index.html'), 'utf8')));
  return app;
}
