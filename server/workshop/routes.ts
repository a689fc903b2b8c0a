import { Router } from 'express';

import { WorkshopChange } from '@core/record/model';

import { boundedJson } from '../http/boundedJson';
import { Refused } from '../refusal';
import type { WorkshopStore } from './store';

/** The API of the workshop: its instruments, machines and fits. */
export function workshopRoutes(store: WorkshopStore): Router {
  const router = Router();
  router.get('/workshop', async (_request, response) => {
    response.json(await store.get());
  });
  router.post(
    '/workshop/changes',
    boundedJson({ bytes: 200 * 1024, tooLarge: 'workshop.tooLarge' }),
    async (request, response) => {
      const result = await store.change(WorkshopChange.parse(request.body));
      if (!result.ok) throw Refused.of(result.fault);
      response.json(result.value);
    },
  );
  return router;
}
