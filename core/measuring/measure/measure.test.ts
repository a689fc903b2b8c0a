import fc from 'fast-check';

import {
  combine,
  doubtfulReadings,
  evaluateSize,
  largestContribution,
  mean,
  median,
  readReading,
  sampleStandardDeviation,
  uncertaintyOfReadings,
  weighTogether,
  type Contribution,
} from '@core/measuring/measure';
import { roundTo } from '@core/foundations/quantity';
import { noiseFrom } from '@core/testing/layoutDraft';
import { RepairDraft } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP, INSTRUMENTS, permissibleError } from '@core/record/workshop';

const BENCH_CALIPER = INSTRUMENTS[0]!;

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
    const part = (standard: number, degreesOfFreedom: number): Contribution => ({
      source: 'repeatability',
      standard,
      degreesOfFreedom,
    });
    const budget = combine([part(0.25, 9), part(0.57, 4), part(0.82, 14)]);
    expect(budget.standard).toBeCloseTo(1.03, 2);
    expect(budget.degreesOfFreedom).toBeCloseTo(19, 1);
    expect(budget.coverageFactor).toBeCloseTo(2.093, 3);
    expect(budget.expanded).toBeCloseTo(2.15, 2);
  });

  test('the end-gauge of GUM H.1: u = 32 nm, ν = 16, U99 = 93 nm by its factor 2.92', () => {
    // Table H.1: standard uncertainties through each source in nm, and the degrees of freedom given there.
    const part = (standard: number, degreesOfFreedom: number): Contribution => ({
      source: 'instrument',
      standard,
      degreesOfFreedom,
    });
    const budget = combine([
      part(25, 18),
      part(5.8, 24),
      part(3.9, 5),
      part(6.7, 8),
      part(2.9, 50),
      part(16.6, 2),
    ]);
    expect(Math.round(budget.standard)).toBe(32);
    // H.1.6 truncates 16.7 to 16 before it looks t up; here it stays as it is.
    expect(Math.floor(budget.degreesOfFreedom)).toBe(16);
    expect(budget.coverageFactor).toBeCloseTo(2.11, 1);
    expect(largestContribution(budget)!.standard).toBe(25);
  });

  test('three readings of the rim, worked by hand', () => {
    const { contributions, standard, degreesOfFreedom, expanded } = uncertaintyOfReadings(
      [38.2, 38.19, 38.21],
      BENCH_CALIPER,
    );
    const of = (source: string) => contributions.find((part) => part.source === source)!.standard;
    // A hand of 0.015 known to five degrees of freedom, and 0.01 shown by three: √((5 · 0.015² + 2 · 0.01²) / 7) = 0.01376.
    expect(of('repeatability')).toBeCloseTo(0.0137581 / Math.sqrt(3), 7);
    expect(of('instrument')).toBeCloseTo(0.02 / Math.sqrt(3), 9);
    expect(of('resolution')).toBeCloseTo(0.01 / (2 * Math.sqrt(3)), 9);
    // √(0.00794² + 0.01155² + 0.00289²) = 0.01431; ν = 0.01431⁴ / (0.00794⁴ / 7) = 73.7.
    expect(standard).toBeCloseTo(0.01431, 5);
    expect(degreesOfFreedom).toBeCloseTo(73.7, 0);
    // Of 500,000 drawn from Student's t and the two rectangles, 95 % lie within 0.0286.
    expect(Math.abs(expanded / 0.0286 - 1)).toBeLessThan(0.02);
  });

  test('one reading uses the hand’s expected spread, which is not known for certain', () => {
    const budget = uncertaintyOfReadings([6.02], BENCH_CALIPER);
    expect(budget.contributions[0]).toMatchObject({
      standard: BENCH_CALIPER.repeatability,
      degreesOfFreedom: 5,
    });
    // √(0.015² + 0.01155² + 0.00289²) = 0.01915; of 500,000 drawn from t of 5 and two rectangles, 95 % lie within 0.0443.
    expect(budget.standard).toBeCloseTo(0.01915, 5);
    expect(Math.abs(budget.expanded / 0.0443 - 1)).toBeLessThan(0.02);
  });

  test('readings that agree leave the instrument’s own doubt, however many there are', () => {
    const many = uncertaintyOfReadings(
      Array.from({ length: 50 }, () => 6),
      BENCH_CALIPER,
    ).expanded;
    expect(many).toBeLessThan(uncertaintyOfReadings([6, 6], BENCH_CALIPER).expanded);
    expect(many).toBeGreaterThan(BENCH_CALIPER.permissibleErrors[0]!.plusMinus);
  });

  test('two readings say little of a hand by themselves, and three equal ones do not say that it never shakes', () => {
    // √((2 · 0.015² + 0.0283²) / 3) / √2 = 0.01443, known to 3 degrees: of two million such sums with the caliper’s error 95 % lay within 0.0504.
    const half = (readings: number[]) => uncertaintyOfReadings(readings, BENCH_CALIPER).expanded;
    expect(Math.abs(half([6, 6.04]) / 0.0504 - 1)).toBeLessThan(0.025);
    expect(Math.abs(half([6, 6, 6]) / 0.0276 - 1)).toBeLessThan(0.02);
  });

  test('two readings further apart than the hand can be are trusted little', () => {
    expect(uncertaintyOfReadings([6, 6.1], BENCH_CALIPER).expanded).toBeGreaterThan(0.5);
  });

  test('what is stated holds the true size in 94 to 97 % of cases, for hands as they differ', () => {
    const { uniform, normal } = noiseFrom(7);
    const shares: number[] = [];
    for (const statistic of ['mean', 'median'] as const) {
      for (const count of [1, 2, 3, 5]) {
        let held = 0;
        const TRIALS = 6000;
        for (let trial = 0; trial < TRIALS; trial += 1) {
          // A hand whose variance is as sure as five degrees of freedom make it.
          const chi = Array.from({ length: 5 }, normal).reduce((sum, one) => sum + one * one, 0);
          const hand = BENCH_CALIPER.repeatability * Math.sqrt(5 / chi);
          const error = 0.02 * (2 * uniform() - 1);
          // Anywhere between the steps of the display.
          const size = 50 + 0.01 * uniform();
          const readings = Array.from({ length: count }, () => roundTo(size + error + hand * normal(), 0.01));
          const value = statistic === 'mean' ? mean(readings) : median(readings);
          const { expanded } = uncertaintyOfReadings(readings, BENCH_CALIPER, statistic);
          if (Math.abs(value - size) <= expanded) held += 1;
        }
        shares.push(held / TRIALS);
      }
    }
    // Of 6,000 each, a share is known to half a hundredth.
    for (const share of shares) expect(Math.abs(share - 0.955)).toBeLessThan(0.015);
    expect(Math.abs(mean(shares) - 0.955)).toBeLessThan(0.0075);
  });

  test('the median of n is known less well than their mean, by what order statistics say', () => {
    const { normal } = noiseFrom(11);
    for (const count of [3, 4, 5, 8]) {
      const medians = Array.from({ length: 20_000 }, () =>
        median(Array.from({ length: count }, () => normal())),
      );
      const spread = sampleStandardDeviation(medians) * Math.sqrt(count);
      const repeatability = (statistic: 'mean' | 'median') =>
        uncertaintyOfReadings(
          Array.from({ length: count }, () => 6),
          BENCH_CALIPER,
          statistic,
        ).contributions[0]!.standard;
      expect(repeatability('median') / repeatability('mean')).toBeCloseTo(spread, 1);
      expect(Math.abs(repeatability('median') / repeatability('mean') / spread - 1)).toBeLessThan(0.02);
    }
  });
});

