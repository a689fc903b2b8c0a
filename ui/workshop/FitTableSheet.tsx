import { useState } from 'react';
import { Text, View } from 'react-native';

import { FitTable, type FitClass } from '@core/model';
import { FIT_CLASSES } from '@core/workshop';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { Button } from '../shared/Button';
import { Field, Wrong } from '../shared/Field';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';
import { readNumber, shownNumber } from '../shared/numberFields';
import { FAMILY_WORDS, PROCESS_WORDS } from './words';

type Per = 'both' | 'side';

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
  const [typed, setTyped] = useState<Record<FitClass, string>>(
    () =>
      Object.fromEntries(FIT_CLASSES.map(({ id }) => [id, shownNumber(table.clearances[id])])) as Record<
        FitClass,
        string
      >,
  );
  const [wrong, setWrong] = useState<string>();
  const changePer = (next: Per) => {
    if (next === per) return;
    const factor = next === 'side' ? 0.5 : 2;
    setTyped(
      Object.fromEntries(
        FIT_CLASSES.map(({ id }) => {
          const read = readNumber(typed[id], 'clearance', FitTable.shape.clearances.shape[id], {
            unit: 'mm',
          });
          return [id, read.ok ? shownNumber(read.value * factor) : typed[id]];
        }),
      ) as Record<FitClass, string>,
    );
    setPer(next);
  };
  const save = () => {
    const clearances = { ...table.clearances };
    for (const { id, word } of FIT_CLASSES) {
      const read = readNumber(
        typed[id],
        `clearance of ${word.toLowerCase()}`,
        FitTable.shape.clearances.shape[id],
        { unit: 'mm', times: per === 'side' ? 2 : 1 },
      );
      if (!read.ok) {
        setWrong(read.sentence);
        return;
      }
      clearances[id] = Number(read.value.toFixed(6));
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
  };
  return (
    <Sheet
      title={`${PROCESS_WORDS[table.process]}, ${table.family === 'any' ? 'any material' : FAMILY_WORDS[table.family]}`}
      onClose={onClose}
    >
      <Text className="font-sans text-[15px] leading-6 text-ink">
        Clearances at 6 mm; they grow with size as the tolerances of ISO 286 do. Below zero is tight.
      </Text>
      <Switch<Per>
        label="Told how"
        options={[
          { id: 'both', word: 'On the diameter' },
          { id: 'side', word: 'Per side' },
        ]}
        value={per}
        onChange={changePer}
      />
      {FIT_CLASSES.map(({ id, word, phrase }) => (
        <View key={id}>
          <Field
            label={`${word}: ${phrase.toLowerCase()}`}
            unit="mm"
            value={typed[id]}
            onChangeText={(text) => {
              setTyped({ ...typed, [id]: text });
              setWrong(undefined);
            }}
          />
        </View>
      ))}
      {wrong ? <Wrong text={wrong} /> : null}
      <Button tone="primary" label="Keep" onPress={save} />
    </Sheet>
  );
}
