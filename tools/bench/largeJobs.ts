import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import pino from 'pino';

import { writeRepairFile, type NewJob, type Repair } from '@core/record/model';
import { startServer } from '@server/start';

import { figure, median, type Figure } from './figure';

const JOB_BYTES = 55 * 1024 * 1024;
const ROUNDS = 3;

/** A job of so many bytes. */
function jobOf(repairId: string, wheel: Repair, round: number): string {
  const lines = ['G90', 'M83', 'G1 Z0.2 F600'];
  const line = 'G1 X114.485 Y95.581 E0.0176 ; some of a wall';
  for (let bytes = 0; bytes < JOB_BYTES; bytes += line.length + 1) lines.push(line);
  const job: NewJob = {
    id: `bench-job-${round}`,
    repairId,
    bodyId: wheel.bodies[0]!.id,
    name: 'Wheel',
    repairName: 'Rack wheel',
    letter: null,
    machineId: 'bench-printer',
    machineName: 'Bench printer',
    materialId: 'petg',
    family: 'plastic',
    asked: [],
    trial: { of: 'part', results: [] },
    speedUp: 1,
    mishap: 'none',
  };
  return JSON.stringify({ job, gcode: lines.join('\n') });
}

/** What others wait for the server, ms, while one large job arrives and is read, against what they wait otherwise. */
export async function largeJobFigures(wheel: Repair): Promise<Figure[]> {
  const folder = mkdtempSync(join(tmpdir(), 'even-spare-bench-'));
  const config = { host: '127.0.0.1', port: 0, passphrase: null, dataFolder: folder, webFolder: folder };
  const server = await startServer(config, pino({ level: 'silent' }));
  const opened = await fetch(`${server.address}/api/repair-files`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: writeRepairFile({ repair: wheel }, new Date().toISOString()),
  });
  const { id } = (await opened.json()) as { id: string };
  const url = `${server.address}/api/repairs/${id}`;
  const wait = async () => {
    const begin = performance.now();
    await (await fetch(url)).arrayBuffer();
    return performance.now() - begin;
  };
  const usual: number[] = [];
  const meanwhile: number[] = [];
  let longest = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const body = jobOf(id, wheel, round);
    for (let count = 0; count < 100; count += 1) usual.push(await wait());
    const sent = fetch(`${server.address}/api/jobs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    });
    let isOver = false;
    const over = sent.then((reply) => {
      isOver = true;
      if (!reply.ok) throw new Error(`the job was refused: ${reply.status}`);
    });
    while (!isOver) {
      const ms = await wait();
      meanwhile.push(ms);
      longest = Math.max(longest, ms);
    }
    await over;
  }
  await server.stop();
  rmSync(folder, { recursive: true });
  return [
    figure('a request while a job of 55 MB arrives, the middle one', 'ms', median(meanwhile), median(usual), {
      atMost: 2,
    }),
    figure('the same, the longest one', 'ms', longest, median(usual), { atMost: 100 }),
  ];
}
