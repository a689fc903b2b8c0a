import { Router } from 'express';

import { fileStem } from '@core/making/formats';
import {
  Change,
  changeInPresentWords,
  CHANGE_LIMIT_BYTES,
  Id,
  ListQuery,
  Machine,
  NewRepair,
  parseRepairFile,
  Picture,
  picturesOf,
  REPAIR_FILE_LIMIT_BYTES,
  scanFilesOf,
  writeRepairFile,
  type CorrectionEffects,
  type Repair,
} from '@core/record/model';
import { effectsOf } from '@core/fitting/trial';

import { boundedJson } from '../http/boundedJson';
import type { PhotoStore } from '../photos/store';
import { Refused } from '../refusal';
import type { ScanStore } from '../scans/store';
import type { WorkshopStore } from '../workshop/store';
import type { Surroundings } from '../surroundings';
import type { RepairStore } from './store';

const missing = (id: string) => new Refused(404, { code: 'row.missing', row: 'head', id });

const NEW_REPAIR_BYTES = 64 * 1024;
/** Repairs on a machine that are looked at for what its corrections would change. */
const LOOKED_AT = 200;
/** A line drawing at its most. */
const PICTURE_BYTES = 2 * 1024 * 1024;

/** The API of repairs; described for people in docs/api.md. */
export function repairRoutes(parts: {
  store: RepairStore;
  workshop: WorkshopStore;
  photos: PhotoStore;
  scans: ScanStore;
  surroundings: Surroundings;
}): Router {
  const { store, workshop, photos, scans, surroundings } = parts;
  const router = Router();
  const small = boundedJson({ bytes: NEW_REPAIR_BYTES });
  const picture = boundedJson({ bytes: PICTURE_BYTES });
  const change = boundedJson({ bytes: CHANGE_LIMIT_BYTES, tooLarge: 'change.tooLarge' });
  const file = boundedJson({ bytes: REPAIR_FILE_LIMIT_BYTES, tooLarge: 'file.tooBig' });

  router.get('/repairs', async (request, response) => {
    response.json(await store.list(ListQuery.parse(request.query)));
  });

  router.get('/trials', async (_request, response) => {
    response.json({ trials: await store.trials() });
  });

  router.post('/machine-effects', small, async (request, response) => {
    const machine = Machine.parse(request.body);
    const { repairs, more } = await store.madeOn(machine.id, LOOKED_AT);
    const workshopNow = await workshop.get();
    const effects = repairs.flatMap((repair) => effectsOf(repair, workshopNow, machine));
    response.json({ effects, looked: repairs.length, more } satisfies CorrectionEffects);
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

  router.post('/repairs/:id/changes', change, async (request, response) => {
    const result = await store.change(
      Id.parse(request.params.id),
      Change.parse(changeInPresentWords(request.body)),
    );
    if (!result.ok) throw Refused.of(result.fault);
    response.json(result.value);
  });

  router.put('/repairs/:id/picture', picture, async (request, response) => {
    const id = Id.parse(request.params.id);
    if (!(await store.setPicture(id, Picture.parse(request.body)))) throw missing(id);
    response.status(204).end();
  });

  router.get('/repairs/:id/file', async (request, response) => {
    const id = Id.parse(request.params.id);
    const repair = await store.get(id);
    if (!repair) throw missing(id);
    const content = {
      repair,
      workshop: await workshop.get(),
      photoFiles: await photos.files.embed(picturesOf(repair)),
      scanFiles: await scans.files.embed(scanFilesOf(repair)),
    };
    response
      .type('json')
      .attachment(`${fileStem(repair.head.name)}.json`)
      .send(writeRepairFile(content, surroundings.now()));
  });

  router.post('/repair-files', file, async (request, response) => {
    const read = parseRepairFile(request.body as unknown);
    if (!read.ok) throw Refused.of(read.fault);
    const { repair, workshop: brought, photoFiles, scanFiles } = read.value;
    const renamed = await photos.unpack(photoFiles ?? []);
    if (!renamed.ok) throw Refused.of(renamed.fault);
    const scanned = await scans.unpack(scanFiles ?? []);
    if (!scanned.ok) throw Refused.of(scanned.fault);
    if (brought) await workshop.bringIn(brought);
    const opened = await store.open(withScanFiles(withPhotoFiles(repair, renamed.value), scanned.value));
    response.status(201).json({ id: opened.head.id });
  });

  return router;
}

/** A file may call them otherwise than by their hash. */
const withScanFiles = (repair: Repair, renamed: ReadonlyMap<string, string>): Repair => ({
  ...repair,
  scans: repair.scans.map((scan) => ({ ...scan, file: renamed.get(scan.file) ?? scan.file })),
});

/** Pictures are worked over when they are unpacked, so their names may have changed. */
function withPhotoFiles(repair: Repair, renamed: ReadonlyMap<string, string>): Repair {
  const rename = <T extends { photos: Repair['photos'] }>(state: T): T => ({
    ...state,
    photos: state.photos.map((photo) => ({ ...photo, file: renamed.get(photo.file) ?? photo.file })),
  });
  return {
    ...rename(repair),
    revisions: repair.revisions.map((revision) => ({ ...revision, state: rename(revision.state) })),
  };
}
