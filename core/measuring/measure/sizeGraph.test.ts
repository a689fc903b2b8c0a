import fc from 'fast-check';

import { isKnown, largestContribution, SizeGraph, type SizeResult } from '@core/measuring/measure';
import { letterAt, type Derivation, type Repair } from '@core/record/model';
import { RepairDraft } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';

function graphOf(repair: Repair): SizeGraph {
  const readings = new Map(
    repair.sizes.map(({ id }) => [id, repair.readings.filter(({ sizeId }) => sizeId === id)] as const),
  );
  return new SizeGraph(repair.sizes, readings, DEFAULT_WORKSHOP);
}
function settled(draft: RepairDraft): SizeGraph {
  const graph = graphOf(draft.repair);
  graph.settle();
  return graph;
}
function known(result: SizeResult) {
  if (!isKnown(result) || result.status !== 'derived') throw new Error(result.status);
  return result;
}
const construction = (
  name: string,
  inputs: Record<string, string | number>,
  result = 'result',
): Derivation => ({
  by: 'construction',
  construction: name,
  result,
  inputs: Object.fromEntries(
    Object.entries(inputs).map(([key, value]) => [
      key,
      typeof value === 'number'
        ? { from: 'number' as const, value }
        : { from: 'size' as const, id: value.toLowerCase() },
    ]),
  ),
});

describe('uncertainty through formulas, by the law of propagation', () => {
  test('a difference halved, of what two calipers measured: √(u² + v²) / 2', () => {
    const draft = new RepairDraft('x')
      .measured('A', 'Outside', ['20.00', '20.02'])
      .measured('B', 'Inside', ['16.00', '16.02'])
      .formula('C', 'Wall', '(A - B) / 2');
    for (const reading of draft.repair.readings) {
      if (reading.sizeId === 'b') reading.instrumentId = 'caliper-300';
    }
    const graph = settled(draft);
    const [a, b, c] = [graph.result('a'), graph.result('b'), known(graph.result('c'))];
    if (a.status !== 'measured' || b.status !== 'measured') throw new Error(a.status);
    const [u, v] = [a.uncertainty.standard, b.uncertainty.standard];
    expect(c.value).toBeCloseTo(2, 12);
    expect(c.uncertainty.standard).toBeCloseTo(Math.hypot(u, v) / 2, 12);
    // Welch and Satterthwaite, G.2b; what is known of hands beforehand, 5 of 6 degrees, is the same in both.
    const [x, y] = [a, b].map(
      ({ uncertainty }) => uncertainty.standard ** 2 / Math.sqrt(uncertainty.degreesOfFreedom),
    ) as [number, number];
    expect(c.uncertainty.degreesOfFreedom).toBeCloseTo(
      (u * u + v * v) ** 2 / ((x * x + y * y) / 6 + (5 / 6) * (x + y) ** 2),
      9,
    );
    expect(c.inputs).toEqual([
      { sizeId: 'a', perUnit: 0.5 },
      { sizeId: 'b', perUnit: -0.5 },
    ]);
  });

  test('GUM 5.1.6: relative uncertainties of a product add up as squares, with their exponents', () => {
    const draft = new RepairDraft('x')
      .measured('A', 'Chord', ['40.00'])
      .measured('B', 'Height', ['5.00'])
      .formula('C', 'c² / 8h', 'A^2 / (8 * B)');
    draft.repair.readings[1]!.instrumentId = 'caliper-300';
    const graph = settled(draft);
    const relative = (id: string) => {
      const result = graph.result(id);
      if (result.status !== 'measured' && result.status !== 'derived') throw new Error(result.status);
      return result.uncertainty.standard / result.value;
    };
    expect(graph.value('c')).toBe(40);
    expect(relative('c')).toBeCloseTo(Math.hypot(2 * relative('a'), relative('b')), 12);
    expect(largestContribution(known(graph.result('c')).uncertainty)!.sizeId).toBe('b');
  });

  test('a size that comes in twice is not taken for two', () => {
    const graph = settled(
      new RepairDraft('x')
        .measured('A', 'Pin', ['6.00'])
        .formula('B', 'Half', 'A / 2')
        .formula('C', 'Whole again', 'B + A / 2')
        .formula('D', 'Nothing', 'A - B * 2 + 1 mm'),
    );
    const a = graph.result('a');
    if (a.status !== 'measured') throw new Error(a.status);
    expect(known(graph.result('c')).uncertainty.standard).toBeCloseTo(a.uncertainty.standard, 12);
    expect(known(graph.result('d')).uncertainty.standard).toBeCloseTo(0, 12);
  });

  test('chosen sizes have none', () => {
    const graph = settled(new RepairDraft('x').chosen('A', 'Wall', 3).formula('B', 'Two', '2 * A'));
    expect(known(graph.result('b')).uncertainty.expanded).toBe(0);
  });

  test('constructions propagate as formulas do', () => {
    const graph = settled(
      new RepairDraft('x')
        .measured('A', 'Across', ['40.00'])
        .measured('B', 'Height', ['5.00'])
        .formula('C', 'By formula', 'A^2 / (8 * B) + B / 2')
        .formula('D', 'By construction', '', {
          derivation: construction('radius-from-chord', { chord: 'A', height: 'B' }),
        }),
    );
    const [c, d] = [known(graph.result('c')), known(graph.result('d'))];
    expect(d.value).toBe(c.value);
    expect(d.uncertainty.standard).toBeCloseTo(c.uncertainty.standard, 8);
  });
});

