import fc from 'fast-check';

import { isKnown, rectangular, SizeGraph, uncertaintyOf, type SizeResult } from '@core/measure';
import type { Repair } from '@core/model';
import { roundTo } from '@core/quantity';
import { noiseFrom } from '@core/testing/layoutDraft';
import { RepairDraft } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP, INSTRUMENTS, jawError } from '@core/workshop';

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

describe('one caliper’s error is the same in all that it measured', () => {
  const sums = new RepairDraft('x')
    .measured('A', 'One', ['20.00', '20.02'])
    .measured('B', 'Other', ['30.00', '30.02'])
    .formula('C', 'Sum', 'A + B')
    .formula('D', 'Gap', 'B - A')
    .formula('E', 'Twice', '2 * A');

  test('so that it doubles in a sum and drops out of a gap', () => {
    const graph = settled(sums.repair);
    const own = Math.sqrt(graph.standard('a') ** 2 - SHARED ** 2);
    expect(graph.standard('c')).toBeCloseTo(Math.hypot(own * Math.SQRT2, 2 * SHARED), 12);
    expect(graph.standard('d')).toBeCloseTo(own * Math.SQRT2, 12);
    expect(graph.standard('e')).toBeCloseTo(2 * graph.standard('a'), 12);
  });

  test('and stands as a share of its own in the budget', () => {
    const { contributions, standard } = doubtOf(settled(sums.repair).result('c'));
    expect(contributions.map(({ source }) => source)).toEqual(['size', 'size', 'instrument']);
    expect(contributions[2]).toMatchObject({ instrumentId: CALIPER.id, standard: 2 * SHARED });
    expect(Math.hypot(...contributions.map((part) => part.standard))).toBeCloseTo(standard, 12);
  });

  test('but another one’s is another', () => {
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
            draft.measured(
              tag,
              tag,
              used[index]!.map((_, at) => `1${at}.0${index}`),
            );
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
      .formula('C', 'Gap', 'B - A');
    const graph = settled(draft.repair);
    const before = graph.standard('c');
    graph.replaceReadings('b', [{ ...draft.repair.readings[1]!, instrumentId: 'caliper-300' }]);
    graph.settle();
    expect(graph.standard('c')).toBeGreaterThan(before + 0.005);
  });

  test('what is stated of sums, gaps and halves holds 94 to 96 % of true ones', () => {
    const { uniform, normal } = noiseFrom(31);
    const held = { d: 0, e: 0, f: 0 };
    const TRIALS = 4000;
    for (let trial = 0; trial < TRIALS; trial += 1) {
      const error = 0.02 * (2 * uniform() - 1);
      const [a, b, c] = [21.237 + 0.01 * uniform(), 34.561, 48.119 + 0.01 * uniform()];
      const truth = { a, b, c };
      const wanted = { d: a + b + c, e: c - b, f: (b - a) / 2 + c };
      const draft = new RepairDraft('x');
      for (const key of ['a', 'b', 'c'] as const) {
        // A hand whose variance is as sure as five degrees of freedom make it, anew for each size.
        const chi = Array.from({ length: 5 }, normal).reduce((sum, one) => sum + one * one, 0);
        const hand = CALIPER.repeatability * Math.sqrt(5 / chi);
        const take = () => roundTo(truth[key] + error + hand * normal(), 0.01).toFixed(2);
        draft.measured(key.toUpperCase(), key, [take(), take(), take()]);
      }
      draft.formula('D', 'd', 'A + B + C').formula('E', 'e', 'C - B').formula('F', 'f', '(B - A) / 2 + C');
      const graph = settled(draft.repair);
      for (const key of ['d', 'e', 'f'] as const) {
        const { expanded } = doubtOf(graph.result(key));
        if (Math.abs(graph.value(key) - wanted[key]) <= expanded) held[key] += 1;
      }
    }
    for (const count of Object.values(held)) expect(Math.abs(count / TRIALS - 0.95)).toBeLessThan(0.01);
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
