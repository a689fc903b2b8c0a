import { no, ok, type Result, type StepFault } from '@core/foundations/fault';
import {
  type Kernel,
  boolean,
  cylinder,
  raisedLoop,
  turnedLoop,
  type TaggedSolid,
} from '@core/shaping/kernel';
import { type SettledStepOf } from '@core/record/model';
import { cornerRadiusOf, loopOf, placedLoop, pointLoop, type Curve, type Point } from '@core/shaping/outline';
import { type Annotation, OVERRUN_MM, type Placement, faceTag } from '@core/shaping/part';
import { type StepSolid, depthOfFloor } from '@core/shaping/forming';

import type { DrillLengths, NutLengths } from './numbers';

/**
 * Round hole down from its place. Faces: wall, floor of a blind hole, point; of its head: head, seat (the lip), sink,
 * flat0 and on, pocket (the floor of a nut's), and slot (the sides of the way in to one).
 */
export const solid: StepSolid<'hole'> = {
  verb: 'Drill',
  settled(step, lengths, stand) {
    if (!step.floor || !lengths.depth) return ok(lengths);
    const depth = depthOfFloor(lengths.depth, stand, true);
    return depth.ok ? ok({ ...lengths, floor: lengths.depth, depth: depth.value }) : depth;
  },
  tool(step, lengths, { kernel, before, stand }) {
    if (!before) return no({ code: 'step.firstMustAdd', verb: 'Drill' });
    const fits = checkAgainst(step, stand, lengths);
    if (!fits.ok) return fits;
    return ok(holeTool(kernel, step, lengths, stand));
  },
  annotate(step, lengths, { stand }) {
    const { at, level, up, box } = stand;
    const radius = lengths.diameter.mm / 2;
    const far = up ? (box?.[5] ?? 0) : (box?.[2] ?? 0);
    const depth = lengths.depth ? level + (up ? 1 : -1) * lengths.depth.mm : far;
    const leader = (field: string, value: Annotation['value'], mm: number, turn: number): Annotation => {
      const [x, y] = [Math.cos(turn), Math.sin(turn)];
      const slant = Math.SQRT1_2;
      const point = ([px, py]: Point, out: Annotation['points'][number]['out']) => ({
        at: [at[0] + (px * mm) / 2, at[1] + (py * mm) / 2, level] as const,
        out,
      });
      return {
        stepId: step.id,
        field,
        value,
        mm,
        form: 'leader',
        spans: [],
        points: [
          point([x, y], [x, y, 0]),
          point([1, 0], [slant, 0, slant]),
          point([0, 1], [0, slant, slant]),
        ],
      };
    };
    const { head } = step;
    return {
      annotations: [
        leader('diameter', step.diameter, lengths.diameter.mm, Math.PI / 4),
        ...(head
          ? [
              leader(
                head.kind === 'nut' ? 'head.across' : 'head.diameter',
                head.kind === 'nut' ? head.across : head.diameter,
                lengths.head!.across.mm,
                (-3 * Math.PI) / 4,
              ),
            ]
          : []),
      ],
      centreLines: [{ from: [...at, Math.min(level, depth)], to: [...at, Math.max(level, depth)], radius }],
    };
  },
};

/** The material that a hole takes away. Heights are counted from its place into the part. */
function holeTool(
  kernel: Kernel,
  step: SettledStepOf<'hole'>,
  lengths: DrillLengths,
  stand: Placement,
): TaggedSolid {
  const { at, level, past, up } = stand;
  const radius = lengths.diameter.mm / 2;
  const into = (depth: number) => level + (up ? depth : -depth);
  const thick = thicknessOf(stand);
  const depth = lengths.depth?.mm ?? thick + OVERRUN_MM;
  const { head } = lengths;
  const roundHead = head && head.kind !== 'nut';
  const point = lengths.depth && step.point ? radius / Math.tan(step.point / 2) : 0;
  const tag = (role: string) => faceTag(step.id, role);
  if (!roundHead && point === 0) {
    const [a, b] = [into(-past), into(depth)];
    const hole = cylinder(
      kernel,
      { x: at[0], y: at[1], z: Math.min(a, b), radius, height: Math.abs(b - a) },
      (role) => tag(role === 'wall' ? role : (role === 'bottom') !== up ? 'floor' : 'mouth'),
    );
    return head?.kind === 'nut' ? withPocket(kernel, hole, step, head, stand, depth) : hole;
  }
  // Half of the section, from the mouth in; a line by what it makes.
  const points: { at: Point; role: string }[] = [];
  const to = (r: number, deep: number, role: string) => points.push({ at: [r, into(deep)], role });
  if (roundHead) {
    const wide = head.across.mm / 2;
    const sink = head.kind === 'sink' ? (wide - radius) / Math.tan(head.angle / 2) : 0;
    to(0, -past, 'axis');
    to(wide, -past, 'mouth');
    if (head.kind === 'seat') {
      to(wide, head.depth.mm, 'head');
      to(radius, head.depth.mm, 'seat');
    } else {
      if (past > 0) to(wide, 0, 'head');
      to(radius, sink, 'sink');
    }
  } else {
    to(0, -past, 'axis');
    to(radius, -past, 'mouth');
  }
  to(radius, depth, 'wall');
  to(0, depth + point, point > 0 ? 'point' : 'floor');
  const loop = points.map((end, index): Curve => {
    const next = points[(index + 1) % points.length]!;
    return { kind: 'line', from: end.at, to: next.at, role: next.role };
  });
  const hole = turnedLoop(kernel, loop, at, tag);
  return head?.kind === 'nut' ? withPocket(kernel, hole, step, head, stand, depth) : hole;
}

