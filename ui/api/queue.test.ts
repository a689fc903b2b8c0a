import { hashKey, onlineManager, QueryObserver } from '@tanstack/react-query';
import { waitFor } from '@testing-library/react';

import {
  applyChange,
  applyWorkshopChange,
  workshopRowBefore,
  type Change,
  type Repair,
  type Workshop,
  type WorkshopChange,
} from '@core/record/model';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import { ask, Refused, Unreachable } from './client';
import { lookNow, useConnection, watchCallsOnly } from './connection';
import type { DeviceStore } from './device/deviceStore';
import { keepChanges, restoreChanges, takeOverOldQueue } from './device/keptChanges';
import { withJournal } from './device/journal';
import { keepCopies, restoreCopy } from './device/keptCopies';
import { CHANGE_KEY, CHANGE_SCOPE, createQueryClient, isQueued, repairKey, workshopKey } from './queryClient';
import type { QueuedChange } from './queuedChange';
import { unsettledIn, useUnsettled } from './unsettled';
import { z } from 'zod';

/** A server in a variable, which can be away. */
const server = { away: false, failing: 0, repair: rackWheel() as Repair, received: [] as string[] };
const reply = (status: number, body: unknown) =>
  Promise.resolve({ ok: status < 400, status, json: () => Promise.resolve(body) } as Response);

