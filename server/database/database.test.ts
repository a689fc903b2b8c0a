import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import pino from 'pino';
import request from 'supertest';

import { evaluateRepair } from '@core/fitting/fit';
import { LIST_OF, Repair, type Change, type RepairLine, type Workshop } from '@core/record/model';
import { readConfig } from '@server/config';
import { startServer, type RunningServer } from '@server/start';
import { holdDatabase } from '@server/testing/otherProcess';
import { Trouble } from '@server/trouble';

import { DATABASE_FILE, openDatabase } from './open';

let folder: string;
let file: string;
const running: RunningServer[] = [];
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'even-spare-database-'));
  file = join(folder, DATABASE_FILE);
});
afterEach(async () => {
  for (const server of running.splice(0)) await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

const start = async (dataFolder = folder) => {
  const config = readConfig({
    EVEN_SPARE_PORT: '0',
    EVEN_SPARE_DATA: dataFolder,
    EVEN_SPARE_WEB: dataFolder,
  });
  const server = await startServer(config, pino({ level: 'silent' }));
  running.push(server);
  return server;
};
const DISC = { diameter: { from: 'number', mm: 10 }, width: { from: 'number', mm: 4 } };
const stop = async (server: RunningServer) => {
  running.splice(running.indexOf(server), 1);
  await server.stop();
};
const newRepair = (server: RunningServer, id: string) =>
  request(server.address)
    .post('/api/repairs')
    .send({ id, name: `Repair ${id}`, place: '' });
const idsOf = async (server: RunningServer) =>
  ((await request(server.address).get('/api/repairs')).body as { repairs: RepairLine[] }).repairs
    .map(({ id }) => id)
    .sort();
const codeOf = async (work: Promise<unknown>): Promise<string> => {
  const error = await work.then(
    () => null,
    (reason: unknown) => reason,
  );
  if (!(error instanceof Trouble)) throw new Error(`no trouble, but ${String(error)}`);
  expect(error.message).toMatch(/[.]$/);
  return error.fault.code;
};

describe('another program that holds the database', () => {
  test('is waited for, and all is well afterwards', async () => {
    const server = await start();
    await newRepair(server, 'before').expect(201);
    const { done } = await holdDatabase(file, 1500);
    const [made, picture, read] = await Promise.all([
      newRepair(server, 'meanwhile'),
      request(server.address).put('/api/repairs/before/picture').send({ key: 'k', outline: [], edges: [] }),
      request(server.address).get('/api/repairs/before'),
    ]);
    expect([made.status, picture.status, read.status]).toEqual([201, 204, 200]);
    await done;
    await newRepair(server, 'after').expect(201);
    expect(await idsOf(server)).toEqual(['after', 'before', 'meanwhile']);
    await stop(server);
    const again = await start();
    expect(await idsOf(again)).toEqual(['after', 'before', 'meanwhile']);
    const { repairs } = (await request(again.address).get('/api/repairs')).body as { repairs: RepairLine[] };
    expect(repairs.find(({ id }) => id === 'before')!.picture).toMatchObject({ key: 'k' });
  });

  test('for longer than a person waits is told, keeps nothing half done, and is over when it lets go', async () => {
    const database = await openDatabase(folder);
    const { done } = await holdDatabase(file, 12_000);
    const insert = () =>
      database.write((transaction) =>
        transaction('health').insert({ id: 1, count: 1 }).onConflict('id').merge(),
      );
    const refused = await insert().then(
      () => null,
      (error: unknown) => (error as Trouble).fault,
    );
    // It says how long it has waited, and no more.
    expect(refused).toEqual({ code: 'server.busy', seconds: expect.any(Number) as number });
    expect((refused as { seconds: number }).seconds).toBeGreaterThanOrEqual(10);
    expect((refused as { seconds: number }).seconds).toBeLessThan(14);
    await done;
    await insert();
    await database.close();
  }, 40_000);

  test('a connection that could not commit or roll back is replaced', async () => {
    const database = await openDatabase(folder);
    // What a failed commit leaves behind: the pool's one connection in the middle of a transaction.
    await database.knex.raw('begin immediate');
    await database.write((transaction) => transaction('health').insert({ id: 1, count: 5 }));
    expect(await database.knex('health').select('count')).toEqual([{ count: 5 }]);
    await database.close();
  });
});

test('after an orderly stop the database file alone is a whole copy', async () => {
  const server = await start();
  for (const id of ['one', 'two', 'three']) await newRepair(server, id).expect(201);
  await stop(server);
  const other = mkdtempSync(join(tmpdir(), 'even-spare-copy-'));
  copyFileSync(file, join(other, DATABASE_FILE));
  const copy = await start(other);
  expect(await idsOf(copy)).toEqual(['one', 'three', 'two']);
  await stop(copy);
  rmSync(other, { recursive: true });
});

test('every acknowledged change is on the disk: commits are synced in full', async () => {
  const database = await openDatabase(folder);
  // 2 is FULL (SQLite, pragma synchronous).
  expect(await database.knex.raw('pragma synchronous')).toEqual([{ synchronous: 2 }]);
  expect(await database.knex.raw('pragma journal_mode')).toEqual([{ journal_mode: 'wal' }]);
  await database.close();
});

test('a second server on one folder is refused, told where the first is, and may start when that has stopped', async () => {
  const first = await start();
  const second = start();
  await expect(second).rejects.toThrow(first.address);
  expect(await codeOf(second)).toBe('server.folderInUse');
  await newRepair(first, 'still').expect(201);
  await stop(first);
  expect(await idsOf(await start())).toEqual(['still']);
});

describe('a database that is not as it should be is refused with a sentence, and left as it is', () => {
  const withRepair = async () => {
    const server = await start();
    await newRepair(server, 'kept').expect(201);
    await stop(server);
  };
  const refusedAs = async (code: string) => {
    const before = existsSync(file) ? readFileSync(file) : null;
    expect(await codeOf(start())).toBe(code);
    expect(existsSync(file) ? readFileSync(file) : null).toEqual(before);
    // The lock is not kept by a server that did not start.
    expect(await codeOf(start())).toBe(code);
  };
  test('cut off to nothing', async () => {
    await withRepair();
    truncateSync(file, 0);
    await refusedAs('server.cut');
  });
  test('but one that is empty since its first start was stopped is begun again', async () => {
    writeFileSync(file, '');
    await withRepair();
    expect(await idsOf(await start())).toEqual(['kept']);
  });
  test('cut off in the middle', async () => {
    await withRepair();
    truncateSync(file, 3 * 4096 + 100);
    await refusedAs('server.damaged');
  });
  test('with noise in it', async () => {
    await withRepair();
    const bytes = readFileSync(file);
    for (let at = 4096; at < bytes.length; at += 4096) bytes.fill(0xa5, at, at + 200);
    writeFileSync(file, bytes);
    await refusedAs('server.damaged');
  });
  test('something else', async () => {
    writeFileSync(file, 'This is no database, but a letter that was put in the wrong drawer. '.repeat(200));
    await refusedAs('server.damaged');
  });
  test('missing beside photos', async () => {
    mkdirSync(join(folder, 'photos'));
    writeFileSync(join(folder, 'photos', `${'a'.repeat(64)}.jpg`), 'x');
    await refusedAs('server.photosWithoutData');
    expect(existsSync(file)).toBe(false);
  });
  test('written by a later version', async () => {
    await withRepair();
    const database = await openDatabase(folder);
    await database.knex('knex_migrations').insert({ name: '999-of-the-future', batch: 9 });
    await database.close();
    await refusedAs('server.newerData');
  });
  test('a folder that is a file', async () => {
    const path = join(folder, 'plain');
    writeFileSync(path, 'x');
    expect(await codeOf(start(path))).toBe('server.notAFolder');
    expect(await codeOf(start(join(path, 'deeper')))).toBe('server.notAFolder');
  });
});

describe('a running server whose database is in trouble', () => {
  test('deleted: refuses to write, says so, and health says so too', async () => {
    const server = await start();
    await newRepair(server, 'one').expect(201);
    renameSync(file, `${file}.aside`);
    for (const reply of [
      await newRepair(server, 'two'),
      await request(server.address).get('/api/health'),
      await request(server.address)
        .put('/api/repairs/one/picture')
        .send({ key: 'k', outline: [], edges: [] }),
    ]) {
      expect(reply.status).toBe(503);
      expect(reply.body).toMatchObject({ fault: { code: 'server.dataGone' } });
      expect((reply.body as { sentence: string }).sentence).toContain('put it back');
    }
    // What is there can be read all the same.
    expect(await idsOf(server)).toEqual(['one']);
    renameSync(`${file}.aside`, file);
    await newRepair(server, 'two').expect(201);
    await request(server.address).get('/api/health').expect(200, { ok: true });
  });

  test('on a full disk: says so, loses nothing, and goes on when there is room', async () => {
    const database = await openDatabase(folder);
    await database.knex.raw('create table filler (text text)');
    const [{ page_count }] = (await database.knex.raw('pragma page_count')) as [{ page_count: number }];
    await database.knex.raw(`pragma max_page_count = ${page_count + 2}`);
    const fill = () =>
      database.write((transaction) => transaction('filler').insert({ text: 'x'.repeat(60_000) }));
    expect(await codeOf(fill())).toBe('server.diskFull');
    expect(await database.knex('filler').select()).toEqual([]);
    await database.knex.raw('pragma max_page_count = 1000000');
    await fill();
    expect(await database.knex('filler').select()).toHaveLength(1);
    await database.close();
  });
});

describe('databases of earlier versions open and lose nothing', () => {
  const FROZEN = join(__dirname, 'frozen');
  test.each([
    ['of the first weeks', '001-first-weeks.sqlite', { repairs: 1, sizes: 6, readings: 11, revisions: 2 }],
    [
      'with words by number',
      '002-words-by-number.sqlite',
      { repairs: 2, sizes: 6, readings: 11, revisions: 2 },
    ],
    ['of the first tables', '001-first-tables.sqlite', { repairs: 2, sizes: 6, readings: 11, revisions: 2 }],
  ])('%s', async (_, name, wanted) => {
    copyFileSync(join(FROZEN, name), file);
    const server = await start();
    const lists = await Promise.all(
      ['false', 'true'].map((removed) => request(server.address).get(`/api/repairs?removed=${removed}`)),
    );
    const lines = lists.flatMap((reply) => (reply.body as { repairs: RepairLine[] }).repairs);
    expect(lines).toHaveLength(wanted.repairs);
    const wheel = lines.find((line) => line.name === 'Rack wheel')!;
    expect(wheel).toMatchObject({ stage: 'make', revision: 'B' });
    const repair = Repair.parse((await request(server.address).get(`/api/repairs/${wheel.id}`)).body);
    const counts = Object.fromEntries(Object.values(LIST_OF).map((list) => [list, repair[list].length]));
    expect(counts).toMatchObject({
      sizes: wanted.sizes,
      readings: wanted.readings,
      revisions: wanted.revisions,
    });
    expect(repair.readings[0]).toMatchObject({ value: 38.2, typed: '38.20', leftOut: 'slipped', version: 2 });
    for (const search of ['rack', '38.20', 'hub']) {
      const found = (await request(server.address).get(`/api/repairs?search=${search}`)).body as {
        total: number;
      };
      expect({ search, total: found.total }).toEqual({ search, total: 1 });
    }
    // The printer that its numbers were worked out with is kept; a new workshop begins with another.
    const workshop = (await request(server.address).get('/api/workshop')).body as Workshop;
    const [bore] = evaluateRepair(repair, workshop).fits.values();
    expect(bore!.worked).toMatchObject({ ok: true, trail: { working: 6.25 } });
    // It is changed like any other, and saved as a file that opens.
    const change: Change = {
      changeId: 'new',
      row: 'reading',
      baseVersion: 2,
      value: { ...repair.readings[0]!, leftOut: null },
    };
    await request(server.address).post(`/api/repairs/${wheel.id}/changes`).send(change).expect(200);
    const saved = await request(server.address).get(`/api/repairs/${wheel.id}/file`);
    await request(server.address).post('/api/repair-files').type('json').send(saved.text).expect(201);
    // A page that was left open since then still calls steps by their former words.
    const [body] = repair.bodies;
    const steps = [{ id: 'new', kind: 'turn', ...DISC }];
    const value = { ...body!, steps } as unknown as (typeof repair.bodies)[number];
    const old: Change = { changeId: 'old', row: 'body', baseVersion: body!.version, value };
    await request(server.address).post(`/api/repairs/${wheel.id}/changes`).send(old).expect(200);
    const after = Repair.parse((await request(server.address).get(`/api/repairs/${wheel.id}`)).body);
    expect(after.bodies[0]!.steps).toEqual([{ id: 'new', kind: 'disc', ...DISC }]);
  });
});
