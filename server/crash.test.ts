import { mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { type Repair, writeRepairFile } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';
import { LONG } from '@core/testing/long';
import { startProcess } from '@server/testing/otherProcess';

const KILLS = LONG ? 100 : 2;

test(`nothing that was acknowledged is lost when the server is killed, ${KILLS} times`, async () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-spare-crash-'));
  const acknowledged = new Set<string>();
  let repairId: string | null = null;
  let sent = 0;
  for (let kill = 0; kill <= KILLS; kill += 1) {
    const { child, address, ended, said } = await startProcess(folder);
    if (!address) throw new Error(said());
    const api = `${address}/api`;
    const post = (path: string, body: string) =>
      fetch(`${api}${path}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body });
    if (repairId === null) {
      const file = writeRepairFile({ repair: rackWheel() }, '2026-05-04T10:00:00.000Z');
      repairId = ((await (await post('/repair-files', file)).json()) as { id: string }).id;
    }
    const repair = (await (await fetch(`${api}/repairs/${repairId}`)).json()) as Repair;
    const there = new Set(repair.readings.map(({ id }) => id));
    expect([...acknowledged].filter((id) => !there.has(id))).toEqual([]);
    const found = (await (await fetch(`${api}/repairs?search=rack`)).json()) as { total: number };
    expect(found.total).toBe(1);

    // Killed at an odd moment while four write at once.
    let killed = false;
    setTimeout(
      () => {
        killed = true;
        child.kill('SIGKILL');
      },
      40 + ((kill * 37) % 160),
    );
    const writer = async () => {
      while (!killed) {
        const id = `sent-${(sent += 1)}`;
        const value = { ...repair.readings[0]!, id, version: 0 };
        const change = JSON.stringify({ changeId: id, row: 'reading', baseVersion: 0, value });
        const reply = await post(`/repairs/${repairId}/changes`, change).catch(() => null);
        if (reply?.status === 200) acknowledged.add(id);
      }
    };
    await Promise.all([writer(), writer(), writer(), writer()]);
    await ended;
  }
  expect(acknowledged.size).toBeGreaterThan(KILLS);
  rmSync(folder, { recursive: true });
}, 900_000);

test('a second server on the folder of a running one ends with a sentence; settings and ports likewise', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'even-spare-second-'));
  const first = await startProcess(folder);
  // Nobody else may read what is kept.
  const kept = readdirSync(folder).filter((name) => name.startsWith('even-spare'));
  expect(kept.length).toBeGreaterThan(0);
  for (const name of kept) expect(statSync(join(folder, name)).mode & 0o077).toBe(0);
  const second = await startProcess(folder);
  expect(await second.ended).toBe(1);
  expect(second.said()).toContain(`at ${first.address}`);
  expect(second.said()).toContain('overwrite each other');
  const other = mkdtempSync(join(tmpdir(), 'even-spare-port-'));
  const port = new URL(first.address!).port;
  const taken = await startProcess(other, { EVEN_SPARE_PORT: port });
  expect(taken.said()).toContain(`Port ${port} is taken`);
  const wrong = await startProcess(other, { EVEN_SPARE_PORT: 'blue' });
  expect(wrong.said()).toBe(
    'EVEN_SPARE_PORT is “blue”; it must be a whole number from 0 to 65535. Change it, then start again.\n',
  );
  first.child.kill('SIGTERM');
  expect(await first.ended).toBe(0);
  for (const path of [folder, other]) rmSync(path, { recursive: true });
}, 120_000);