describe('what can’t be worked out says why', () => {
  test('sizes in a circle are named in order, each from its own place', () => {
    const graph = settled(
      new RepairDraft('x')
        .formula('A', 'a', 'B + 1')
        .formula('B', 'b', '2 * C')
        .formula('C', 'c', 'A / 3')
        .formula('D', 'behind it', 'A + 1'),
    );
    expect(graph.result('b')).toMatchObject({
      status: 'impossible',
      fault: { code: 'formula.cycle', tags: ['B', 'C', 'A'] },
    });
    expect(graph.result('a')).toMatchObject({ fault: { tags: ['A', 'B', 'C'] } });
    expect(graph.result('d').status).toBe('wanted');
  });

  test('a size that uses itself is a circle of one', () => {
    const graph = settled(new RepairDraft('x').formula('A', 'a', 'A + 1'));
    expect(graph.result('a')).toMatchObject({ fault: { code: 'formula.cycle', tags: ['A'] } });
  });

  test('the first size still to be taken is named through a chain', () => {
    const graph = settled(
      new RepairDraft('x').measured('A', 'Pin', []).formula('B', 'b', 'A / 2').formula('C', 'c', 'B + 1'),
    );
    expect(graph.result('c')).toEqual({ status: 'wanted', count: 0, waitsFor: { tag: 'A', name: 'Pin' } });
  });

  test.each([
    ['A * B / (B - B)', 'formula.divisionByZero'],
    ['sqrt(B * B - A * A)', 'formula.notReal'],
    ['A + Z', 'formula.unknownSize'],
    ['A + 30°', 'formula.mixedUnits'],
    ['A * B', 'formula.wrongResult'],
  ])('%s: %s', (text, code) => {
    const graph = settled(
      new RepairDraft('x')
        .chosen('A', 'a', 5)
        .chosen('B', 'b', 3)
        .formula('C', 'c', text)
        .formula('D', 'd', 'C'),
    );
    expect(graph.result('c')).toMatchObject({ status: 'impossible', fault: { code } });
    expect(graph.result('d')).toMatchObject({ status: 'wanted', waitsFor: { tag: 'C' } });
  });

  test('a size that rests on more measured ones than any use has', () => {
    const draft = new RepairDraft('x');
    const tagAt = (index: number) => letterAt(index);
    // Sums of sums: each adds one more measured size to the one before it.
    let last = '';
    for (let index = 0; index < 402; index += 1) {
      const [measured, sum] = [tagAt(2 * index), tagAt(2 * index + 1)];
      draft.measured(measured, measured, ['1.00']);
      draft.formula(sum, sum, last ? `${last} + ${measured}` : measured);
      last = sum;
    }
    const graph = settled(draft);
    expect(known(graph.result(tagAt(2 * 399 + 1).toLowerCase())).uncertainty.contributions).toHaveLength(401);
    expect(graph.result(tagAt(2 * 400 + 1).toLowerCase())).toMatchObject({
      fault: { code: 'size.tooManyRoots', limit: 400 },
    });
    expect(graph.result(last.toLowerCase())).toMatchObject({ status: 'wanted' });
  });

  test('a triangle that does not close tells the gap', () => {
    const graph = settled(
      new RepairDraft('x').formula('A', 'Third hole', '', {
        derivation: construction('triangle-of-holes', { base: 40, left: 15, right: 20 }, 'up'),
      }),
    );
    expect(graph.result('a')).toMatchObject({ fault: { code: 'triangle.open', gapMm: 5 } });
  });

  test('three holes in one line have a place, and a doubt that is a number', () => {
    const graph = settled(
      new RepairDraft('x')
        .measured('A', 'One to two', ['40.00'])
        .measured('B', 'One to three', ['15.00'])
        .measured('C', 'Two to three', ['25.00'])
        .formula('D', 'Up', '', {
          derivation: construction('triangle-of-holes', { base: 'A', left: 'B', right: 'C' }, 'up'),
        })
        .formula('E', 'Along', '', {
          derivation: construction('triangle-of-holes', { base: 'A', left: 'B', right: 'C' }, 'along'),
        }),
    );
    const [up, along] = [known(graph.result('d')), known(graph.result('e'))];
    expect([up.value, along.value]).toEqual([expect.closeTo(0, 9), expect.closeTo(15, 9)]);
    expect(Number.isFinite(along.uncertainty.expanded)).toBe(true);
    // A hundredth too much on a leg lifts the third hole by √(2 · 0.01 · 9.4), nearly half a millimetre.
    expect(up.uncertainty.expanded).toBeGreaterThan(0.5);
    expect(up.uncertainty.expanded).toBeLessThan(5);
  });

  test('a size that comes to less than nothing is not built on', () => {
    const graph = settled(
      new RepairDraft('x')
        .measured('A', 'Short', ['10.00'])
        .measured('B', 'Long', ['12.00'])
        .formula('C', 'Height', 'A - B')
        .formula('D', 'Radius', '', {
          derivation: construction('radius-from-chord', { chord: 'A', height: 'C' }),
        }),
    );
    expect(graph.result('d')).toMatchObject({
      status: 'impossible',
      fault: {
        code: 'construction.notPossible',
        what: { construction: 'radius-from-chord', key: 'height' },
        why: 'notAboveZero',
      },
    });
  });

  test('a construction whose size was thrown away says which input', () => {
    const graph = settled(
      new RepairDraft('x').formula('A', 'Wall', '', {
        derivation: construction('wall', { outside: 'Q', inside: 16 }),
      }),
    );
    expect(graph.result('a')).toMatchObject({
      fault: { code: 'size.gone', what: { construction: 'wall', key: 'outside' } },
    });
  });

  test('an angle where a length belongs', () => {
    const graph = settled(
      new RepairDraft('x')
        .formula('A', 'Tilt', 'atan(1)', { quantity: 'angle' })
        .formula('B', 'Wall', '', { derivation: construction('wall', { outside: 'A', inside: 16 }) }),
    );
    expect(graph.result('a')).toMatchObject({ value: expect.closeTo(Math.PI / 4, 12) });
    expect(graph.result('b')).toMatchObject({ fault: { code: 'size.wrongQuantity', got: 'angle' } });
  });
});

