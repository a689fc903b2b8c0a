import { readFont, type Font } from '@core/shaping/text';

import { fontFile, kernelFile } from './kernelFile';

/**
 * Fetches the geometry kernel, telling how far it is.
 * @throws Error with a sentence when it cannot be had.
 */
export async function fetchKernel(onShare: (share: number) => void): Promise<ArrayBuffer> {
  const response = await fetch(kernelFile);
  if (!response.ok || !response.body) {
    throw new Error('The part of Even Spare that builds solids could not be loaded. Reload the page.');
  }
  // Content-Length counts packed bytes, while those that arrive here are unpacked.
  const total = Number(response.headers.get('X-Unpacked-Length')) || 23_500_000;
  const parts: Uint8Array[] = [];
  let arrived = 0;
  const reader = response.body.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    parts.push(value);
    arrived += value.length;
    onShare(Math.min(1, arrived / total));
  }
  const bytes = new Uint8Array(arrived);
  let at = 0;
  for (const part of parts) {
    bytes.set(part, at);
    at += part.length;
  }
  return bytes.buffer;
}

/** Fetches the font that letters on parts are made from. @throws Error when it cannot be had. */
export async function fetchFont(): Promise<Font> {
  const response = await fetch(fontFile);
  if (!response.ok) throw new Error('the font did not arrive');
  return readFont(await response.arrayBuffer());
}
