import {
  WORKSHOP_ROWS,
  WORKSHOP_ROW_KINDS,
  workshopRows,
  type Workshop,
  type WorkshopRowKind,
  type WorkshopRowOf,
} from '@core/record/model';

import { FILAMENTS } from './filaments';
import { FIT_TABLES } from './fitTables';
import { INSTRUMENTS } from './instruments';
import { LAYER_PRINTERS } from './layerPrinters';
import { LAYER_SETS } from './layerSets';
import { MACHINES } from './machines';
import { RESIN_PRINTERS } from './resinPrinters';
import { RESIN_SETS } from './resinSets';
import { RESINS } from './resins';
import { MATERIALS } from './usualMaterials';

/** What a new workshop starts with. */
export const DEFAULT_WORKSHOP: Required<Workshop> = {
  instruments: [...INSTRUMENTS],
  machines: [...MACHINES],
  fitTables: [...FIT_TABLES],
  layerPrinters: [...LAYER_PRINTERS],
  filaments: [...FILAMENTS],
  layerSets: [...LAYER_SETS],
  resinPrinters: [...RESIN_PRINTERS],
  resins: [...RESINS],
  materials: [...MATERIALS],
  resinSets: [...RESIN_SETS],
};

/**
 * The rows of another workshop that this one lacks: a repair that comes with a file brings its instruments and
 * machines along, but never changes those that are here.
 */
export function lackingRows(here: Workshop, brought: Workshop): Workshop {
  return eachList((kind) => {
    const own = new Set(workshopRows(here, kind).map(({ id }) => id));
    return workshopRows(brought, kind).filter(({ id }) => !own.has(id));
  });
}

/** A workshop with what a new one starts with beside it: one that came with a file may lack it. */
export function withUsualRows(workshop: Workshop): Workshop {
  const lacking = lackingRows(workshop, DEFAULT_WORKSHOP);
  return eachList((kind) => [...workshopRows(workshop, kind), ...workshopRows(lacking, kind)]);
}

/** A workshop list by list, as the registry has them. */
function eachList(rowsOf: <K extends WorkshopRowKind>(kind: K) => readonly WorkshopRowOf<K>[]): Workshop {
  const lists = WORKSHOP_ROW_KINDS.map((kind) => [WORKSHOP_ROWS[kind].list, rowsOf(kind)]);
  return Object.fromEntries(lists) as Workshop;
}
