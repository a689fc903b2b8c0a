export { parseLength, MM_PER, type LengthUnit } from './parseLength';
export { showLength, showNumber, showSigned, showUncertainty } from './showLength';
export { roundTo, tidy } from './round';
