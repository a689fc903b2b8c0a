import type { EvaluatedRepair } from '@core/fit';
import type { Value } from '@core/model';
import { showLength, showNumber } from '@core/quantity';

import type { LabelText } from '../part/PartLabels';

/** What a number of the model says of itself, on the picture and in a chip. */
export function labelOf(
  { value, mm }: { value: Value; mm: number | null },
  numbers: EvaluatedRepair,
): LabelText {
  const shown = mm === null ? '?' : showNumber(mm);
  const spokenMm = mm === null ? 'not known yet' : showLength(mm);
  if (value.from === 'number') return { tag: null, number: shown, tone: 'typed', spoken: spokenMm };
  if (value.from === 'fit') {
    const fit = numbers.fits.get(value.id);
    const tag = fit ? (numbers.sizes.get(fit.fit.counterpartSizeId)?.size.tag ?? null) : null;
    return {
      tag,
      number: shown,
      tone: 'working',
      spoken: `${fit?.fit.name ?? 'Lost fit'}, working size ${spokenMm}`,
    };
  }
  const size = numbers.sizes.get(value.id);
  return {
    tag: size?.size.tag ?? null,
    number: shown,
    tone: size?.size.kind === 'measured' ? 'measured' : 'typed',
    spoken: size ? `${size.size.tag}, ${size.size.name}, ${spokenMm}` : `Lost size, ${spokenMm}`,
  };
}

/** The length behind a value, mm; null while it is not known. */
export function lengthOf(value: Value, numbers: EvaluatedRepair): number | null {
  if (value.from === 'number') return value.mm;
  const found = value.from === 'size' ? numbers.sizes.get(value.id) : numbers.fits.get(value.id);
  return found?.worked.ok ? found.worked.trail.workingMm : null;
}
