import { ownValue } from '@core/foundations/own';

import { z } from 'zod';

import { readNumber, shownNumber } from '../shared/numberFields';

/** A field of a row's form: where it stands in the row, and what it is called. */
export type RowField = { path: string; label: string } & (
  | {
      kind: 'number';
      /** mm is typed in any unit of length; all else as a number alone. */
      unit?: string;
      /** What is stored for 1 as it is typed. */
      times?: number;
    }
  | { kind: 'text' }
  /** One of the list a line. */
  | { kind: 'lines' }
);

export interface RowGroup {
  heading?: string;
  fields: readonly RowField[];
}

type Row = object;

/** Names of a form's fields may have no points. */
export const keyOf = ({ path }: RowField) => path.replaceAll('.', '/');

const valueAt = (row: Row, path: string): unknown =>
  path.split('.').reduce<unknown>((value, key) => ownValue(value as Record<string, unknown>, key), row);

/** A copy of the row with a value at a place. */
const withValue = <T extends Row>(row: T, path: string, value: unknown): T =>
  put(row, path.split('.'), value) as T;

function put(holder: unknown, [key, ...rest]: readonly string[], value: unknown): unknown {
  if (key === undefined) return value;
  if (Array.isArray(holder)) return holder.with(Number(key), put(holder[Number(key)], rest, value));
  return { ...(holder as object), [key]: put(ownValue(holder as Record<string, unknown>, key), rest, value) };
}

/** The schema of what stands at a place of a row. */
function schemaAt(schema: z.ZodType, path: string): z.ZodType {
  return path.split('.').reduce((at, key): z.ZodType => {
    const found =
      at instanceof z.ZodTuple
        ? (at.def.items as readonly unknown[])[Number(key)]
        : at instanceof z.ZodObject
          ? ownValue(at.shape as Record<string, unknown>, key)
          : undefined;
    if (!(found instanceof z.ZodType)) throw new Error(`a row has nothing at ${path}`);
    return found;
  }, schema);
}

/** The number that was typed, as it is stored, or what is wrong with it; null for nothing where nothing may stand there. */
function readField(
  text: string,
  { path, label, unit = '', times }: RowField & { kind: 'number' },
  schema: z.ZodType,
) {
  const at = schemaAt(schema, path);
  const mayBeEmpty = at instanceof z.ZodNullable || at instanceof z.ZodOptional;
  if (mayBeEmpty && text.trim() === '') {
    return { ok: true as const, value: at instanceof z.ZodNullable ? null : undefined };
  }
  const number = mayBeEmpty ? at.unwrap() : at;
  if (!(number instanceof z.ZodNumber)) throw new Error(`a row has no number at ${path}`);
  const what = label.charAt(0).toLowerCase() + label.slice(1);
  return readNumber(text, what, number, { unit, ...(times ? { times } : {}) });
}

const linesOf = (text: string) =>
  text
    .split('\n')
    .map((one) => one.trim())
    .filter(Boolean);

/** What the fields show of a row. */
export const shownOf = (row: Row, fields: readonly RowField[]): Record<string, string> =>
  Object.fromEntries(
    fields.map((field) => {
      const value = valueAt(row, field.path);
      if (field.kind === 'number') {
        return [
          keyOf(field),
          value === null || value === undefined ? '' : shownNumber((value as number) / (field.times ?? 1)),
        ];
      }
      return [keyOf(field), field.kind === 'lines' ? (value as string[]).join('\n') : (value as string)];
    }),
  );

/** What may be typed into the fields of a row: bounds are those of the row's schema alone. */
export const formOf = (schema: z.ZodType, fields: readonly RowField[]) =>
  z.object(
    Object.fromEntries(
      fields.map((field) => [
        keyOf(field),
        z.string().superRefine((text, context) => {
          const message = problemIn(text, field, schema);
          if (message) context.addIssue({ code: 'custom', message });
        }),
      ]),
    ),
  );

function problemIn(text: string, field: RowField, schema: z.ZodType): string | null {
  if (field.kind === 'number') {
    const read = readField(text, field, schema);
    return read.ok ? null : read.sentence;
  }
  const value = field.kind === 'lines' ? linesOf(text) : text;
  const parsed = schemaAt(schema, field.path).safeParse(value);
  return parsed.success ? null : `${field.label}: ${parsed.error.issues[0]!.message}. Change it.`;
}

/** The row with what was typed; what was not touched stays to the last digit. */
export function rowWith<T extends Row>(
  row: T,
  typed: Record<string, string>,
  fields: readonly RowField[],
  schema: z.ZodType,
): T {
  const shown = shownOf(row, fields);
  return fields.reduce((next, field) => {
    const text = ownValue(typed, keyOf(field))!;
    if (text === ownValue(shown, keyOf(field))) return next;
    if (field.kind !== 'number')
      return withValue(next, field.path, field.kind === 'lines' ? linesOf(text) : text.trim());
    const read = readField(text, field, schema);
    return read.ok ? withValue(next, field.path, read.value) : next;
  }, row);
}
