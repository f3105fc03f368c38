import { z } from '@hono/zod-openapi';

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
    readonly status: 400 | 404 | 409 | 413,
    readonly code: string,
    message: string,
  ) {
    super(message);
  }
}

export const notFound = (what: string) => new ApiError(404, 'not-found', `There is no such ${what}.`);

/** The issues of a failed reading, each with the path of its field. */
export function issuesOf(error: z.ZodError): NonNullable<ErrorBody['issues']> {
  return error.issues.map((issue) => ({ path: issue.path.join('.') || 'body', message: issue.message }));
}

const json = <T extends z.ZodType>(schema: T, description: string) => ({
  description,
  content: { 'application/json': { schema } },
});

export const answers = json;
export const body = <T extends z.ZodType>(schema: T) => ({
  required: true,
  content: { 'application/json': { schema } },
});
export const failures = {
  400: json(ErrorSchema, 'A field could not be read'),
  404: json(ErrorSchema, 'There is none such'),
};
