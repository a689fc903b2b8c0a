import { json, Router } from 'express';
import { z } from 'zod';

import { readCaliper } from './caliper';
import { PRACTICE_OBJECTS } from './truths';

const Asked = z.strictObject({ objectId: z.string().max(60), dimensionId: z.string().max(60) });

/**
 * The practice caliper's own address. It tells what lies on the bench and, for a dimension, what its display
 * shows; never what the dimension truly is.
 */
export function practiceCaliper(random: () => number): Router {
  const router = Router();
  router.get('/', (_request, response) => {
    response.json({
      objects: PRACTICE_OBJECTS.map(({ id, name, dimensions }) => ({
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
  router.post('/readings', json({ limit: '2kb' }), (request, response) => {
    const { objectId, dimensionId } = Asked.parse(request.body);
    const object = PRACTICE_OBJECTS.find(({ id }) => id === objectId);
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
