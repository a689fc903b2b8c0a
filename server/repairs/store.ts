import type { Knex } from 'knex';
import { LRUCache } from 'lru-cache';
import type { z } from 'zod';

import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import {
  applyChange,
  copyRepair,
  emptyRepair,
  picturesOf,
  REPAIR_LIMIT_BYTES,
  roomForPictures,
  scanFilesOf,
  rowBefore,
  takenIn,
  type Change,
  type ChangeReply,
  type ListQuery,
  type NewRepair,
  type Picture,
  type Repair,
  type RepairList,
  type Trial,
} from '@core/record/model';

import type { Database } from '../database/database';
import type { Surroundings } from '../surroundings';
import { Trouble } from '../trouble';
import { listRepairs } from './list';
import { bytesOf, loadRepair, touchHead, writeRow, writeWhole } from './rows';
import { Summaries } from './summaries';

interface Cached {
  repair: Repair;
  /** Of all its rows as JSON. */
  bytes: number;
  /** The repair as JSON, made when it is first asked for. */
  json: string | null;
}

/** What the store needs of files that lie beside the database: how large some are together, bytes. */
interface FileSizes {
  bytesOf(files: readonly string[]): Promise<number>;
}

/** How long a change that was sent twice is recognised. */
const REMEMBER_CHANGES_DAYS = 60;

/** Repairs that are kept at hand, bytes of their JSON; in memory they take some five times as much. */
const CACHE_BYTES = 32 * 1024 * 1024;

