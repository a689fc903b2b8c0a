import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { facesOf, partsOf, ShapeMap } from './topology';

/** How the faces of a shape hang together at its edges; edges without length (at the tip of a cone) do not count. */
interface EdgeUses {
  /** Every edge is used by exactly two faces, or twice by one. */
  areTwo: boolean;
  /** And once either way, so that all faces look out of the same solid. */
  areOpposite: boolean;
  /** More than two faces meet at an edge: the shape touches itself there and has no thickness. */
  touch: boolean;
  /** How many groups of faces hang together. */
  groups: number;
}

/** Shapes never change, so what was found of one holds for as long as it is held. */
const KNOWN = new WeakMap<Shape, EdgeUses>();

/** @param facesAtHand all faces of the shape, if they are known already. */
export function edgeUses(kernel: Kernel, shape: Shape, facesAtHand?: readonly Shape[]): EdgeUses {
  const known = KNOWN.get(shape);
  if (known) return known;
  const found = scoped((scope) => counted(kernel, scope, facesAtHand ?? facesOf(kernel, scope, shape)));
  KNOWN.set(shape, found);
  return found;
}

/** Whether every edge is used by exactly two faces. */
export const everyEdgeHasTwoFaces = (kernel: Kernel, shape: Shape): boolean => edgeUses(kernel, shape).areTwo;

/** Whether more than two faces meet at an edge. */
export const touchesAtEdge = (kernel: Kernel, shape: Shape): boolean => edgeUses(kernel, shape).touch;

function counted(kernel: Kernel, scope: Scope, faces: readonly Shape[]): EdgeUses {
  const uses = new ShapeMap<{ forward: number; reversed: number; face: number }>(kernel);
  const groups = new Groups(faces.length);
  for (const [face, of] of faces.entries()) {
    for (const edge of partsOf(kernel, scope, of, 'TopAbs_EDGE')) {
      const way = edge.Orientation();
      uses.update(edge, (before) => {
        const use = before ?? { forward: 0, reversed: 0, face };
        if (way === 'TopAbs_FORWARD') use.forward += 1;
        // One that lies within a face, and bounds nothing, is used neither way.
        if (way === 'TopAbs_REVERSED') use.reversed += 1;
        groups.join(use.face, face);
        return use;
      });
    }
  }
  const all: EdgeUses = { areTwo: true, areOpposite: true, touch: false, groups: groups.count };
  for (const [edge, { forward, reversed }] of uses.entries()) {
    if (forward === 1 && reversed === 1) continue;
    // Asked only where it matters: most edges have two.
    if (kernel.BRep_Tool.Degenerated(scope.keep(kernel.TopoDS.Edge(edge)))) continue;
    all.areOpposite = false;
    all.areTwo &&= forward + reversed === 2;
    all.touch ||= forward + reversed > 2;
  }
  return all;
}

/** Numbers from 0 on, joined in groups (Galler and Fischer, 1964). */
class Groups {
  #above: number[];
  count: number;

  constructor(size: number) {
    this.#above = Array.from({ length: size }, (_, index) => index);
    this.count = size;
  }

  #first(of: number): number {
    let at = of;
    while (this.#above[at] !== at) at = this.#above[at] = this.#above[this.#above[at]!]!;
    return at;
  }

  join(one: number, other: number): void {
    const [a, b] = [this.#first(one), this.#first(other)];
    if (a === b) return;
    this.#above[b] = a;
    this.count -= 1;
  }
}
