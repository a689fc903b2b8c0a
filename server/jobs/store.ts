import equal from 'fast-deep-equal';
import type { Knex } from 'knex';

import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { Job, NewJob, type KeptGcode, type JobList, type JobReason, type JobState } from '@core/record/model';

import type { Database } from '../database/database';
import type { JobPrograms } from './programs';

interface StoredJob {
  id: string;
  data: string;
  /** As jobs of earlier versions have it; empty once it lies in a file. */
  gcode: string;
  gcode_file: string | null;
}

const NOT_OVER: readonly JobState[] = ['waiting', 'running', 'paused'];

/** A job as it was written down; one that is not as it should be has its name alone. */
function readJob(data: string): { job: Job | null; name: string } {
  const row: unknown = JSON.parse(data);
  const job = Job.safeParse(row);
  const { name } = (row ?? {}) as { name?: unknown };
  return { job: job.success ? job.data : null, name: typeof name === 'string' ? name : '' };
}

/** Jobs that are shown, newest first. */
const SHOWN = 60;
const HISTORY_KEPT = 200;
const DAY_MS = 24 * 60 * 60 * 1000;
/** How long the G-code of a job that is over is kept for whoever wants it made again. */
const GCODE_KEPT_DAYS = 60;

/** Jobs and made parts in the database. */
export class JobStore {
  constructor(
    private readonly database: Database,
    private readonly programs: JobPrograms,
  ) {}

  /** The newest ones, and all that are not over: one that stands still holds its machine, however many came after it. */
  async list(): Promise<JobList> {
    const rows = await this.database.read((transaction) =>
      transaction<StoredJob>('jobs')
        .select('id', 'data')
        .whereIn('id', transaction('jobs').select('id').orderBy('asked_at', 'desc').limit(SHOWN))
        .orWhereIn('state', [...NOT_OVER])
        .orderBy('asked_at', 'desc'),
    );
    const read = rows.map(({ id, data }) => ({ id, ...readJob(data) }));
    const unreadable = read.flatMap(({ id, job, name }) => (job ? [] : [{ id, name }]));
    return {
      jobs: read.flatMap(({ job }) => job ?? []),
      ...(unreadable.length > 0 ? { unreadable } : {}),
    };
  }

  async inState(states: readonly JobState[]): Promise<Job[]> {
    const rows = await this.database.read((transaction) =>
      transaction<StoredJob>('jobs')
        .select('data')
        .whereIn('state', [...states])
        .orderBy('asked_at'),
    );
    return rows.map(({ data }) => JSON.parse(data) as Job);
  }

  async get(id: string): Promise<Job | null> {
    const row = await this.database.read((transaction) =>
      transaction<StoredJob>('jobs').select('data').where({ id }).first(),
    );
    return row ? (JSON.parse(row.data) as Job) : null;
  }

  /** What its machine was given; null where it is no longer kept, or there is no such job. */
  async gcode(id: string): Promise<string | null> {
    const row = await this.database.read((transaction) =>
      transaction<StoredJob>('jobs').select('gcode', 'gcode_file').where({ id }).first(),
    );
    if (!row) return null;
    return row.gcode_file === null ? row.gcode || null : this.programs.read(row.gcode_file);
  }

  /** How many jobs' G-code is kept, and how large their files are. */
  async kept(): Promise<KeptGcode> {
    const rows = await this.database.read((transaction) =>
      transaction<StoredJob>('jobs').select('gcode_file').whereNotNull('gcode_file'),
    );
    const files = [...new Set(rows.map(({ gcode_file }) => gcode_file!))];
    return { jobs: rows.length, bytes: await this.programs.files.bytesOf(files) };
  }

