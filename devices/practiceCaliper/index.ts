import { json, Router } from 'express';
import { z } from 'zod';

import { readCaliper } from './caliper';
import { PRACTICE_OBJECTS, type PracticeObject } from './truths';

const Asked = z.strictObject({ objectId: z.string().max(60), dimensionId: z.string().max(100) });

/** What lies on the bench besides what always lies there: parts that were made. */
export type MadeThings = () => Promise<PracticeObject[]>;

/**
 * The practice caliper's own address. It tells what lies on the bench and, for a dimension, what its display
 * shows; never what the dimension truly is.
 */
export function practiceCaliper(random: () => number, made: MadeThings = () => Promise.resolve([])): Router {
  const router = Router();
  router.get('/', async (_request, response) => {
    response.json({
      objects: [...(await made()), ...PRACTICE_OBJECTS].map(({ id, name, dimensions }) => ({
        id,
        name,
        dimensions: dimensions.map((dimension) => ({
          id: dimension.id,
          name: dimension.name,
          jaw: dimension.jaw,
        })),
      })),
    });
  });
  router.post('/readings', json({ limit: '2kb' }), async (request, response) => {
    const { objectId, dimensionId } = Asked.parse(request.body);
    const objects = [...PRACTICE_OBJECTS, ...(await made())];
    const object = objects.find(({ id }) => id === objectId);
    const dimension = object?.dimensions.find(({ id }) => id === dimensionId);
    if (!dimension) {
      response.status(404).json({
        fault: { code: 'device.unknown', what: dimensionId },
        sentence: 'There is nothing of that name on the practice bench. Load the page again.',
      });
      return;
    }
    response.json({ shown: readCaliper(dimension, random) });
  });
  return router;
}

export type { PracticeObject } from './truths';
