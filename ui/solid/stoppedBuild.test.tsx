import { act, renderHook, waitFor } from '@testing-library/react';

import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';
import type { Repair } from '@core/record/model';

import type { SolidWorker } from './protocol';
import { useSolid, workbench } from './useSolid';

const mockBegun = jest.fn();
/** A worker that never ends a build by itself. */
jest.mock('./spawnWorker', () => ({
  spawnWorker: () => {
    let end: () => void = () => {};
    const worker = {
      start: async () => {},
      build: () => {
        mockBegun();
        return new Promise((_, reject) => {
          end = () => reject(new Error('ended'));
        });
      },
    } as unknown as SolidWorker;
    return { worker, end: () => end() };
  },
}));

const answered = (repair: Repair): Repair => ({
  ...repair,
  bodies: repair.bodies.map((body) => ({ ...body, version: body.version + 1 })),
});

test('what was stopped is not begun again by the answer of the server, but by a change, and when it is asked for', async () => {
  const repair = rackWheel();
  const { result, rerender } = renderHook(({ state }) => useSolid(state, DEFAULT_WORKSHOP), {
    initialProps: { state: repair },
  });
  const stop = async (times: number) => {
    await waitFor(() => expect(mockBegun).toHaveBeenCalledTimes(times));
    await act(async () => workbench.cancel());
    await waitFor(() => expect(workbench.status.kind).toBe('idle'));
  };
  await stop(1);
  rerender({ state: answered(repair) });
  // A build would have begun by now: the next one asked for is the second.
  await act(async () => new Promise((resolve) => setTimeout(resolve, 50)));
  expect(mockBegun).toHaveBeenCalledTimes(1);
  act(() => result.current.rebuild());
  await stop(2);
  const changed: Repair = {
    ...repair,
    bodies: repair.bodies.map((body) => ({ ...body, steps: body.steps.slice(0, 1) })),
  };
  rerender({ state: changed });
  await stop(3);
});
