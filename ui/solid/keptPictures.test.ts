import type { DeviceStore } from '../api/device/deviceStore';
import { keepPicture, keptPicture } from './keptPictures';
import type { UncheckedBody } from './protocol';

function storeInMemory(): DeviceStore & { kept: Map<string, unknown> } {
  const kept = new Map<string, unknown>();
  return {
    kept,
    get: async (key) => kept.get(key),
    put: async (key, value) => void kept.set(key, value),
    remove: async (key) => void kept.delete(key),
    entries: async () => [...kept],
  };
}

const body = (corners = 3): UncheckedBody => ({
  bodyId: 'wheel',
  mesh: {
    positions: new Float32Array(3 * corners).fill(1),
    normals: new Float32Array(3 * corners),
    indices: new Uint32Array([0, 1, 2]),
    faces: [],
    edges: new Float32Array(),
    edgeRuns: [],
  },
  annotations: [{} as never],
  centreLines: [],
});

test('a picture is found again without the sizes that were written on it', async () => {
  const store = storeInMemory();
  await keepPicture('repair', [body()], 1, store);
  const [found] = await keptPicture('repair', store);
  expect(found).toMatchObject({ bodyId: 'wheel', annotations: [] });
  expect(found!.mesh.positions).toEqual(body().mesh.positions);
  expect(await keptPicture('another', store)).toEqual([]);
});

test('the newest twelve are kept, and what is too large is not, nor what it looked like before', async () => {
  const store = storeInMemory();
  for (let at = 1; at <= 15; at += 1) await keepPicture(`repair-${at}`, [body()], at, store);
  expect([...store.kept.keys()].sort()).toEqual(
    Array.from({ length: 12 }, (_, index) => `repair-${index + 4}`).sort(),
  );
  await keepPicture('repair-15', [body(400_000)], 16, store);
  expect(await keptPicture('repair-15', store)).toEqual([]);
});
