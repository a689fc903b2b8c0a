import type { Knex } from 'knex';
import Client_BetterSQLite3 from 'knex/lib/dialects/better-sqlite3/index.js';
import Transaction from 'knex/lib/execution/transaction.js';

/** As much of a libsql connection as is used here. */
export interface Connection {
  open: boolean;
  readonly inTransaction: boolean;
  exec(sql: string): void;
  pragma(source: string): unknown;
  close(): void;
}

/**
 * A transaction takes the right to write when it begins, not at its first write: then another program's lock is met
 * before anything is done, and waiting for it is all there is to do. One that only reads takes none.
 */
class PromptTransaction extends Transaction {
  override begin(connection: unknown): Promise<unknown> {
    return this.query(connection, this.readOnly ? 'BEGIN;' : 'BEGIN IMMEDIATE;');
  }

  /** A full disk ends the transaction by itself (SQLite, "Response To Errors Within A Transaction"): told as what it was. */
  override rollback(connection: Connection, error: unknown): Promise<unknown> {
    if (connection.inTransaction) return super.rollback(connection, error);
    this._completed = true;
    this._rejecter(error);
    return Promise.resolve();
  }
}

/** Knex's better-sqlite3 dialect on libsql, which has the same interface and ships its binary in its package. */
export class LibsqlDialect extends Client_BetterSQLite3 {
  _driver(): unknown {
    // eslint-disable-next-line @typescript-eslint/no-require-imports -- Knex asks for the driver synchronously
    return require('libsql');
  }

  override transaction(container: unknown, config: unknown, outer: unknown): Knex.Transaction {
    return new PromptTransaction(this, container, config, outer) as unknown as Knex.Transaction;
  }

  /** A connection that a commit or a rollback left in the middle of a transaction is never used again. */
  override validateConnection(connection: Connection): Promise<boolean> {
    return Promise.resolve(connection.open && !connection.inTransaction);
  }

  override async destroyRawConnection(connection: Connection): Promise<void> {
    try {
      if (connection.inTransaction) connection.exec('ROLLBACK');
    } catch {
      // What it had begun is undone by closing it.
    }
    connection.close();
  }
}
