import { renderHook, waitFor } from '@testing-library/react';

import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import type { SolidWorker, WorkerWatcher } from './protocol';
import { useBenchStatus, useSolid } from './useSolid';

const STEPS = 60;
/** A worker that is at 60 steps, 5 ms each. */
jest.mock('./spawnWorker', () => ({
  spawnWorker: () => {
    let watcher: WorkerWatcher;
    const worker = {
      start: async (given: WorkerWatcher) => {
        watcher = given;
      },
      build: async () => {
        for (let step = 1; step <= 60; step += 1) {
          watcher.step('wheel', `step-${step}`);
          await new Promise((resolve) => setTimeout(resolve, 5));
        }
        return { bodies: [], memoryBytes: 0 };
      },
    } as unknown as SolidWorker;
    return { worker, end: () => {} };
  },
}));

test('a build of 60 steps renders what shows the part a few times, and its sign no oftener than every 50 ms', async () => {
  const repair = rackWheel();
  let [renders, signs] = [0, 0];
  const told = new Set<string>();
  const began = Date.now();
  renderHook(() => {
    renders += 1;
    return useSolid(repair, DEFAULT_WORKSHOP);
  });
  const { result } = renderHook(() => {
    signs += 1;
    const status = useBenchStatus();
    if (status.kind === 'building' && status.stepId) told.add(status.stepId);
    return status;
  });
  await waitFor(() => expect(told.size).toBeGreaterThan(1), { timeout: 5000 });
  await waitFor(() => expect(result.current.kind).toBe('idle'), { timeout: 5000 });
  const took = Date.now() - began;
  expect(renders).toBeLessThanOrEqual(5);
  expect(told.size).toBeLessThan(STEPS / 2);
  // Loading, idle and the first besides.
  expect(signs).toBeLessThanOrEqual(took / 50 + 6);
});
