import { evaluateRepair } from '@core/fitting/fit';
import { BodyBuilder } from '@core/shaping/solid';
import { testKernel } from '@core/testing/kernel';
import { REAL_PARTS, repairOf } from '@core/testing/parts';

import { edgeUses } from './edgeUses';
import type { Kernel, Shape } from './kernel';
import { scoped, type Scope } from './scope';
import { partsOf } from './topology';
import { isValid } from './validity';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

/** What the kernel says of all of it. */
const passesWhole = (scope: Scope, shape: Shape) =>
  scope.keep(new kernel.BRepCheck_Analyzer(shape, true, false, false)).IsValid();

test('every step of every third real part is as valid as the kernel finds the whole of it', () => {
  const builder = new BodyBuilder(kernel);
  let asked = 0;
  for (const part of REAL_PARTS.filter((_, index) => index % 3 === 0)) {
    const repair = repairOf(part);
    builder.build(repair.bodies[0]!, evaluateRepair(repair));
    for (let step = 1; step <= part.steps.length; step += 1) {
      const { shape } = builder.after(step)!.solid;
      scoped((scope) => expect(passesWhole(scope, shape)).toBe(true));
      expect(isValid(kernel, shape)).toBe(true);
      expect(edgeUses(kernel, shape)).toMatchObject({ areTwo: true, areOpposite: true, touch: false });
      asked += 1;
    }
  }
  expect(asked).toBeGreaterThan(60);
  builder.dispose();
}, 60_000);

const box = (scope: Scope, x: number, size: number) =>
  scope.keep(
    scope
      .keep(new kernel.BRepPrimAPI_MakeBox(scope.keep(new kernel.gp_Pnt(x, 0, 0)), size, size, size))
      .Shape(),
  );

/** A solid of some shells. */
function solidOf(scope: Scope, shells: readonly Shape[]): Shape {
  const builder = scope.keep(new kernel.TopoDS_Builder());
  const solid = scope.keep(new kernel.TopoDS_Solid());
  builder.MakeSolid(solid);
  for (const shell of shells) builder.Add(solid, shell);
  return solid;
}

function shellOf(scope: Scope, faces: readonly Shape[]): Shape {
  const builder = scope.keep(new kernel.TopoDS_Builder());
  const shell = scope.keep(new kernel.TopoDS_Shell());
  builder.MakeShell(shell);
  for (const face of faces) builder.Add(shell, face);
  return shell;
}

test('what is wrong with how faces hang together is found, as the kernel finds it', () => {
  scoped((scope) => {
    const faces = partsOf(kernel, scope, box(scope, 0, 10), 'TopAbs_FACE');
    const open = solidOf(scope, [shellOf(scope, faces.slice(1))]);
    const turned = solidOf(scope, [shellOf(scope, [scope.keep(faces[0]!.Reversed()), ...faces.slice(1)])]);
    const away = partsOf(kernel, scope, box(scope, 30, 5), 'TopAbs_FACE');
    const apart = solidOf(scope, [shellOf(scope, [...faces, ...away])]);
    for (const wrong of [open, turned, apart]) {
      expect(passesWhole(scope, wrong)).toBe(false);
      expect(isValid(kernel, wrong)).toBe(false);
    }
    expect(edgeUses(kernel, open)).toMatchObject({ areTwo: false, areOpposite: false });
    expect(edgeUses(kernel, turned)).toMatchObject({ areTwo: true, areOpposite: false });
    expect(edgeUses(kernel, apart)).toMatchObject({ areOpposite: true, groups: 2 });
    expect(isValid(kernel, solidOf(scope, [shellOf(scope, faces)]))).toBe(true);
  });
});

test('a face that is not right by itself is found: rounds that run over the whole of a block', () => {
  scoped((scope) => {
    const whole = box(scope, 0, 10);
    const maker = scope.keep(new kernel.BRepFilletAPI_MakeFillet(whole, 'ChFi3d_Rational'));
    for (const edge of partsOf(kernel, scope, whole, 'TopAbs_EDGE')) {
      maker.Add(5.1, scope.keep(kernel.TopoDS.Edge(edge)));
    }
    maker.Build(scope.keep(new kernel.Message_ProgressRange()));
    const made = scope.keep(maker.Shape());
    expect(passesWhole(scope, made)).toBe(false);
    expect(isValid(kernel, made)).toBe(false);
  });
});

test('a block with a room in it, and two blocks apart, are valid; nothing at all is not', () => {
  scoped((scope) => {
    const room = scope.keep(
      scope.keep(new kernel.BRepPrimAPI_MakeBox(scope.keep(new kernel.gp_Pnt(2, 2, 2)), 3, 3, 3)).Shape(),
    );
    const cut = scope.keep(new kernel.BRepAlgoAPI_Cut(box(scope, 0, 10), room));
    const hollow = scope.keep(cut.Shape());
    const apart = scope.keep(new kernel.BRepAlgoAPI_Fuse(box(scope, 0, 10), box(scope, 20, 5)));
    for (const shape of [hollow, scope.keep(apart.Shape())]) expect(isValid(kernel, shape)).toBe(true);
    const empty = scope.keep(new kernel.TopoDS_Compound());
    scope.keep(new kernel.TopoDS_Builder()).MakeCompound(empty);
    expect(isValid(kernel, empty)).toBe(false);
  });
});
