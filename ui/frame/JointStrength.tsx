import { useState } from 'react';
import { Text, View } from 'react-native';
import { z } from 'zod';

import { jointBears, LEAST_TEETH, type Joint } from '@core/checking/strength';
import { bearsWords, jointSentence } from '@core/reporting/wording';

import { Field } from '../shared/Field';
import { readNumber } from '../shared/numberFields';

const FORCE = z.number().min(0.1).max(100_000);
const LENGTH = z.number().min(0.2).max(1000);
const MODULE = z.number().min(0.1).max(20);
const TEETH = z.int().min(LEAST_TEETH).max(1000);

/** What is typed for each kind, with what stands there at first. */
const FIELDS = {
  screw: [
    { key: 'diameterMm', label: 'Across its thread', what: 'thread', unit: 'mm', schema: LENGTH, first: '3' },
    { key: 'depthMm', label: 'Length screwed in', what: 'depth', unit: 'mm', schema: LENGTH, first: '8' },
  ],
  pin: [
    { key: 'diameterMm', label: 'Across the pin', what: 'pin', unit: 'mm', schema: LENGTH, first: '4' },
    { key: 'widthMm', label: 'Length in the bore', what: 'length', unit: 'mm', schema: LENGTH, first: '6' },
  ],
  tooth: [
    { key: 'moduleMm', label: 'Module', what: 'module', unit: 'mm', schema: MODULE, first: '1' },
    { key: 'teeth', label: 'Teeth', what: 'number of teeth', unit: '', schema: TEETH, first: '20' },
    { key: 'widthMm', label: 'Width of the gear', what: 'breadth', unit: 'mm', schema: LENGTH, first: '8' },
  ],
} as const;

/** How much a screw, a pin or a tooth of a spare bears. */
export function JointStrength({
  kind,
  borneMpa,
  safety,
  isLaid,
  material,
}: {
  kind: Joint['kind'];
  /** What is allowed there, its layers lying at their worst, and the safety factor in it. */
  borneMpa: number;
  safety: number;
  isLaid: boolean;
  material: string;
}) {
  const [typed, setTyped] = useState<Record<string, string>>({});
  const [force, setForce] = useState('50');
  const fields = FIELDS[kind].map((field) => {
    const text = typed[`${kind} ${field.key}`] ?? field.first;
    return { ...field, text, read: readNumber(text, field.what, field.schema, { unit: field.unit }) };
  });
  const forceN = readNumber(force, 'load', FORCE, { unit: 'N' });
  const values = fields.map(({ key, read }) => [key, read.ok ? read.value : NaN] as const);
  const isRead = fields.every(({ read }) => read.ok);
  const mostN = isRead
    ? jointBears({ kind, ...Object.fromEntries(values) } as unknown as Joint, borneMpa)
    : null;
  return (
    <View className="gap-3">
      <Field
        label="Load (1 kg weighs 10 N)"
        unit="N"
        inputMode="decimal"
        pad="plain"
        value={force}
        onChangeText={setForce}
        wrong={forceN.ok ? undefined : forceN.sentence}
      />
      <View className="flex-row flex-wrap gap-3">
        {fields.map(({ key, label, unit, text, read }) => (
          <View key={key} className="w-[48%]">
            <Field
              label={label}
              unit={unit}
              inputMode="decimal"
              pad={unit === 'mm' ? 'length' : 'plain'}
              value={text}
              onChangeText={(next) => setTyped({ ...typed, [`${kind} ${key}`]: next })}
              wrong={read.ok ? undefined : read.sentence}
            />
          </View>
        ))}
      </View>
      {mostN === null ? null : (
        <View role="status" className="gap-2">
          <Text className="font-semibold text-[20px] text-ink">{bearsWords({ mostN, safety })}</Text>
          <Text className="font-sans text-[16px] leading-6 text-ink">
            {jointSentence(kind, {
              mostN,
              borneMpa,
              material,
              isLaid,
              askedN: forceN.ok ? forceN.value : null,
            })}
          </Text>
        </View>
      )}
    </View>
  );
}
