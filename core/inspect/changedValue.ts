import { numberValue, type Repair, type Value } from '@core/model';

/** Lengths as they are typed: to a hundredth of a millimetre. */
const hundredth = (mm: number) => Math.round(100 * mm) / 100;

/** A number in a recipe made larger or, with less than nothing, smaller, mm; what it followed it still follows. Null where that can't be said. */
export function changedBy(value: Value, mm: number, { sizes }: Pick<Repair, 'sizes'>): Value | null {
  const by = hundredth(mm);
  if (value.from === 'number') return numberValue(hundredth(value.mm + by));
  const more = `${by < 0 ? '-' : '+'} ${Math.abs(by)}`;
  if (value.from === 'size') {
    const size = sizes.find(({ id }) => id === value.id);
    return size ? { from: 'formula', text: `${size.tag} ${more}`, unit: 'mm' } : null;
  }
  if (value.from === 'formula' && value.unit === 'mm') return { ...value, text: `(${value.text}) ${more}` };
  return null;
}
