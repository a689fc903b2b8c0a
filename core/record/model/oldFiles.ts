import { ownValue } from '@core/foundations/own';

/**
 * Repair files of version 1 were written in a first form for some weeks: lengths only, no layouts, chains or photos.
 * What was read then is read now; the form of a version never changes again.
 */
type Data = Record<string, unknown>;

const isData = (value: unknown): value is Data =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const rowsIn = (state: Data, list: string): Data[] => {
  const rows = ownValue(state, list);
  return Array.isArray(rows) ? rows.filter(isData) : [];
};

/** A file of the first form of version 1 in that of today; anything else as it is. */
export function inPresentForm(file: object): object {
  if (!isData(file) || !isData(file.repair) || !isFirstForm(file.repair)) return file;
  return { ...file, repair: presentState(file.repair) };
}

/** The first form has none of the lists that came later, and lengths under names of their own. */
function isFirstForm(state: Data): boolean {
  return !('layouts' in state) && !('chains' in state) && !('photos' in state);
}

function presentState(state: Data): Data {
  const list = (name: OldList) => ({ [name]: rowsIn(state, name).map((row) => presentRow(name, row)) });
  return {
    ...state,
    ...list('sizes'),
    ...list('readings'),
    ...list('fits'),
    ...('revisions' in state ? list('revisions') : {}),
    layouts: [],
    chains: [],
    photos: [],
  };
}

/** Lists whose rows were different in the first form. */
export type OldList = 'sizes' | 'readings' | 'fits' | 'revisions';

/** A row of the first form as it stands today. */
export function presentRow(list: OldList, row: Data): Data {
  switch (list) {
    case 'sizes':
      return presentSize(row);
    case 'readings': {
      const { mm, ...rest } = row;
      return { value: mm, ...rest };
    }
    case 'fits':
      return { iso: null, ...row };
    case 'revisions':
      return {
        // Without rows of its own, a workshop is the usual one.
        workshop: { instruments: [], machines: [], fitTables: [] },
        ...row,
        state: isData(row.state) ? presentState(row.state) : row.state,
      };
  }
}

function presentSize({ givenMm, ...size }: Data): Data {
  return {
    quantity: 'length',
    importance: 'plain',
    taken: 'mean',
    takenWhy: '',
    derivation: null,
    given: givenMm ?? null,
    ...size,
  };
}
