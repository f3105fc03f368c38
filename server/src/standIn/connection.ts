import Database from 'libsql';
import type { Condition, Fault, Request, Rows, Statement, Value } from './protocol';

type Cell = null | bigint | number | string | Uint8Array;

const cellOf = (value: Value): Cell => {
  if (value.type === 'null') return null;
  if (value.type === 'integer') return BigInt(value.value);
  return value.type === 'blob' ? Buffer.from(value.base64, 'base64') : value.value;
};

function valueFrom(cell: unknown): Value {
  if (cell === null || cell === undefined) return { type: 'null' };
  if (typeof cell === 'bigint') return { type: 'integer', value: String(cell) };
  if (typeof cell === 'number') return { type: 'float', value: cell };
  if (typeof cell === 'string') return { type: 'text', value: cell };
  return { type: 'blob', base64: Buffer.from(cell as Uint8Array).toString('base64') };
}

const codeOf = (error: unknown): string | null =>
  error instanceof Error && 'code' in error ? String(error.code) : null;
export const faultOf = (error: unknown): Fault => ({
  message: error instanceof Error ? error.message : String(error),
  code: codeOf(error),
});

/** How long a statement waits for another connection's transaction, ms, and how often it looks. */
const PATIENCE_MS = 5000;
const LOOK_MS = 10;

/** One connection to the file, with the texts that were stored on it. */
export class Connection {
  private db: Database.Database;
  private readonly texts = new Map<number, string>();

  constructor(private readonly file: string) {
    this.db = this.opened();
  }

  private opened(): Database.Database {
    const db = new Database(this.file);
    db.exec('PRAGMA foreign_keys = ON');
    // Waiting is done here (`patiently`): a statement that waited in the engine would hold up all others.
    db.exec('PRAGMA busy_timeout = 0');
    // What it keeps is a test's: no power cut is survived, and nothing waits for the disk.
    db.exec('PRAGMA synchronous = OFF');
    return db;
  }

  close(): void {
    if (this.db.inTransaction) this.db.exec('ROLLBACK');
    this.db.close();
  }

  private textOf({ sql, sql_id: id }: Pick<Statement, 'sql' | 'sql_id'>): string {
    const text = sql ?? (id === undefined ? undefined : this.texts.get(id));
    if (text === undefined) throw new Error('The statement has no text.');
    return text;
  }

  private run(statement: Statement): Rows {
    const prepared = this.db.prepare(this.textOf(statement)).safeIntegers(true);
    const named = Object.fromEntries(
      statement.named_args.map(({ name, value }) => [name.replace(/^[:@$]/, ''), cellOf(value)]),
    );
    const args = statement.named_args.length > 0 ? named : statement.args.map(cellOf);
    let columns: { name: string }[] = [];
    try {
      prepared.raw(true);
      columns = prepared.columns();
    } catch {
      const { changes, lastInsertRowid } = prepared.run(args);
      return {
        cols: [],
        rows: [],
        affected_row_count: Number(changes),
        last_insert_rowid: String(lastInsertRowid),
      };
    }
    const rows = prepared.all(args) as unknown[][];
    return {
      cols: columns.map(({ name }) => ({ name, decltype: null })),
      rows: rows.map((row) => row.map(valueFrom)),
      affected_row_count: 0,
      last_insert_rowid: null,
    };
  }

  /** Waits while another connection has the file, without holding up the connection that is to let it go. */
  private async patiently<T>(work: () => T): Promise<T> {
    const until = Date.now() + PATIENCE_MS;
    for (;;) {
      try {
        return work();
      } catch (error) {
        if (codeOf(error) !== 'SQLITE_BUSY' || Date.now() > until) throw error;
        // A statement that was refused stays open, and keeps every later one here from committing.
        if (!this.db.inTransaction) {
          this.db.close();
          this.db = this.opened();
        }
        await new Promise((later) => setTimeout(later, LOOK_MS));
      }
    }
  }

  private async batch(steps: Extract<Request, { type: 'batch' }>['batch']['steps']) {
    const results: (Rows | null)[] = [];
    const errors: (Fault | null)[] = [];
    const holds = (condition: Condition): boolean => {
      switch (condition.type) {
        case 'ok':
          return results[condition.step] != null;
        case 'error':
          return errors[condition.step] != null;
        case 'not':
          return !holds(condition.cond);
        case 'and':
          return condition.conds.every(holds);
        case 'or':
          return condition.conds.some(holds);
        case 'is_autocommit':
          return !this.db.inTransaction;
      }
    };
    for (const { condition, stmt } of steps) {
      let result: Rows | null = null;
      let fault: Fault | null = null;
      if (!condition || holds(condition)) {
        try {
          result = await this.patiently(() => this.run(stmt));
        } catch (error) {
          fault = faultOf(error);
        }
      }
      results.push(result);
      errors.push(fault);
    }
    return { step_results: results, step_errors: errors };
  }

  /** Answers one request; throws what went wrong. `close` is for whoever holds the connection. */
  async answer(request: Request): Promise<object> {
    switch (request.type) {
      case 'execute':
        return { type: 'execute', result: await this.patiently(() => this.run(request.stmt)) };
      case 'batch':
        return { type: 'batch', result: await this.batch(request.batch.steps) };
      case 'sequence':
        await this.patiently(() => this.db.exec(this.textOf(request)));
        return { type: 'sequence' };
      case 'store_sql':
        this.texts.set(request.sql_id, request.sql);
        return { type: 'store_sql' };
      case 'close_sql':
        this.texts.delete(request.sql_id);
        return { type: 'close_sql' };
      case 'get_autocommit':
        return { type: 'get_autocommit', is_autocommit: !this.db.inTransaction };
      case 'close':
        return { type: 'close' };
    }
  }
}
