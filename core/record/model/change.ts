import { z } from 'zod';

import { RepairHead } from './repair';
import { putSchema, putSchemas } from './rowKinds';
import { REPAIR_ROWS } from './repairRows';

/**
 * One change to one row of a repair: the row as it should be. Removing a row is putting it with
 * `removed: true`, so every change can be undone by putting back what stood there before.
 */
export const Change = z.discriminatedUnion('row', [
  putSchema('head', RepairHead),
  ...putSchemas(REPAIR_ROWS),
]);
export type Change = z.infer<typeof Change>;
export type RowKind = Change['row'];
export type RowOf<K extends RowKind> = Extract<Change, { row: K }>['value'];
