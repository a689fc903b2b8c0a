import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import request from 'supertest';

import type { Job, NewJob } from '@core/record/model';
import { evaluateRepair } from '@core/fitting/fit';
import { newTrial } from '@core/fitting/trial';
import { rackWheel } from '@core/testing/repairDraft';
import { openTestServer, testSurroundings, type TestServer } from '@server/testing/testServer';

/** A clock that the test turns, and that calls whoever waits. */
function practiceClock() {
  let ms = 0;
  const calls = new Set<() => void>();
  return {
    now: () => ms,
    every: (_ms: number, work: () => void) => {
      calls.add(work);
      return () => void calls.delete(work);
    },
    async pass(seconds: number, of: TestServer | undefined = server) {
      ms += seconds * 1000;
      for (const work of [...calls]) work();
      // What was heard is written before anybody looks.
      for (let turn = 0; turn < 30; turn += 1) await new Promise((resolve) => setImmediate(resolve));
      await of?.jobs.written();
      for (let turn = 0; turn < 30; turn += 1) await new Promise((resolve) => setImmediate(resolve));
    },
    waiting: () => calls.size,
  };
}

/** 600 mm at 10 mm/s on one layer: 60 s, with corners 69 s, with warming up 219 s. */
const GCODE = [
  'G90',
  'M82',
  'G92 E0',
  'G1 Z0.2 F6000',
  'G1 X0 Y0 F6000',
  'G1 X300 Y0 E10 F600',
  'G1 X0 Y0 E20',
].join('\n');

let wheelId: string;
const job = (id: string, more: Partial<NewJob> = {}): NewJob => ({
  id,
  repairId: wheelId,
  bodyId: 'body',
  name: 'Wheel',
  repairName: 'Rack wheel',
  letter: 'A',
  machineId: 'bench-printer',
  machineName: 'Bench printer',
  materialId: 'petg',
  family: 'plastic',
  asked: [
    { id: 'bore', name: 'Bore on the axle', feature: 'bore', jaw: 'inside', mm: 6.32 },
    { id: 'peg', name: 'Peg', feature: 'peg', jaw: 'outside', mm: 10 },
  ],
  trial: { of: 'part', results: [] },
  speedUp: 1,
  mishap: 'none',
  ...more,
});

let clock: ReturnType<typeof practiceClock>;
let server: TestServer;
beforeEach(async () => {
  clock = practiceClock();
  server = await openTestServer(testSurroundings(), ':memory:', clock);
  wheelId = (await server.store.open(rackWheel())).head.id;
});
afterEach(() => server.close());

const send = async (given: NewJob, gcode = GCODE) =>
  (await request(server.app).post('/api/jobs').send({ job: given, gcode }).expect(201)).body as Job;
const jobs = async () =>
  ((await request(server.app).get('/api/jobs').expect(200)).body as { jobs: Job[] }).jobs;
const jobOf = async (id: string) => (await jobs()).find((one) => one.id === id)!;
const act = (id: string, what: string) =>
  request(server.app).post(`/api/jobs/${id}/acts`).send({ act: what });

test('a job is followed to its end, in the time that its moves take', async () => {
  expect(await send(job('a'))).toMatchObject({ state: 'running', share: 0 });
  await clock.pass(110);
  const half = await jobOf('a');
  expect(half.share).toBeCloseTo(110 / (60.06 * 1.15 + 150), 1.9);
  expect(half.secondsLeft).toBeCloseTo(219 - 110, -1);
  await clock.pass(120);
  expect(await jobOf('a')).toMatchObject({ state: 'done', share: 1, madePartId: expect.any(String) });
  expect((await jobOf('a')).history.map(({ state }) => state)).toEqual(['waiting', 'running', 'done']);
  expect(clock.waiting()).toBe(0);
});

test('what comes out lies on the practice bench and measures as that printer makes it, not as asked', async () => {
  await send(job('a'));
  await clock.pass(300);
  const { madePartId } = await jobOf('a');
  const bench = (await request(server.app).get('/api/practice-caliper')).body as {
    objects: { id: string; name: string; dimensions: { id: string; jaw: string }[] }[];
  };
  const part = bench.objects.find(({ id }) => id === madePartId)!;
  expect(part.name).toBe('Rack wheel: Wheel, revision A');
  expect(part.dimensions).toMatchObject([
    { id: 'bore', jaw: 'inside' },
    { id: 'peg', jaw: 'outside' },
  ]);
  // Nothing of the truth is told.
  expect(JSON.stringify(bench)).not.toContain('trueMm');
  const shown = async (dimensionId: string) =>
    Number(
      (
        (
          await request(server.app)
            .post('/api/practice-caliper/readings')
            .send({ objectId: madePartId, dimensionId })
            .expect(200)
        ).body as { shown: string }
      ).shown,
    );
  // A printer makes holes too small and outsides too large.
  expect(await shown('bore')).toBeLessThan(6.3);
  expect(await shown('bore')).toBeGreaterThan(5.9);
  expect(await shown('peg')).toBeGreaterThan(10.01);
});

