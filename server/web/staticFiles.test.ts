import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

import express, { type Express } from 'express';
import request from 'supertest';

import { readConfig } from '@server/config';

import { staticFiles } from './staticFiles';

let folder: string;
let app: Express;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'even-spare-web-'));
  const put = (path: string, content: string) => {
    mkdirSync(join(folder, path, '..'), { recursive: true });
    writeFileSync(join(folder, path), content);
  };
  put('index.html', '<title>start page</title>');
  put('kernel/kernel-1.wasm', 'k'.repeat(5000));
  writeFileSync(join(folder, 'kernel/kernel-1.wasm.gz'), gzipSync('k'.repeat(5000)));
  put('_expo/static/js/web/solid-0a1b.js', 'worker');
  put('_expo/static/js/web/entry-0a1b.js', 'page');
  put('_expo/static/js/web/screens-0a1b.js', 'screens');
  app = express().use(staticFiles(folder));
});
afterAll(() => rmSync(folder, { recursive: true }));

test('the kernel goes out packed, for ever, and says how long it is unpacked', async () => {
  const reply = await request(app).get('/kernel/kernel-1.wasm').set('accept-encoding', 'gzip');
  expect(reply.headers).toMatchObject({
    'content-encoding': 'gzip',
    'content-type': 'application/wasm',
    'cache-control': 'public, max-age=31536000, immutable',
    'x-unpacked-length': '5000',
  });
});

test('only the worker of the kernel may put code together from text', async () => {
  const worker = await request(app).get('/_expo/static/js/web/solid-0a1b.js');
  expect(worker.headers['content-security-policy']).toContain("'unsafe-eval'");
  const page = await request(app).get('/_expo/static/js/web/entry-0a1b.js');
  expect(page.headers['content-security-policy']).toBeUndefined();
});

test('addresses of screens get the start page, which is always asked for anew', async () => {
  const reply = await request(app).get('/repair/abc/sizes').set('accept', 'text/html');
  expect(reply.text).toContain('start page');
  expect(reply.headers['cache-control']).toBe('no-cache');
});

test('a page of a repair is told of the scripts that it will need; the list of repairs is not', async () => {
  const { headers } = await request(app).get('/repair/abc/shape').set('accept', 'text/html');
  expect(headers.link).toBe(
    '</_expo/static/js/web/screens-0a1b.js>; rel=preload; as=script, </_expo/static/js/web/solid-0a1b.js>; rel=prefetch',
  );
  const list = await request(app).get('/').set('accept', 'text/html');
  expect(list.headers.link).toBeUndefined();
});

test('files that are not there, and ways out of the folder, are not found', async () => {
  await request(app).get('/missing.js').set('accept', '*/*').expect(404);
  await request(app).get('/..%2f..%2fetc%2fpasswd').set('accept', '*/*').expect(404);
});

describe('settings', () => {
  test('bind to the loopback address unless told otherwise', () => {
    expect(readConfig({})).toMatchObject({ host: '127.0.0.1', port: 4870 });
    const outside = { EVEN_SPARE_HOST: '0.0.0.0', EVEN_SPARE_PORT: '80' };
    expect(() => readConfig(outside)).toThrow('EVEN_SPARE_PASSPHRASE');
    expect(() => readConfig({ ...outside, EVEN_SPARE_PASSPHRASE: 'short' })).toThrow('12 characters');
    expect(readConfig({ ...outside, EVEN_SPARE_PASSPHRASE: 'gate paddle ratchet' })).toMatchObject({
      host: '0.0.0.0',
      port: 80,
    });
  });
  test('say which one is wrong', () => {
    expect(() => readConfig({ EVEN_SPARE_PORT: 'blue' })).toThrow('EVEN_SPARE_PORT');
    expect(() => readConfig({ EVEN_SPARE_PORT: '70000' })).toThrow('EVEN_SPARE_PORT');
  });
});
