import { numberValue, type StepOf } from '@core/record/model';

import type { FirstValues } from '../firstValues';
import { edgesLeft } from './edgesLeft';

/** A new one, on the edges that are left. */
export const first = (values: FirstValues): StepOf<'chamfer'> => ({
  id: values.id,
  kind: 'chamfer',
  size: numberValue(0.4),
  where: edgesLeft(values),
});