test('a second job on a machine waits for the first; another machine begins at once', async () => {
  await send(job('a'));
  await send(job('b'));
  await send(job('c', { machineId: 'quick-printer' }));
  expect((await jobs()).map(({ id, state }) => [id, state]).sort()).toEqual([
    ['a', 'running'],
    ['b', 'waiting'],
    ['c', 'running'],
  ]);
  await clock.pass(300);
  expect(await jobOf('b')).toMatchObject({ state: 'running' });
});

test('paused it keeps its place, goes on from there, and can be cancelled', async () => {
  await send(job('a'));
  await clock.pass(110);
  await act('a', 'pause').expect(200);
  const { share } = await jobOf('a');
  await clock.pass(500);
  expect(await jobOf('a')).toMatchObject({ state: 'paused', reason: 'person', share });
  await act('a', 'resume').expect(200);
  await clock.pass(10);
  expect((await jobOf('a')).share).toBeGreaterThan(share);
  expect((await jobOf('a')).share).toBeLessThan(share + 0.1);
  await act('a', 'cancel').expect(200);
  expect(await jobOf('a')).toMatchObject({ state: 'cancelled' });
  const refused = await act('a', 'resume').expect(409);
  expect(refused.body).toMatchObject({ fault: { code: 'job.over' } });
});

test('out of filament it stands still and goes on; what lets go of the bed has failed and is sent again', async () => {
  await send(job('a', { mishap: 'runsOut' }));
  await clock.pass(300);
  expect(await jobOf('a')).toMatchObject({ state: 'paused', reason: 'filament', share: 0.5 });
  await act('a', 'resume').expect(200);
  await clock.pass(300);
  expect(await jobOf('a')).toMatchObject({ state: 'done' });

  await send(job('b', { mishap: 'letsGo' }));
  await clock.pass(300);
  expect(await jobOf('b')).toMatchObject({ state: 'failed', reason: 'adhesion', madePartId: null });
  const again = (await act('b', 'again').expect(200)).body as Job;
  expect(again.id).not.toBe('b');
  await clock.pass(300);
  expect(await jobOf(again.id)).toMatchObject({ state: 'done' });
});

test('what lays nothing is no job, and says so', async () => {
  await send(job('a'), 'G28\nG1 X10 Y10 F3000\n');
  await clock.pass(1);
  expect(await jobOf('a')).toMatchObject({ state: 'failed', reason: 'noJob' });
});

test('sent twice it is made once, and its file is kept', async () => {
  await send(job('a'));
  await send(job('a'));
  expect(await jobs()).toHaveLength(1);
  const file = await request(server.app).get('/api/jobs/a/gcode').expect(200);
  expect(file.text).toBe(GCODE);
  await request(server.app).get('/api/jobs/none/gcode').expect(404);
  await request(server.app)
    .post('/api/jobs')
    .send({ job: { ...job('b'), speedUp: 0 }, gcode: GCODE })
    .expect(400);
});

test('a server that was stopped in mid-job loses nothing and says what happened', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-spare-jobs-'));
  try {
    const first = practiceClock();
    let open = await openTestServer(testSurroundings(), folder, first);
    wheelId = (await open.store.open(rackWheel())).head.id;
    await request(open.app)
      .post('/api/jobs')
      .send({ job: job('a'), gcode: GCODE })
      .expect(201);
    await request(open.app)
      .post('/api/jobs')
      .send({ job: job('b'), gcode: GCODE })
      .expect(201);
    await first.pass(110, open);
    await open.close();
    const second = practiceClock();
    open = await openTestServer(testSurroundings(), folder, second);
    const list = async () => ((await request(open.app).get('/api/jobs')).body as { jobs: Job[] }).jobs;
    const after = await list();
    expect(after.find(({ id }) => id === 'a')).toMatchObject({
      state: 'paused',
      reason: 'serverStopped',
      share: expect.closeTo(0.5, 1),
    });
    expect(after.find(({ id }) => id === 'b')).toMatchObject({ state: 'waiting' });
    await request(open.app).post('/api/jobs/a/acts').send({ act: 'resume' }).expect(200);
    await second.pass(120, open);
    expect((await list()).find(({ id }) => id === 'a')).toMatchObject({ state: 'done' });
    await open.close();
  } finally {
    rmSync(folder, { recursive: true });
  }
});

