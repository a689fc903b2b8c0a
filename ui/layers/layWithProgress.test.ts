import { layWithProgress } from './layWithProgress';
import type { LayWish } from './protocol';

test('a share that comes in after the reply is not told any more', async () => {
  let late: (share: number) => void = () => {};
  const worker = {
    lay: async (_wish: LayWish, onProgress: (share: number) => void) => {
      onProgress(0.5);
      late = onProgress;
      return null;
    },
  };
  const shares: number[] = [];
  await expect(layWithProgress(worker, {} as LayWish, (share) => shares.push(share))).resolves.toBeNull();
  late(1);
  expect(shares).toEqual([0.5]);
});
