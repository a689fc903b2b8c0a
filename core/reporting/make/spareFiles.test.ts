import { strFromU8, unzipSync } from 'fflate';
import { Box3, Vector3 } from 'three';
import { ThreeMFLoader } from 'three/examples/jsm/loaders/3MFLoader.js';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';

import { evaluateRepair } from '@core/fitting/fit';
import type { SpareFormat } from '@core/making/formats';
import { asMade, bedFile, spareFile, type Spare } from '@core/reporting/make';
import { USUAL_PRINT_SETUP } from '@core/record/model';
import { BodyBuilder, type Built } from '@core/shaping/solid';
import { boundingBox, checkShape, checkSolid, readStep, type Kernel } from '@core/shaping/kernel';
import { grownBy } from '@core/shaping/forming';
import { withDomParser } from '@core/testing/domParser';
import { testKernel } from '@core/testing/kernel';
import { rackWheel } from '@core/testing/repairDraft';
import { DEFAULT_WORKSHOP, growthOf, type Growth } from '@core/record/workshop';

const WHEN = '2026-06-01T08:00:00.000Z';
const repair = rackWheel();
let kernel: Kernel;
let builder: BodyBuilder;
let built: Built;

beforeAll(async () => {
  kernel = await testKernel();
  builder = new BodyBuilder(kernel);
  built = builder.build(repair.bodies[0]!, evaluateRepair(repair));
});
afterAll(() => builder.dispose());

function bytesOf(format: SpareFormat, growth: Growth | null): Uint8Array {
  const { head, bodies } = repair;
  const made = asMade(head, bodies[0]!, DEFAULT_WORKSHOP);
  const spare: Spare = { head, body: bodies[0]!, built, stem: 'wheel', growth, asMade: made };
  const file = spareFile(format, spare, '', WHEN);
  if (!file.ok) throw new Error(file.fault.code);
  return file.value.bytes;
}
const boxOfStl = (bytes: Uint8Array) => {
  const geometry = new STLLoader().parse(bytes.slice().buffer);
  geometry.computeBoundingBox();
  const { min, max } = geometry.boundingBox!;
  return [max.x - min.x, max.y - min.y, max.z - min.z];
};

describe('what shrinks is larger in its files, once and in all sizes', () => {
  test.each([
    ['the same all ways', [1 / 0.992, 1 / 0.992, 1 / 0.992]],
    ['otherwise in height', [1 / 0.99, 1 / 0.99, 1 / 0.98]],
  ] as const)('%s', (_, growth) => {
    const plain = boxOfStl(bytesOf('stl', null));
    const grown = boxOfStl(bytesOf('stl', growth));
    for (const axis of [0, 1, 2]) expect(grown[axis]! / plain[axis]!).toBeCloseTo(growth[axis]!, 5);
    const solid = readStep(kernel, bytesOf('step', growth));
    const box = boundingBox(kernel, solid);
    expect(box[5] - box[2]).toBeCloseTo(plain[2]! * growth[2], 5);
    const { closed, volumeMm3 } = checkShape(kernel, solid);
    expect(closed).toBe(true);
    expect(volumeMm3 / built.check!.volumeMm3).toBeCloseTo(growth[0] * growth[1] * growth[2], 6);
    solid.delete();
  });

  test('and the file says so', () => {
    const title = (growth: Growth | null) => new TextDecoder().decode(bytesOf('stl', growth).slice(0, 80));
    expect(title(null)).not.toContain('larger');
    expect(new TextDecoder().decode(bytesOf('step', [1.01, 1.01, 1.01]))).toContain(
      'larger for shrinkage by 1 %',
    );
  });

  test('a fit comes out right: working size, grown, shrunk again', () => {
    const resin = DEFAULT_WORKSHOP.machines.find(({ id }) => id === 'casting-bench')!;
    const cast = { ...repair, head: { ...repair.head, machineId: resin.id } };
    const { worked } = evaluateRepair(cast).fits.get(cast.fits[0]!.id)!;
    if (!worked.ok) throw new Error(worked.name);
    // Nothing of the shrinkage is in the trail: 6.02 and its allowance alone.
    const { entries, working } = worked.trail;
    expect(working).toBeCloseTo(entries[0]!.value + entries[1]!.value, 9);
    const growth = growthOf(resin)!;
    expect(working * growth[0] * (1 - resin.shrinkage!.x)).toBeCloseTo(working, 12);
  });

  test('what grows is a copy; the part itself stays', () => {
    const before = built.check!.volumeMm3;
    const grown = grownBy(built.solid!, [1.1, 1.1, 1.1]);
    expect(checkSolid(grown).volumeMm3).toBeCloseTo(before * 1.331, 4);
    grown.dispose();
    expect(checkSolid(built.solid!).volumeMm3).toBeCloseTo(before, 6);
  });
});

