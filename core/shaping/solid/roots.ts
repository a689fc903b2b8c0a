import { scoped, type TaggedSolid, facesByEdge } from '@core/shaping/kernel';
import { stepOfTag, type SharpRoot } from '@core/shaping/part';
import { isHollow } from '@core/shaping/forming';

import { segmentsOfEdges } from './edgePreview';

/** The sharp hollow corners where steps stand on others. @param of the steps that are looked at. */
export function sharpRoots(solid: TaggedSolid, of: ReadonlySet<string>): SharpRoot[] {
  const { kernel, shape } = solid;
  return scoped((scope) => {
    const tags = solid.tagMap();
    const found = new Map<string, { of: string; on: string; edges: (typeof shape)[] }>();
    for (const [edge, [first, second]] of facesByEdge(kernel, scope, shape).entries()) {
      if (!first || !second || first.IsSame(second)) continue;
      const steps = [first, second].map((face) => stepOfTag(tags.get(face) ?? ''));
      const own = steps.findIndex((id) => of.has(id));
      if (own < 0 || steps[0] === steps[1] || !isHollow(kernel, edge, first, second)) continue;
      const [standing, ground] = [steps[own]!, steps[1 - own]!];
      const key = `${standing} ${ground}`;
      const root = found.get(key) ?? { of: standing, on: ground, edges: [] };
      root.edges.push(edge);
      found.set(key, root);
    }
    return [...found.values()].map((root) => ({
      of: root.of,
      on: root.on,
      segments: segmentsOfEdges(kernel, scope, root.edges),
    }));
  });
}
