import type { SliceRequest } from '@core/making/printing';
import { sliceWithProgress } from './sliceWithProgress';

test('a share that comes in after the reply is not told any more', async () => {
  let late: (share: number) => void = () => {};
  const worker = {
    slice: async (_request: SliceRequest, onProgress: (share: number) => void) => {
      onProgress(0.5);
      late = onProgress;
      return null;
    },
  };
  const shares: number[] = [];
  await expect(
    sliceWithProgress(worker, {} as SliceRequest, (share) => shares.push(share)),
  ).resolves.toBeNull();
  late(1);
  expect(shares).toEqual([0.5]);
});
