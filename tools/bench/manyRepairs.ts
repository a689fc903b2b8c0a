import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { ListQuery, type Repair } from '@core/record/model';
import { openDatabase } from '@server/database/open';
import { RepairStore } from '@server/repairs/store';

import { figure, median, type Figure } from './figure';

const [MANY, FEW] = [10_000, 100];
const ROUNDS = 60;

/** A workshop with so many repairs, each with the sizes and readings of one of the demo's. */
async function workshopOf(count: number, synced: boolean, like: Repair) {
  const folder = mkdtempSync(join(tmpdir(), 'even-spare-many-'));
  // Filled without syncing: that is not what is measured.
  const filling = await openDatabase(folder, { synced: false });
  let made = 0;
  let clock = 0;
  const surroundings = {
    now: () => new Date(Date.UTC(2026, 4, 4) + (clock += 1000)).toISOString(),
    newId: () => `id-${(made += 1)}`,
  };
  const pictures = { bytesOf: () => Promise.resolve(0) };
  const raise = (error: unknown) => {
    throw error;
  };
  const storeOf = (database: typeof filling) =>
    new RepairStore(database, surroundings, { pictures, scans: pictures }, raise);
  const small = { ...like, bodies: [], revisions: [] };
  const first = storeOf(filling);
  const ids: string[] = [];
  for (let index = 0; index < count; index += 1) {
    const name = `${WORDS[index % WORDS.length]!} ${WORDS[(index * 7) % WORDS.length]!} ${index}`;
    ids.push((await first.open({ ...small, head: { ...small.head, name } })).head.id);
  }
  await first.summaries.bringUpToDate();
  first.summaries.stop();
  await filling.close();
  const database = await openDatabase(folder, { synced });
  const store = storeOf(database);
  return {
    async search(words: string): Promise<void> {
      await store.list(ListQuery.parse({ search: words }));
    },
    /** A reading taken in one of thirty repairs, and what lists show of it brought up to date. */
    async change(round: number, thenList: boolean): Promise<void> {
      const id = ids[(round * 31) % Math.min(30, ids.length)]!;
      const { readings } = (await store.get(id))!;
      const value = { ...readings[0]!, id: surroundings.newId(), version: 0 };
      const result = await store.change(id, {
        changeId: surroundings.newId(),
        row: 'reading',
        baseVersion: 0,
        value,
      });
      if (!result.ok) throw new Error(result.fault.code);
      if (thenList) await store.summaries.bringUpToDate();
    },
    async close(): Promise<void> {
      store.summaries.stop();
      await database.close();
      rmSync(folder, { recursive: true });
    },
  };
}

const WORDS = [
  'Rack',
  'Wheel',
  'Lamp',
  'Knob',
  'Easel',
  'Foot',
  'Hinge',
  'Latch',
  'Spool',
  'Hose',
  'Gate',
  'Oar',
];
/** What a person types, letter by letter, and a size. */
const TYPED = ['w', 'wh', 'whe', 'wheel', 'lamp kn', '38.2', '4711', 'ra 9'];

/** How searching and writing grow with the number of repairs, and what it costs that nothing is lost. */
export async function manyRepairsFigures(like: Repair): Promise<Figure[]> {
  const many = await workshopOf(MANY, true, like);
  const few = await workshopOf(FEW, true, like);
  const loose = await workshopOf(FEW, false, like);
  const time = async (work: () => Promise<void>) => {
    const start = performance.now();
    await work();
    return performance.now() - start;
  };
  /** Middle time of each, ms, in turn. */
  const inTurn = async (
    first: (round: number) => Promise<void>,
    second: (round: number) => Promise<void>,
  ) => {
    const times: [number[], number[]] = [[], []];
    for (let round = 0; round < ROUNDS; round += 1) {
      times[0].push(await time(() => first(round)));
      times[1].push(await time(() => second(round)));
    }
    // The first of each are cold.
    return times.map((list) => median(list.slice(ROUNDS / 6))) as [number, number];
  };
  const searching = (workshop: typeof many) => async () => {
    for (const words of TYPED) await workshop.search(words);
  };
  const searches = await inTurn(searching(many), searching(few));
  const lists = await inTurn(
    () => many.search(''),
    () => few.search(''),
  );
  const changes = await inTurn(
    (round) => many.change(round, true),
    (round) => few.change(round, true),
  );
  const synced = await inTurn(
    (round) => few.change(round, false),
    (round) => loose.change(round, false),
  );
  for (const workshop of [many, few, loose]) await workshop.close();
  const versus = `at ${MANY} repairs, against at ${FEW}`;
  return [
    figure(`a search letter by letter ${versus}`, 'ms', ...searches, { atMost: 1.3 }),
    figure(`the first page of the list ${versus}`, 'ms', ...lists, { atMost: 1.3 }),
    figure(`taking a reading, with what lists show of it, ${versus}`, 'ms', ...changes, { atMost: 1.3 }),
    figure('taking a reading synced to the disk, against not synced', 'ms', ...synced, { atMost: 4 }),
  ];
}
