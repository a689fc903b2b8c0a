import { z } from 'zod';

import { Id } from '@core/foundations/fields';

/** What is known of a kind of row. */
interface RowKindFacts {
  /** The list that its rows stand in. */
  list: string;
  /** What a row is: with an `id`, and a `version` that goes up by one with every change. */
  row: z.ZodType;
  /** Rows of it, deleted ones too. */
  most: number;
  /** What is done where the list is missing, as it is in what was kept before there was such a kind. */
  missing: 'refused' | 'left out' | 'empty';
}

/** Kinds of row by name: whatever lists, checks, stores, sends or undoes rows reads them in such a registry. */
export type RowKinds = Readonly<Record<string, Readonly<RowKindFacts>>>;

type ListSchema<F extends RowKindFacts> = F['missing'] extends 'left out'
  ? z.ZodOptional<z.ZodArray<F['row']>>
  : F['missing'] extends 'empty'
    ? z.ZodDefault<z.ZodArray<F['row']>>
    : z.ZodArray<F['row']>;

type ListSchemas<R extends RowKinds> = { [K in keyof R as R[K]['list']]: ListSchema<R[K]> };

/** The lists of a registry, as the fields of a schema. */
export const listSchemas = <R extends RowKinds>(kinds: R): ListSchemas<R> =>
  Object.fromEntries(
    Object.values(kinds).map(({ list, row, most, missing }) => {
      const rows = z.array(row).max(most);
      return [list, { refused: rows, 'left out': rows.optional(), empty: rows.default([]) }[missing]];
    }),
    // Each list with the rows of its kind, as the registry has them.
  ) as unknown as ListSchemas<R>;

/** The list in which each kind of row stands. */
export const listNames = <R extends RowKinds>(kinds: R): { readonly [K in keyof R]: R[K]['list'] } =>
  Object.fromEntries(Object.entries(kinds).map(([kind, { list }]) => [kind, list])) as {
    [K in keyof R]: R[K]['list'];
  };

type PutSchema<K extends string, S extends z.ZodType> = z.ZodObject<
  { changeId: typeof Id; row: z.ZodLiteral<K>; baseVersion: z.ZodInt; value: S },
  z.core.$strict
>;

/** A change to a row of one kind: the row as it should be. */
export const putSchema = <K extends string, S extends z.ZodType>(kind: K, row: S): PutSchema<K, S> =>
  z.strictObject({
    /** Names this change for ever, so that one sent twice takes effect once. */
    changeId: Id,
    row: z.literal(kind),
    /** Version of the row that the person saw; 0 for a row that is new. */
    baseVersion: z.int().nonnegative(),
    value: row,
  });

type PutSchemas<R extends RowKinds> = { [K in keyof R & string]: PutSchema<K, R[K]['row']> }[keyof R &
  string];

/** Changes to rows of every kind of a registry, for a union by `row`. */
export const putSchemas = <R extends RowKinds>(kinds: R) =>
  Object.entries(kinds).map(([kind, { row }]) => putSchema(kind, row)) as unknown as [
    PutSchemas<R>,
    ...PutSchemas<R>[],
  ];