describe('readings of several instruments', () => {
  test('are weighted by how well each is known: a rule beside a caliper takes hardly anything away', () => {
    const { repair } = new RepairDraft('x').measured('A', 'Rim', ['38.20', '38.21', '38.19', '38.0']);
    repair.readings[3]!.instrumentId = 'steel-rule';
    const result = evaluateSize(repair.sizes[0]!, repair.readings, DEFAULT_WORKSHOP);
    expect(result).toMatchObject({ value: 38.2, count: 4, instrumentName: 'Bench caliper', doubtful: [] });
    if (result.status !== 'measured') throw new Error(result.status);
    expect(result.uncertainty.expanded).toBeLessThan(0.03);
  });

  test('by hand: two groups of known doubt', () => {
    const group = (value: number, standard: number) => ({
      value,
      uncertainty: combine([{ source: 'instrument' as const, standard, degreesOfFreedom: Infinity }]),
    });
    // Weights 4 : 1; 1 / √(1 / 0.01² + 1 / 0.02²) = 0.00894.
    const { value, uncertainty, weights } = weighTogether([group(10, 0.01), group(10.01, 0.02)]);
    expect(weights).toEqual([expect.closeTo(0.8, 9), expect.closeTo(0.2, 9)]);
    expect(value).toBeCloseTo(10.002, 9);
    expect(uncertainty.standard).toBeCloseTo(0.008944, 6);
    // Further apart than that, the doubt grows with the distance: χ² = 0.1² / (0.01² + 0.02²) = 20, ratio √20.
    expect(weighTogether([group(10, 0.01), group(10.1, 0.02)]).uncertainty.standard).toBeCloseTo(
      0.008944 * Math.sqrt(20),
      5,
    );
  });
});

