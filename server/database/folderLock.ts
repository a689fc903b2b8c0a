import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import type { Connection } from './libsqlDialect';
import { isBusy } from './storageFault';
import { Trouble } from '../trouble';

/** Held for as long as a server is at work on a folder. */
export interface FolderLock {
  /** Writes down where this server is found, for whoever is refused. */
  announce(address: string): void;
  release(): void;
}

/**
 * Keeps a second server off a folder. The lock is the operating system's own, on a file of SQLite's that is kept
 * locked: it goes with the process, however that ends.
 *
 * @throws Trouble `server.folderInUse` when another holds it.
 */
export function lockFolder(folder: string): FolderLock {
  const connection = connect(join(folder, '.in-use'));
  const note = join(folder, '.in-use.json');
  try {
    connection.exec('begin exclusive');
  } catch (error) {
    connection.close();
    if (!isBusy(error)) throw error;
    throw new Trouble({ code: 'server.folderInUse', where: folder, by: holderIn(note) }, { cause: error });
  }
  return {
    announce: (address) => writeFileSync(note, JSON.stringify({ address, process: process.pid })),
    release() {
      rmSync(note, { force: true });
      connection.exec('rollback');
      connection.close();
    },
  };
}

function connect(file: string): Connection {
  // eslint-disable-next-line @typescript-eslint/no-require-imports -- libsql has no types, and Knex loads it so too
  const Libsql = require('libsql') as new (file: string) => Connection;
  return new Libsql(file);
}

function holderIn(note: string): string | null {
  try {
    const { address, process: id } = JSON.parse(readFileSync(note, 'utf8')) as Record<string, unknown>;
    return `process ${String(id)} at ${String(address)}`;
  } catch {
    // It is only just starting.
    return null;
  }
}
