import type { z } from 'zod';

import { isKnownFault, sentenceOf } from '@core/reporting/wording';
import { Refusal } from '@core/record/model';

import { Refused, Troubled, Unreachable } from './client';

/**
 * Sends a file as it is.
 * @param onProgress share of it that has gone out, 0 to 1.
 * @throws Unreachable, Troubled, or Refused.
 */
export function sendFile<S extends z.ZodType>(
  path: string,
  file: Blob,
  how: { reply: S; otherwise: string; onProgress(share: number): void; signal: AbortSignal },
): Promise<z.infer<S>> {
  const { reply, otherwise, onProgress, signal } = how;
  return new Promise((resolve, reject) => {
    // Fetch can't tell how far an upload is.
    const request = new XMLHttpRequest();
    request.open('POST', `/api${path}`);
    request.setRequestHeader('content-type', 'application/octet-stream');
    request.upload.onprogress = ({ loaded, total }) => onProgress(total > 0 ? loaded / total : 0);
    request.onerror = () => reject(new Unreachable('no answer'));
    request.onabort = () => reject(new DOMException('stopped', 'AbortError'));
    request.onload = () => {
      const answer = readJson(request.responseText);
      const kept = reply.safeParse(answer);
      if (request.status === 201 && kept.success) resolve(kept.data);
      else reject(refusedBy(request.status, answer, otherwise));
    };
    signal.addEventListener('abort', () => request.abort());
    request.send(file);
  });
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

function refusedBy(status: number, reply: unknown, otherwise: string): Error {
  const refusal = Refusal.safeParse(reply);
  if (!refusal.success) {
    return status >= 500 ? new Unreachable(`${status}`) : new Refused(status, null, otherwise);
  }
  const { fault, sentence } = refusal.data;
  if (status >= 500) return new Troubled(isKnownFault(fault) ? sentenceOf(fault) : sentence);
  return isKnownFault(fault)
    ? new Refused(status, fault, sentenceOf(fault))
    : new Refused(status, null, sentence);
}

/** The bytes of a file that the server keeps. @throws Unreachable. */
export async function fetchBytes(address: string): Promise<Uint8Array> {
  const response = await fetch(address);
  if (!response.ok) throw new Unreachable(`${response.status}`);
  return new Uint8Array(await response.arrayBuffer());
}

/** The same in base 64, for a repair file. */
export async function fetchBase64(address: string): Promise<string> {
  const bytes = await fetchBytes(address);
  let text = '';
  // In pieces: a call can't take millions of arguments.
  for (let at = 0; at < bytes.length; at += 0x8000) {
    text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  }
  return btoa(text);
}
