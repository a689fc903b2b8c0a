import type { StepFault } from '@core/foundations/fault';
import type { RepairState, Workshop } from '@core/record/model';
import { MemoryWatch } from '@core/shaping/part';

import {
  WORKER_CALLS,
  type BuildReply,
  type BuildRequest,
  type BuiltBody,
  type SolidWorker,
  type UncheckedBody,
  type WorkerCalls,
} from './protocol';
import type { SolidHandle } from './spawnWorker';

/** What the workbench is doing, for the view to say. */
export type BenchStatus =
  | { kind: 'idle' }
  | { kind: 'loading'; share: number }
  | { kind: 'building'; bodyId: string | null; stepId: string | null }
  | { kind: 'failed'; sentence: string }
  /** The program itself went wrong, at a step if it is known; the last good solids stay. */
  | { kind: 'broken'; at: { bodyId: string; stepId: string } | null; thrown: unknown; when: string };

export interface BenchLimits {
  /** A step that takes longer is taken to hang, ms. */
  stepMs: number;
  /** A build waits no longer for what nobody waits for, ms. */
  quietMs: number;
}

export const BENCH_LIMITS: BenchLimits = { stepMs: 20_000, quietMs: 2_000 };

/** Steps are told no oftener than this, ms. */
const TELL_EVERY_MS = 50;

/** The worker had to be ended while it was at a step. */
class WorkerLost extends Error {
  override name = 'WorkerLost';
  constructor(
    readonly why: 'hung' | 'trapped' | 'cancelled',
    readonly at: { bodyId: string; stepId: string } | null,
  ) {
    super(why);
  }
}

/**
 * Owns the worker: starts it, sends it one thing at a time, notices when it hangs or dies and puts a new one in
 * its place. Whoever asks for a build gets the newest: older ones that have not begun are skipped.
 */
export class Workbench {
  #handle: SolidHandle | null = null;
  #memory = new MemoryWatch();
  /** The worker holds what was last built; a fresh one holds nothing. */
  #holdsLast = false;
  #ready: Promise<SolidWorker> | null = null;
  #status: BenchStatus = { kind: 'idle' };
  #listeners = new Set<() => void>();
  #queue: Promise<unknown> = Promise.resolve();
  #at: { bodyId: string; stepId: string } | null = null;
  #alarm: ReturnType<typeof setTimeout> | undefined;
  #lose: ((error: WorkerLost) => void) | null = null;
  #last: Pick<BuildRequest, 'state' | 'workshop'> | null = null;
  #newestBuild = 0;
  /** A build that was stopped before it began; 0 for none. */
  #stoppedBuild = 0;
  #toldAt = -Infinity;
  #toTell: ReturnType<typeof setTimeout> | undefined;
  #buildIsRunning = false;
  #buildsWaiting = 0;
  /** Ends what nobody waits for, so that a build behind it can begin; null while no such work is under way. */
  #endQuiet: (() => void) | null = null;
  #quietAlarm: ReturnType<typeof setTimeout> | undefined;
  #onStands: ((body: UncheckedBody) => void) | null = null;

  /** Asks about what was last built, in turn with all else. */
  readonly ask: WorkerCalls;