/** Repairs in the database. The only way to write them: its cache relies on that. */
export class RepairStore {
  #cache = new LRUCache<string, Cached>({
    maxSize: CACHE_BYTES,
    sizeCalculation: ({ bytes }) => Math.max(bytes, 1),
  });
  readonly summaries: Summaries;

  constructor(
    private readonly database: Database,
    private readonly surroundings: Surroundings,
    private readonly files: { pictures: FileSizes; scans: FileSizes },
    onTrouble: (error: unknown) => void,
  ) {
    const load = async (transaction: Knex, id: string) =>
      (await this.#cached(transaction, id))?.repair ?? null;
    this.summaries = new Summaries(database, load, onTrouble);
  }

  async list(query: z.infer<typeof ListQuery>): Promise<RepairList> {
    await this.summaries.bringUpToDate().catch((error: unknown) => {
      // What can't be written can be read all the same: the last changes are not in the list yet.
      if (!(error instanceof Trouble)) throw error;
    });
    return this.database.read((transaction) => listRepairs(transaction, query));
  }

  async get(id: string): Promise<Repair | null> {
    return (await this.#read(id))?.repair ?? null;
  }

  /** The repair as JSON text. */
  async getJson(id: string): Promise<string | null> {
    const cached = await this.#read(id);
    if (!cached) return null;
    cached.json ??= JSON.stringify(cached.repair);
    return cached.json;
  }

  /** Makes an empty repair. Asked twice with one id (a reply was lost), it makes one. */
  async create(given: NewRepair): Promise<Repair> {
    const repair = await this.database.write(async (transaction) => {
      const there = await loadRepair(transaction, given.id);
      if (there) return there.repair;
      const now = this.surroundings.now();
      const made = emptyRepair(given, now);
      await writeWhole(transaction, made, now);
      return made;
    });
    this.summaries.soon();
    return repair;
  }

  /** Opens the repair of a file as a new one. */
  async open(fromFile: Repair): Promise<Repair> {
    const copy = copyRepair(fromFile, () => this.surroundings.newId());
    const now = this.surroundings.now();
    const repair = { ...takenIn(copy), head: { ...copy.head, removed: false } };
    await this.database.write((transaction) => writeWhole(transaction, repair, now));
    this.summaries.soon();
    return repair;
  }

  /** Applies a change in one transaction: all of it or nothing. Sent again, it gives the same reply. */
  async change(repairId: string, change: Change): Promise<Result<ChangeReply, Fault>> {
    const outcome = await this.database.write((transaction) => this.#apply(transaction, repairId, change));
    // Only what is safely in the database may be seen by others.
    if (outcome.cached) {
      this.#cache.set(repairId, outcome.cached);
      this.summaries.soon();
    }
    return outcome.reply;
  }

  async #apply(
    transaction: Knex,
    repairId: string,
    change: Change,
  ): Promise<{ reply: Result<ChangeReply, Fault>; cached: Cached | null }> {
    const refused = (fault: Fault) => ({ reply: no(fault), cached: null });
    const already = await transaction<AppliedChange>('applied_changes')
      .select('repair_id', 'reply')
      .where({ change_id: change.changeId })
      .first();
    if (already) {
      const reply = JSON.parse(already.reply) as ChangeReply;
      // The answer to another change is none to this one.
      if (already.repair_id !== repairId || !isSameChange(reply.change, change))
        return refused({ code: 'change.idTaken' });
      return { reply: ok(reply), cached: null };
    }
    const cached = await this.#cached(transaction, repairId);
    if (!cached) return refused({ code: 'row.missing', row: 'head', id: repairId });
    const applied = applyChange(cached.repair, change);
    if (!applied.ok) return { reply: applied, cached: null };
    const repair = applied.value;
    const value = rowBefore(repair, change.row, change.value.id);
    const bytes =
      cached.bytes + textBytes(value) - textBytes(rowBefore(cached.repair, change.row, change.value.id));
    const tooLarge = await this.#tooLarge(cached, { repair, bytes }, change);
    if (tooLarge) return refused(tooLarge);

    const now = this.surroundings.now();
    await writeRow(transaction, repair, change.row, change.value.id);
    await touchHead(transaction, repair, now);
    const reply: ChangeReply = { repairId, change: { ...change, value } as Change };
    await transaction('applied_changes').insert({
      change_id: change.changeId,
      repair_id: repairId,
      reply: JSON.stringify(reply),
      applied_at: now,
    });
    return { reply: ok(reply), cached: { repair, bytes, json: null } };
  }

  /** What is taken in must fit into a file. What makes it no larger is taken even where it is too large already. */
  async #tooLarge(
    before: Cached,
    after: { repair: Repair; bytes: number },
    change: Change,
  ): Promise<Fault | null> {
    if (after.bytes > REPAIR_LIMIT_BYTES && after.bytes > before.bytes) {
      return { code: 'repair.tooLarge', bytes: after.bytes, limitBytes: REPAIR_LIMIT_BYTES };
    }
    if (change.row !== 'photo' && change.row !== 'scan') return null;
    const kept = { pictures: picturesOf(before.repair), scans: scanFilesOf(before.repair) };
    const known = change.row === 'photo' ? kept.pictures : kept.scans;
    if (known.includes(change.value.file)) return null;
    known.push(change.value.file);
    const bytes =
      (await this.files.pictures.bytesOf(kept.pictures)) + (await this.files.scans.bytesOf(kept.scans));
    const limitBytes = roomForPictures(after.bytes);
    return bytes > limitBytes ? { code: 'photos.tooLarge', bytes, limitBytes } : null;
  }

  /** Keeps the picture shown in lists. It can be made again at any time, so it has no version. */
  async setPicture(repairId: string, picture: Picture): Promise<boolean> {
    const changed = await this.database.write((transaction) =>
      transaction('repairs')
        .where({ id: repairId })
        .update({ picture: JSON.stringify(picture) }),
    );
    return changed > 0;
  }

  /** Forgets changes that nobody will send again. */
  async forgetOldChanges(): Promise<void> {
    const days = REMEMBER_CHANGES_DAYS * 24 * 60 * 60 * 1000;
    const before = new Date(Date.parse(this.surroundings.now()) - days).toISOString();
    await this.database.write(async (transaction) => {
      for (const table of ['applied_changes', 'applied_workshop_changes']) {
        await transaction(table).where('applied_at', '<', before).delete();
      }
    });
  }

  /** Names of all pictures that a photo of any repair or revision shows. */
  async usedPictures(): Promise<Set<string>> {
    const rows = (await this.database.knex.raw(
      `select json_extract(data, '$.file') as file from photos
       union
       select json_extract(photo.value, '$.file') from revisions, json_each(revisions.data, '$.state.photos') as photo`,
    )) as { file: string }[];
    return new Set(rows.map(({ file }) => file));
  }

  /** Names of the files of all scans of any repair. */
  async usedScans(): Promise<Set<string>> {
    const rows = (await this.database.knex.raw(
      `select distinct json_extract(data, '$.file') as file from scans`,
    )) as { file: string }[];
    return new Set(rows.map(({ file }) => file));
  }

  /** Every trial of every repair that is not deleted, for what machines are learned from. */
  async trials(): Promise<Trial[]> {
    const rows = await this.database.read((transaction) =>
      transaction('trials')
        .join('repairs', 'repairs.id', 'trials.repair_id')
        .where('repairs.removed', false)
        .select<{ data: string }[]>('trials.data as data')
        .orderBy([{ column: 'trials.repair_id' }, { column: 'trials.position' }]),
    );
    return rows.map(({ data }) => JSON.parse(data) as Trial);
  }

  /** Repairs that are made on a machine, those that were changed last first; and whether there are more of them. */
  async madeOn(machineId: string, limit: number): Promise<{ repairs: Repair[]; more: boolean }> {
    const rows = await this.database.read((transaction) =>
      transaction('repairs')
        .where('removed', false)
        .whereRaw(`json_extract(data, '$.machineId') = ?`, [machineId])
        .orderBy('touched_at', 'desc')
        .limit(limit + 1)
        .select<{ id: string }[]>('id'),
    );
    const repairs: Repair[] = [];
    for (const { id } of rows.slice(0, limit)) {
      const cached = await this.#read(id);
      if (cached) repairs.push(cached.repair);
    }
    return { repairs, more: rows.length > limit };
  }

  async #read(id: string): Promise<Cached | null> {
    return this.#cache.get(id) ?? this.database.read((transaction) => this.#cached(transaction, id));
  }

  /** In a transaction, so that no change slips in between its queries. */
  async #cached(transaction: Knex, id: string): Promise<Cached | null> {
    const known = this.#cache.get(id);
    if (known) return known;
    const loaded = await loadRepair(transaction, id);
    if (!loaded) return null;
    const cached = { ...loaded, json: null };
    this.#cache.set(id, cached);
    return cached;
  }
}

interface AppliedChange {
  change_id: string;
  repair_id: string;
  reply: string;
}

const isSameChange = (applied: Change, sent: Change): boolean =>
  applied.row === sent.row && applied.value.id === sent.value.id && applied.baseVersion === sent.baseVersion;

const textBytes = (row: object | undefined): number => (row ? bytesOf(JSON.stringify(row)) : 0);
