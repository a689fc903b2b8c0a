/** @jest-environment node */
import { expose } from 'comlink';

import { calledWorker } from './calledWorker';

/** The same watcher as the other side has it: every call is a promise. */
interface Far {
  loading(share: number): Promise<void>;
  step(id: string): Promise<void>;
}

/** What a worker would answer to, over a channel instead of a thread. */
interface Calls {
  sum(numbers: readonly number[]): Promise<number>;
  each(count: number, onEach: (index: number) => void): Promise<string>;
  start(watcher: { loading(share: number): void; step(id: string): void }): Promise<void>;
  lengthOf(mesh: { positions: Float32Array }): Promise<number>;
}

test('arguments go as they are; functions and objects of functions are called back', async () => {
  const { port1, port2 } = new MessageChannel();
  expose(
    {
      sum: (numbers: readonly number[]) => numbers.reduce((sum, one) => sum + one, 0),
      each: async (count: number, onEach: (index: number) => Promise<void>) => {
        for (let index = 0; index < count; index += 1) await onEach(index);
        return 'done';
      },
      start: async (watcher: Far) => {
        await watcher.loading(0.5);
        await watcher.step('bore');
      },
      lengthOf: ({ positions }: { positions: Float32Array }) => positions.length,
    },
    port1,
  );
  const { worker } = calledWorker<Calls>(port2 as unknown as Worker);
  expect(await worker.sum([1, 2, 4])).toBe(7);
  const seen: number[] = [];
  expect(await worker.each(3, (index) => void seen.push(index))).toBe('done');
  expect(seen).toEqual([0, 1, 2]);
  const watched: unknown[] = [];
  await worker.start({
    loading: (share) => void watched.push(share),
    step: (id) => void watched.push(id),
  });
  expect(watched).toEqual([0.5, 'bore']);
  expect(await worker.lengthOf({ positions: new Float32Array(9) })).toBe(9);
  // What is awaited itself is the worker, and no call of it.
  expect(await Promise.resolve(worker)).toBe(worker);
  port1.close();
  port2.close();
});
