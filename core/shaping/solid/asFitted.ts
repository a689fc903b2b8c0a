import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import type { EvaluatedRepair } from '@core/fitting/fit';
import { fitValue, valuesIn, withValues, type Body, type Value } from '@core/record/model';

/**
 * A body as its fits make it: wherever it uses a size that goes through a fit, the fit's working size stands instead.
 * Taken out of a spare it leaves each mating face the allowance of that face's own fit.
 */
export function asFitted(body: Body, numbers: EvaluatedRepair): Result<Body, StepFault> {
  const bySize = new Map<string, string[]>();
  for (const { fit } of numbers.fits.values()) {
    bySize.set(fit.counterpartSizeId, [...(bySize.get(fit.counterpartSizeId) ?? []), fit.id]);
  }
  const used = new Set(
    body.steps.flatMap(valuesIn).flatMap((value) => (value.from === 'size' ? [value.id] : [])),
  );
  const fitted = [...used].filter((id) => bySize.has(id));
  if (fitted.length === 0) return no({ code: 'body.noFits', name: body.name });
  const several = fitted.find((id) => bySize.get(id)!.length > 1);
  if (several !== undefined) {
    const tag = numbers.sizes.get(several)?.size.tag ?? '';
    return no({ code: 'body.severalFits', name: body.name, tag });
  }
  const exchanged = (value: Value): Value =>
    value.from === 'size' && bySize.has(value.id) ? fitValue(bySize.get(value.id)![0]!) : value;
  return ok({ ...body, steps: body.steps.map((step) => withValues(step, exchanged)) });
}
