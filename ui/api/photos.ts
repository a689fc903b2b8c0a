import { z } from 'zod';

import { PhotoFile } from '@core/record/model';

import { sendFile } from './sendFile';

const KeptPhoto = z.object({ file: PhotoFile, widthPx: z.number(), heightPx: z.number() });
export type KeptPhoto = z.infer<typeof KeptPhoto>;

/** Where a picture is fetched from. */
export const photoAddress = (file: string) => `/api/photos/${file}`;

/**
 * Sends a picture as it is; the server turns it upright and takes out what the camera wrote into it.
 * @throws Unreachable, Troubled, or Refused.
 */
export const sendPhoto = (
  picture: Blob,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<KeptPhoto> =>
  sendFile('/photos', picture, {
    reply: KeptPhoto,
    otherwise: 'The photo was not added. Try again, or take it smaller.',
    onProgress,
    signal,
  });
