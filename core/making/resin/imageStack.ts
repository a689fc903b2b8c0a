import { encode } from 'fast-png';
import { strToU8, Zip, ZipDeflate, ZipPassThrough } from 'fflate';

import type { ResinJob, ResinLayer } from './resinJob';
import { Rasteriser } from './raster';

/** What stands in a stack of pictures beside them; see docs/resin-job.md. */
export interface StackHeader {
  format: 'even-spare-resin-job';
  version: 1;
  title: string;
  writtenAt: string;
  pixels: [number, number];
  pixelMm: [number, number];
  layerMm: number;
  liftMm: number;
  liftSpeedMmS: number;
  restSeconds: number;
  layers: { picture: string; topMm: number; lightSeconds: number }[];
}

/**
 * A job as a ZIP archive of one grey PNG (ISO/IEC 15948) a layer, how much of each pixel is lit from 0 to 255, as seen from above with the back on top, and a
 * JSON file that says how long each is lit. Equal layers are drawn once. Works in steps; each gives the share that is done, 0 to 1.
 *
 * @param when ISO 8601 instant.
 */
export function* imageStack(job: ResinJob, title: string, when: string): Generator<number, Uint8Array> {
  const { layers, printer, set } = job;
  const [width, depth] = printer.envelopeMm;
  const pixelMm: [number, number] = [width / printer.pixels[0], depth / printer.pixels[1]];
  const chunks: Uint8Array[] = [];
  const zip = new Zip((error, chunk) => {
    if (error) throw error;
    chunks.push(chunk);
  });
  const add = (file: ZipDeflate | ZipPassThrough, bytes: Uint8Array) => {
    zip.add(file);
    file.push(bytes, true);
  };
  const nameOf = (index: number) => `layers/${String(index + 1).padStart(5, '0')}.png`;
  const header: StackHeader = {
    format: 'even-spare-resin-job',
    version: 1,
    title,
    writtenAt: when,
    pixels: printer.pixels,
    pixelMm,
    layerMm: set.layerMm,
    liftMm: printer.liftMm,
    liftSpeedMmS: printer.liftSpeed,
    restSeconds: printer.restSeconds,
    layers: layers.map(({ topMm, seconds }, index) => ({
      picture: nameOf(index),
      topMm: Number(topMm.toFixed(4)),
      lightSeconds: Number(seconds.toFixed(3)),
    })),
  };
  add(new ZipDeflate('job.json', { level: 6 }), strToU8(JSON.stringify(header, null, 2)));
  const raster = new Rasteriser(printer.pixels[0], printer.pixels[1], pixelMm);
  let last: { layer: ResinLayer; png: Uint8Array } | null = null;
  for (const [index, layer] of layers.entries()) {
    const isSame = last !== null && sameLight(last.layer, layer);
    const png: Uint8Array = isSame
      ? last!.png
      : encode(
          {
            ...raster.draw([layer.parts, layer.pillars], [width / 2, depth / 2]),
            channels: 1,
            depth: 8,
          },
          { zlib: { level: 3 } },
        );
    last = { layer, png };
    add(new ZipPassThrough(nameOf(index)), png);
    yield (index + 1) / layers.length;
  }
  zip.end();
  return joinedBytes(chunks);
}

/** Whether two layers light the very same. */
function sameLight(one: ResinLayer, other: ResinLayer): boolean {
  const same = (a: ResinLayer['parts'], b: ResinLayer['parts']) =>
    a.length === b.length &&
    a.every((path, index) => {
      const own = b[index]!;
      return path.length === own.length && path.every(({ x, y }, at) => x === own[at]!.x && y === own[at]!.y);
    });
  return same(one.parts, other.parts) && same(one.pillars, other.pillars);
}

function joinedBytes(chunks: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(chunks.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const chunk of chunks) {
    all.set(chunk, at);
    at += chunk.length;
  }
  return all;
}
