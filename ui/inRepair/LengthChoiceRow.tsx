import { useShow } from '../preferences/useShow';
import { ChoiceRow } from '../shared/ChoiceRow';
import { lengthOf } from './labelOf';
import type { LengthChoice } from './useLengthChoices';
import { useRepairContext } from './useRepairContext';

/** A size, a fit or a place of a layout that a length may be taken from, with what it is now. */
export function LengthChoiceRow({
  choice: { value, tag, name },
  chosen = false,
  onTake,
}: {
  choice: LengthChoice;
  chosen?: boolean;
  /** mm: what it is now; null while it is to be taken. */
  onTake(value: LengthChoice['value'], mm: number | null): void;
}) {
  const { numbers } = useRepairContext();
  const show = useShow();
  const mm = lengthOf(value, numbers);
  return (
    <ChoiceRow
      tag={tag}
      title={name}
      number={mm === null ? 'to take' : show.number(mm)}
      label={`${tag}, ${name}, ${mm === null ? 'to take' : show.length(mm)}`}
      chosen={chosen}
      onPress={() => onTake(value, mm)}
    />
  );
}
