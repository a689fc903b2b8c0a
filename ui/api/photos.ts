import { z } from 'zod';

import { isKnownFault, sentenceOf } from '@core/wording';
import { PhotoFile, Refusal } from '@core/model';

import { Refused, Troubled, Unreachable } from './client';

const Kept = z.object({ file: PhotoFile, widthPx: z.number(), heightPx: z.number() });
export type KeptPhoto = z.infer<typeof Kept>;

/** Where a picture is fetched from. */
export const photoAddress = (file: string) => `/api/photos/${file}`;

/**
 * Sends a picture as it is; the server turns it upright and takes out what the camera wrote into it.
 * @param onProgress share of it that has gone out, 0 to 1.
 * @throws Unreachable, Troubled, or Refused.
 */
export function sendPhoto(
  picture: Blob,
  onProgress: (share: number) => void,
  signal: AbortSignal,
): Promise<KeptPhoto> {
  return new Promise((resolve, reject) => {
    // Fetch can't tell how far an upload is.
    const request = new XMLHttpRequest();
    request.open('POST', '/api/photos');
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.upload.onprogress = ({ loaded, total }) => onProgress(total > 0 ? loaded / total : 0);
    request.onerror = () => reject(new Unreachable('no answer'));
    request.onabort = () => reject(new DOMException('stopped', 'AbortError'));
    request.onload = () => {
      const reply: unknown = readJson(request.responseText);
      const kept = Kept.safeParse(reply);
      if (request.status === 201 && kept.success) resolve(kept.data);
      else reject(refusedBy(request.status, reply));
    };
    signal.addEventListener('abort', () => request.abort());
    request.send(picture);
  });
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

function refusedBy(status: number, reply: unknown): Error {
  const refusal = Refusal.safeParse(reply);
  if (!refusal.success) {
    return status >= 500
      ? new Unreachable(`${status}`)
      : new Refused(status, null, 'The photo was not taken in. Try again, or take it smaller.');
  }
  const { fault, sentence } = refusal.data;
  if (status >= 500) return new Troubled(isKnownFault(fault) ? sentenceOf(fault) : sentence);
  return isKnownFault(fault)
    ? new Refused(status, fault, sentenceOf(fault))
    : new Refused(status, null, sentence);
}

/** A picture's bytes in base 64, for a repair file. */
export async function fetchPhoto(file: string): Promise<string> {
  const response = await fetch(photoAddress(file));
  if (!response.ok) throw new Unreachable(`${response.status}`);
  const bytes = new Uint8Array(await response.arrayBuffer());
  let text = '';
  // In pieces: a call can't take millions of arguments.
  for (let at = 0; at < bytes.length; at += 0x8000) {
    text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  }
  return btoa(text);
}
