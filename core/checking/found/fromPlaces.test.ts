import { type Matrix4, Vector3 } from 'three';

import type { Vec3 } from '@core/foundations/vectors';
import type { WeldedMesh } from '@core/shaping/part';
import { lotsOf } from '@core/fitting/rehearsal';
import { broken, brokenParts, offOf, scanOf, SOMEWHERE } from '@core/testing/fragments';
import { meshOfManifold } from '@core/testing/manifold';

import { waysFromPlaces, type PlacePair } from './fromPlaces';

jest.setTimeout(100_000);

const moved = (at: Vec3, place: Matrix4): Vec3 =>
  new Vector3(...at).applyMatrix4(place).toArray() as unknown as Vec3;

/** Three corners of the piece far apart, pointed at on the scan and on the part, each missed by a finger. */
function pointedAt(piece: WeldedMesh, missedMm: number, normal: () => number): PlacePair[] {
  const corners = Array.from({ length: piece.positions.length / 3 }, (_, at) =>
    new Vector3().fromArray(piece.positions, 3 * at),
  );
  const furthest = (worth: (at: Vector3) => number) =>
    corners.reduce((best, at) => (worth(at) > worth(best) ? at : best));
  const first = furthest((at) => at.x + 0.3 * at.y);
  const second = furthest((at) => at.distanceTo(first));
  const third = furthest((at) => at.clone().sub(first).cross(second.clone().sub(first)).length());
  const missed = (at: Vector3) =>
    at
      .clone()
      .add(new Vector3(normal(), normal(), normal()).multiplyScalar(missedMm))
      .toArray() as Vec3;
  return [first, second, third].map((at) => ({
    found: moved(missed(at), SOMEWHERE),
    spare: missed(at),
  }));
}

test('by three places, missed by 0.6 mm along each axis, fragments of a quarter lie where they were, or it is said that they may not', async () => {
  const all = Object.entries(await brokenParts());
  const wrong: string[] = [];
  let right = 0;
  for (const [index, [name, solid]] of all.entries()) {
    const { normal } = lotsOf(40 + index);
    const spare = meshOfManifold(solid);
    const piece = broken(solid, 0.25, index % 2 === 0 ? [1, 0.2, 0.1] : [-0.4, 1, 0.3]);
    const ways = waysFromPlaces(
      scanOf(piece, 7 + index),
      spare,
      pointedAt(meshOfManifold(piece), 0.6, normal),
    );
    if (!ways.ok) throw new Error(ways.fault.code);
    const off = offOf(meshOfManifold(piece), ways.value.ways[0]!.place);
    if (off < 0.2) right += 1;
    else if (ways.value.isSure) wrong.push(`${name}: off by ${off.toFixed(2)}`);
  }
  expect(wrong).toEqual([]);
  expect(right / all.length).toBe(1);
});

test('places in a line, or not as far apart on both, are refused with which they are', async () => {
  const { bracket } = await brokenParts();
  const [scan, spare] = [scanOf(bracket!, 3), meshOfManifold(bracket!)];
  const pairs = (places: Vec3[]): PlacePair[] =>
    places.map((at) => ({ found: moved(at, SOMEWHERE), spare: at }));
  expect(
    waysFromPlaces(
      scan,
      spare,
      pairs([
        [0, 0, 0],
        [30, 0, 0],
        [60, 1, 0],
      ]),
    ),
  ).toEqual({
    ok: false,
    fault: { code: 'found.placesInLine' },
  });
  const swapped = pairs([
    [0, 0, 0],
    [60, 0, 0],
    [0, 24, 35],
  ]);
  [swapped[1]!.spare, swapped[2]!.spare] = [swapped[2]!.spare, swapped[1]!.spare];
  const refused = waysFromPlaces(scan, spare, swapped);
  expect(refused).toMatchObject({ ok: false, fault: { code: 'found.placesApart', first: 1 } });
});
