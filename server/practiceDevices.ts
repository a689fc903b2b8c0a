import { practiceCaliper, type PracticeObject } from '@devices/practiceCaliper';
import { PracticePrinter, type PrinterWorld } from '@devices/practicePrinter';

import type { Printer } from './jobs/printer';
import type { JobStore } from './jobs/store';

/** Clock and chance of the practice devices. */
export type PracticeWorld = PrinterWorld;

export const realPracticeWorld: PracticeWorld = {
  now: () => Date.now(),
  random: Math.random,
  every(ms, work) {
    const timer = setInterval(work, ms).unref();
    return () => clearInterval(timer);
  },
};

/** The printer that takes jobs, and the caliper that is held to what it made: the one place where they are plugged in. */
export function practiceDevices(jobs: JobStore, world: PracticeWorld) {
  const printer: Printer = new PracticePrinter(world);
  const made = async () =>
    (await jobs.madeParts()).map(({ id, name, truth }): PracticeObject => ({
      id,
      name,
      dimensions: truth as PracticeObject['dimensions'],
    }));
  return { printer, devices: [{ path: '/practice-caliper', routes: practiceCaliper(world.random, made) }] };
}
