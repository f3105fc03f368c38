import type { Hook } from '@hono/zod-openapi';
import type { Env } from 'hono';
import { type ErrorBody, issuesOf } from './errors';

/** Answers a request that could not be read with the fields at fault. */
export const defaultHook: Hook<unknown, Env, string, unknown> = (result, c) => {
  if (result.success) return;
  const issues = issuesOf(result.error);
  const first = issues[0];
  const answer: ErrorBody = {
    code: 'unreadable',
    message: `Nothing was saved. ${first?.path ?? 'body'}: ${first?.message ?? 'cannot be read'}`,
    issues,
  };
  return c.json(answer, 400);
};
