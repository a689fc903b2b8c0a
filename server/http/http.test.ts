import { brotliCompressSync, gzipSync } from 'node:zlib';

import express from 'express';
import request from 'supertest';

import { JSON_DEPTH_LIMIT, JSON_VALUES_LIMIT } from '@core/record/model';
import { openTestServer, type TestServer } from '@server/testing/testServer';

import { tooMuchIn } from './boundedJson';
import { guard } from './guard';

let server: TestServer;
beforeEach(async () => {
  server = await openTestServer();
});
afterEach(() => server.close());

describe('what is sent', () => {
  const send = (body: Buffer | string, encoding?: string) => {
    const call = request(server.app).post('/api/repair-files').type('json');
    if (encoding) void call.set('content-encoding', encoding);
    return call.serialize((data: unknown) => data as string).send(body);
  };
  test.each([
    ['gzip that is none', Buffer.from('{"a":1}'), 'gzip', 'request.notUnpacked'],
    ['Brotli that is none', Buffer.from('{"a":1}'), 'br', 'request.notUnpacked'],
    ['deflate that is none', Buffer.from('{"a":1}'), 'deflate', 'request.notUnpacked'],
    ['gzip that is cut', gzipSync('{"a":1}').subarray(0, 14), 'gzip', 'request.notUnpacked'],
    ['ten million brackets in some kilobytes', gzipSync('['.repeat(10_000_000)), 'gzip', 'request.notRead'],
    ['the same as objects', brotliCompressSync('{"a":'.repeat(2_000_000)), 'br', 'request.notRead'],
    ['seven million numbers', gzipSync(`[${'1,'.repeat(7_000_000)}1]`), 'gzip', 'request.notRead'],
  ])('%s is refused at once with 400', async (_, body, encoding, code) => {
    const reply = await send(body, encoding);
    expect(reply.status).toBe(400);
    expect(reply.body).toMatchObject({ fault: { code } });
    expect((reply.body as { sentence: string }).sentence).toMatch(/[.]$/);
  });
  test('what is large is read as what is small is, a byte order mark before it too, and what is no JSON told', async () => {
    const large = `{"format":"${'é'.repeat(2_000_000)}"`;
    const whole = await send(`\uFEFF${large}}`);
    const half = await send(large);
    // The one is JSON and no repair, the other is none.
    expect([whole, half].map(({ body }) => (body as { fault: { code: string } }).fault.code)).toEqual([
      'file.notARepairFile',
      'file.notJson',
    ]);
  });
  test('a byte order mark before it is no mistake', async () => {
    const reply = await request(server.app)
      .post('/api/repairs')
      .type('json')
      .send('\uFEFF{"id":"x","name":"Knob","place":""}');
    expect(reply.status).toBe(201);
  });
});

test('nesting and values are counted outside of strings only', () => {
  const bytes = (text: string) => new TextEncoder().encode(text);
  const nested = (levels: number) => '['.repeat(levels) + ']'.repeat(levels);
  expect(tooMuchIn(bytes(nested(JSON_DEPTH_LIMIT)))).toBeNull();
  expect(tooMuchIn(bytes(nested(JSON_DEPTH_LIMIT + 1)))).toMatchObject({ rule: 'nesting' });
  expect(tooMuchIn(bytes(`["${'['.repeat(500)}", "\\"${'{'.repeat(500)}\\\\", []]`))).toBeNull();
  expect(tooMuchIn(bytes(`["\\\\", ${nested(JSON_DEPTH_LIMIT)}]`))).toMatchObject({ rule: 'nesting' });
  expect(tooMuchIn(bytes(`["${','.repeat(JSON_VALUES_LIMIT + 1)}"]`))).toBeNull();
  expect(tooMuchIn(bytes('"no end'))).toBeNull();
});

