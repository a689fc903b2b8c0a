import type { SliceRequest } from '@core/making/printing';
import type { LayerWorker } from './protocol';

/**
 * Lays a spare, telling its share until the reply is there: progress comes by a way of its own, and may come in after the reply, when nobody
 * must take it for work that goes on.
 */
export async function sliceWithProgress(
  worker: Pick<LayerWorker, 'slice'>,
  request: SliceRequest,
  onShare: (share: number) => void,
): ReturnType<LayerWorker['slice']> {
  let isOver = false;
  try {
    return await worker.slice(request, (share) => {
      if (!isOver) onShare(share);
    });
  } finally {
    isOver = true;
  }
}
