import { evaluateRepair } from '@core/fitting/fit';
import { numberValue, type Body, type Step } from '@core/record/model';
import { BodyBuilder } from '@core/shaping/solid';
import { meshOf, scoped, startKernel, type Kernel } from '@core/shaping/kernel';
import { SCREEN_QUALITY } from '@core/shaping/part';
import { block, stepOf } from '@core/testing/pieces';
import { RepairDraft } from '@core/testing/repairDraft';

import { figure, timePair, type Figure } from './figure';

/** Long recipes and many holes, against the least that the kernel has to do for them. */
export async function shapeFigures(): Promise<Figure[]> {
  const kernel = await startKernel();
  const numbers = evaluateRepair(new RepairDraft('Bench').repair);
  return [
    ...changesOfThirty(kernel, numbers),
    holesInARow(kernel, numbers),
    meshAfterChange(kernel, numbers),
  ];
}

type Numbers = ReturnType<typeof evaluateRepair>;
const body = (steps: Step[]): Body => ({
  id: 'b',
  version: 1,
  name: 'b',
  role: 'spare',
  removed: false,
  steps,
});

/** A plate with fourteen pegs and fourteen holes in them, one step each, and an ease. */
function thirtySteps(diameterMm: number, at: number): Body {
  const pegs = Array.from({ length: 14 }, (_, index) => {
    const place = { x: -65 + 10 * index, y: 0 };
    return [
      stepOf('peg', { diameter: 7, height: 4, lift: index === 0 ? 0 : -4, ...place }, `p${index}`),
      stepOf(
        'hole',
        { diameter: 3 + (2 * index === at ? diameterMm : 0), depth: 'through', ...place },
        `d${index}`,
      ),
    ];
  }).flat();
  const plate = { ...block(160, 20, 6), id: 'plate' };
  const rim: Step = {
    id: 'rim',
    kind: 'chamfer',
    size: numberValue(0.5 + (at === 28 ? diameterMm : 0)),
    where: { edges: 'upright', of: plate.id },
  };
  return body([plate, ...pegs, rim]);
}

function changesOfThirty(kernel: Kernel, numbers: Numbers): Figure[] {
  const change = (at: number) => {
    const kept = new BodyBuilder(kernel);
    const same = [thirtySteps(0, at), thirtySteps(0.1, at)];
    let turn = 0;
    const all = same[0]!;
    const [value, baseline] = timePair(
      8,
      3,
      () => {
        const built = kept.build(same[(turn += 1) % 2]!, numbers);
        if (built.steps.some(({ state }) => state !== 'built')) throw new Error('the long recipe fails');
      },
      () => {
        const builder = new BodyBuilder(kernel);
        builder.build(all, numbers);
        builder.dispose();
      },
    );
    kept.dispose();
    return [value, baseline] as const;
  };
  return [
    figure('change of the last of 30 steps, against the full rebuild', 'ms', ...change(28), { atMost: 0.12 }),
    figure('change of a step in the middle of 30, against the full rebuild', 'ms', ...change(14), {
      atMost: 0.7,
    }),
  ];
}

function holesInARow(kernel: Kernel, numbers: Numbers): Figure {
  const plate = block(210, 20, 6);
  const hole = stepOf('hole', { diameter: 3, depth: 'through', x: -97.5, y: 0 });
  const row = (mm: number) =>
    ({
      ...stepOf('pattern', {}, 'row'),
      of: hole.id,
      pattern: { by: 'row', count: 40, dx: numberValue(mm), dy: numberValue(0) },
    }) as unknown as Step;
  const kept = new BodyBuilder(kernel);
  let turn = 0;
  const [value, baseline] = timePair(
    12,
    4,
    () => void kept.build(body([plate, hole, row((turn += 1) % 2 ? 5 : 4.9)]), numbers),
    () => batchedByHand(kernel, turn % 2 ? 5 : 4.9),
  );
  kept.dispose();
  return figure('40 holes in a row, against one batched cut by hand', 'ms', value, baseline, { atMost: 1.3 });
}

/** The same cut written against the kernel, with the same checks of what it gives. */
function batchedByHand(kernel: Kernel, apart: number): void {
  scoped((scope) => {
    const corner = (x: number, y: number, z: number) => scope.keep(new kernel.gp_Pnt(x, y, z));
    const plate = scope.keep(
      scope.keep(new kernel.BRepPrimAPI_MakeBox(corner(-105, -10, 0), corner(105, 10, 6))).Shape(),
    );
    const up = scope.keep(new kernel.gp_Dir(0, 0, 1));
    const list = () => scope.keep(new kernel.NCollection_List_TopoDS_Shape());
    const tools = list();
    for (let index = 0; index < 40; index += 1) {
      const axes = scope.keep(new kernel.gp_Ax2(corner(-97.5 + index * apart, 0, -1), up));
      tools.Append(scope.keep(scope.keep(new kernel.BRepPrimAPI_MakeCylinder(axes, 1.5, 8)).Shape()));
    }
    const plates = list();
    plates.Append(plate);
    const cut = scope.keep(new kernel.BRepAlgoAPI_Cut());
    cut.SetArguments(plates);
    cut.SetTools(tools);
    cut.Build(scope.keep(new kernel.Message_ProgressRange()));
    const shape = scope.keep(cut.Shape());
    const analyzer = scope.keep(new kernel.BRepCheck_Analyzer(shape, true, false, false));
    if (!analyzer.IsValid()) throw new Error('the batched cut is not valid');
    const volume = scope.keep(new kernel.GProp_GProps());
    kernel.BRepGProp.VolumeProperties(shape, volume, false, false, false);
    const box = scope.keep(new kernel.Bnd_Box());
    kernel.BRepBndLib.AddOptimal(shape, box, false, false);
  });
}

/** Triangles, edges and their names for the screen, against the kernel's bare triangles. */
function meshAfterChange(kernel: Kernel, numbers: Numbers): Figure {
  const kept = new BodyBuilder(kernel);
  const { solid } = kept.build(thirtySteps(0, 28), numbers);
  if (!solid) throw new Error('the long recipe fails');
  const [value, baseline] = timePair(
    20,
    5,
    () => void meshOf(solid, SCREEN_QUALITY),
    () => {
      const { gapMm, angle: turn } = SCREEN_QUALITY;
      kernel.ReplicadMeshExtractor.extract(solid.shape, gapMm, turn, false).delete();
      kernel.BRepTools.Clean(solid.shape, true);
    },
  );
  kept.dispose();
  return figure('mesh, edges and names for the screen, against bare triangles', 'ms', value, baseline, {
    atMost: 1.6,
  });
}
