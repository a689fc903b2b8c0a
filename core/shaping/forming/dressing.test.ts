import type { Kernel } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { block, buildPiece, outlineOf, raised, stepOf } from '@core/testing/pieces';
import { expectNear, wholeVolume } from '@core/testing/volumes';
import { sentenceOf } from '@core/reporting/wording';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

const dress = (kind: 'fillet' | 'chamfer', size: number, where: object) =>
  ({ ...stepOf(kind, { size }), where }) as unknown as Step;

const faultsOf = (...steps: Step[]) => buildPiece(kernel, steps).faults as { mostMm?: number; at?: string }[];

describe('rounds that the kernel can’t make all at once', () => {
  test('are made one after the other: at the mouth of a slot and at its floor, each into the other', () => {
    const [r, deep, breadth, length] = [2.1, 3.3, 4.7, 12.3];
    const base = block(30.6, 23.1, 4.3);
    const slot = raised(outlineOf('slot', { length, breadth }), deep, {
      effect: 'cut',
      on: 'top',
      x: -5.3,
      y: -2,
    });
    const made = wholeVolume(kernel, base, slot, dress('fillet', r, { edges: 'all', of: slot.id }));
    // In section: a round at the mouth, and one at the floor that touches it. `aside`: how far the wall has moved out.
    const foot = r - Math.sqrt((2 * r) ** 2 - (2 * r - deep) ** 2);
    const meet = r - (2 * r - deep) / 2;
    const aside = (z: number) =>
      z < meet
        ? foot + Math.sqrt(r * r - (z - r) ** 2)
        : r - Math.sqrt(Math.max(0, r * r - (z - deep + r) ** 2));
    const slices = 20_000;
    let taken = 0;
    for (let slice = 0; slice < slices; slice += 1) {
      const half = breadth / 2 + aside(((slice + 0.5) * deep) / slices);
      taken += ((length - breadth) * 2 * half + Math.PI * half ** 2) * (deep / slices);
    }
    expectNear(30.6 * 23.1 * 4.3 - made, taken, 1e-3);
  });
});

describe('where there is no room, it is said where, and how much would go', () => {
  const base = block(40, 20, 10);

  test.each<['fillet' | 'chamfer', number]>([
    ['fillet', 6],
    ['chamfer', 12],
  ])('%s of the upper and lower edges of a block 10 high', (kind, size) => {
    const [fault] = faultsOf(base, dress(kind, size, { edges: 'rims', of: base.id }));
    // Half the height, less the tenth that it is rounded down to.
    expect(fault).toMatchObject({
      code: 'chamfer.tooLarge',
      at: expect.arrayContaining([expect.objectContaining({ place: 1 })]) as never,
    });
    expect(fault!.mostMm).toBeGreaterThan(4.5);
    expect(fault!.mostMm).toBeLessThanOrEqual(5);
    expect(sentenceOf(fault as never)).toMatch(
      /^There is no room to (round|ease) these edges by .* mm, where .* meets .*\. About 4\.\d0 mm goes: make it no larger, or choose other edges\.$/,
    );
    // And it does.
    const smaller = dress(kind, fault!.mostMm!, { edges: 'rims', of: base.id });
    expect(buildPiece(kernel, [base, smaller]).faults).toEqual([]);
  });

  test('edges that are neither straight nor round are not tried again: it is only said where they are', () => {
    const ring = stepOf('torus', { effect: 'add', across: 14, thick: 5, up: -6, on: 'top', x: 4, y: 0 });
    const peg = stepOf('peg', { diameter: 8, height: 6, x: -3, y: 0 });
    const [fault] = faultsOf(
      base,
      peg,
      ring,
      dress('fillet', 9, { edges: 'between', of: ring.id, and: peg.id }),
    );
    expect(fault).toMatchObject({
      code: 'chamfer.tooLarge',
      mostMm: null,
    });
    expect(sentenceOf(fault as never)).toMatch(
      /, where the wall of step [23] meets the (wall|top) of step [23]\. Make it smaller/,
    );
  });

  test('an ease of two lengths keeps their proportion', () => {
    const uneven = dress('chamfer', 12, {
      edges: 'picked',
      picks: [{ tags: [`${base.id}:front`, `${base.id}:top`], near: [0, -10, 10] }],
    });
    const [fault] = faultsOf(base, { ...uneven, other: { length: { from: 'number', mm: 24 } } } as Step);
    // On the front, which is 10 high, or on the top, which is 20 wide: whichever is the first.
    expect(fault!.mostMm).toBeGreaterThan(4.5);
    expect(fault!.mostMm).toBeLessThanOrEqual(10);
  });
});
