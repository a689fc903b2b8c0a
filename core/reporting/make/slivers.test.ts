import { evaluateRepair } from '@core/fitting/fit';
import { meshOf } from '@core/shaping/kernel';
import { FILE_QUALITY, meshVolume, openEdgeCount, sliversIn, weld, withoutSlivers } from '@core/shaping/part';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { REAL_PARTS, repairOf } from '@core/testing/parts';

// Of the parts whose meshes have slivers these take least time to build.
test.each(['Box for a switch', 'Ball lever', 'Shelf bracket', 'Grip of arcs', 'Tapered foot'])(
  'the files of a real part, %s, have no sliver and stay closed',
  async (name) => {
    const repair = repairOf(REAL_PARTS.find((part) => part.name === name)!);
    const builder = new BodyBuilder(await testKernel());
    const { solid } = builder.build(repair.bodies[0]!, evaluateRepair(repair));
    const mesh = weld(meshOf(solid!, FILE_QUALITY));
    expect(sliversIn(mesh.positions, mesh.indices).length).toBeGreaterThan(0);
    const rid = withoutSlivers(mesh);
    expect(sliversIn(rid.positions, rid.indices)).toEqual([]);
    expect(openEdgeCount(rid)).toBe(0);
    expect(meshVolume(rid) / meshVolume(mesh)).toBeCloseTo(1, 6);
    builder.dispose();
  },
);