  /**
   * Lets go of the G-code that nobody needs any more: of jobs that are over, were sent long ago, are not among those that are shown, and made nothing that a
   * trial goes by. What jobs of earlier versions have in their rows is moved into files first.
   *
   * @returns how many jobs it was taken from.
   */
  async sweep(now: string): Promise<number> {
    const olds = await this.database.read((transaction) =>
      transaction<StoredJob>('jobs').select('id', 'gcode').where('gcode', '<>', ''),
    );
    for (const { id, gcode } of olds) {
      const file = await this.programs.keep(gcode);
      await this.database.write((transaction) =>
        transaction('jobs').where({ id }).update({ gcode: '', gcode_file: file }),
      );
    }
    const before = new Date(Date.parse(now) - GCODE_KEPT_DAYS * DAY_MS).toISOString();
    const swept = await this.database.write((transaction) =>
      transaction('jobs')
        .whereNotNull('gcode_file')
        .whereNotIn('state', [...NOT_OVER])
        .where('asked_at', '<', before)
        .whereNotIn('id', transaction('jobs').select('id').orderBy('asked_at', 'desc').limit(SHOWN))
        .whereNotIn(
          'id',
          transaction('made_parts')
            .select('job_id')
            .whereIn(
              'id',
              transaction('trials').select(transaction.raw(`json_extract(data, '$.madePartId')`)),
            ),
        )
        .update({ gcode_file: null }),
    );
    const used = await this.database.read((transaction) =>
      transaction<StoredJob>('jobs').select('gcode_file').whereNotNull('gcode_file'),
    );
    await this.programs.files.sweep(new Set(used.map(({ gcode_file }) => gcode_file!)), Date.parse(now));
    return swept;
  }

  /** Takes a job in. Sent twice (a reply was lost), it is taken once; another one by its id is refused. */
  async add(given: NewJob, gcode: string, now: string): Promise<Result<Job, Fault>> {
    const job: Job = {
      ...given,
      state: 'waiting',
      share: 0,
      layer: 0,
      secondsLeft: null,
      reason: null,
      madePartId: null,
      askedAt: now,
      history: [{ at: now, state: 'waiting', share: 0, reason: null }],
    };
    const file = await this.programs.keep(gcode);
    return this.database.write(async (transaction) => {
      const there = await transaction<StoredJob>('jobs')
        .select('data', 'gcode', 'gcode_file')
        .where({ id: given.id })
        .first();
      if (there) {
        const job = JSON.parse(there.data) as Job;
        const isSame =
          (there.gcode_file === file || there.gcode === gcode) &&
          equal(NewJob.strip().parse(job), NewJob.parse(given));
        return isSame ? ok(job) : no<Fault>({ code: 'job.idTaken' });
      }
      await transaction('jobs').insert({ ...columnsOf(job), gcode: '', gcode_file: file });
      return ok(job);
    });
  }

  /** Writes that a job is at another place, and in its history that its state changed. */
  async move(
    id: string,
    to: Partial<Pick<Job, 'state' | 'share' | 'layer' | 'secondsLeft' | 'madePartId'>> & {
      reason?: JobReason | null;
    },
    now: string,
    made?: { id: string; truth: unknown },
  ): Promise<Job | null> {
    return this.database.write(async (transaction) => {
      const row = await transaction<StoredJob>('jobs').select('data').where({ id }).first();
      if (!row) return null;
      const before = JSON.parse(row.data) as Job;
      const job = { ...before, ...to };
      if (job.state !== before.state) {
        const { state, share, reason } = job;
        job.history = [...before.history, { at: now, state, share, reason }].slice(-HISTORY_KEPT);
      }
      await transaction('jobs').where({ id }).update(columnsOf(job));
      if (made) {
        await transaction('made_parts').insert({
          id: made.id,
          job_id: id,
          truth: JSON.stringify(made.truth),
          made_at: now,
        });
      }
      return job;
    });
  }

  /** Made parts with what is known of them only by the practice devices, newest first. */
  async madeParts(): Promise<{ id: string; name: string; truth: unknown }[]> {
    const rows = await this.database.read((transaction) => madeRows(transaction).limit(SHOWN));
    return rows.map(partOf);
  }

  async madePart(id: string): Promise<{ id: string; name: string; truth: unknown } | null> {
    const row = await this.database.read((transaction) =>
      madeRows(transaction).where('made_parts.id', id).first(),
    );
    return row ? partOf(row) : null;
  }
}

interface MadeRow {
  id: string;
  truth: string;
  data: string;
}

const madeRows = (transaction: Knex) =>
  transaction<MadeRow>('made_parts')
    .join('jobs', 'jobs.id', 'made_parts.job_id')
    .select<MadeRow[]>('made_parts.id as id', 'truth', 'jobs.data as data')
    .orderBy('made_at', 'desc');

function partOf({ id, truth, data }: MadeRow) {
  const { name, letter, repairName } = JSON.parse(data) as Job;
  return {
    id,
    name: `${repairName}: ${name}${letter ? `, revision ${letter}` : ''}`,
    truth: JSON.parse(truth) as unknown,
  };
}

const columnsOf = (job: Job) => ({
  id: job.id,
  repair_id: job.repairId,
  machine_id: job.machineId,
  state: job.state,
  data: JSON.stringify(job),
  asked_at: job.askedAt,
});
