import type { Knex } from 'knex';

import type { Repair } from '@core/record/model';
import { progressOf } from '@core/reporting/progress';
import { newestRevision } from '@core/reporting/revision';

import type { Database } from '../database/database';

/** How many repairs are summed up in one transaction. */
const AT_ONCE = 20;

/**
 * What lists show of each repair and the words it is found by. A change only marks it stale; it is summed up after
 * the answer has gone out, or before the next list is read.
 */
export class Summaries {
  #underWay: Promise<void> | null = null;
  #timer: ReturnType<typeof setTimeout> | null = null;

  constructor(
    private readonly database: Database,
    private readonly load: (database: Knex, id: string) => Promise<Repair | null>,
    private readonly onTrouble: (error: unknown) => void,
  ) {}

  /** Sums up what is stale in a moment. What fails stays stale and is tried again before the next list. */
  soon(): void {
    if (this.#timer) return;
    this.#timer = setTimeout(() => {
      this.#timer = null;
      this.bringUpToDate().catch(this.onTrouble);
    }, SOON_MS);
    this.#timer.unref();
  }

  /** Sums up all that is stale; returns when nothing is. */
  bringUpToDate(): Promise<void> {
    this.#underWay ??= this.#all().finally(() => {
      this.#underWay = null;
    });
    return this.#underWay;
  }

  stop(): void {
    if (this.#timer) clearTimeout(this.#timer);
    this.#timer = null;
  }

  async #all(): Promise<void> {
    while (await this.#some()) {
      // One batch after the other, with room for others in between.
    }
  }

  /** @returns whether there may be more. */
  async #some(): Promise<boolean> {
    // In the words of the index of those that are stale, which is the only thing that is looked at.
    const first = await this.database.knex<StaleRow>('repairs').select('id').whereRaw('stale').limit(1);
    if (first.length === 0) return false;
    return this.database.write(async (transaction) => {
      const rows = await transaction<StaleRow>('repairs')
        .select('id', 'search_id')
        .whereRaw('stale')
        .limit(AT_ONCE);
      for (const { id, search_id } of rows) {
        const repair = await this.load(transaction, id);
        if (repair) await writeSummary(transaction, repair, search_id);
      }
      return rows.length === AT_ONCE;
    });
  }
}

const SOON_MS = 30;

interface StaleRow {
  id: string;
  search_id: number;
  stale: boolean;
}

async function writeSummary(database: Knex, repair: Repair, searchId: number): Promise<void> {
  const { stage, next } = progressOf(repair);
  await database('repairs')
    .where({ id: repair.head.id })
    .update({
      stage,
      next: JSON.stringify(next),
      revision: newestRevision(repair)?.letter ?? null,
      stale: false,
    });
  // Deleted ones are not found.
  const words = repair.head.removed ? null : wordsOf(repair);
  const known = await database<{ rowid: number; words: string }>('repairs_words')
    .select('words')
    .where({ rowid: searchId })
    .first();
  if ((known?.words ?? null) === words) return;
  if (known) await database('repairs_words').where({ rowid: searchId }).delete();
  if (words !== null) await database('repairs_words').insert({ rowid: searchId, words });
}

/** Everything a repair can be found by: its words, and its sizes as they are shown ("38.20"). */
function wordsOf(repair: Repair): string {
  const { head, sizes, bodies, readings } = repair;
  const current = <T extends { removed: boolean }>(rows: readonly T[]) => rows.filter((row) => !row.removed);
  return [
    head.name,
    head.place,
    head.whatBroke,
    ...current(sizes).map((size) => size.name),
    ...current(bodies).map((body) => body.name),
    ...current(sizes).flatMap((size) => (size.given === null ? [] : [String(size.given)])),
    ...current(readings).map((reading) => reading.typed),
  ].join('\n');
}