describe('who may ask', () => {
  const post = (headers: Record<string, string>) => {
    const call = request(server.app).post('/api/photos').type('application/octet-stream');
    for (const [name, value] of Object.entries(headers)) void call.set(name, value);
    return call.send(Buffer.from('x'));
  };
  test('another page can neither post a photo nor read', async () => {
    const other = await post({ origin: 'http://elsewhere.example' });
    expect(other.status).toBe(403);
    expect(other.body).toMatchObject({ fault: { code: 'server.otherPage' } });
    expect((await post({ origin: 'null' })).status).toBe(403);
    expect((await post({ 'sec-fetch-site': 'cross-site' })).status).toBe(403);
    const read = await request(server.app).get('/api/repairs').set('origin', 'http://elsewhere.example');
    expect(read.status).toBe(403);
  });
  test('its own pages and programs without an origin may', async () => {
    // 422: it was let in, and is no picture.
    expect((await post({})).status).toBe(422);
    expect((await post({ host: 'localhost:4870', origin: 'http://localhost:4870' })).status).toBe(422);
    expect((await post({ 'sec-fetch-site': 'same-origin' })).status).toBe(422);
  });
  test.each(['elsewhere.example', 'localhost.elsewhere.example', '127.0.0.1.elsewhere.example:4870', ''])(
    'a server that is called “%s” is another one',
    async (host) => {
      const reply = await request(server.app).get('/api/repairs').set('host', host);
      expect(reply.status).toBe(403);
    },
  );
  test('beyond loopback everybody is asked for the passphrase', async () => {
    const app = express().use(guard({ host: '0.0.0.0', passphrase: 'gate paddle ratchet' }));
    app.get('/', (_request, response) => void response.send('in'));
    app.use(((error: { status: number }, _request, response, _next) => {
      response.sendStatus(error.status);
    }) as express.ErrorRequestHandler);
    const asked = await request(app).get('/');
    expect(asked.status).toBe(401);
    expect(asked.headers['www-authenticate']).toContain('Basic');
    expect((await request(app).get('/').auth('anybody', 'gate paddle')).status).toBe(401);
    expect((await request(app).get('/').auth('anybody', 'gate paddle ratchet')).status).toBe(200);
    expect(
      (await request(app).get('/').set('host', 'elsewhere.example').auth('a', 'gate paddle ratchet')).status,
    ).toBe(403);
  });
  test('who guesses at the passphrase waits longer and longer; others do not', async () => {
    let nowMs = 0;
    const warned: unknown[] = [];
    const log = { warn: (what: unknown) => void warned.push(what) };
    const app = express().use(
      guard({ host: '0.0.0.0', passphrase: 'gate paddle ratchet', log, now: () => nowMs }),
    );
    app.get('/', (_request, response) => void response.send('in'));
    app.use(((error: { status: number }, _request, response, _next) => {
      response.sendStatus(error.status);
    }) as express.ErrorRequestHandler);
    const guess = async (word: string) => (await request(app).get('/').auth('a', word)).status;
    for (let count = 0; count < 5; count += 1) expect(await guess('wrong')).toBe(401);
    // The sixth costs two seconds, in which even the right one is not looked at; the seventh four.
    expect(await guess('wrong')).toBe(401);
    const held = await request(app).get('/').auth('a', 'gate paddle ratchet');
    expect([held.status, held.headers['retry-after']]).toEqual([429, '2']);
    nowMs += 2000;
    expect(await guess('wrong')).toBe(401);
    nowMs += 3000;
    expect(await guess('gate paddle ratchet')).toBe(429);
    nowMs += 1000;
    expect(await guess('gate paddle ratchet')).toBe(200);
    expect(await guess('wrong')).toBe(401);
    expect(await guess('gate paddle ratchet')).toBe(200);
    expect(warned).toHaveLength(8);
  });
  test('an address that is not well formed is told in a sentence', async () => {
    const server = await openTestServer();
    const reply = await request(server.app).get('/%E0%A4%A');
    expect(reply.status).toBe(400);
    expect((reply.body as { sentence?: string }).sentence).toBe('Address: it is not well formed.');
    await server.close();
  });
});
