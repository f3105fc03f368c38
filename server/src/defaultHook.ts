import type { Hook } from '@hono/zod-openapi';
import type { Env } from 'hono';
import { type ErrorBody, issuesOf } from './errors';

/** Routes that save nothing when all goes well either. */
const PREVIEWS = ['/api/plan', '/api/practice', '/api/cutter', '/api/paper'];

/** What did not happen, in words that are true of the route. */
export const whatWasNotDone = (path: string): string =>
  PREVIEWS.some((preview) => path.startsWith(preview)) ? 'This cannot be read.' : 'Nothing was saved.';

/** Answers a request that could not be read with the fields at fault. */
export const defaultHook: Hook<unknown, Env, string, unknown> = (result, c) => {
  if (result.success) return;
  const issues = issuesOf(result.error);
  const first = issues[0];
  const answer: ErrorBody = {
    code: 'unreadable',
    message: `${whatWasNotDone(c.req.path)} ${first?.path ?? 'body'}: ${first?.message ?? 'cannot be read'}`,
    issues,
  };
  return c.json(answer, 400);
};
