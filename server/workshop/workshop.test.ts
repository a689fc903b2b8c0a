import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import request from 'supertest';

import { evaluateRepair } from '@core/fitting/fit';
import {
  writeRepairFile,
  type Instrument,
  type Repair,
  type Workshop,
  type WorkshopChange,
} from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';
import { openTestServer, testSurroundings, type TestServer } from '@server/testing/testServer';

const surroundings = testSurroundings();
let server: TestServer;
beforeEach(async () => {
  server = await openTestServer(surroundings);
});
afterEach(() => server.close());

const workshop = async () => (await request(server.app).get('/api/workshop')).body as Workshop;
const send = (change: WorkshopChange) => request(server.app).post('/api/workshop/changes').send(change);
const caliper = DEFAULT_WORKSHOP.instruments[0]!;
const putInstrument = (fields: Partial<Instrument>, baseVersion = 1): WorkshopChange => ({
  changeId: surroundings.newId(),
  row: 'instrument',
  baseVersion,
  value: { ...caliper, ...fields, version: baseVersion },
});

describe('the workshop', () => {
  test('starts with what the program ships with', async () => {
    expect(await workshop()).toEqual(DEFAULT_WORKSHOP);
  });

  test('keeps a change, and other rows as they were', async () => {
    const reply = await send(putInstrument({ name: 'Old caliper', resolution: 0.02 }));
    expect(reply.status).toBe(200);
    expect(reply.body).toMatchObject({ value: { version: 2 } });
    const { instruments, machines } = await workshop();
    expect(instruments[0]).toMatchObject({ name: 'Old caliper', resolution: 0.02, version: 2 });
    expect(instruments.slice(1)).toEqual(DEFAULT_WORKSHOP.instruments.slice(1));
    expect(machines).toEqual(DEFAULT_WORKSHOP.machines);
  });

  test('takes in a new row', async () => {
    const added = putInstrument({ id: 'wide', name: 'Wide caliper', reach: 300 }, 0);
    expect((await send(added)).status).toBe(200);
    expect((await workshop()).instruments.at(-1)).toMatchObject({ id: 'wide', version: 1 });
  });

  test('refuses a stale change, and gives back what is there', async () => {
    await send(putInstrument({ name: 'First' }));
    const late = await send(putInstrument({ name: 'Second' }));
    expect(late.status).toBe(409);
    expect(late.body).toMatchObject({ fault: { code: 'row.stale', theirs: { name: 'First', version: 2 } } });
    expect((await workshop()).instruments[0]!.name).toBe('First');
  });

  test('a change sent twice takes effect once', async () => {
    const change = putInstrument({ name: 'Once' });
    const [first, second] = [await send(change), await send(change)];
    expect(second.body).toEqual(first.body);
    expect((await workshop()).instruments[0]!.version).toBe(2);
  });

  test.each([
    ['no resolution', { resolution: 0 }],
    ['no name', { name: '  ' }],
    ['no errors', { permissibleErrors: [] }],
    ['an unknown kind', { kind: 'telescope' as never }],
  ])('%s is refused with a sentence', async (_, fields) => {
    const reply = await send(putInstrument(fields));
    expect(reply.status).toBe(400);
    expect((reply.body as { sentence: string }).sentence).toMatch(/[.]$/);
    expect(await workshop()).toEqual(DEFAULT_WORKSHOP);
  });

  test('is there again after a restart', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'even-spare-'));
    await server.close();
    server = await openTestServer(surroundings, folder);
    await send(putInstrument({ name: 'Kept' }));
    await server.close();
    server = await openTestServer(surroundings, folder);
    expect((await workshop()).instruments[0]!.name).toBe('Kept');
    rmSync(folder, { recursive: true });
  });
});

describe('a repair file from another workshop', () => {
  const theirs: Workshop = {
    ...DEFAULT_WORKSHOP,
    instruments: [
      { ...caliper, resolution: 0.05 },
      { ...caliper, id: 'their-caliper', name: 'Their caliper', resolution: 0.1 },
    ],
    machines: [{ ...DEFAULT_WORKSHOP.machines[0]!, id: 'their-printer', name: 'Their printer' }],
  };
  const openFile = async (repair: Repair) =>
    request(server.app)
      .post('/api/repair-files')
      .send(JSON.parse(writeRepairFile({ repair, workshop: theirs }, surroundings.now())) as object);

  test('brings its instruments and machines along, and changes none that is here', async () => {
    expect((await openFile(rackWheel())).status).toBe(201);
    const here = await workshop();
    expect(here.instruments.find(({ id }) => id === 'their-caliper')).toMatchObject({ resolution: 0.1 });
    expect(here.machines.map(({ name }) => name)).toContain('Their printer');
    expect(here.instruments[0]).toEqual(caliper);
  });

  test('has the same working sizes here as there', async () => {
    const repair = rackWheel();
    repair.head.machineId = 'their-printer';
    for (const reading of repair.readings) reading.instrumentId = 'their-caliper';
    const { id } = (await openFile(repair)).body as { id: string };
    const here = (await request(server.app).get(`/api/repairs/${id}`)).body as Repair;
    const working = (state: Repair, shop: Workshop) =>
      [...evaluateRepair(state, shop).fits.values()].map(({ worked }) => worked.ok && worked.trail.working);
    expect(working(here, await workshop())).toEqual(working(repair, theirs));
  });
});
