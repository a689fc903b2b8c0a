import fc from 'fast-check';

import {
  isKnown,
  rectangular,
  SizeGraph,
  uncertaintyOf,
  uncertaintyOfReadings,
  type SizeResult,
} from '@core/measuring/measure';
import type { Repair } from '@core/record/model';
import { roundTo } from '@core/foundations/quantity';
import { noiseFrom } from '@core/testing/layoutDraft';
import { RepairDraft } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP, INSTRUMENTS, jawError } from '@core/record/workshop';

const CALIPER = INSTRUMENTS[0]!;
const SHARED = rectangular(0.02);

function settled({ sizes, readings }: Repair): SizeGraph {
  const bySize = new Map(
    sizes.map(({ id }) => [id, readings.filter(({ sizeId }) => sizeId === id)] as const),
  );
  const graph = new SizeGraph(sizes, bySize, DEFAULT_WORKSHOP);
  graph.settle();
  return graph;
}
function doubtOf(result: SizeResult) {
  const doubt = uncertaintyOf(result);
  if (!isKnown(result) || !doubt) throw new Error(result.status);
  return doubt;
}

describe('one caliper’s error in several sizes', () => {
  const sums = new RepairDraft('x')
    .measured('A', 'One', ['20.00', '20.02'])
    .measured('B', 'Other', ['30.00', '30.02'])
    .formula('C', 'Sum', 'A + B')
    .formula('D', 'Gap', 'B - A')
    .formula('E', 'Twice', '2 * A');

  test('doubles in a sum; in a gap it is taken to differ along its scale but for the quarter that must be the same', () => {
    const graph = settled(sums.repair);
    const own = Math.sqrt(graph.standard('a') ** 2 - SHARED ** 2);
    expect(graph.standard('c')).toBeCloseTo(Math.hypot(own * Math.SQRT2, 2 * SHARED), 12);
    expect(graph.standard('d')).toBeCloseTo(Math.hypot(own * Math.SQRT2, Math.sqrt(1.5) * SHARED), 12);
    expect(graph.standard('e')).toBeCloseTo(2 * graph.standard('a'), 12);
  });

  test('between its two pairs of jaws nothing need be the same', () => {
    const wall = new RepairDraft('x')
      .measured('A', 'Outside', ['30.00'])
      .measured('B', 'Inside', ['26.00'], { jaw: 'inside' })
      .formula('C', 'Wall', '(A - B) / 2');
    const graph = settled(wall.repair);
    expect(graph.standard('c')).toBeCloseTo(Math.hypot(graph.standard('a'), graph.standard('b')) / 2, 12);
    expect(doubtOf(graph.result('c')).contributions[2]).toMatchObject({
      source: 'alongScale',
      instrumentId: CALIPER.id,
    });
  });

  test('stands as a share of its own in the budget', () => {
    const { contributions, standard } = doubtOf(settled(sums.repair).result('c'));
    expect(contributions.map(({ source }) => source)).toEqual(['size', 'size', 'instrument']);
    expect(contributions[2]).toMatchObject({ instrumentId: CALIPER.id, standard: 2 * SHARED });
    expect(Math.hypot(...contributions.map((part) => part.standard))).toBeCloseTo(standard, 12);
  });

  test('is another one’s where another one measured', () => {
    const draft = new RepairDraft('x')
      .measured('A', 'One', ['20.00'])
      .measured('B', 'Other', ['30.00'])
      .formula('C', 'Sum', 'A + B');
    draft.repair.readings[1]!.instrumentId = 'caliper-300';
    const graph = settled(draft.repair);
    expect(graph.standard('c')).toBeCloseTo(Math.hypot(graph.standard('a'), graph.standard('b')), 12);
  });

  test('what the graph keeps is what the budget says, whatever was measured with what', () => {
    const ids = ['bench-caliper', 'caliper-300', 'steel-rule', 'micrometer-25'];
    const readings = fc.array(fc.constantFrom(...ids), { minLength: 1, maxLength: 3 });
    const factor = fc.integer({ min: -3, max: 3 });
    fc.assert(
      fc.property(
        fc.tuple(readings, readings, readings),
        fc.tuple(factor, factor, factor),
        (used, factors) => {
          const draft = new RepairDraft('x');
          for (const [index, tag] of ['A', 'B', 'C'].entries()) {
            const typed = used[index]!.map((_, at) => `1${at}.0${index}`);
            draft.measured(tag, tag, typed, { jaw: index === 1 ? 'inside' : 'outside' });
          }
          for (const [at, id] of used.flat().entries()) draft.repair.readings[at]!.instrumentId = id;
          draft
            .formula('D', 'Half', 'A / 2 + B')
            .formula('E', 'All', `D + ${factors[0]} * A + ${factors[1]} * B + ${factors[2]} * C + 100 mm`);
          const graph = settled(draft.repair);
          expect(graph.standard('e')).toBeCloseTo(doubtOf(graph.result('e')).standard, 12);
        },
      ),
      { numRuns: 60 },
    );
  });

  test('a change to another instrument moves what rests on it', () => {
    const draft = new RepairDraft('x')
      .measured('A', 'One', ['20.00'])
      .measured('B', 'Other', ['30.00'])
      .formula('C', 'Sum', 'B + A');
    const graph = settled(draft.repair);
    const before = graph.standard('c');
    graph.replaceReadings('b', [{ ...draft.repair.readings[1]!, instrumentId: 'caliper-300' }]);
    graph.settle();
    // Two errors of their own are less than twice one.
    expect(graph.standard('c')).toBeLessThan(before - 0.001);
  });

  // What a caliper gets wrong, plus or minus its permissible error, of [outside, outside, inside, outside].
  const CALIPERS = {
    'the same everywhere': (one: () => number) => Array<number>(4).fill(one()),
    'otherwise inside': (one: () => number) => {
      const [outside, inside] = [one(), one()];
      return [outside, outside, inside, outside];
    },
    'otherwise all along its scale': (one: () => number) => Array.from({ length: 4 }, one),
  };
  test.each(Object.entries(CALIPERS))(
    'whether it is %s, what is stated of sums, gaps and walls holds of 95 true ones 93 and more',
    (_, errorsOf) => {
      const { uniform, normal } = noiseFrom(31);
      const held = { e: 0, f: 0, g: 0, h: 0 };
      const TRIALS = 2500;
      for (let trial = 0; trial < TRIALS; trial += 1) {
        const errors = errorsOf(() => 0.02 * (2 * uniform() - 1));
        const truth = [21.237 + 0.01 * uniform(), 34.561, 30.119 + 0.01 * uniform(), 48.72];
        const [a, b, c, d] = truth as [number, number, number, number];
        const wanted = { e: a + b + d, f: d - b, g: (b - c) / 2, h: (b - a) / 2 + d };
        const draft = new RepairDraft('x');
        for (const [index, tag] of ['A', 'B', 'C', 'D'].entries()) {
          // Walls are flat here: what knife edges do in round holes is the next group’s.
          const take = () =>
            roundTo(truth[index]! + errors[index]! + CALIPER.repeatability * normal(), 0.01).toFixed(2);
          draft.measured(tag, tag, [take(), take(), take()], { jaw: index === 2 ? 'inside' : 'outside' });
        }
        draft
          .formula('E', 'e', 'A + B + D')
          .formula('F', 'f', 'D - B')
          .formula('G', 'g', '(B - C) / 2')
          .formula('H', 'h', '(B - A) / 2 + D');
        const graph = settled(draft.repair);
        for (const key of ['e', 'f', 'g', 'h'] as const) {
          const { expanded } = doubtOf(graph.result(key));
          if (Math.abs(graph.value(key) - wanted[key]) <= expanded) held[key] += 1;
        }
      }
      for (const count of Object.values(held)) expect(count / TRIALS).toBeGreaterThan(0.93);
    },
  );

  test('a hand twice as rough as stated shows in three readings', () => {
    const { uniform, normal } = noiseFrom(32);
    const holdsOf = (times: number, count: number) => {
      let held = 0;
      for (let trial = 0; trial < 3000; trial += 1) {
        const error = 0.02 * (2 * uniform() - 1);
        const readings = Array.from({ length: count }, () =>
          roundTo(21.237 + error + times * CALIPER.repeatability * normal(), 0.01),
        );
        const mean = readings.reduce((sum, one) => sum + one, 0) / count;
        if (Math.abs(mean - 21.237) <= uncertaintyOfReadings(readings, CALIPER).expanded) held += 1;
      }
      return held / 3000;
    };
    expect(holdsOf(2, 3)).toBeGreaterThan(0.915);
    expect(holdsOf(2, 5)).toBeGreaterThan(0.925);
    expect(holdsOf(1, 3)).toBeLessThan(0.98);
  });
});

