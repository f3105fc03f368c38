import { z } from 'zod';

/**
 * The part of the open protocol of SQL over HTTP (version 2, JSON) that this program's client speaks: a stream is a
 * connection of its own, kept from request to request by a baton; a pipeline is some requests on it, one after the other.
 */
const ValueSchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('null') }),
  z.object({ type: z.literal('integer'), value: z.string() }),
  z.object({ type: z.literal('float'), value: z.number() }),
  z.object({ type: z.literal('text'), value: z.string() }),
  z.object({ type: z.literal('blob'), base64: z.string() }),
]);
export type Value = z.infer<typeof ValueSchema>;

const sql = { sql: z.string().optional(), sql_id: z.number().int().optional() };

const StatementSchema = z.object({
  ...sql,
  args: z.array(ValueSchema).default([]),
  named_args: z.array(z.object({ name: z.string(), value: ValueSchema })).default([]),
});
export type Statement = z.infer<typeof StatementSchema>;

export type Condition =
  | { type: 'ok' | 'error'; step: number }
  | { type: 'not'; cond: Condition }
  | { type: 'and' | 'or'; conds: Condition[] }
  | { type: 'is_autocommit' };
const ConditionSchema: z.ZodType<Condition> = z.lazy(() =>
  z.union([
    z.object({ type: z.enum(['ok', 'error']), step: z.number().int() }),
    z.object({ type: z.literal('not'), cond: ConditionSchema }),
    z.object({ type: z.enum(['and', 'or']), conds: z.array(ConditionSchema) }),
    z.object({ type: z.literal('is_autocommit') }),
  ]),
);

export const RequestSchema = z.discriminatedUnion('type', [
  z.object({ type: z.literal('close') }),
  z.object({ type: z.literal('execute'), stmt: StatementSchema }),
  z.object({
    type: z.literal('batch'),
    batch: z.object({
      steps: z.array(z.object({ condition: ConditionSchema.nullish(), stmt: StatementSchema })),
    }),
  }),
  z.object({ type: z.literal('sequence'), ...sql }),
  z.object({ type: z.literal('store_sql'), sql_id: z.number().int(), sql: z.string() }),
  z.object({ type: z.literal('close_sql'), sql_id: z.number().int() }),
  z.object({ type: z.literal('get_autocommit') }),
]);
export type Request = z.infer<typeof RequestSchema>;

export const PipelineSchema = z.object({
  baton: z.string().nullish(),
  requests: z.array(RequestSchema).max(1000),
});

export interface Rows {
  cols: { name: string; decltype: string | null }[];
  rows: Value[][];
  affected_row_count: number;
  last_insert_rowid: string | null;
}
export interface Fault {
  message: string;
  code: string | null;
}
