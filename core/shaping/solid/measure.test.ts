import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel, TaggedSolid } from '@core/shaping/kernel';
import type { Step } from '@core/record/model';
import type { Picked } from '@core/shaping/part';
import { testKernel } from '@core/testing/kernel';
import { block, outlineOf, raised, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { clearance, measure } from './measure';
import { RepairBuilder } from './repairBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

function withSolids(
  bodies: Record<string, Step[]>,
  work: (solids: Record<string, TaggedSolid>) => void,
): void {
  const draft = new RepairDraft('Measured');
  for (const [id, steps] of Object.entries(bodies)) draft.body(id, id, steps);
  const builder = new RepairBuilder(kernel);
  const built = builder.build(draft.repair.bodies, evaluateRepair(draft.repair));
  work(Object.fromEntries([...built].map(([id, { solid }]) => [id, solid!])));
  builder.dispose();
}

const base = block(40, 20, 10);

const bore = stepOf('hole', { diameter: 6, depth: 'through', x: 5, y: 0 });

const face = (tag: string, near: Picked['near'] = [0, 0, 0]): Picked => ({ kind: 'face', tag, near });

const edge = (a: string, b: string, near: Picked['near'] = [0, 0, 0]): Picked => ({
  kind: 'edge',
  tags: [a, b],
  near,
});

test('one face: its area, its diameter, and the wall under the point', () => {
  withSolids({ a: [base, bore] }, ({ a }) => {
    const front = measure({ solid: a!, picked: face(`${base.id}:front`, [-10, -10, 5]) }, null)!;
    expect(front.things).toEqual([{ kind: 'plane', areaMm2: expect.closeTo(400, 6) as number }]);
    expect(front.wallMm).toBeCloseTo(20, 6);
    // In front of the bore the wall ends at it.
    const before = measure({ solid: a!, picked: face(`${base.id}:front`, [5, -10, 5]) }, null)!;
    expect(before.wallMm).toBeCloseTo(7, 6);
    const wall = measure({ solid: a!, picked: face(`${bore.id}:wall`, [2, 0, 5]) }, null)!;
    expect(wall.things[0]).toMatchObject({ kind: 'cylinder', diameterMm: 6 });
    expect(wall.wallMm).toBeCloseTo(22, 6);
  });
});

test('edges: a line, a circle', () => {
  withSolids({ a: [base, bore] }, ({ a }) => {
    const line = measure({ solid: a!, picked: edge(`${base.id}:front`, `${base.id}:top`) }, null)!;
    expect(line.things).toEqual([{ kind: 'line', lengthMm: expect.closeTo(40, 6) as number }]);
    const circle = measure({ solid: a!, picked: edge(`${bore.id}:wall`, `${base.id}:top`) }, null)!;
    expect(circle.things[0]).toMatchObject({ kind: 'circle', diameterMm: 6 });
    expect(measure({ solid: a!, picked: edge('no:front', 'no:top') }, null)).toBeNull();
  });
});

test('corners: where they are, how far from each other, from a face, and from the axis of a bore', () => {
  withSolids({ a: [base, bore] }, ({ a }) => {
    const corner = (near: Picked['near']): Picked => ({ kind: 'corner', near });
    const far = corner([19.7, 10.2, 9.9]);
    const alone = measure({ solid: a!, picked: far }, null)!;
    expect(alone.things).toEqual([{ kind: 'corner', at: [20, 10, 10] }]);
    const to = (other: Picked) => measure({ solid: a!, picked: far }, { solid: a!, picked: other })!;
    expect(to(corner([-20, -10, 0])).distance!.mm).toBeCloseTo(Math.hypot(40, 20, 10), 9);
    expect(to(face(`${base.id}:left`)).distance!.mm).toBeCloseTo(40, 9);
    // The axis stands at (5, 0): what is along it does not count, whichever is picked first.
    const axis = face(`${bore.id}:wall`);
    expect(to(axis).centres!.mm).toBeCloseTo(Math.hypot(15, 10), 9);
    const turned = measure({ solid: a!, picked: axis }, { solid: a!, picked: far })!;
    expect(turned.centres!.mm).toBeCloseTo(Math.hypot(15, 10), 9);
    expect(turned.angle).toBeNull();
  });
});

test('between two things: the shortest way, and the angle', () => {
  withSolids({ a: [base, bore] }, ({ a }) => {
    const between = (first: Picked, second: Picked) =>
      measure({ solid: a!, picked: first }, { solid: a!, picked: second })!;
    const sides = between(face(`${base.id}:left`), face(`${base.id}:right`));
    expect(sides.distance!.mm).toBeCloseTo(40, 6);
    expect(sides.angle).toBeCloseTo(0, 6);
    const corner = between(face(`${base.id}:left`), face(`${base.id}:top`));
    expect(corner.angle).toBeCloseTo(Math.PI / 2, 6);
    const toBore = between(face(`${base.id}:right`), face(`${bore.id}:wall`));
    expect(toBore.distance!.mm).toBeCloseTo(12, 6);
    // The axis of the bore lies in the plane of the side.
    expect(toBore.angle).toBeCloseTo(0, 6);
    const slanted = between(edge(`${base.id}:front`, `${base.id}:top`), face(`${base.id}:right`));
    expect(slanted.angle).toBeCloseTo(Math.PI / 2, 6);
  });
});

test('clearance between bodies, with its ends; and how much they overlap', () => {
  const pin = (diameter: number) => [raised(outlineOf('circle', { diameter }), 20, { x: 5 })];
  withSolids({ a: [base, bore], loose: pin(5.5), tight: pin(6.5) }, ({ a, loose, tight }) => {
    const room = clearance(a!, loose!)!;
    expect(room.mm).toBeCloseTo(0.25, 6);
    expect(room.overlapMm3).toBe(0);
    const [dx, dy] = [room.from[0] - room.to[0], room.from[1] - room.to[1]];
    expect(Math.hypot(dx, dy)).toBeCloseTo(0.25, 6);
    expect(clearance(a!, tight!)!.overlapMm3).toBeCloseTo(Math.PI * (3.25 ** 2 - 9) * 10, 3);
  });
});

test('two round things: their centres, or the axes they turn about', () => {
  const other = stepOf('hole', { diameter: 4, depth: 4, x: -9, y: 6 });
  const pin = stepOf('peg', { diameter: 5, height: 8, on: 'front', x: 12, y: 5 });
  withSolids({ a: [base, bore, other, pin] }, ({ a }) => {
    const centres = (first: Picked, second: Picked) =>
      measure({ solid: a!, picked: first }, { solid: a!, picked: second })!.centres;
    const [one, two] = [face(`${bore.id}:wall`), face(`${other.id}:wall`)];
    // Fourteen to the left and six to the back, whatever their depths.
    expect(centres(one, two)!.mm).toBeCloseTo(Math.hypot(14, 6), 6);
    const rim = edge(`${other.id}:wall`, `${base.id}:top`, [-9, 4, 10]);
    expect(centres(face(`${bore.id}:wall`), rim)!.mm).toBeCloseTo(Math.hypot(14, 6), 6);
    expect(centres(one, one)!.mm).toBeCloseTo(0, 9);
    // Axes that are not parallel have no one distance: their middles do.
    const wall = face(`${pin.id}:wall`, [12, -14, 7.5]);
    expect(centres(wall, one)!.mm).toBeCloseTo(Math.hypot(7, 14), 6);
    expect(centres(face(`${base.id}:top`), one)).toBeNull();
  });
});