describe('jaws', () => {
  test('knife edges stand on a chord: a round hole of 3 mm reads 0.042 small, one of 10 by 0.013', () => {
    const reads = (mm: number) => Math.sqrt(mm ** 2 - 0.5 ** 2);
    expect(3 - reads(3)).toBeCloseTo(0.042, 3);
    for (const mm of [3, 6, 10, 40])
      expect(jawError(CALIPER, 'inside', reads(mm))).toBeCloseTo(mm - reads(mm), 12);
  });

  test('are part of what is unsure, but not of long jaws, and not of a micrometer', () => {
    const hole = new RepairDraft('x')
      .measured('A', 'Hole', ['2.96'], { jaw: 'inside' })
      .measured('B', 'Depth', ['2.96'], { jaw: 'depth' })
      .measured('C', 'Peg', ['2.96']);
    const graph = settled(hole.repair);
    const plain = graph.standard('c');
    expect(graph.standard('a')).toBeCloseTo(Math.hypot(plain, rectangular(0.0419)), 4);
    expect(graph.standard('b')).toBeCloseTo(Math.hypot(plain, rectangular(0.02)), 12);
    expect(
      jawError(
        INSTRUMENTS.find(({ kind }) => kind === 'micrometer')!,
        'inside',
        3,
      ),
    ).toBe(0);
  });
});

describe('a number that was stated with limits', () => {
  const draft = () =>
    new RepairDraft('x')
      .chosen('A', 'Bearing, outside', 22)
      .chosen('B', 'Wall', 2)
      .formula('C', 'Housing', 'A + 2 * B');

  test('carries them: 95 of 100 of an even spread, into what is worked out from it', () => {
    const { repair } = draft();
    Object.assign(repair.sizes[0]!, { kind: 'stated', givenPlusMinus: 0.015 });
    const graph = settled(repair);
    expect(graph.result('a')).toMatchObject({ status: 'given', value: 22 });
    expect(doubtOf(graph.result('a')).expanded).toBeCloseTo(0.95 * 0.015, 12);
    expect(graph.standard('c')).toBeCloseTo(0.015 / Math.sqrt(3), 12);
    expect(graph.value('c')).toBe(26);
  });

  test('without any, is what it is', () => {
    const graph = settled(draft().repair);
    expect(uncertaintyOf(graph.result('a'))).toBeNull();
    expect(graph.standard('c')).toBe(0);
  });
});
