import type { FeatureKind, JobReason, Mishap } from '@core/record/model';

/** A machine that takes jobs, as the queue sees it. What is behind it, real or for practice, it does not know. */
export interface Printer {
  /** Takes a job in, which is read first; one that is left meanwhile is not begun. */
  start(task: PrinterTask, tell: (report: PrinterReport) => void): Promise<void>;
  /** Lets go of a job; gives what was done of it, 0 to 1, or null if it was not at work on it. */
  leave(id: string): number | null;
  leaveAll(): void;
}

export interface PrinterTask {
  id: string;
  machine: string;
  family: string;
  gcode: string;
  asked: readonly {
    id: string;
    name: string;
    kind: FeatureKind;
    jaw: 'outside' | 'inside' | 'depth' | 'step';
    mm: number;
    foot?: true;
  }[];
  speedUp: number;
  mishap: Mishap;
  /** What is done of it already. */
  from: number;
}

export type PrinterReport =
  | { what: 'at'; share: number; layer: number; secondsLeft: number }
  | { what: 'stopped'; share: number; why: JobReason }
  /** `error` where it was no fault of the job. */
  | { what: 'failed'; share: number; why: JobReason; error?: unknown }
  /** What came out; only the devices look into it. */
  | { what: 'done'; made: unknown };
