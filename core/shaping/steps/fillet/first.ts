import { numberValue, type StepOf } from '@core/record/model';

import { edgesLeft } from '../chamfer/edgesLeft';
import type { FirstValues } from '../firstValues';

/** A new one, on the edges that are left. */
export const first = (values: FirstValues): StepOf<'fillet'> => ({
  id: values.id,
  kind: 'fillet',
  size: numberValue(1),
  where: edgesLeft(values),
});
