import { numberValue, type Repair, type Value } from '@core/record/model';
import { roundTo } from '@core/foundations/quantity';

/**
 * A number in a recipe made larger, or smaller with less than nothing, mm. What it followed it still follows; null where
 * that can't be said.
 */
export function changedBy(value: Value, mm: number, { sizes }: Pick<Repair, 'sizes'>): Value | null {
  // As lengths are typed: to a hundredth of a millimetre.
  const by = roundTo(mm, 0.01);
  if (value.from === 'number') return numberValue(roundTo(value.mm + by, 0.01));
  const more = `${by < 0 ? '-' : '+'} ${Math.abs(by)}`;
  if (value.from === 'size') {
    const size = sizes.find(({ id }) => id === value.id);
    return size ? { from: 'formula', text: `${size.tag} ${more}`, unit: 'mm' } : null;
  }
  if (value.from === 'formula' && value.unit === 'mm') return { ...value, text: `(${value.text}) ${more}` };
  return null;
}
