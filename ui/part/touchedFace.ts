import type { Picked, SolidMesh } from '@core/shaping/part';
import type { FaceFacts } from '@core/shaping/steps';

/** Normals of a flat face differ by less than this. */
const SAME_NORMAL = 1e-3;

/**
 * A face that was tapped, by the mesh of its body. Of several with its name, as of a pattern, all have to be flat; one that
 * looks up and is empty in its middle, as a ring is, is stood on where it was tapped.
 */
export function touchedFace(mesh: SolidMesh, { tag, near }: Extract<Picked, { kind: 'face' }>): FaceFacts {
  const corners = mesh.faces
    .filter((face) => face.tag === tag)
    .flatMap(({ start, count }) => [...mesh.indices.subarray(start, start + count)]);
  const first = corners[0];
  if (first === undefined) return { isFlat: false, at: null };
  const normalOf = (corner: number) => mesh.normals.subarray(3 * corner, 3 * corner + 3);
  const [nx, ny, nz] = normalOf(first);
  const isFlat = corners.every((corner) => {
    const [x, y, z] = normalOf(corner);
    return Math.hypot(x! - nx!, y! - ny!, z! - nz!) < SAME_NORMAL;
  });
  const looksUp = isFlat && nz! > 1 - SAME_NORMAL;
  return { isFlat, at: looksUp && !hasMiddle(mesh, corners) ? [near[0], near[1]] : null };
}

/** Whether the middle of a level face's limits is on it. */
function hasMiddle({ positions }: SolidMesh, corners: readonly number[]): boolean {
  const points = corners.map((corner) => [positions[3 * corner]!, positions[3 * corner + 1]!] as const);
  const middleOf = (values: readonly number[]) =>
    (values.reduce((a, b) => Math.min(a, b)) + values.reduce((a, b) => Math.max(a, b))) / 2;
  const [x, y] = [middleOf(points.map(([px]) => px)), middleOf(points.map(([, py]) => py))];
  const side = ([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number]) =>
    (bx - ax) * (y - ay) - (by - ay) * (x - ax);
  for (let at = 0; at < points.length; at += 3) {
    const [a, b, c] = [points[at]!, points[at + 1]!, points[at + 2]!];
    const sides = [side(a, b), side(b, c), side(c, a)];
    if (sides.every((one) => one >= 0) || sides.every((one) => one <= 0)) return true;
  }
  return false;
}
