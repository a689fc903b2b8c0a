import { evaluateRepair } from '@core/fitting/fit';
import type { Kernel } from '@core/shaping/kernel';
import { layerMeshOf } from '@core/reporting/make';
import { oriented } from '@core/making/printing';
import { settingsNamed } from '@core/testing/sliced';
import { LAYER_PRINTERS } from '@core/record/workshop';
import { areaMm2, areaOf, areaWithin, contoursAt, cutTable, Slicer, volumeOf } from '@core/making/slice';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { LONG } from '@core/testing/long';
import { REAL_PARTS, repairOf } from '@core/testing/parts';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

/** All of them take minutes: in the long run. */
const PARTS = LONG ? REAL_PARTS : [REAL_PARTS[4]!];

test.each(PARTS.map((part) => [part.name, part] as const))(
  '%s: every outline closes and none is lost, and full layers take its volume',
  (_, part) => {
    const repair = repairOf(part);
    const builder = new BodyBuilder(kernel, true);
    const built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
    const mesh = layerMeshOf(built, null);
    builder.dispose();
    if (!mesh.ok) throw new Error(mesh.fault.code);
    const laid = oriented(mesh.value, [0, 0, -1]);
    const table = cutTable(laid);
    expect(table.open).toBe(0);
    let top = 0;
    for (let at = 2; at < laid.positions.length; at += 3) top = Math.max(top, laid.positions[at]!);
    const step = top / 60;
    const heights = Array.from({ length: 60 }, (_, at) => (at + 0.5) * step);
    let slabs = 0;
    for (const contours of contoursAt(table, heights)) {
      const area = areaOf(contours);
      slabs += area * step;
      // Nothing is dropped on the way to the areas that walls are printed in.
      expect(Math.abs(areaMm2(areaWithin(contours)) - area)).toBeLessThan(1e-3 * area + 1e-3);
    }
    expect(slabs / built.check!.volumeMm3).toBeCloseTo(1, 1.5);
    const work = new Slicer(laid).run(
      { ...settingsNamed('draft'), fillShare: 1, foot: 'none' },
      { ...LAYER_PRINTERS[0]!, firstLayerSpreadMm: 0 },
    );
    let done = work.next();
    while (!done.done) done = work.next();
    const { layers, areasMm2 } = done.value;
    const taken = layers.reduce(
      (sum, { paths, heightMm }) => sum + paths.reduce((all, path) => all + volumeOf(path, heightMm), 0),
      0,
    );
    const whole = areasMm2.reduce((sum, area, layer) => sum + area * layers[layer]!.heightMm, 0);
    expect(Math.abs(taken / whole - 1)).toBeLessThan(0.02);
  },
  120_000,
);