/** Joins the pocket of a nut to its hole. */
function withPocket(
  kernel: Kernel,
  hole: TaggedSolid,
  step: SettledStepOf<'hole'>,
  head: NutLengths,
  stand: Placement,
  depth: number,
): TaggedSolid {
  const { at, level, past, up } = stand;
  const loop = loopOf({
    shape: 'polygon',
    lengths: { across: head.across },
    sides: head.sides,
    by: 'flats',
  });
  if (!loop.ok) throw new Error('a regular polygon has no faults');
  // Right through, the far end is where the part ends; a blind hole has its nut at its end.
  const end = step.depth === 'through' ? depth - OVERRUN_MM : depth;
  const high = head.depth.mm;
  const [from, to] = {
    mouth: [-past, high],
    far: [end - high, depth],
    side: [head.below?.mm ?? 0, (head.below?.mm ?? 0) + high],
  }[head.at] as [number, number];
  const [a, b] = [level + (up ? from : -from), level + (up ? to : -to)];
  const pocket = raisedLoop(
    kernel,
    placedLoop(loop.value, head.turn, at),
    { z: Math.min(a, b), height: Math.abs(b - a) },
    (role) => faceTag(step.id, role === 'top' || role === 'bottom' ? 'pocket' : role),
  );
  const both = boolean('fuse', hole, pocket);
  hole.dispose();
  pocket.dispose();
  if (head.at !== 'side') return both;
  const way = slotOut(kernel, step, head, stand, {
    z: Math.min(a, b),
    height: Math.abs(b - a),
    turn: head.turn,
  });
  const open = boolean('fuse', both, way, true);
  both.dispose();
  way.dispose();
  return open;
}

/** The way that a nut is slid in: as wide as it is over its flats, from its middle out of the part. */
function slotOut(
  kernel: Kernel,
  step: SettledStepOf<'hole'>,
  { across }: NutLengths,
  { at, box }: Placement,
  { z, height, turn }: { z: number; height: number; turn: number },
): TaggedSolid {
  const [x0, y0, , x1, y1] = box ?? [0, 0, 0, 0, 0, 0];
  const long = Math.hypot(x1 - x0, y1 - y0) + OVERRUN_MM;
  const half = across.mm / 2;
  const corners: Point[] = [
    [0, -half],
    [long, -half],
    [long, half],
    [0, half],
  ];
  const loop = placedLoop(pointLoop(corners, 'slot'), turn, at);
  return raisedLoop(kernel, loop, { z, height }, (role) =>
    faceTag(step.id, role === 'top' || role === 'bottom' ? 'pocket' : role),
  );
}

const thicknessOf = ({ level, up, box }: Placement) =>
  up ? (box?.[5] ?? 0) - level : level - (box?.[2] ?? 0);

/** Says no to holes that would leave nothing of the body, miss it, or come out of its far side by mistake. */
function checkAgainst(
  step: SettledStepOf<'hole'>,
  stand: Placement,
  lengths: DrillLengths,
): Result<null, StepFault> {
  const { diameter, depth, head } = lengths;
  const radius = diameter.mm / 2;
  const [x, y] = stand.at;
  const [xMin, yMin, , xMax, yMax] = stand.box!;
  const narrowest = Math.min(xMax - xMin, yMax - yMin);
  if (diameter.mm >= narrowest) {
    return no({ code: 'hole.widerThanBody', bore: diameter, bodyMm: narrowest });
  }
  if (x - radius >= xMax || x + radius <= xMin || y - radius >= yMax || y + radius <= yMin) {
    return no({ code: 'hole.missesBody', bore: diameter });
  }
  const bodyMm = thicknessOf(stand);
  if (depth && depth.mm >= bodyMm) return no({ code: 'hole.deeperThanBody', depth, bodyMm });
  if (!head) return ok(null);
  const corners =
    head.kind === 'nut' ? 2 * cornerRadiusOf(head.sides, 'flats', head.across.mm) : head.across.mm;
  if (corners <= diameter.mm) {
    return no({ code: 'hole.headTooNarrow', head: head.across, holeMm: diameter.mm });
  }
  const deep =
    head.kind === 'sink' ? (head.across.mm / 2 - radius) / Math.tan(head.angle / 2) : head.depth.mm;
  const roomMm = Math.min(depth?.mm ?? Infinity, bodyMm);
  const headMm = deep + ((head.kind === 'nut' && head.below?.mm) || 0);
  if (headMm >= roomMm) return no({ code: 'hole.headTooDeep', headMm, roomMm });
  return ok(null);
}
