import { raw, Router } from 'express';

import { PhotoFile } from '@core/record/model';

import { Refused } from '../refusal';
import { PHOTO_LIMIT_BYTES } from './prepare';
import type { PhotoStore } from './store';

/** The API of pictures: sent as they are, handed out upright and without what the camera knew. */
export function photoRoutes(store: PhotoStore): Router {
  const router = Router();
  // Read a little past the limit, so that what is too big is refused with a sentence about pictures.
  const body = raw({ type: () => true, limit: PHOTO_LIMIT_BYTES * 2 });

  router.post('/photos', body, async (request, response) => {
    const bytes: unknown = request.body;
    const kept = Buffer.isBuffer(bytes)
      ? await store.keep(bytes)
      : ({ ok: false, fault: { code: 'photo.notAnImage' } } as const);
    if (!kept.ok) throw Refused.of(kept.fault);
    response.status(201).json(kept.value);
  });

  router.get('/photos/:file', async (request, response, next) => {
    const path = await store.files.find(PhotoFile.parse(request.params.file));
    if (path === null) {
      next();
      return;
    }
    // The name is the hash of what is in it, so it never changes.
    response.sendFile(path, { maxAge: '1y', immutable: true });
  });
  return router;
}
