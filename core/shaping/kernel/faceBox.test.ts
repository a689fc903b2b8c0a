import { evaluateRepair } from '@core/fitting/fit';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { REAL_PARTS, repairOf } from '@core/testing/parts';

import { boundingBox } from './check';
import { faceBox } from './faceBox';
import { scoped } from './scope';
import { partsOf } from './topology';

const WITH_RINGS = ['Drawer handle', 'Wedge stay', 'Oval cup', 'Cord spool'];

test.each(REAL_PARTS.filter(({ name }) => WITH_RINGS.includes(name)))(
  'boxes of ring faces are those of a search point by point: $name',
  async (part) => {
    const kernel = await testKernel();
    const repair = repairOf(part);
    const builder = new BodyBuilder(kernel);
    const { solid } = builder.build(repair.bodies[0]!, evaluateRepair(repair));
    scoped((scope) => {
      const rings = partsOf(kernel, scope, solid!.shape, 'TopAbs_FACE').filter((face) => {
        const surface = scope.keep(
          new kernel.BRepAdaptor_Surface(scope.keep(kernel.TopoDS.Face(face)), false),
        );
        return surface.GetType() === 'GeomAbs_Torus';
      });
      expect(rings.length).toBeGreaterThan(0);
      for (const face of rings) {
        const searched = boundingBox(kernel, face);
        faceBox(kernel, face).forEach((mm, at) => expect(Math.abs(mm - searched[at]!)).toBeLessThan(2e-6));
      }
    });
    builder.dispose();
  },
);