beforeEach(() => {
  // The browser that tests run in is too old to know these.
  AbortSignal.timeout ??= () => new AbortController().signal;
  AbortSignal.any ??= (signals) => [...signals][0]!;
  watchCallsOnly();
  onlineManager.setOnline(true);
  Object.assign(server, { away: false, failing: 0, repair: rackWheel(), received: [] });
  useUnsettled.setState({ waiting: [], open: false });
  useConnection.setState({ trouble: null, relapses: 0 });
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
    if (server.failing > 0) {
      server.failing -= 1;
      return reply(500, { fault: { code: 'server.failed', report: 'abcd1234' }, sentence: 'It failed.' });
    }
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
  expect(useUnsettled.getState().waiting).toMatchObject([
    {
      stale: true,
      queued: { repairId: 'rack-wheel', change: { changeId: 'late' } },
      theirs: { fitClass: 'snug', version: 5 },
    },
  ]);
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

test('what is refused for another reason is kept, with the sentence, until the person has chosen', async () => {
  const { client, send } = start();
  const orphan = takeReading('x', 8);
  await send({ ...orphan, value: { ...orphan.value, sizeId: 'nobody' } } as Change);
  expect(useUnsettled.getState()).toMatchObject({
    open: true,
    waiting: [
      { stale: false, theirs: null, queued: { change: { changeId: 'x', value: { typed: '38.20' } } } },
    ],
  });
  expect(useUnsettled.getState().waiting[0]!.sentence).toContain('no longer there');
  client.unmount();
});

/** A device's store that lives as long as the test. */
function memoryStore(): DeviceStore & { kept: Map<string, unknown> } {
  const kept = new Map<string, unknown>();
  return {
    kept,
    get: (key) => Promise.resolve(kept.get(key)),
    put: (key, value) => Promise.resolve(void kept.set(key, JSON.parse(JSON.stringify(value)))),
    remove: (key) => Promise.resolve(void kept.delete(key)),
    entries: () => Promise.resolve([...kept]),
  };
}

test('a server that fails in between loses nothing: the change stays in its place, is told and is sent again', async () => {
  const { client, send, queued } = start();
  const store = memoryStore();
  const stop = keepChanges(client, store);
  server.failing = 1;
  const sent = ['one', 'two'].map((id, index) => send(takeReading(id, 8 + index)));
  await new Promise((resolve) => setTimeout(resolve, 700));
  expect(queued()).toBe(2);
  expect([...store.kept.keys()]).toEqual(['one', 'two']);
  expect(useConnection.getState().trouble).toContain('report abcd1234');
  lookNow();
  await Promise.all(sent);
  expect(server.received).toEqual(['one', 'two']);
  expect(store.kept.size).toBe(0);
  expect(useConnection.getState()).toEqual({ trouble: null, relapses: 0 });
  stop();
  client.unmount();
}, 20_000);

describe('what is kept on the device', () => {
  test('goes out in order after the page was left, whatever page it was made in', async () => {
    const store = memoryStore();
    const first = start();
    const stop = keepChanges(first.client, store);
    server.away = true;
    for (const id of ['one', 'two', 'three']) void first.send(takeReading(id, 9));
    await new Promise((resolve) => setTimeout(resolve, 900));
    expect(store.kept.size).toBe(3);
    // The page is closed without a word.
    stop();
    first.client.unmount();
    first.client.clear();
    server.away = false;
    await new Promise((resolve) => setTimeout(resolve, 1300));
    expect(server.received).toEqual([]);

    const second = start();
    await restoreChanges(second.client, store);
    const stopSecond = keepChanges(second.client, store);
    expect(second.queued()).toBe(3);
    onlineManager.setOnline(true);
    await second.client.resumePausedMutations();
    expect(server.received).toEqual(['one', 'two', 'three']);
    await Promise.resolve();
    expect(store.kept.size).toBe(0);
    stopSecond();
    second.client.unmount();
  }, 20_000);

  test('is noted before anything else can happen, and until the store has it', async () => {
    const inner = memoryStore();
    let arrive = () => {};
    const slow: DeviceStore = {
      ...inner,
      put: (key, value) =>
        new Promise<void>((resolve) => (arrive = resolve)).then(() => inner.put(key, value)),
    };
    const store = withJournal(slow, window.localStorage);
    const putting = store.put('one', { order: 1 });
    // The page may go in this very moment.
    expect(await withJournal(memoryStore(), window.localStorage).entries()).toEqual([['one', { order: 1 }]]);
    arrive();
    await putting;
    expect(Object.keys(window.localStorage).filter((key) => key.includes('change'))).toEqual([]);
    expect(await store.entries()).toEqual([['one', { order: 1 }]]);
    await store.remove('one');
    expect(await store.entries()).toEqual([]);
    // A store that keeps nothing leaves it noted; a small store that is full is no matter.
    const deaf = withJournal({ ...memoryStore(), put: () => Promise.resolve() }, window.localStorage);
    await deaf.put('two', 2);
    expect(await deaf.entries()).toEqual([['two', 2]]);
    await deaf.remove('two');
    const full = {
      getItem: () => null,
      removeItem: () => {},
      setItem: () => {
        throw new DOMException('full', 'QuotaExceededError');
      },
    };
    await withJournal(inner, full as unknown as Storage).put('three', 3);
    expect(inner.kept.get('three')).toBe(3);
  });

  test('of an earlier version of the page is taken over once', async () => {
    const store = memoryStore();
    const change = { repairId: 'rack-wheel', change: takeReading('old', 8) };
    const text = JSON.stringify({
      clientState: { mutations: [{ state: { variables: change } }], queries: [] },
    });
    window.localStorage.setItem('even-spare-queue', text);
    await takeOverOldQueue(window.localStorage, store);
    expect(store.kept.get('old')).toMatchObject({ queued: change });
    expect(window.localStorage.getItem('even-spare-queue')).toBeNull();
    window.localStorage.setItem('even-spare-queue', text.slice(0, 50));
    await takeOverOldQueue(window.localStorage, store);
    expect(store.kept.size).toBe(1);
  });

  test('of a repair is a copy with every change that was taken, and never overwrites something newer', async () => {
    const store = memoryStore();
    const { client, send } = start();
    const stop = keepCopies(client, store);
    await send(chooseFit('one', 1));
    stop();
    client.unmount();
    const later = createQueryClient();
    await restoreCopy(later, repairKey('rack-wheel'), store);
    expect(later.getQueryData<Repair>(repairKey('rack-wheel'))!.fits[0]).toMatchObject({
      fitClass: 'loose',
      version: 2,
    });
    later.setQueryData(repairKey('rack-wheel'), rackWheel());
    await restoreCopy(later, repairKey('rack-wheel'), store);
    expect(later.getQueryData<Repair>(repairKey('rack-wheel'))!.fits[0]!.version).toBe(1);
  });

  test('what a page of before kept is read in present words: copies, and changes that wait', async () => {
    const store = memoryStore();
    const copy = JSON.stringify(rackWheel()).replaceAll('"kind":"disc"', '"kind":"turn"');
    await store.put(hashKey(repairKey('rack-wheel')), { data: JSON.parse(copy), updatedAt: 1 });
    const client = createQueryClient();
    await restoreCopy(client, repairKey('rack-wheel'), store);
    expect(client.getQueryData<Repair>(repairKey('rack-wheel'))!.bodies).toEqual(rackWheel().bodies);

    const waiting = memoryStore();
    const [body] = rackWheel().bodies;
    const value = JSON.parse(JSON.stringify(body).replaceAll('"kind":"disc"', '"kind":"turn"')) as unknown;
    const change = { changeId: 'old', row: 'body', baseVersion: 1, value };
    await waiting.put('old', { order: 1, queued: { repairId: 'rack-wheel', change } });
    await restoreChanges(client, waiting);
    const [mutation] = client.getMutationCache().getAll();
    expect(mutation!.state.variables).toEqual({
      repairId: 'rack-wheel',
      change: { ...change, value: body },
    });
    client.clear();
  });

  test('however new a copy is, the server is asked: what was changed as the page was left is not in it', async () => {
    const store = memoryStore();
    const key = repairKey('rack-wheel');
    const copy = { ...rackWheel(), head: { ...rackWheel().head, name: 'As it was' } };
    await store.put(hashKey(key), { data: copy, updatedAt: Date.now() });
    const client = createQueryClient();
    await restoreCopy(client, key, store);
    const shown: string[] = [];
    const stop = new QueryObserver<Repair>(client, {
      queryKey: key,
      queryFn: () => Promise.resolve(rackWheel()),
    }).subscribe(({ data }) => void shown.push(data!.head.name));
    shown.push(client.getQueryData<Repair>(key)!.head.name);
    await waitFor(() => expect(shown.at(-1)).toBe(rackWheel().head.name));
    expect(shown[0]).toBe('As it was');
    stop();
  });

  test('of a choice that was not made yet is there after the page was left', async () => {
    const store = memoryStore();
    const waits = {
      queued: { repairId: 'rack-wheel', change: chooseFit('late', 1) },
      theirs: null,
      sentence: 'It was changed.',
      stale: true,
    };
    await unsettledIn(store).getState().add(waits);
    const later = unsettledIn(store);
    await later.getState().restore();
    expect(later.getState().waiting).toEqual([waits]);
    later.getState().settle(later.getState().waiting[0]!);
    expect(store.kept.size).toBe(0);
  });
});

describe('asking the server', () => {
  test('no answer, and an answer of what stands between, mean that it is away', async () => {
    server.away = true;
    await expect(ask('/x', { reply: z.any() })).rejects.toBeInstanceOf(Unreachable);
    globalThis.fetch = () => reply(502, 'Bad gateway');
    await expect(ask('/x', { reply: z.any() })).rejects.toBeInstanceOf(Unreachable);
  });
  test('an answer that can’t be read is told, not trusted', async () => {
    globalThis.fetch = () => reply(418, '<html>');
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
