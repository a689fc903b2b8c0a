import { act, renderHook, waitFor } from '@testing-library/react';

import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

import type { BuildReply, BuiltBody, SolidWorker, UncheckedBody, WorkerWatcher } from './protocol';
import { useSolid } from './useSolid';

/** A body that is told from others by the place of its first corner. */
const body = (at: number): UncheckedBody => ({
  bodyId: 'wheel',
  mesh: {
    positions: Float32Array.of(at, 0, 0),
    normals: Float32Array.of(0, 0, 1),
    indices: new Uint32Array(),
    faces: [],
    edges: new Float32Array(),
    edgeRuns: [],
  },
  annotations: [],
  centreLines: [],
});
const built = (at: number): BuiltBody => ({
  ...body(at),
  build: at,
  steps: [],
  figures: null,
  findings: [],
  cautions: [],
  failedTool: null,
});

const mockWorker: { watcher: WorkerWatcher | null; reply: ((reply: BuildReply) => void) | null } = {
  watcher: null,
  reply: null,
};
jest.mock('./spawnWorker', () => ({
  spawnWorker: () => ({
    worker: {
      start: async (given: WorkerWatcher) => {
        mockWorker.watcher = given;
      },
      build: () => new Promise<BuildReply>((resolve) => (mockWorker.reply = resolve)),
    } as unknown as SolidWorker,
    end: () => {},
  }),
}));

const mockKept = jest.fn();
const mockKeep = jest.fn(async (..._: unknown[]) => {});
jest.mock('./keptPictures', () => ({
  keptPicture: (id: string) => mockKept(id) as Promise<UncheckedBody[]>,
  keepPicture: (...given: unknown[]) => mockKeep(...given),
}));

const first = (all: readonly { mesh: { positions: Float32Array } | null }[]) => all[0]?.mesh?.positions[0];

test('what is shown before it is looked over: the kept picture, then what stands; and what was looked over takes its place', async () => {
  mockKept.mockResolvedValue([body(1)]);
  const repair = rackWheel();
  const { result } = renderHook(() => useSolid(repair, DEFAULT_WORKSHOP));
  await waitFor(() => expect(first(result.current.unchecked)).toBe(1));
  expect(result.current.bodies).toEqual([]);

  await waitFor(() => expect(mockWorker.reply).not.toBeNull());
  act(() => mockWorker.watcher!.stands(body(2)));
  expect(result.current.unchecked.map(({ bodyId }) => bodyId)).toEqual(['wheel']);
  expect(first(result.current.unchecked)).toBe(2);
  expect(mockKeep).not.toHaveBeenCalled();

  await act(async () => mockWorker.reply!({ bodies: [built(3)], memoryBytes: 0 }));
  await waitFor(() => expect(first(result.current.bodies)).toBe(3));
  expect(result.current.unchecked).toEqual([]);
  // What the worker called out may come in after its reply.
  act(() => mockWorker.watcher!.stands(body(2)));
  expect(result.current.unchecked).toEqual([]);

  await waitFor(() => expect(mockKeep).toHaveBeenCalledTimes(1), { timeout: 4000 });
  const [id, kept] = mockKeep.mock.calls[0] as [string, UncheckedBody[]];
  expect(id).toBe(repair.head.id);
  expect(first(kept)).toBe(3);
});
