import type { Machine } from '@core/record/model';

/** Whether a machine makes in layers, so that a part is sliced for it. */
export const isPrinter = ({ process }: Pick<Machine, 'process'>): boolean =>
  process === 'printing' || process === 'resin';
