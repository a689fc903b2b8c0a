import { numberValue, type StepOf } from '@core/model';

import type { FirstValues } from '../firstValues';
import { edgesLeft } from './edgesLeft';

/** A new one, on the edges that are left. */
export const first = (values: FirstValues): StepOf<'ease'> => ({
  id: values.id,
  kind: 'ease',
  size: numberValue(0.4),
  where: edgesLeft(values),
});
