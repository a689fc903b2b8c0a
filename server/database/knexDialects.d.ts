declare module 'knex/lib/dialects/better-sqlite3/index.js' {
  import { Knex } from 'knex';

  export default class Client_BetterSQLite3 extends Knex.Client {}
}
