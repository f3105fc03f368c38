import { z } from '@hono/zod-openapi';
import { shortened as cutShort } from '@zt/core/base/shortened';

/** What a caller is told when something cannot be done: what happened, and what is safe. */
export const ErrorSchema = z
  .object({
    code: z.string(),
    message: z.string(),
    /** The fields that could not be read, by their path. */
    issues: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
  })
  .openapi('Error');
export type ErrorBody = z.infer<typeof ErrorSchema>;

export class ApiError extends Error {
  constructor(
    readonly status: 400 | 401 | 403 | 404 | 409 | 413 | 429 | 503,
    readonly code: string,
    message: string,
    /** What of a body it is about. */
    readonly issues?: ErrorBody['issues'],
  ) {
    super(message);
  }
}

/** A file that is refused, with the lines why. */
export const refusedLines = (message: string, refusals: readonly { line: number; why: string }[]): ApiError =>
  new ApiError(
    400,
    'unreadable',
    message,
    refusals.map(({ line, why }) => ({ path: `line ${line}`, message: shortened(why) })),
  );

export const notFound = (what: string) => new ApiError(404, 'not-found', `There is no such ${what}.`);

/** A refusal says no more than this, however much was sent. */
const MOST_ISSUES = 20;
const MOST_LETTERS = 200;
export const shortened = (text: string): string => cutShort(text, MOST_LETTERS);

/** The issues of a failed reading, each with the path of its field; the first of many. */
export function issuesOf(error: z.ZodError): NonNullable<ErrorBody['issues']> {
  return error.issues.slice(0, MOST_ISSUES).map((issue) => ({
    path: shortened(issue.path.join('.')) || 'body',
    message: shortened(issue.message),
  }));
}

const json = <T extends z.ZodType>(schema: T, description: string) => ({
  description,
  content: { 'application/json': { schema } },
});

export const answers = json;
/** The answer of a route that has nothing else to say. */
export const Done = z.object({ done: z.literal(true) });
/** A body that is checked at once: none of these schemas waits for anything, and one that may wait is checked slowly. */
export function body<T extends z.ZodType>(schema: T) {
  schema.safeParseAsync = async (data, params) => schema.safeParse(data, params);
  return { required: true, content: { 'application/json': { schema } } };
}
export const failures = {
  400: json(ErrorSchema, 'A field could not be read'),
  401: json(ErrorSchema, 'The device is not paired'),
  403: json(ErrorSchema, 'This device may not do that'),
  404: json(ErrorSchema, 'There is none such'),
  409: json(ErrorSchema, 'It contradicts what is kept'),
  429: json(ErrorSchema, 'It was tried too often'),
};
