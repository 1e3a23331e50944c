import Database from 'libsql';
import {
  answered,
  bound,
  type Batch,
  type Condition,
  type Refusal,
  type Request,
  type Rows,
  type Statement
} from './protocol';

/** So long a statement waits for another stream's transaction to end, ms, before it is told that the database is busy. */
const BUSY_MS = 2000;
const LOOKS_AGAIN_MS = 4;

/** The part of the synchronous driver that is used here: its own types leave most of it out. */
interface Prepared {
  safeIntegers(on: boolean): void;
  raw(on: boolean): void;
  columns(): { name: string; type: string | null }[];
  all(args: unknown): unknown[][];
  run(args: unknown): { changes: number; lastInsertRowid: number | bigint };
}

export const refusalOf = (error: unknown): Refusal => {
  const { message, code } = error as { message?: string; code?: string };
  return { message: `${message}`, code: code ?? 'SQLITE_UNKNOWN' };
};

/** One stream of a client: a connection of its own to the database, and the texts it stored. */
export class Stream {
  readonly #connection: Database.Database;
  readonly #texts = new Map<number, string>();
  /** When it was last used, ms. */
  usedAt = Date.now();

  constructor(path: string) {
    // It must not wait inside: all streams share one thread, and who holds the lock could never let go.
    this.#connection = new Database(path, { timeout: 0 });
    this.#connection.exec('PRAGMA foreign_keys=on');
  }

  get inTransaction(): boolean {
    return this.#connection.inTransaction;
  }

  /** Ends it: a transaction that is open is taken back. */
  close(): void {
    if (!this.#connection.open) return;
    // Closed within a transaction, the driver would keep its lock.
    if (this.inTransaction) this.#connection.exec('ROLLBACK');
    this.#connection.close();
  }

  /** Answers one request of a pipeline. Throws what the database says. */
  async answer(request: Request): Promise<unknown> {
    switch (request.type) {
      case 'close':
        this.close();
        return { type: 'close' };
      case 'execute':
        return { type: 'execute', result: await this.execute(request.stmt) };
      case 'batch':
        return { type: 'batch', result: await this.#batch(request.batch) };
      case 'sequence':
        await this.#patiently(() => this.#connection.exec(this.#text(request)));
        return { type: 'sequence' };
      case 'describe':
        return { type: 'describe', result: this.#describe(this.#text(request)) };
      case 'store_sql':
        this.#texts.set(request.sql_id, request.sql);
        return { type: 'store_sql' };
      case 'close_sql':
        this.#texts.delete(request.sql_id);
        return { type: 'close_sql' };
      case 'get_autocommit':
        return { type: 'get_autocommit', is_autocommit: !this.inTransaction };
    }
  }

  /** Runs a statement. Throws what the database says. */
  async execute(stmt: Statement): Promise<Rows> {
    const sql = this.#text(stmt);
    const args = stmt.named_args.length
      ? Object.fromEntries(
          stmt.named_args.map(({ name, value }) => [name.replace(/^[@$:]/, ''), bound(value)])
        )
      : stmt.args.map(bound);
    // The same one is tried again: a BEGIN that found the database busy stays under way until then, and no COMMIT would pass it.
    const prepared = this.#connection.prepare(sql) as unknown as Prepared;
    return this.#patiently(() => run(prepared, args));
  }

  /** Whether a step of a batch is done, by what came of those before it. */
  holds(condition: Condition | null | undefined, errors: readonly (Refusal | null | undefined)[]): boolean {
    switch (condition?.type) {
      case undefined:
        return true;
      case 'ok':
        return errors[condition.step] === null;
      case 'error':
        return !!errors[condition.step];
      case 'not':
        return !this.holds(condition.cond, errors);
      case 'and':
        return condition.conds.every((c) => this.holds(c, errors));
      case 'or':
        return condition.conds.some((c) => this.holds(c, errors));
      case 'is_autocommit':
        return !this.inTransaction;
    }
  }

  async #batch({ steps }: Batch) {
    const results: (Rows | null)[] = [];
    // A step that was left out is neither right nor wrong.
    const errors: (Refusal | null | undefined)[] = [];
    for (const { condition, stmt } of steps) {
      if (!this.holds(condition, errors)) {
        results.push(null);
        errors.push(undefined);
        continue;
      }
      try {
        results.push(await this.execute(stmt));
        errors.push(null);
      } catch (error) {
        results.push(null);
        errors.push(refusalOf(error));
      }
    }
    return { step_results: results, step_errors: errors.map((e) => e ?? null) };
  }

  #describe(sql: string) {
    const statement = this.#connection.prepare(sql) as unknown as Prepared;
    const returns = returnsRows(statement);
    const cols = returns ? statement.columns().map(({ name, type }) => ({ name, decltype: type })) : [];
    return { params: [], cols, is_explain: /^\s*explain/i.test(sql), is_readonly: returns };
  }

  #text({ sql, sql_id }: { sql?: string | undefined; sql_id?: number | undefined }): string {
    const text = sql ?? (sql_id === undefined ? undefined : this.#texts.get(sql_id));
    if (text === undefined)
      throw Object.assign(new Error(`No text is stored as ${sql_id}`), { code: 'SQL_NOT_FOUND' });
    if (/^\s*(attach|detach)\b/i.test(text))
      throw Object.assign(new Error('Only one database is served here'), { code: 'SQL_NOT_ALLOWED' });
    return text;
  }

  /** Tries again while another stream writes, and lets that stream's requests in meanwhile. */
  async #patiently<T>(work: () => T): Promise<T> {
    for (const until = Date.now() + BUSY_MS; ;) {
      try {
        return work();
      } catch (error) {
        // Inside a transaction the snapshot is old for good: waiting would not mend it.
        if (!/^SQLITE_BUSY$/.test(refusalOf(error).code) || this.inTransaction || Date.now() > until)
          throw error;
        await new Promise((again) => setTimeout(again, LOOKS_AGAIN_MS));
      }
    }
  }
}

function run(statement: Prepared, args: unknown): Rows {
  statement.safeIntegers(true);
  if (!returnsRows(statement)) {
    const { changes, lastInsertRowid } = statement.run(args);
    return { cols: [], rows: [], affected_row_count: changes, last_insert_rowid: `${lastInsertRowid}` };
  }
  const cols = statement.columns().map(({ name, type }) => ({ name, decltype: type }));
  const rows = statement.all(args).map((row) => row.map(answered));
  return { cols, rows, affected_row_count: 0, last_insert_rowid: null };
}

/** Whether a statement gives rows: the driver refuses to give raw ones of one that does not. */
function returnsRows(statement: Prepared): boolean {
  try {
    statement.raw(true);
    return true;
  } catch {
    return false;
  }
}
