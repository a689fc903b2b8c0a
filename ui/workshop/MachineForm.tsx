import { useState } from 'react';
import { Text, View } from 'react-native';

import { Correction, FeatureKind, Machine, MaterialFamily, Process } from '@core/model';
import { sentenceOf } from '@core/wording';

import type { useChangeWorkshop } from '../api/useWorkshop';
import { Button } from '../shared/Button';
import { Field, Wrong } from '../shared/Field';
import { GroupHeading } from '../shared/Heading';
import { Picker } from '../shared/Picker';
import { Sheet } from '../shared/Sheet';
import { Switch } from '../shared/Switch';
import { readNumber, shownNumber } from '../shared/numberFields';
import { FAMILY_WORDS, FEATURE_WORDS, PROCESS_WORDS } from './words';

const MM = { unit: 'mm' };
const PERCENT = { unit: '%', times: 0.01 };

/** The numbers of a correction as they are typed. */
interface TypedCorrection {
  offset: string;
  percent: string;
  plusMinus: string;
  learnedFrom: string;
}

const typedOf = (correction: Correction | undefined): TypedCorrection => ({
  offset: shownNumber(correction?.offsetMm ?? 0),
  percent: shownNumber((correction?.scale ?? 0) * 100),
  plusMinus: shownNumber(correction?.plusMinusMm ?? 0.05),
  learnedFrom: correction?.learnedFrom ?? '',
});

