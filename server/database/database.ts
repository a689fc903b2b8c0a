import { statSync } from 'node:fs';

import type { Knex } from 'knex';

import type { ServerFault } from '@core/foundations/fault';

import { Trouble } from '../trouble';
import { BUSY_PATIENCE_MS, isBusy, storageFault } from './storageFault';

const [FIRST_WAIT_MS, LONGEST_WAIT_MS] = [10, 200];

/**
 * The database, with one way to read it and one to write it. Everything goes through these two, so that a lock of
 * another program is waited for and a fault of the disk is told by its name.
 */
export class Database {
  readonly #inode: number | null;

  /** @param file null for one in memory. */
  constructor(
    readonly knex: Knex,
    private readonly file: string | null,
  ) {
    this.#inode = inodeOf(file);
  }

  /** Reads in one transaction: all of it from one moment. */
  read<T>(work: (transaction: Knex) => Promise<T>): Promise<T> {
    return this.#run(() => this.knex.transaction(work, { readOnly: true }));
  }

  /**
   * Writes in one transaction: all of it or nothing, and on the disk when this returns.
   * @throws Trouble when it can't be written.
   */
  write<T>(work: (transaction: Knex) => Promise<T>): Promise<T> {
    return this.#run(() => {
      this.#mustBeThere();
      return this.knex.transaction(work);
    });
  }

  /** Tries a write that changes nothing worth keeping. Gives what is wrong, or null. */
  async probe(): Promise<ServerFault | null> {
    try {
      await this.write((transaction) =>
        transaction('health')
          .insert({ id: 1, count: 0 })
          .onConflict('id')
          .merge({ count: transaction.raw('count + 1') }),
      );
      return null;
    } catch (error) {
      if (error instanceof Trouble) return error.fault;
      throw error;
    }
  }

  /** Brings everything into the one file, so that it alone is a whole copy, and closes it. */
  async close(): Promise<void> {
    if (this.file !== null && inodeOf(this.file) === this.#inode) {
      await this.knex.raw('pragma wal_checkpoint(truncate)').catch((error: unknown) => {
        // Held by another, or no room: what is in the log beside it is read from there the next time.
        if (storageFault(error, this.file ?? 'memory') === null) throw error;
      });
    }
    await this.knex.destroy();
  }

  /** Whatever is written to a file that was deleted or exchanged is lost: it is told before anything is taken in. */
  #mustBeThere(): void {
    if (this.file !== null && inodeOf(this.file) !== this.#inode) {
      throw new Trouble({ code: 'server.dataGone', where: this.file });
    }
  }

  async #run<T>(work: () => Promise<T>): Promise<T> {
    const begun = Date.now();
    for (let wait = FIRST_WAIT_MS; ; wait = Math.min(wait * 2, LONGEST_WAIT_MS)) {
      try {
        return await work();
      } catch (error) {
        // Nothing was done yet, since the lock is asked for first: it can be asked for again.
        if (isBusy(error) && Date.now() < begun + BUSY_PATIENCE_MS) {
          await new Promise((resolve) => setTimeout(resolve, wait));
          continue;
        }
        const fault = storageFault(error, this.file ?? 'memory', Date.now() - begun);
        throw fault ? new Trouble(fault, { cause: error }) : error;
      }
    }
  }
}

function inodeOf(file: string | null): number | null {
  if (file === null) return null;
  return statSync(file, { throwIfNoEntry: false })?.ino ?? null;
}