test('what happens is told as it happens', async () => {
  const heard: string[] = [];
  const stop = server.jobs.onChange(({ id, state }) => heard.push(`${id} ${state}`));
  await send(job('a'));
  await clock.pass(300);
  stop();
  await send(job('b'));
  expect([...new Set(heard)]).toEqual(['a waiting', 'a running', 'a done']);
});

describe('what machines were given', () => {
  const DAY = 24 * 60 * 60 * 1000;
  const later = (days: number) => new Date(Date.UTC(2026, 4, 4) + days * DAY).toISOString();

  test('is kept as packed files, shown by how large it is, and let go of when nobody needs it any more', async () => {
    const large = `${GCODE}\n${'G1 X1 Y1\n'.repeat(20_000)}`;
    await send(job('tried'), large);
    await clock.pass(30_000);
    const { madePartId } = await jobOf('tried');
    await send(job('loose'), `${large}G1 X2\n`);
    await clock.pass(30_000);
    // The same again is the same file; one more stands still.
    await send(job('again'), large);
    await act('again', 'pause').expect(200);
    const reply = await request(server.app).get('/api/kept-gcode').expect(200);
    const kept = reply.body as { jobs: number; bytes: number };
    expect(kept.jobs).toBe(3);
    expect(kept.bytes).toBeGreaterThan(100);
    expect(kept.bytes).toBeLessThan(large.length / 20);

    const repair = (await server.store.get(wheelId))!;
    const trial = newTrial(
      { state: repair, numbers: evaluateRepair(repair), letter: null },
      { id: 't', of: 'part', triedAt: later(0), madePartId },
    );
    const change = { changeId: 't', row: 'trial', baseVersion: 0, value: trial };
    await request(server.app).post(`/api/repairs/${wheelId}/changes`).send(change).expect(200);
    expect(await server.made.sweep(later(100))).toBe(0);
    // Sixty newer ones push them off what is shown.
    for (let count = 0; count < 60; count += 1) {
      await send(job(`n${count}`, { machineId: 'quick-printer' }));
      await act(`n${count}`, 'cancel').expect(200);
    }
    expect(await server.made.sweep(later(20))).toBe(0);
    // "loose" alone: a trial goes by "tried", "again" is not over.
    expect(await server.made.sweep(later(100))).toBe(1);
    expect(await server.made.gcode('loose')).toBeNull();
    expect((await server.made.gcode('tried'))!).toBe(large);
    expect((await server.made.gcode('again'))!).toBe(large);
    await request(server.app).get('/api/jobs/loose/gcode').expect(404);
    const refused = await act('loose', 'again').expect(422);
    expect(refused.body).toMatchObject({ fault: { code: 'job.noGcode' } });
  });

  test('of jobs that were written into the database before is moved out and stays the same', async () => {
    await send(job('old'));
    await server.database.write((transaction) =>
      transaction('jobs').where({ id: 'old' }).update({ gcode: GCODE, gcode_file: null }),
    );
    expect(await server.made.gcode('old')).toBe(GCODE);
    await server.made.sweep(later(1));
    const row = await server.database.read((transaction) =>
      transaction<{ id: string; gcode: string; gcode_file: string }>('jobs').where({ id: 'old' }).first(),
    );
    expect(row).toMatchObject({ gcode: '', gcode_file: expect.stringMatching(/^[0-9a-f]{64}$/) as string });
    expect(await server.made.gcode('old')).toBe(GCODE);
    expect(await send(job('old'))).toMatchObject({ id: 'old' });
  });
});

