import { z } from 'zod';

import { Id, name } from '@core/fields';

const share = z.number().min(0).max(1);

/** A size's tag on a photo. Places are shares of the picture's width and height, from its upper left. */
export const PhotoTag = z.strictObject({ id: Id, sizeId: Id, x: share, y: share });
export type PhotoTag = z.infer<typeof PhotoTag>;

/** Name of a picture's file: the SHA-256 of its bytes, in hexadecimal. */
export const PhotoFile = z.string().regex(/^[0-9a-f]{64}$/);

/** A photo of the piece with size tags on it. */
export const Photo = z.strictObject({
  id: Id,
  version: z.int().nonnegative(),
  name,
  file: PhotoFile,
  widthPx: z.int().positive().max(20_000),
  heightPx: z.int().positive().max(20_000),
  tags: z.array(PhotoTag).max(200),
  removed: z.boolean(),
});
export type Photo = z.infer<typeof Photo>;
