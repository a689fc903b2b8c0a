import type { Change, RowKind } from './change';
import type { Layout } from './layout';
import type { Body } from './recipe';
import type { Derivation, Source } from './size';
import { bodiesUsedBy, valuesIn } from './stepValues';

/** A row that another one rests on, by the list that it stands in. */
export interface Reference {
  /** Where it stands in the row, as `links[2].value`. */
  path: string;
  list: 'sizes' | 'fits' | 'layouts' | 'bodies';
  id: string;
}

type RowsOf = { [K in RowKind]: Extract<Change, { row: K }>['value'] };

/**
 * The rows that a row of each kind rests on. What a step says of another step, of a face or of a point of a layout is
 * not among them: those may be gone, and the step says so in words.
 */
const REFERENCES: { [K in RowKind]: (row: RowsOf[K]) => Reference[] } = {
  head: () => [],
  size: ({ derivation }) => ofDerivation(derivation),
  reading: ({ sizeId }) => [{ path: 'sizeId', list: 'sizes', id: sizeId }],
  layout: ofLayout,
  fit: ({ counterpartSizeId, alsoSizeIds = [] }) => [
    { path: 'counterpartSizeId', list: 'sizes', id: counterpartSizeId },
    ...alsoSizeIds.map((id, index): Reference => ({ path: `alsoSizeIds[${index}]`, list: 'sizes', id })),
  ],
  chain: ({ links }) =>
    links.flatMap(({ value }, index): Reference[] => {
      const path = `links[${index}].value`;
      if (value.from === 'size') return [{ path, list: 'sizes', id: value.id }];
      return value.from === 'fit' ? [{ path, list: 'fits', id: value.id }] : [];
    }),
  photo: ({ tags }) =>
    tags.map(({ sizeId }, index) => ({ path: `tags[${index}].sizeId`, list: 'sizes', id: sizeId })),
  body: ofBody,
  // Its state is looked at as a repair of its own.
  revision: () => [],
  // A fit or a revision that was tried may be gone since: what was asked is in the trial.
  trial: () => [],
  scan: ({ bodyId }) => [{ path: 'bodyId', list: 'bodies', id: bodyId }],
};

export function referencesOf<K extends RowKind>(kind: K, row: RowsOf[K]): Reference[] {
  return REFERENCES[kind](row);
}

const ofSource = (path: string, source: Source | null): Reference[] =>
  source?.from === 'size' ? [{ path, list: 'sizes', id: source.id }] : [];

function ofDerivation(derivation: Derivation | null): Reference[] {
  if (derivation?.by !== 'construction') return [];
  return Object.entries(derivation.inputs).flatMap(([name, source]) =>
    ofSource(`derivation.inputs.${name}`, source),
  );
}

function ofLayout({ points, distances }: Layout): Reference[] {
  return [
    ...points.flatMap(({ diameter }, index) => ofSource(`points[${index}].diameter`, diameter)),
    ...distances.flatMap(({ source }, index) => ofSource(`distances[${index}].source`, source)),
  ];
}

const LIST_OF_VALUE = { size: 'sizes', fit: 'fits', layout: 'layouts' } as const;

function ofBody({ steps }: Body): Reference[] {
  return steps.flatMap((step, index) => {
    const path = `steps[${index}]`;
    return [
      ...valuesIn(step).flatMap((value): Reference[] =>
        value.from in LIST_OF_VALUE && 'id' in value
          ? [{ path, list: LIST_OF_VALUE[value.from], id: value.id }]
          : [],
      ),
      ...layoutsUsedBy(step).map((id): Reference => ({ path, list: 'layouts', id })),
      ...bodiesUsedBy(step).map((id): Reference => ({ path, list: 'bodies', id })),
    ];
  });
}

/** Layouts whose points a step goes by as a whole: a pattern at them, or a band round them. */
function layoutsUsedBy(data: unknown): string[] {
  if (typeof data !== 'object' || data === null) return [];
  const band = 'layout' in data && typeof data.layout === 'string' ? [data.layout] : [];
  const repeat =
    'by' in data && data.by === 'layout' && 'id' in data && typeof data.id === 'string' ? [data.id] : [];
  return [...band, ...repeat, ...Object.values(data).flatMap(layoutsUsedBy)];
}
