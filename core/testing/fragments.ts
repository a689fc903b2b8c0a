import { Euler, Matrix4, Vector3 } from 'three';

import type { WeldedMesh } from '@core/shaping/part';
import { meshAligned } from '@core/checking/found';
import type { Manifold } from 'manifold-3d';

import { manifoldKernel, meshOfManifold } from './manifold';

/** Where scans lie, seen from the parts. */
export const SOMEWHERE = new Matrix4()
  .makeRotationFromEuler(new Euler(0.7, -1.9, 2.6))
  .setPosition(new Vector3(130, -42, 77));

/** A scan of it: triangles no longer than a mm or two, each corner off by a little, somewhere. */
export function scanOf(solid: Manifold, seed: number, sigma = 0.03): WeldedMesh {
  const { positions, indices } = meshOfManifold(solid.refineToLength(2));
  let state = seed;
  const even = () => (state = (state * 16807) % 2147483647) / 2147483647;
  const noise = () => sigma * Math.sqrt(-2 * Math.log(even())) * Math.cos(2 * Math.PI * even());
  return meshAligned({ positions: positions.map((mm) => mm + noise()), indices }, 1, SOMEWHERE);
}

/** Ten parts of which nothing looks the same from elsewhere. */
export async function brokenParts(): Promise<Record<string, Manifold>> {
  const { Manifold } = await manifoldKernel();
  const box = (x: number, y: number, z: number, at: [number, number, number] = [0, 0, 0]) =>
    Manifold.cube([x, y, z]).translate(at);
  const bar = (
    d: number,
    h: number,
    at: [number, number, number],
    turn: [number, number, number] = [0, 0, 0],
  ) =>
    Manifold.cylinder(h, d / 2, d / 2, 48)
      .rotate(turn)
      .translate(at);
  return {
    bracket: box(60, 24, 5)
      .add(box(5, 24, 35))
      .subtract(bar(6, 20, [45, 8, -5]))
      .subtract(bar(4, 20, [25, 17, -5]))
      .add(box(12, 5, 12, [5, 0, 5])),
    lever: box(80, 10, 8)
      .add(bar(22, 12, [0, 5, -2]))
      .subtract(bar(10, 30, [0, 5, -10]))
      .add(bar(14, 18, [80, 5, 0]))
      .add(box(8, 6, 14, [35, 2, 8])),
    latch: box(50, 15, 6)
      .add(box(8, 15, 14, [42, 0, 6]))
      .add(bar(8, 22, [10, -4, 3], [-90, 0, 0]))
      .subtract(bar(4, 30, [25, 7, -5])),
    foot: bar(40, 8, [0, 0, 0])
      .add(bar(18, 25, [5, 3, 8]))
      .subtract(bar(8, 40, [5, 3, 10]))
      .add(box(20, 6, 6, [-22, -3, 8])),
    knob: bar(36, 14, [0, 0, 0])
      .subtract(bar(6, 40, [0, 0, -5]))
      .subtract(box(10, 8, 8, [10, -4, -1]))
      .add(box(6, 6, 10, [-14, 2, 12])),
    clip: box(40, 12, 4)
      .add(box(4, 12, 22, [36, 0, 0]))
      .add(box(10, 12, 4, [28, 0, 18]))
      .add(bar(7, 9, [6, 6, 2])),
    housing: box(50, 36, 22)
      .subtract(box(44, 30, 22, [3, 3, 3]))
      .subtract(bar(9, 20, [15, -5, 12], [-90, 0, 0]))
      .add(bar(8, 15, [40, 28, 3])),
    spacer: bar(30, 20, [0, 0, 0])
      .subtract(bar(16, 30, [0, 0, -5]))
      .add(box(14, 8, 8, [12, -4, 4]))
      .subtract(bar(5, 40, [-11, 4, -5])),
    hook: box(8, 10, 60)
      .add(box(34, 10, 8, [0, 0, 52]))
      .add(box(8, 10, 20, [26, 0, 36]))
      .add(bar(16, 6, [4, 5, -3])),
    tray: box(70, 40, 4)
      .add(box(70, 4, 12))
      .add(box(4, 40, 18))
      .subtract(bar(8, 20, [50, 28, -5]))
      .subtract(box(12, 6, 10, [20, 20, -2])),
  };
}

/** A clean cut that leaves such a share of the part, square to a direction. */
export function broken(solid: Manifold, share: number, towards: [number, number, number]): Manifold {
  let [low, high] = [-200, 200];
  const whole = solid.volume();
  for (let round = 0; round < 40; round += 1) {
    const middle = (low + high) / 2;
    if (solid.trimByPlane(towards, middle).volume() > share * whole) low = middle;
    else high = middle;
  }
  return solid.trimByPlane(towards, low);
}

/** How far the piece's corners lie from where they were, mm. */
export function offOf(piece: WeldedMesh, place: Matrix4): number {
  const move = place.clone().multiply(SOMEWHERE);
  const corner = new Vector3();
  let most = 0;
  for (let at = 0; at < piece.positions.length; at += 3) {
    const from = corner.fromArray(piece.positions, at).clone();
    most = Math.max(most, corner.applyMatrix4(move).distanceTo(from));
  }
  return most;
}
