import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import fc from 'fast-check';
import request from 'supertest';

import {
  applyChange,
  type Change,
  CHANGE_LIMIT_BYTES,
  REPAIR_FILE_LIMIT_BYTES,
  readRepairFile,
  writeRepairFile,
  type Fit,
  type Reading,
  type Repair,
  type RepairLine,
  type Workshop,
} from '@core/record/model';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';
import { searchExpression } from '@server/repairs/list';
import { openTestServer, testSurroundings, type TestServer } from '@server/testing/testServer';

const surroundings = testSurroundings();
let server: TestServer;
let app: TestServer['app'];

async function open(folder?: string) {
  server = await openTestServer(surroundings, folder);
  app = server.app;
}
beforeEach(() => open());
afterEach(() => server.close());

const openFile = async (repair: Repair): Promise<Repair> => {
  const reply = await request(app)
    .post('/api/repair-files')
    .send(JSON.parse(writeRepairFile({ repair }, surroundings.now())));
  expect(reply.status).toBe(201);
  return getRepair((reply.body as { id: string }).id);
};
const getRepair = async (id: string) => (await request(app).get(`/api/repairs/${id}`)).body as Repair;
const putFit = (fit: Fit, fields: Partial<Fit>, changeId = surroundings.newId()): Change => ({
  changeId,
  row: 'fit',
  baseVersion: fit.version,
  value: { ...fit, ...fields },
});

describe('repairs', () => {
  test('are made, listed with the next thing to do, found, and paged', async () => {
    for (const name of ['Rack wheel', 'Easel foot', 'Spool holder']) {
      const reply = await request(app)
        .post('/api/repairs')
        .send({ id: surroundings.newId(), name, place: 'Shed' });
      expect(reply.status).toBe(201);
    }
    const names = async (query: string) => {
      const reply = await request(app).get(`/api/repairs?${query}`);
      return (reply.body as { repairs: RepairLine[] }).repairs.map((line) => line.name);
    };
    expect(await names('')).toEqual(['Spool holder', 'Easel foot', 'Rack wheel']);
    expect(await names('search=whe')).toEqual(['Rack wheel']);
    expect(await names('search=shed%20FOOT')).toEqual(['Easel foot']);
    expect(await names('search=%22*%20OR')).toEqual([]);
    const first = await request(app).get('/api/repairs?limit=2');
    const body = first.body as { next: string; total: number; repairs: RepairLine[] };
    expect(body.total).toBe(3);
    expect(body.repairs[0]).toMatchObject({
      stage: 'sizes',
      next: { do: 'sayWhatToMeasure' },
      revision: null,
    });
    expect(await names(`limit=2&after=${encodeURIComponent(body.next)}`)).toEqual(['Rack wheel']);
  });

  test('are found by a size', async () => {
    await openFile(rackWheel());
    const reply = await request(app).get('/api/repairs?search=38.2');
    expect((reply.body as { total: number }).total).toBe(1);
  });

  test('asked for twice with one id are made once', async () => {
    const given = { id: 'same', name: 'Wheel', place: '' };
    await request(app).post('/api/repairs').send(given).expect(201);
    await request(app).post('/api/repairs').send(given).expect(201);
    expect(((await request(app).get('/api/repairs')).body as { total: number }).total).toBe(1);
  });

  test('go out as a file that opens again as a new repair with the same content', async () => {
    const wheel = await openFile(rackWheel());
    const file = await request(app).get(`/api/repairs/${wheel.head.id}/file`);
    expect(file.headers['content-disposition']).toContain('rack-wheel.json');
    const read = readRepairFile(file.text);
    expect(read).toMatchObject({ ok: true, value: { repair: wheel } });
    const again = await openFile(wheel);
    expect(again.head.id).not.toBe(wheel.head.id);
    expect(again.readings.map((row) => row.value)).toEqual(wheel.readings.map((row) => row.value));
  });

  test('are there again after the server is restarted', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'even-spare-'));
    await server.close();
    await open(folder);
    const wheel = await openFile(rackWheel());
    await request(app)
      .post(`/api/repairs/${wheel.head.id}/changes`)
      .send(putFit(wheel.fits[0]!, { fitClass: 'loose' }))
      .expect(200);
    const before = await getRepair(wheel.head.id);
    await server.close();
    await open(folder);
    expect(await getRepair(wheel.head.id)).toEqual(before);
    expect(before.fits[0]).toMatchObject({ fitClass: 'loose', version: wheel.fits[0]!.version + 1 });
    rmSync(folder, { recursive: true });
  });
});

