import type { Knex } from 'knex';
import { LRUCache } from 'lru-cache';
import type { z } from 'zod';

import { no, ok, type Fault, type Result } from '@core/fault';
import {
  applyChange,
  copyRepair,
  emptyRepair,
  rowBefore,
  type Change,
  type ChangeReply,
  type ListQuery,
  type NewRepair,
  type Picture,
  type Repair,
  type RepairList,
} from '@core/model';

import { listRepairs } from './list';
import { loadRepair, writeHead, writeRow, writeWhole } from './rows';

/** What the store takes from the world outside. */
export interface Surroundings {
  /** ISO 8601 instant. */
  now(): string;
  newId(): string;
}

interface Cached {
  repair: Repair;
  /** The repair as JSON, made when it is first asked for. */
  json: string | null;
}

/** How long a change that was sent twice is recognised. */
const REMEMBER_CHANGES_DAYS = 60;

/** Repairs in the database. The only way to write them: its cache relies on that. */
export class RepairStore {
  // Most of the work is on a few repairs; a large one is about a megabyte.
  #cache = new LRUCache<string, Cached>({ max: 200 });

  constructor(
    private readonly database: Knex,
    private readonly surroundings: Surroundings,
  ) {}

  list(query: z.infer<typeof ListQuery>): Promise<RepairList> {
    return listRepairs(this.database, query);
  }

  async get(id: string): Promise<Repair | null> {
    return (await this.#cached(this.database, id))?.repair ?? null;
  }

  /** The repair as JSON text. */
  async getJson(id: string): Promise<string | null> {
    const cached = await this.#cached(this.database, id);
    if (!cached) return null;
    cached.json ??= JSON.stringify(cached.repair);
    return cached.json;
  }

  /** Makes an empty repair. Asked twice with one id (a reply was lost), it makes one. */
  async create(given: NewRepair): Promise<Repair> {
    return this.database.transaction(async (transaction) => {
      const there = await loadRepair(transaction, given.id);
      if (there) return there;
      const now = this.surroundings.now();
      const repair = emptyRepair(given, now);
      await writeWhole(transaction, repair, now);
      return repair;
    });
  }

  /** Opens the repair of a file as a new one. */
  async open(fromFile: Repair): Promise<Repair> {
    const copy = copyRepair(fromFile, () => this.surroundings.newId());
    const now = this.surroundings.now();
    const repair = { ...copy, head: { ...copy.head, removed: false } };
    await this.database.transaction((transaction) => writeWhole(transaction, repair, now));
    return repair;
  }

  /** Applies a change in one transaction: all of it or nothing. Sent again, it gives the same reply. */
  async change(repairId: string, change: Change): Promise<Result<ChangeReply, Fault>> {
    const outcome = await this.database.transaction(async (transaction) => {
      const already = await transaction<{ change_id: string; reply: string }>('applied_changes')
        .select('reply')
        .where({ change_id: change.changeId })
        .first();
      if (already) return { reply: ok(JSON.parse(already.reply) as ChangeReply), repair: null };

      const cached = await this.#cached(transaction, repairId);
      if (!cached)
        return { reply: no<Fault>({ code: 'row.missing', row: 'head', id: repairId }), repair: null };
      const applied = applyChange(cached.repair, change);
      if (!applied.ok) return { reply: applied, repair: null };
      const repair = applied.value;
      const now = this.surroundings.now();
      await writeRow(transaction, repair, change.row, change.value.id);
      await writeHead(transaction, repair, now);
      const value = rowBefore(repair, change.row, change.value.id);
      const reply: ChangeReply = { repairId, change: { ...change, value } as Change };
      await transaction('applied_changes').insert({
        change_id: change.changeId,
        repair_id: repairId,
        reply: JSON.stringify(reply),
        applied_at: now,
      });
      return { reply: ok(reply), repair };
    });
    // Only what is safely in the database may be seen by others.
    if (outcome.repair) this.#cache.set(repairId, { repair: outcome.repair, json: null });
    return outcome.reply;
  }

  /** Keeps the picture shown in lists. It can be made again at any time, so it has no version. */
  async setPicture(repairId: string, picture: Picture): Promise<boolean> {
    const changed = await this.database('repairs')
      .where({ id: repairId })
      .update({ picture: JSON.stringify(picture) });
    return changed > 0;
  }

  /** Forgets changes that nobody will send again. */
  async forgetOldChanges(): Promise<void> {
    const days = REMEMBER_CHANGES_DAYS * 24 * 60 * 60 * 1000;
    const before = new Date(Date.parse(this.surroundings.now()) - days).toISOString();
    for (const table of ['applied_changes', 'applied_workshop_changes']) {
      await this.database(table).where('applied_at', '<', before).delete();
    }
  }

  async #cached(database: Knex, id: string): Promise<Cached | null> {
    const known = this.#cache.get(id);
    if (known) return known;
    // In one transaction, so that no change slips in between its queries.
    const repair = await (database.isTransaction
      ? loadRepair(database, id)
      : database.transaction((transaction) => loadRepair(transaction, id)));
    const meanwhile = this.#cache.get(id);
    if (meanwhile || !repair) return meanwhile ?? null;
    const cached = { repair, json: null };
    this.#cache.set(id, cached);
    return cached;
  }
}
