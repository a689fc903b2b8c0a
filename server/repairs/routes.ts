import { Router, json } from 'express';

import { fileStem } from '@core/formats';
import {
  Change,
  Id,
  ListQuery,
  NewRepair,
  parseRepairFile,
  Picture,
  REPAIR_FILE_LIMIT_BYTES,
  writeRepairFile,
} from '@core/model';

import { Refused } from '../refusal';
import type { RepairStore, Surroundings } from './store';

const missing = (id: string) => new Refused(404, { code: 'row.missing', row: 'head', id });

/** The API of repairs; described for people in docs/api.md. */
export function repairRoutes(store: RepairStore, surroundings: Surroundings): Router {
  const router = Router();
  const small = json({ limit: '2mb' });

  router.get('/repairs', async (request, response) => {
    response.json(await store.list(ListQuery.parse(request.query)));
  });

  router.post('/repairs', small, async (request, response) => {
    const repair = await store.create(NewRepair.parse(request.body));
    response.status(201).json({ id: repair.head.id });
  });

  router.get('/repairs/:id', async (request, response) => {
    const id = Id.parse(request.params.id);
    const text = await store.getJson(id);
    if (text === null) throw missing(id);
    response.type('json').send(text);
  });

  router.post('/repairs/:id/changes', small, async (request, response) => {
    const result = await store.change(Id.parse(request.params.id), Change.parse(request.body));
    if (!result.ok) throw Refused.of(result.fault);
    response.json(result.value);
  });

  router.put('/repairs/:id/picture', small, async (request, response) => {
    const id = Id.parse(request.params.id);
    if (!(await store.setPicture(id, Picture.parse(request.body)))) throw missing(id);
    response.status(204).end();
  });

  router.get('/repairs/:id/file', async (request, response) => {
    const id = Id.parse(request.params.id);
    const repair = await store.get(id);
    if (!repair) throw missing(id);
    response
      .type('json')
      .attachment(`${fileStem(repair.head.name)}.json`)
      .send(writeRepairFile(repair, surroundings.now()));
  });

  router.post('/repair-files', json({ limit: REPAIR_FILE_LIMIT_BYTES }), async (request, response) => {
    const repair = parseRepairFile(request.body as unknown);
    if (!repair.ok) throw Refused.of(repair.fault);
    const opened = await store.open(repair.value);
    response.status(201).json({ id: opened.head.id });
  });

  return router;
}
