import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { Text } from 'react-native';

import { FitTable, type FitClass } from '@core/record/model';
import { FIT_CLASSES } from '@core/reporting/wording';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { Button } from '../shared/Button';
import { Wrong } from '../shared/Field';
import { NumberField } from '../shared/FormField';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';
import { numberIn, readNumber, shownNumber } from '../shared/numberFields';
import { FAMILY_WORDS, PROCESS_WORDS } from './words';

type Per = 'both' | 'side';
type Typed = Record<FitClass, string>;

const schemaOf = (id: FitClass) => FitTable.shape.clearances.shape[id];

/** The clearances of the fit classes for one process and material, typed on the diameter or per side. */
export function FitTableSheet({
  table,
  onSave,
  onClose,
}: {
  table: FitTable;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  const [per, setPer] = useState<Per>('both');
  const [wrong, setWrong] = useState<string | null>(null);
  const shown = Object.fromEntries(
    FIT_CLASSES.map(({ id }) => [id, shownNumber(table.clearances[id])]),
  ) as Typed;
  const { control, handleSubmit, getValues, setValue, clearErrors } = useForm<Typed>({
    defaultValues: shown,
  });
  const typedIn = { unit: 'mm', times: per === 'side' ? 2 : 1 };
  const changePer = (next: Per) => {
    if (next === per) return;
    for (const { id } of FIT_CLASSES) {
      const read = readNumber(getValues(id), 'clearance', schemaOf(id), typedIn);
      if (read.ok) setValue(id, shownNumber(next === 'side' ? read.value / 2 : read.value));
    }
    clearErrors();
    setPer(next);
  };
  const keep = handleSubmit((typed) => {
    const clearances = { ...table.clearances };
    for (const { id } of FIT_CLASSES) {
      const mm = numberIn(typed[id], schemaOf(id), typedIn);
      // What was not touched stays to the last digit.
      if (shownNumber(mm) !== shown[id]) clearances[id] = Number(mm.toFixed(6));
    }
    const order = FIT_CLASSES.map(({ id }) => clearances[id]);
    const place = order.findIndex((value, index) => index > 0 && value >= order[index - 1]!);
    if (place > 0) {
      setWrong(
        `${FIT_CLASSES[place]!.word} must be tighter than ${FIT_CLASSES[place - 1]!.word.toLowerCase()}. Make its clearance smaller.`,
      );
      return;
    }
    onSave('fitTable', { ...table, clearances }, 'The fits are kept. Working sizes follow.');
    onClose();
  });
  return (
    <Sheet
      title={`${PROCESS_WORDS[table.process]}, ${table.family === 'any' ? 'any material' : FAMILY_WORDS[table.family]}`}
      onClose={onClose}
    >
      <Text className="font-sans text-[15px] leading-6 text-ink">
        Clearances at 6 mm; they grow with size as the tolerances of ISO 286 do. Below zero is tight.
      </Text>
      <Switch<Per>
        label="Stated as"
        options={[
          { id: 'both', word: 'On the diameter' },
          { id: 'side', word: 'Per side' },
        ]}
        value={per}
        onChange={changePer}
      />
      {FIT_CLASSES.map(({ id, word, phrase }) => (
        <NumberField
          key={`${id} ${per}`}
          control={control}
          name={id}
          label={`${word}: ${phrase.toLowerCase()}`}
          what={`clearance of ${word.toLowerCase()}`}
          schema={schemaOf(id)}
          typedIn={typedIn}
        />
      ))}
      {wrong ? <Wrong text={wrong} /> : null}
      <Button tone="primary" label="Keep" onPress={() => void keep()} />
    </Sheet>
  );
}
