import type { Control } from 'react-hook-form';
import { Text, View } from 'react-native';

import { Correction, type FeatureKind } from '@core/record/model';

import { FormField, NumberField } from '../shared/FormField';
import { MM, PERCENT, type Family, type TypedCorrections } from './typedCorrections';
import { FEATURE_WORDS } from './words';

const of = Correction.shape;

const NUMBERS = [
  { part: 'offset', label: 'Add', what: 'offset', schema: of.offsetMm, typedIn: MM },
  {
    part: 'percent',
    label: 'and of the size',
    what: 'share of the size',
    schema: of.scale,
    typedIn: PERCENT,
  },
  { part: 'plusMinus', label: 'plus or minus', what: 'plus or minus', schema: of.plusMinusMm, typedIn: MM },
] as const;

const sourceProblem = (text: string): string | null => {
  const parsed = of.learnedFrom.safeParse(text.trim());
  return text.trim() === '' || parsed.success
    ? null
    : `Where it was learned ${parsed.error.issues[0]!.message}. Make it shorter.`;
};

/** The correction of one kind of feature in what is made of one family of materials. */
export function CorrectionFields<T extends { corrections: TypedCorrections }>({
  control: ofForm,
  family,
  feature,
  isKnown,
}: {
  control: Control<T>;
  family: Family;
  feature: FeatureKind;
  /** The machine has one of its own for this family. */
  isKnown: boolean;
}) {
  const control = ofForm as unknown as Control<{ corrections: TypedCorrections }>;
  const at = `corrections.${family}.${feature}` as const;
  return (
    <View
      className="gap-2 rounded border border-line bg-card p-2.5"
      role="group"
      aria-label={FEATURE_WORDS[feature]}
    >
      <Text className="font-medium text-[15.5px] text-ink">
        {FEATURE_WORDS[feature]}
        {family !== 'any' && !isKnown ? (
          <Text className="font-label text-[13px] text-muted"> as for any material, until changed</Text>
        ) : null}
      </Text>
      <View className="flex-row gap-2">
        {NUMBERS.map(({ part, ...number }) => (
          <View key={part} className="flex-1">
            <NumberField control={control} name={`${at}.${part}`} {...number} />
          </View>
        ))}
      </View>
      <FormField
        control={control}
        name={`${at}.learnedFrom`}
        label="Where was it learned?"
        problem={sourceProblem}
      />
    </View>
  );
}
