import { ownValue } from '@core/foundations/own';

/** What differs between two versions of a row, in words. */
export interface RowDifference {
  what: string;
  mine: string;
  theirs: string;
}

/** Words for the fields that people know; others (ids, times) are left out. */
const FIELD_WORDS: Record<string, string> = {
  name: 'name',
  place: 'where it belongs',
  whatBroke: 'what broke',
  materialId: 'material',
  machineId: 'machine',
  kind: 'kind of size',
  of: 'taken on',
  jaw: 'jaws',
  quantity: 'length, angle or count',
  importance: 'how important it is',
  taken: 'which value is taken',
  given: 'number',
  givenPlusMinus: 'plus or minus',
  derivation: 'how it is worked out',
  points: 'points',
  distances: 'distances',
  tags: 'tags',
  links: 'links',
  source: 'source',
  value: 'reading',
  leftOut: 'left out because',
  fitClass: 'how freely',
  ownClearanceMm: 'clearance, mm',
  feature: 'which way round',
  iso: 'ISO limits',
  resolution: 'resolution',
  permissibleErrors: 'permissible errors',
  scatterMm: 'repeatability, mm',
  corrections: 'corrections',
  clearances: 'clearances',
  steps: 'steps',
  removed: 'deleted',
};

/** @param theirs null when the other side has no such row. */
export function describeRow(mine: object, theirs: object | null): RowDifference[] {
  return Object.entries(FIELD_WORDS).flatMap(([field, what]) => {
    const [own, other] = [mine, theirs ?? {}].map((row) => ownValue(row as Record<string, unknown>, field));
    if (JSON.stringify(own) === JSON.stringify(other)) return [];
    return [{ what, mine: show(own), theirs: show(other) }];
  });
}

function show(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return `${value.length}`;
  if (typeof value === 'object') return JSON.stringify(value).replace(/[{}"]/g, '').replace(/[:,]/g, '$& ');
  return `${value as string | number}`;
}
