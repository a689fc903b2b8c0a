import { evaluateRepair } from '@core/fitting/fit';
import { everyEdgeHasTwoFaces, type Kernel } from '@core/shaping/kernel';
import { numberValue, type Body, type Repair, type Step } from '@core/record/model';
import { testKernel } from '@core/testing/kernel';
import { rackWheel, RepairDraft } from '@core/testing/repairDraft';

import { BodyBuilder } from './bodyBuilder';

let kernel: Kernel;
beforeAll(async () => {
  kernel = await testKernel();
});

/** Builds one body of a repair with a builder that is thrown away. */
function build(repair: Repair, body: Body = repair.bodies[0]!) {
  const builder = new BodyBuilder(kernel);
  const built = builder.build(body, evaluateRepair(repair));
  const faults = built.steps.flatMap((step) => (step.state === 'failed' ? [step.fault] : []));
  const result = { ...built, areaMm2: built.areaMm2(), faults, tags: built.solid?.tagList() ?? [] };
  builder.dispose();
  return result;
}

function buildSteps(steps: (draft: RepairDraft) => Step[]) {
  const draft = new RepairDraft('Test piece');
  return build(draft.body('body', 'Body', steps(draft)).repair);
}

const expectVolume = (actual: number | undefined, exact: number) =>
  expect(Math.abs((actual ?? 0) / exact - 1)).toBeLessThan(1e-6);

const cylinder = (d: number, h: number) => (Math.PI / 4) * d * d * h;

/** Solid swept by a triangle of legs c at an edge of radius r (Pappus); `inward` when it grows a hole. */
const chamferRing = (r: number, c: number, hole: boolean) =>
  ((Math.PI * c * c) / 1) * (hole ? r + c / 3 : r - c / 3);

describe('volumes against closed formulas', () => {
  test('the rack wheel, to a millionth', () => {
    const built = build(rackWheel());
    expect(built.faults).toEqual([]);
    const groove = cylinder(38.2, 4) - cylinder(38.2 - 7, 4);
    const exact =
      cylinder(38.2, 8) -
      groove -
      cylinder(6.32, 8) -
      2 * chamferRing(6.32 / 2, 0.4, true) -
      2 * chamferRing(38.2 / 2, 0.6, false);
    expectVolume(built.check?.volumeMm3, exact);
    expect(built.check).toMatchObject({ pieces: 1, valid: true, closed: true });
    expect(built.box?.map((value) => Number(value.toFixed(6)))).toEqual([-19.1, -19.1, 0, 19.1, 19.1, 8]);
  });

  test('turned disc: volume and area', () => {
    const built = buildSteps((draft) => [draft.step('disc', { diameter: 20, width: 5 })]);
    expectVolume(built.check?.volumeMm3, cylinder(20, 5));
    expectVolume(built.areaMm2, 2 * Math.PI * 10 * (10 + 5));
  });

  test('plate with round corners, and with square ones', () => {
    const plate = (cornerRadius: number) =>
      buildSteps((draft) => [draft.step('plate', { length: 40, breadth: 24, thickness: 3, cornerRadius })]);
    expectVolume(plate(4).check?.volumeMm3, (40 * 24 - (4 - Math.PI) * 16) * 3);
    expectVolume(plate(0).check?.volumeMm3, 40 * 24 * 3);
    expect(
      plate(4)
        .tags.map((tag) => tag.split(':')[1])
        .sort(),
    ).toEqual(
      ['back', 'bottom', 'corner0', 'corner1', 'corner2', 'corner3', 'front', 'left', 'right', 'top'].sort(),
    );
  });

  test('peg on a plate with a blind hole down it', () => {
    const built = buildSteps((draft) => [
      draft.step('plate', { length: 40, breadth: 24, thickness: 3, cornerRadius: 0 }),
      draft.step('peg', { diameter: 12, height: 9, x: 8, y: -2 }),
      draft.step('hole', { diameter: 5, depth: 7, x: 8, y: -2 }),
    ]);
    expectVolume(built.check?.volumeMm3, 40 * 24 * 3 + cylinder(12, 9) - cylinder(5, 7));
  });

  test('rounded rim: a quarter of a torus is taken off at each edge', () => {
    const built = buildSteps((draft) => [
      draft.step('disc', { diameter: 30, width: 10 }, 'disc'),
      draft.step('fillet', { size: 2, where: { edges: 'rims', of: 'disc' } }),
    ]);
    // Pappus: the corner left outside a quarter circle has area r²(1 - π/4), its centroid at
    // R - r + r/(6(1 - π/4))·… from the axis; written with the integral over the corner instead.
    const [R, r] = [15, 2];
    const area = r * r * (1 - Math.PI / 4);
    const firstMoment = R * area - (r * r * r * (10 - 3 * Math.PI)) / 12;
    expectVolume(built.check?.volumeMm3, cylinder(30, 10) - 2 * 2 * Math.PI * firstMoment);
  });
});

