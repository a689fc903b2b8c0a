import type { Kernel } from '@core/shaping/kernel';
import type { FaceTag } from '@core/shaping/part';
import { threadedRod } from '@core/shaping/forming';
import { ridgeOf, threadForm, THREADS, type Ridge } from '@core/foundations/standards';

import { figure, timePair, type Figure } from './figure';

const TURNS = 20;

/** A modelled thread against the kernel's own sweep of its ridge along one turn of a helix, as often as it has turns. */
export function threadFigures(kernel: Kernel): Figure[] {
  return ['M5', 'M10', 'M24'].flatMap((size) => {
    const form = threadForm(THREADS.find(({ name }) => name === size)!);
    const ridge = ridgeOf(form, 'outside', 0.1)!;
    const length = TURNS * form.pitchMm;
    const [ours, turn] = timePair(
      9,
      2,
      () =>
        threadedRod(
          kernel,
          ridge,
          form.pitchMm,
          { x: 0, y: 0, z: 0, length, hasLead: true, mouths: [] },
          (role) => `thread:${role}` as FaceTag,
        ).dispose(),
      () => sweepOneTurn(kernel, ridge, form.pitchMm),
    );
    return [
      figure(
        `${size} of ${TURNS} turns, against one turn swept by the kernel × ${TURNS}`,
        'ms',
        ours,
        turn * TURNS,
        {
          atMost: 2,
        },
      ),
    ];
  });
}

/** The ridge alone, by hand. What it makes is left to the end of the run. */
function sweepOneTurn(kernel: Kernel, ridge: Ridge, pitch: number): void {
  const up = new kernel.gp_Dir(0, 0, 1);
  const axes = new kernel.gp_Ax3(new kernel.gp_Pnt(0, 0, 0), up, new kernel.gp_Dir(1, 0, 0));
  const surface = new kernel.Geom_CylindricalSurface(axes, ridge.coreRadius);
  const line = new kernel.Geom2d_Line(new kernel.gp_Pnt2d(0, 0), new kernel.gp_Dir2d(2 * Math.PI, pitch));
  const helix = new kernel.BRepBuilderAPI_MakeEdge(line, surface, 0, Math.hypot(2 * Math.PI, pitch)).Edge();
  kernel.BRepLib.BuildCurves3d(helix);
  const corners = (
    [
      [ridge.coreRadius, -ridge.coreHalf],
      [ridge.crestRadius, -ridge.crestHalf],
      [ridge.crestRadius, ridge.crestHalf],
      [ridge.coreRadius, ridge.coreHalf],
    ] as const
  ).map(([r, z]) => new kernel.gp_Pnt(r, 0, z));
  const profile = new kernel.BRepBuilderAPI_MakeWire();
  corners.forEach((corner, index) =>
    profile.Add(new kernel.BRepBuilderAPI_MakeEdge(corner, corners[(index + 1) % 4]!).Edge()),
  );
  const pipe = new kernel.BRepOffsetAPI_MakePipeShell(new kernel.BRepBuilderAPI_MakeWire(helix).Wire());
  pipe.SetMode(up);
  pipe.Add(profile.Wire(), false, false);
  pipe.Build(new kernel.Message_ProgressRange());
  if (!pipe.MakeSolid()) throw new Error('the sweep failed');
}