describe('evaluating a size', () => {
  const size = (readings: string[]) => new RepairDraft('x').measured('A', 'Rim', readings).repair;

  test('takes the mean to the instrument’s resolution', () => {
    const repair = size(['38.20', '38.19', '38.22']);
    expect(evaluateSize(repair.sizes[0]!, repair.readings, DEFAULT_WORKSHOP)).toMatchObject({
      status: 'measured',
      value: 38.2,
      count: 3,
      instrumentName: 'Bench caliper',
    });
  });

  test('a size in inches is not rounded to a display in millimetres: 2 3/8 in is 60.325', () => {
    const repair = size(['60.325']);
    const value = () => {
      const result = evaluateSize(repair.sizes[0]!, repair.readings, DEFAULT_WORKSHOP);
      return 'value' in result ? result.value : null;
    };
    expect(value()).toBe(60.325);
    // 1 3/16 in and 1 3/16 in, and a third of a hundredth more: to a thousandth.
    const thirds = size(['30.1625', '30.1625', '30.17']);
    const mean = evaluateSize(thirds.sizes[0]!, thirds.readings, DEFAULT_WORKSHOP);
    expect(mean).toMatchObject({ value: 30.165 });
  });

  test('leaves out what is left out or removed', () => {
    const repair = size(['38.20', '39.20', '12']);
    repair.readings[1]!.leftOut = 'jaws were tilted';
    repair.readings[2]!.removed = true;
    expect(evaluateSize(repair.sizes[0]!, repair.readings, DEFAULT_WORKSHOP)).toMatchObject({
      value: 38.2,
      count: 1,
    });
    repair.readings[0]!.removed = true;
    expect(evaluateSize(repair.sizes[0]!, repair.readings, DEFAULT_WORKSHOP).status).toBe('wanted');
  });
});

describe('what is taken of several readings', () => {
  const taking = (taken: 'mean' | 'largest' | 'smallest' | 'median', readings: string[]) => {
    const { repair } = new RepairDraft('x').measured('A', 'Worn pin', readings, { taken });
    const result = evaluateSize(repair.sizes[0]!, repair.readings, DEFAULT_WORKSHOP);
    if (result.status !== 'measured') throw new Error(result.status);
    return result;
  };
  const readings = ['11.90', '12.02', '11.98', '11.70'];

  test('mean, largest, smallest and median of the same four', () => {
    expect(taking('mean', readings).value).toBeCloseTo(11.9, 9);
    expect(taking('largest', readings).value).toBe(12.02);
    expect(taking('smallest', readings).value).toBe(11.7);
    expect(taking('median', readings).value).toBeCloseTo(11.94, 9);
    expect(taking('largest', readings).range).toBeCloseTo(0.32, 9);
  });

  test('one picked out of n is known √n less well in its repeatability than their mean', () => {
    const spread = (taken: 'mean' | 'largest') =>
      taking(taken, readings).uncertainty.contributions.find(({ source }) => source === 'repeatability')!
        .standard;
    expect(spread('largest') / spread('mean')).toBeCloseTo(2, 9);
  });

  test('a thousand readings are no trouble, and their mean is as well known as the caliper', () => {
    const many = Array.from({ length: 1000 }, (_, index) => (12 + (index % 5) / 100).toFixed(2));
    const { value, count, uncertainty } = taking('mean', many);
    expect([value, count]).toEqual([12.02, 1000]);
    expect(largestContribution(uncertainty)!.source).toBe('instrument');
  });
});

