import { connect } from 'node:net';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

import fc from 'fast-check';
import pino from 'pino';

import { writeRepairFile } from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';
import { readConfig } from '@server/config';
import { startServer, type RunningServer } from '@server/start';
import { LONG } from '@core/testing/long';

const REQUESTS = LONG ? 5000 : 400;

let folder: string;
let server: RunningServer;
let repairId: string;
const logged: unknown[] = [];

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'even-spare-fuzz-'));
  const log = pino({ level: 'error' }, { write: (line: string) => void logged.push(line) });
  server = await startServer(
    readConfig({ EVEN_SPARE_PORT: '0', EVEN_SPARE_DATA: folder, EVEN_SPARE_WEB: folder }),
    log,
  );
  repairId = (await server.store.open(rackWheel())).head.id;
});
afterAll(async () => {
  await server.stop();
  rmSync(folder, { recursive: true });
});

const file = writeRepairFile({ repair: rackWheel() }, '2026-05-04T10:00:00.000Z');
const change = { changeId: 'c', row: 'reading', baseVersion: 0, value: rackWheel().readings[0]! };
const bodies = [
  JSON.stringify({ id: 'x', name: 'Knob', place: '' }),
  JSON.stringify(change),
  JSON.stringify({ objectId: 'x', dimensionId: 'y' }),
  JSON.stringify({ key: 'k', outline: [[0, 0, 1, 0, 1, 1]], edges: [] }),
  file,
];

/** A text with a part of it taken out, doubled, or exchanged for something else. */
const damaged = (text: string) =>
  fc
    .record({
      from: fc.nat(Math.max(1, text.length - 1)),
      length: fc.nat(30),
      by: fc.constantFrom(
        '',
        'null',
        '[]',
        '{}',
        '1e999',
        '-1',
        '"\\u0000"',
        '\uD800',
        '[[[[',
        '"',
        text.slice(0, 40),
      ),
    })
    .map(({ from, length, by }) => text.slice(0, from) + by + text.slice(from + length));

const body = fc.oneof(
  { weight: 3, arbitrary: fc.constantFrom(...bodies) },
  { weight: 6, arbitrary: fc.constantFrom(...bodies).chain(damaged) },
  { weight: 1, arbitrary: fc.json() },
  { weight: 1, arbitrary: fc.uint8Array({ maxLength: 2000 }).map((bytes) => Buffer.from(bytes)) },
  { weight: 1, arbitrary: fc.constantFrom(...bodies).map((text) => gzipSync(text)) },
);
const segment = fc.oneof(
  fc.constantFrom(
    'x',
    '..',
    '%00',
    '%2e%2e',
    '%E0%A4%A',
    'a'.repeat(300),
    '%3Cb%3E',
    '0'.repeat(64),
    '__proto__',
  ),
  fc.string({ maxLength: 10 }).map(encodeURIComponent),
);
const path = fc.oneof(
  fc.constantFrom(
    '/health',
    '/repairs',
    '/repair-files',
    '/workshop',
    '/workshop/changes',
    '/photos',
    '/practice-caliper',
    '/practice-caliper/readings',
    '/other',
  ),
  fc.constantFrom('', '/changes', '/picture', '/file').map((end) => `/repairs/${repairId}${end}`),
  fc
    .tuple(fc.constantFrom('repairs', 'photos', 'workshop'), segment, segment)
    .map(([first, second, third]) => `/${first}/${second}/${third}`),
  fc
    .tuple(fc.constantFrom('search', 'after', 'limit', 'removed', 'x'), segment)
    .map(([key, value]) => `/repairs?${key}=${value}`),
);
const asked = fc.record({
  method: fc.constantFrom('GET', 'POST', 'PUT', 'DELETE', 'PATCH', 'HEAD', 'OPTIONS'),
  path,
  body,
  encoding: fc.constantFrom(null, null, null, 'gzip', 'br', 'deflate', 'zz'),
  type: fc.constantFrom(
    'application/json',
    'application/json; charset=utf-16',
    'text/plain',
    'image/jpeg',
    '',
  ),
});

