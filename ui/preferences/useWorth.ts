import { comesTo } from '@core/foundations/formula';
import { showExactly, typedUnitOf, type LengthUnit, type Quantity } from '@core/foundations/quantity';

import { usePreferences } from './usePreferences';

/**
 * What typed numbers come to, in this person's unit: a sum worked out, a unit turned, a word left out. Null of a plain number.
 */
export function useWorth(): (text: string, quantity?: Quantity, unit?: LengthUnit) => string | null {
  const shown = usePreferences((preferences) => preferences.unit);
  return (text, quantity = 'length', unit = typedUnitOf(shown)) => {
    const value = comesTo(text, quantity, unit);
    return value === null ? null : showExactly(value, quantity, shown);
  };
}
