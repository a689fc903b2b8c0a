import { z } from 'zod';

/** Ids are made where the row is made (often on a phone without a server), so they are random and checked. */
export const Id = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/, 'an id has 1 to 64 letters, digits, - or _');
export type Id = z.infer<typeof Id>;

/** Printable text on one line: no control characters, trimmed. Markup is just text here and everywhere. */
export const line = (limit: number) =>
  z
    .string()

    .refine((text) => !/[\u0000-\u001f\u007f\u2028\u2029]/.test(text), 'must be on one line')
    .transform((text) => text.trim())
    .refine((text) => text.length <= limit, `must have at most ${limit} characters`);

/** Free text of several lines. */
export const paragraph = (limit: number) => z.string().max(limit);

export const NAME_LIMIT = 80;
export const name = line(NAME_LIMIT).refine((text) => text.length > 0, 'must not be empty');

/** Furthest a number of the model may be from nothing, mm: one metre is more than any spare made here. */
export const MODEL_LIMIT_MM = 1000;
