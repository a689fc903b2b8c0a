import type { PlainQuantity, Value } from '@core/record/model';
import type { EvaluatedRepair } from '@core/fitting/fit';

import { useShow } from '../preferences/useShow';
import { lengthOf, numberOf, showPlain } from './labelOf';

/** Numbers of a recipe in running words; what is still to be taken is a question mark. */
export function useShownNumber(numbers: EvaluatedRepair): (value: Value, input?: PlainQuantity) => string {
  const show = useShow();
  return (value, input) => {
    const number = input ? numberOf(value, input, numbers) : lengthOf(value, numbers);
    if (number === null) return '?';
    return input ? showPlain(show, input).number(number) : show.length(number);
  };
}
