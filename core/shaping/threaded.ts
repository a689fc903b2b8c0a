import { KernelRefusal, type FaceTag } from '@core/part';
import {
  type Kernel,
  boolean,
  cylinder,
  turnedLoop,
  scoped,
  type Scope,
  tagFresh,
  type TaggedSolid,
} from '@core/kernel';
import { cornerLoop, pointLoop } from '@core/outline';
import type { Ridge } from '@core/standards';

/** Where a threaded hole comes out: its height, mm, and the way out, up or down. */
export interface Mouth {
  z: number;
  way: 1 | -1;
}

/** How far the ridge reaches into the core, in pitches: less or more and the kernel joins them wrongly (kernel-notes). */
const SUNK = 0.24;

/**
 * A threaded rod about the upright axis through (x, y), from height `z` over `length`, mm, right-handed. With a lead,
 * its upper end is eased at 45° down to the core. Mouths, of what is cut out, widen at 45° from the core to past the crest.
 *
 * A ridge fused to a core of its own length fails without a word; so both are made longer and trimmed together.
 */
export function threadedRod(
  kernel: Kernel,
  ridge: Ridge,
  pitch: number,
  at: {
    x: number;
    y: number;
    z: number;
    length: number;
    lead: 'top' | 'bottom' | null;
    mouths?: readonly Mouth[];
  },
  nameFace: (role: 'thread' | 'root' | 'bottom' | 'top' | 'lead') => FaceTag,
): TaggedSolid {
  const ridgeSolid = scoped((scope) => sweptRidge(kernel, scope, ridge, pitch, at, nameFace('thread')));
  const core = cylinder(
    kernel,
    {
      x: at.x,
      y: at.y,
      z: at.z - 3 * pitch,
      radius: ridge.coreRadius,
      height: at.length + 6 * pitch,
    },
    (role) => nameFace(role === 'wall' ? 'root' : role),
  );
  let whole = boolean('fuse', core, ridgeSolid);
  core.dispose();
  ridgeSolid.dispose();
  for (const mouth of at.mouths ?? []) {
    const flare = flareAt(kernel, ridge, pitch, at, mouth, nameFace('lead'));
    const flared = boolean('fuse', whole, flare);
    whole.dispose();
    flare.dispose();
    whole = flared;
  }
  const trim = trimmingBody(kernel, ridge, at, nameFace);
  const rod = boolean('common', whole, trim);
  whole.dispose();
  trim.dispose();
  return rod;
}

function sweptRidge(
  kernel: Kernel,
  scope: Scope,
  { coreRadius, crestRadius, coreHalf, crestHalf }: Ridge,
  pitch: number,
  at: { x: number; y: number; z: number; length: number },
  tag: FaceTag,
): TaggedSolid {
  const turns = Math.ceil(at.length / pitch) + 2;
  const start = at.z - pitch;
  const axes = scope.keep(
    new kernel.gp_Ax3(
      scope.keep(new kernel.gp_Pnt(at.x, at.y, start)),
      scope.keep(new kernel.gp_Dir(0, 0, 1)),
      scope.keep(new kernel.gp_Dir(1, 0, 0)),
    ),
  );
  const surface = scope.keep(new kernel.Geom_CylindricalSurface(axes, coreRadius));
  const line = scope.keep(
    new kernel.Geom2d_Line(
      scope.keep(new kernel.gp_Pnt2d(0, 0)),
      scope.keep(new kernel.gp_Dir2d(2 * Math.PI, pitch)),
    ),
  );
  const edge = scope.keep(
    new kernel.BRepBuilderAPI_MakeEdge(line, surface, 0, turns * Math.hypot(2 * Math.PI, pitch)),
  );
  const helix = scope.keep(edge.Edge());
  kernel.BRepLib.BuildCurves3d(helix);
  const spine = scope.keep(scope.keep(new kernel.BRepBuilderAPI_MakeWire(helix)).Wire());

  const slope = (crestHalf - coreHalf) / (crestRadius - coreRadius);
  const inner = coreRadius - SUNK * pitch;
  const innerHalf = coreHalf - slope * SUNK * pitch;
  const corners = (
    [
      [inner, -innerHalf],
      [crestRadius, -crestHalf],
      [crestRadius, crestHalf],
      [inner, innerHalf],
    ] as const
  ).map(([r, z]) => scope.keep(new kernel.gp_Pnt(at.x + r, at.y, start + z)));
  const profile = scope.keep(new kernel.BRepBuilderAPI_MakeWire());
  for (const [index, corner] of corners.entries()) {
    const side = scope.keep(new kernel.BRepBuilderAPI_MakeEdge(corner, corners[(index + 1) % 4]!));
    profile.Add(scope.keep(side.Edge()));
  }
  const pipe = scope.keep(new kernel.BRepOffsetAPI_MakePipeShell(spine));
  pipe.SetMode(scope.keep(new kernel.gp_Dir(0, 0, 1)));
  pipe.Add(scope.keep(profile.Wire()), false, false);
  pipe.Build(scope.keep(new kernel.Message_ProgressRange()));
  if (!pipe.IsDone() || !pipe.MakeSolid()) throw new KernelRefusal('the ridge of the thread failed');
  return tagFresh(kernel, pipe.Shape(), () => tag);
}

/** What opens the end of a threaded hole: a cone from the core out to past the crest, and on from there. */
function flareAt(
  kernel: Kernel,
  { coreRadius, crestRadius }: Ridge,
  pitch: number,
  { x, y }: { x: number; y: number },
  { z: end, way }: Mouth,
  tag: FaceTag,
): TaggedSolid {
  const wide = crestRadius + 0.05 * pitch;
  const narrow = 0.8 * coreRadius;
  const corners = [
    [0, end + way * 2 * pitch],
    [0, end - way * (wide - narrow)],
    [narrow, end - way * (wide - narrow)],
    [wide, end],
    [wide, end + way * 2 * pitch],
  ] as const;
  return turnedLoop(kernel, pointLoop(corners, 'lead'), [x, y], () => tag);
}

/** What is left of rod and ridge: a cylinder past the crest, eased at an end that has a lead. */
function trimmingBody(
  kernel: Kernel,
  { coreRadius, crestRadius }: Ridge,
  {
    x,
    y,
    z,
    length,
    lead,
  }: { x: number; y: number; z: number; length: number; lead: 'top' | 'bottom' | null },
  nameFace: (role: 'bottom' | 'top' | 'lead' | 'thread') => FaceTag,
): TaggedSolid {
  const outside = crestRadius + 1;
  const eased = outside - coreRadius;
  const [low, high] = [z, z + length];
  const corners = [
    { at: [0, low] as const, role: 'bottom' },
    ...(lead === 'bottom'
      ? [
          { at: [coreRadius, low] as const, role: 'lead' },
          { at: [outside, low + eased] as const, role: 'thread' },
        ]
      : [{ at: [outside, low] as const, role: 'thread' }]),
    ...(lead === 'top'
      ? [
          { at: [outside, high - eased] as const, role: 'lead' },
          { at: [coreRadius, high] as const, role: 'top' },
        ]
      : [{ at: [outside, high] as const, role: 'top' }]),
    { at: [0, high] as const, role: 'axis' },
  ];
  return turnedLoop(kernel, cornerLoop(corners), [x, y], (role) => nameFace(role as 'bottom'));
}
