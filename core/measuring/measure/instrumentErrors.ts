import type { Jaw } from '@core/record/model';

/** What an instrument's error comes to in one of the numbers that are added up; signed, in the unit of the sum. */
export interface InstrumentError {
  instrumentId: string;
  jaw: Jaw;
  /** Of the variance of its error, the share that is at least the same in all that it measured with the same jaws. */
  leastShared: number;
  standard: number;
}

/** What the errors of one instrument come to in a sum. */
export interface SumOfErrors {
  instrumentId: string;
  standard: number;
  /** Counted as one error, the same in all that it measured; otherwise as errors that differ along its scale and between its jaws. */
  isOne: boolean;
}

/**
 * Adds up what instruments have in a sum. ISO 13385-1:2019 bounds a caliper's error at any place of its scale and the shift from one pair of jaws to
 * another each by itself: how much of it is one and the same in two sizes nobody knows who has not calibrated it. The variance of the sum is linear in
 * that correlation, so that it is largest where the correlation is: all that it measured shares its error (GUM F.1.2.3), (Σ s)²; or only what must be is
 * shared, ρ Σ (Σ s of the same jaws)² + (1 − ρ) Σ s². The larger of the two counts.
 */
export function addErrors(errors: readonly InstrumentError[]): SumOfErrors[] {
  const byInstrument = new Map<string, InstrumentError[]>();
  for (const error of errors) {
    const own = byInstrument.get(error.instrumentId);
    if (own) own.push(error);
    else byInstrument.set(error.instrumentId, [error]);
  }
  return [...byInstrument].map(([instrumentId, own]) => {
    const whole = own.reduce((sum, { standard }) => sum + standard, 0) ** 2;
    const byJaw = new Map<Jaw, number>();
    let apart = 0;
    for (const { jaw, standard, leastShared } of own) {
      byJaw.set(jaw, (byJaw.get(jaw) ?? 0) + Math.sqrt(leastShared) * standard);
      apart += (1 - leastShared) * standard ** 2;
    }
    for (const sum of byJaw.values()) apart += sum ** 2;
    return { instrumentId, standard: Math.sqrt(Math.max(whole, apart)), isOne: whole >= apart };
  });
}
