import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { View } from 'react-native';

import { type Correction, FeatureKind, Machine, MaterialFamily, Process } from '@core/record/model';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { Button } from '../shared/Button';
import { FormField, NumberField } from '../shared/FormField';
import { GroupHeading } from '../shared/Heading';
import { Picker } from '../shared/Picker';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';
import { nameProblem } from '../shared/nameField';
import { numberIn, shownNumber } from '../shared/numberFields';
import { CorrectionFields } from './CorrectionFields';
import {
  correctionIn,
  correctionsWith,
  MM,
  PERCENT,
  typedCorrections,
  type TypedCorrections,
} from './typedCorrections';
import { FAMILY_WORDS, PROCESS_WORDS } from './words';

const AXES = { x: 'Left to right', y: 'Front to back', z: 'Height' } as const;
type Axis = keyof typeof AXES;
const SHARE = Machine.shape.shrinkage.unwrap().shape;

interface Typed {
  name: string;
  scatter: string;
  shrinkage: Record<Axis, string>;
  corrections: TypedCorrections;
}

/** A machine: how it makes, how it scatters, and what it does to each kind of feature, by material. */
export function MachineForm({
  machine,
  onSave,
  onHabits,
  onLayers,
  onClose,
}: {
  machine: Machine;
  onHabits(): void;
  onLayers(): void;
  onSave: ReturnType<typeof useChangeWorkshop>;
  onClose(): void;
}) {
  const [process, setProcess] = useState(machine.process);
  const [family, setFamily] = useState<Correction['family']>('any');
  const [shrinks, setShrinks] = useState(machine.shrinkage !== null);
  const shownShares = Object.fromEntries(
    (Object.keys(AXES) as Axis[]).map((axis) => [axis, shownNumber((machine.shrinkage?.[axis] ?? 0) * 100)]),
  ) as Record<Axis, string>;
  const { control, handleSubmit, getValues, setValue, trigger } = useForm<Typed>({
    defaultValues: {
      name: machine.name,
      scatter: shownNumber(machine.scatterMm),
      shrinkage: shownShares,
      corrections: { any: typedCorrections(machine, 'any') },
    },
  });
  const changeFamily = async (next: Correction['family']) => {
    // What is wrong in these fields is seen to before they go out of view.
    if (!(await trigger(`corrections.${family}`))) return;
    if (!getValues(`corrections.${next}`)) setValue(`corrections.${next}`, typedCorrections(machine, next));
    setFamily(next);
  };
  const keep = handleSubmit(({ name, scatter, shrinkage, corrections }) => {
    const share = (axis: Axis) =>
      machine.shrinkage && shrinkage[axis] === shownShares[axis]
        ? machine.shrinkage[axis]
        : numberIn(shrinkage[axis], SHARE[axis], PERCENT);
    onSave(
      'machine',
      {
        ...machine,
        name: name.trim(),
        process,
        // What was not touched stays to the last digit.
        scatterMm:
          scatter === shownNumber(machine.scatterMm)
            ? machine.scatterMm
            : numberIn(scatter, Machine.shape.scatterMm, MM),
        corrections: correctionsWith(machine, corrections),
        shrinkage: shrinks ? { x: share('x'), y: share('y'), z: share('z') } : null,
      },
      `${name.trim()} is kept. Working sizes follow.`,
    );
    onClose();
  });
  return (
    <Sheet title={machine.version === 0 ? 'Add a machine' : machine.name} onClose={onClose}>
      <FormField
        control={control}
        name="name"
        label="Name"
        problem={nameProblem('the machine')}
        autoFocus={machine.version === 0}
      />
      <Switch<Process>
        label="How it makes"
        options={Process.options.map((id) => ({ id, word: PROCESS_WORDS[id] }))}
        value={process}
        onChange={setProcess}
      />
      <NumberField
        control={control}
        name="scatter"
        label="Variation of what it makes (one standard deviation)"
        what="variation"
        schema={Machine.shape.scatterMm}
        typedIn={MM}
      />
      {machine.version === 0 ? null : <Button label="What trials taught" onPress={onHabits} />}
      {machine.version > 0 && (machine.process === 'printing' || machine.process === 'resin') ? (
        <Button label="Printer settings" onPress={onLayers} />
      ) : null}
      <GroupHeading>Corrections, for the material</GroupHeading>
      <Picker
        label="Material of the corrections"
        options={[
          { id: 'any', word: 'Any material' },
          ...MaterialFamily.options.map((id) => ({ id, word: FAMILY_WORDS[id] })),
        ]}
        value={family}
        onChange={(id) => void changeFamily(id as Correction['family'])}
      />
      {FeatureKind.options.map((feature) => (
        <CorrectionFields
          key={`${family}-${feature}`}
          control={control}
          family={family}
          feature={feature}
          isKnown={correctionIn(machine, feature, family) !== undefined}
        />
      ))}
      <GroupHeading>Shrinkage of casting or curing</GroupHeading>
      <Switch
        label="Shrinkage"
        options={[
          { id: 'no', word: 'None' },
          { id: 'yes', word: 'It shrinks' },
        ]}
        value={shrinks ? 'yes' : 'no'}
        onChange={(id) => setShrinks(id === 'yes')}
      />
      {shrinks ? (
        <View className="flex-row gap-2">
          {(Object.entries(AXES) as [Axis, string][]).map(([axis, label]) => (
            <View key={axis} className="flex-1">
              <NumberField
                control={control}
                name={`shrinkage.${axis}`}
                label={label}
                what="shrinkage"
                schema={SHARE[axis]}
                typedIn={PERCENT}
              />
            </View>
          ))}
        </View>
      ) : null}
      <Button tone="primary" label="Keep" onPress={() => void keep()} />
      {machine.version > 0 ? (
        <Button
          tone="danger"
          label="Put it away"
          onPress={() => {
            onSave('machine', { ...machine, removed: true }, `${machine.name} is put away.`);
            onClose();
          }}
        />
      ) : null}
    </Sheet>
  );
}
