import { z } from 'zod';

import { Id } from '@core/fields';

import { Filament, LayerPrinter, LayerSet } from './layerRows';
import { FitTable, Instrument, Machine } from './workshop';

/**
 * The kinds of row in a workshop: where each stands, what it is, and how many there may be. Whatever lists, checks, stores, sends or
 * undoes rows of the workshop reads them here. `later` ones came after workshops had been kept: those lack the list.
 */
export const WORKSHOP_ROWS = {
  instrument: { list: 'instruments', row: Instrument, most: 200, later: false },
  machine: { list: 'machines', row: Machine, most: 200, later: false },
  fitTable: { list: 'fitTables', row: FitTable, most: 100, later: false },
  layerPrinter: { list: 'layerPrinters', row: LayerPrinter, most: 200, later: true },
  filament: { list: 'filaments', row: Filament, most: 200, later: true },
  layerSet: { list: 'layerSets', row: LayerSet, most: 200, later: true },
} as const;

type Rows = typeof WORKSHOP_ROWS;
export type WorkshopRowKind = keyof Rows;
export type WorkshopRowOf<K extends WorkshopRowKind> = z.infer<Rows[K]['row']>;
export type WorkshopListName = Rows[WorkshopRowKind]['list'];

export const WORKSHOP_ROW_KINDS = Object.keys(WORKSHOP_ROWS) as WorkshopRowKind[];

type ListSchemas = {
  [K in WorkshopRowKind as Rows[K]['list']]: Rows[K]['later'] extends true
    ? z.ZodOptional<z.ZodArray<Rows[K]['row']>>
    : z.ZodArray<Rows[K]['row']>;
};

/** What a workshop has and knows, for all its repairs. */
export const Workshop = z.strictObject(
  Object.fromEntries(
    Object.values(WORKSHOP_ROWS).map(({ list, row, most, later }) => {
      const rows = z.array(row).max(most);
      return [list, later ? rows.optional() : rows];
    }),
    // Each list with the rows of its kind, as the registry has them.
  ) as unknown as ListSchemas,
);
export type Workshop = z.infer<typeof Workshop>;

type ChangeSchemas = {
  [K in WorkshopRowKind]: z.ZodObject<
    {
      changeId: typeof Id;
      row: z.ZodLiteral<K>;
      baseVersion: z.ZodInt;
      value: Rows[K]['row'];
    },
    z.core.$strict
  >;
}[WorkshopRowKind];

/** One change to one row of the workshop: the row as it should be. */
export const WorkshopChange = z.discriminatedUnion(
  'row',
  WORKSHOP_ROW_KINDS.map((kind) =>
    z.strictObject({
      changeId: Id,
      row: z.literal(kind),
      baseVersion: z.int().nonnegative(),
      value: WORKSHOP_ROWS[kind].row,
    }),
  ) as unknown as [ChangeSchemas, ...ChangeSchemas[]],
);
export type WorkshopChange = z.infer<typeof WorkshopChange>;

/** The rows of a kind; none where a workshop is older than its list. */
export const workshopRows = <K extends WorkshopRowKind>(
  workshop: Workshop,
  kind: K,
): readonly WorkshopRowOf<K>[] =>
  (workshop[WORKSHOP_ROWS[kind].list] ?? []) as readonly unknown[] as readonly WorkshopRowOf<K>[];