describe('changes', () => {
  test('from an old version are refused, change nothing, and give back what is there', async () => {
    const wheel = await openFile(rackWheel());
    const url = `/api/repairs/${wheel.head.id}/changes`;
    await request(app)
      .post(url)
      .send(putFit(wheel.fits[0]!, { fitClass: 'loose' }))
      .expect(200);
    const late = await request(app)
      .post(url)
      .send(putFit(wheel.fits[0]!, { fitClass: 'snug' }));
    expect(late.status).toBe(409);
    expect(late.body).toMatchObject({ fault: { code: 'row.stale', theirs: { fitClass: 'loose' } } });
    expect((await getRepair(wheel.head.id)).fits[0]!.fitClass).toBe('loose');
  });

  test('sent twice take effect once', async () => {
    const wheel = await openFile(rackWheel());
    const change = putFit(wheel.fits[0]!, { fitClass: 'loose' }, 'once');
    const url = `/api/repairs/${wheel.head.id}/changes`;
    const first = await request(app).post(url).send(change).expect(200);
    const second = await request(app).post(url).send(change).expect(200);
    expect(second.body).toEqual(first.body);
  });

  test('sent at the same moment: one wins, the other is stale', async () => {
    const wheel = await openFile(rackWheel());
    const replies = await Promise.all(
      ['loose', 'snug', 'slides'].map((fitClass) =>
        request(app)
          .post(`/api/repairs/${wheel.head.id}/changes`)
          .send(putFit(wheel.fits[0]!, { fitClass: fitClass as Fit['fitClass'] })),
      ),
    );
    expect(replies.map((reply) => reply.status).sort()).toEqual([200, 409, 409]);
  });

  test('leave in the database what the same rules leave on the screen, for any sequence', async () => {
    let screen = await openFile(rackWheel());
    const { id } = screen.head;
    const edits = fc.array(
      fc.record({
        reading: fc.nat({ max: 6 }),
        mm: fc.integer({ min: 1, max: 19_000 }).map((hundredths) => hundredths / 100),
        removed: fc.boolean(),
        stale: fc.boolean(),
      }),
      { minLength: 1, maxLength: 6 },
    );
    await fc.assert(
      fc.asyncProperty(edits, async (list) => {
        for (const { reading, mm, removed, stale } of list) {
          const row: Reading = screen.readings[reading]!;
          const change: Change = {
            changeId: surroundings.newId(),
            row: 'reading',
            baseVersion: row.version - (stale ? 1 : 0),
            value: { ...row, value: mm, removed },
          };
          const reply = await request(app).post(`/api/repairs/${id}/changes`).send(change);
          const expected = applyChange(screen, change);
          expect(reply.status).toBe(expected.ok ? 200 : 409);
          if (expected.ok) screen = expected.value;
        }
        expect(await getRepair(id)).toEqual(screen);
      }),
      { numRuns: 15 },
    );
  });
});

