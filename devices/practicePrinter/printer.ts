import { habitsOf, type FeatureKind } from './habits';
import { readProgram, type Program } from './readProgram';

/** A size that is to come out, mm. */
export interface AskedOfPrinter {
  id: string;
  name: string;
  kind: FeatureKind;
  jaw: 'outside' | 'inside' | 'depth' | 'step';
  mm: number;
  /** Across the edge on the bed, as its first layer is laid. */
  foot?: true;
}

export interface PrinterTask {
  id: string;
  machine: string;
  family: string;
  gcode: string;
  asked: readonly AskedOfPrinter[];
  speedUp: number;
  mishap: 'may' | 'none' | 'runsOut' | 'letsGo';
  /** What is done of it already, 0 to 1. */
  from: number;
}

/** A made size as it truly is, mm, and how uneven it is. */
export interface MadeDimension {
  id: string;
  name: string;
  jaw: AskedOfPrinter['jaw'];
  trueMm: number;
  roughMm: number;
}

export type PrinterReport =
  | { what: 'at'; share: number; layer: number; secondsLeft: number }
  | { what: 'stopped'; share: number; why: 'filament' }
  | { what: 'failed'; share: number; why: 'adhesion' | 'noJob' | 'broken'; error?: unknown }
  | { what: 'done'; made: MadeDimension[] };

/** What the printer takes from the world. */
export interface PrinterWorld {
  /** ms. */
  now(): number;
  /** From 0 up to 1. */
  random(): number;
  /** Calls again and again; gives the way to stop. */
  every(ms: number, work: () => void): () => void;
}

const TELL_EVERY_MS = 250;
/** Warming up counts as well, s. */
const WARM_UP_SECONDS = 150;

interface Running {
  task: PrinterTask;
  program: Program;
  share: number;
  /** Where it will go wrong, if it will. */
  ends: { at: number; how: 'runsOut' | 'letsGo' } | null;
  lastMs: number;
  stop(): void;
}

/** A printer that stands in for a real one: it takes the same file, takes its time, may fail, and its sizes are off in its own way. */
export class PracticePrinter {
  readonly #running = new Map<string, Running>();
  /** What is still being read. */
  readonly #reading = new Map<string, PrinterTask>();

  constructor(private readonly world: PrinterWorld) {}

  async start(task: PrinterTask, tell: (report: PrinterReport) => void): Promise<void> {
    this.#reading.set(task.id, task);
    const isWanted = () => this.#reading.get(task.id) === task;
    const read = readProgram(task.gcode, isWanted);
    // What is small is begun at once.
    const program = read instanceof Promise ? await read : read;
    if (!program || !isWanted()) return;
    this.#reading.delete(task.id);
    if (!program.lays) return tell({ what: 'failed', share: 0, why: 'noJob' });
    const running: Running = {
      task,
      program,
      share: task.from,
      ends: this.#mishap(task),
      lastMs: this.world.now(),
      stop: this.world.every(TELL_EVERY_MS, () => this.#beat(task.id, tell)),
    };
    this.#running.set(task.id, running);
    tell(this.#at(running));
  }

  /** Lets go of a job, wherever it is; gives what was done of it. */
  leave(id: string): number | null {
    this.#reading.delete(id);
    const running = this.#running.get(id);
    running?.stop();
    this.#running.delete(id);
    return running?.share ?? null;
  }

  leaveAll(): void {
    for (const id of [...this.#reading.keys(), ...this.#running.keys()]) this.leave(id);
  }

  /** Nothing that goes wrong in here may end the program that it stands in: it ends the job. */
  #beat(id: string, tell: (report: PrinterReport) => void): void {
    try {
      this.#tick(id, tell);
    } catch (error) {
      const share = this.leave(id) ?? 0;
      tell({ what: 'failed', share: Math.min(1, share), why: 'broken', error });
    }
  }

  #tick(id: string, tell: (report: PrinterReport) => void): void {
    const running = this.#running.get(id);
    if (!running) return;
    const now = this.world.now();
    const whole = running.program.seconds + WARM_UP_SECONDS;
    running.share += ((now - running.lastMs) / 1000) * (running.task.speedUp / whole);
    running.lastMs = now;
    const { ends } = running;
    if (ends && running.share >= ends.at) {
      running.share = ends.at;
      this.leave(id);
      tell(
        ends.how === 'runsOut'
          ? { what: 'stopped', share: ends.at, why: 'filament' }
          : { what: 'failed', share: ends.at, why: 'adhesion' },
      );
    } else if (running.share >= 1) {
      this.leave(id);
      tell({ what: 'done', made: running.task.asked.map((asked) => this.#make(running.task, asked)) });
    } else {
      tell(this.#at(running));
    }
  }

  #at({ share, program }: Running): PrinterReport {
    const whole = program.seconds + WARM_UP_SECONDS;
    return { what: 'at', share, layer: Math.floor(share * program.layers), secondsLeft: whole * (1 - share) };
  }

  #mishap({ machine, family, mishap, from }: PrinterTask): Running['ends'] {
    if (mishap === 'none') return null;
    const at = from + (1 - from) * (0.2 + 0.6 * this.world.random());
    if (mishap !== 'may') return { at, how: mishap };
    const { runsOut, letsGo } = habitsOf(machine, family);
    const lot = this.world.random();
    if (lot < runsOut) return { at, how: 'runsOut' };
    return lot < runsOut + letsGo ? { at, how: 'letsGo' } : null;
  }

  #make({ machine, family }: PrinterTask, { kind, mm, foot, ...named }: AskedOfPrinter): MadeDimension {
    const habits = habitsOf(machine, family);
    const [offset, scale] = habits[kind];
    // What spreads makes outsides larger and insides smaller, on both sides.
    const spread = foot ? (kind === 'inside' ? -2 : 2) * habits.footMm : 0;
    return {
      ...named,
      trueMm: mm * (1 + scale) + offset + spread + habits.scatterMm * this.#normal(),
      roughMm: habits.scatterMm / 3,
    };
  }

  /** A standard normal number: twelve uniform ones less six. */
  #normal(): number {
    let sum = -6;
    for (let turn = 0; turn < 12; turn += 1) sum += this.world.random();
    return sum;
  }
}
