import type { Knex } from 'knex';

import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import {
  applyWorkshopChange,
  withWorkshopRow,
  WORKSHOP_ROW_KINDS,
  workshopRowBefore,
  workshopRows,
  type Workshop,
  type WorkshopChange,
  type WorkshopRowKind,
  type WorkshopRowOf,
} from '@core/record/model';
import { DEFAULT_WORKSHOP, lackingRows } from '@core/record/workshop';

import type { Database } from '../database/database';
import type { Surroundings } from '../surroundings';

interface StoredRow {
  kind: WorkshopRowKind;
  id: string;
  data: string;
}

/** The workshop in the database: what the program ships with, with the rows that people changed or added. */
export class WorkshopStore {
  #cached: Workshop | null = null;

  constructor(
    private readonly database: Database,
    private readonly surroundings: Pick<Surroundings, 'now'>,
  ) {}

  async get(): Promise<Workshop> {
    this.#cached ??= await this.database.read((transaction) => this.#load(transaction));
    return this.#cached;
  }

  /** Applies a change in one transaction. Sent again, it gives the same reply. */
  async change(change: WorkshopChange): Promise<Result<WorkshopChange, Fault>> {
    const outcome = await this.database.write(async (transaction) => {
      const already = await transaction<{ change_id: string; reply: string }>('applied_workshop_changes')
        .select('reply')
        .where({ change_id: change.changeId })
        .first();
      if (already) {
        const reply = JSON.parse(already.reply) as WorkshopChange;
        // The answer to another change is none to this one.
        const same =
          reply.row === change.row &&
          reply.value.id === change.value.id &&
          reply.baseVersion === change.baseVersion;
        return { reply: same ? ok(reply) : no<Fault>({ code: 'change.idTaken' }), workshop: null };
      }
      const applied = applyWorkshopChange(await this.#load(transaction), change);
      if (!applied.ok) return { reply: applied, workshop: null };
      const value = workshopRowBefore(applied.value, change.row, change.value.id)!;
      const reply = { ...change, value } as WorkshopChange;
      await this.#write(transaction, reply.row, reply.value);
      await transaction('applied_workshop_changes').insert({
        change_id: change.changeId,
        reply: JSON.stringify(reply),
        applied_at: this.surroundings.now(),
      });
      return { reply: ok(reply), workshop: applied.value };
    });
    // Only what is safely in the database may be seen by others.
    if (outcome.workshop) this.#cached = outcome.workshop;
    return outcome.reply;
  }

  /** Adds what a repair file brought along and is not here yet. */
  async bringIn(brought: Workshop): Promise<void> {
    await this.database.write(async (transaction) => {
      const lacking = lackingRows(await this.#load(transaction), brought);
      for (const row of WORKSHOP_ROW_KINDS)
        for (const value of workshopRows(lacking, row)) await this.#write(transaction, row, value);
    });
    this.#cached = null;
  }

  async #write(database: Knex, row: WorkshopRowKind, value: WorkshopChange['value']): Promise<void> {
    await database('workshop_rows')
      .insert({ kind: row, id: value.id, version: value.version, data: JSON.stringify(value) })
      .onConflict(['kind', 'id'])
      .merge(['version', 'data']);
  }

  async #load(database: Knex): Promise<Workshop> {
    const rows = await database<StoredRow>('workshop_rows').select('kind', 'id', 'data').orderBy('id');
    return rows.reduce<Workshop>(
      (workshop, { kind, data }) =>
        withWorkshopRow(workshop, kind, JSON.parse(data) as WorkshopRowOf<typeof kind>),
      DEFAULT_WORKSHOP,
    );
  }
}
