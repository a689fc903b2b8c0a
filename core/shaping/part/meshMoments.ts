import type { MassProperties } from './massProperties';
import type { WeldedMesh } from './weld';

/**
 * Volume, centre and moment about the upright line through it, of what lies within a closed mesh: summed over the tetrahedra between the origin
 * and each triangle (Tonon, Journal of Mathematics and Statistics 1, 2004). mm³, mm, mm⁵.
 */
export function meshMoments({
  positions,
  indices,
}: Pick<WeldedMesh, 'positions' | 'indices'>): MassProperties {
  let volume = 0;
  const first = [0, 0, 0];
  let [xx, yy] = [0, 0];
  for (let at = 0; at < indices.length; at += 3) {
    const [a, b, c] = [3 * indices[at]!, 3 * indices[at + 1]!, 3 * indices[at + 2]!];
    const [ax, ay, az] = [positions[a]!, positions[a + 1]!, positions[a + 2]!];
    const [bx, by, bz] = [positions[b]!, positions[b + 1]!, positions[b + 2]!];
    const [cx, cy, cz] = [positions[c]!, positions[c + 1]!, positions[c + 2]!];
    const six = ax * (by * cz - bz * cy) + ay * (bz * cx - bx * cz) + az * (bx * cy - by * cx);
    volume += six / 6;
    first[0]! += (six / 24) * (ax + bx + cx);
    first[1]! += (six / 24) * (ay + by + cy);
    first[2]! += (six / 24) * (az + bz + cz);
    xx += (six / 60) * (ax * ax + bx * bx + cx * cx + ax * bx + bx * cx + cx * ax);
    yy += (six / 60) * (ay * ay + by * by + cy * cy + ay * by + by * cy + cy * ay);
  }
  const centre = first.map((sum) => sum / volume) as [number, number, number];
  return { volumeMm3: volume, centre, momentMm5: xx + yy - volume * (centre[0] ** 2 + centre[1] ** 2) };
}