describe('a doubtful reading', () => {
  const evenly = (count: number, spread: number) => Array.from({ length: count }, () => spread);

  test('is one further than 3.5 spreads from the median, and is only pointed out', () => {
    // Median 10.02, deviations 0.02 0 0.01 0.01 0.48: MAD 0.01, spread 0.0148.
    expect(doubtfulReadings([10, 10.02, 10.03, 10.01, 10.5], evenly(5, 0.001))).toEqual([4]);
    expect(doubtfulReadings([10, 10.02, 10.03, 10.01, 10.07], evenly(5, 0.001))).toEqual([]);
  });

  test('is not made of two equal ones and a third a hair away', () => {
    expect(doubtfulReadings([10, 10, 10.02], evenly(3, 0.0158))).toEqual([]);
    expect(doubtfulReadings([10, 10, 10.2], evenly(3, 0.0158))).toEqual([2]);
  });

  test('needs three to be seen', () => {
    expect(doubtfulReadings([10, 50], evenly(2, 0.01))).toEqual([]);
    expect(doubtfulReadings([], [])).toEqual([]);
  });

  test('moving all readings together changes nothing', () => {
    const reading = fc.integer({ min: 1000, max: 3000 });
    fc.assert(
      fc.property(
        fc.array(reading, { minLength: 3, maxLength: 12 }),
        fc.integer({ max: 9999 }),
        (list, by) => {
          expect(
            doubtfulReadings(
              list.map((value) => value + by),
              evenly(list.length, 2),
            ),
          ).toEqual(doubtfulReadings(list, evenly(list.length, 2)));
        },
      ),
    );
  });
});

test('the median of an odd and of an even number of values', () => {
  expect(median([3, 1, 2])).toBe(2);
  expect(median([4, 1, 2, 3])).toBe(2.5);
  expect(() => median([])).toThrow(RangeError);
});

describe('taking a reading', () => {
  test.each([
    ['38.20', 38.2],
    ['38,2', 38.2],
    [' 1 3/16 in ', 30.1625],
    ['0.237"', 6.0198],
    ['12.4/2', 6.2],
    ['31 - 2*3', 25],
  ])('%j', (text, mm) =>
    expect(readReading(text, BENCH_CALIPER)).toMatchObject({ ok: true, value: expect.closeTo(mm, 9) }),
  );

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

test('a number without a unit is in what the instrument shows, or in what the person set', () => {
  const inInches = { ...BENCH_CALIPER, shows: 'in' as const };
  expect(readReading('1', inInches)).toMatchObject({ value: 25.4 });
  expect(readReading('1', inInches, 'mm')).toMatchObject({ value: 1 });
  const protractor = INSTRUMENTS.find(({ kind }) => kind === 'protractor')!;
  expect(readReading('90', protractor)).toMatchObject({ value: expect.closeTo(Math.PI / 2, 12) });
  expect(readReading('190', protractor)).toMatchObject({ ok: false, fault: { code: 'angle.outOfRange' } });
});

test('every instrument has errors for its whole reach, growing with length', () => {
  for (const instrument of INSTRUMENTS) {
    const bands = instrument.permissibleErrors;
    expect(bands.at(-1)!.upTo).toBe(instrument.reach);
    const errors = bands.map((band) => band.plusMinus);
    expect(errors).toEqual([...errors].sort((a, b) => a - b));
    expect(permissibleError(instrument, instrument.reach)).toBe(errors.at(-1));
    expect(permissibleError(instrument, bands[0]!.upTo)).toBe(errors[0]);
  }
  expect(permissibleError(BENCH_CALIPER, 100.01)).toBe(0.03);
});
