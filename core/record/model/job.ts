import { z } from 'zod';

import { Id, line, name } from '@core/foundations/fields';

import { FitFeature } from './fitFeature';
import { Jaw } from './size';
import { RESULTS_LIMIT, TrialOf, TrialResult } from './trial';

const instant = z.iso.datetime();

/** A working size that a job is to make, to be measured on what comes out. */
export const AskedSize = z.strictObject({
  /** The fit, or the place of its gauge row. */
  id: z.string().min(1).max(100),
  name: line(120),
  feature: FitFeature,
  jaw: Jaw,
  /** As it stands in the model, mm. */
  mm: z.number().positive().max(10_000),
  /** Across the edge that stands on the bed: `mm` is what the first layer is laid with. */
  foot: z.literal(true).optional(),
});
export type AskedSize = z.infer<typeof AskedSize>;

/** What is to happen on the practice printer: what its habits bring, nothing bad, or one of its faults for certain. */
export const Mishap = z.enum(['may', 'none', 'runsOut', 'letsGo']);
export type Mishap = z.infer<typeof Mishap>;

/** As many sizes as a job asks for. */
export const ASKED_LIMIT = 60;

/** What a machine is sent. */
export const NewJob = z.strictObject({
  id: Id,
  repairId: Id,
  bodyId: Id,
  name,
  repairName: name,
  /** The revision that is made; null for one that was not frozen. */
  letter: z
    .string()
    .regex(/^[A-Z]{1,2}$/)
    .nullable(),
  machineId: Id,
  machineName: name,
  materialId: Id,
  family: line(40),
  asked: z.array(AskedSize).max(ASKED_LIMIT),
  /** How its trial begins: every fit as it stood when the job was sent, since numbers change while it is made. */
  trial: z.strictObject({ of: TrialOf, results: z.array(TrialResult).max(RESULTS_LIMIT) }),
  /** How many times faster than the real thing the practice printer goes. */
  speedUp: z.number().min(1).max(100_000),
  mishap: Mishap,
});
export type NewJob = z.infer<typeof NewJob>;

export const JobState = z.enum(['waiting', 'running', 'paused', 'done', 'failed', 'cancelled']);
export type JobState = z.infer<typeof JobState>;

/** Why a job stands still or ended early. */
export const JobReason = z.enum([
  'person',
  'filament',
  'adhesion',
  'serverStopped',
  'noJob',
  'machineBusy',
  'broken',
]);
export type JobReason = z.infer<typeof JobReason>;

/** A job as the workshop keeps it. */
export const Job = NewJob.extend({
  state: JobState,
  /** What is done of it, 0 to 1. */
  share: z.number().min(0).max(1),
  layer: z.int().nonnegative(),
  secondsLeft: z.number().nonnegative().nullable(),
  reason: JobReason.nullable(),
  /** What came of it; null until it is done. */
  madePartId: Id.nullable(),
  askedAt: instant,
  history: z
    .array(z.strictObject({ at: instant, state: JobState, share: z.number(), reason: JobReason.nullable() }))
    .max(200),
});
export type Job = z.infer<typeof Job>;

/** The jobs that are shown, and those that can't be read any more. */
export const JobList = z.strictObject({
  jobs: z.array(Job),
  unreadable: z.array(z.strictObject({ id: z.string(), name: z.string() })).optional(),
});
export type JobList = z.infer<typeof JobList>;

/** How many of all jobs have their G-code kept, and how large it is, bytes. */
export const KeptGcode = z.strictObject({ jobs: z.int(), bytes: z.int() });
export type KeptGcode = z.infer<typeof KeptGcode>;

/** What may be done with a job. */
export const JobAct = z.enum(['pause', 'resume', 'cancel', 'again']);
export type JobAct = z.infer<typeof JobAct>;

/** A job that ended or never will go on. */
export const isOver = ({ state }: Pick<Job, 'state'>): boolean =>
  state === 'done' || state === 'failed' || state === 'cancelled';
