import { no, ok } from '@core/fault';

import type { Kernel } from '../kernel';
import { resolveAll, resolveLength, resolvePosition } from '../resolve';
import { scoped } from '../scope';
import type { StepType } from '../stepKind';
import { faceTag, tagFresh, type TaggedSolid } from '../tagged';
import { listed, ShapeMap } from '../topology';
import { joinTo } from './joinTo';

/** Corners below this are square, mm: the arc would be shorter than the kernel can keep apart. */
const SQUARE_BELOW_MM = 0.01;

/** Plate on z = 0 about the axle line. Faces: top, bottom, right, back, left, front, and corner0 to corner3. */
export const plate: StepType<'plate'> = {
  kind: 'plate',
  effect: 'adds',
  resolve: (step, numbers) =>
    resolveAll({
      length: resolveLength(step.length, 'length', numbers),
      breadth: resolveLength(step.breadth, 'breadth', numbers),
      thickness: resolveLength(step.thickness, 'thickness', numbers),
      cornerRadius: resolvePosition(step.cornerRadius, 'corner radius', numbers),
    }),
  build(step, { length, breadth, thickness, cornerRadius }, { kernel, before }) {
    const limit = Math.min(length!.mm, breadth!.mm) / 2;
    if (cornerRadius!.mm < 0 || cornerRadius!.mm >= limit) {
      return no({ code: 'plate.cornerTooRound', radius: cornerRadius!, limitMm: limit });
    }
    const outline = { length: length!.mm, breadth: breadth!.mm, radius: cornerRadius!.mm };
    return ok(joinTo(before, raisedRectangle(kernel, step.id, outline, thickness!.mm)));
  },
  annotate(step, { length, breadth, thickness }) {
    const [x, y, z] = [length!.mm / 2, breadth!.mm / 2, thickness!.mm];
    const span = (field: 'length' | 'breadth' | 'thickness', mm: number) => ({
      stepId: step.id,
      field,
      value: step[field],
      mm,
      form: 'span' as const,
      points: [],
    });
    return {
      annotations: [
        {
          ...span('length', 2 * x),
          spans: [
            { from: [-x, y, z], to: [x, y, z], out: [0, 1, 0] },
            { from: [-x, -y, z], to: [x, -y, z], out: [0, 0, 1] },
          ],
        },
        {
          ...span('breadth', 2 * y),
          spans: [
            { from: [x, -y, z], to: [x, y, z], out: [1, 0, 0] },
            { from: [x, -y, z], to: [x, y, z], out: [0, 0, 1] },
          ],
        },
        {
          ...span('thickness', z),
          spans: [
            { from: [x, -y, 0], to: [x, -y, z], out: [1, 0, 0] },
            { from: [x, y, 0], to: [x, y, z], out: [0, 1, 0] },
          ],
        },
      ],
      centreLines: [],
    };
  },
};

interface Outline {
  length: number;
  breadth: number;
  radius: number;
}

const SIDES = ['right', 'back', 'left', 'front'] as const;

/** Rectangle with rounded corners, raised from z = 0. */
function raisedRectangle(kernel: Kernel, stepId: string, outline: Outline, thickness: number): TaggedSolid {
  return scoped((scope) => {
    const point = ([x, y]: readonly [number, number]) => scope.keep(new kernel.gp_Pnt(x, y, 0));
    const wire = scope.keep(new kernel.BRepBuilderAPI_MakeWire());
    const tags = new ShapeMap<string>(kernel);
    // The wire copies edges unless their ends are shared, so each edge is named as the wire holds it.
    const add = (maker: InstanceType<Kernel['BRepBuilderAPI_MakeEdge']>, role: string) => {
      wire.Add(scope.keep(scope.keep(maker).Edge()));
      tags.set(scope.keep(wire.Edge()), faceTag(stepId, role));
    };
    const [x, y, r] = [outline.length / 2, outline.breadth / 2, outline.radius];
    const rounded = r >= SQUARE_BELOW_MM;
    const inset = rounded ? r : 0;
    // Corner centres in the order of the sides that end in them, anticlockwise from right-back.
    const corners = [
      [x - inset, y - inset],
      [inset - x, y - inset],
      [inset - x, inset - y],
      [x - inset, inset - y],
    ] as const;
    for (let side = 0; side < 4; side += 1) {
      const [startCorner, endCorner] = [corners[(side + 3) % 4]!, corners[side]!];
      const outward = [Math.cos((side * Math.PI) / 2), Math.sin((side * Math.PI) / 2)] as const;
      const nextOutward = [-outward[1], outward[0]] as const;
      const onSide = (corner: readonly [number, number], way: readonly [number, number]) =>
        [corner[0] + inset * way[0], corner[1] + inset * way[1]] as const;
      const from = onSide(startCorner, outward);
      const to = onSide(endCorner, outward);
      if (Math.hypot(to[0] - from[0], to[1] - from[1]) > 1e-6) {
        add(new kernel.BRepBuilderAPI_MakeEdge(point(from), point(to)), SIDES[side]!);
      }
      if (!rounded) continue;
      const middle = onSide(endCorner, [
        (outward[0] + nextOutward[0]) * Math.SQRT1_2,
        (outward[1] + nextOutward[1]) * Math.SQRT1_2,
      ]);
      const arc = scope.keep(
        new kernel.GC_MakeArcOfCircle(point(to), point(middle), point(onSide(endCorner, nextOutward))),
      );
      add(new kernel.BRepBuilderAPI_MakeEdge(scope.keep(arc.Value())), `corner${side}`);
    }
    const face = scope.keep(new kernel.BRepBuilderAPI_MakeFace(scope.keep(wire.Wire()), true));
    const way = scope.keep(new kernel.gp_Vec(0, 0, thickness));
    const prism = scope.keep(new kernel.BRepPrimAPI_MakePrism(scope.keep(face.Face()), way, false, true));
    const names = new ShapeMap<string>(kernel);
    names.set(scope.keep(prism.FirstShape()), faceTag(stepId, 'bottom'));
    names.set(scope.keep(prism.LastShape()), faceTag(stepId, 'top'));
    for (const [edge, tag] of tags.entries()) {
      for (const wall of listed(scope, prism.Generated(edge))) names.set(wall, tag);
    }
    return tagFresh(kernel, prism.Shape(), (made) => {
      const tag = names.get(made);
      if (tag === undefined) throw new Error('a face of the plate has no origin');
      return tag;
    });
  });
}