const correctionIn = (machine: Machine, feature: FeatureKind, family: Correction['family']) =>
  machine.corrections.find((correction) => correction.feature === feature && correction.family === family);

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
  const [name, setName] = useState(machine.name);
  const [process, setProcess] = useState(machine.process);
  const [scatter, setScatter] = useState(shownNumber(machine.scatterMm));
  const [family, setFamily] = useState<Correction['family']>('any');
  const [typed, setTyped] = useState<Record<string, TypedCorrection>>({});
  const [shrinks, setShrinks] = useState(machine.shrinkage !== null);
  const [shrinkage, setShrinkage] = useState(
    (['x', 'y', 'z'] as const).map((axis) => shownNumber((machine.shrinkage?.[axis] ?? 0) * 100)),
  );
  const [wrong, setWrong] = useState<string>();
  const keyOf = (feature: FeatureKind) => `${family}/${feature}`;
  const known = (feature: FeatureKind) => correctionIn(machine, feature, family);
  const shownOf = (feature: FeatureKind) =>
    typed[keyOf(feature)] ?? typedOf(known(feature) ?? correctionIn(machine, feature, 'any'));
  const change = (feature: FeatureKind, part: Partial<TypedCorrection>) =>
    setTyped({ ...typed, [keyOf(feature)]: { ...shownOf(feature), ...part } });

  /** Corrections with what was typed, or a sentence about what is wrong. */
  const collect = (): Correction[] | string => {
    let next = machine.corrections;
    for (const [key, numbers] of Object.entries(typed)) {
      const [ofFamily, feature] = key.split('/') as [Correction['family'], FeatureKind];
      const offset = readNumber(numbers.offset, 'offset', Correction.shape.offsetMm, MM);
      const percent = readNumber(numbers.percent, 'share of the size', Correction.shape.scale, PERCENT);
      const plusMinus = readNumber(numbers.plusMinus, 'plus or minus', Correction.shape.plusMinusMm, MM);
      for (const read of [offset, percent, plusMinus]) if (!read.ok) return read.sentence;
      const correction: Correction = {
        family: ofFamily,
        feature,
        offsetMm: offset.ok ? offset.value : 0,
        scale: percent.ok ? percent.value : 0,
        plusMinusMm: plusMinus.ok ? plusMinus.value : 0,
        learnedFrom: numbers.learnedFrom.trim().slice(0, 120) || 'set in the Workshop',
      };
      next = [...next.filter((other) => other.feature !== feature || other.family !== ofFamily), correction];
    }
    return next;
  };
  const save = () => {
    const trimmed = name.trim();
    const spread = readNumber(scatter, 'scatter', Machine.shape.scatterMm, MM);
    const shares = shrinkage.map((text) =>
      readNumber(text, 'shrinkage', Machine.shape.shrinkage.unwrap().shape.x, PERCENT),
    );
    const badShare = shrinks ? shares.find((read) => !read.ok) : undefined;
    const collected = collect();
    if (trimmed === '') setWrong(sentenceOf({ code: 'name.empty', what: 'the machine' }));
    else if (!spread.ok) setWrong(spread.sentence);
    else if (badShare && !badShare.ok) setWrong(badShare.sentence);
    else if (typeof collected === 'string') setWrong(collected);
    else {
      const [x, y, z] = shares.map((read) => (read.ok ? read.value : 0)) as [number, number, number];
      onSave(
        'machine',
        {
          ...machine,
          name: trimmed.slice(0, 80),
          process,
          scatterMm: spread.value,
          corrections: collected,
          shrinkage: shrinks ? { x, y, z } : null,
        },
        `${trimmed} is kept. Working sizes follow.`,
      );
      onClose();
    }
  };
  return (
    <Sheet title={machine.version === 0 ? 'Add a machine' : machine.name} onClose={onClose}>
      <Field label="Name" value={name} onChangeText={setName} autoFocus={machine.version === 0} />
      <Switch<Process>
        label="How it makes"
        options={Process.options.map((id) => ({ id, word: PROCESS_WORDS[id] }))}
        value={process}
        onChange={setProcess}
      />
      <Field
        label="Scatter of what it makes (one standard deviation)"
        unit="mm"
        value={scatter}
        onChangeText={setScatter}
      />
      {machine.version === 0 ? null : <Button label="What trials taught of it" onPress={onHabits} />}
      {machine.version > 0 && machine.process === 'printing' ? (
        <Button label="How it lays layers" onPress={onLayers} />
      ) : null}
      <GroupHeading>Corrections, for the material</GroupHeading>
      <Picker
        label="Material of the corrections"
        options={[
          { id: 'any', word: 'Any material' },
          ...MaterialFamily.options.map((id) => ({ id, word: FAMILY_WORDS[id] })),
        ]}
        value={family}
        onChange={(id) => setFamily(id as Correction['family'])}
      />
      {FeatureKind.options.map((feature) => {
        const numbers = shownOf(feature);
        return (
          <View
            key={`${family}-${feature}`}
            className="gap-2 rounded border border-line bg-card p-2.5"
            role="group"
            aria-label={FEATURE_WORDS[feature]}
          >
            <Text className="font-medium text-[15.5px] text-ink">
              {FEATURE_WORDS[feature]}
              {family !== 'any' && !known(feature) ? (
                <Text className="font-label text-[13px] text-muted"> as for any material, until changed</Text>
              ) : null}
            </Text>
            <View className="flex-row gap-2">
              <View className="flex-1">
                <Field
                  label="Add"
                  unit="mm"
                  value={numbers.offset}
                  onChangeText={(offset) => change(feature, { offset })}
                />
              </View>
              <View className="flex-1">
                <Field
                  label="and of the size"
                  unit="%"
                  value={numbers.percent}
                  onChangeText={(percent) => change(feature, { percent })}
                />
              </View>
              <View className="flex-1">
                <Field
                  label="plus or minus"
                  unit="mm"
                  value={numbers.plusMinus}
                  onChangeText={(plusMinus) => change(feature, { plusMinus })}
                />
              </View>
            </View>
            <Field
              label="Where was it learned?"
              value={numbers.learnedFrom}
              onChangeText={(learnedFrom) => change(feature, { learnedFrom })}
            />
          </View>
        );
      })}
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
          {['Left to right', 'Front to back', 'Height'].map((label, index) => (
            <View key={label} className="flex-1">
              <Field
                label={label}
                unit="%"
                value={shrinkage[index]}
                onChangeText={(text) =>
                  setShrinkage(shrinkage.map((other, at) => (at === index ? text : other)))
                }
              />
            </View>
          ))}
        </View>
      ) : null}
      {wrong ? <Wrong text={wrong} /> : null}
      <Button tone="primary" label="Keep" onPress={save} />
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
