import { no, ok, type Result, type StepFault } from '@core/fault';
import type { EvaluatedRepair } from '@core/fit';
import { fitValue, valuesIn, type Body, type Step, type Value } from '@core/model';

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

/** A step with every number in it exchanged. */
export function withValues(step: Step, exchanged: (value: Value) => Value): Step {
  const look = (data: unknown): unknown => {
    if (typeof data !== 'object' || data === null) return data;
    if (Array.isArray(data)) return data.map(look);
    if ('from' in data && typeof data.from === 'string' && isValue(data)) return exchanged(data as Value);
    return Object.fromEntries(Object.entries(data).map(([key, inside]) => [key, look(inside)]));
  };
  return look(step) as Step;
}

const SOURCES: readonly string[] = ['number', 'size', 'fit', 'formula', 'layout'] satisfies Value['from'][];
/** A number, and not a curve of an outline, which has a `from` too. */
const isValue = (data: { from?: unknown }) => SOURCES.includes(data.from as string) && !('kind' in data);
