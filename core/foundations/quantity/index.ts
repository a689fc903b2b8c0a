export { QUANTITIES, RAD_PER_DEGREE, type Quantity } from './quantity';
export { cleanTyped } from './cleanTyped';
export { INCHES_PER_FOOT, MM_PER, type LengthUnit } from './lengthUnit';
export { parseLength } from './parseLength';
export { exponentIn } from './twoReadings';
export { ambiguityIn, rewritten, typedForms } from './typedForms';
export { parseAngle, parseCount } from './parseOther';
export {
  DISPLAY_UNITS,
  showExactly,
  showLength,
  showNumber,
  showQuantity,
  showQuantityUncertainty,
  showSigned,
  showUncertainty,
  typedUnitOf,
  unitAfter,
  unitWord,
  type DisplayUnit,
} from './showLength';
export { roundTo, tidy } from './round';