  constructor(
    private readonly spawn: () => SolidHandle,
    private readonly limits: BenchLimits = BENCH_LIMITS,
  ) {
    const calls = Object.entries(WORKER_CALLS).map(([name, { quiet = false, alone = false }]) => {
      const call =
        (...given: unknown[]) =>
        (worker: SolidWorker) =>
          (worker[name as keyof WorkerCalls] as (...given: unknown[]) => Promise<unknown>)(...given);
      return [
        name,
        (...given: unknown[]) =>
          this.#inTurn(() =>
            alone ? this.#run(call(...given), quiet) : this.#onLastState(call(...given), quiet),
          ),
      ];
    });
    this.ask = Object.fromEntries(calls) as unknown as WorkerCalls;
  }

  get status(): BenchStatus {
    return this.#status;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /**
   * Builds all bodies. Resolves to null if a newer build was asked for before this one began. A step at which
   * the worker hung or died comes back as failed at that step, with no mesh.
   * @param onStands called for each body that is new, before it is looked over.
   */
  build(
    state: RepairState,
    workshop: Workshop,
    known: () => Record<string, number>,
    onStands: (body: UncheckedBody) => void = () => {},
  ): Promise<BuildReply | null> {
    const turn = (this.#newestBuild += 1);
    this.#buildsWaiting += 1;
    this.#hastenQuiet();
    return this.#inTurn(async () => {
      this.#buildsWaiting -= 1;
      if (turn !== this.#newestBuild) return null;
      if (turn === this.#stoppedBuild)
        return lostReply(state, new WorkerLost('cancelled', null), this.limits);
      try {
        const has = this.#holdsLast ? known() : {};
        this.#buildIsRunning = true;
        this.#onStands = onStands;
        const reply = await this.#run((worker) => worker.build({ state, workshop, known: has }));
        this.#last = { state, workshop };
        this.#holdsLast = true;
        if (this.#memory.shouldReplace(reply.memoryBytes)) {
          this.#replaceWorker();
          // Started at once, so that nobody has to wait for it later. A failure shows at the next build.
          void this.#started().catch(() => undefined);
        }
        return reply;
      } catch (error) {
        if (error instanceof WorkerLost) return lostReply(state, error, this.limits);
        throw error;
      } finally {
        this.#buildIsRunning = false;
        this.#onStands = null;
      }
    });
  }

  /** Fetches and starts the kernel before it is needed, while a person still types. A failure shows at the first build. */
  begin(): void {
    void this.#started().catch(() => undefined);
  }

  /** Stops what is being built. The last good solids stay in view. */
  cancel(): void {
    // Of quiet work nobody knows: who stops then means the build that waits behind it, and is said to.
    if (this.#endQuiet && this.#buildsWaiting > 0) this.#stoppedBuild = this.#newestBuild;
    // A build that waits behind a stopped build would only hang in the same place.
    if (this.#buildIsRunning) this.#newestBuild += 1;
    this.#lose?.(new WorkerLost('cancelled', this.#at));
  }

  /** Makes sure that a replaced worker has built what is asked about. */
  async #onLastState<T>(work: (worker: SolidWorker) => Promise<T>, quiet = false): Promise<T> {
    const last = this.#last;
    if (!this.#holdsLast && last) {
      await this.#run((worker) => worker.build({ ...last, known: {} }));
      this.#holdsLast = true;
    }
    return this.#run(work, quiet);
  }

  /** A build that waits behind quiet work says so, and does not wait long. */
  #hastenQuiet(): void {
    if (!this.#endQuiet || this.#buildsWaiting === 0) return;
    if (this.#status.kind !== 'building') this.#say({ kind: 'building', bodyId: null, stepId: null });
    this.#quietAlarm ??= setTimeout(this.#endQuiet, this.limits.quietMs);
  }

  /** One thing at a time; a failure is for whoever asked and does not stop the rest. */
  #inTurn<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.#queue.then(work);
    this.#queue = turn.catch(() => undefined);
    return turn;
  }

  /** @param quiet for what nobody waits for: it gives no sign. */
  async #run<T>(work: (worker: SolidWorker) => Promise<T>, quiet = false): Promise<T> {
    this.#at = null;
    const lost = new Promise<never>((_, reject) => {
      this.#lose = reject;
    });
    const worker = await this.#startedUnless(lost);
    const isAtRest = this.#status.kind === 'idle' || this.#status.kind === 'broken';
    if (!quiet && isAtRest) this.#say({ kind: 'building', bodyId: null, stepId: null });
    this.#windAlarm();
    if (quiet) {
      this.#endQuiet = () => this.#lose?.(new WorkerLost('cancelled', this.#at));
      this.#hastenQuiet();
    }
    try {
      return await Promise.race([work(worker), lost]);
    } catch (error) {
      const dead = error instanceof WorkerLost || (error instanceof Error && error.name === 'KernelTrap');
      if (!dead) {
        // What it holds after that is not to be trusted.
        this.#replaceWorker();
        this.#say({ kind: 'broken', at: this.#at, thrown: error, when: new Date().toISOString() });
        throw error;
      }
      this.#replaceWorker();
      throw error instanceof WorkerLost ? error : new WorkerLost('trapped', this.#at);
    } finally {
      clearTimeout(this.#alarm);
      clearTimeout(this.#toTell);
      clearTimeout(this.#quietAlarm);
      this.#quietAlarm = undefined;
      this.#endQuiet = null;
      this.#lose = null;
      if (this.#status.kind === 'building') this.#say({ kind: 'idle' });
    }
  }

  /** Whoever waits may also stop while the kernel is still being fetched and started. */
  async #startedUnless(lost: Promise<never>): Promise<SolidWorker> {
    try {
      return await Promise.race([this.#started(), lost]);
    } catch (error) {
      this.#lose = null;
      if (error instanceof WorkerLost) {
        this.#replaceWorker();
        this.#say({ kind: 'idle' });
      }
      throw error;
    }
  }

  #started(): Promise<SolidWorker> {
    if (this.#ready) return this.#ready;
    const handle = this.spawn();
    this.#handle = handle;
    this.#say({ kind: 'loading', share: 0 });
    let isLoading = true;
    // What the worker calls out comes by a way of its own, and may come in after its reply: then it is no sign of work any more.
    const ready = handle.worker
      .start({
        loading: (share) => {
          if (isLoading && this.#handle === handle) this.#say({ kind: 'loading', share });
        },
        step: (bodyId, stepId) => {
          if (!this.#lose || this.#handle !== handle) return;
          this.#at = { bodyId, stepId };
          this.#windAlarm();
          this.#sayStep(bodyId, stepId);
        },
        stands: (body) => {
          if (!this.#lose || this.#handle !== handle) return;
          this.#windAlarm();
          this.#onStands?.(body);
        },
      })
      .then(
        () => {
          isLoading = false;
          this.#say({ kind: 'idle' });
          return handle.worker;
        },
        (error: Error) => {
          this.#replaceWorker();
          this.#say({ kind: 'failed', sentence: error.message });
          throw error;
        },
      );
    this.#ready = ready;
    return ready;
  }

  #windAlarm(): void {
    clearTimeout(this.#alarm);
    this.#alarm = setTimeout(() => this.#lose?.(new WorkerLost('hung', this.#at)), this.limits.stepMs);
  }

  #replaceWorker(): void {
    this.#handle?.end();
    this.#handle = null;
    this.#ready = null;
    this.#holdsLast = false;
    this.#memory = new MemoryWatch();
  }

  /** At which step it is, told no oftener than eyes can follow. */
  #sayStep(bodyId: string, stepId: string): void {
    clearTimeout(this.#toTell);
    const tell = () => {
      this.#toldAt = Date.now();
      this.#say({ kind: 'building', bodyId, stepId });
    };
    const left = TELL_EVERY_MS - (Date.now() - this.#toldAt);
    // The last of several is told all the same: it may be the one that takes long.
    if (left > 0) this.#toTell = setTimeout(tell, left);
    else tell();
  }

  #say(status: BenchStatus): void {
    this.#status = status;
    for (const listener of this.#listeners) listener();
  }
}

function faultOf(why: WorkerLost['why'], limits: BenchLimits): StepFault {
  if (why === 'cancelled') return { code: 'step.stopped' };
  if (why === 'hung') return { code: 'step.timedOut', seconds: limits.stepMs / 1000 };
  return { code: 'step.kernelFailed', message: 'the kernel stopped' };
}

/** What a lost worker leaves: no solids, and the step it was at named. */
function lostReply(state: RepairState, lost: WorkerLost, limits: BenchLimits): BuildReply {
  const bodies = state.bodies.filter((body) => !body.removed);
  const at =
    lost.at ?? (bodies[0]?.steps[0] ? { bodyId: bodies[0].id, stepId: bodies[0].steps[0].id } : null);
  const fault = faultOf(lost.why, limits);
  return {
    memoryBytes: 0,
    bodies: bodies.map((body): BuiltBody => ({
      bodyId: body.id,
      build: 0,
      mesh: null,
      steps: body.steps.map((step) =>
        at?.bodyId === body.id && at.stepId === step.id
          ? { stepId: step.id, state: 'failed', fault }
          : { stepId: step.id, state: 'waiting' },
      ),
      annotations: [],
      centreLines: [],
      figures: null,
      failedTool: null,
      cautions: [],
      findings: at?.bodyId === body.id ? [{ code: 'body.stepFailed', stepId: at.stepId, fault }] : [],
    })),
  };
}
