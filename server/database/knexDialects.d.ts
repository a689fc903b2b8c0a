declare module 'knex/lib/dialects/better-sqlite3/index.js' {
  import { Knex } from 'knex';

  export default class Client_BetterSQLite3 extends Knex.Client {
    _query(connection: unknown, query: { sql: string }): Promise<unknown>;
    destroyRawConnection(connection: unknown): Promise<void>;
  }
}

declare module 'knex/lib/execution/transaction.js' {
  export default class Transaction {
    constructor(client: unknown, container: unknown, config: unknown, outer: unknown);
    readOnly?: boolean;
    query(connection: unknown, sql: string): Promise<unknown>;
    begin(connection: unknown): Promise<unknown>;
    rollback(connection: unknown, error: unknown): Promise<unknown>;
    _completed: boolean;
    _rejecter(error: unknown): void;
  }
}
