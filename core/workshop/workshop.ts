import type { Workshop } from '@core/model';

import { FIT_TABLES } from './fitTables';
import { INSTRUMENTS } from './instruments';
import { MACHINES } from './machines';

/** What a new workshop starts with. */
export const DEFAULT_WORKSHOP: Workshop = {
  instruments: [...INSTRUMENTS],
  machines: [...MACHINES],
  fitTables: [...FIT_TABLES],
};

/**
 * The rows of another workshop that this one lacks: a repair that comes with a file brings its instruments and
 * machines along, but never changes those that are here.
 */
export function lackingRows(here: Workshop, brought: Workshop): Workshop {
  const lacking = <T extends { id: string }>(own: readonly T[], others: readonly T[]) =>
    others.filter((other) => !own.some(({ id }) => id === other.id));
  return {
    instruments: lacking(here.instruments, brought.instruments),
    machines: lacking(here.machines, brought.machines),
    fitTables: lacking(here.fitTables, brought.fitTables),
  };
}
