import type { NewRepair } from './api';
import { LIST_OF, type Repair } from './repairRows';
import { DEFAULT_MACHINE_ID, DEFAULT_MATERIAL_ID } from './workshop';

/** An empty repair as it starts: no sizes, no bodies. `now` is an ISO 8601 instant. */
export function emptyRepair(given: NewRepair, now: string): Repair {
  return {
    head: {
      id: given.id,
      version: 1,
      name: given.name,
      place: given.place,
      whatBroke: '',
      materialId: DEFAULT_MATERIAL_ID,
      machineId: DEFAULT_MACHINE_ID,
      createdAt: now,
      removed: false,
    },
    ...(Object.fromEntries(Object.values(LIST_OF).map((list) => [list, []])) as unknown as Omit<
      Repair,
      'head'
    >),
  };
}
