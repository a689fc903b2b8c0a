import fc from 'fast-check';

import {
  combine,
  evaluateSize,
  mean,
  readReading,
  sampleStandardDeviation,
  uncertaintyOfMean,
  type Contribution,
} from '@core/measure';
import { BENCH_CALIPER, INSTRUMENTS, permissibleErrorMm } from '@core/standards';
import { RepairDraft } from '@core/testing/repairDraft';

describe('statistics of readings', () => {
  test('mean and sample standard deviation of a hand-worked example', () => {
    // 2, 4, 4, 4, 5, 5, 7, 9: mean 5, squares sum to 32, over n - 1 = 7.
    const values = [2, 4, 4, 4, 5, 5, 7, 9];
    expect(mean(values)).toBe(5);
    expect(sampleStandardDeviation(values)).toBeCloseTo(Math.sqrt(32 / 7), 12);
  });

  test('last digits survive a large offset', () => {
    expect(sampleStandardDeviation([1e9 + 1, 1e9 + 2, 1e9 + 3])).toBeCloseTo(1, 9);
  });

  test('the mean lies between the ends and moves with the readings', () => {
    const reading = fc.integer({ min: 1, max: 20_000 }).map((hundredths) => hundredths / 100);
    fc.assert(
      fc.property(fc.array(reading, { minLength: 1, maxLength: 30 }), (values) => {
        const centre = mean(values);
        expect(centre).toBeGreaterThanOrEqual(Math.min(...values) - 1e-9);
        expect(centre).toBeLessThanOrEqual(Math.max(...values) + 1e-9);
        expect(mean(values.map((value) => value + 5))).toBeCloseTo(centre + 5, 9);
      }),
    );
  });
});

describe('uncertainty after the GUM', () => {
  test('the example of G.4.1: effective degrees of freedom 19, t = 2.09, U = 2.2 %', () => {
    const part = (standardMm: number, degreesOfFreedom: number): Contribution => ({
      source: 'repeatability',
      standardMm,
      degreesOfFreedom,
    });
    const budget = combine([part(0.25, 9), part(0.57, 4), part(0.82, 14)]);
    expect(budget.standardMm).toBeCloseTo(1.03, 2);
    expect(budget.degreesOfFreedom).toBeCloseTo(19, 1);
    expect(budget.coverageFactor).toBeCloseTo(2.093, 3);
    expect(budget.expandedMm).toBeCloseTo(2.15, 2);
  });

  test('three readings of the rim, worked by hand', () => {
    const { contributions, standardMm, degreesOfFreedom, expandedMm } = uncertaintyOfMean(
      [38.2, 38.19, 38.21],
      BENCH_CALIPER,
    );
    const of = (source: string) => contributions.find((part) => part.source === source)!.standardMm;
    expect(of('repeatability')).toBeCloseTo(0.01 / Math.sqrt(3), 9);
    expect(of('instrument')).toBeCloseTo(0.02 / Math.sqrt(3), 9);
    expect(of('resolution')).toBeCloseTo(0.01 / (2 * Math.sqrt(3)), 9);
    // √(0.00577² + 0.01155² + 0.00289²) = 0.01323; ν = 0.01323⁴ / (0.00577⁴ / 2) = 55; t = 2.004.
    expect(standardMm).toBeCloseTo(0.01323, 5);
    expect(degreesOfFreedom).toBeCloseTo(55.1, 1);
    expect(expandedMm).toBeCloseTo(0.0265, 4);
  });

  test('one reading uses the hand’s expected spread and the normal factor', () => {
    const budget = uncertaintyOfMean([6.02], BENCH_CALIPER);
    expect(budget.degreesOfFreedom).toBe(Infinity);
    expect(budget.coverageFactor).toBeCloseTo(1.96, 3);
    expect(budget.contributions[0]).toMatchObject({ standardMm: BENCH_CALIPER.handRepeatabilityMm });
  });

  test('readings that agree leave the instrument’s own doubt, however many there are', () => {
    const few = uncertaintyOfMean([6, 6], BENCH_CALIPER).expandedMm;
    const many = uncertaintyOfMean(
      Array.from({ length: 50 }, () => 6),
      BENCH_CALIPER,
    ).expandedMm;
    expect(many).toBeCloseTo(few, 9);
    expect(many).toBeGreaterThan(BENCH_CALIPER.permissibleErrors[0]!.plusMinusMm);
  });

  test('two readings far apart are trusted little', () => {
    expect(uncertaintyOfMean([6, 6.1], BENCH_CALIPER).expandedMm).toBeGreaterThan(0.5);
  });
});

describe('evaluating a size', () => {
  const size = (readings: string[]) => new RepairDraft('x').measured('A', 'Rim', readings).repair;

  test('takes the mean to the instrument’s resolution', () => {
    const repair = size(['38.20', '38.19', '38.22']);
    expect(evaluateSize(repair.sizes[0]!, repair.readings)).toMatchObject({
      status: 'measured',
      mm: 38.2,
      count: 3,
      instrumentName: 'Bench caliper',
    });
  });

  test('leaves out what is left out or removed', () => {
    const repair = size(['38.20', '39.20', '12']);
    repair.readings[1]!.leftOut = 'jaws were tilted';
    repair.readings[2]!.removed = true;
    expect(evaluateSize(repair.sizes[0]!, repair.readings)).toMatchObject({ mm: 38.2, count: 1 });
    repair.readings[0]!.removed = true;
    expect(evaluateSize(repair.sizes[0]!, repair.readings).status).toBe('wanted');
  });
});

describe('taking a reading', () => {
  test.each([
    ['38.20', 38.2],
    ['38,2', 38.2],
    [' 1 3/16 in ', 30.1625],
    ['0.237"', 6.0198],
  ])('%j', (text, mm) => expect(readReading(text, BENCH_CALIPER)).toEqual({ ok: true, value: mm }));

  test.each([
    ['', 'length.empty'],
    ['abc', 'length.notANumber'],
    ['0', 'length.notPositive'],
    ['-6.02', 'length.notPositive'],
    ['2000 mm', 'length.tooLong'],
    ['200.01', 'length.tooLong'],
    ['8 in', 'length.tooLong'],
  ])('%j is refused', (text, code) =>
    expect(readReading(text, BENCH_CALIPER)).toMatchObject({ ok: false, fault: { code } }),
  );
});

test('every instrument has errors for its whole reach, growing with length', () => {
  expect(INSTRUMENTS.length).toBeGreaterThan(0);
  for (const instrument of INSTRUMENTS) {
    const bands = instrument.permissibleErrors;
    expect(bands.at(-1)!.upToMm).toBe(instrument.reachMm);
    expect(bands.map((band) => band.plusMinusMm)).toEqual(
      [...bands.map((band) => band.plusMinusMm)].sort((a, b) => a - b),
    );
    expect(permissibleErrorMm(instrument, instrument.reachMm)).toBe(bands.at(-1)!.plusMinusMm);
  }
});
