import {
  LIST_OF,
  type Repair,
  type RepairState,
  type Revision,
  type RowKind,
  type RowOf,
} from '@core/record/model';

/** A row as it is to stand. */
export type RowToPut = { [K in RowKind]: { row: K; value: RowOf<K> } }[RowKind];

/** Lists that go back, those first that others rest on. Photos and trials are what was seen, and stay. */
const LISTS = ['size', 'reading', 'layout', 'fit', 'chain', 'body'] as const;
type GoesBack = (typeof LISTS)[number];

/**
 * What has to be put so that a repair stands again as a revision froze it: its rows, and those that came since taken away (they can be brought back).
 * Its name, its brief, its photos and its trials stay, and no revision is touched.
 */
export function backTo(repair: Repair, revision: Revision): RowToPut[] {
  const put: RowToPut[] = [];
  const away: RowToPut[] = [];
  for (const kind of LISTS) {
    const [now, then] = [rowsOf(repair, kind), rowsOf(revision.state, kind)];
    const frozen = new Set(then.map(({ id }) => id));
    for (const row of then) {
      const current = now.find(({ id }) => id === row.id);
      const value = { ...row, version: current?.version ?? 0 };
      if (!current || JSON.stringify(current) !== JSON.stringify(value)) {
        put.push({ row: kind, value } as RowToPut);
      }
    }
    for (const row of now) {
      if (!frozen.has(row.id) && !row.removed) {
        away.unshift({ row: kind, value: { ...row, removed: true } } as RowToPut);
      }
    }
  }
  const { materialId, machineId } = revision.state.head;
  const isNewest = repair.revisions.at(-1)?.id === revision.id;
  const { standsOn: _before, ...head } = repair.head;
  const value = { ...head, materialId, machineId, ...(isNewest ? {} : { standsOn: revision.letter }) };
  return [...put, ...away, { row: 'head', value }];
}

/** Whether a repair stands just as a revision froze it, so that nothing of it is lost when it is left for another. */
export function isAsIn(repair: Repair, revision: Revision): boolean {
  const { materialId, machineId } = revision.state.head;
  return (
    repair.head.materialId === materialId &&
    repair.head.machineId === machineId &&
    backTo(repair, revision).every(({ row }) => row === 'head')
  );
}

const rowsOf = (state: RepairState, kind: GoesBack): readonly RowOf<GoesBack>[] => state[LIST_OF[kind]];
