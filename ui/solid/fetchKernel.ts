import { readFont, type Font } from '@core/shaping/text';

import { fontFile, kernelFile } from './kernelFile';

const NOT_LOADED = 'The part of Even Spare that builds solids could not be loaded. Reload the page.';

/**
 * Fetches the geometry kernel, telling how far it is; it is compiled while it arrives.
 * @throws Error with a sentence when it cannot be had.
 */
export async function fetchKernel(onShare: (share: number) => void): Promise<WebAssembly.Module> {
  const response = await fetch(kernelFile);
  if (!response.ok || !response.body) throw new Error(NOT_LOADED);
  // Content-Length counts packed bytes, while those that arrive here are unpacked.
  const total = Number(response.headers.get('X-Unpacked-Length')) || 23_500_000;
  let arrived = 0;
  const counted = response.body.pipeThrough(
    new TransformStream<Uint8Array<ArrayBuffer>, Uint8Array<ArrayBuffer>>({
      transform(part, onward) {
        arrived += part.length;
        onShare(Math.min(1, arrived / total));
        onward.enqueue(part);
      },
    }),
  );
  try {
    return await WebAssembly.compileStreaming(
      new Response(counted, { headers: { 'Content-Type': 'application/wasm' } }),
    );
  } catch (error) {
    // It broke off on its way, or is not whole.
    throw new Error(NOT_LOADED, { cause: error });
  }
}

/** Fetches the font that letters on parts are made from. @throws Error when it cannot be had. */
export async function fetchFont(): Promise<Font> {
  const response = await fetch(fontFile);
  if (!response.ok) throw new Error('the font did not arrive');
  return readFont(await response.arrayBuffer());
}
