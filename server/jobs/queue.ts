import { EventEmitter } from 'node:events';

import { no, ok, type Fault, type Result } from '@core/foundations/fault';
import { featureOf } from '@core/fitting/fit';
import { isOver, type Job, type JobAct, type NewJob } from '@core/record/model';

import type { Surroundings } from '../surroundings';
import type { Printer, PrinterReport } from './printer';
import type { JobStore } from './store';

/** Progress is written down when it has gone on by so much; what is shown live is newer. */
const WRITTEN_EVERY = 0.02;

/**
 * The queue: one job at a time on each machine, the others wait. Everything that happens is written down before it is told, so that a stop of
 * the server loses nothing.
 */
export class JobQueue {
  readonly #events = new EventEmitter().setMaxListeners(0);
  /** Writes of one job come one after the other. */
  #writes: Promise<unknown> = Promise.resolve();
  readonly #written = new Map<string, number>();

  constructor(
    private readonly store: JobStore,
    private readonly printer: Printer,
    private readonly surroundings: Surroundings,
    private readonly onTrouble: (error: unknown) => void,
  ) {}

  onChange(listener: (job: Job) => void): () => void {
    this.#events.on('job', listener);
    return () => this.#events.off('job', listener);
  }

  list = () => this.store.list();
  gcode = (id: string) => this.store.gcode(id);
  kept = () => this.store.kept();

  /** What was running when the server stopped stands still, and says why; then what waits is begun. */
  async begin(): Promise<void> {
    for (const job of await this.store.inState(['running'])) {
      await this.#move(job.id, { state: 'paused', reason: 'serverStopped', secondsLeft: null });
    }
    await this.#next();
  }

  async add(given: NewJob, gcode: string): Promise<Result<Job, Fault>> {
    const added = await this.store.add(given, gcode, this.surroundings.now());
    if (!added.ok) return added;
    this.#tell(added.value);
    await this.#next();
    return ok((await this.store.get(added.value.id)) ?? added.value);
  }

  async act(id: string, act: JobAct): Promise<Result<Job, Fault>> {
    const job = await this.store.get(id);
    if (!job) return no({ code: 'job.missing' });
    if (act === 'again') {
      const gcode = await this.store.gcode(id);
      if (gcode === null) return no({ code: 'job.noGcode' });
      return this.add({ ...newJobOf(job), id: this.surroundings.newId() }, gcode);
    }
    if (isOver(job)) return no({ code: 'job.over', state: job.state });
    if (act === 'resume') {
      if (job.state !== 'paused') return ok(job);
      const busy = await this.store.inState(['running']);
      if (busy.some(({ machineId }) => machineId === job.machineId))
        return no({ code: 'job.machineBusy', machine: job.machineName });
      return ok(await this.#start(job));
    }
    const share = this.printer.leave(id) ?? job.share;
    const moved = await this.#move(id, {
      state: act === 'pause' ? 'paused' : 'cancelled',
      share: Math.min(1, share),
      reason: 'person',
      secondsLeft: null,
    });
    await this.#next();
    return ok(moved ?? job);
  }

  /** Waits for what is still being written, and for the jobs that are begun after it. */
  async written(): Promise<void> {
    await this.#writes;
  }

  async stop(): Promise<void> {
    this.printer.leaveAll();
    await this.written();
  }

  /** Begins the oldest job that waits on each machine that has nothing to do; one that stands still keeps its machine. */
  async #next(): Promise<void> {
    const taken = new Set(
      (await this.store.inState(['running', 'paused'])).map(({ machineId }) => machineId),
    );
    for (const job of await this.store.inState(['waiting'])) {
      if (taken.has(job.machineId)) continue;
      taken.add(job.machineId);
      await this.#start(job);
    }
  }

  async #start(job: Job): Promise<Job> {
    const gcode = (await this.store.gcode(job.id)) ?? '';
    const started = await this.#move(job.id, { state: 'running', reason: null });
    await this.printer.start(
      {
        id: job.id,
        machine: job.machineId,
        family: job.family,
        gcode,
        asked: job.asked.map(({ id, name, feature, jaw, mm, foot }) => ({
          id,
          name,
          jaw,
          mm,
          kind: featureOf(feature).kind,
          ...(foot ? { foot } : {}),
        })),
        speedUp: job.speedUp,
        // What happened once happened: after more filament it goes on.
        mishap: job.share > 0 ? 'none' : job.mishap,
        from: job.share,
      },
      (report) => this.#heard(started ?? job, report),
    );
    return started ?? job;
  }

  #heard(job: Job, report: PrinterReport): void {
    if (report.what === 'at') {
      const { share, layer, secondsLeft } = report;
      const live: Job = {
        ...job,
        state: 'running',
        reason: null,
        share: Math.min(1, share),
        layer,
        secondsLeft,
      };
      if (share - (this.#written.get(job.id) ?? -1) >= WRITTEN_EVERY) {
        this.#written.set(job.id, share);
        this.#later(() => this.#progress(live));
      } else this.#tell(live);
      return;
    }
    this.#written.delete(job.id);
    if (report.what === 'failed' && report.error) {
      this.onTrouble(new Error(`the printer failed at job ${job.id}`, { cause: report.error }));
    }
    this.#later(async () => {
      if (report.what === 'done') {
        const madePartId = this.surroundings.newId();
        await this.#move(
          job.id,
          { state: 'done', share: 1, secondsLeft: 0, madePartId, reason: null },
          { id: madePartId, truth: report.made },
        );
      } else {
        const state = report.what === 'stopped' ? 'paused' : 'failed';
        await this.#move(job.id, {
          state,
          share: Math.min(1, report.share),
          reason: report.why,
          secondsLeft: null,
        });
      }
      await this.#next();
    });
  }

  /** Written only while it is still running: it may have been stopped since. */
  async #progress({ id, share, layer, secondsLeft }: Job): Promise<void> {
    const now = await this.store.get(id);
    if (now?.state === 'running') await this.#move(id, { share, layer, secondsLeft });
  }

  /** Tells everybody who listens; one who fails at it keeps nobody else from hearing it. */
  #tell(job: Job): void {
    try {
      this.#events.emit('job', job);
    } catch (error) {
      this.onTrouble(error);
    }
  }

  #later(work: () => Promise<unknown>): void {
    this.#writes = this.#writes.then(work).catch(this.onTrouble);
  }

  async #move(
    id: string,
    ...[to, made]: [Parameters<JobStore['move']>[1], Parameters<JobStore['move']>[3]?]
  ): Promise<Job | null> {
    const job = await this.store.move(id, to, this.surroundings.now(), made);
    if (job) this.#tell(job);
    return job;
  }
}

function newJobOf(job: Job): NewJob {
  const {
    state: _state,
    share: _share,
    layer: _layer,
    secondsLeft: _secondsLeft,
    reason: _reason,
    madePartId: _madePartId,
    askedAt: _askedAt,
    history: _history,
    ...given
  } = job;
  // It is sent again to go well, not to show the same fault.
  return { ...given, mishap: given.mishap === 'may' ? 'may' : 'none' };
}
