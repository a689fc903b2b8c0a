import { z } from 'zod';

import { Id, name } from '@core/foundations/fields';

const share = z.number().min(0).max(1);

/** A size's tag on a photo. Places are shares of the picture's width and height, from its upper left. */
export const PhotoTag = z.strictObject({ id: Id, sizeId: Id, x: share, y: share });
export type PhotoTag = z.infer<typeof PhotoTag>;

/** Words at a place of a photo: where it broke, where it is worn. */
export const PhotoMark = z.strictObject({ id: Id, words: name, x: share, y: share });
export type PhotoMark = z.infer<typeof PhotoMark>;

/** Name of a picture's file: the SHA-256 of its bytes, in hexadecimal. */
export const PhotoFile = z.string().regex(/^[0-9a-f]{64}$/);

/** A photo of the piece with size tags on it, and marks of what is to be seen. */
export const Photo = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  file: PhotoFile,
  widthPx: z.int().positive().max(20_000),
  heightPx: z.int().positive().max(20_000),
  tags: z.array(PhotoTag).max(200),
  marks: z.array(PhotoMark).max(50).optional(),
  removed: z.boolean(),
});
export type Photo = z.infer<typeof Photo>;
