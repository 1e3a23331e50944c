/**
 * What goes over the wire between a libSQL client and its server, as far as the client sends it: requests on a stream,
 * values, conditions of a batch (Hrana over HTTP, JSON, versions 2 and 3).
 */
import { z } from 'zod';

/** A value of a cell or of a parameter. Whole numbers go as text, since JSON's are no 64 bits wide. */
export const Value = z.discriminatedUnion('type', [
  z.object({ type: z.literal('null') }),
  z.object({ type: z.literal('integer'), value: z.string() }),
  z.object({ type: z.literal('float'), value: z.number() }),
  z.object({ type: z.literal('text'), value: z.string() }),
  z.object({ type: z.literal('blob'), base64: z.string() })
]);
export type Value = z.infer<typeof Value>;

export const Statement = z.object({
  sql: z.string().optional(),
  sql_id: z.number().int().optional(),
  args: z.array(Value).default([]),
  named_args: z.array(z.object({ name: z.string(), value: Value })).default([]),
  want_rows: z.boolean().default(true)
});
export type Statement = z.infer<typeof Statement>;

/** When a step of a batch is done. */
export type Condition =
  | { type: 'ok' | 'error'; step: number }
  | { type: 'not'; cond: Condition }
  | { type: 'and' | 'or'; conds: Condition[] }
  | { type: 'is_autocommit' };
const Condition: z.ZodType<Condition> = z.lazy(() =>
  z.union([
    z.object({ type: z.enum(['ok', 'error']), step: z.number().int() }),
    z.object({ type: z.literal('not'), cond: Condition }),
    z.object({ type: z.enum(['and', 'or']), conds: z.array(Condition) }),
    z.object({ type: z.literal('is_autocommit') })
  ])
);

export const Batch = z.object({
  steps: z.array(z.object({ condition: Condition.nullish(), stmt: Statement }))
});
export type Batch = z.infer<typeof Batch>;

const text = { sql: z.string().optional(), sql_id: z.number().int().optional() };
export const Request = z.discriminatedUnion('type', [
  z.object({ type: z.literal('close') }),
  z.object({ type: z.literal('execute'), stmt: Statement }),
  z.object({ type: z.literal('batch'), batch: Batch }),
  z.object({ type: z.literal('sequence'), ...text }),
  z.object({ type: z.literal('describe'), ...text }),
  z.object({ type: z.literal('store_sql'), sql_id: z.number().int(), sql: z.string() }),
  z.object({ type: z.literal('close_sql'), sql_id: z.number().int() }),
  z.object({ type: z.literal('get_autocommit') })
]);
export type Request = z.infer<typeof Request>;

const baton = z.string().nullish();
export const Pipeline = z.object({ baton, requests: z.array(Request) });
export const CursorAsked = z.object({ baton, batch: Batch });

/** What a statement gave. */
export interface Rows {
  cols: { name: string; decltype: string | null }[];
  rows: Value[][];
  affected_row_count: number;
  last_insert_rowid: string | null;
}

/** An error as it is answered. */
export interface Refusal {
  message: string;
  code: string;
}

/** A value as it is bound. */
export function bound(value: Value): null | bigint | number | string | Buffer {
  switch (value.type) {
    case 'null':
      return null;
    case 'integer':
      return BigInt(value.value);
    case 'blob':
      return Buffer.from(value.base64, 'base64');
    default:
      return value.value;
  }
}

/** A cell as it is answered. */
export function answered(cell: unknown): Value {
  if (cell === null || cell === undefined) return { type: 'null' };
  if (typeof cell === 'bigint') return { type: 'integer', value: `${cell}` };
  if (typeof cell === 'number') return { type: 'float', value: cell };
  if (typeof cell === 'string') return { type: 'text', value: cell };
  return { type: 'blob', base64: Buffer.from(cell as Uint8Array).toString('base64') };
}
