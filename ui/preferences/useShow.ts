import { useMemo } from 'react';

import {
  showLength,
  showNumber,
  showQuantity,
  showQuantityUncertainty,
  showSigned,
  showUncertainty,
  unitAfter,
  unitWord,
  type DisplayUnit,
  type Quantity,
} from '@core/foundations/quantity';

import { usePreferences } from './usePreferences';

/** Numbers as this person likes them. Lengths go in as mm, angles as radians. */
export interface Show {
  unit: DisplayUnit;
  /** `mm`, `cm` or `in`. */
  word: string;
  number(mm: number, decimals?: number): string;
  length(mm: number): string;
  signed(mm: number, decimals?: number): string;
  uncertainty(mm: number): string;
  value(value: number, quantity: Quantity): string;
  /** With its unit: `38.20 mm`, `22.50°`, `24`. */
  full(value: number, quantity: Quantity): string;
  doubt(value: number, quantity: Quantity): string;
}

export function showIn(unit: DisplayUnit): Show {
  return {
    unit,
    word: unitWord(unit),
    number: (mm, decimals) => showNumber(mm, unit, unit === 'mm' ? decimals : undefined),
    length: (mm) => showLength(mm, unit),
    signed: (mm, decimals) => showSigned(mm, unit, decimals),
    uncertainty: (mm) => showUncertainty(mm, unit),
    value: (value, quantity) => showQuantity(value, quantity, unit),
    full: (value, quantity) => `${showQuantity(value, quantity, unit)}${unitAfter(quantity, unit)}`,
    doubt: (value, quantity) => showQuantityUncertainty(value, quantity, unit),
  };
}

/** The numbers of this person's screen. */
export function useShow(): Show {
  const unit = usePreferences((preferences) => preferences.unit);
  return useMemo(() => showIn(unit), [unit]);
}