describe('settling after a change', () => {
  /** Sizes that each use up to two earlier ones, over three measured ones. */
  const drafts = fc
    .array(fc.tuple(fc.nat(), fc.nat(), fc.constantFrom('A + B', 'A - B / 2', 'hypot(A; B)', 'A / 2')), {
      minLength: 1,
      maxLength: 25,
    })
    .map((made) => {
      const draft = new RepairDraft('x');
      const tags = ['MA', 'MB', 'MC'];
      for (const tag of tags) draft.measured(tag, tag, ['10.00']);
      for (const [index, [first, second, shape]] of made.entries()) {
        const [one, other] = [tags[first % tags.length]!, tags[second % tags.length]!];
        const tag = `D${index}`;
        draft.formula(tag, tag, shape.replaceAll('A', 'x').replaceAll('B', other).replaceAll('x', one));
        tags.push(tag);
      }
      return draft.repair;
    });

  test('gives what a fresh graph gives, values and uncertainties', () => {
    fc.assert(
      fc.property(
        drafts,
        fc.constantFrom('ma', 'mb', 'mc'),
        fc.integer({ min: 1, max: 90 }),
        (repair, id, mm) => {
          const graph = graphOf(repair);
          graph.settle();
          const readings = repair.readings.map((reading) =>
            reading.sizeId === id ? { ...reading, value: mm, typed: `${mm}` } : reading,
          );
          graph.replaceReadings(
            id,
            readings.filter(({ sizeId }) => sizeId === id),
          );
          graph.settle();
          const fresh = graphOf({ ...repair, readings });
          fresh.settle();
          for (const size of repair.sizes) expect(graph.result(size.id)).toEqual(fresh.result(size.id));
        },
      ),
    );
  });

  test('visits what depends on the change and nothing else', () => {
    const { repair } = new RepairDraft('x')
      .measured('A', 'a', ['1.00'])
      .measured('B', 'b', ['2.00'])
      .formula('C', 'c', 'A + 1')
      .formula('D', 'd', 'C + B')
      .formula('E', 'e', 'B + 1');
    const graph = graphOf(repair);
    expect(graph.settle()).toBe(5);
    expect(graph.settle()).toBe(0);
    graph.replaceReadings('a', [{ ...repair.readings[0]!, value: 7 }]);
    expect(graph.settle()).toBe(3);
    expect([graph.value('d'), graph.value('e')]).toEqual([10, 3]);
  });

  test('a reading that only makes a size surer changes the doubt of what rests on it, not its value', () => {
    const { repair } = new RepairDraft('x')
      .measured('A', 'a', ['10.00', '10.10'])
      .formula('B', 'b', 'A / 2')
      .formula('C', 'c', 'hypot(B; 3 mm)');
    const graph = graphOf(repair);
    const before = known(graph.result('c'));
    const [one, two] = repair.readings as [(typeof repair.readings)[0], (typeof repair.readings)[0]];
    const more = [1, 2, 3, 4].map((number) => ({
      ...(number % 2 === 0 ? one : two),
      id: `more-${number}`,
    }));
    graph.replaceReadings('a', [...repair.readings, ...more]);
    const after = known(graph.result('c'));
    expect(after.value).toBe(before.value);
    expect(after.uncertainty.standard).toBeLessThan(before.uncertainty.standard / 1.5);
    expect(graph.standard('c')).toBeCloseTo(after.uncertainty.standard, 12);
  });

  test('a size comes and goes with its readings', () => {
    const { repair } = new RepairDraft('x').measured('A', 'a', ['10.00']).formula('B', 'b', 'sqrt(A * A)');
    const graph = graphOf(repair);
    expect(known(graph.result('b')).value).toBe(10);
    graph.replaceReadings('a', []);
    expect(graph.result('b')).toMatchObject({ status: 'wanted', waitsFor: { tag: 'A' } });
    graph.replaceReadings('a', [{ ...repair.readings[0]!, value: 12 }]);
    expect(known(graph.result('b'))).toMatchObject({ value: 12 });
    expect(graph.standard('b')).toBeCloseTo(graph.standard('a'), 12);
  });

  test('a failure goes when its cause does', () => {
    const { repair } = new RepairDraft('x')
      .measured('A', 'a', ['3.00'])
      .measured('B', 'b', ['5.00'])
      .formula('C', 'c', 'sqrt(A * A - B * B)')
      .formula('D', 'd', 'C + 1');
    const graph = graphOf(repair);
    expect(graph.result('c')).toMatchObject({ fault: { code: 'formula.notReal' } });
    expect(graph.result('d')).toMatchObject({ status: 'wanted' });
    graph.replaceReadings('a', [{ ...repair.readings[0]!, value: 13 }]);
    expect(known(graph.result('c')).value).toBe(12);
    expect(known(graph.result('d')).value).toBe(13);
  });

  test('values alone come first, uncertainties when they are asked for', () => {
    const { repair } = new RepairDraft('x').measured('A', 'a', ['1.00']).formula('B', 'b', '2 * A');
    const [fast, whole] = [graphOf(repair), graphOf(repair)];
    fast.settle('values');
    whole.settle();
    expect(fast.value('b')).toBe(2);
    expect(fast.result('b')).toEqual(whole.result('b'));
  });
});