describe('what people send ends nothing', () => {
  test('a machine by the name of something else in the program is not there, a material is one that nobody knows', async () => {
    for (const machineId of ['constructor', '__proto__', 'toString']) {
      const refused = await request(server.app)
        .post('/api/jobs')
        .send({ job: job('x', { machineId }), gcode: GCODE })
        .expect(422);
      expect(refused.body).toMatchObject({ fault: { code: 'job.forNothing', lacks: 'machine' } });
    }
    const families = { a: 'plastic', b: '__proto__', c: 'constructor' };
    const machines = { a: 'bench-printer', b: 'quick-printer', c: 'wide-printer' };
    for (const id of ['a', 'b', 'c'] as const)
      await send(job(id, { machineId: machines[id], family: families[id], mishap: 'may' }));
    await clock.pass(300);
    for (const id of ['a', 'b', 'c']) expect(await jobOf(id)).toMatchObject({ state: 'done' });
  });

  test('a job for a repair that is not there is refused, and nothing is kept of it', async () => {
    const refused = await request(server.app)
      .post('/api/jobs')
      .send({ job: job('x', { repairId: 'nobody' }), gcode: GCODE })
      .expect(422);
    expect(refused.body).toMatchObject({ fault: { code: 'job.forNothing', lacks: 'repair' } });
    expect(await jobs()).toEqual([]);
  });

  test('a printer that goes wrong ends its job, with a report, and the next one begins', async () => {
    const chance = { broken: true };
    const random = () => {
      if (chance.broken) throw new Error('no chance left');
      return 0.5;
    };
    const own = practiceClock();
    const open = await openTestServer(testSurroundings(), ':memory:', { ...own, random });
    wheelId = (await open.store.open(rackWheel())).head.id;
    const post = (id: string) =>
      request(open.app)
        .post('/api/jobs')
        .send({ job: job(id), gcode: GCODE })
        .expect(201);
    await post('a');
    await post('b');
    await own.pass(300, open);
    chance.broken = false;
    const list = async () => ((await request(open.app).get('/api/jobs')).body as { jobs: Job[] }).jobs;
    expect((await list()).find(({ id }) => id === 'a')).toMatchObject({ state: 'failed', reason: 'broken' });
    expect(open.troubles.map(String)).toEqual(['Error: the printer failed at job a']);
    await own.pass(300, open);
    expect((await list()).find(({ id }) => id === 'b')).toMatchObject({ state: 'done' });
    await open.close();
  });

  test.each(['G1 Z[first_layer_height] F300', 'G1 X1.2.3', 'G1 X10 Fnan', 'G4 Px', 'G1 X1\u0000 Y2'])(
    'a job with the line “%j” is refused at that line',
    async (line) => {
      const reply = await request(server.app)
        .post('/api/jobs')
        .send({ job: job('a'), gcode: `${GCODE}\n${line}\n` })
        .expect(422);
      expect((reply.body as { sentence: string }).sentence).toContain('Line 8 of this job');
      expect(await jobs()).toEqual([]);
    },
  );

  test('one that was written down wrongly is told by its name beside the others', async () => {
    await send(job('a'));
    await send(job('b', { name: 'Odd one' }));
    await server.database.write(async (transaction) => {
      const row = await transaction<{ id: string; data: string }>('jobs').where({ id: 'b' }).first();
      const data = JSON.stringify({ ...(JSON.parse(row!.data) as Job), share: null });
      await transaction('jobs').where({ id: 'b' }).update({ data });
    });
    const { body } = await request(server.app).get('/api/jobs').expect(200);
    expect(body).toMatchObject({ jobs: [{ id: 'a' }], unreadable: [{ id: 'b', name: 'Odd one' }] });
  });

  test('one that stands still is shown however many came after it', async () => {
    await send(job('first', { machineId: 'quick-printer' }));
    await act('first', 'pause').expect(200);
    for (let count = 0; count < 65; count += 1) {
      await send(job(`n${count}`));
      await act(`n${count}`, 'cancel').expect(200);
    }
    expect(await jobOf('first')).toMatchObject({ state: 'paused' });
    expect(await jobs()).toHaveLength(61);
  });

  test('another job by an id that is taken is a conflict', async () => {
    await send(job('a'));
    for (const [given, gcode] of [
      [job('a', { name: 'Other' }), GCODE],
      [job('a'), `${GCODE}\nG1 X5`],
    ] as const) {
      await request(server.app).post('/api/jobs').send({ job: given, gcode }).expect(409);
    }
    expect(await jobs()).toHaveLength(1);
  });

  test('while a large one is read, others have their turn', async () => {
    const lines = Array.from({ length: 120_000 }, (_, at) => `G1 X${at % 200} Y${at % 150} E${at}`);
    let turns = 0;
    let isReading = true;
    const count = () => {
      turns += 1;
      if (isReading) setImmediate(count);
    };
    setImmediate(count);
    await send(job('large'), `G90\n${lines.join('\n')}`);
    isReading = false;
    // Read in bits of 4,000 lines, twice: checked, and followed.
    expect(turns).toBeGreaterThan(50);
    expect(await jobOf('large')).toMatchObject({ state: 'running' });
  });
});
