import { readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

import request from 'supertest';
import sharp from 'sharp';

import {
  PHOTOS_LIMIT_BYTES,
  readRepairFile,
  writeRepairFile,
  type Photo,
  type Repair,
} from '@core/record/model';
import { freeze } from '@core/reporting/revision';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';
import { openTestServer, testSurroundings, type TestServer } from '@server/testing/testServer';

import { isPlainJpeg } from './plainJpeg';
import { preparePhoto } from './prepare';

/** A picture with a red left half and a blue right one. */
const twoHalves = (width = 120, height = 80) =>
  sharp({ create: { width, height, channels: 3, background: '#0000ff' } }).composite([
    {
      input: { create: { width: width / 2, height, channels: 3, background: '#ff0000' } },
      left: 0,
      top: 0,
    },
  ]);
const prepared = async (bytes: Buffer) => {
  const result = await preparePhoto(bytes);
  if (!result.ok) throw new Error(result.fault.code);
  return result.value;
};
const faultOf = async (bytes: Buffer) => {
  const result = await preparePhoto(bytes);
  return result.ok ? null : result.fault;
};
async function pixel(jpeg: Buffer, x: number, y: number) {
  const { data, info } = await sharp(jpeg).raw().toBuffer({ resolveWithObject: true });
  return [...data.subarray((y * info.width + x) * 3, (y * info.width + x) * 3 + 3)];
}

describe('a picture that is taken in', () => {
  test('and was written here before is kept byte for byte, so that it is no worse at each opening', async () => {
    const once = (await prepared(await twoHalves(600, 400).jpeg({ quality: 95 }).toBuffer())).jpeg;
    const again = await prepared(once);
    expect(again.jpeg.equals(once)).toBe(true);
    expect([again.widthPx, again.heightPx]).toEqual([600, 400]);
    // With anything in it but the picture it is written anew, and that is left behind.
    const hidden = Buffer.concat([once, Buffer.from('<script>')]);
    const commented = Buffer.concat([
      once.subarray(0, 2),
      Buffer.from([0xff, 0xfe, 0, 6, 0x6e, 0x6f, 0x74, 0x65]),
      once.subarray(2),
    ]);
    for (const bytes of [hidden, commented]) {
      expect(isPlainJpeg(bytes)).toBe(false);
      const { jpeg } = await prepared(bytes);
      expect(jpeg.includes('script') || jpeg.includes('note')).toBe(false);
      expect(isPlainJpeg(jpeg)).toBe(true);
    }
    expect(isPlainJpeg(once.subarray(0, once.length - 40))).toBe(false);
    const progressive = await twoHalves().jpeg({ progressive: true }).toBuffer();
    expect(isPlainJpeg(progressive)).toBe(true);
  });

  test('in the HEIF of some telephones is refused with what to do about it', async () => {
    const heif = Buffer.concat([
      Buffer.from([0, 0, 0, 24]),
      Buffer.from('ftypheic\0\0\0\0mif1heic', 'latin1'),
      Buffer.alloc(200, 7),
    ]);
    expect(await faultOf(heif)).toEqual({ code: 'photo.heif' });
  });

  test('stands upright, however the camera was held', async () => {
    // Orientation 6: turn it a quarter clockwise to see it upright, so that the left edge comes to the top.
    const bytes = await twoHalves().jpeg({ quality: 95 }).withMetadata({ orientation: 6 }).toBuffer();
    const { jpeg, widthPx, heightPx } = await prepared(bytes);
    expect([widthPx, heightPx]).toEqual([80, 120]);
    const [top, bottom] = [await pixel(jpeg, 40, 10), await pixel(jpeg, 40, 110)];
    expect(top[0]).toBeGreaterThan(200);
    expect(bottom[2]).toBeGreaterThan(200);
    expect((await sharp(jpeg).metadata()).orientation).toBeUndefined();
  });

  test('loses position, camera and date', async () => {
    const bytes = await twoHalves()
      .jpeg()
      .withExif({
        IFD0: { Make: 'Camera works', Copyright: 'somebody' },
        IFD3: { GPSLatitude: '52/1 30/1 0/1', GPSLatitudeRef: 'N' },
      })
      .toBuffer();
    expect((await sharp(bytes).metadata()).exif!.toString('latin1')).toContain('Camera works');
    const { jpeg } = await prepared(bytes);
    const { exif, xmp, iptc } = await sharp(jpeg).metadata();
    expect([exif, xmp, iptc]).toEqual([undefined, undefined, undefined]);
    expect(jpeg.toString('latin1')).not.toContain('Camera works');
  });

  test('is made no larger than is useful, and never larger than it was', async () => {
    const large = await prepared(await twoHalves(4800, 3200).jpeg().toBuffer());
    expect([large.widthPx, large.heightPx]).toEqual([2400, 1600]);
    const small = await prepared(await twoHalves(64, 48).png().toBuffer());
    expect([small.widthPx, small.heightPx]).toEqual([64, 48]);
  });

  test('may be JPEG, PNG or WebP, and comes out as JPEG', async () => {
    for (const format of ['jpeg', 'png', 'webp'] as const) {
      const { jpeg } = await prepared(await twoHalves().toFormat(format).toBuffer());
      expect((await sharp(jpeg).metadata()).format).toBe('jpeg');
    }
  });
});

describe('what is no photo', () => {
  test.each([
    ['nothing', Buffer.alloc(0)],
    ['text', Buffer.from('not a picture')],
    ['a page', Buffer.from('<!doctype html><script>alert(1)</script>')],
    ['a drawing', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')],
    ['half a JPEG', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 16])],
  ])('%s is refused', async (_, bytes) => {
    expect(await faultOf(bytes)).toEqual({ code: 'photo.notAnImage' });
  });

  test('a 100-megapixel picture is refused by its head, without being unpacked', async () => {
    // One colour packs small: 100 megapixels in a few hundred kilobytes.
    const bytes = await sharp({ create: { width: 10_000, height: 10_000, channels: 3, background: '#888' } })
      .png({ compressionLevel: 9, palette: true })
      .toBuffer();
    expect(await faultOf(bytes)).toEqual({
      code: 'photo.tooManyPixels',
      megapixels: 100,
      limitMegapixels: 64,
    });
  });

  test('a file over the limit', async () => {
    expect(await faultOf(Buffer.alloc(26 * 1024 * 1024))).toMatchObject({ code: 'photo.tooBig' });
  });
});

