import { z } from 'zod';

import { Id } from '@core/fields';

import { Chain } from './chain';
import { Fit } from './fit';
import { Layout } from './layout';
import { Photo } from './photo';
import { Body } from './recipe';
import { RepairHead, Revision } from './repair';
import { Reading, Size } from './size';
import { Trial } from './trial';

const put = <R extends string, S extends z.ZodType>(row: R, value: S) =>
  z.strictObject({
    /** Names this change for ever, so that one sent twice takes effect once. */
    changeId: Id,
    row: z.literal(row),
    /** Version of the row that the person saw; 0 for a row that is new. */
    baseVersion: z.int().nonnegative(),
    value,
  });

/**
 * One change to one row of a repair: the row as it should be. Removing a row is putting it with
 * `removed: true`, so every change can be undone by putting back what stood there before.
 */
export const Change = z.discriminatedUnion('row', [
  put('head', RepairHead),
  put('size', Size),
  put('reading', Reading),
  put('layout', Layout),
  put('fit', Fit),
  put('chain', Chain),
  put('photo', Photo),
  put('body', Body),
  put('revision', Revision),
  put('trial', Trial),
]);
export type Change = z.infer<typeof Change>;
export type RowKind = Change['row'];
export type RowOf<K extends RowKind> = Extract<Change, { row: K }>['value'];