test('an open edge is found: a solid has none, a shell without one face has', () => {
  const builder = new BodyBuilder(kernel);
  const draft = new RepairDraft('Block');
  const step = draft.step('plate', { length: 4, breadth: 3, thickness: 2, cornerRadius: 0 });
  const repair = draft.body('b', 'Block', [step]).repair;
  const { solid } = builder.build(repair.bodies[0]!, evaluateRepair(repair));
  expect(everyEdgeHasTwoFaces(kernel, solid!.shape)).toBe(true);
  const faces = new kernel.TopExp_Explorer(solid!.shape, 'TopAbs_FACE', 'TopAbs_SHAPE');
  const one = faces.Current();
  expect(everyEdgeHasTwoFaces(kernel, one)).toBe(false);
  [one, faces].forEach((object) => object.delete());
  builder.dispose();
});

describe('faces named by origin', () => {
  test('every face of the wheel knows its step', () => {
    const { tags } = build(rackWheel());
    const count = (tag: string) => tags.filter((other) => other === tag).length;
    expect(count('disc:rim')).toBe(2);
    expect(count('disc:top')).toBe(1);
    expect(count('groove:floor')).toBe(1);
    expect(count('bore:wall')).toBe(1);
    expect(count('mouths:flat')).toBe(2);
    expect(count('rims:flat')).toBe(2);
  });

  test('a choice of edges survives a change of sizes and of order', () => {
    const repair = rackWheel();
    const [disc, groove, bore, mouths, rims] = repair.bodies[0]!.steps as [Step, Step, Step, Step, Step];
    const usual = build(repair);
    const moved = build(repair, { ...repair.bodies[0]!, steps: [disc, rims, bore, groove, mouths] });
    expect(moved.faults).toEqual([]);
    expectVolume(moved.check?.volumeMm3, usual.check!.volumeMm3);
    const larger = rackWheel();
    larger.readings.filter((row) => row.sizeId === 'a').forEach((row) => (row.value += 5));
    expect(build(larger).tags.sort()).toEqual(usual.tags.sort());
  });
});

describe('a rebuild starts at the first changed step', () => {
  test('and gives what a full build gives', () => {
    const repair = rackWheel();
    const builder = new BodyBuilder(kernel);
    expect(builder.build(repair.bodies[0]!, evaluateRepair(repair)).rebuiltSteps).toBe(5);
    expect(builder.build(repair.bodies[0]!, evaluateRepair(repair)).rebuiltSteps).toBe(0);
    repair.fits[0]!.fitClass = 'loose';
    const partly = builder.build(repair.bodies[0]!, evaluateRepair(repair));
    expect(partly.rebuiltSteps).toBe(3);
    expectVolume(partly.check?.volumeMm3, build(repair).check!.volumeMm3);
    builder.dispose();
  });

  test('a failing step is named, later ones wait, the solid before it is kept', () => {
    const repair = rackWheel();
    const body = repair.bodies[0]!;
    const builder = new BodyBuilder(kernel);
    builder.build(body, evaluateRepair(repair));
    const mouths = { ...body.steps[3]!, size: numberValue(30) } as Step;
    const broken = { ...body, steps: [...body.steps.slice(0, 3), mouths, body.steps[4]!] };
    const built = builder.build(broken, evaluateRepair(repair));
    expect(built.steps.map((step) => step.state)).toEqual(['built', 'built', 'built', 'failed', 'waiting']);
    expect(built.check?.closed).toBe(true);
    expect(builder.build(body, evaluateRepair(repair)).steps.every((step) => step.state === 'built')).toBe(
      true,
    );
    builder.dispose();
  });
});

