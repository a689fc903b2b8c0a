import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import autocannon from 'autocannon';
import express from 'express';
import pino from 'pino';

import { writeRepairFile, type Change, type Repair } from '@core/record/model';
import { startServer } from '@server/start';

import { figure, median, type Figure } from './figure';

const SECONDS = 2;
const ROUNDS = 3;

/** Requests a second over loopback, ten connections at a time. */
async function rate(options: autocannon.Options): Promise<number> {
  const result = await autocannon({ connections: 10, duration: SECONDS, ...options });
  if (result.non2xx > 0 || result.errors > 0)
    throw new Error(`${result.non2xx + result.errors} requests failed`);
  return result.requests.average;
}

/** The API against a bare Express route that hands back the same bytes, in turn. */
export async function apiFigures(wheel: Repair): Promise<Figure[]> {
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
  const text = await (await fetch(url)).text();
  const repair = JSON.parse(text) as Repair;
  const reading = repair.readings[0]!;
  let count = 0;
  const newReading = (): Change => ({
    changeId: `bench-${(count += 1)}`,
    row: 'reading',
    baseVersion: 0,
    value: { ...reading, id: `bench-reading-${count}`, version: 0 },
  });
  const reply = JSON.stringify({ repairId: id, change: newReading() });

  const bare = express();
  bare.get('/read', (_request, response) => void response.type('json').send(text));
  bare.post('/write', express.json(), (_request, response) => void response.type('json').send(reply));
  const listening = bare.listen(0, '127.0.0.1');
  await new Promise((resolve) => listening.once('listening', resolve));
  const bareUrl = `http://127.0.0.1:${(listening.address() as AddressInfo).port}`;

  const write = (target: string) =>
    rate({
      url: target,
      connections: 4,
      requests: [
        {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          setupRequest: (request) => ({ ...request, body: JSON.stringify(newReading()) }),
        },
      ],
    });
  const rates = {
    read: [] as number[],
    bareRead: [] as number[],
    write: [] as number[],
    bareWrite: [] as number[],
  };
  for (let round = 0; round < ROUNDS; round += 1) {
    rates.read.push(await rate({ url }));
    rates.bareRead.push(await rate({ url: `${bareUrl}/read` }));
  }
  for (let round = 0; round < ROUNDS; round += 1) {
    rates.write.push(await write(`${url}/changes`));
    rates.bareWrite.push(await write(`${bareUrl}/write`));
  }
  listening.close();
  await server.stop();
  rmSync(folder, { recursive: true });
  return [
    figure(
      'reading a repair, against a bare route',
      'requests/s',
      median(rates.read),
      median(rates.bareRead),
      {
        atLeast: 0.5,
      },
    ),
    figure(
      'taking a reading, against a bare route that stores nothing',
      'requests/s',
      median(rates.write),
      median(rates.bareWrite),
      {
        atLeast: 0.05,
      },
    ),
  ];
}
