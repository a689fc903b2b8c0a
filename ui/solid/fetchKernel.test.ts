/** @jest-environment node */
import { fetchKernel } from './fetchKernel';

/** The smallest module there is: its mark and its version. */
const MODULE = new Uint8Array([0, 0x61, 0x73, 0x6d, 1, 0, 0, 0]);
const realFetch = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = realFetch;
});

/** A server that hands a file out in pieces. */
const serve = (pieces: readonly Uint8Array[], { breaks = false, status = 200 } = {}) => {
  globalThis.fetch = () =>
    Promise.resolve(
      new Response(
        new ReadableStream({
          start(stream) {
            for (const piece of pieces) stream.enqueue(piece);
            if (breaks) stream.error(new TypeError('network error'));
            else stream.close();
          },
        }),
        { status, headers: { 'X-Unpacked-Length': '8' } },
      ),
    );
};

test('the kernel is compiled from its pieces, and says how far it is', async () => {
  serve([MODULE.slice(0, 2), MODULE.slice(2, 6), MODULE.slice(6)]);
  const shares: number[] = [];
  const module = await fetchKernel((share) => shares.push(share));
  expect(module).toBeInstanceOf(WebAssembly.Module);
  expect(shares).toEqual([0.25, 0.75, 1]);
});

test.each([
  ['breaks off', () => serve([MODULE.slice(0, 4)], { breaks: true })],
  ['is not whole', () => serve([MODULE.slice(0, 5)])],
  ['is not there', () => serve([MODULE], { status: 404 })],
])('one that %s is told in a sentence', async (_, begin) => {
  begin();
  await expect(fetchKernel(() => {})).rejects.toThrow(/could not be loaded\. Reload the page/);
});
