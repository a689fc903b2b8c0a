import { z } from 'zod';

import { Filament, LayerPrinter, LayerSet } from './layerRows';
import { Material } from './materialRow';
import { listSchemas, putSchemas } from './rowKinds';
import { Resin, ResinPrinter, ResinSet } from './resinRows';
import { FitTable, Instrument, Machine } from './workshop';

/** The kinds of row in a workshop; see `rowKinds`. */
export const WORKSHOP_ROWS = {
  instrument: { list: 'instruments', row: Instrument, most: 200, missing: 'refused' },
  machine: { list: 'machines', row: Machine, most: 200, missing: 'refused' },
  fitTable: { list: 'fitTables', row: FitTable, most: 100, missing: 'refused' },
  layerPrinter: { list: 'layerPrinters', row: LayerPrinter, most: 200, missing: 'left out' },
  filament: { list: 'filaments', row: Filament, most: 200, missing: 'left out' },
  layerSet: { list: 'layerSets', row: LayerSet, most: 200, missing: 'left out' },
  resinPrinter: { list: 'resinPrinters', row: ResinPrinter, most: 200, missing: 'left out' },
  resin: { list: 'resins', row: Resin, most: 200, missing: 'left out' },
  material: { list: 'materials', row: Material, most: 300, missing: 'left out' },
  resinSet: { list: 'resinSets', row: ResinSet, most: 200, missing: 'left out' },
} as const;

type Rows = typeof WORKSHOP_ROWS;
export type WorkshopRowKind = keyof Rows;
export type WorkshopRowOf<K extends WorkshopRowKind> = z.infer<Rows[K]['row']>;

export const WORKSHOP_ROW_KINDS = Object.keys(WORKSHOP_ROWS) as WorkshopRowKind[];

/** What a workshop has and knows, for all its repairs. */
export const Workshop = z.strictObject(listSchemas(WORKSHOP_ROWS));
export type Workshop = z.infer<typeof Workshop>;

/** One change to one row of the workshop: the row as it should be. */
export const WorkshopChange = z.discriminatedUnion('row', putSchemas(WORKSHOP_ROWS));
export type WorkshopChange = z.infer<typeof WorkshopChange>;

/** The rows of a kind; none where a workshop is older than its list. */
export const workshopRows = <K extends WorkshopRowKind>(
  workshop: Workshop,
  kind: K,
): readonly WorkshopRowOf<K>[] =>
  (workshop[WORKSHOP_ROWS[kind].list] ?? []) as readonly unknown[] as readonly WorkshopRowOf<K>[];
