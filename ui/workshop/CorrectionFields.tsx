import type { Control } from 'react-hook-form';
import { Text, View } from 'react-native';

import { Correction, FeatureKind, type Machine } from '@core/model';

import { FormField, NumberField } from '../shared/FormField';
import { numberIn, shownNumber } from '../shared/numberFields';
import { FEATURE_WORDS } from './words';

const MM = { unit: 'mm' };
const PERCENT = { unit: '%', times: 0.01 };

type Family = Correction['family'];

/** The numbers of a correction as they are typed. */
export interface TypedCorrection {
  offset: string;
  percent: string;
  plusMinus: string;
  learnedFrom: string;
}

/** By family, then by kind of feature. */
export type TypedCorrections = Partial<Record<Family, Record<FeatureKind, TypedCorrection>>>;

const of = Correction.shape;

const typedOf = (correction: Correction | undefined): TypedCorrection => ({
  offset: shownNumber(correction?.offsetMm ?? 0),
  percent: shownNumber((correction?.scale ?? 0) * 100),
  plusMinus: shownNumber(correction?.plusMinusMm ?? 0.05),
  learnedFrom: correction?.learnedFrom ?? '',
});

export const correctionIn = ({ corrections }: Machine, feature: FeatureKind, family: Family) =>
  corrections.find((correction) => correction.feature === feature && correction.family === family);

/** What the fields show for a family: where nothing is known of it, what is known of any. */
export const typedCorrections = (machine: Machine, family: Family) =>
  Object.fromEntries(
    FeatureKind.options.map((feature) => [
      feature,
      typedOf(correctionIn(machine, feature, family) ?? correctionIn(machine, feature, 'any')),
    ]),
  ) as Record<FeatureKind, TypedCorrection>;

/** A machine's corrections with what was typed over them; what was only looked at stays as it is. */
export function correctionsWith(machine: Machine, typed: TypedCorrections): Correction[] {
  let next = machine.corrections;
  for (const [family, features] of Object.entries(typed) as [
    Family,
    Record<FeatureKind, TypedCorrection>,
  ][]) {
    const shown = typedCorrections(machine, family);
    for (const feature of FeatureKind.options) {
      const one = features[feature];
      if (JSON.stringify(one) === JSON.stringify(shown[feature])) continue;
      next = [
        ...next.filter((other) => other.feature !== feature || other.family !== family),
        correctionOf(feature, family, one),
      ];
    }
  }
  return next;
}

const correctionOf = (feature: FeatureKind, family: Family, typed: TypedCorrection): Correction => ({
  family,
  feature,
  offsetMm: numberIn(typed.offset, of.offsetMm, MM),
  scale: numberIn(typed.percent, of.scale, PERCENT),
  plusMinusMm: numberIn(typed.plusMinus, of.plusMinusMm, MM),
  learnedFrom: typed.learnedFrom.trim() || 'set in the Workshop',
});

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
        <View className="flex-1">
          <NumberField
            control={control}
            name={`${at}.offset`}
            label="Add"
            what="offset"
            schema={of.offsetMm}
            typedIn={MM}
          />
        </View>
        <View className="flex-1">
          <NumberField
            control={control}
            name={`${at}.percent`}
            label="and of the size"
            what="share of the size"
            schema={of.scale}
            typedIn={PERCENT}
          />
        </View>
        <View className="flex-1">
          <NumberField
            control={control}
            name={`${at}.plusMinus`}
            label="plus or minus"
            what="plus or minus"
            schema={of.plusMinusMm}
            typedIn={MM}
          />
        </View>
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