describe('bad numbers end in a fault at their step', () => {
  const firstFault = (built: ReturnType<typeof build>) => built.faults[0];

  test.each([
    ['zero thickness', { diameter: 20, width: 0 }, 'value.outOfRange'],
    ['negative', { diameter: -20, width: 5 }, 'value.outOfRange'],
    ['not a number', { diameter: NaN, width: 5 }, 'value.outOfRange'],
    ['too large', { diameter: 2000, width: 5 }, 'value.outOfRange'],
    ['a size that is gone', { diameter: 'Z', width: 5 }, 'value.sizeGone'],
    ['a fit that is gone', { diameter: 'fit:z', width: 5 }, 'value.fitGone'],
  ])('a wheel with %s', (_, fields, code) => {
    const built = buildSteps((draft) => [draft.step('disc', fields)]);
    expect(firstFault(built)?.code).toBe(code);
    expect(built.solid).toBeNull();
  });

  test('a size without readings is named', () => {
    const draft = new RepairDraft('Test').measured('A', 'Rim', []);
    const steps = [draft.step('disc', { diameter: 'A', width: 5 })];
    const fault = build(draft.body('body', 'Body', steps).repair).faults[0];
    expect(fault).toEqual({ code: 'value.sizeNotTaken', what: 'diameter', tag: 'A', name: 'Rim' });
  });

  const onDisc = (kind: Step['kind'], fields: Record<string, unknown>) =>
    buildSteps((draft) => [
      draft.step('disc', { diameter: 20, width: 5 }, 'disc'),
      draft.step(kind, fields, 'second'),
    ]);
  test.each<[string, Step['kind'], Record<string, unknown>, string]>([
    [
      'bore wider than the wheel',
      'hole',
      { diameter: 20.1, depth: 'through', x: 0, y: 0 },
      'hole.widerThanBody',
    ],
    ['bore beside the wheel', 'hole', { diameter: 3, depth: 'through', x: 40, y: 0 }, 'hole.missesBody'],
    ['blind hole out of the bottom', 'hole', { diameter: 3, depth: 5, x: 0, y: 0 }, 'hole.deeperThanBody'],
    ['groove as wide as the rim', 'groove', { rimOf: 'disc', width: 5, depth: 2 }, 'groove.widerThanRim'],
    ['groove to the axis', 'groove', { rimOf: 'disc', width: 2, depth: 10 }, 'groove.deeperThanRadius'],
    ['groove in nothing', 'groove', { rimOf: 'gone', width: 2, depth: 1 }, 'step.pickLost'],
    ['ease too large', 'chamfer', { size: 40, where: { edges: 'rims', of: 'disc' } }, 'chamfer.tooLarge'],
    [
      'round that leaves nothing flat',
      'fillet',
      { size: 10.5, where: { edges: 'rims', of: 'disc' } },
      'chamfer.tooLarge',
    ],
    ['ease of no edge', 'chamfer', { size: 1, where: { edges: 'mouths', of: 'disc' } }, 'step.pickLost'],
  ])('%s', (_, kind, fields, code) => {
    const built = onDisc(kind, fields);
    expect(built.steps[1]).toMatchObject({ state: 'failed', fault: { code } });
    expectVolume(built.check?.volumeMm3, cylinder(20, 5));
  });

  test('a plate with corners rounder than half its breadth', () => {
    const built = buildSteps((draft) => [
      draft.step('plate', { length: 40, breadth: 10, thickness: 3, cornerRadius: 5 }),
    ]);
    expect(firstFault(built)?.code).toBe('plate.cornerTooRound');
  });

  test('starting with a hole', () => {
    const built = buildSteps((draft) => [draft.step('hole', { diameter: 3, depth: 'through', x: 0, y: 0 })]);
    expect(firstFault(built)).toEqual({ code: 'step.firstMustAdd', verb: 'Drill' });
  });
});
