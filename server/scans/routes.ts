import { raw, Router } from 'express';

import { ScanFile } from '@core/record/model';

import { Refused } from '../refusal';
import { SCAN_LIMIT_BYTES, type ScanStore } from './store';

/** The API of scans that are kept with a repair: taken in and handed out as they are. */
export function scanRoutes(store: ScanStore): Router {
  const router = Router();
  // Read a little past the limit, so that what is too big is refused with a sentence about scans.
  const body = raw({ type: () => true, limit: SCAN_LIMIT_BYTES * 2 });

  router.post('/scans', body, async (request, response) => {
    const bytes: unknown = request.body;
    const kept = Buffer.isBuffer(bytes)
      ? await store.keep(bytes)
      : ({ ok: false, fault: { code: 'scan.notAScan' } } as const);
    if (!kept.ok) throw Refused.of(kept.fault);
    response.status(201).json(kept.value);
  });

  router.get('/scans/:file', async (request, response, next) => {
    const path = await store.files.find(ScanFile.parse(request.params.file));
    if (path === null) {
      next();
      return;
    }
    // The name is the hash of what is in it, so it never changes.
    response.sendFile(path, { maxAge: '1y', immutable: true, headers: { 'content-type': 'model/ply' } });
  });
  return router;
}