test('a bed is one file: a spare is an object, each of its pieces stands where it lies', () => {
  const { head, bodies } = repair;
  const body = {
    ...bodies[0]!,
    laying: { ...USUAL_PRINT_SETUP, down: [0, 0, 1] as [number, number, number] },
  };
  const growth = [1 / 0.99, 1 / 0.99, 1 / 0.99] as const;
  const made = asMade(head, body, DEFAULT_WORKSHOP);
  const spare: Spare = { head, body, built, stem: 'wheel', growth, asMade: made };
  const hub: Spare = { ...spare, body: { ...body, id: 'hub', name: 'Hub' } };
  const file = bedFile(
    [
      {
        spare,
        at: [
          [-30, 0],
          [30, 12.5],
        ],
      },
      { spare: hub, at: [[0, 60]] },
    ],
    WHEN,
  );
  if (!file.ok) throw new Error(file.fault.code);
  expect(file.value.name).toBe('rack-wheel-wheel-hub.3mf');
  const model = strFromU8(unzipSync(file.value.bytes)['3D/3dmodel.model']!);
  expect(model.match(/<object /g)).toHaveLength(2);
  expect(model).toContain('Rack wheel, 2 × Wheel, Hub');
  const group = withDomParser(() => new ThreeMFLoader().parse(file.value.bytes.slice().buffer));
  group.updateMatrixWorld(true);
  const boxes = group.children.map((child) => new Box3().setFromObject(child));
  const [broad, deep] = made.laid!.bedMm!;
  const middles = boxes.map((box) => box.getCenter(new Vector3()));
  expect(middles.map(({ x, y }) => [x - broad / 2, y - deep / 2])).toEqual(
    [
      [-30, 0],
      [30, 12.5],
      [0, 60],
    ].map((place) => place.map((mm) => expect.closeTo(mm, 3) as number)),
  );
  const height = 8 / 0.99;
  for (const box of boxes) {
    expect(box.min.z).toBeCloseTo(0, 4);
    expect(box.max.z).toBeCloseTo(height, 4);
  }
});

test('of a resin printer too each piece has its place, with the settings of resin', () => {
  const { bodies } = repair;
  const head = { ...repair.head, machineId: 'resin-printer', materialId: 'resin' };
  const made = asMade(head, bodies[0]!, DEFAULT_WORKSHOP);
  expect(made.laid).toMatchObject({
    settings: 'Everyday: layer height 0.05 mm, supports 1 mm thick every 3 mm, with tips of 0.4 mm.',
    bedMm: [153, 86],
  });
  const model = (asMadeThere: Spare['asMade']) => {
    const spare: Spare = { head, body: bodies[0]!, built, stem: 'wheel', growth: null, asMade: asMadeThere };
    const file = bedFile(
      [
        {
          spare,
          at: [
            [-20, 0],
            [20, 0],
          ],
        },
      ],
      WHEN,
    );
    if (!file.ok) throw new Error(file.fault.code);
    return strFromU8(unzipSync(file.value.bytes)['3D/3dmodel.model']!);
  };
  const across = (text: string) =>
    [...text.matchAll(/<item objectid="2" transform="([^"]*)"/g)].map(([, numbers]) =>
      Number(numbers!.split(' ').at(-3)),
    );
  expect(across(model(made))).toEqual([expect.closeTo(76.5 - 20, 3), expect.closeTo(76.5 + 20, 3)]);
  // Of a machine that nobody knows as a printer they are apart all the same.
  const [one, other] = across(model({ ...made, laid: null })) as [number, number];
  expect(other - one).toBeCloseTo(40, 4);
});
