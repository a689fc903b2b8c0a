import type { Fault } from '@core/foundations/fault';

import type { Change, RowKind } from './change';
import { referencesOf, type Reference } from './references';
import type { RepairState } from './repair';
import { LIST_LIMITS, LIST_OF, type Repair, ROW_OF_LIST } from './repairRows';

/**
 * The rules that a schema cannot hold, for changes and files alike: what is taken in by a change can be saved and
 * opened again.
 */
export type BrokenRule =
  | { rule: 'reference'; row: RowKind; path: string; reference: Reference }
  | { rule: 'double'; row: RowKind; path: string; id: string }
  | { rule: 'noPoint'; row: RowKind; path: string; id: string }
  | { rule: 'full'; row: RowKind; path: string; limit: number };

type Row = Change['value'];

/** Tells whether a row of that id stands in a list, deleted or not. */
export type IsThere = (list: Reference['list'], id: string) => boolean;

/** The first rule that a row breaks, in itself or by what it rests on. */
export function brokenByRow(row: RowKind, value: Row, stands: IsThere): BrokenRule | null {
  return brokenInside(row, value) ?? brokenReference(row, value, stands) ?? brokenState(row, value);
}

function brokenReference(row: RowKind, value: Row, stands: IsThere): BrokenRule | null {
  const lost = referencesOf(row, value as never).find(({ list, id }) => !stands(list, id));
  return lost ? { rule: 'reference', row, path: lost.path, reference: lost } : null;
}

/** Parts of a row that go by an id: each once, and each that is gone by is there. */
function brokenInside(row: RowKind, value: Row): BrokenRule | null {
  for (const [path, parts] of Object.entries(partsOf(row, value))) {
    const at = secondOf(parts.map(({ id }) => id));
    if (at !== null) return { rule: 'double', row, path: `${path}[${at}].id`, id: parts[at]!.id };
  }
  if (row !== 'layout') return null;
  const { points, distances } = value as RepairState['layouts'][number];
  const there = new Set(points.map(({ id }) => id));
  for (const [index, distance] of distances.entries()) {
    for (const end of ['from', 'to'] as const) {
      const at = distance[end];
      if ('point' in at && !there.has(at.point)) {
        return { rule: 'noPoint', row, path: `distances[${index}].${end}`, id: at.point };
      }
    }
  }
  return null;
}

function partsOf(row: RowKind, value: Row): Record<string, readonly { id: string }[]> {
  switch (row) {
    case 'body':
      return { steps: (value as RepairState['bodies'][number]).steps };
    case 'layout': {
      const { points, distances } = value as RepairState['layouts'][number];
      return { points, distances };
    }
    case 'chain':
      return { links: (value as RepairState['chains'][number]).links };
    case 'photo': {
      const { tags, marks = [] } = value as RepairState['photos'][number];
      return { tags, marks };
    }
    case 'head':
    case 'size':
    case 'reading':
    case 'fit':
    case 'revision':
    case 'trial':
    case 'scan':
      return {};
  }
}

/** A revision's rows keep the same rules among themselves. */
function brokenState(row: RowKind, value: Row): BrokenRule | null {
  if (row !== 'revision') return null;
  const broken = brokenInState((value as Repair['revisions'][number]).state);
  return broken && { ...broken, path: `state.${broken.path}` };
}

/** The first rule broken among the rows of a repair or of a revision. Paths begin at the state: `sizes[2].tag`. */
export function brokenInState(state: RepairState | Repair): BrokenRule | null {
  const ids = new Map(
    (['sizes', 'fits', 'layouts', 'bodies'] as const).map((list) => [
      list,
      new Set(state[list].map(({ id }) => id)),
    ]),
  );
  const stands: IsThere = (list, id) => ids.get(list)!.has(id);
  for (const list of Object.keys(ROW_OF_LIST) as (keyof typeof ROW_OF_LIST)[]) {
    if (!(list in state)) continue;
    const row = ROW_OF_LIST[list];
    const rows = (state as Repair)[list] as Row[];
    if (rows.length > LIST_LIMITS[list]) return { rule: 'full', row, path: list, limit: LIST_LIMITS[list] };
    const twice = secondOf(rows.map(({ id }) => id));
    if (twice !== null) return { rule: 'double', row, path: `${list}[${twice}].id`, id: rows[twice]!.id };
    const name = list === 'sizes' ? 'tag' : list === 'revisions' ? 'letter' : null;
    if (name) {
      const names = rows.map((value) => (value as unknown as Record<string, string>)[name]!);
      const again = secondOf(names);
      if (again !== null)
        return { rule: 'double', row, path: `${list}[${again}].${name}`, id: names[again]! };
    }
    for (const [index, value] of rows.entries()) {
      const broken = brokenByRow(row, value, stands);
      if (broken) return { ...broken, path: `${list}[${index}].${broken.path}` };
    }
  }
  return null;
}

/** Place of the first one that stood before; null if each stands once. */
function secondOf(ids: readonly string[]): number | null {
  const seen = new Set<string>();
  for (const [index, id] of ids.entries()) {
    if (seen.has(id)) return index;
    seen.add(id);
  }
  return null;
}

/** The fault of a change that would break a rule, or null. */
export function brokenByChange(repair: Repair, { row, value }: Change): Fault | null {
  if (row === 'head') return null;
  const list = LIST_OF[row];
  const rows = repair[list] as Row[];
  const isNew = !rows.some(({ id }) => id === value.id);
  if (isNew && rows.length >= LIST_LIMITS[list]) {
    return { code: 'row.listFull', row, limit: LIST_LIMITS[list] };
  }
  const stands: IsThere = (of, id) =>
    (of === list && id === value.id) || (repair[of] as Row[]).some((it) => it.id === id);
  const broken = brokenByRow(row, value, stands);
  return broken && faultOf(broken);
}

function faultOf(broken: BrokenRule): Fault {
  switch (broken.rule) {
    case 'reference': {
      const { list, id } = broken.reference;
      return { code: 'row.refersToNothing', row: broken.row, refersTo: ROW_OF_LIST[list], id };
    }
    case 'noPoint':
      return { code: 'row.refersToNothing', row: broken.row, refersTo: 'point', id: broken.id };
    case 'double':
      return { code: 'row.double', row: broken.row, path: broken.path, id: broken.id };
    case 'full':
      return { code: 'row.listFull', row: broken.row, limit: broken.limit };
  }
}
