import Client_BetterSQLite3 from 'knex/lib/dialects/better-sqlite3/index.js';

/** Knex's better-sqlite3 dialect on libsql, which has the same interface and ships its binary in its package. */
export class LibsqlDialect extends Client_BetterSQLite3 {
  _driver(): unknown {
    // eslint-disable-next-line @typescript-eslint/no-require-imports -- Knex asks for the driver synchronously
    return require('libsql');
  }
}
