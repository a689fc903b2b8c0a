import { Correction, FeatureKind, type Machine } from '@core/record/model';

import { numberIn, shownNumber } from '../shared/numberFields';

export const MM = { unit: 'mm' };
export const PERCENT = { unit: '%', times: 0.01 };

export type Family = Correction['family'];

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
