import { numberValue, type Repair } from '@core/record/model';
import { DEFAULT_WORKSHOP } from '@core/record/workshop';
import { withField } from '@core/shaping/recipe';
import { testKernel } from '@core/testing/kernel';
import { rackWheel } from '@core/testing/repairDraft';

import { BodyBench } from './bodyBench';

jest.setTimeout(60_000);

const wheel = rackWheel();
const [body] = wheel.bodies as [Repair['bodies'][number]];
/** The wheel with its groove at another depth. */
const from = (mm: number) => ({
  state: {
    ...wheel,
    bodies: wheel.bodies.map((one) =>
      one.id === body.id ? { ...one, steps: withField(one.steps, 'groove', 'depth', numberValue(mm)) } : one,
    ),
  },
  workshop: DEFAULT_WORKSHOP,
});
const radii = (positions: Float32Array) =>
  Array.from({ length: positions.length / 3 }, (_, at) =>
    Math.hypot(positions[3 * at]!, positions[3 * at + 1]!),
  );

test('a number’s range is built at both ends; the floor of a groove goes where its depth says', async () => {
  const bench = new BodyBench(await testKernel(), () => {});
  const morph = bench.morph(body.id, from(3), from(2.5), from(3.5))!;
  const { mesh, low, high } = morph;
  // Points on the floor of the groove, 3 mm in from the rim.
  const rim = Math.max(...radii(mesh.positions));
  const floor = radii(mesh.positions).flatMap((r, at) => (Math.abs(r - (rim - 3)) < 1e-3 ? [at] : []));
  expect(floor.length).toBeGreaterThan(10);
  const [before, after] = [radii(low!.target!.positions), radii(high!.target!.positions)];
  for (const at of floor) {
    expect(before[at]).toBeCloseTo(rim - 2.5, 3);
    expect(after[at]).toBeCloseTo(rim - 3.5, 3);
  }
});

test('an end that can’t be built is none, and a part that can’t be built as it is has no range', async () => {
  const bench = new BodyBench(await testKernel(), () => {});
  // Deeper than the wheel is wide: it falls apart or is gone.
  const deep = bench.morph(body.id, from(3), from(2.5), from(40));
  expect(deep?.low?.target).toBeTruthy();
  expect(deep?.high).toBeNull();
  expect(bench.morph(body.id, from(40), from(3), from(3.5))).toBeNull();
});
