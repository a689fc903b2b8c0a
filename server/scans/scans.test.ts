import { readdirSync } from 'node:fs';
import { join } from 'node:path';

import request from 'supertest';

import { writePly, writeStl } from '@core/making/formats';
import { readFound } from '@core/checking/found';
import { copyRepair, readRepairFile, type Scan } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';
import { openTestServer, type TestServer } from '@server/testing/testServer';

const WEDGE = {
  positions: new Float32Array([0, 0, 0, 3, 0, 0, 0, 4, 0, 0, 0, 5]),
  indices: new Uint32Array([0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3]),
};
const PLY = Buffer.from(writePly(WEDGE));

let server: TestServer;
beforeEach(async () => {
  server = await openTestServer();
});
afterEach(() => server.close());

const send = (bytes: Buffer) =>
  request(server.app).post('/api/scans').type('application/octet-stream').send(bytes);

test('a scan is kept with its repair, goes with its file and comes back byte for byte', async () => {
  const wheel = await server.store.open(rackWheel());
  const kept = (await send(PLY).expect(201)).body as { file: string; triangles: number };
  expect(kept.triangles).toBe(4);
  const scan: Scan = {
    id: 'scan-1',
    version: 0,
    name: 'Broken half',
    bodyId: wheel.bodies[0]!.id,
    ...kept,
    place: { turn: [0, 0, Math.SQRT1_2, Math.SQRT1_2], move: [1.25, -2, 30], isSure: true },
    removed: false,
  };
  const change = { changeId: 'c1', row: 'scan', baseVersion: 0, value: scan };
  await request(server.app).post(`/api/repairs/${wheel.head.id}/changes`).send(change).expect(200);
  const saved = await request(server.app).get(`/api/repairs/${wheel.head.id}/file`);
  const content = readRepairFile(saved.text);
  if (!content.ok) throw new Error(content.fault.code);
  expect(content.value.repair.scans).toEqual([{ ...scan, version: 1 }]);
  // As on another server: its folder knows nothing of it.
  const other = await openTestServer();
  try {
    const opened = await request(other.app).post('/api/repair-files').type('json').send(saved.text);
    const copy = (await other.store.get((opened.body as { id: string }).id))!;
    expect(copy.scans[0]).toMatchObject({ bodyId: copy.bodies[0]!.id, place: scan.place });
    const got = await request(other.app)
      .get(`/api/scans/${copy.scans[0]!.file}`)
      .responseType('blob')
      .expect(200);
    expect(got.headers['content-type']).toBe('model/ply');
    expect(Buffer.compare(got.body as Buffer, PLY)).toBe(0);
    expect(await other.store.usedScans()).toEqual(new Set([kept.file]));
  } finally {
    await other.close();
  }
});

test('nothing but a scan as it is written here is taken', async () => {
  const others = [
    Buffer.from(writeStl(WEDGE, 'wedge')),
    PLY.subarray(0, PLY.length - 1),
    Buffer.concat([PLY, Buffer.from([0])]),
    Buffer.from(PLY.toString('latin1').replace('vertex 4', 'vertex 5'), 'latin1'),
    Buffer.from('ply\nformat ascii 1.0\n<script>'),
    Buffer.alloc(0),
  ];
  for (const bytes of others) {
    const refused = await send(bytes);
    expect([refused.status, (refused.body as { fault: object }).fault]).toEqual([
      422,
      { code: 'scan.notAScan' },
    ]);
  }
  await request(server.app)
    .get(`/api/scans/${'0'.repeat(64)}`)
    .expect(404);
});

test('a scan over a body that is not there is refused, in changes and in files', async () => {
  const wheel = rackWheel();
  const scan: Scan = {
    id: 'scan-1',
    version: 0,
    name: 'Half',
    bodyId: 'nobody',
    file: 'a'.repeat(64),
    triangles: 4,
    place: { turn: [0, 0, 0, 1], move: [0, 0, 0], isSure: false },
    removed: false,
  };
  const opened = await server.store.open(wheel);
  const change = { changeId: 'c1', row: 'scan', baseVersion: 0, value: scan };
  const refused = await request(server.app).post(`/api/repairs/${opened.head.id}/changes`).send(change);
  expect(refused.body).toMatchObject({ fault: { code: 'row.refersToNothing', refersTo: 'body' } });
  const longTurn = { ...scan, place: { ...scan.place, turn: [0, 0, 0.9, 0.9] } };
  const bent = await request(server.app)
    .post(`/api/repairs/${opened.head.id}/changes`)
    .send({ ...change, changeId: 'c2', value: longTurn });
  expect(bent.status).toBe(400);
});

test('files that no row names are swept in time', async () => {
  const kept = await server.scans.keep(PLY);
  if (!kept.ok) throw new Error(kept.fault.code);
  const folder = join(server.photoFolder, '..', 'scans');
  const later = Date.now() + 61 * 24 * 60 * 60 * 1000;
  expect(await server.scans.files.sweep(new Set([kept.value.file]), later)).toBe(0);
  expect(readdirSync(folder)).toEqual([`${kept.value.file}.ply`]);
  expect(await server.scans.files.sweep(new Set(), later)).toBe(1);
  expect(readdirSync(folder)).toEqual([]);
});

test('what is written is read as it was', () => {
  const read = readFound(new Uint8Array(PLY), 'scan.ply');
  if (!read.ok) throw new Error(read.fault.code);
  expect([read.value.positions, read.value.indices]).toEqual([WEDGE.positions, WEDGE.indices]);
  expect(copyRepair(rackWheel(), () => 'x').scans).toEqual([]);
});
