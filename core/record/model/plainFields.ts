import { z } from 'zod';

import { PLAIN_NUMBERS, type PlainBounds, type PlainNumber } from '@core/foundations/fields';
import { schemaOf, type Step } from '@core/shaping/steps/data';
import { ownValue } from '@core/foundations/own';

/** An angle, a count or a factor of a step, with its bounds: `path` is where it stands, `pattern.count`. */
export interface PlainField extends PlainBounds {
  path: string;
  value: PlainNumber;
}

const known = new WeakMap<Step, readonly PlainField[]>();

/** All numbers of a step that are no lengths, with the bounds that its schema gives them. */
export function plainFieldsOf(step: Step): readonly PlainField[] {
  const before = known.get(step);
  if (before) return before;
  const found: PlainField[] = [];
  look(schemaOf(step.kind), step, '', found);
  known.set(step, found);
  return found;
}

/** The number at a path of a step; undefined for anything that is a length, or no number. */
export const plainFieldAt = (step: Step, path: string): PlainField | undefined =>
  plainFieldsOf(step).find((field) => field.path === path);

function look(schema: z.core.$ZodType, data: unknown, path: string, found: PlainField[]): void {
  const bounds = PLAIN_NUMBERS.get(schema as z.ZodType);
  if (bounds) {
    found.push({ path, value: data as PlainNumber, ...bounds });
  } else if (schema instanceof z.ZodOptional) {
    if (data !== undefined) look(schema.unwrap(), data, path, found);
  } else if (schema instanceof z.ZodObject) {
    for (const [key, inside] of Object.entries(schema.shape as z.core.$ZodShape)) {
      look(inside, ownValue(data as Record<string, unknown>, key), path ? `${path}.${key}` : key, found);
    }
  } else if (schema instanceof z.ZodArray) {
    (data as unknown[]).forEach((one, index) => look(schema.element, one, `${path}.${index}`, found));
  } else if (schema instanceof z.ZodUnion) {
    const option = schema.options.find((one) => mayBe(one, data));
    if (option) look(option, data, path, found);
  }
}

/** Whether data has the outward form of one of the kinds that may stand somewhere. */
function mayBe(schema: z.core.$ZodType, data: unknown): boolean {
  if (PLAIN_NUMBERS.has(schema as z.ZodType)) {
    return typeof data === 'number' || (isObject(data) && 'from' in data);
  }
  if (schema instanceof z.ZodUnion) return schema.options.some((one) => mayBe(one, data));
  if (schema instanceof z.ZodArray) return Array.isArray(data);
  if (!(schema instanceof z.ZodObject)) return !isObject(data);
  if (!isObject(data) || Array.isArray(data)) return false;
  return Object.entries(schema.shape as z.core.$ZodShape).every(([key, inside]) =>
    inside instanceof z.ZodLiteral
      ? inside.values.has(ownValue(data, key) as never)
      : inside instanceof z.ZodOptional || key in data,
  );
}

const isObject = (data: unknown): data is Record<string, unknown> =>
  typeof data === 'object' && data !== null;
