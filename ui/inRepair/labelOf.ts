import { formulaLength, takenNumber, type EvaluatedRepair } from '@core/fitting/fit';
import { coordinateOf } from '@core/measuring/layout';
import type { PlainQuantity, Value } from '@core/record/model';

import { plainText } from '@core/reporting/wording';

import type { LabelText } from '../part/PartLabels';
import type { Show } from '../preferences/useShow';

/** What a number of the model says of itself, on the picture and in a chip. */
export function labelOf(
  { value, mm }: { value: Value; mm: number | null },
  numbers: EvaluatedRepair,
  show: Pick<Show, 'number' | 'length'>,
): LabelText {
  const shown = mm === null ? '?' : show.number(mm);
  const spokenMm = mm === null ? 'not known yet' : show.length(mm);
  switch (value.from) {
    case 'number':
      return { tag: null, number: shown, tone: 'typed', spoken: spokenMm };
    case 'formula':
      return { tag: null, number: shown, tone: 'typed', spoken: `${value.text}, ${spokenMm}` };
    case 'layout': {
      const layout = numbers.layouts.get(value.id)?.layout;
      const point = layout?.points.find(({ id }) => id === value.point);
      return {
        tag: point ? `${point.label}${value.axis}` : null,
        number: shown,
        tone: 'measured',
        spoken: point ? `${layout!.name}, point ${point.label}, ${spokenMm}` : `Missing point, ${spokenMm}`,
      };
    }
    case 'fit': {
      const fit = numbers.fits.get(value.id);
      const tag = fit ? (numbers.sizes.get(fit.fit.counterpartSizeId)?.size.tag ?? null) : null;
      return {
        tag,
        number: shown,
        tone: 'working',
        spoken: `${fit?.fit.name ?? 'Missing fit'}, working size ${spokenMm}`,
      };
    }
    case 'size': {
      const size = numbers.sizes.get(value.id);
      return {
        tag: size?.size.tag ?? null,
        number: shown,
        tone: size?.size.kind === 'measured' ? 'measured' : 'typed',
        spoken: size ? `${size.size.tag}, ${size.size.name}, ${spokenMm}` : `Missing size, ${spokenMm}`,
      };
    }
  }
}

/** The length behind a value, mm; null while it is not known. */
export function lengthOf(value: Value, numbers: EvaluatedRepair): number | null {
  switch (value.from) {
    case 'number':
      return value.mm;
    case 'formula': {
      const worked = formulaLength(value.text, value.unit, numbers);
      return worked.ok ? worked.value : null;
    }
    case 'layout': {
      const found = numbers.layouts.get(value.id);
      return found ? coordinateOf(found, value.point, value.axis) : null;
    }
    default: {
      const found = value.from === 'size' ? numbers.sizes.get(value.id) : numbers.fits.get(value.id);
      return found?.worked.ok && found.worked.trail.quantity === 'length' ? found.worked.trail.working : null;
    }
  }
}

/** An angle (radians), a count or a factor behind a value; null while it is not known. */
export function numberOf(value: Value, input: PlainQuantity, numbers: EvaluatedRepair): number | null {
  if (value.from !== 'size' && value.from !== 'formula') return null;
  const found = takenNumber(value, input, numbers);
  return found.ok ? found.value : null;
}

/** As lengths are shown, for numbers that are none. */
export function showPlain({ full }: Show, input: PlainQuantity): Pick<Show, 'number' | 'length'> {
  const shown = (value: number) => (input === 'factor' ? plainText(value) : full(value, input));
  return { number: shown, length: shown };
}

/** What a value's trail is shown of; null for numbers that have none. */
export function trailTargetOf(value: Value): { from: 'size' | 'fit' | 'layout'; id: string } | null {
  return value.from === 'number' || value.from === 'formula' ? null : { from: value.from, id: value.id };
}
