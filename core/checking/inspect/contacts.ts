import { weld, type SolidMesh } from '@core/shaping/part';

import type { Vec3 } from '@core/foundations/vectors';

/**
 * Points at which a part touches itself and nothing more: corners round which the triangles make more than one fan. No
 * material holds there. (Where it touches itself along an edge, the step that does so fails.)
 */
export function pointContacts(mesh: SolidMesh): Vec3[] {
  const { positions, indices } = weld(mesh);
  const count = positions.length / 3;
  // Triangles round each corner that share an edge there are of one fan: united through the corner next to it.
  const fans = Array.from({ length: count }, () => new Map<number, number>());
  const rootOf = (fan: Map<number, number>, of: number): number => {
    let root = of;
    while (fan.get(root)! !== root) root = fan.get(root)!;
    return root;
  };
  for (let at = 0; at < indices.length; at += 3) {
    for (let side = 0; side < 3; side += 1) {
      const fan = fans[indices[at + side]!]!;
      const [one, other] = [indices[at + ((side + 1) % 3)]!, indices[at + ((side + 2) % 3)]!];
      for (const next of [one, other]) if (!fan.has(next)) fan.set(next, next);
      fan.set(rootOf(fan, one), rootOf(fan, other));
    }
  }
  return fans.flatMap((fan, index): Vec3[] => {
    const roots = new Set([...fan.keys()].map((key) => rootOf(fan, key)));
    return roots.size > 1
      ? [[positions[3 * index]!, positions[3 * index + 1]!, positions[3 * index + 2]!]]
      : [];
  });
}
