import { evaluateRepair } from '@core/fitting/fit';
import type { Step } from '@core/record/model';
import { gearRadii, halfToothAngle } from '@core/shaping/outline';
import type { MassProperties } from '@core/shaping/part';
import { RepairBuilder } from '@core/shaping/solid';
import { ridgeOf, threadArea, threadForm, THREADS } from '@core/foundations/standards';
import { testKernel } from '@core/testing/kernel';
import { block, outlineOf, plain, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';
import { expectNear } from '@core/testing/volumes';

import type { Kernel } from './kernel';
import { massProperties } from './massProperties';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

function propertiesOf(...steps: Step[]): MassProperties {
  const { repair } = new RepairDraft('x').body('b', 'b', steps);
  const builder = new RepairBuilder(kernel);
  const { solid } = builder.build(repair.bodies, evaluateRepair(repair)).get('b')!;
  const found = massProperties(kernel, solid!.shape);
  builder.dispose();
  return found;
}

/** By Simpson's rule. */
function integral(value: (at: number) => number, from: number, to: number, steps = 2000): number {
  const step = (to - from) / steps;
  let sum = 0;
  for (let index = 0; index < steps; index += 1) {
    const at = from + index * step;
    sum += (step / 6) * (value(at) + 4 * value(at + step / 2) + value(at + step));
  }
  return sum;
}

test('a block with a peg, by hand', () => {
  const { volumeMm3, centre, momentMm5 } = propertiesOf(
    block(40, 20, 10),
    stepOf('peg', { diameter: 8, height: 6, x: 10, y: 0 }),
  );
  const peg = Math.PI * 16 * 6;
  const x = (10 * peg) / (8000 + peg);
  expectNear(volumeMm3, 8000 + peg);
  expectNear(centre[0], x);
  expectNear(centre[2], (5 * 8000 + 13 * peg) / (8000 + peg));
  // Steiner: each about its own axis, and what it is away from the common one.
  const own = (8000 * (1600 + 400)) / 12 + (peg * 16) / 2;
  expectNear(momentMm5, own + 8000 * x * x + peg * (10 - x) ** 2);
});

test('a modelled M8 of 12 mm: weight, balance and moment, against its section integrated along it', () => {
  const found = propertiesOf(
    stepOf('thread', {
      on: 'bottom',
      x: 0,
      y: 0,
      side: 'outside',
      size: 'M8',
      length: 12,
      play: 0.05,
      made: 'modelled',
    }),
  );
  const form = threadForm(THREADS.find(({ name }) => name === 'M8')!);
  const ridge = ridgeOf(form, 'outside', 0.05)!;
  const { coreRadius: a, crestRadius, coreHalf, crestHalf } = ridge;
  // The lead at the top: there the thread ends at a radius that falls by a millimetre a millimetre.
  const end = (z: number) => a + (12 - z);
  /** Second moment of a section about the axis: of the core, and of the ridge, which is 2 w(r) of each pitch wide. */
  const polar = (z: number) => {
    const reach = Math.min(end(z), crestRadius);
    const half = (r: number) => coreHalf + ((crestHalf - coreHalf) * (r - a)) / (crestRadius - a);
    const ridgePart = integral((r) => half(r) * r ** 3, a, reach, 60);
    return (Math.PI * a ** 4) / 2 + (4 * Math.PI * ridgePart) / form.pitchMm;
  };
  // Apart where the lead meets the crests: there it kinks.
  const kink = 12 - (crestRadius - a);
  const whole = (value: (z: number) => number) =>
    integral(value, 0, kink, 200) + integral(value, kink, 12, 400);
  const area = (z: number) => threadArea(form, ridge, end(z));
  const volume = whole(area);
  expectNear(found.volumeMm3, volume, 1e-4);
  expectNear(found.centre[2], whole((z) => z * area(z)) / volume, 1e-4);
  expectNear(found.momentMm5, whole(polar), 2e-4);
  // One ridge that winds up balances on the axis but for its lead.
  expect(Math.hypot(found.centre[0], found.centre[1])).toBeLessThan(0.02);
}, 60_000);

test('a gear of 24 teeth: weight, balance and moment, against the involute integrated', () => {
  const gear = { teeth: 24, pressure: (20 * Math.PI) / 180, shift: 0.1, side: 'outside' as const };
  const known = { ...gear, module: 1, backlash: 0.05 };
  const found = propertiesOf(
    raised({ shape: 'gear', ...gear, ...plain({ module: 1, backlash: 0.05 }) } as never, 6),
  );
  const { root, base, tip } = gearRadii(known);
  // A ring at r is tooth for 2 z ψ(r) of its way round; below the base circle ψ does not change.
  const tooth = (r: number) => 2 * 24 * halfToothAngle(known, Math.max(r, base));
  const parts = (value: (r: number) => number) =>
    root < base ? integral(value, root, base) + integral(value, base, tip) : integral(value, root, tip);
  expectNear(found.volumeMm3, 6 * (Math.PI * root ** 2 + parts((r) => tooth(r) * r)), 2e-4);
  expectNear(found.momentMm5, 6 * ((Math.PI * root ** 4) / 2 + parts((r) => tooth(r) * r ** 3)), 3e-4);
  expectNear(found.centre[2], 3, 1e-6);
  expect(Math.hypot(found.centre[0], found.centre[1])).toBeLessThan(1e-6);
});

test('what has been stretched has its moments stretched', () => {
  const [x, y, z] = [1.2, 0.9, 1.1];
  const stretched = {
    ...stepOf('move', { dx: 0, dy: 0, dz: 0, axis: 'z', turn: 0 }),
    scale: { x, y, z },
  } as Step;
  const oval = propertiesOf(raised(outlineOf('circle', { diameter: 20 }), 10), stretched);
  const [a, b, h] = [10 * x, 10 * y, 10 * z];
  expectNear(oval.volumeMm3, Math.PI * a * b * h, 1e-8);
  expectNear(oval.momentMm5, (Math.PI * a * b * h * (a * a + b * b)) / 4, 3e-4);
});