describe('photos over the API', () => {
  const surroundings = testSurroundings();
  let server: TestServer;
  beforeEach(async () => {
    server = await openTestServer(surroundings);
  });
  afterEach(() => server.close());
  const upload = (bytes: Buffer) =>
    request(server.app).post('/api/photos').set('content-type', 'image/jpeg').send(bytes);

  test('come back under the name that they were given, to be kept for good', async () => {
    const { status, body } = await upload(await twoHalves().jpeg().toBuffer());
    expect(status).toBe(201);
    const kept = body as { file: string; widthPx: number; heightPx: number };
    expect([kept.widthPx, kept.heightPx]).toEqual([120, 80]);
    const reply = await request(server.app).get(`/api/photos/${kept.file}`);
    expect(reply.headers['content-type']).toBe('image/jpeg');
    expect(reply.headers['cache-control']).toContain('immutable');
    expect((await sharp(reply.body as Buffer).metadata()).width).toBe(120);
  });

  test('the same picture twice is one file', async () => {
    const bytes = await twoHalves().jpeg().toBuffer();
    const [one, other] = [await upload(bytes), await upload(bytes)];
    expect(one.body).toEqual(other.body);
    expect(readdirSync(server.photoFolder)).toHaveLength(1);
  });

  test.each([
    ['../../etc/passwd', 400],
    ['%2e%2e%2fx', 400],
    ['a'.repeat(64), 404],
  ])('an address %s finds nothing', async (name, status) => {
    expect((await request(server.app).get(`/api/photos/${encodeURIComponent(name)}`)).status).toBe(status);
  });

  test('what is no picture gets a sentence', async () => {
    const reply = await upload(Buffer.from('text'));
    expect(reply.status).toBe(422);
    expect((reply.body as { sentence: string }).sentence).toMatch(/[.]$/);
  });

  test('go along in the repair file, tags and all, and come in again with it', async () => {
    const { body } = await upload(await twoHalves().jpeg().toBuffer());
    const photo: Photo = {
      id: 'photo',
      version: 1,
      name: 'Broken wheel',
      ...(body as { file: string; widthPx: number; heightPx: number }),
      tags: [{ id: 'tag', sizeId: 'a', x: 0.25, y: 0.5 }],
      removed: false,
    };
    const repair: Repair = { ...rackWheel(), photos: [photo] };
    const open = (text: string) =>
      request(server.app)
        .post('/api/repair-files')
        .send(JSON.parse(text) as object);
    const first = await open(writeRepairFile({ repair }, surroundings.now()));
    const { id } = first.body as { id: string };
    const file = (await request(server.app).get(`/api/repairs/${id}/file`)).text;
    const read = readRepairFile(file);
    if (!read.ok) throw new Error(read.fault.code);
    expect(read.value.photoFiles).toHaveLength(1);

    await server.close();
    server = await openTestServer(surroundings);
    const again = await open(file);
    expect(again.status).toBe(201);
    const here = (await request(server.app).get(`/api/repairs/${(again.body as { id: string }).id}`))
      .body as Repair;
    const [kept] = here.photos;
    const tagged = here.sizes.find(({ id: sizeId }) => sizeId === kept!.tags[0]!.sizeId);
    expect(tagged!.tag).toBe('A');
    expect((await request(server.app).get(`/api/photos/${kept!.file}`)).status).toBe(200);
  });

  test('a repair file with a picture that is none is refused, and names the place', async () => {
    const text = writeRepairFile(
      { repair: rackWheel(), photoFiles: [{ file: 'a'.repeat(64), base64: 'bm8=' }] },
      surroundings.now(),
    );
    const reply = await request(server.app)
      .post('/api/repair-files')
      .send(JSON.parse(text) as object);
    expect(reply.status).toBe(422);
    expect((reply.body as { sentence: string }).sentence).toContain('photoFiles[0]');
  });
});