describe('bad input gets a sentence and no 5xx', () => {
  const bad: [string, () => request.Test, number][] = [
    ['no name', () => request(app).post('/api/repairs').send({ id: 'x', name: '  ', place: '' }), 400],
    [
      'a name of 300',
      () =>
        request(app)
          .post('/api/repairs')
          .send({ id: 'x', name: 'n'.repeat(300), place: '' }),
      400,
    ],
    [
      'unknown keys',
      () => request(app).post('/api/repairs').send({ id: 'x', name: 'n', place: '', z: 1 }),
      400,
    ],
    ['no body', () => request(app).post('/api/repairs'), 400],
    ['half a JSON', () => request(app).post('/api/repairs').type('json').send('{"id":'), 400],
    [
      'a strange encoding',
      () => request(app).post('/api/repairs').set('content-encoding', 'zz').type('json').send('{}'),
      400,
    ],
    ['a repair that is not there', () => request(app).get('/api/repairs/nobody'), 404],
    ['an id with markup', () => request(app).get('/api/repairs/%3Cb%3E'), 400],
    ['an ill-formed address', () => request(app).get('/api/repairs/%E0%A4%A'), 400],
    ['an address that is not there', () => request(app).get('/api/other'), 404],
    ['a page size of a million', () => request(app).get('/api/repairs?limit=1000000'), 400],
    [
      'a file of another version',
      () => request(app).post('/api/repair-files').send({ format: 'even-spare-repair', version: 9 }),
      422,
    ],
    ['a file of another kind', () => request(app).post('/api/repair-files').send([1]), 422],
    [
      'a huge file',
      () =>
        request(app)
          .post('/api/repair-files')
          .send({ pad: 'x'.repeat(REPAIR_FILE_LIMIT_BYTES) }),
      413,
    ],
    [
      'a huge change',
      () =>
        request(app)
          .post('/api/repairs/x/changes')
          .send({ pad: 'x'.repeat(CHANGE_LIMIT_BYTES) }),
      413,
    ],
  ];
  test.each(bad)('%s', async (_, send, status) => {
    const reply = await send();
    expect(reply.status).toBe(status);
    expect((reply.body as { sentence: string }).sentence).toMatch(/[.]$/);
  });

  test.each([
    ['zero', 0],
    ['negative', -3],
    ['twenty metres', 20_000],
    ['text', '6.02'],
    ['null', null],
  ])('a reading of %s', async (_, mm) => {
    const wheel = await openFile(rackWheel());
    const value = { ...wheel.readings[0]!, value: mm };
    const reply = await request(app)
      .post(`/api/repairs/${wheel.head.id}/changes`)
      .send({ changeId: 'c', row: 'reading', baseVersion: 1, value });
    expect(reply.status).toBe(400);
    expect((reply.body as { sentence: string }).sentence).toContain('Value.value');
  });

  test('markup in names comes back as it was typed', async () => {
    const repair = await openFile(new RepairDraft('<script>alert(1)</script>').repair);
    expect(repair.head.name).toBe('<script>alert(1)</script>');
  });
});

test('what is typed into the search never becomes an expression of the search engine', () => {
  expect(searchExpression('  ')).toBeNull();
  expect(searchExpression('whe* OR "x" -- NEAR(a)')).toBe('"whe"* "OR"* "x"* "NEAR"* "a"*');
  expect(searchExpression('38.2')).toBe('"38.2"*');
});

test('what a machine’s corrections would change is told of every repair that is made on it', async () => {
  const wheel = await openFile(rackWheel());
  const elsewhere = rackWheel();
  elsewhere.head.machineId = 'quick-printer';
  await openFile(elsewhere);
  const { machines } = (await request(app).get('/api/workshop')).body as Workshop;
  const [printer] = machines.filter(({ id }) => id === wheel.head.machineId);
  const wider = {
    ...printer!,
    corrections: printer!.corrections.map((one) =>
      one.feature === 'inside' ? { ...one, offsetMm: one.offsetMm + 0.04 } : one,
    ),
  };
  const reply = await request(app).post('/api/machine-effects').send(wider);
  expect(reply.status).toBe(200);
  expect(reply.body).toEqual({
    effects: [
      expect.objectContaining({
        repairId: wheel.head.id,
        repairName: 'Rack wheel',
        fitName: 'Bore on the axle',
        working: { fromMm: 6.32, toMm: expect.closeTo(6.36, 9) as number },
      }),
    ],
    looked: 1,
    more: false,
  });
  expect((await request(app).post('/api/machine-effects').send(printer)).body).toMatchObject({ effects: [] });
  expect((await request(app).post('/api/machine-effects').send({ id: 'x' })).status).toBe(400);
});

test('pictures are kept for the list', async () => {
  const wheel = await openFile(rackWheel());
  const picture = { key: 'k', outline: [[0, 0, 1, 0, 1, 1]], edges: [[0, 0, 1, 1]] };
  await request(app).put(`/api/repairs/${wheel.head.id}/picture`).send(picture).expect(204);
  await request(app).put('/api/repairs/nobody/picture').send(picture).expect(404);
  const list = (await request(app).get('/api/repairs')).body as { repairs: RepairLine[] };
  expect(list.repairs[0]!.picture).toEqual(picture);
});
