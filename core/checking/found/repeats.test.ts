import { Matrix4 } from 'three';

import { broken, offOf, scanOf } from '@core/testing/fragments';
import { LONG } from '@core/testing/long';
import { manifoldKernel, meshOfManifold } from '@core/testing/manifold';

import { waysOver } from './index';

jest.setTimeout(300_000);

const HIGH = 10;

/** A wheel of four cells between spokes; a key in its bore on one side alone tells them apart, or nothing does. */
async function wheel(hasKey: boolean) {
  const { Manifold } = await manifoldKernel();
  const disc = (d: number, h: number, z = 0) => Manifold.cylinder(h, d / 2, d / 2, 64).translate([0, 0, z]);
  const box = (x: number, y: number, z: number) => Manifold.cube([x, y, z], true);
  const cells = disc(48, 20, -5)
    .subtract(disc(18, 30, -10))
    .subtract(box(100, 5, 60))
    .subtract(box(5, 100, 60));
  const plain = disc(60, HIGH)
    .subtract(cells)
    .subtract(disc(10, 30, -10));
  return hasKey ? plain.add(box(3, 3, 6).translate([4, 0, 3])) : plain;
}

/** Turns that leave a wheel without a key as it is: quarters about its axis, and turned over. */
const ALIKE = [0, 1].flatMap((over) =>
  [0, 1, 2, 3].map((quarter) =>
    new Matrix4()
      .makeTranslation(0, 0, HIGH / 2)
      .multiply(new Matrix4().makeRotationX(over * Math.PI))
      .multiply(new Matrix4().makeRotationZ((quarter * Math.PI) / 2))
      .multiply(new Matrix4().makeTranslation(0, 0, -HIGH / 2)),
  ),
);

const CASES: [string, boolean, number][] = [
  ['whole', false, 1],
  ['three quarters, told apart by a key', true, 0.75],
  ['whole, told apart by a key', true, 1],
  ['three quarters', false, 0.75],
];

// All four take half a minute: with EVEN_SPARE_LONG=1.
test.each(LONG ? CASES : CASES.slice(0, 2))(
  'a wheel of four cells, %s: it lies where it was, and where it looks the same',
  async (_, hasKey, share) => {
    const solid = await wheel(hasKey);
    const piece = share === 1 ? solid : broken(solid, share, [1, 0.3, 0.05]);
    const found = waysOver(scanOf(piece, 21), meshOfManifold(solid), 'wheel.stl');
    if (!found.ok) throw new Error(found.fault.code);
    const lies = (alike: Matrix4) =>
      found.value.ways.some(({ place }) => offOf(meshOfManifold(piece), alike.clone().multiply(place)) < 0.2);
    expect(lies(new Matrix4())).toBe(true);
    if (!hasKey) expect(ALIKE.every(lies)).toBe(true);
  },
);