test(`no request in ${REQUESTS} is answered with a 5xx, or without a sentence`, async () => {
  const statuses = new Map<number, number>();
  await fc.assert(
    fc.asyncProperty(asked, async ({ method, path: to, body: sent, encoding, type }) => {
      const response = await fetch(`${server.address}/api${to}`, {
        method,
        headers: { 'content-type': type, ...(encoding ? { 'content-encoding': encoding } : {}) },
        ...(method === 'GET' || method === 'HEAD' ? {} : { body: sent as BodyInit }),
      });
      statuses.set(response.status, (statuses.get(response.status) ?? 0) + 1);
      expect(response.status).toBeLessThan(500);
      const text = await response.text();
      if (response.status < 400 || method === 'HEAD' || method === 'OPTIONS') return;
      expect(JSON.parse(text)).toMatchObject({
        fault: { code: expect.any(String) },
        sentence: expect.stringMatching(/[.]$/),
      });
    }),
    { numRuns: REQUESTS },
  );
  // It reached what answers yes as well as what refuses.
  expect((statuses.get(200) ?? 0) + (statuses.get(201) ?? 0)).toBeGreaterThan(REQUESTS / 100);
  expect(statuses.get(400) ?? 0).toBeGreaterThan(REQUESTS / 100);
  expect(logged).toEqual([]);
}, 600_000);

test('nor is what is damaged on the wire, and the server is well afterwards', async () => {
  const { hostname, port } = new URL(server.address);
  const head = `POST /api/repairs HTTP/1.1\r\nHost: ${hostname}:${port}\r\nContent-Type: application/json\r\n`;
  const whole = `${head}Content-Length: ${bodies[0]!.length}\r\nConnection: close\r\n\r\n${bodies[0]!}`;
  const wires = fc.oneof(
    fc.nat(whole.length).map((length) => whole.slice(0, length)),
    fc
      .record({ at: fc.nat(whole.length), noise: fc.uint8Array({ minLength: 1, maxLength: 8 }) })
      .map(({ at, noise }) =>
        Buffer.concat([Buffer.from(whole.slice(0, at)), Buffer.from(noise), Buffer.from(whole.slice(at))]),
      ),
    fc.constantFrom(
      `${head}Content-Length: 999999\r\n\r\n{`,
      `${head}Content-Length: -1\r\n\r\n{}`,
      `${head}Transfer-Encoding: chunked\r\n\r\nzz\r\n{}\r\n`,
      `${head}Transfer-Encoding: chunked\r\nContent-Length: 3\r\n\r\n2\r\n{}\r\n0\r\n\r\n`,
      'GET /api/repairs HTTP/1.1\r\n\r\n',
      'GET /api/repairs HTTP/9.9\r\nHost: x\r\n\r\n',
      `GET /${'a'.repeat(20_000)} HTTP/1.1\r\nHost: x\r\n\r\n`,
    ),
  );
  await fc.assert(
    fc.asyncProperty(wires, async (wire) => {
      const answer = await send(hostname, Number(port), wire);
      expect(answer).not.toMatch(/^HTTP\/1\.1 5/);
    }),
    { numRuns: REQUESTS / 4 },
  );
  expect((await fetch(`${server.address}/api/health`)).status).toBe(200);
}, 600_000);

/** Sends bytes, hangs up soon, and gives what came back. */
function send(host: string, port: number, bytes: string | Buffer): Promise<string> {
  return new Promise((resolve) => {
    let answer = '';
    const socket = connect(port, host, () => {
      socket.write(bytes);
      setTimeout(() => socket.destroy(), 30);
    });
    socket.on('data', (text) => (answer += text.toString()));
    socket.on('error', () => undefined);
    socket.on('close', () => resolve(answer));
  });
}
