import { onlineManager } from '@tanstack/react-query';

import {
  applyChange,
  applyWorkshopChange,
  workshopRowBefore,
  type Change,
  type Repair,
  type Workshop,
  type WorkshopChange,
} from '@core/model';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/workshop';

import { ask, Refused, Unreachable } from './client';
import { useConflicts } from './conflicts';
import { watchCallsOnly } from './connection';
import { useNotices } from './notices';
import {
  CHANGE_KEY,
  CHANGE_SCOPE,
  createQueryClient,
  isQueued,
  repairKey,
  workshopKey,
  type QueuedChange,
} from './queryClient';
import { z } from 'zod';

/** A server in a variable, which can be away. */
const server = { away: false, repair: rackWheel() as Repair, received: [] as string[] };
const reply = (status: number, body: unknown) =>
  Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response);

beforeEach(() => {
  // The browser that tests run in is too old to know these.
  AbortSignal.timeout ??= () => new AbortController().signal;
  AbortSignal.any ??= (signals) => [...signals][0]!;
  watchCallsOnly();
  onlineManager.setOnline(true);
  Object.assign(server, { away: false, repair: rackWheel(), received: [] });
  useConflicts.setState({ waiting: [] });
  useNotices.setState({ notice: null });
  globalThis.fetch = ((url: string, options?: RequestInit) => {
    if (server.away) return Promise.reject(new TypeError('Failed to fetch'));
    if (url.endsWith('/health')) return reply(200, { ok: true });
    if (url.endsWith('/workshop/changes')) {
      const change = JSON.parse(options!.body as string) as WorkshopChange;
      const result = applyWorkshopChange(DEFAULT_WORKSHOP, change);
      if (!result.ok) return reply(409, { fault: result.fault, sentence: 'No.' });
      const value = workshopRowBefore(result.value, change.row, change.value.id);
      return reply(200, { ...change, value });
    }
    if (!url.endsWith('/changes')) return reply(200, server.repair);
    const change = JSON.parse(options!.body as string) as Change;
    const result = applyChange(server.repair, change);
    if (!result.ok) return reply(409, { fault: result.fault, sentence: 'No.' });
    server.repair = result.value;
    server.received.push(change.changeId);
    const value = { ...change.value, version: change.baseVersion + 1 };
    return reply(200, { repairId: 'rack-wheel', change: { ...change, value } });
  }) as typeof fetch;
});

function start() {
  const client = createQueryClient();
  client.mount();
  client.setQueryData(repairKey('rack-wheel'), server.repair);
  const send = (change: Change) => {
    const mutation = client
      .getMutationCache()
      .build<unknown, Error, QueuedChange, unknown>(client, { mutationKey: CHANGE_KEY, scope: CHANGE_SCOPE });
    return mutation.execute({ repairId: 'rack-wheel', change }).catch((error: Error) => error);
  };
  const queued = () => client.getMutationCache().getAll().filter(isQueued).length;
  return { client, send, queued };
}
const takeReading = (changeId: string, mm: number): Change => ({
  changeId,
  row: 'reading',
  baseVersion: 0,
  value: { ...rackWheel().readings[0]!, id: `reading-${changeId}`, version: 0, value: mm },
});
const chooseFit = (changeId: string, baseVersion: number): Change => ({
  changeId,
  row: 'fit',
  baseVersion,
  value: { ...rackWheel().fits[0]!, fitClass: 'loose' },
});

test('a change that is accepted stands in the repair with its new version', async () => {
  const { client, send } = start();
  await send(chooseFit('one', 1));
  const repair = client.getQueryData<Repair>(repairKey('rack-wheel'))!;
  expect(repair.fits[0]).toMatchObject({ fitClass: 'loose', version: 2 });
  client.unmount();
});

test('changes wait while the server is away and go out in order when it is back', async () => {
  const { client, send, queued } = start();
  server.away = true;
  const sent = ['one', 'two', 'three'].map((id, index) => send(takeReading(id, 8 + index)));
  await new Promise((resolve) => setTimeout(resolve, 900));
  expect(onlineManager.isOnline()).toBe(false);
  expect(queued()).toBe(3);
  expect(server.received).toEqual([]);
  server.away = false;
  await Promise.all(sent);
  expect(server.received).toEqual(['one', 'two', 'three']);
  expect(queued()).toBe(0);
  client.unmount();
}, 20_000);

test('a stale change is kept for the person to choose, and is not tried again', async () => {
  const { client, send } = start();
  server.repair = {
    ...server.repair,
    fits: server.repair.fits.map((fit) => ({ ...fit, version: 5, fitClass: 'snug' })),
  };
  expect(await send(chooseFit('late', 1))).toBeInstanceOf(Refused);
  expect(useConflicts.getState().waiting).toMatchObject([
    {
      queued: { repairId: 'rack-wheel', change: { changeId: 'late' } },
      theirs: { fitClass: 'snug', version: 5 },
    },
  ]);
  expect(useNotices.getState().notice).toBeNull();
  client.unmount();
});

test('changes of the workshop wait in the same queue', async () => {
  const { client, queued } = start();
  const caliper = DEFAULT_WORKSHOP.instruments[0]!;
  client.setQueryData(workshopKey, DEFAULT_WORKSHOP);
  server.away = true;
  const mutation = client
    .getMutationCache()
    .build<unknown, Error, QueuedChange, unknown>(client, { mutationKey: CHANGE_KEY, scope: CHANGE_SCOPE });
  const value = { ...caliper, name: 'Old caliper' };
  const sent = mutation.execute({
    repairId: null,
    change: { changeId: 'w', row: 'instrument', baseVersion: 1, value },
  });
  await new Promise((resolve) => setTimeout(resolve, 900));
  expect(queued()).toBe(1);
  server.away = false;
  await sent;
  expect(client.getQueryData<Workshop>(workshopKey)!.instruments[0]).toMatchObject({
    name: 'Old caliper',
    version: 2,
  });
  client.unmount();
}, 20_000);

test('another refusal is said in a sentence', async () => {
  const { client, send } = start();
  const orphan = takeReading('x', 8);
  await send({ ...orphan, value: { ...orphan.value, sizeId: 'nobody' } } as Change);
  expect(useNotices.getState().notice).toMatchObject({ tone: 'wrong' });
  expect(useNotices.getState().notice!.text).toContain('no longer there');
  client.unmount();
});

describe('asking the server', () => {
  test('no answer, and an answer of what stands between, mean that it is away', async () => {
    server.away = true;
    await expect(ask('/x', { reply: z.any() })).rejects.toBeInstanceOf(Unreachable);
    globalThis.fetch = () => reply(502, 'Bad gateway');
    await expect(ask('/x', { reply: z.any() })).rejects.toBeInstanceOf(Unreachable);
  });
  test('an answer that can’t be read is told, not trusted', async () => {
    globalThis.fetch = () => reply(500, '<html>');
    await expect(ask('/x', { reply: z.any() })).rejects.toThrow('can’t be read');
    globalThis.fetch = () => reply(200, { other: 1 });
    await expect(ask('/x', { reply: z.strictObject({ id: z.string() }) })).rejects.toBeInstanceOf(z.ZodError);
  });
  test('a fault we know is put in our own words', async () => {
    globalThis.fetch = () =>
      reply(404, { fault: { code: 'row.missing', row: 'head', id: 'x' }, sentence: 'other words' });
    await expect(ask('/x', { reply: z.any() })).rejects.toThrow('This repair is no longer there.');
  });
});