describe('pictures that nobody shows', () => {
  let server: TestServer;
  beforeEach(async () => {
    server = await openTestServer();
  });
  afterEach(() => server.close());

  const DAY = 24 * 60 * 60 * 1000;
  test('are swept in time, with the parts of those that never arrived', async () => {
    const keep = async (width: number) => {
      const kept = await server.photos.keep(await twoHalves(width).jpeg().toBuffer());
      if (!kept.ok) throw new Error(kept.fault.code);
      return kept.value.file;
    };
    const [shown, loose] = [await keep(100), await keep(140)];
    writeFileSync(join(server.photoFolder, '.half-a-picture'), 'x');
    const names = () => readdirSync(server.photoFolder).sort();
    const all = names();
    expect(all).toHaveLength(3);
    const now = Date.now();
    expect(await server.photos.files.sweep(new Set([shown]), now)).toBe(0);
    expect(await server.photos.files.sweep(new Set([shown]), now + 2 * DAY)).toBe(1);
    expect(names()).toEqual([`${shown}.jpg`, `${loose}.jpg`].sort());
    expect(await server.photos.files.sweep(new Set([shown]), now + 61 * DAY)).toBe(1);
    expect(names()).toEqual([`${shown}.jpg`]);
  });

  test('are none that a photo or a revision has', async () => {
    const repair = rackWheel();
    const photo = (file: string): Photo => ({
      id: `photo-${file[0]}`,
      version: 1,
      name: 'Hub',
      file: file.repeat(64),
      widthPx: 10,
      heightPx: 10,
      tags: [],
      removed: file === 'b',
    });
    repair.photos.push(photo('a'), photo('b'));
    repair.revisions.push(
      freeze(
        { ...repair, photos: [photo('c')] },
        { id: 'r', note: '', frozenAt: '2026-05-04T10:00:00.000Z', figures: [], workshop: DEFAULT_WORKSHOP },
      ),
    );
    await server.store.open(repair);
    expect([...(await server.store.usedPictures())].sort()).toEqual(
      ['a', 'b', 'c'].map((letter) => letter.repeat(64)),
    );
  });

  test('more than a file has room for are refused with their own number', async () => {
    const wheel = await server.store.open(rackWheel());
    const big = async (seed: number) => {
      const [width, height] = [2400, 1600];
      const noise = new Int32Array((width * height * 3) / 4);
      // Numerical Recipes' quick generator: noise enough to keep a JPEG from packing it.
      for (let at = 0, state = seed; at < noise.length; at += 1) {
        state = (Math.imul(state, 1664525) + 1013904223) | 0;
        noise[at] = state ^ (state >>> 13);
      }
      const jpeg = await sharp(Buffer.from(noise.buffer), { raw: { width, height, channels: 3 } })
        .jpeg({ quality: 100, chromaSubsampling: '4:4:4' })
        .toBuffer();
      const kept = await server.photos.keep(jpeg);
      if (!kept.ok) throw new Error(kept.fault.code);
      return { ...kept.value, bytes: jpeg.length };
    };
    let bytes = 0;
    let taken = 0;
    let refused: request.Response | null = null;
    for (let seed = 1; refused === null; seed += 1) {
      const { bytes: more, ...photo } = await big(seed);
      const value: Photo = { id: `p${seed}`, version: 0, name: 'Noise', ...photo, tags: [], removed: false };
      const reply = await request(server.app)
        .post(`/api/repairs/${wheel.head.id}/changes`)
        .send({ changeId: `c${seed}`, row: 'photo', baseVersion: 0, value });
      if (reply.status === 200) {
        bytes += more;
        taken += 1;
      } else refused = reply;
    }
    expect(refused.body).toMatchObject({
      fault: { code: 'photos.tooLarge', limitBytes: PHOTOS_LIMIT_BYTES },
    });
    expect((refused.body as { sentence: string }).sentence).toContain('40 MB');
    expect(taken).toBeGreaterThan(1);
    expect(bytes).toBeLessThanOrEqual(PHOTOS_LIMIT_BYTES);
    const saved = await request(server.app).get(`/api/repairs/${wheel.head.id}/file`);
    await request(server.app).post('/api/repair-files').type('json').send(saved.text).expect(201);
  }, 60_000);
});
